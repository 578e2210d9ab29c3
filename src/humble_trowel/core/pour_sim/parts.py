"""The floor in the parts in which it is filled: its strips, or, where none are laid, bands from the west."""

from __future__ import annotations

import shapely
from shapely.geometry import MultiPolygon, Polygon, box
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.pour_sim.of_job import Part
from humble_trowel.core.screed.strips import StripsLaid

SHARED_MM = 304.8  # so much border makes an edge that can grow old
BANDS = 10
OUTSIDE_MM = 300.0  # so far beside it a tap still means the edge


def parts_of_strips(laid: StripsLaid) -> list[Part]:
    """The strips in their order."""
    areas = [row.face.area for row in laid.strips]
    rows = []
    for at, row in enumerate(laid.strips):
        near = tuple(
            laid.strips[i].id
            for i in range(at)
            if float(areas[i].buffer(5.0).intersection(areas[at].exterior).length) > SHARED_MM
        )
        ring = [(float(x), float(y)) for x, y in row.face.ring]
        rows.append(
            Part(row.id, f"Strip {row.n}", row.m3, areas[at].area / 1e6, [ring], row.face.spot, row.strip.way, near)
        )
    return rows


def parts_of_floor(solid: Solid, net_m3: float) -> list[Part]:
    """Bands of one width from the west, their share of the concrete by their area."""
    floor = shapely.union_all([cell.region for cell in solid.cells], grid_size=0.01)
    west, south, east, north = floor.bounds
    wide = (east - west) / BANDS
    rows: list[Part] = []
    for at in range(BANDS):
        band = floor.intersection(box(west + at * wide, south, west + (at + 1) * wide, north))
        if band.area <= 0:
            continue
        spot = band.representative_point()
        before = (rows[-1].id,) if rows else ()
        share = band.area / floor.area
        rows.append(Part(f"band{at}", f"Band {at + 1}", net_m3 * share, band.area / 1e6, _rings(band), (spot.x, spot.y), (1.0, 0.0), before))  # fmt: skip
    return rows


def on_floor(solid: Solid, spot: XY) -> bool:
    """Whether a tap means a place of the slab."""
    return any(float(cell.region.distance(shapely.Point(spot))) <= OUTSIDE_MM for cell in solid.cells)


def _rings(area: BaseGeometry) -> list[list[XY]]:
    """Exteriors and holes, even-odd."""
    polygons = [area] if isinstance(area, Polygon) else list(area.geoms) if isinstance(area, MultiPolygon) else []
    lines = [line for one in polygons for line in (one.exterior, *one.interiors)]
    return [[(float(x), float(y)) for x, y, *_ in line.coords[:-1]] for line in lines]
