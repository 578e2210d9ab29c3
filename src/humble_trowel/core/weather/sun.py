"""Where the sun stands, what falls on the ground, and the shadows of what stands about. Degrees, m, W/m2; plan: x right, y up.

Source: the low-precision sun of Meeus as in the NOAA calculator, refraction included; Haurwitz 1945; Kasten and Czeplak 1980, +-15 %.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import UTC, datetime

import numpy as np
import shapely
from numpy.typing import NDArray
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY

LEAST_DEG = 3.0  # below it a shadow is more than 19 heights long


@dataclass(frozen=True)
class Sun:
    """elevation_deg: with refraction; azimuth_deg: clockwise from true north."""

    elevation_deg: float
    azimuth_deg: float


def sun_at(latitude_deg: float, longitude_deg: float, when: datetime) -> Sun:
    """Where it stands. when: with its offset. West is negative."""
    utc = when.astimezone(UTC)
    day = (utc - datetime(2000, 1, 1, 12, tzinfo=UTC)).total_seconds() / 86400
    t = day / 36525
    mean = (280.46646 + t * (36000.76983 + t * 0.0003032)) % 360
    anomaly = math.radians(357.52911 + t * (35999.05029 - 0.0001537 * t))
    oval = 0.016708634 - t * (0.000042037 + 0.0000001267 * t)
    centre = (
        math.sin(anomaly) * (1.914602 - t * (0.004817 + 0.000014 * t))
        + math.sin(2 * anomaly) * (0.019993 - 0.000101 * t)
        + math.sin(3 * anomaly) * 0.000289
    )
    node = math.radians(125.04 - 1934.136 * t)
    seen = math.radians(mean + centre - 0.00569 - 0.00478 * math.sin(node))
    tilt_s = 21.448 - t * (46.815 + t * (0.00059 - t * 0.001813))
    tilt = math.radians(23 + (26 + tilt_s / 60) / 60 + 0.00256 * math.cos(node))
    down = math.asin(math.sin(tilt) * math.sin(seen))
    y = math.tan(tilt / 2) ** 2
    long = math.radians(mean)
    equation = 4 * math.degrees(
        y * math.sin(2 * long) - 2 * oval * math.sin(anomaly) + 4 * oval * y * math.sin(anomaly) * math.cos(2 * long)
        - 0.5 * y * y * math.sin(4 * long) - 1.25 * oval * oval * math.sin(2 * anomaly)
    )  # fmt: skip
    minutes = utc.hour * 60 + utc.minute + utc.second / 60 + equation + 4 * longitude_deg
    angle = math.radians(minutes / 4 - 180)
    lat = math.radians(latitude_deg)
    up = math.asin(math.sin(lat) * math.sin(down) + math.cos(lat) * math.cos(down) * math.cos(angle))
    bearing = math.atan2(math.sin(angle), math.cos(angle) * math.sin(lat) - math.tan(down) * math.cos(lat))
    raw = math.degrees(up)
    return Sun(raw + _bent_deg(raw), (math.degrees(bearing) + 180) % 360)


def _bent_deg(raw_deg: float) -> float:
    """What the air lifts it."""
    if raw_deg > 85:
        return 0.0
    tan = math.tan(math.radians(raw_deg))
    if raw_deg > 5:
        seconds = 58.1 / tan - 0.07 / tan**3 + 0.000086 / tan**5
    elif raw_deg > -0.575:
        seconds = 1735 + raw_deg * (-518.2 + raw_deg * (103.4 + raw_deg * (-12.79 + raw_deg * 0.711)))
    else:
        seconds = -20.774 / tan
    return seconds / 3600


def haurwitz_w_m2(elevation_deg: float) -> float:
    """On the level under a clear sky; reads 12 to 17 % over the other."""
    sine = math.sin(math.radians(elevation_deg))
    return 1098 * sine * math.exp(-0.059 / sine) if sine > 0 else 0.0


def global_w_m2(elevation_deg: float, cloud_okta: float = 0.0) -> float:
    """On the level under clouds (Kasten and Czeplak)."""
    clear = max(0.0, 910 * math.sin(math.radians(elevation_deg)) - 30)
    return clear * (1 - 0.75 * math.pow(cloud_okta / 8, 3.4))


def diffuse_w_m2(elevation_deg: float, cloud_okta: float = 0.0) -> float:
    """What comes from the sky alone: what shade gets."""
    return global_w_m2(elevation_deg, cloud_okta) * (0.3 + 0.7 * (cloud_okta / 8) ** 2)


@dataclass(frozen=True)
class Blocker:
    """Something that stands about: its footprint, between its base and its top over the slab."""

    footprint: Sequence[XY]
    top_m: float
    base_m: float = 0.0


def _pieces(blocker: Blocker) -> list[list[XY]]:
    """Its footprint as convex rings: itself, or triangles."""
    whole = Polygon(blocker.footprint)
    if whole.convex_hull.area - whole.area < 1e-9:
        return [list(blocker.footprint)]
    return [shapely.get_coordinates(one)[:-1].tolist() for one in shapely.constrained_delaunay_triangles(whole).geoms]


def shadows(blockers: Sequence[Blocker], suns: Sequence[Sun], north_deg: float) -> list[BaseGeometry]:
    """What all of them shade on the slab's plane under each sun; nothing at night. north_deg: bearing of +y."""
    away = np.radians([one.azimuth_deg + 180 - north_deg for one in suns])
    reach = 1 / np.tan(np.radians([max(LEAST_DEG, one.elevation_deg) for one in suns]))
    steps = np.stack([np.sin(away) * reach, np.cos(away) * reach], 1)[:, None, None, :]
    hulls = []
    for one in blockers:
        for ring in _pieces(one):
            heights = np.array([one.base_m, one.top_m])[None, :, None, None]
            spots = (np.array(ring)[None, None] + steps * heights).reshape(len(suns), -1, 2)
            hulls.append(shapely.convex_hull(shapely.multipoints(shapely.points(spots))))
    if not hulls:
        return [Polygon() for _ in suns]
    whole: NDArray[np.object_] = np.asarray(shapely.union_all(np.stack(hulls, 1), axis=1))
    return [area if sun.elevation_deg > 0 else Polygon() for area, sun in zip(whole, suns, strict=True)]


def shadow(blocker: Blocker, sun: Sun, north_deg: float) -> BaseGeometry:
    """What one of them shades."""
    return shadows([blocker], [sun], north_deg)[0]


def sunny_share(zone: Sequence[XY], blockers: Sequence[Blocker], sun: Sun, north_deg: float) -> float:
    """How much of a zone lies in the sun; 0 at night."""
    if sun.elevation_deg <= 0:
        return 0.0
    area = Polygon(zone)
    shaded = shadows(blockers, [sun], north_deg)[0]
    return 1 - float(area.intersection(shaded).area) / area.area


def zone_w_m2(share: float, elevation_deg: float, cloud_okta: float) -> float:
    """What falls on a zone of which so much lies in the sun."""
    sky = diffuse_w_m2(elevation_deg, cloud_okta)
    return share * (global_w_m2(elevation_deg, cloud_okta) - sky) + sky
