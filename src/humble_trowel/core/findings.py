"""A doubt about a plan or a figure: possible, so no error, but worth a word and a remedy."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

Severity = Literal["note", "check", "stop"]


@dataclass(frozen=True)
class Finding:
    """code: stable name. where: key path or plan name. words: what is so, with both numbers. remedy: the act. stage and
    tabs: where screens show it, the first tab is its home. changes_order: whether it may change how much is ordered."""

    code: str
    severity: Severity
    where: str
    words: str
    remedy: str
    source: str
    stage: str
    tabs: tuple[str, ...]
    changes_order: bool


@dataclass(frozen=True)
class FindingKind:
    """A row of the written-out list of findings. stage, tabs: where it is shown and mended."""

    code: str
    severity: Severity
    meaning: str
    stage: str
    tabs: tuple[str, ...]
    changes_order: bool = True


FINDING_KINDS = (
    FindingKind(
        "step-hangs",
        "stop",
        "a zone drops by its slab's thickness or more, so the step hangs free",
        "edges",
        ("cut", "top"),
    ),
    FindingKind("part-clipped", "note", "a part sticks out of the outline and was cut off there", "edges", ()),
    FindingKind("edge-adds-nothing", "check", "a thickened edge is no deeper than the slab", "edges", ("cut",)),
    FindingKind(
        "edge-type-unused", "note", "an edge type stands in the plan and is used nowhere", "edges", ("cut",), False
    ),
    FindingKind(
        "beam-type-unused", "note", "a beam type stands in the plan and no beam has it", "edges", ("grid",), False
    ),
    FindingKind(
        "pad-type-unused", "note", "a pad type stands in the plan and no pad has it", "edges", ("grid",), False
    ),
    FindingKind("beam-adds-nothing", "check", "a beam is no deeper than the slab", "edges", ("grid",)),
    FindingKind("pad-adds-nothing", "check", "a pad is no deeper than the slab", "edges", ("grid",)),
    FindingKind("haunch-wide", "check", "an edge with its haunch is wider than the building", "edges", ("cut",)),
    FindingKind("beams-close", "check", "two beams run nearly side by side", "edges", ("grid",)),
    FindingKind("recess-through", "check", "a recess goes through the slab", "edges", ("top",)),
    FindingKind("recess-thin", "check", "a recess leaves less than the least slab", "edges", ("top",)),
    FindingKind(
        "pile-cover", "check", "a pile head has less concrete over or under it than asked", "edges", ("meets",)
    ),
    FindingKind("side-pad-on-slab", "check", "a pad beside the slab lies partly on it", "edges", ("meets",)),
    FindingKind(
        "slab-thin-for-use", "check", "a slab is thinner than the thumb table says for its use", "edges", ("top",)
    ),
    FindingKind("slab-guessed", "note", "a slab's thickness is the guess that it began with", "edges", ("top",)),
    FindingKind("slab-needs-engineer", "check", "a slab carries what no thumb table covers", "edges", ("top",)),
    FindingKind("zone-sliver", "check", "a zone has a strip too narrow to pour", "edges", ("top",)),
    FindingKind("neck-narrow", "check", "the slab narrows between two wider parts", "edges", ("top",)),
    FindingKind("fall-level", "check", "a fall of nothing, with no low side", "edges", ("top",)),
    FindingKind(
        "falls-inward", "check", "a zone falls toward a neighbour that stands as high or higher", "edges", ("top",)
    ),
    FindingKind("drain-not-lowest", "check", "a drain that is not the lowest point", "edges", ("top",)),
    FindingKind("step-no-form", "check", "a step that no board forms", "edges", ("top",)),
    FindingKind(
        "overhang-fouls", "check", "something that stands under the slab comes up into it", "edges", ("top", "meets")
    ),
    FindingKind(
        "footing-above-frost", "check", "a footing's bottom stays above the frost line", "edges", ("footings", "frost")
    ),
    FindingKind("footing-narrow", "check", "a footing's trench is narrower than the footing", "edges", ("footings",)),
    FindingKind("footing-inside", "check", "a footing lies wholly in others", "edges", ("footings",)),
    FindingKind(
        "footing-thin", "check", "a trench's bottom is too high, so the footing is thin there", "edges", ("footings",)
    ),
    FindingKind(
        "footing-guessed", "note", "sizes of a footing are the guess that it began with", "edges", ("footings",)
    ),
    FindingKind("wall-guessed", "note", "sizes of a wall are the guess that it began with", "edges", ("walls",)),
    FindingKind("footing-ways-disagree", "stop", "the two ways of counting footings differ", "edges", ("footings",)),
    FindingKind(
        "foam-shows", "note", "foam on a face shows above the ground outside", "edges", ("cut",), changes_order=False
    ),
    FindingKind("lap-off-edge", "check", "a lap no longer lies along the outline", "edges", ("walks",)),
    FindingKind("lap-off-old", "check", "a lap lies partly over nothing", "edges", ("walks",)),
    FindingKind("lap-no-room", "check", "a lap is thicker than the room over the old concrete", "edges", ("walks",)),
    FindingKind(
        "lap-to-cut",
        "note",
        "a lap has to be cut when the old concrete goes",
        "edges",
        ("walks",),
        changes_order=False,
    ),
    FindingKind("sidewalk-inside", "check", "a sidewalk lies wholly in what is poured already", "edges", ("walks",)),
    FindingKind("sidewalk-falls-in", "check", "a sidewalk falls toward the slab", "edges", ("walks",)),
    FindingKind("sidewalk-flat", "check", "a sidewalk falls less than 1 in 100", "edges", ("walks",)),
    FindingKind("ramp-steep", "check", "a ramp is steeper than 1 in 12", "edges", ("walks",)),
    FindingKind("ramp-rails", "check", "a ramp comes down over 6 in and wants rails", "edges", ("walks",)),
    FindingKind("ramp-lip", "check", "a ramp's upper edge is over 1/2 in off the slab's top", "edges", ("walks",)),
    FindingKind("flare-steep", "check", "a ramp's flares are steeper than 1 in 10", "edges", ("walks",)),
    FindingKind("wall-off-footing", "check", "a wall hangs over its footing", "edges", ("walls",)),
    FindingKind("wall-inside", "check", "a wall lies wholly in others", "edges", ("walls",)),
    FindingKind("courses-uneven", "check", "courses of block do not make the wall's height", "edges", ("walls",)),
    FindingKind(
        "courses-above-floor",
        "check",
        "a wall ends above the floor that lies on it or runs into it",
        "edges",
        ("walls",),
    ),
    FindingKind(
        "floor-off-wall", "check", "a slab laid over a wall does not lie on it, or not all of it", "edges", ("walls",)
    ),
    FindingKind("floor-through-wall", "check", "the slab is drawn through a wall", "edges", ("walls",)),
    FindingKind("wall-ways-disagree", "stop", "the two ways of counting walls differ", "edges", ("walls",)),
    FindingKind("match-off", "check", "the new floor is off the existing floor that it meets", "edges", ("meets",)),
    FindingKind("edge-bury", "check", "an edge's bottom is less than 12 in into the ground", "edges", ("frost",)),
    FindingKind("edge-above-frost", "check", "an edge's bottom stays above the frost line", "edges", ("frost",)),
    FindingKind("top-low", "check", "the slab's top is less than 6 in over the ground outside", "edges", ("frost",)),
    FindingKind(
        "plate-overhangs", "check", "a sill plate hangs over the concrete by more than a third", "edges", ("meets",)
    ),
    FindingKind("walk-open", "check", "a typed walk does not close yet", "lines", ("walk",)),
    FindingKind("ways-disagree", "stop", "the two ways of counting differ by more than 0.1 %", "order", ()),
    FindingKind(
        "last-load-short", "check", "the last truck carries less than the plant's short-load threshold", "order", ()
    ),
    FindingKind("truck-unknown", "check", "the truck size is a house default that nobody has confirmed", "order", ()),
    FindingKind(
        "ground-not-set",
        "note",
        "the ground outside a formed side is not set, so its whole edge counts as formed",
        "lines",
        ("forms",),
        False,
    ),
    FindingKind("ground-high", "check", "the ground outside comes up to the slab's top", "lines", ("forms",), False),
    FindingKind(
        "no-board-fits",
        "stop",
        "no board, stack or panel of the kit is tall enough for a side",
        "lines",
        ("forms",),
        False,
    ),
    FindingKind("form-tall", "stop", "a form holds over 2 ft of fresh concrete", "lines", ("forms",), False),
    FindingKind("kicker-full", "check", "a kicker carries nearly all that one holds", "lines", ("forms",), False),
    FindingKind(
        "form-left-out", "check", "a form is left out for the truck and must be put back", "lines", ("forms",), False
    ),
    FindingKind("no-cut-plan", "check", "the stock cannot make the runs", "lines", ("boards",), False),
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
    FindingKind(
        "cannot-compute", "stop", "a fault of the program in one part of the answer; the rest stands", "order", ()
    ),
    FindingKind("record-unread", "check", "a record of the site cannot be read and counts for nothing", "order", ()),
    FindingKind("pipe-in-slab", "check", "a pipe lies up in the slab", "underslab", ("services", "clashes")),
    FindingKind("pipe-in-foam", "check", "a pipe lies up in the foam", "underslab", ("services", "clashes"), False),
    FindingKind(
        "run-lengthwise", "check", "a run lies in a beam or an edge along it", "underslab", ("services", "clashes")
    ),
    FindingKind("runs-cross", "check", "two runs are in each other's way", "underslab", ("services", "clashes"), False),
    FindingKind("drain-flat", "check", "a drain falls too little", "underslab", ("services", "clashes"), False),
    FindingKind("drain-sharp", "check", "a drain turns back on itself", "underslab", ("services", "clashes"), False),
    FindingKind(
        "sleeve-small", "check", "a sleeve is too small for its pipe", "underslab", ("services", "clashes"), False
    ),
    FindingKind("riser-in-door", "check", "a riser comes up in a doorway", "underslab", ("services", "clashes"), False),
    FindingKind(
        "riser-outside", "check", "a riser stands outside of the slab", "underslab", ("services", "clashes"), False
    ),
    FindingKind("riser-off", "check", "a riser stands too far from its place", "underslab", ("check",), False),
    FindingKind("service-guessed", "note", "depth or fall of a run was guessed", "underslab", ("services",), False),
    FindingKind(
        "test-air", "check", "a drain's high end has no riser: air stays there", "underslab", ("tests",), False
    ),
    FindingKind("test-failed", "check", "a line did not hold its test", "underslab", ("tests",), False),
    FindingKind("test-short", "check", "a test began too low or ended too soon", "underslab", ("tests",), False),
    FindingKind("test-old", "check", "a line has changed since its test", "underslab", ("tests",), False),
    FindingKind("barrier-roll", "check", "a roll no wider than its lap", "underslab", ("barrier",), False),
    FindingKind("barrier-lap", "check", "sheets of barrier lap too little", "underslab", ("barrier",), False),
    FindingKind(
        "barrier-open", "note", "a sheet stays open and not all is said of it", "underslab", ("barrier",), False
    ),
    FindingKind(
        "treatment-open", "note", "a treatment that the site asks for is not done", "underslab", ("barrier",), False
    ),
    FindingKind("foam-thin", "check", "foam insulates less than the energy code asks", "underslab", ("foam",), False),
    FindingKind("foam-load", "check", "foam carries less than stands on it", "underslab", ("foam",), False),
    FindingKind("tube-saw", "check", "tube that a saw cut would reach", "underslab", ("tubing", "clashes"), False),
    FindingKind("tube-room", "check", "a heated room of which no floor is left", "underslab", ("tubing",), False),
    FindingKind("tube-manifold", "check", "heated rooms without a manifold", "underslab", ("tubing",), False),
    FindingKind("tube-far", "check", "loops begin far from the manifold", "underslab", ("tubing",), False),
    FindingKind("tube-long", "check", "a loop longer than its size carries", "underslab", ("tubing",), False),
    FindingKind("tube-missed", "check", "a heated room that no loop reaches", "underslab", ("tubing",), False),
    FindingKind("tube-bend", "check", "turns tighter than the tube bends", "underslab", ("tubing",), False),
    FindingKind("nothing-drawn", "note", "no outline yet", "lines", ("walk",)),
    FindingKind(
        "not-counted-yet",
        "check",
        "the file says something whose stage is not built yet, so nothing of it counts",
        "order",
        (),
    ),
)
KIND_OF = {kind.code: kind for kind in FINDING_KINDS}
# A part that was clipped is shown where its list is.
TAB_OF_LIST = {
    "edges": "cut",
    "beams": "grid",
    "pads": "grid",
    "recesses": "top",
    "side_pads": "meets",
    "kerbs": "meets",
}


def said_together(names: Sequence[str]) -> str:
    """'a', 'a and b', 'a, b and c'."""
    return " and ".join(part for part in (", ".join(names[:-1]), names[-1]) if part)


def finding(code: str, where: str, words: str, remedy: str, source: str = "geometry") -> Finding:
    """A Finding as its kind in FINDING_KINDS says. Raises KeyError for an unlisted code."""
    kind = KIND_OF[code]
    tabs = kind.tabs
    if not tabs and kind.stage == "edges":
        tabs = tuple(tab for name, tab in TAB_OF_LIST.items() if where.startswith(name))
    return Finding(code, kind.severity, where, words, remedy, source, kind.stage, tabs, kind.changes_order)
