"""What pipes, tube and columns take up of a slab's concrete, and the one rule of what becomes of it.

Rule: over one part in a hundred of the pour it is taken off the order, all of it; under that it is named and left in.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from shapely.geometry import Point

from humble_trowel.core.geometry.pipes import legs_of, outside_mm
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.order.allowances import Allowance
from humble_trowel.core.order.leaves import volume_unit
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.underslab.services import Run
from humble_trowel.core.units import format_volume
from humble_trowel.core.working import leaf, work

SHARE = 0.01
TUBE_OVER = 1.5  # no more tube than this much of area by spacing


@dataclass(frozen=True)
class Displaced:
    """pipes_m3, columns_m3, tube_m3: what each takes up. over: more than the rule's share of net_m3, so it comes off the order."""

    pipes_m3: float
    columns_m3: float
    tube_m3: float
    net_m3: float
    over: bool
    words: str

    @property
    def all_m3(self) -> float:
        """All together."""
        return self.pipes_m3 + self.columns_m3 + self.tube_m3


def displaced(
    plan: Plan, solid: Solid, runs: Sequence[Run], tube_mm: float, tube_outside_mm: float
) -> Displaced | None:
    """What sits in the concrete of a slab; None where nothing does. Source: 'displaced' in sources/."""
    pipes = pipes_m3(runs)
    columns = _columns_m3(plan, solid)
    tube = _round_m2(tube_outside_mm) * tube_mm / 1000
    total, net = pipes + columns + tube, solid.net_m3
    if total < 1e-4 or net <= 0:
        return None
    over = total > SHARE * net
    said = (
        f"{format_volume(total, plan.units)} of pipe, tube and columns in {format_volume(net, plan.units)} of concrete"
    )
    words = (
        f"{said}: over 1 in 100, so it comes off the order." if over else f"{said}: under 1 in 100, left in the order."
    )
    return Displaced(pipes, columns, tube, net, over, words)


def pipes_m3(runs: Sequence[Run]) -> float:
    """What pipes take up where they lie in the concrete, with their sleeves."""
    sleeves = math.fsum(
        _round_m2(outside_mm(sleeve.size_mm)) * (sleeve.s1_mm - sleeve.s0_mm) / 1000
        for run in runs
        for sleeve in run.sleeves
    )
    return sleeves + math.fsum(
        _round_m2(run.outside_mm) * (row.s1_mm - row.s0_mm) / 1000 for run in runs for row in run.along
    )


def may_displace(plan: Plan, solid: Solid, outside_of_tube_mm: float, in_concrete_m3: float | None = None) -> bool:
    """Whether it could be over the rule's share at all. Quick: tube is taken at its most, and pipes as if all of them lay in
    the concrete, unless in_concrete_m3 says what they take up."""
    buried = plan.underslab
    pipes = (
        in_concrete_m3
        if in_concrete_m3 is not None
        else math.fsum(
            _round_m2(outside_mm(row.size_mm) * 2) * sum(math.dist(leg.a, leg.b) for leg in legs_of(row.path)) / 1000
            for row in buried.services
        )
    )
    spacing = min(buried.tubing.spacing_mm, buried.tubing.walls_mm or buried.tubing.spacing_mm)
    area = math.fsum(cell.area_m2 for cell in solid.cells) if buried.heated else 0.0
    tube = _round_m2(outside_of_tube_mm) * TUBE_OVER * area / (spacing / 1000)
    return pipes + tube + _columns_m3(plan, solid) > SHARE * solid.net_m3


def taken_off(plan: Plan, found: Displaced | None) -> Allowance | None:
    """The order's row of what is not poured; None where all of it is left in."""
    if found is None or not found.over:
        return None
    unit, per_unit = volume_unit(plan)
    parts = {"pipes": found.pipes_m3, "columns": found.columns_m3, "tube": found.tube_m3}
    leaves = {
        key: leaf(f"{key.capitalize()} in the concrete", m3 / per_unit, unit, f"{format_volume(m3, plan.units)} {unit}", "geometry", "underslab")
        for key, m3 in parts.items()
        if m3 > 0
    }  # fmt: skip
    text = format_volume(-found.all_m3, plan.units)
    working = work(
        "What sits in the concrete",
        unit,
        f"0 - {' - '.join(leaves)}",
        leaves,
        source="displaced",
        text=f"{text} {unit}",
    )
    reason = "More than 1 in 100 of the pour, so all of it comes off."
    how = " + ".join(one.text for one in leaves.values())
    return Allowance("What sits in the concrete", -found.all_m3, reason, "displaced", "displaced", text, how, working)


def _columns_m3(plan: Plan, solid: Solid) -> float:
    return math.fsum(
        ((row.size_mm + 2 * row.ring_mm) / 1000) ** 2 * solid.depth_at(*row.at) / 1000
        for row in plan.underslab.risers
        if row.kind in ("column", "box") and any(cell.region.covers(Point(row.at)) for cell in solid.cells)
    )


def _round_m2(across_mm: float) -> float:
    return math.pi * (across_mm / 2000) ** 2
