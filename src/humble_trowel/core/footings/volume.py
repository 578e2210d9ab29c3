"""Concrete of footings, exactly: prisms joined level by level, what two of them share counted once, with the first."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

from humble_trowel.core.geometry.footing_strips import Prism, legs, length_mm, prisms
from humble_trowel.core.geometry.overlay import together
from humble_trowel.core.lines.outline import length_leaf
from humble_trowel.core.memo import ByContent
from humble_trowel.core.order.leaves import short_sum, thin_leaf, volume_unit
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.footing_parts import Footing
from humble_trowel.core.units import format_volume
from humble_trowel.core.working import Working, leaf, work

SHARED_M3 = 1e-9
_KEPT: ByContent[tuple[Prism, ...]] = ByContent(2_000)


@dataclass(frozen=True)
class FootingRow:
    """A footing in the list. m3: as planned, less what footings before it already hold. length_mm: of its centreline."""

    footing: int
    name: str
    length_mm: float
    m3: float
    text: str
    how: str
    working: Working


def union_m3(rows: Sequence[Prism]) -> float:
    """Volume of prisms joined, m3."""
    levels = sorted({level for row in rows for level in (row.bottom_mm, row.top_mm)})
    total = []
    for low, high in pairwise(levels):
        there = [row.region for row in rows if row.bottom_mm <= low and row.top_mm >= high]
        if there:
            area = there[0].area if len(there) == 1 else together(there).area
            total.append(area * (high - low))
    return math.fsum(total) / 1e9


def kept_prisms(footing: Footing, width_mm: float | None = None) -> tuple[Prism, ...]:
    """Prisms of a footing, kept by its content."""
    content = (
        tuple(footing.path), width_mm or footing.width_mm, footing.thickness_mm, footing.top_mm,
        tuple((step.at_mm, step.rise_mm) for step in footing.steps),
    )  # fmt: skip
    return _KEPT.get(content, lambda: tuple(prisms(footing, width_mm)))


def increments(footings: Sequence[Sequence[Prism]]) -> list[float]:
    """What each footing adds to those before it, m3; together the volume of all of them."""
    found: list[float] = []
    before: list[Prism] = []
    for own in footings:
        near = [row for row in before if any(_meet(row, mine) for mine in own)]
        added = union_m3([*near, *own]) - union_m3(near) if near else union_m3(own)
        found.append(added)
        before.extend(own)
    return found


def _meet(a: Prism, b: Prism) -> bool:
    if a.bottom_mm >= b.top_mm or b.bottom_mm >= a.top_mm:
        return False
    one, other = a.region.bounds, b.region.bounds
    return one[0] < other[2] and other[0] < one[2] and one[1] < other[3] and other[1] < one[3]


def footing_rows(plan: Plan) -> list[FootingRow]:
    """Every footing with its volume as planned and its working, in the order of the plan."""
    adds = increments([kept_prisms(footing) for footing in plan.footings])
    return [_row(plan, at, footing, m3) for at, (footing, m3) in enumerate(zip(plan.footings, adds, strict=True))]


def _row(plan: Plan, at: int, footing: Footing, m3: float) -> FootingRow:
    unit, _ = volume_unit(plan)
    size, where = length_mm(footing), f"edges/footing/{at}"
    long = (
        leaf(f"{footing.name}, centreline", size / 1000, "m", f"{size / 1000:.3f} m", "geometry", where)
        if plan.units == "mm"
        else length_leaf(f"{footing.name}, centreline", size, plan.units, where, "geometry")
    )
    inputs: dict[str, Working] = {
        "long": long,
        "wide": thin_leaf(f"{footing.name}, width", footing.width_mm, plan, where),
        "thick": thin_leaf(f"{footing.name}, thickness", footing.thickness_mm, plan, where),
    }
    terms = ["long * wide * thick / " + ("1000000" if plan.units == "mm" else "3888")]
    plain = size * footing.width_mm * footing.thickness_mm / 1e9
    stepped = sum((leg.high_mm - leg.low_mm) * footing.thickness_mm * footing.width_mm for leg in legs(footing)) / 1e9
    if stepped:
        inputs["steps"] = _volume_leaf("Legs of its steps", stepped, plan, "footing-step")
        terms.append("steps")
    shared = plain + stepped - m3
    if abs(shared) > SHARED_M3:
        inputs["shared"] = _volume_leaf("Counted already, where footings meet", shared, plan, "greatest-depth")
        terms.append("shared")
    text = format_volume(m3, plan.units)
    formula = terms[0] + (" + steps" if stepped else "") + (" - shared" if "shared" in inputs else "")
    working = work(footing.name, unit, formula, inputs, source="footing", text=f"{text} {unit}")
    return FootingRow(at, footing.name, size, m3, text, short_sum(working), working)


def _volume_leaf(name: str, m3: float, plan: Plan, source: str) -> Working:
    unit, per_unit = volume_unit(plan)
    return leaf(name, m3 / per_unit, unit, f"{format_volume(m3, plan.units)} {unit}", source)
