"""Where rules come from: bars, laps, bends, mats, chairs, dowels."""

from __future__ import annotations

from humble_trowel.core.sources.source import Source

ACI = "ACI 318-19, recalled"
ROWS = (
    Source("bars", "Sizes, areas and weights of bars: ASTM A615; metric ones by their diameter at 7850 kg/m³.", "standard", "ASTM A615, recalled"),
    Source("development", "Straight bars and class B laps: ACI 318-19 25.4.2.3 and 25.5.2. The drawing comes first.", "standard", ACI),
    Source("lap-40d", "Forty diameters is the custom of the trade, and shorter than a class B lap. The drawing comes first.", "thumb"),
    Source("bends", "Bends and hooks: ACI 318-19 25.3; cut lengths run along the middle of the bar. A bender has his own deductions.", "standard", ACI),
    Source("mat", "Bars stand evenly from cover to cover, no farther apart than asked; what is under 12 in long is left out.", "house"),
    Source("mesh-lap", "Sheets of mesh lap one square, 6 in at least. The drawing comes first.", "thumb"),
    Source("chairs", "Chairs 3 to 4 ft apart for #4, closer for thinner bars: a thumb rule.", "thumb"),
    Source("shrinkage-steel", "0.0018 of the section, no farther apart than 18 in or five times the slab: ACI 318-19 24.4.", "standard", ACI),
    Source("drag-steel", "Steel that drags the slab over its ground, F L w / 2 fs: ACI 360R.", "standard", "ACI 360R, recalled"),
    Source("cover", "3 in of concrete where it is cast against earth, 1 1/2 to 2 in elsewhere: ACI 318-19 20.5. The drawing comes first.", "standard", ACI),
    Source("clear-gap", "Bars stand one diameter, 1 in and four thirds of the stone apart: ACI 318-19 25.2.", "standard", ACI),
    Source("diagonals", "Two bars across every inside corner, where a slab cracks first: custom of the trade.", "thumb"),
    Source("dowel", "Holes 1/8 in (3 mm) wider than the bar, twelve diameters deep, filled by the maker's word; ask the engineer.", "thumb"),
    Source("key", "Keys only in slabs of 6 in and more, no wider than a third of the slab: ACI 360R, recalled.", "standard", "ACI 360R, recalled"),
    Source("steel-look", "Looked at as drawn: cover 3/8 in less at most, bars 1 in farther apart at most, laps no shorter: this house's figures. The inspector decides.", "house"),
    Source("steel-way", "Steel does not stop cracks; it keeps them tight and level.", "definition"),
)  # fmt: skip
