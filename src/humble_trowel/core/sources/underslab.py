"""Where rules come from: pipes, tests, barrier, foam and tube."""

from __future__ import annotations

from humble_trowel.core.sources.source import IRC, Source

ROWS = (
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
)
