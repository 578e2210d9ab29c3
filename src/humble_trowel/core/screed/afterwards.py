"""What follows the strips: things are set in the order in which they are struck, joints are cut where the concrete is oldest first."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

import shapely
from shapely.geometry import LineString, Point

from humble_trowel.core.embeds.told import EmbedsTold
from humble_trowel.core.joints.told import JointsTold
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.screed.strips import StripsLaid
from humble_trowel.core.screed.told import clock_of, time_at

CROSSED_MM = 50.0


def set_in_order(plan: Plan, told: EmbedsTold, laid: StripsLaid) -> EmbedsTold:
    """Things to set, strip by strip, each with its strip and when that is struck."""
    clock = clock_of(plan)
    areas = [row.strip.area for row in laid.strips]
    if not areas or not told.items:
        return told
    rows = []
    for item in told.items:
        far = shapely.distance(areas, Point(item.spot))
        strip = laid.strips[int(far.argmin())]
        rows.append(replace(item, strip=strip.n, strip_text=time_at(clock, strip.strip.end_min)))
    return replace(told, items=sorted(rows, key=lambda row: row.strip))


def cut_in_order(told: JointsTold, laid: StripsLaid) -> JointsTold:
    """Joints from the one whose youngest concrete is oldest; each with the strip after which it can be cut."""
    areas = [row.strip.area for row in laid.strips]
    if not areas:
        return told
    rows = [replace(row, strip=_youngest(LineString([row.start, row.end]), areas)) for row in told.lines]
    return replace(told, lines=sorted(rows, key=lambda row: row.strip))


def _youngest(line: LineString, areas: Sequence[shapely.Polygon]) -> int:
    crossed = shapely.length(shapely.intersection(areas, line))
    return max((i + 1 for i, size in enumerate(crossed.tolist()) if size > CROSSED_MM), default=0)
