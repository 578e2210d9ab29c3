"""What pipes, tube and columns take up of a slab's concrete, and the one rule of what becomes of it.

Rule: over one part in a hundred of the pour it is taken off the order, all of it; under that it is named and left in.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from shapely.geometry import Point

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.pipes import outside_mm
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.underslab.services import Run
from humble_trowel.core.units import format_volume

SHARE = 0.01


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
    """What sits in the concrete of a slab; None where nothing does. Source: 'displaced' in sources.py."""
    pipes = math.fsum(
        _round_m2(outside_mm(sleeve.size_mm)) * (sleeve.s1_mm - sleeve.s0_mm) / 1000
        for run in runs
        for sleeve in run.sleeves
    ) + math.fsum(_round_m2(run.outside_mm) * (row.s1_mm - row.s0_mm) / 1000 for run in runs for row in run.along)
    columns = math.fsum(
        ((row.size_mm + 2 * row.ring_mm) / 1000) ** 2 * solid.depth_at(*row.at) / 1000
        for row in plan.underslab.risers
        if row.kind in ("column", "box") and any(cell.region.covers(Point(row.at)) for cell in solid.cells)
    )
    tube = _round_m2(tube_outside_mm) * tube_mm / 1000
    total, net = pipes + columns + tube, solid.net_m3
    if total < 1e-4 or net <= 0:
        return None
    over = total > SHARE * net
    said = (
        f"{format_volume(total, plan.units)} of pipe, tube and columns in {format_volume(net, plan.units)} of concrete"
    )
    words = (
        f"{said}: over 1 in 100, so order that much less." if over else f"{said}: under 1 in 100, left in the order."
    )
    return Displaced(pipes, columns, tube, net, over, words)


def displaced_doubts(found: Displaced | None) -> list[Finding]:
    """Said where it comes off the order."""
    if found is None or not found.over:
        return []
    return [finding("pipes-displace", "underslab", found.words, "Take it off when you call the plant.", "displaced")]


def _round_m2(across_mm: float) -> float:
    return math.pi * (across_mm / 2000) ** 2
