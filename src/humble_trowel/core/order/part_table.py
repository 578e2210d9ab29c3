"""The working of a part whose volume has no closed form: areas times mean depths of what it adds."""

from __future__ import annotations

from collections.abc import Collection

from humble_trowel.core.geometry.convex import area_mm2
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.order.leaves import area_leaf, area_times_depth, thin_leaf, volume_unit
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.units import format_volume
from humble_trowel.core.working import Working, work

LEAST_M2 = 1e-6


def part_table(plan: Plan, solid: Solid, numbers: Collection[int], name: str, m3: float) -> Working:
    """Rows by zone, by face and by what was there before: the slab only, or another part that this one goes past."""
    unit, _ = volume_unit(plan)
    groups: dict[tuple[int, bool, str], tuple[float, float]] = {}
    for number in sorted(numbers):
        for piece in solid.by_part.get(number, ()):
            key = (piece.zone, not piece.over_slab, piece.face)
            area, volume = groups.get(key, (0.0, 0.0))
            groups[key] = (area + area_mm2(piece.ring) / 1e6, volume + piece.m3)
    inputs: dict[str, Working] = {}
    terms: list[str] = []
    for index, ((zone, past, face), (area, volume)) in enumerate(sorted(groups.items())):
        if area < LEAST_M2:
            continue
        where = f"{solid.cells[zone].name}, {'full depth' if face == 'full' else 'haunch'}"
        where += ", where another part lies" if past else ""
        below = "mean depth past that" if past else "mean depth below the slab"
        inputs[f"a{index}"] = area_leaf(f"{where}: area", area, plan, "edges")
        inputs[f"d{index}"] = thin_leaf(f"{where}: {below}", volume / area * 1000, plan, "edges", "geometry")
        terms.append(area_times_depth(plan, f"a{index}", f"d{index}"))
    text = f"{format_volume(m3, plan.units)} {unit}"
    return work(name, unit, " + ".join(terms) or "0", inputs, source="greatest-depth", text=text)
