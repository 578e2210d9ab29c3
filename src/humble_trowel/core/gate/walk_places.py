"""The places of a walk in the order in which one walks round the slab; those within a step of one another are one."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from humble_trowel.core.gate.walk_beside import beside
from humble_trowel.core.gate.walk_on_slab import on_slab
from humble_trowel.core.gate.walk_rows import AtSite, WalkPlace
from humble_trowel.core.geometry.polygon import XY

STEP_MM = 700.0


def places_of(site: AtSite) -> list[WalkPlace]:
    """Every place, in the order in which one walks round the slab from corner A, then what stands beside it."""
    on_plan = on_slab(site)
    ring = list(site.plan.outline or [])
    met = _together(on_plan)
    met.sort(key=lambda one: _station(ring, one.at) if one.at else 0.0)
    return [*met, *beside(site)]


def _together(places: Sequence[WalkPlace]) -> list[WalkPlace]:
    """Places that are within a step of one another are one."""
    found: list[WalkPlace] = []
    for place in places:
        at = next((i for i, one in enumerate(found) if _near(one.at, place.at)), None)
        if at is None:
            found.append(place)
        else:
            found[at] = replace(found[at], asks=[*found[at].asks, *place.asks])
    return found


def _near(one: XY | None, other: XY | None) -> bool:
    return one is not None and other is not None and (one[0] - other[0]) ** 2 + (one[1] - other[1]) ** 2 < STEP_MM**2


def _station(ring: Sequence[XY], at: XY) -> float:
    """How far along the outline the nearest point to a spot is."""
    best, station, walked = float("inf"), 0.0, 0.0
    for (ax, ay), (bx, by) in zip(ring, [*ring[1:], ring[0]], strict=True):
        long = ((bx - ax) ** 2 + (by - ay) ** 2) ** 0.5 or 1.0
        t = min(1.0, max(0.0, ((at[0] - ax) * (bx - ax) + (at[1] - ay) * (by - ay)) / long**2))
        far = (ax + t * (bx - ax) - at[0]) ** 2 + (ay + t * (by - ay) - at[1]) ** 2
        if far < best - 1e-6:
            best, station = far, walked + t * long
        walked += long
    return station
