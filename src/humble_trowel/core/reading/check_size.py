"""How large a slab may be: what a crew could pour, and what can be worked out while somebody waits."""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence

import numpy as np
import shapely

from humble_trowel.core.errors import PlanError
from humble_trowel.core.geometry.polygon import XY, signed_area_m2
from humble_trowel.core.geometry.ring import sides_of
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.units import format_area, say_depth, say_length

MOST_SIDE_MM = 300_000.0
MOST_AREA_M2 = 20_000.0
MOST_THICK_MM = 3_000.0
MOST_CROSSINGS = 2_000
MOST_RUNS = 2_000
MOST_SPOTS = 6_000


def check_pourable(plan: Plan) -> None:
    """Raise PlanError for a slab that no crew could pour: a side, the area, a thickness or a depth beyond all sense."""
    ring, units = plan.outline or [], plan.units
    for at, (a, b) in enumerate(sides_of(ring)):
        if math.dist(a, b) > MOST_SIDE_MM:
            long, most = say_length(math.dist(a, b), units), say_length(MOST_SIDE_MM, units)
            raise PlanError(f"{side_name(at, len(ring))} is {long} long. A side has {most} at most.", "outline")
    area = abs(signed_area_m2(ring))
    if area > MOST_AREA_M2:
        most = format_area(MOST_AREA_M2, units)
        raise PlanError(f"The outline holds {format_area(area, units)}. A slab has {most} at most.", "outline")
    thick = (
        *((f"slab_types[{at}].thickness_mm", row.mark, row.thickness_mm) for at, row in enumerate(plan.slab_types)),
        *((f"edge_types[{at}].depth_mm", row.mark, row.depth_mm) for at, row in enumerate(plan.edge_types)),
        *((f"beam_types[{at}].depth_mm", row.mark, row.depth_mm) for at, row in enumerate(plan.beam_types)),
        *((f"pad_types[{at}].depth_mm", row.mark, row.depth_mm) for at, row in enumerate(plan.pad_types)),
    )
    for path, mark, value in thick:
        if value is not None and value > MOST_THICK_MM:
            most = say_depth(MOST_THICK_MM, units)
            raise PlanError(f"{mark} is {say_depth(value, units)} deep. It has {most} at most.", path)


def check_work(plan: Plan) -> None:
    """Raise PlanError for more corners, or more crossings of beams and pads, than can be worked out while somebody waits."""
    spots = sum(map(len, _rings(plan)))
    if spots > MOST_SPOTS:
        words = f"All outlines, zones, openings and lines have {spots:,} points. {MOST_SPOTS:,} are allowed."
        raise PlanError(f"{words} Take the job apart.", "outline")
    parts = sum(len(beam.path) - 1 for beam in plan.beams) + len(plan.pads)
    if parts * (parts - 1) // 2 <= MOST_CROSSINGS:
        return
    if parts > MOST_RUNS:
        words = f"Beams and pads have {parts:,} straight runs. {MOST_RUNS:,} are allowed: take the job apart."
        raise PlanError(words, "beams")
    found = _crossings(plan)
    if found > MOST_CROSSINGS:
        words = (
            f"Beams and pads cross or touch at {found:,} places. {MOST_CROSSINGS:,} are allowed: take the job apart."
        )
        raise PlanError(words, "beams")


def _rings(plan: Plan) -> Iterator[Sequence[XY]]:
    """Every ring and line of points in a plan."""
    yield plan.outline or []
    yield from plan.openings
    yield from (zone.polygon or [] for zone in plan.zones)
    yield from (edge.along or [] for edge in plan.edges)
    yield from (beam.path for beam in plan.beams)
    yield from (recess.polygon for recess in plan.recesses)
    yield from (thing.polygon for thing in plan.existing)
    yield from (row.at for row in plan.piles)
    yield from (footing.path for footing in plan.footings)
    yield from (row.path for row in plan.laps)
    yield from (row.path for row in plan.sidewalks)
    yield from (row.path for row in plan.ramps)


def _crossings(plan: Plan) -> int:
    """Pairs of straight runs of beams, and of pads, that come within their widths of each other."""
    kinds = {row.mark: row for row in plan.beam_types}
    pads = {row.mark: row for row in plan.pad_types}
    lines, reach = [], []
    for beam in plan.beams:
        kind = kinds[beam.type]
        wide = kind.width_mm / 2 + kind.depth_mm * (kind.haunch_run_per_rise or 0.0)
        for a, b in zip(beam.path, beam.path[1:], strict=False):
            lines.append([a, b])
            reach.append(wide)
    for pad in plan.pads:
        size = pads[pad.type]
        wide = max(size.width_mm or 0.0, size.length_mm or 0.0, size.diameter_mm or 0.0) / 2
        lines.append([pad.at, (pad.at[0] + 1.0, pad.at[1])])
        reach.append(wide)
    shapes = shapely.buffer(shapely.linestrings(np.array(lines)), np.array(reach), cap_style="flat", quad_segs=1)
    one, other = shapely.STRtree(shapes).query(shapes, predicate="intersects")
    return int(np.count_nonzero(one < other))
