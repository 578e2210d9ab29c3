"""Where rules come from: bolts of plates, straps, brackets."""

from __future__ import annotations

from humble_trowel.core.sources.source import Source

IRC = "IRC R403.1.6, recalled"
ROWS = (
    Source("bolt-spacing", "Bolts of a plate no farther apart than 6 ft, closer where wind or earthquakes ask: IRC R403.1.6; check the code adopted there, and the drawing comes first.", "standard", IRC),
    Source("bolt-ends", "A bolt within 12 in of each end of each piece of plate, no nearer than seven diameters: IRC R403.1.6; check the code adopted there.", "standard", IRC),
    Source("bolt-two", "Two bolts a piece of plate at least: IRC R403.1.6; check the code adopted there.", "standard", IRC),
    Source("bolt-clear", "Clear of a stud by half of it and half a washer; none in openings or on a joint of the plate: a thumb rule.", "thumb"),
    Source("bolt-way", "A bolt keeps clear of bars and tube by its own half and a finger.", "house"),
    Source("bolt-embed", "1/2 in bolts stand 7 in deep with concrete under them: IRC R403.1.6; check the code adopted there.", "standard", IRC),
    Source("plate-bearing", "At most a third of a plate stands past its bearing, over foam that faces the edge: a thumb rule.", "thumb"),
    Source("corner-straps", "Two straps at each outside corner; the drawing says more.", "thumb"),
    Source("bracket-deep", "Posts stand over thicker concrete: the edge or a pad carries them.", "house"),
)  # fmt: skip
