"""A doubt about a plan or a figure: possible, so no error, but worth a word and a remedy."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

Severity = Literal["note", "check", "stop"]


@dataclass(frozen=True)
class Finding:
    """code: stable name. where: key path or plan name. words: what is so, with both numbers. remedy: the act."""

    code: str
    severity: Severity
    where: str
    words: str
    remedy: str
    source: str


@dataclass(frozen=True)
class FindingKind:
    """A row of the written-out list of findings."""

    code: str
    severity: Severity
    meaning: str


FINDING_KINDS = (
    FindingKind("step-hangs", "stop", "a zone drops by its slab's thickness or more, so the step hangs free"),
    FindingKind("part-clipped", "note", "a part sticks out of the outline and was cut off there"),
    FindingKind("edge-adds-nothing", "check", "a thickened edge is no deeper than the slab"),
    FindingKind("edge-type-unused", "note", "an edge type stands in the plan and is used nowhere"),
    FindingKind("beam-type-unused", "note", "a beam type stands in the plan and no beam has it"),
    FindingKind("pad-type-unused", "note", "a pad type stands in the plan and no pad has it"),
    FindingKind("beam-adds-nothing", "check", "a beam is no deeper than the slab"),
    FindingKind("pad-adds-nothing", "check", "a pad is no deeper than the slab"),
    FindingKind("haunch-wide", "check", "an edge with its haunch is wider than the building"),
    FindingKind("beams-close", "check", "two beams run nearly side by side"),
    FindingKind("recess-through", "check", "a recess goes through the slab"),
    FindingKind("recess-thin", "check", "a recess leaves less than the least slab"),
    FindingKind("pile-cover", "check", "a pile head has less concrete over or under it than asked"),
    FindingKind("side-pad-on-slab", "check", "a pad beside the slab lies partly on it"),
    FindingKind("slab-thin-for-use", "check", "a slab is thinner than the thumb table says for its use"),
    FindingKind("slab-needs-engineer", "check", "a slab carries what no thumb table covers"),
    FindingKind("zone-sliver", "check", "a zone has a strip too narrow to pour"),
    FindingKind("neck-narrow", "check", "the slab narrows between two wider parts"),
    FindingKind("fall-level", "check", "a fall of nothing, with no low side"),
    FindingKind("falls-inward", "check", "a zone falls toward a neighbour that stands as high or higher"),
    FindingKind("drain-not-lowest", "check", "a drain that is not the lowest point"),
    FindingKind("step-no-form", "check", "a step that no board forms"),
    FindingKind("overhang-fouls", "check", "something that stands under the slab comes up into it"),
    FindingKind("match-off", "check", "the new floor is off the existing floor that it meets"),
    FindingKind("edge-bury", "check", "an edge's bottom is less than 12 in into the ground"),
    FindingKind("edge-above-frost", "check", "an edge's bottom stays above the frost line"),
    FindingKind("top-low", "check", "the slab's top is less than 6 in over the ground outside"),
    FindingKind("plate-overhangs", "check", "a sill plate hangs over the concrete by more than a third"),
    FindingKind("walk-open", "check", "a typed walk does not close yet"),
    FindingKind("ways-disagree", "stop", "the two ways of counting differ by more than 0.1 %"),
    FindingKind("last-load-short", "check", "the last truck carries less than the plant's short-load threshold"),
    FindingKind("truck-unknown", "check", "the truck size is a house default that nobody has confirmed"),
    FindingKind(
        "ground-not-set", "note", "the ground outside a formed side is not set, so its whole edge counts as formed"
    ),
    FindingKind("ground-high", "check", "the ground outside comes up to the slab's top"),
    FindingKind("no-board-fits", "stop", "no board, stack or panel of the kit is tall enough for a side"),
    FindingKind("form-tall", "stop", "a form holds over 2 ft of fresh concrete"),
    FindingKind("kicker-full", "check", "a kicker carries nearly all that one holds"),
    FindingKind("form-left-out", "check", "a form is left out for the truck and must be put back"),
    FindingKind("no-cut-plan", "check", "the stock cannot make the runs"),
    FindingKind("foam-soft", "check", "foam under a slab without enough compressive strength, or without any stated"),
    FindingKind("no-barrier", "check", "a heated slab with no barrier anywhere under it"),
    FindingKind("barrier-ask", "note", "no barrier under a slab, and nobody said what stands on it"),
    FindingKind("fill-deep", "check", "more fill under a slab than needs no approval"),
    FindingKind("base-thin", "check", "less than 4 in of base under a slab below grade"),
    FindingKind("stone-thin", "check", "a layer of stone thinner than two of its stones"),
    FindingKind("stack-in-air", "stop", "a stack ends above the stripped ground, so part of it stands on air"),
    FindingKind("found-not-set", "note", "the level of the ground before the work is not known"),
    FindingKind("bench-moved", "stop", "a benchmark shot again disagrees beyond the laser's accuracy"),
    FindingKind("laser-low", "check", "the laser's line runs under a surface, so no rod reads it"),
    FindingKind("rod-short", "check", "a surface would read longer than the rod"),
    FindingKind("shot-outside", "check", "a shot stands outside the outline and its margin"),
    FindingKind("shot-wild", "check", "a shot is so far off that it is another layer or a misread foot"),
    FindingKind("shots-same-place", "note", "two shots at one place; the later counts"),
    FindingKind("dug-gone", "note", "a trench on record lies along what is not on the slab any more"),
    FindingKind("bucket-wide", "check", "the bucket cannot dig as narrow as drawn"),
    FindingKind("cannot-compute", "stop", "a fault of the program in one part of the answer; the rest stands"),
    FindingKind("nothing-drawn", "note", "no outline yet"),
)
SEVERITY_OF = {kind.code: kind.severity for kind in FINDING_KINDS}


def finding(code: str, where: str, words: str, remedy: str, source: str = "geometry") -> Finding:
    """A Finding with the severity that its code has in FINDING_KINDS. Raises KeyError for an unlisted code."""
    return Finding(code, SEVERITY_OF[code], where, words, remedy, source)
