"""A row of the ledger."""

from __future__ import annotations

from dataclasses import dataclass

import shapely
from shapely.geometry import MultiPolygon, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.working import Working


@dataclass(frozen=True)
class LedgerPart:
    """One row. part: what it is called. kind: slab, edge, beam, pad or recess. mark: of its type. zone: name, for slabs.

    letter: on the plan and in the list. at: where the letter stands, mm. how: the sum in short. numbers: of the parts
    that it holds (geometry/parts.py), none for a slab.
    """

    part: str
    kind: str
    mark: str
    zone: str | None
    m3: float
    letter: str
    at: XY
    text: str
    how: str
    working: Working
    numbers: tuple[int, ...] = ()


def label_spot(region: BaseGeometry) -> XY:
    """A point well inside a region, for its label."""
    if region.is_empty:
        return (0.0, 0.0)
    assert isinstance(region, Polygon | MultiPolygon)
    circle = shapely.maximum_inscribed_circle(region, tolerance=150.0)
    x, y = shapely.get_coordinates(circle)[0]
    return (float(x), float(y))
