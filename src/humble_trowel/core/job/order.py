"""The order of a job: its ledger, counted two ways, and what comes after."""

from __future__ import annotations

from humble_trowel.core.figures import (
    Concrete,
    concrete_of,
    with_second_way,
)
from humble_trowel.core.job.ground import GroundAnswers
from humble_trowel.core.kept import kept
from humble_trowel.core.order.ledger import ledger
from humble_trowel.core.order.ledger_part import LedgerPart
from humble_trowel.core.order.second_pours import SecondPour, second_pours


class OrderAnswers(GroundAnswers):
    """What concrete it takes."""

    @kept("plan", "solid")
    def parts(self) -> list[LedgerPart]:
        """The ledger."""
        return [] if self.solid is None else ledger(self.plan, self.solid)

    @kept("plan", "solid", "ways", "records")
    def numbers(self) -> Concrete | None:
        """The ledger and the order, counted one way: what the board shows at once."""
        return None if self.solid is None else self.guarded("numbers", "The concrete", self._numbers, None)

    def _numbers(self) -> Concrete:
        return concrete_of(self.plan, self.shape, self.parts, self.ways, self.measured, self.second_pours)

    @kept("plan", "solid", "ways", "records")
    def concrete(self) -> Concrete | None:
        """The ledger counted two ways, and the order."""
        return None if self.solid is None else self.guarded("concrete", "The concrete", self._both_ways, None)

    def _both_ways(self) -> Concrete | None:
        slices, numbers = self.second_way, self.numbers
        return numbers if numbers is None or slices is None else with_second_way(self.plan, numbers, slices)

    @kept("plan.kerbs", "plan.side_pads", "plan.units", "plan.outline")
    def second_pours(self) -> list[SecondPour]:
        """Concrete that comes after, on top and beside."""
        return [] if self.plan.outline is None else second_pours(self.plan)
