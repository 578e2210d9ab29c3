"""Keyed joints: a groove along a side that the next pour runs into. Lengths mm. Source: 'key'."""

from __future__ import annotations

import math
from dataclasses import dataclass

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import point_along, side_of
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.steel_parts import Key
from humble_trowel.core.units import say_depth, say_length

LEAST_SLAB_MM = 150.0
WIDE_SHARE = 1 / 3


@dataclass(frozen=True)
class KeyTold:
    """A keyed joint in words; path: where it runs."""

    id: str
    side: int
    name: str
    words: str
    path: list[XY]


def keys_told(plan: Plan) -> list[KeyTold]:
    """Every keyed joint whose side is there."""
    rows = []
    for row in plan.steel.keys:
        if row.side in plan.corner_ids and plan.outline is not None:
            side = plan.corner_ids.index(row.side)
            a, b = side_of(list(plan.outline), side)
            size = math.dist(a, b)
            start, end = row.from_mm or 0.0, min(size, row.to_mm or size)
            words = f"{say_depth(row.deep_mm, plan.units)} deep, {say_depth(row.wide_mm, plan.units)} wide, {say_length(end - start, plan.units)} of it on {side_name(side, len(plan.outline))}"
            rows.append(KeyTold(row.id, side, row.name, words, [point_along(a, b, start), point_along(a, b, end)]))
    return rows


def key_doubts(plan: Plan, solid: Solid | None) -> list[Finding]:
    """Keys of sides that are gone, in slabs too thin, wider than a third of the slab."""
    thick = min((cell.thickness_mm for cell in solid.cells), default=0.0) if solid else 0.0
    return [found for row in plan.steel.keys if (found := _doubt(plan, row, thick)) is not None]


def _doubt(plan: Plan, row: Key, thick: float) -> Finding | None:
    where, units = f"steel/key/{row.id}", plan.units
    if row.side not in plan.corner_ids:
        return finding(
            "key-lost",
            where,
            f"{row.name}: its side is not on this slab any more.",
            "Call it on another side, or take it out.",
        )
    if 0 < thick < LEAST_SLAB_MM - 1.0:
        words = f"{row.name}: keys break off slabs under {say_depth(LEAST_SLAB_MM if units == 'mm' else 152.4, units)}; this one is {say_depth(thick, units)}."
        return finding("key-thin", where, words, "Take smooth dowels, or ask the engineer.", "key")
    if thick and row.wide_mm > thick * WIDE_SHARE + 0.5:
        words = f"{row.name}: {say_depth(row.wide_mm, units)} wide is more than a third of a {say_depth(thick, units)} slab."
        return finding("key-thin", where, words, "Make it narrower.", "key")
    return None
