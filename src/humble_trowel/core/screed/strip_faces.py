"""Parts of the slab between guides: which strip each is, how it is pulled, and what concrete it takes. Lengths mm.

A part that no strip of the plan names comes last, with an id made from where it lies.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
import shapely
from shapely.geometry import Polygon

from humble_trowel.core.geometry.solid import Solid, region_volume_m3
from humble_trowel.core.geometry.top_faces import Face, Top, face_at, faces_of, parting_lines, tops_of
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import made_id
from humble_trowel.core.plan.screed_parts import ScreedStrip
from humble_trowel.core.plan.screed_ways import ScreedWays
from humble_trowel.core.screed.borders import Stretch, border_of, things_along
from humble_trowel.core.screed.pulls import Pull, best_pull, pulls_of, rules_of


@dataclass(frozen=True)
class StripFace:
    """A face with the row that names it. pull: None where it cannot be pulled in one."""

    id: str
    row: ScreedStrip | None
    face: Face
    border: list[Stretch]
    pull: Pull | None
    m3: float


def strip_faces(plan: Plan, solid: Solid, ways: ScreedWays) -> tuple[list[Top], list[StripFace]]:
    """Every face in the order of the plan's strips, with how it is pulled; faces without a strip last."""
    tops = tops_of(solid.cells)
    faces = faces_of(tops, parting_lines(plan))
    along, rules = things_along(plan), rules_of(ways)
    rows: list[StripFace] = []
    left = list(faces)
    taken = {row.id for row in plan.screed.strips}
    for row, face in in_rows(plan.screed.strips, left):
        border = border_of(face, tops, along)
        pulls = pulls_of(face, border, rules)
        pull = best_pull(plan, ways, pulls, rules) if row is None or row.toward_deg is None else _toward(pulls, row)
        name = row.id if row else made_id("gs", [round(v) for v in face.spot], taken)
        rows.append(StripFace(name, row, face, border, pull, volume_m3(solid, face)))
    return tops, rows


def in_rows(strips: Sequence[ScreedStrip], faces: Sequence[Face]) -> list[tuple[ScreedStrip | None, Face]]:
    """Faces in the order of the strips that name them by a spot; the rest after them, from west to east."""
    left = list(faces)
    rows: list[tuple[ScreedStrip | None, Face]] = []
    for row in strips:
        found = face_at(left, row.at)
        if found is not None:
            left.remove(found)
            rows.append((row, found))
    return rows + [(None, face) for face in sorted(left, key=lambda one: one.spot)]


def _toward(pulls: Sequence[Pull], row: ScreedStrip) -> Pull | None:
    """The pull nearest to a bearing, in that sense."""
    way = math.sin(math.radians(row.toward_deg or 0.0)), math.cos(math.radians(row.toward_deg or 0.0))
    both = [one for pull in pulls for one in (pull, pull.turned)]
    return max(both, key=lambda one: one.way[0] * way[0] + one.way[1] * way[1], default=None)


def volume_m3(solid: Solid, face: Face) -> float:
    """Concrete under a face, with what thickens it there."""
    total = sum(
        region_volume_m3(facet.region.intersection(face.area), facet.plane)
        for cell in solid.cells
        for facet in cell.depths
        if facet.region.intersects(face.area)
    )
    if not solid.pieces:
        return total
    rings = np.array([Polygon(piece.ring) for piece in solid.pieces])
    shared = shapely.intersection(rings, face.area)
    areas = shapely.area(shared)
    for at in np.flatnonzero(areas > 1.0).tolist():
        middle = shapely.centroid(shared[at])
        total += float(areas[at]) * solid.pieces[at].excess.at(middle.x, middle.y) / 1e9
    return total


def border_levels(one: StripFace) -> list[tuple[Stretch, float, float]]:
    """Its border with the level of its top at both ends of each stretch."""
    plane = one.face.top.plane
    return [(row, plane.at(*row.start), plane.at(*row.end)) for row in one.border]
