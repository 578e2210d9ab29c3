"""Where rules come from: the edge, footings, walls and what lies beside the slab."""

from __future__ import annotations

from humble_trowel.core.sources.source import IRC, Source

ROWS = (
    Source(
        "under-slab",
        "A pipe lies under the slab and its foam, not in them: concrete over it would be thin and crack along it.",
        "thumb",
    ),
    Source(
        "bury",
        "Footings at least 12 in into undisturbed ground: IRC R403.1.4. Check the code adopted there.",
        "standard",
        IRC,
    ),
    Source(
        "frost",
        "Footings below the frost line or protected from frost: IRC R403.1.4.1. The county says how deep it is; "
        "check the code adopted there.",
        "standard",
        IRC,
    ),
    Source(
        "frost-exempt",
        "Free-standing accessory buildings of light frame, 600 sq ft or less (400 sq ft of other kinds) "
        "with eaves of 10 ft or less, need no frost depth: exceptions of IRC R403.1.4.1. Check the code adopted there; "
        "the official decides.",
        "standard",
        IRC,
    ),
    Source(
        "above-grade",
        "Top of foundation 6 in over the ground outside, 4 in under masonry veneer: IRC R404.1.6. Check "
        "the code adopted there.",
        "standard",
        IRC,
    ),
    Source(
        "fill-depth",
        "Fill under a slab at most 24 in of clean sand or gravel and 8 in of earth, unless approved: IRC "
        "R506.2.1. Check the code adopted there.",
        "standard",
        IRC,
    ),
    Source(
        "base-below-grade",
        "A base of 4 in of clean sand, gravel or stone passing a 2 in sieve where the slab is below "
        "grade, unless the ground drains well: IRC R506.2.2. Check the code adopted there.",
        "standard",
        IRC,
    ),
    Source(
        "shallow-frost",
        "Frost-protected shallow foundation, heated to 64 °F or more: IRC R403.3, recalled. Check the "
        "code adopted there before use.",
        "standard",
        IRC,
    ),
    Source(
        "plate",
        "A sill plate may hang over the concrete by a third of its width at most: thumb rule; the engineer decides.",
        "thumb",
    ),
    Source(
        "least-slab",
        "Slabs on ground at least 3 1/2 in thick: IRC R506.1. Check the code adopted there.",
        "standard",
        IRC,
    ),
    Source("thumb-use", "4 in for feet and cars, 5 to 6 in for trucks, more by the engineer: thumb table.", "thumb"),
    Source(
        "footing",
        "Centreline times width times thickness, mitred at bends; what footings share counts once, with the first.",
        "definition",
    ),
    Source(
        "footing-step",
        "At a step the upper footing comes down on the lower one over a length of its own thickness.",
        "house",
    ),
    Source(
        "lap",
        "Area on plan times thickness; the gap below it is filled with the same pour, or stays open.",
        "definition",
    ),
    Source(
        "foam-face",
        "Area of the foam on plan times its height: concrete that stands in it or that it takes the room of.",
        "definition",
    ),
    Source(
        "ramp",
        "Ramps 1 in 12 at most, rails where they rise over 6 in, flares 1 in 10, no lip over 1/2 in: ADA Standards 405, 406.3, "
        "303; IRC R311.8. Check the code adopted there.",
        "standard",
        "ADA 2010 and IRC 2021, recalled",
    ),
    Source("walk-fall", "Walks fall 1/8 to 1/4 in a foot away from the building.", "thumb"),
    Source(
        "wall",
        "Length along its middle times thickness times height, from its footing's top to its own; cut along the mitre at bends.",
        "definition",
    ),
    Source(
        "courses", "Courses of block with one joint each, the nearest whole number to the wall's height.", "definition"
    ),
    Source(
        "wall-cores",
        "Two cores to a block; each filled core is its hollow on plan times the wall's height.",
        "house",
    ),
    Source(
        "block-void",
        "About half of a two-core block is hollow: hollow units are under 75 % solid, ASTM C90. Ask the block's maker.",
        "thumb",
    ),
    Source("wall-header", "The slab's thickness on the ledge of the header course.", "house"),
)
