"""Shots on one layer against its design: levels, who is high and who is low, cut and fill, and what that costs.

Each shot is compared with the layer's datum where it lies: its level where the zone is highest, so that a drop
between zones is no error. Between the shots runs the surface of shot_surface.py; the fall of the design is then
taken off point by point.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, field

import numpy as np
import shapely
from numpy.typing import NDArray

from humble_trowel.core.errors import InputError
from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.overlay import common
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.tops import Facet, at_spot
from humble_trowel.core.geometry.zones import Cell, usable_region
from humble_trowel.core.ground.cut_fill import NOTHING, CutFill, cut_fill, total
from humble_trowel.core.ground.levels import Stand
from humble_trowel.core.ground.records import Shots
from humble_trowel.core.ground.regions import nearest_of, where_it_is
from humble_trowel.core.ground.shot_surface import ShotSurface, merged_shots, points_of, shot_surface
from humble_trowel.core.ground.stack import StackRow, below_slab_mm, high_top, resolve, surface_of
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import say_depth, say_length

Array = NDArray[np.float64]
SAME_PLACE_MM = 25.0
ABSURD_MM = 3000.0


@dataclass(frozen=True)
class RodShot:
    """A shot as it stands. off_mm: actual less design, high is positive. doubt: its set-up moved.

    record: id of its record; number: as drawn. off_text: where it is shown. verdict: high, low or inside."""

    number: int
    name: str
    at: XY
    level_mm: float
    design_mm: float
    off_mm: float
    verdict: str
    zone: str
    record: str
    doubt: bool
    off_text: str = ""


@dataclass(frozen=True)
class Ground:
    """Design of a layer on one zone: datum_mm, its facets less the datum over the ground where the layer is.

    whole: the same over all of the zone."""

    cell: Cell
    row: StackRow
    datum_mm: float
    facets: tuple[Facet, ...]
    whole: tuple[Facet, ...]

    def level_at(self, spot: XY) -> float:
        """Designed level of the layer's top at a plan point, mm."""
        return self.datum_mm + at_spot(self.whole, spot)

    def levels_at(self, spots: Array) -> Array:
        """The same at (n, 2) plan points."""
        planes = np.array([facet.plane for facet in self.whole])
        which = np.zeros(len(spots), dtype=np.intp)
        if len(planes) > 1 and len(spots):
            which = nearest_of([facet.region for facet in self.whole], spots)
        own = planes[which]
        return np.asarray(self.datum_mm + own[:, 0] + (own[:, 1:] * spots).sum(axis=1))


@dataclass(frozen=True)
class LayerShots:
    """All that shots on one layer come to. surface: the triangles; surfaces: the values over each zone's datum, by its
    index. by_zone: cut and fill, by index of the zone. replaced: earlier shots at one place."""

    layer: str
    shots: list[RodShot]
    surface: ShotSurface | None
    grounds: list[Ground]
    surfaces: dict[int, ShotSurface]
    whole: CutFill
    by_zone: dict[int, CutFill]
    spread_mm: float
    replaced: int
    problem: str
    findings: list[Finding] = field(default_factory=list)


def layer_grounds(plan: Plan, solid: Solid, layer: str) -> list[Ground]:
    """The design of a layer wherever it is: outline less openings less the trenches that go through it."""
    rows = []
    for cell in solid.cells:
        row = resolve(plan, cell, layer)
        if row is None:
            continue
        region = (
            where_it_is(solid, cell, below_slab_mm(plan, cell, row))
            if row.top_mm < high_top(cell, plan)
            else cell.region
        )
        whole = tuple(Facet(facet.region, facet.plane.plus_mm(-row.top_mm)) for facet in surface_of(plan, cell, row))
        facets = [
            facet if region is cell.region else Facet(common(facet.region, region), facet.plane) for facet in whole
        ]
        rows.append(Ground(cell, row, row.top_mm, tuple(facet for facet in facets if facet.region.area > 0), whole))
    return rows


def take_shots(
    plan: Plan,
    solid: Solid,
    ways: JobWays,
    layer: str,
    rounds: Sequence[tuple[str, Shots]],
    setups: Sequence[Stand] = (),
) -> LayerShots:
    """Shots of all rounds on a layer. A reading counts from its set-up; of two shots at one place the later counts.

    Shots that make no surface (fewer than three, all in one line) leave `problem` saying so."""
    grounds = layer_grounds(plan, solid, layer)
    if not grounds:
        raise InputError(f"No zone here has a layer called {layer}.", "layer")
    heights = {stand.id: stand for stand in setups}
    rows = [(record, shots, shot) for record, shots in rounds for shot in shots.shots]
    rows = [row for row in rows if row[1].setup is None or row[1].setup in heights or row[2].level_mm is not None]
    if not rows:
        return LayerShots(
            layer=layer, shots=[], surface=None, grounds=grounds, surfaces={}, whole=NOTHING, by_zone={},
            spread_mm=0.0, replaced=0, problem="",
        )  # fmt: skip
    kept, pairs = merged_shots([shot.at for _, _, shot in rows], SAME_PLACE_MM)
    spots = np.array([rows[i][2].at for i in kept], dtype=np.float64)
    zones = _zones_of(spots, grounds)
    designs = np.zeros(len(kept))
    for k, ground in enumerate(grounds):
        designs[zones == k] = ground.levels_at(spots[zones == k])
    taken = []
    for number, (i, k, design) in enumerate(zip(kept, zones.tolist(), designs.tolist(), strict=True), start=1):
        record, shots, shot = rows[i]
        stand = heights.get(shots.setup or "")
        level = (
            shot.level_mm
            if shot.level_mm is not None
            else (stand.instrument_mm if stand else 0.0) - (shot.reading_mm or 0.0)
        )
        ground, off = grounds[k], level - design
        doubt = stand is not None and stand.moved
        name = shot.name or str(number)
        taken.append(
            RodShot(
                number=number, name=name, at=shot.at, level_mm=level, design_mm=design, off_mm=off,
                verdict=_verdict(off, ways), zone=ground.cell.name, record=record, doubt=doubt,
            )
        )  # fmt: skip
    doubts = _doubts(plan, taken, [(rows[i], rows[j]) for i, j in pairs], setups)
    return _measured(layer, grounds, taken, zones, len(rows) - len(kept), doubts)


def _zones_of(spots: Array, grounds: Sequence[Ground]) -> NDArray[np.intp]:
    """Index of the ground under each spot, or of the nearest."""
    return nearest_of([ground.cell.region for ground in grounds], spots)


def _verdict(off: float, ways: JobWays) -> str:
    if off > ways.ground.high_mm + 1e-9:
        return "high"
    return "low" if off < -ways.ground.low_mm - 1e-9 else "inside"


def _measured(
    layer: str,
    grounds: list[Ground],
    taken: list[RodShot],
    zones: NDArray[np.intp],
    replaced: int,
    doubts: list[Finding],
) -> LayerShots:
    spread = float(np.std([shot.off_mm for shot in taken], ddof=1)) if len(taken) > 1 else 0.0
    spots = np.array([shot.at for shot in taken], dtype=np.float64)
    bounds = shapely.total_bounds([ground.cell.region for ground in grounds])
    try:
        surface = shot_surface(spots, np.zeros(len(taken)), _reach(bounds, spots))
    except InputError as error:
        return LayerShots(
            layer=layer, shots=taken, surface=None, grounds=grounds, surfaces={}, whole=NOTHING, by_zone={},
            spread_mm=spread, replaced=replaced, problem=error.words, findings=doubts,
        )  # fmt: skip
    off = np.array([shot.off_mm for shot in taken])
    level = np.array([shot.level_mm for shot in taken])
    surfaces: dict[int, ShotSurface] = {}
    by_zone: dict[int, CutFill] = {}
    for k, ground in enumerate(grounds):
        own = surfaces[ground.cell.index] = surface.with_values(_carried(ground, spots, level, off, zones == k))
        by_zone[ground.cell.index] = cut_fill(own, ground.facets)
    whole = total(list(by_zone.values()))
    return LayerShots(
        layer=layer, shots=taken, surface=surface, grounds=grounds, surfaces=surfaces, whole=whole, by_zone=by_zone,
        spread_mm=spread, replaced=replaced, problem="", findings=doubts,
    )  # fmt: skip


def _carried(ground: Ground, spots: Array, level: Array, off: Array, own: NDArray[np.bool_]) -> Array:
    """Values of all shots as one zone sees them, over its datum.

    Its own shots are what they are. A shot in another zone keeps its error and is laid on this zone's plane run on,
    so that neither a step nor a fall beyond the border makes a ramp of errors in here."""
    ahead = np.zeros(len(spots))
    if len(ground.whole) == 1:
        at_0, per_x, per_y = ground.whole[0].plane
        ahead = at_0 + spots @ np.array([per_x, per_y])
    return np.asarray(np.where(own, level - ground.datum_mm, off + ahead))


def _reach(bounds: Array, spots: Array) -> float:
    """Farther than any corner of the ground lies from any shot, mm."""
    low = np.minimum(spots.min(axis=0), bounds[:2])
    high = np.maximum(spots.max(axis=0), bounds[2:])
    return float(np.hypot(*(high - low))) + 1000.0


def _doubts(plan: Plan, taken: Sequence[RodShot], pairs: Sequence[tuple], setups: Sequence[Stand]) -> list[Finding]:  # type: ignore[type-arg]
    rows = []
    region = usable_region(plan)
    spots = np.array([shot.at for shot in taken])
    shapely.prepare(region)
    beyond = np.flatnonzero(~shapely.contains_xy(region, spots[:, 0], spots[:, 1]))
    away = np.zeros(len(spots))
    away[beyond] = shapely.distance(region, points_of(spots[beyond]))
    margin = plan.set_out.base_margin_mm or 300.0
    outside = [(shot, far) for shot, far in zip(taken, away.tolist(), strict=True) if far > margin + 50]
    if outside:
        shot, far = max(outside, key=lambda row: row[1])
        words = f"{_count(len(outside), 'shot')} outside the outline, the farthest is {shot.name}, {say_length(far, plan.units)} out. The surface still leans on {'it' if len(outside) == 1 else 'them'}."
        rows.append(
            finding("shot-outside", f"ground.shots/{shot.name}", words, "Check where it was shot, or take it out.")
        )
    odd = [shot for shot in taken if abs(shot.off_mm) > 150.0]
    if odd:
        worst = max(odd, key=lambda row: abs(row.off_mm))
        words = f"Shot {worst.name} is {say_depth(abs(worst.off_mm), plan.units)} {'high' if worst.off_mm > 0 else 'low'}. That is another layer, another set-up or a misread foot."
        rows.append(finding("shot-wild", f"ground.shots/{worst.name}", words, "Read it again."))
    if pairs:
        early, late = pairs[0]
        gone = len({id(one[2]) for one, _ in pairs})
        names = f"{early[2].name or 'one'} and {late[2].name or 'a later one'}"
        what = (
            "Two shots stand at one place," if gone == 1 else f"{gone} shots stand where a later one stands too, like"
        )
        words = f"{what} {names}. The later one counts."
        rows.append(
            finding("shots-same-place", "ground.shots", words, "Take out the wrong one if the earlier was right.")
        )
    return rows


def _count(n: int, what: str) -> str:
    return f"{n} {what}{'' if n == 1 else 's'}"


def sane_levels(taken: LayerShots) -> None:
    """Raise InputError where a file's levels or places cannot be this job's: wrong columns, or another unit."""
    if not taken.shots:
        return
    middle = float(np.median([abs(shot.off_mm) for shot in taken.shots]))
    if middle > ABSURD_MM:
        raise InputError(f"Half of the levels are over {middle / 1000:.1f} m off the design. The columns are in another order or unit; the file must be name,x_mm,y_mm,level_mm with 0 at the finished slab top.", "level_mm")  # fmt: skip
    regions = shapely.union_all([ground.cell.region for ground in taken.grounds])
    away = shapely.distance(regions, points_of([shot.at for shot in taken.shots]))
    if float(np.median(away)) > math.sqrt(regions.area):
        raise InputError("Most shots lie far outside the outline. The columns are in another order or unit; x_mm and y_mm are mm in the plan.", "x_mm")  # fmt: skip
    xs = np.array([shot.at for shot in taken.shots])
    if len(xs) + taken.replaced >= 3 and np.ptp(xs[:, 0]) < 100 and np.ptp(xs[:, 1]) < 100 and regions.area > 4e6:
        raise InputError("All shots lie within 100 mm. They look like metres or feet; x_mm and y_mm are mm.", "x_mm")
