"""Where rules come from: contraction joints."""

from __future__ import annotations

from humble_trowel.core.sources.source import Source

ACI = "ACI 302.1R and 360R, recalled"
ROWS = (
    Source("joint-spacing", "Joints 24 to 36 thicknesses apart, never over 15 ft: custom, as ACI 302.1R and 360R have it. The engineer decides for fibre and heavy steel.", "standard", ACI),
    Source("joint-shape", "Panels no longer than one and a half times their width; some owners ask 1.25: ACI 302.1R.", "standard", ACI),
    Source("joint-corner", "A joint through every inside corner, or an isolation joint round it: there a slab cracks first.", "standard", ACI),
    Source("joint-depth", "A cut a quarter of the slab deep, 1 in at least; early saws 1 in: ACI 302.1R.", "standard", ACI),
    Source("joint-sliver", "No panel narrower than 2 ft: a thumb rule.", "thumb"),
    Source("joint-under", "A cut keeps half an inch over tube and bars: this house's figure.", "house"),
    Source("saw-dust", "Cut wet or with a shroud: the dust of concrete scars the lungs (OSHA 1926.1153).", "standard", "OSHA 1926.1153, recalled"),
)  # fmt: skip
