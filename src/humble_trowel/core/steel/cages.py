"""Cages of edges, beams and pads: long bars at their heights, corner bars, stirrups. Lengths mm, levels over the finished top.

Long bars stand inside the stirrups, evenly from cover to cover. At corners they are bent round with legs, or run through to the
other face's cover and cross.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

import shapely
from shapely.geometry import LineString, Point, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.pads import pad_ring
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.strips import Run, edge_runs
from humble_trowel.core.plan.bars import bar_of
from humble_trowel.core.plan.steel_parts import Cage, CageBars
from humble_trowel.core.steel.bends import bent_mm, stirrup_mm
from humble_trowel.core.steel.frame import Frame
from humble_trowel.core.steel.heads import head_long_mm, heads_laid, piles_of
from humble_trowel.core.steel.laid import Laid, Shape, along, counted, evenly, lines_of, shifted, spliced_lengths
from humble_trowel.core.steel.mats import STUB_MM, layer, pieces_of

Runs = Sequence[tuple[XY, XY, Run | None]]
LEAST_LEG_MM = 200.0
LEVEL_WORDS = {"top": "top", "middle": "middle", "bottom": "bottom"}


@dataclass(frozen=True)
class Box:
    """Where a cage stands in its part. wide_mm, deep_mm: of the part; side_mm: cover at the face that bars are measured from,
    far_mm: at the other; tie: diameter of the stirrup, 0 without."""

    wide_mm: float
    deep_mm: float
    side_mm: float
    far_mm: float
    bottom_mm: float
    top_mm: float
    tie_mm: float

    @property
    def stirrup(self) -> tuple[float, float]:
        """Width and height of a stirrup, out to out."""
        return self.wide_mm - self.side_mm - self.far_mm, self.deep_mm - self.top_mm - self.bottom_mm

    def offsets(self, row: CageBars) -> list[float]:
        """Of the bars of a row, from the face."""
        d = bar_of(row.bar).d_mm
        return evenly(row.count, self.side_mm + self.tie_mm + d / 2, self.wide_mm - self.far_mm - self.tie_mm - d / 2)

    def level(self, row: CageBars) -> float:
        """Of the middle of a row, over the finished top."""
        d = bar_of(row.bar).d_mm
        high, low = -(self.top_mm + self.tie_mm + d / 2), -(self.deep_mm - self.bottom_mm - self.tie_mm - d / 2)
        return {"top": high, "bottom": low, "middle": (high + low) / 2}[row.level]

    def gap(self, row: CageBars) -> float | None:
        """Clear between bars of a row; None for one."""
        if row.count < 2:
            return None
        at = self.offsets(row)
        return at[1] - at[0] - bar_of(row.bar).d_mm


def box_of(frame: Frame, cage: Cage) -> Box | None:
    """The box of a cage in its type; None where the type is not there, or has no size."""
    ways, plan = frame.ways, frame.plan
    tie = bar_of(cage.stirrup).d_mm if cage.stirrup else 0.0
    bottom = ways.earth_mm if cage.bottom_mm is None else cage.bottom_mm
    top = ways.top_mm if cage.top_mm is None else cage.top_mm
    if cage.of == "edge":
        edge = next((row for row in plan.edge_types if row.mark == cage.mark and row.kind == "thickened"), None)
        if edge is None:
            return None
        near = ways.side_mm if cage.side_mm is None else cage.side_mm
        far = ways.earth_mm if cage.side_mm is None else cage.side_mm
        return Box(edge.bottom_width_mm or 0.0, edge.depth_mm or 0.0, near, far, bottom, top, tie)
    if cage.of == "pile":
        piles, over = piles_of(frame, cage), ways.side_mm if cage.bottom_mm is None else cage.bottom_mm
        if piles is None:
            return None
        return Box(head_long_mm(cage, piles), piles.head_down_mm, 0.0, 0.0, over, top, 0.0)
    side = ways.earth_mm if cage.side_mm is None else cage.side_mm
    if cage.of == "beam":
        beam = next((row for row in plan.beam_types if row.mark == cage.mark), None)
        return None if beam is None else Box(beam.width_mm, beam.depth_mm, side, side, bottom, top, tie)
    pad = next((row for row in plan.pad_types if row.mark == cage.mark), None)
    if pad is None:
        return None
    return Box(pad.diameter_mm or pad.width_mm or 0.0, pad.depth_mm, side, side, bottom, top, tie)


def cage_laid(frame: Frame, cage: Cage) -> list[Laid]:
    """Every bar of one cage. Raises InputError for stirrups smaller than their bends, ValueError for a lap longer than a bar."""
    box = box_of(frame, cage)
    if box is None or min(box.stirrup) <= 0:
        return []
    if cage.of == "pad":
        return _pads(frame, cage, box)
    if cage.of == "pile":
        return heads_laid(frame, cage, box.bottom_mm)
    room = frame.inset(min(box.side_mm, box.far_mm) - 1.0)
    if cage.of == "edge":
        runs = [(run.start, run.end, run) for run in edge_runs(frame.plan) if run.kind.mark == cage.mark]
        return [
            *_long(frame, cage, box, runs, room),
            *_corners(frame, cage, box, [run for *_, run in runs], room),
            *_stirrups(cage, box, runs, room),
        ]
    legs = [leg for beam in frame.plan.beams if beam.type == cage.mark for leg in pairwise(beam.path)]
    beams: Runs = [(*_right_face(a, b, box.wide_mm / 2), None) for a, b in legs]
    return [*_long(frame, cage, box, beams, room), *_stirrups(cage, box, beams, room)]


def _right_face(a: XY, b: XY, half: float) -> tuple[XY, XY]:
    """A beam's face on the right of its way from a to b: its cage is measured from there."""
    (ux, uy), _ = along(a, b)
    return (a[0] + uy * half, a[1] - ux * half), (b[0] + uy * half, b[1] - ux * half)


def _long(frame: Frame, cage: Cage, box: Box, runs: Runs, room: BaseGeometry) -> list[Laid]:
    """Long bars, a mark a row."""
    found = []
    for at, row in enumerate(cage.bars):
        bar = bar_of(row.bar)
        stock, lap = frame.stock_mm(bar), frame.lap(bar, cage.lap_mm, row.level == "top" and box.deep_mm > 12 * 25.4)
        lines: list[tuple[XY, XY]] = []
        for start, end, run in runs:
            way, size = along(start, end)
            left = (-way[1], way[0])
            low, high = (
                _reach(box, run.before if run else None, size)[0],
                _reach(box, run.after if run else None, size)[1],
            )
            for off in box.offsets(row):
                line = LineString([shifted(start, way, low, left, off), shifted(start, way, high, left, off)])
                lines += _kept(line.intersection(room), shifted(start, way, size / 2, left, off))
        if lines:
            pieces = counted(
                piece
                for i, (a, b) in enumerate(lines)
                for piece in spliced_lengths(math.dist(a, b), stock, lap, bool(i % 2))
            )
            words = f"{bar.name} {LEVEL_WORDS[row.level]} in {cage.mark}"
            key = f"{cage.of}/{cage.mark}/{row.level}/{at}"
            found.append(Laid(key, words, bar, "straight", pieces, lines_of(lines), box.level(row), lap_mm=lap))
    return found


def _reach(box: Box, met: object, size: float) -> tuple[float, float]:
    """How far along a run its bars begin and end: past its ends where another run is met; the cover cuts them off there."""
    past = box.wide_mm if met is not None else 0.0
    return -past, size + past


def _kept(shape: BaseGeometry, near: XY) -> list[tuple[XY, XY]]:
    parts = [one for one in shapely.get_parts(shape) if one.geom_type == "LineString" and one.length >= STUB_MM]
    if not parts:
        return []
    best = min(parts, key=lambda one: one.distance(Point(near)))
    return [(best.coords[0], best.coords[-1])]


def _corners(frame: Frame, cage: Cage, box: Box, runs: Sequence[Run], room: BaseGeometry) -> list[Laid]:
    """Bars bent round every corner at which two runs of this cage meet, one beside each long bar."""
    if (cage.corners or frame.ways.corners) != "bent":
        return []
    leg = cage.leg_mm or frame.ways.leg_mm
    by: dict[tuple[str, float, float, float], list[tuple[XY, ...]]] = {}
    starts = {run.start: run for run in runs if not run.inside}
    for run in runs:
        after = starts.get(run.end)
        if run.inside or after is None:
            continue
        u, size_u = along(run.end, run.start)
        v, size_v = along(after.start, after.end)
        turn = 180.0 - math.degrees(math.acos(max(-1.0, min(1.0, u[0] * v[0] + u[1] * v[1]))))
        if not 5.0 < turn < 175.0:
            continue
        for row in cage.bars:
            for off in box.offsets(row):
                spot = _meets(run, after, off)
                one, other = _free(room, spot, u, min(leg, size_u)), _free(room, spot, v, min(leg, size_v))
                if min(one, other) >= LEAST_LEG_MM:
                    line = (shifted(spot, u, one), spot, shifted(spot, v, other))
                    by.setdefault((row.bar, round(turn, 1), one, other), []).append(line)
    found = []
    for at, ((name, turn, one, other), lines) in enumerate(by.items()):
        bar = bar_of(name)
        cut = bent_mm(bar, [one, other], [turn])
        words = f"{bar.name} corner of {cage.mark}, bent {turn:g}°"
        found.append(
            Laid(
                f"{cage.of}/{cage.mark}/corner/{name}/{turn:g}/{at}",
                words,
                bar,
                "bent",
                counted([cut] * len(lines)),
                tuple(lines),
                None,
                (one, other),
                (turn,),
            )
        )
    return found


def _free(room: BaseGeometry, spot: XY, way: XY, leg: float) -> float:
    """How far a leg goes from a corner before its cover ends, in whole mm."""
    part = LineString([spot, shifted(spot, way, leg)]).intersection(room)
    own = [one.length for one in shapely.get_parts(part) if one.distance(Point(spot)) < 1e-3]
    return min(leg, float(math.floor(max(own, default=0.0) + 1e-6)))


def _meets(run: Run, after: Run, off: float) -> XY:
    """Where lines beside two runs, `off` to their left, meet."""
    (ux, uy), _ = along(run.start, run.end)
    (vx, vy), _ = along(after.start, after.end)
    p, q = (run.end[0] - uy * off, run.end[1] + ux * off), (after.start[0] - vy * off, after.start[1] + vx * off)
    cross = ux * vy - uy * vx
    t = ((q[0] - p[0]) * vy - (q[1] - p[1]) * vx) / cross
    return p[0] + ux * t, p[1] + uy * t


def _stirrups(cage: Cage, box: Box, runs: Runs, room: BaseGeometry) -> list[Laid]:
    if cage.stirrup is None or cage.stirrup_mm is None:
        return []
    bar, (wide, high) = bar_of(cage.stirrup), box.stirrup
    cut = stirrup_mm(bar, wide, high, cage.hook)
    ticks: list[tuple[XY, ...]] = []
    for start, end, _ in runs:
        way, size = along(start, end)
        left = (-way[1], way[0])
        inside = size - 2 * box.side_mm
        if inside <= 0:
            continue
        count = math.ceil(inside / cage.stirrup_mm - 1e-9) + 1
        for s in evenly(count, box.side_mm, size - box.side_mm):
            tick = (shifted(start, way, s, left, box.side_mm), shifted(start, way, s, left, box.wide_mm - box.far_mm))
            if room.covers(LineString(tick)):
                ticks.append(tick)
    if not ticks:
        return []
    words = f"{bar.name} stirrup of {cage.mark}"
    return [
        Laid(
            f"{cage.of}/{cage.mark}/stirrup",
            words,
            bar,
            "stirrup",
            counted([cut] * len(ticks)),
            tuple(ticks),
            None,
            (wide, high),
            (float(cage.hook),),
        )
    ]


def _pads(frame: Frame, cage: Cage, box: Box) -> list[Laid]:
    """Bars each way in the bottom of every pad of a type."""
    kind = next(row for row in frame.plan.pad_types if row.mark == cage.mark)
    if cage.each_way is None or cage.each_mm is None:
        return []
    bar = bar_of(cage.each_way)
    stock, lap = frame.stock_mm(bar), frame.lap(bar, cage.lap_mm)
    low = -(box.deep_mm - box.bottom_mm - bar.d_mm / 2)
    found = []
    shape: Shape = "straight"
    for at in range(2):
        rows = []
        for pad in frame.plan.pads:
            if pad.type == cage.mark:
                foot = Polygon(pad_ring(kind, pad)).buffer(-box.side_mm, join_style="mitre")
                rows += layer(foot, cage.each_mm, pad.turn_deg + 90.0 * at, stock, lap, stub=box.side_mm).bars
        if rows:
            pieces = counted(piece for row in rows for piece in pieces_of(row, stock, lap))
            words = f"{bar.name} in {cage.mark}, {'one way' if at == 0 else 'the other way'}"
            found.append(
                Laid(
                    f"pad/{cage.mark}/{at}",
                    words,
                    bar,
                    shape,
                    pieces,
                    lines_of([row.ends for row in rows]),
                    low + bar.d_mm * at,
                    lap_mm=lap,
                )
            )
    return found
