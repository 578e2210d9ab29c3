"""Sun and shade over a slab through a day: what stands about, where its shadows fall, how long each zone lies in the sun. m, plan axes."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
import shapely
from shapely.geometry import MultiPolygon, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.heat.slab import Array
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.weather.hours import Clock
from humble_trowel.core.weather.sun import Blocker, Sun, shadows, sun_at

STEP_H = 1 / 6
NEAR_M = 15.0  # shadows are drawn so far about the slab
STANDING = ("wall", "other")


@dataclass(frozen=True)
class Moment:
    """Where the sun stands at an hour, what lies in shade about the slab, and how much of each zone in the sun."""

    hour_h: float
    elevation_deg: float
    azimuth_deg: float
    shade: list[list[XY]]
    shares: list[float]


@dataclass(frozen=True)
class SunDay:
    """Every ten minutes from one hour to another; sun_h: hours of sun of each zone on the pour's day."""

    moments: list[Moment]
    sun_h: list[float]

    @property
    def dark(self) -> bool:
        """The sun does not rise: a polar night."""
        return all(one.elevation_deg <= 0 for one in self.moments)

    def shares_at(self, hours: Array, zone: int) -> Array:
        """Share of a zone in the sun at hours of any day: the sun of the days about is as good as the same."""
        own = np.array([one.hour_h for one in self.moments])
        rows = np.array([one.shares[zone] for one in self.moments])
        return np.asarray(np.interp(np.mod(hours, 24.0), own, rows, left=1.0, right=1.0))


def blockers_of(plan: Plan) -> list[Blocker]:
    """Everything that stands about and is higher than the slab."""
    rows = [
        Blocker([(x / 1000, y / 1000) for x, y in one.polygon], one.top_mm / 1000, one.base_mm / 1000)
        for one in plan.day.around
    ]
    rows += [
        Blocker([(x / 1000, y / 1000) for x, y in one.polygon], one.level_mm / 1000)
        for one in plan.existing
        if one.what in STANDING and one.level_mm > 0
    ]
    return rows


def sun_of(plan: Plan, clock: Clock, hour: float) -> Sun | None:
    """Where the sun stands at an hour of the clock; None without a place."""
    site = plan.site
    if site.latitude is None or site.longitude is None:
        return None
    return sun_at(site.latitude, site.longitude, clock.at(hour))


def sun_day(plan: Plan, clock: Clock, zones: Sequence[BaseGeometry], step_h: float = STEP_H) -> SunDay | None:
    """The day from midnight to midnight; None without a place. zones: on the plan, m."""
    hours = [at * step_h for at in range(round(24 / step_h) + 1)]
    suns = [found for hour in hours if (found := sun_of(plan, clock, hour)) is not None]
    if len(suns) < len(hours):
        return None
    shades = np.array(shadows(blockers_of(plan), suns, plan.site.north_deg))
    areas = np.array(list(zones))
    under = shapely.area(shapely.intersection(areas[None, :], shades[:, None])) / shapely.area(areas)[None, :]
    up = np.array([one.elevation_deg > 0 for one in suns])
    shares = np.where(up[:, None], 1 - under, 0.0)
    near = shapely.intersection(shades, shapely.union_all(areas).envelope.buffer(NEAR_M, join_style="mitre"))
    moments = [
        Moment(hour, sun.elevation_deg, sun.azimuth_deg, _rings(seen), row)
        for hour, sun, seen, row in zip(hours, suns, near, shares.tolist(), strict=True)
    ]
    sunny = [math.fsum(one.shares[zone] for one in moments[:-1]) * step_h for zone in range(len(zones))]
    return SunDay(moments, sunny)


def _rings(area: BaseGeometry) -> list[list[XY]]:
    polygons = [area] if isinstance(area, Polygon) else list(area.geoms) if isinstance(area, MultiPolygon) else []
    lines = [line for one in polygons if not one.is_empty for line in (one.exterior, *one.interiors)]
    return [[(round(x * 1000), round(y * 1000)) for x, y, *_ in line.coords[:-1]] for line in lines]


def side_words(azimuth_deg: float) -> str:
    """'south-east' of a bearing from true north."""
    names = ("north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west")
    return names[round(azimuth_deg / 45) % 8]
