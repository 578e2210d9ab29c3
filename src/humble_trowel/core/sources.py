"""Where rules come from. A rule names a row here by its key; screens show `words` and `standing`."""

from __future__ import annotations

import re
from dataclasses import dataclass
from typing import Literal

Standing = Literal["standard", "handbook", "thumb", "house", "estimate", "typed", "definition"]


@dataclass(frozen=True)
class Source:
    """One source: key, a sentence for the screen, how much weight it carries, and the edition it was recalled from."""

    key: str
    words: str
    standing: Standing
    edition: str = ""


IRC = "IRC 2021, recalled"
_ROWS = (
    Source("typed", "You typed it.", "typed"),
    Source("definition", "By definition.", "definition"),
    Source("geometry", "Plane geometry, exact.", "definition"),
    Source("inch", "1 in = 25.4 mm exactly (international inch, 1959), so 1 yd³ = 0.764555 m³.", "definition"),
    Source(
        "greatest-depth",
        "Concrete at a point is the greatest depth of all parts there, measured down from the slab top; "
        "shared concrete counts once.",
        "definition",
    ),
    Source(
        "strip",
        "Full depth over the bottom width, then the haunch up to the slab. Like edges meet in a mitre; beside a "
        "plain side the strip ends square.",
        "definition",
    ),
    Source(
        "beam",
        "Full depth over the bottom width, the haunch on both sides; mitred at bends, flat at the ends.",
        "definition",
    ),
    Source(
        "second-pour", "A pour of its own on starter bars or beside the slab; not in the slab's volume.", "definition"
    ),
    Source(
        "pipe-sizes",
        "Outside diameters of iron pipe sizes, ASME B36.10 and ASTM D1785; metric plastic pipe is named by its outside.",
        "handbook",
    ),
    Source(
        "sleeve",
        "A pipe through a foundation goes in a sleeve two pipe sizes larger: IRC P2603.4. Check the code adopted there.",
        "standard",
        IRC,
    ),
    Source(
        "drain-fall",
        "Drains fall 1/4 in a foot up to 2 1/2 in, 1/8 up to 6 in, 1/16 beyond: IPC 704.1. Check the code adopted there.",
        "standard",
        "IPC 2021, recalled",
    ),
    Source(
        "slab-edge-r",
        "Foam at the edge of an unheated slab by climate zone: IECC residential table, 2009 to 2024. The adopted edition rules.",
        "standard",
        "IECC 2024, recalled",
    ),
    Source("sheets", "Laid out sheet by sheet over the plan.", "definition"),
    Source(
        "foam-boards",
        "Boards butt in courses, joints apart; a piece is cut from the smallest offcut that holds it.",
        "definition",
    ),
    Source(
        "foam-load",
        "Foam carries a third of its strength at 10 % deformation for years; the rest is creep. Ask its maker.",
        "house",
    ),
    Source(
        "line-test",
        "Drains hold 5 ft of water (10 ft in some editions) or 5 psi of air for 15 min: IRC P2503.5, IPC 312; supply holds its "
        "working pressure or 50 psi of air for 15 min: IRC P2503.7; tubing 100 psi for 30 min: IRC M2103.3. Check the code adopted there.",
        "standard",
        IRC,
    ),
    Source(
        "displaced",
        "Pipe, tube and columns over 1 in 100 of a pour come off the order, all of it; under that they are left in.",
        "house",
    ),
    Source("tube", "Longest loop and bend by the tube's size: a thumb table; the maker's own comes first.", "house"),
    Source("tube-saw", "A saw cuts a quarter of the slab, an inch at least; an inch stays over the tube.", "house"),
    Source(
        "fill-order",
        "Water rises evenly, and reaches a riser over the highest bottom on its way there; the lowest top is capped first.",
        "definition",
    ),
    Source(
        "barrier-lap",
        "Sheets of barrier lap 6 in and are taped: IRC R506.2.3, ASTM E1643. Check the code adopted there.",
        "standard",
        IRC,
    ),
    Source(
        "riser-allowed",
        "How far a riser may be off its place and still be hidden in its wall or under its fixture: this house's figures.",
        "house",
    ),
    Source(
        "bedding",
        "A trench 12 in wide, 4 in of pea gravel under the pipe and 2 in over it, 1.6 t in a m³: this house's figures.",
        "house",
    ),
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
    Source("slices", "Counted again in thin slices, by a separate computation.", "definition"),
    Source("house", "House default until the crew sets its own. See Ways.", "house"),
    Source(
        "pressure",
        "Fresh concrete pushes like a liquid of 150 lb/ft³ (23.6 kN/m³), ACI 347R; a third of the thrust "
        "is held at the form's top. What a stake or kicker holds is a house estimate.",
        "handbook",
    ),
    Source(
        "span",
        "Boards bend flat-wise between stakes: bending stress, L/360 and bulge, then a cap for knocks and boots. "
        "Reference lumber values, NDS supplement.",
        "handbook",
    ),
    Source("cap", "Thumb figures for knocks and boots, never farther apart than these.", "thumb"),
    Source("adjusted", "The shape that fits all readings best, by least squares.", "definition"),
    Source(
        "shot", "Shot on site: linear between shots, beyond them the value of the nearest point of their hull.", "typed"
    ),
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
    Source("dug", "Measured on site along the trench; straight between stations.", "typed"),
    Source(
        "levelling",
        "Level of the mark + backsight = line of the laser; a longer reading is a lower point.",
        "definition",
    ),
    Source(
        "stone-lift",
        "Loose factors, densities, lifts and swell are thumb figures until the quarry and the soils engineer give theirs.",
        "thumb",
    ),
    Source(
        "foam-r",
        "R per inch: makers' usual on the label, lower where buried (IRC R403.3 footnote). Check the code adopted there.",
        "standard",
        IRC,
    ),
    Source(
        "foam",
        "Strength at 10 % deformation as the maker states it; least value for foam under slabs is a house figure.",
        "house",
    ),
    Source(
        "barrier",
        "A vapor retarder between slab and ground, but under garages, utility buildings, unheated accessory "
        "buildings, unheated storage under 70 sq ft, carports, drives and walks: IRC R506.2.3. Check the code adopted "
        "there; the official may waive it.",
        "standard",
        IRC,
    ),
    Source("ways", "The crew's own way. See Ways.", "house"),
    Source("job-way", "Set for this job only.", "house"),
    Source("plant", "The plant's terms as written in Ways. Ask the plant.", "house"),
)
SOURCES = {row.key: row for row in _ROWS}


def words_in(key: str, units: str) -> str:
    """The sentence of a source in the units of the job: '12 in' is '305 mm' there."""
    words = SOURCES[key].words
    if units != "mm":
        return words
    return re.sub(r"\b(\d+(?:\.\d+)?) in\b(?! \d)", lambda size: f"{float(size[1]) * 25.4:.0f} mm", words)
