"""A run along its length: concrete over it, what lies under that, beams and walls that it passes, exactly.

Rule: between two places where anything changes, the underside of the concrete, the layers under it and the pipe are
straight, so that where one meets the other is worked out, not sampled.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from shapely.geometry import LineString, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.edges.section_line import section_line
from humble_trowel.core.geometry.below import Stood
from humble_trowel.core.geometry.pipes import Leg, bottom_at, legs_of, round_mm
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.ground.stack import build_up_of
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.underslab_parts import Service

LEAST_MM = 1.0


@dataclass(frozen=True)
class RunStretch:
    """Between two places along a run: levels of the slab's top, of the concrete's underside, of the lowest foam's underside
    (the concrete's where there is none) and of the ground under the layers. part: number of the beam, edge or pad that the
    concrete is, None for the slab alone."""

    s0_mm: float
    s1_mm: float
    top0_mm: float
    top1_mm: float
    under0_mm: float
    under1_mm: float
    foam_mm: float
    base_mm: float
    zone: int
    part: int | None


@dataclass(frozen=True)
class Passing:
    """A stretch of a run inside something: a beam, an edge, a pad, a wall or a footing. part: its number in the slab's
    parts, None for walls and footings."""

    name: str
    kind: str
    s0_mm: float
    s1_mm: float
    part: int | None


def stretches_of(plan: Plan, solid: Solid, service: Service) -> list[RunStretch]:
    """What lies over a run, in the order of its length; nothing where it has left the slab."""
    found = []
    layers = {cell.index: _layers(plan, cell.mark) for cell in solid.cells}
    for leg in legs_of(service.path):
        for span in section_line(solid, leg.a, leg.b):
            foam, base = layers[span.zone]
            found.append(
                RunStretch(
                    leg.start_mm + span.s0_mm, leg.start_mm + span.s1_mm, span.top0_mm, span.top1_mm, span.bottom0_mm,
                    span.bottom1_mm, foam, base, span.zone, span.part,
                )
            )  # fmt: skip
    return found


def _layers(plan: Plan, mark: str) -> tuple[float, float]:
    """(thickness down to the lowest foam's underside, of all layers under the slab)."""
    layers = build_up_of(plan, mark).layers
    at = next(i for i, layer in enumerate(layers) if layer.kind == "slab")
    depth = foam = 0.0
    for layer in layers[at + 1 :]:
        if layer.kind == "native":
            break
        depth += layer.thickness_mm or 0.0
        if layer.kind == "foam":
            foam = depth
    return foam, depth


def runs_over(one: tuple[float, float], other: tuple[float, float], size: float) -> tuple[float, float] | None:
    """Where a straight value is above another along a stretch of `size`: (from, to), None where it never is. Each is its
    value at the stretch's two ends."""
    d0, d1 = one[0] - other[0], one[1] - other[1]
    if max(d0, d1) <= LEAST_MM * 1e-3:
        return None
    start, end = 0.0, size
    if d0 < 0:
        start = size * d0 / (d0 - d1)
    if d1 < 0:
        end = size * d0 / (d0 - d1)
    return start, end


def too_high(service: Service, rows: Sequence[RunStretch], foam: bool) -> list[tuple[float, float, float]]:
    """Where the pipe's top is in the slab, or with `foam` in the foam under it: (from, to, how far at most), mm; beams and
    edges are passed through and do not count."""
    thick, found = round_mm(service), []
    for row in rows:
        if row.part is not None or (foam and row.foam_mm <= 0):
            continue
        size = row.s1_mm - row.s0_mm
        top = (bottom_at(service, row.s0_mm) + thick, bottom_at(service, row.s1_mm) + thick)
        down = row.foam_mm if foam else 0.0
        under = (row.under0_mm - down, row.under1_mm - down)
        part = runs_over(top, under, size)
        if part is None:
            continue
        over = max(t - u for t, u in zip(top, under, strict=True))
        found.append((row.s0_mm + part[0], row.s0_mm + part[1], over))
    return _joined(found)


def _joined(rows: Sequence[tuple[float, float, float]]) -> list[tuple[float, float, float]]:
    found: list[tuple[float, float, float]] = []
    for row in rows:
        if found and row[0] - found[-1][1] < LEAST_MM:
            found[-1] = (found[-1][0], row[1], max(found[-1][2], row[2]))
        else:
            found.append(row)
    return [row for row in found if row[1] - row[0] > LEAST_MM]


def through_parts(
    service: Service, rows: Sequence[RunStretch], names: Sequence[str], kinds: Sequence[str]
) -> list[Passing]:
    """Beams, edges and pads that a run passes through: where their concrete goes down into the pipe. names, kinds: of the
    slab's parts by number."""
    thick = round_mm(service)
    found: list[Passing] = []
    for row in rows:
        if row.part is None:
            continue
        top = (bottom_at(service, row.s0_mm) + thick, bottom_at(service, row.s1_mm) + thick)
        part = runs_over(top, (row.under0_mm, row.under1_mm), row.s1_mm - row.s0_mm)
        if part is None:
            continue
        ends = row.s0_mm + part[0], row.s0_mm + part[1]
        last = found[-1] if found else None
        if last is not None and last.part == row.part and ends[0] - last.s1_mm < LEAST_MM:
            found[-1] = Passing(last.name, last.kind, last.s0_mm, ends[1], last.part)
        else:
            found.append(Passing(names[row.part], kinds[row.part], *ends, row.part))
    return [row for row in found if row.s1_mm - row.s0_mm > LEAST_MM]


def through_stood(service: Service, stood: Sequence[tuple[str, str, Stood]]) -> list[Passing]:
    """Walls and footings that a run passes through. stood: (name, kind, region between two levels)."""
    thick, found = round_mm(service), []
    for name, kind, body in stood:
        for leg in legs_of(service.path):
            for s0, s1 in _inside(leg, body.region):
                low = (bottom_at(service, s0), bottom_at(service, s1))
                over = runs_over((body.top_mm, body.top_mm), low, s1 - s0)
                under = runs_over((low[0] + thick, low[1] + thick), (body.bottom_mm, body.bottom_mm), s1 - s0)
                if over is None or under is None:
                    continue
                start, end = s0 + max(over[0], under[0]), s0 + min(over[1], under[1])
                if end - start > LEAST_MM:
                    found.append(Passing(name, kind, start, end, None))
    return found


def _inside(leg: Leg, region: BaseGeometry) -> list[tuple[float, float]]:
    shared = LineString([leg.a, leg.b]).intersection(region)
    found = []
    for part in getattr(shared, "geoms", [shared]):
        if part.length > LEAST_MM:
            ends = sorted(math.dist(leg.a, spot) for spot in part.coords)
            found.append((leg.start_mm + ends[0], leg.start_mm + ends[-1]))
    return found


def outline_region(plan: Plan) -> BaseGeometry:
    """The slab on plan."""
    return Polygon(plan.outline) if plan.outline else Polygon()
