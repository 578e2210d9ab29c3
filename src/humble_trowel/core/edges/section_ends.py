"""Where a section leaves the slab: which side it crosses, what stands there, the ground and the frost line outside."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import NamedTuple

from humble_trowel.core.edges.outside import outside_at
from humble_trowel.core.edges.section_line import Span
from humble_trowel.core.forms.exposed import reaches
from humble_trowel.core.forms.side_form import SideForm, side_form
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import distance_to_side, side_of
from humble_trowel.core.geometry.rounds import find_arcs
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.document import Existing, Plan, side_name
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import say_depth

NEAR_MM = 5.0


@dataclass(frozen=True)
class BoardDrawn:
    """A form board seen in the cut. top_mm, deep_mm: its top edge as a level, and its height."""

    mark: str
    top_mm: float
    deep_mm: float


@dataclass(frozen=True)
class SectionEnd:
    """s_mm: where the face is. outward: -1 where the outside lies toward smaller s, else 1. against: what stands there.

    ground_mm, frost_mm: levels outside, None where nobody said. plate_over_mm: how far the sill plate stands out past
    the concrete. square: whether the cut crosses the side at a right angle (sizes may then be typed on it). short_text: how far the bottom stays above frost, '' where it reaches. buried_text: how far it lies under the ground outside, '' where nobody said.
    """

    s_mm: float
    outward: int
    side: int
    name: str
    mark: str | None
    kind: str
    top_mm: float
    bottom_mm: float
    against: str
    against_level_mm: float | None
    ground_mm: float | None
    frost_mm: float | None
    foam_mm: float
    foam_inside: bool
    foam_past_mm: float
    cut_back_mm: float
    cut_back_high_mm: float
    isolation_mm: float
    plate_mm: float
    plate_over_mm: float
    boards: list[BoardDrawn]
    square: bool
    short_text: str
    buried_text: str


def section_ends(plan: Plan, solid: Solid, ways: JobWays, a: XY, b: XY, spans: Sequence[Span]) -> list[SectionEnd]:
    """The faces that the line crosses at its first and its last concrete, where they lie on the outline."""
    ends = []
    for span, first in ((spans[0], True), (spans[-1], False)):
        s = span.s0_mm if first else span.s1_mm
        t = s / math.dist(a, b)
        spot = (a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]))
        side = _side_at(plan, spot)
        if side is not None:
            top, bottom = (span.top0_mm, span.bottom0_mm) if first else (span.top1_mm, span.bottom1_mm)
            ends.append(_end(plan, solid, ways, side, Leaving(spot, s, top, bottom, -1 if first else 1), (a, b)))
    return ends


def _side_at(plan: Plan, spot: XY) -> int | None:
    ring = plan.outline or []
    near = [(distance_to_side(spot, p, ring[(i + 1) % len(ring)]), i) for i, p in enumerate(ring)]
    best = min(near, default=(math.inf, 0))
    return best[1] if best[0] < NEAR_MM else None


class Leaving(NamedTuple):
    """Where the line leaves the slab: the spot, how far along the line, top and bottom there, and which way is out."""

    spot: XY
    s_mm: float
    top_mm: float
    bottom_mm: float
    outward: int


def _end(plan: Plan, solid: Solid, ways: JobWays, side: int, leaving: Leaving, line: tuple[XY, XY]) -> SectionEnd:
    ring = plan.outline or []
    p, q = side_of(ring, side)
    spot, s, top, bottom, outward = leaving
    mark = next((edge.type for edge in plan.edges if side in (edge.sides or ())), None)
    kind = next((row for row in plan.edge_types if row.mark == mark), None)
    at = math.dist(p, spot)
    standing = next((reach.against for reach in reaches(plan, side) if reach.from_mm <= at <= reach.to_mm), "")
    thing = next((row for row in plan.existing if row.name == standing), None)
    ground = outside_at(plan, side, at).level_mm
    frost = plan.site.frost_depth_mm
    cosine = abs((q[0] - p[0]) * (line[1][0] - line[0][0]) + (q[1] - p[1]) * (line[1][1] - line[0][1]))
    foam = (kind.foam_mm if kind else None) or 0.0
    over = kind.plate_over_mm if kind and kind.plate_over_mm is not None else foam
    return SectionEnd(
        s_mm=s, outward=outward, side=side, name=side_name(side, len(ring)), mark=mark,
        kind=kind.kind if kind else "plain", top_mm=top, bottom_mm=bottom, against=standing,
        against_level_mm=_level_of(thing, spot), ground_mm=ground,
        frost_mm=None if ground is None or frost is None else ground - frost, foam_mm=foam,
        foam_inside=kind is not None and kind.foam_side == "inside", foam_past_mm=(kind.foam_past_mm if kind else None) or 0.0,
        cut_back_mm=(kind.cut_back_mm if kind else None) or 0.0, cut_back_high_mm=(kind.cut_back_high_mm if kind else None) or 0.0,
        isolation_mm=(kind.isolation_mm if kind else None) or 0.0, plate_mm=(kind.plate_mm if kind else None) or 0.0,
        plate_over_mm=over if kind and kind.plate_mm else 0.0,
        boards=[] if standing else _boards(_form(plan, solid, ways, side), at, top),
        square=cosine < 1e-3 * math.dist(p, q) * math.dist(*line), short_text=_short(plan, bottom, ground),
        buried_text="" if ground is None else say_depth(max(0.0, ground - bottom), plan.units),
    )  # fmt: skip


def _short(plan: Plan, bottom: float, ground: float | None) -> str:
    if ground is None or plan.site.frost_depth_mm is None:
        return ""
    short = bottom - (ground - plan.site.frost_depth_mm)
    return say_depth(short, plan.units) if short > 0.5 else ""


def _level_of(thing: Existing | None, spot: XY) -> float | None:
    """Level of a thing that stands, at the measured point nearest to the spot."""
    if thing is None:
        return None
    near = min(thing.levels, key=lambda row: math.dist(row.at, spot), default=None)
    return near.level_mm if near else thing.level_mm


def _form(plan: Plan, solid: Solid, ways: JobWays, side: int) -> SideForm:
    own = ways.forms
    deep = {row.mark: row.depth_mm or 0.0 for row in plan.edge_types if row.kind == "thickened"}
    mark = next((edge.type for edge in plan.edges if side in (edge.sides or ())), "")
    arc = next((arc for arc in find_arcs(list(plan.outline or [])) if side in arc.sides), None)
    return side_form(plan, solid.cells, side, own, deep.get(mark, 0.0), arc)


def _boards(form: SideForm, at_mm: float, top_mm: float) -> list[BoardDrawn]:
    return [
        BoardDrawn(row.board, top_mm - row.top_mm, row.deep_mm)
        for row in form.courses
        if row.from_mm - 1 <= at_mm <= row.to_mm + 1
    ]
