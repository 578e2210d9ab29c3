"""Foam at the edge of an unheated slab by climate zone and edition of the energy code, recalled; the adopted edition rules."""

from __future__ import annotations

ZONES = ("1", "2", "3", "4", "4M", "5", "6", "7", "8")
Asked = tuple[int, int] | None  # R and depth in feet
_OLD: tuple[Asked, ...] = (None, None, None, (10, 2), (10, 2), (10, 2), (10, 4), (10, 4), (10, 4))
# edition: what each of ZONES asks
SLAB_EDGE: dict[str, tuple[Asked, ...]] = {
    "2009": _OLD,
    "2012": _OLD,
    "2015": _OLD,
    "2018": _OLD,
    "2021": (None, None, (10, 2), (10, 4), (10, 4), (10, 4), (10, 4), (10, 4), (10, 4)),
    "2024": (None, None, (10, 2), (10, 3), (10, 3), (10, 3), (10, 4), (10, 4), (10, 4)),
}
SURE = {"2009": "MEDIUM-HIGH", "2021": "MEDIUM-HIGH", "2024": "LOW-MEDIUM"}


def slab_edge(edition: str, zone: str) -> tuple[Asked, str]:
    """(R and depth in feet that an unheated slab's edge asks, how sure the figure is recalled). None asks nothing.

    edition: of the IECC, residential. zone: '1' to '8', '4M' for Marine. Raises ValueError for one that is not in the table.
    Source: 'slab-edge-r' in sources/."""
    if edition not in SLAB_EDGE or zone not in ZONES:
        raise ValueError(f"The table has editions {', '.join(SLAB_EDGE)} and zones {', '.join(ZONES)}.")
    return SLAB_EDGE[edition][ZONES.index(zone)], SURE.get(edition, "HIGH")
