"""Every doubt of the shape, its edges and what stands on or beside it."""

from __future__ import annotations

from humble_trowel.core.findings.kind import FindingKind

KINDS = (
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
)
