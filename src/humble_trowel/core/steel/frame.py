"""What every part of the steel is laid by: the concrete it lies in, the crew's ways and sizes as this job reads them."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property

import shapely
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.overlay import GRID_MM
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.bars import Bar, bar_of
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.steel_ways import SteelWays
from humble_trowel.core.steel.laps import lap_mm

PSI_PER_MPA = 145.0377
USUAL_PSI = 3000.0


@dataclass(frozen=True)
class Frame:
    """A plan with its solid and ways."""

    plan: Plan
    solid: Solid
    ways: SteelWays

    @property
    def metric(self) -> bool:
        return self.plan.units == "mm"

    @property
    def usual(self) -> Bar:
        """The crew's bar."""
        return bar_of(self.ways.metric_bar if self.metric else self.ways.bar)

    @property
    def fc_psi(self) -> float:
        """Strength of the concrete as the mix says it; 3,000 psi where it says nothing."""
        said = self.plan.mix.strength_mpa
        return USUAL_PSI if said is None else said * PSI_PER_MPA

    def stock_mm(self, bar: Bar) -> float:
        """The longest bar that a yard sells of its kind."""
        return max(self.ways.stock_mm if bar.number else self.ways.stock_metric_mm)

    def lap(self, bar: Bar, said: float | None = None, top: bool = False) -> float:
        """The lap of a bar: as drawn, else by the crew's rule."""
        return lap_mm(bar, self.ways.lap, self.fc_psi, top) if said is None else said

    @cached_property
    def concrete(self) -> BaseGeometry:
        """All of the slab on the plan, openings out."""
        return shapely.union_all([cell.region for cell in self.solid.cells], grid_size=GRID_MM)

    def inset(self, cover: float) -> BaseGeometry:
        """The slab in from every face by a cover."""
        return self.concrete.buffer(-cover, join_style="mitre")
