"""A row of the ledger."""

from __future__ import annotations

from dataclasses import dataclass

import shapely
from shapely.geometry import LineString, MultiPolygon, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.overlay import less
from humble_trowel.core.geometry.pads import pad_ring
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.memo import ByContent
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.working import Working

TAG_MM = 500.0
MOST_NAMED = 60


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


def parts_on_plan(plan: Plan) -> BaseGeometry:
    """Ground on which a name would lie over a pad, a recess or a beam."""
    sizes = {row.mark: (row.shape, row.width_mm, row.length_mm, row.diameter_mm) for row in plan.pad_types}
    content = (
        tuple((sizes[pad.type], pad.at, pad.turn_deg) for pad in plan.pads[:MOST_NAMED]),
        tuple(tuple(row.polygon) for row in plan.recesses[:MOST_NAMED]),
        tuple(tuple(row.path) for row in plan.beams[:MOST_NAMED]),
    )
    return _TAKEN.get(content, lambda: _parts_on_plan(plan))


_TAKEN: ByContent[BaseGeometry] = ByContent(64)
_SPOTS: ByContent[XY] = ByContent(4_000)


def _parts_on_plan(plan: Plan) -> BaseGeometry:
    kinds = {row.mark: row for row in plan.pad_types}
    shapes = [Polygon(pad_ring(kinds[pad.type], pad, 8)).buffer(TAG_MM, quad_segs=2) for pad in plan.pads[:MOST_NAMED]]
    shapes += [Polygon(recess.polygon).buffer(TAG_MM / 2, quad_segs=2) for recess in plan.recesses[:MOST_NAMED]]
    shapes += [LineString(beam.path).buffer(TAG_MM / 2, quad_segs=2) for beam in plan.beams[:MOST_NAMED]]
    return shapely.union_all(shapes) if shapes else Polygon()


def free_of(region: BaseGeometry, taken: BaseGeometry) -> BaseGeometry:
    """A region less what is taken, if most of it is left."""
    free = less(region, taken)
    return free if free.area > region.area / 2 else region


def label_spot(region: BaseGeometry) -> XY:
    """A point well inside a region, for its label."""
    return _SPOTS.get(region.wkb, lambda: _label_spot(region))


def _label_spot(region: BaseGeometry) -> XY:
    if region.is_empty:
        return (0.0, 0.0)
    assert isinstance(region, Polygon | MultiPolygon)
    circle = shapely.maximum_inscribed_circle(region, tolerance=150.0)
    x, y = shapely.get_coordinates(circle)[0]
    return (float(x), float(y))
