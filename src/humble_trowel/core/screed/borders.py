"""What lies along the border of a face: a form, a step board, a wall, a floor that stands there, a pad line, or where two falls meet.

Lengths mm.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from itertools import pairwise
from typing import Literal

import shapely
from shapely.geometry import LineString, Point

from humble_trowel.core.forms.exposed import holding, reaches
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import point_along, side_of
from humble_trowel.core.geometry.top_faces import Face, Top, day_ends
from humble_trowel.core.plan.document import Plan

ON_MM = 4.0
OUT_MM = 20.0
STEP_MM = 6.0  # a smaller difference is where two falls meet
On = Literal["form", "step", "wall", "slab", "pad", "hip"]


@dataclass(frozen=True)
class Along:
    """A straight thing that a board may ride on. key: id of a pad line or a side, made of both tops where two falls meet."""

    on: On
    key: str
    line: LineString


@dataclass(frozen=True)
class Stretch:
    """A straight stretch of a face's border, and what lies along it."""

    start: XY
    end: XY
    on: On
    key: str

    @property
    def length_mm(self) -> float:
        """How long it is."""
        return math.dist(self.start, self.end)

    @property
    def turned(self) -> Stretch:
        """The same, from its end."""
        return replace(self, start=self.end, end=self.start)


def things_along(plan: Plan) -> list[Along]:
    """Pad lines, then the sides as they are formed or held by what stands there."""
    rows = [Along("pad", row.id, LineString([row.start, row.end])) for row in plan.screed.pads]
    rows += [Along("step", "", LineString(line)) for line in day_ends(plan)]
    ring = list(plan.outline or [])
    walls = {thing.name for thing in plan.existing if thing.what == "wall"}
    standing = holding(plan)
    for side in range(len(ring)):
        a, b = side_of(ring, side)
        for reach in reaches(plan, side, standing):
            line = LineString([point_along(a, b, reach.from_mm), point_along(a, b, reach.to_mm)])
            on: On = "form" if not reach.against else "wall" if reach.against in walls else "slab"
            rows.append(Along(on, plan.corner_ids[side] if side < len(plan.corner_ids) else "", line))
    return rows


def border_of(face: Face, tops: Sequence[Top], along: Sequence[Along]) -> list[Stretch]:
    """The border of a face, anticlockwise, straight stretch by straight stretch."""
    spots = [*face.ring, face.ring[0]]
    lines = [row.line for row in along]
    rows: list[Stretch] = []
    for a, b in pairwise(spots):
        if math.dist(a, b) < 0.5:
            continue
        middle = Point((a[0] + b[0]) / 2, (a[1] + b[1]) / 2)
        near: Sequence[float] = shapely.distance(lines, middle).tolist() if lines else []
        found = next((along[i] for i, far in enumerate(near) if far <= ON_MM), None)
        on, key = (found.on, found.key) if found else _other(face, tops, a, b)
        rows.append(Stretch(a, b, on, key))
    return rows


def _other(face: Face, tops: Sequence[Top], a: XY, b: XY) -> tuple[On, str]:
    """A step to another level, or where two falls meet; round a wide opening there is a form."""
    size = math.dist(a, b)
    middle = (a[0] + b[0]) / 2, (a[1] + b[1]) / 2
    outside = Point(middle[0] + (b[1] - a[1]) / size * OUT_MM, middle[1] - (b[0] - a[0]) / size * OUT_MM)
    other = next((i for i, top in enumerate(tops) if top is not face.top and top.area.contains(outside)), None)
    if other is None:
        return "form", ""
    if abs(tops[other].plane.at(*middle) - face.top.plane.at(*middle)) > STEP_MM:
        return "step", ""
    turn = math.atan2(b[1] - a[1], b[0] - a[0]) % math.pi
    off = middle[1] * math.cos(turn) - middle[0] * math.sin(turn)
    return "hip", f"hip-{math.degrees(turn):.0f}-{off / 10:.0f}"
