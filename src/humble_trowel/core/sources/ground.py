"""Where rules come from: lines, levels, forms and stone."""

from __future__ import annotations

from humble_trowel.core.sources.source import Source

ROWS = (
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
)
