"""Laps, sidewalks and ramps of a job with their concrete, each with its working, in the order or apart."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import shapely
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.beside_strips import along_mm, lap_region, ramp_region, sidewalk_region
from humble_trowel.core.geometry.overlay import common, together
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.order.leaves import area_leaf, area_times_depth, short_sum, thin_leaf, volume_unit
from humble_trowel.core.order.second_pours import SecondPour
from humble_trowel.core.plan.beside_parts import Lap, Ramp, Sidewalk
from humble_trowel.core.plan.document import Existing, Plan
from humble_trowel.core.units import format_volume
from humble_trowel.core.working import Working, leaf, work


@dataclass(frozen=True)
class Under:
    """What a lap lies over. covered_percent: of its area. room_mm: from the slab's top down to it; None for a saw cut."""

    thing: Existing
    covered_percent: float
    room_mm: float


def under_lap(plan: Plan, lap: Lap) -> Under | None:
    """The old concrete that most of a lap lies over, None where there is none."""
    region = lap_region(lap)
    if region.area <= 0:
        return None
    found = [(float(common(Polygon(row.polygon), region).area / region.area), row) for row in plan.existing]
    share, thing = max(found, key=lambda row: row[0], default=(0.0, None))
    return Under(thing, 100 * share, -thing.level_mm) if thing is not None and share > 1e-6 else None


def gap_mm(plan: Plan, lap: Lap) -> float:
    """Between a lap's underside and the old concrete; 0 where they touch or nothing is there."""
    under = under_lap(plan, lap)
    return max(0.0, under.room_mm - lap.thickness_mm) if under and lap.kind == "lap" else 0.0


def taken(plan: Plan) -> BaseGeometry | None:
    """What is poured already where a sidewalk would lie: the slab and its laps, and ramps."""
    shapes: list[BaseGeometry] = [ramp_region(row) for row in plan.ramps]
    shapes += [lap_region(row) for row in plan.laps]
    if plan.outline is not None:
        shapes.append(Polygon(plan.outline))
    return together(shapes) if shapes else None


def sidewalk_regions(plan: Plan) -> list[BaseGeometry]:
    """Every sidewalk on plan; what two share lies in the first."""
    before = taken(plan)
    found = []
    for row in plan.sidewalks:
        region = sidewalk_region(row, before)
        found.append(region)
        before = region if before is None else together([before, region])
    return found


def besides(plan: Plan) -> list[SecondPour]:
    """Laps, sidewalks and ramps as pours."""
    rows = [_lap(plan, at, row) for at, row in enumerate(plan.laps)]
    walks = zip(plan.sidewalks, sidewalk_regions(plan), strict=True) if plan.sidewalks else ()
    rows += [_sidewalk(plan, at, row, region) for at, (row, region) in enumerate(walks)]
    return rows + [_ramp(plan, at, row) for at, row in enumerate(plan.ramps)]


def rings_of(region: BaseGeometry) -> list[list[XY]]:
    """Rings of a region on plan, mm."""
    return [
        [(round(x, 2), round(y, 2)) for x, y in ring.coords[:-1]]
        for shape in shapely.get_parts(region)
        if shape.geom_type == "Polygon"
        for ring in (shape.exterior, *shape.interiors)
    ]


def _lap(plan: Plan, at: int, lap: Lap) -> SecondPour:
    region, where = lap_region(lap), f"edges/lap/{at}"
    gap = gap_mm(plan, lap) if lap.gap == "filled" else 0.0
    area = float(region.area) / 1e6
    inputs = {"area": area_leaf(f"{lap.name}, area", area, plan, where), "thick": thin_leaf(f"{lap.name}, thickness", lap.thickness_mm, plan, where)}  # fmt: skip
    formula = area_times_depth(plan, "area", "thick")
    if gap:
        inputs["gap"] = thin_leaf("Gap below, filled", gap, plan, where, "geometry")
        formula = area_times_depth(plan, "area", "(thick + gap)")
    m3 = area * (lap.thickness_mm + gap) / 1000
    return _pour(plan, lap.name, lap.kind, at, m3, along_mm(lap.path), region, (formula, inputs, "lap"), with_slab=True)


def _sidewalk(plan: Plan, at: int, row: Sidewalk, region: BaseGeometry) -> SecondPour:
    where, area = f"edges/sidewalk/{at}", float(region.area) / 1e6
    inputs = {"area": area_leaf(f"{row.name}, area", area, plan, where), "thick": thin_leaf(f"{row.name}, thickness", row.thickness_mm, plan, where)}  # fmt: skip
    m3 = area * row.thickness_mm / 1000
    how = (area_times_depth(plan, "area", "thick"), inputs, "second-pour")
    return _pour(plan, row.name, "sidewalk", at, m3, along_mm(row.path), region, how, with_slab=row.pour == "with")


@dataclass(frozen=True)
class RampParts:
    """A ramp's concrete, m3: between its two thicknesses, its flares, its kerbs."""

    body_m3: float
    flares_m3: float
    kerbs_m3: float

    @property
    def m3(self) -> float:
        """All of it."""
        return self.body_m3 + self.flares_m3 + self.kerbs_m3


def ramp_parts(ramp: Ramp) -> RampParts:
    """Exactly: thickness runs straight from the upper edge to the foot; a flare runs from the ramp's edge out to its foot's
    thickness at the far corner."""
    wide = along_mm(ramp.path)
    body = wide * ramp.run_mm * (ramp.thickness_mm + ramp.foot_mm) / 2
    flares = ramp.flare_mm * ramp.run_mm * (ramp.thickness_mm + 2 * ramp.foot_mm) / 3
    kerbs = 2 * ramp.kerb_wide_mm * ramp.kerb_mm * ramp.run_mm if ramp.kerb_mm else 0.0
    return RampParts(body / 1e9, flares / 1e9, kerbs / 1e9)


def _ramp(plan: Plan, at: int, ramp: Ramp) -> SecondPour:
    where, parts = f"edges/ramp/{at}", ramp_parts(ramp)
    area = along_mm(ramp.path) * ramp.run_mm / 1e6
    inputs = {
        "area": area_leaf(f"{ramp.name}, area on plan", area, plan, where),
        "thick": thin_leaf("Thickness at its upper edge", ramp.thickness_mm, plan, where),
        "foot": thin_leaf("Thickness at its foot", ramp.foot_mm, plan, where),
    }
    formula = area_times_depth(plan, "area", "(thick + foot) / 2")
    for key, name, m3 in (("flares", "Its two flares", parts.flares_m3), ("kerbs", "Its two kerbs", parts.kerbs_m3)):
        if m3:
            inputs[key] = _volume(plan, name, m3, where)
            formula += f" + {key}"
    how = (formula, inputs, "ramp")
    region = ramp_region(ramp)
    return _pour(plan, ramp.name, "ramp", at, parts.m3, along_mm(ramp.path), region, how, with_slab=ramp.pour == "with")


def _volume(plan: Plan, name: str, m3: float, where: str) -> Working:
    unit, per_unit = volume_unit(plan)
    return leaf(name, m3 / per_unit, unit, f"{format_volume(m3, plan.units)} {unit}", "ramp", where)


def _pour(
    plan: Plan, name: str, kind: str, at: int, m3: float, length: float, region: BaseGeometry,
    how: tuple[str, dict[str, Working], str], *, with_slab: bool,
) -> SecondPour:  # fmt: skip
    unit, _ = volume_unit(plan)
    text = format_volume(m3, plan.units)
    working = work(name, unit, how[0], how[1], source=how[2], text=f"{text} {unit}")
    return SecondPour(name, kind, at, m3, text, short_sum(working), length, rings_of(region), working, with_slab)


def total_m3(rows: Sequence[SecondPour]) -> float:
    """All of them."""
    return math.fsum(row.m3 for row in rows)
