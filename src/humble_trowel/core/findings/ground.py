"""Every doubt of ground and forms."""

from __future__ import annotations

from humble_trowel.core.findings.kind import FindingKind

KINDS = (
    FindingKind(
        "foam-soft",
        "check",
        "foam under a slab without enough compressive strength, or without any stated",
        "ground",
        ("stack",),
        False,
    ),
    FindingKind("no-barrier", "check", "a heated slab with no barrier anywhere under it", "ground", ("stack",), False),
    FindingKind(
        "barrier-ask", "note", "no barrier under a slab, and nobody said what stands on it", "ground", ("stack",), False
    ),
    FindingKind("fill-deep", "check", "more fill under a slab than needs no approval", "ground", ("stack",)),
    FindingKind("base-thin", "check", "less than 4 in of base under a slab below grade", "ground", ("stack",)),
    FindingKind("stone-thin", "check", "a layer of stone thinner than two of its stones", "ground", ("stack",)),
    FindingKind(
        "stack-in-air",
        "stop",
        "a stack ends above the stripped ground, so part of it stands on air",
        "ground",
        ("stack",),
    ),
    FindingKind(
        "found-not-set",
        "note",
        "the level of the ground before the work is not known",
        "ground",
        ("stack", "stone"),
        False,
    ),
    FindingKind(
        "bench-moved",
        "stop",
        "a benchmark shot again disagrees beyond the laser's accuracy",
        "ground",
        ("laser", "rod", "shots"),
    ),
    FindingKind(
        "laser-low", "check", "the laser's line runs under a surface, so no rod reads it", "ground", ("rod",), False
    ),
    FindingKind("rod-short", "check", "a surface would read longer than the rod", "ground", ("rod",), False),
    FindingKind(
        "shot-outside", "check", "a shot stands outside the outline and its margin", "ground", ("shots",), False
    ),
    FindingKind(
        "shot-wild", "check", "a shot is so far off that it is another layer or a misread foot", "ground", ("shots",)
    ),
    FindingKind("shots-same-place", "note", "two shots at one place; the later counts", "ground", ("shots",), False),
    FindingKind(
        "dug-gone", "note", "a trench on record lies along what is not on the slab any more", "ground", ("dug",)
    ),
    FindingKind("bucket-wide", "check", "the bucket cannot dig as narrow as drawn", "ground", ("dug",)),
)
