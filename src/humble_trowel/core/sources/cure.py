"""Where rules of the weeks after the pour come from."""

from __future__ import annotations

from humble_trowel.core.sources.source import Source

ROWS = (
    Source("cure-frost", "No frost before 500 psi (3.5 MPa), and kept warm for three days in cold weather: ACI 306R as this house recalls it.", "standard", "ACI 306R, recalled"),
    Source("cure-wet", "Kept from drying for seven days, or until 70 in 100 of its strength: ACI 308R as this house recalls it.", "standard", "ACI 308R, recalled"),
    Source("cure-strip", "Side forms come off once the edge does not chip: about 500 psi. This house's figure.", "house"),
    Source("cure-build", "Light framing from about 1,500 psi, wheels from about 2,500 psi, by maturity (ASTM C1074): this house's figures. The engineer may ask for more.", "house"),
    Source("cure-load", "Loaded from 70 in 100 of its specified strength, full load only by measured strength: the engineer decides.", "house"),
    Source("cure-flat", "Gaps under a ten foot straightedge, nine in ten and all: ACI 117 as this house recalls it.", "standard", "ACI 117, recalled"),
    Source("lesson", "A job moves the middle of the crew's ways by Bayes: jobs lie about a middle that nobody knows, each is seen within its own doubt, and no middle moves farther than its own spread. This house.", "house"),
)  # fmt: skip
