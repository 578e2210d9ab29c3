"""Where rules come from: strips, pads, contraction joints."""

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
    Source("strip-board", "A board lies 3 in on a form or a rail, 6 in on a wet pad, a foot on a fresh edge: this house's figures.", "house"),
    Source("strip-rules", "Strips are the slab, each between two things that a board rides on all along: this house's checker.", "house"),
    Source("strip-pads", "Pads a foot closer than the longest board, left up to an eighth high, never low: this house's figures.", "house"),
    Source("strip-trap", "Whoever pulls the board ends on ground that is not struck yet, on a plank or outside.", "thumb"),
    Source("strip-late", "An edge of two hours knits badly with its neighbour; heat makes it less. Until the day's own clock is known.", "house"),
    Source("strip-reach", "A truck's own chute reaches 16 to 18 ft from where it stands.", "thumb"),
    Source("strip-arm", "A man reaches 6 ft from the edge; beyond that kneeling boards or a plank.", "thumb"),
    Source("strip-pull", "Guides in the slab come out before it sets, and their holes are filled from fresh concrete: ACI 302.1R.", "standard", ACI),
)  # fmt: skip
