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
    FindingKind("not-counted-yet", "stop", "a key of a later stage would change this figure and is not counted"),
    FindingKind("step-hangs", "stop", "a zone drops by its slab's thickness or more, so the step hangs free"),
    FindingKind("part-clipped", "note", "a part sticks out of the outline and was cut off there"),
    FindingKind("edge-adds-nothing", "check", "a thickened edge is no deeper than the slab"),
    FindingKind("edge-type-unused", "note", "an edge type stands in the plan and is used nowhere"),
    FindingKind("walk-open", "check", "a typed walk does not close yet"),
    FindingKind("ways-disagree", "stop", "the two ways of counting differ by more than 0.5 %"),
    FindingKind("last-load-short", "check", "the last truck carries less than the plant's short-load threshold"),
    FindingKind("truck-unknown", "check", "the truck size is a house default that nobody has confirmed"),
    FindingKind(
        "ground-not-set", "note", "the ground outside a formed side is not set, so its whole edge counts as formed"
    ),
    FindingKind("ground-high", "check", "the ground outside comes up to the slab's top"),
    FindingKind("no-board-fits", "stop", "no board, stack or panel of the kit is tall enough for a side"),
    FindingKind("form-tall", "stop", "a form holds over 2 ft of fresh concrete"),
    FindingKind("form-left-out", "check", "a form is left out for the truck and must be put back"),
    FindingKind("no-cut-plan", "check", "the stock cannot make the runs"),
    FindingKind("foam-soft", "check", "foam under a slab without enough compressive strength, or without any stated"),
    FindingKind("no-barrier", "check", "a heated slab with no barrier anywhere under it"),
    FindingKind("stone-thin", "check", "a layer of stone thinner than two of its stones"),
    FindingKind("stack-in-air", "stop", "a stack ends above the stripped ground, so part of it stands on air"),
    FindingKind("found-not-set", "note", "the level of the ground before the work is not known"),
    FindingKind("bench-moved", "stop", "a benchmark shot again disagrees beyond the laser's accuracy"),
    FindingKind("laser-low", "check", "the laser's line runs under a surface, so no rod reads it"),
    FindingKind("rod-short", "check", "a surface would read longer than the rod"),
    FindingKind("shot-outside", "check", "a shot stands outside the outline and its margin"),
    FindingKind("shot-wild", "check", "a shot is so far off that it is another layer or a misread foot"),
    FindingKind("shots-same-place", "note", "two shots at one place; the later counts"),
    FindingKind("bucket-wide", "check", "the bucket cannot dig as narrow as drawn"),
    FindingKind("nothing-drawn", "note", "no outline yet"),
)
SEVERITY_OF = {kind.code: kind.severity for kind in FINDING_KINDS}


def finding(code: str, where: str, words: str, remedy: str, source: str = "geometry") -> Finding:
    """A Finding with the severity that its code has in FINDING_KINDS. Raises KeyError for an unlisted code."""
    return Finding(code, SEVERITY_OF[code], where, words, remedy, source)
