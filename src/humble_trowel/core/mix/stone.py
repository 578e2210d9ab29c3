"""The largest stone that fits. mm. Source: ACI 318-19 26.4.2.1; for a line, ACI 304.2R, recalled."""

from __future__ import annotations

from dataclasses import dataclass

IN = 25.4
SIZES_MM = tuple(size * IN for size in (3 / 8, 1 / 2, 3 / 4, 1, 1.5, 2, 3))
CRUSHED, ROUND = 1 / 3, 0.40


@dataclass(frozen=True)
class Stone:
    """The most that fits, the size that plants have under it (0 where not even pea stone fits), and what decides."""

    most_mm: float
    size_mm: float
    by: str


def largest(
    slab_mm: float,
    clear_mm: float | None = None,
    form_mm: float | None = None,
    line_mm: float | None = None,
    *,
    crushed: bool = True,
) -> Stone:
    """A third of the slab, three quarters between bars, a fifth of the narrowest form, a third of the line (of round stone two fifths)."""
    rows = [(slab_mm / 3, "slab/3")]
    rows += [] if clear_mm is None else [(clear_mm * 3 / 4, "3/4 clear")]
    rows += [] if form_mm is None else [(form_mm / 5, "form/5")]
    rows += [] if line_mm is None else [(line_mm * (CRUSHED if crushed else ROUND), "line")]
    most, by = min(rows, key=lambda row: row[0])
    return Stone(most, max((size for size in SIZES_MM if size <= most + 0.01), default=0.0), by)
