"""Where rules come from: what was typed, plane geometry, volume, the crew and its plant."""

from __future__ import annotations

from humble_trowel.core.sources.source import Source

ROWS = (
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
    Source("slices", "Counted again in thin slices, by a separate computation.", "definition"),
    Source("house", "House default until the crew sets its own. See Ways.", "house"),
    Source("ways", "The crew's own way. See Ways.", "house"),
    Source("job-way", "Set for this job only.", "house"),
    Source("plant", "The plant's terms as written in Ways. Ask the plant.", "house"),
)
