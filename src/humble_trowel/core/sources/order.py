"""Where rules come from: the order under doubt, the mix, trucks and cost."""

from __future__ import annotations

from humble_trowel.core.sources.source import Source

ACI = "ACI 318-19, recalled"
ROWS = (
    Source("doubt", "Spreads that do not know of each other add by their squares; two pours in three stay within one of them.", "definition"),
    Source("least-cost", "The order whose cost, short and long weighed over all pours, is least. Fees are the plant's: ask.", "definition"),
    Source("last-load", "The last load is called when most is down: the doubt is smaller by then.", "thumb"),
    Source("discharge", "Out of the drum 90 minutes after batching, as ASTM C94 long had it; buyer and plant may agree on another time.", "standard", "ASTM C94/C94M, recalled"),
    Source("slump-tolerance", "A slump may be off by 1/2 in up to 2, by 1 in up to 4, by 1 1/2 in above: ASTM C94.", "standard", "ASTM C94/C94M, recalled"),
    Source("water-added", "Water is added once, within the highest water to cement, and mixed 30 turns more: ASTM C94.", "standard", "ASTM C94/C94M, recalled"),
    Source("cold-joint", "An edge is too old at three quarters of its initial set: this house's figure; vibrating may still knit it.", "house"),
    Source("set-clock", "Set from how far the cement has hydrated (Schindler and Folliard 2005): about, until a trial batch says.", "thumb"),
    Source("exposure", "Frost, salt, sulphate and wet ask for water to cement and strength: ACI 318-19 tables 19.3. The engineer and the code set the class.", "standard", ACI),
    Source("air", "Entrained air by frost and stone, a point less above 5,000 psi: ACI 318-19 table 19.3.3.1.", "standard", ACI),
    Source("air-trowel", "A hard-trowelled floor takes no entrained air: it blisters and peels (ACI 302.1R).", "standard", "ACI 302.1R, recalled"),
    Source("stone-size", "Stone at most a third of the slab, three quarters between bars, a fifth of the form: ACI 318-19 26.4.2.1; a third of the hose.", "standard", ACI),
    Source("reducer", "A reducer makes slump without water: ASTM C494 A takes 5 % of it at least, F 12 %.", "standard", "ASTM C494, recalled"),
    Source("cold-mix", "Under 40 F concrete is warmed: 55 F as placed where it is under a foot thick (ACI 306R-16).", "standard", "ACI 306R-16, recalled"),
    Source("hot-mix", "At most 95 F out of the drum, unless the engineer approves more (ACI 305.1).", "standard", "ACI 305.1, recalled"),
    Source("heat-balance", "Solids hold 0.22 of the heat of water; ice takes 80 C of as much water (ACI 306R-16).", "standard", "ACI 306R-16, recalled"),
    Source("ash-stain", "Ash changes how a stain takes: finisher and stain maker decide, and a sample panel shows.", "thumb"),
    Source("price", "Prices as the crew asked for them, on the day that Ways says.", "house"),
)  # fmt: skip
