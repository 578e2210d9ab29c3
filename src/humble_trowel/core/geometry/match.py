"""Matching an existing floor: its measured levels along the joint beside the new slab's top, and the fall that follows."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from shapely.geometry import LineString, Point, Polygon

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.guard import answers
from humble_trowel.core.plan.document import Existing, Plan, side_name
from humble_trowel.core.units import say_depth, say_length

NEAR_MM = 300.0
INSIDE_MM = 5.0
EVEN_MM = 3.2  # 1/8 in, about what a joint may step without tripping a wheel: house figure


@dataclass(frozen=True)
class MatchPoint:
    """One measured level. at_mm: along the side. off_mm: how far the new top stands above it (below 0: under it)."""

    at_mm: float
    level_mm: float
    top_mm: float
    off_mm: float
    words: str


@dataclass(frozen=True)
class Match:
    """A side against something measured. zone: index of the zone beside it. best: level at the side's start and per
    mm along it, by least squares; left_mm: the worst that a straight joint still leaves."""

    side: int
    name: str
    against: str
    zone: int
    points: list[MatchPoint]
    best_start_mm: float
    best_per_mm: float
    left_mm: float
    worst_mm: float
    words: str


@answers("Old floors")
def matches(plan: Plan, cells: list[Cell]) -> list[Match]:
    """Every side with a measured level on what stands against it; a level near a corner counts for one side."""
    ring = plan.outline or []
    rows = []
    for side, a in enumerate(ring):
        b = ring[(side + 1) % len(ring)]
        for thing in plan.existing:
            if LineString([a, b]).distance(Polygon(thing.polygon)) < NEAR_MM / 10:
                match = _match(plan, cells, side, a, b, thing)
                if match is not None:
                    rows.append(match)
    return [row for at, row in enumerate(rows) if len(row.points) > 1 or not _elsewhere(row, rows[:at], rows)]


def _elsewhere(lone: Match, before: Sequence[Match], rows: Sequence[Match]) -> bool:
    """Whether a side's only level belongs to a side round the corner, or is said there already."""
    same = [row for row in rows if row.against == lone.against and row is not lone]
    return any(len(row.points) > 1 or row in before for row in same)


def _match(plan: Plan, cells: list[Cell], side: int, a: XY, b: XY, thing: Existing) -> Match | None:
    size = math.dist(a, b)
    ux, uy = (b[0] - a[0]) / size, (b[1] - a[1]) / size
    found = []
    for row in thing.levels:
        at = (row.at[0] - a[0]) * ux + (row.at[1] - a[1]) * uy
        away = abs((row.at[0] - a[0]) * uy - (row.at[1] - a[1]) * ux)
        if -NEAR_MM <= at <= size + NEAR_MM and away <= NEAR_MM:
            found.append((min(size, max(0.0, at)), row.level_mm))
    if not found:
        return None
    found.sort()
    middle = (a[0] + ux * size / 2 - uy * INSIDE_MM, a[1] + uy * size / 2 + ux * INSIDE_MM)
    cell = min(cells, key=lambda one: one.region.distance(Point(middle)))
    points = []
    for at, level in found:
        top = cell.top_at((a[0] + ux * at - uy * INSIDE_MM, a[1] + uy * at + ux * INSIDE_MM))
        points.append(MatchPoint(at, level, top, top - level, _point_words(plan, at, top - level)))
    stations, levels = np.array([row[0] for row in found]), np.array([row[1] for row in found])
    spread = np.ptp(stations) > 1.0
    per, start = np.polyfit(stations, levels, 1) if spread else (0.0, float(levels.mean()))
    left = float(np.abs(levels - (start + per * stations)).max())
    worst = max(points, key=lambda row: abs(row.off_mm))
    name = side_name(side, len(plan.outline or []))
    words = f"{thing.name} along {name}: the new floor is off by up to {say_depth(abs(worst.off_mm), plan.units)}; "
    words += f"a straight fall along it leaves {say_depth(left, plan.units)}."
    if len(points) == 1:
        words = f"{thing.name} along {name}, {points[0].words} Measure a second spot, then the zone can follow it."
    return Match(
        side=side, name=name, against=thing.name, zone=cell.index, points=points, best_start_mm=float(start),
        best_per_mm=float(per), left_mm=left, worst_mm=worst.off_mm, words=words,
    )  # fmt: skip


def _point_words(plan: Plan, at: float, off: float) -> str:
    where = f"{say_length(at, plan.units)} along"
    if abs(off) < 0.8:
        return f"{where}: meets."
    return f"{where}: new floor {say_depth(abs(off), plan.units)} {'high' if off > 0 else 'low'}."
