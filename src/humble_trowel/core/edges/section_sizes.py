"""Sizes on a cut: what each part measures where the line crosses it, and what may be typed there."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

from humble_trowel.core.edges.section_line import Span
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import BeamType, EdgeType, PadType
from humble_trowel.core.units import say_depth

SAME_MM = 0.6
LEAST_STEP_MM = 1.0


@dataclass(frozen=True)
class SectionSize:
    """A size from (s0_mm, z0_mm) to (s1_mm, z1_mm), upright where both s are one. kind: slab, edge, beam, pad, recess or step.

    key: thickness, depth, bottom_width, width, degrees or drop. mark: of the type, the recess's or the zone's name;
    row: index of a recess or a zone, else -1. typed: whether it stands in the plan as read here and may be changed.
    """

    kind: str
    key: str
    mark: str
    row: int
    value: float
    text: str
    s0_mm: float
    z0_mm: float
    s1_mm: float
    z1_mm: float
    typed: bool


def section_sizes(plan: Plan, solid: Solid, spans: Sequence[Span]) -> list[SectionSize]:
    """Sizes in the order in which the line meets them."""
    rows: list[SectionSize] = []
    rows += _slab_sizes(plan, solid, spans)
    for number in dict.fromkeys(span.part for span in spans if span.part is not None):
        own = [span for span in spans if span.part == number]
        rows += _part_sizes(plan, solid, number, own)
    rows += _recesses(plan, spans)
    rows += _steps(plan, solid, spans)
    return rows


def _slab_sizes(plan: Plan, solid: Solid, spans: Sequence[Span]) -> list[SectionSize]:
    rows = []
    for zone in dict.fromkeys(span.zone for span in spans):
        bare = [span for span in spans if span.zone == zone and span.part is None and span.recess is None]
        if not bare:
            continue
        span = max(bare, key=lambda one: one.s1_mm - one.s0_mm)
        s = span.s0_mm + (span.s1_mm - span.s0_mm) * 0.72
        t = (s - span.s0_mm) / (span.s1_mm - span.s0_mm)
        top = span.top0_mm + t * (span.top1_mm - span.top0_mm)
        bottom = span.bottom0_mm + t * (span.bottom1_mm - span.bottom0_mm)
        cell = solid.cells[zone]
        typed = abs(top - bottom - cell.thickness_mm) < SAME_MM
        rows.append(_size(plan, ("slab", "thickness", cell.mark), top - bottom, ((s, top), (s, bottom)), typed))
    return rows


def _size(
    plan: Plan, what: tuple[str, str, str], value: float, line: tuple[XY, XY], typed: bool, row: int = -1
) -> SectionSize:
    """what: kind, key and mark of what is measured. line: from where to where. typed: whether it may be typed here."""
    (kind, key, mark), (one, two) = what, line
    return SectionSize(kind, key, mark, row, value, say_depth(value, plan.units), *one, *two, typed)


def _part_sizes(plan: Plan, solid: Solid, number: int, own: Sequence[Span]) -> list[SectionSize]:
    part = solid.parts[number]
    full = [span for span in own if span.face == "full"]
    if not full:
        return []
    first, last = full[0], full[-1]
    kind = _type_of(plan, part.kind, part.mark)
    wide, deep = last.s1_mm - first.s0_mm, max(first.top0_mm - first.bottom0_mm, last.top1_mm - last.bottom1_mm)
    low = min(first.bottom0_mm, last.bottom1_mm)
    dip = next((span.recess for span in full if span.recess is not None), None)
    rows = []
    at = (
        first.s0_mm
        if first.s0_mm <= own[0].s0_mm + 1
        else last.s1_mm
        if last.s1_mm >= own[-1].s1_mm - 1
        else (first.s0_mm + last.s1_mm) / 2
    )
    rows.append(
        _size(plan, (part.kind, "depth", part.mark), deep, ((at, max(first.top0_mm, last.top1_mm)), (at, low)), dip is None and abs(deep - (kind.depth_mm or 0.0)) < SAME_MM)
    )  # fmt: skip
    key, said = {
        "edge": ("bottom_width", getattr(kind, "bottom_width_mm", None)),
        "beam": ("width", getattr(kind, "width_mm", None)),
        "pad": _pad_width(kind, wide),
    }[part.kind]
    typed = said is not None and abs(said - wide) < SAME_MM
    rows.append(_size(plan, (part.kind, key, part.mark), wide, ((first.s0_mm, low), (last.s1_mm, low)), typed))
    run = getattr(kind, "haunch_run_per_rise", None) or 0.0
    haunch = next((span for span in own if span.face == "haunch"), None)
    if haunch is not None and run:
        degrees = math.degrees(math.atan(1 / run))
        text = f"{degrees:.1f}".rstrip("0").rstrip(".") + "°"
        right = haunch.s0_mm >= last.s1_mm - 1
        foot = (last.s1_mm, last.bottom1_mm) if right else (first.s0_mm, first.bottom0_mm)
        end = (haunch.s1_mm, haunch.bottom1_mm) if right else (haunch.s0_mm, haunch.bottom0_mm)
        slope = abs(end[1] - foot[1]) / max(1e-6, abs(end[0] - foot[0]))
        rows.append(
            SectionSize(part.kind, "degrees", part.mark, -1, degrees, text, *foot, *end, abs(slope * run - 1) < 0.01)
        )
    return rows


def _type_of(plan: Plan, kind: str, mark: str) -> EdgeType | BeamType | PadType:
    rows: Sequence[EdgeType | BeamType | PadType] = (
        plan.edge_types if kind == "edge" else plan.beam_types if kind == "beam" else plan.pad_types
    )
    return next(row for row in rows if row.mark == mark)


def _pad_width(kind: EdgeType | BeamType | PadType, wide: float) -> tuple[str, float | None]:
    for key in ("width", "length", "diameter"):
        size = getattr(kind, f"{key}_mm", None)
        if size and abs(size - wide) < SAME_MM * 4:
            return key, float(wide)
    return "width", None


def _recesses(plan: Plan, spans: Sequence[Span]) -> list[SectionSize]:
    rows = []
    for index in dict.fromkeys(span.recess for span in spans if span.recess is not None):
        recess = plan.recesses[index]
        own = [span for span in spans if span.recess == index]
        s = own[0].s0_mm + (own[-1].s1_mm - own[0].s0_mm) * 0.5
        top = own[0].top0_mm
        one, two = (s, top + recess.depth_mm), (s, top)
        rows.append(_size(plan, ("recess", "depth", recess.name), recess.depth_mm, (one, two), True, index))
    return rows


def _steps(plan: Plan, solid: Solid, spans: Sequence[Span]) -> list[SectionSize]:
    rows = []
    for one, two in pairwise(spans):
        up = one.top1_mm - two.top0_mm
        if one.zone == two.zone or one.recess is not None or two.recess is not None or abs(up) < LEAST_STEP_MM:
            continue
        low = two.zone if up > 0 else one.zone
        name = solid.cells[low].name
        high = max(one.top1_mm, two.top0_mm)
        typed = abs(plan.zones[low].drop_mm - abs(up)) < SAME_MM
        rows.append(
            _size(plan, ("step", "drop", name), abs(up), ((one.s1_mm, high), (one.s1_mm, high - abs(up))), typed,
                  solid.cells[low].index)
        )  # fmt: skip
    return rows
