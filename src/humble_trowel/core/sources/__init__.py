"""Where rules come from. A rule names a row here by its key; screens show `words` and `standing`."""

from __future__ import annotations

import re

from humble_trowel.core.sources import cure, edges, embeds, gate, general, ground, order, screed, steel, underslab
from humble_trowel.core.sources.source import IRC, Source, Standing

__all__ = ["IRC", "SOURCES", "Source", "Standing", "words_in"]

ROWS = (
    *general.ROWS,
    *ground.ROWS,
    *edges.ROWS,
    *underslab.ROWS,
    *steel.ROWS,
    *embeds.ROWS,
    *screed.ROWS,
    *order.ROWS,
    *gate.ROWS,
    *cure.ROWS,
)
SOURCES = {row.key: row for row in ROWS}


def words_in(key: str, units: str) -> str:
    """The sentence of a source in the units of the job: '12 in' is '305 mm' there."""
    words = SOURCES[key].words
    if units != "mm":
        return words
    return re.sub(r"\b(\d+(?:\.\d+)?) in\b(?! \d)", lambda size: f"{float(size[1]) * 25.4:.0f} mm", words)
