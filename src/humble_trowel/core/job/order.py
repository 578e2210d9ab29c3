"""The order of a job: its ledger, counted two ways, and what comes after."""

from __future__ import annotations

import math

from humble_trowel.core.beside.rows import besides
from humble_trowel.core.figures import Concrete, concrete_of, extras_of, with_second_way
from humble_trowel.core.job.ground import GroundAnswers
from humble_trowel.core.kept import kept
from humble_trowel.core.order.allowances import Allowance, forms_face_m2
from humble_trowel.core.order.doubts import Doubt, as_surveyed, doubts_of
from humble_trowel.core.order.foam_faces import foam_pours
from humble_trowel.core.order.ledger import ledger
from humble_trowel.core.order.ledger_part import LedgerPart
from humble_trowel.core.order.quantity import Decided
from humble_trowel.core.order.risk import Volume
from humble_trowel.core.order.second_pours import SecondPour, second_pours
from humble_trowel.core.order.sure import Sure, costs_of, decided, sure
from humble_trowel.core.walls.rows import Standing, standing_walls, with_the_slab

SECOND = (
    "plan.kerbs", "plan.side_pads", "plan.pad_types", "plan.walls", "plan.footings", "plan.laps", "plan.sidewalks", "plan.ramps",
    "plan.existing", "plan.units", "plan.edges", "plan.edge_types", "plan.outline",
)  # fmt: skip


class OrderAnswers(GroundAnswers):
    """What concrete it takes."""

    @kept("plan", "solid")
    def parts(self) -> list[LedgerPart]:
        """The ledger."""
        return [] if self.solid is None else ledger(self.plan, self.solid)

    @kept("plan", "solid", "ways", "earlier")
    def numbers(self) -> Concrete | None:
        """The ledger and the order, counted one way: what the board shows at once."""
        return None if self.solid is None else self.guarded("numbers", "The concrete", self._numbers, None)

    def _numbers(self) -> Concrete:
        return concrete_of(self.plan, self.parts, self.extras, self.ways, self.decided)

    @kept("plan", "solid", "ways", "earlier")
    def extras(self) -> list[Allowance]:
        """What is ordered over what is drawn."""
        drawn = math.fsum(part.m3 for part in self.parts)
        return extras_of(self.plan, self.shape, self.ways, self.measured, drawn, self.second_pours, self.off_the_order)

    @property
    def need_m3(self) -> float:
        """What is drawn, with its allowances."""
        return math.fsum(row.m3 for row in self.parts) + math.fsum(row.m3 for row in self.extras)

    @kept("plan", "solid", "ways", "earlier")
    def doubts(self) -> list[Doubt]:
        """How sure each part of the need is."""
        face = forms_face_m2(self.plan, self.shape)
        return doubts_of(self.plan, self.shape, self.ways, self.measured, self.extras, self.need_m3, face)

    @property
    def decided(self) -> Decided | None:
        """An order in place of the need rounded up: as a person said it, or the one that costs least where the crew orders so."""
        order = self.plan.order
        if order.ordered_m3 is not None:
            who = f"{order.ordered_by} said so: " if order.ordered_by else "Said: "
            return Decided(order.ordered_m3, f"{who}{order.ordered_why}", "typed")
        if self.ways.doubt.decide == "need":
            return None
        volume = Volume(self.need_m3, math.sqrt(math.fsum(row.sd_m3**2 for row in self.doubts)))
        least = decided(volume, costs_of(self.plan, self.ways))
        return Decided(least, "Short and long weighed, least on the average.", "least-cost")

    @kept("plan", "solid", "ways", "earlier")
    def sure(self) -> Sure | None:
        """The order as a decision."""
        return None if self.solid is None else self.guarded("sure", "How sure the order is", self._sure, None)

    def _sure(self) -> Sure | None:
        if self.numbers is None:
            return None
        shot = None
        if self.measured.base is None:
            ways, face = as_surveyed(self.ways), forms_face_m2(self.plan, self.shape)
            rows = doubts_of(self.plan, self.shape, ways, self.measured, self.extras, self.need_m3, face)
            shot = math.sqrt(math.fsum(row.sd_m3**2 for row in rows))
        return sure(self.plan, self.ways, self.doubts, self.need_m3, self.numbers.order_m3, shot)

    @kept("plan", "solid", "setups", "earlier", "ways.ground")
    def off_the_order(self) -> Allowance | None:
        """What sits in the concrete and is not poured; those who know what is buried say it."""
        return None

    @kept("plan", "solid", "ways", "earlier")
    def concrete(self) -> Concrete | None:
        """The ledger counted two ways, and the order."""
        return None if self.solid is None else self.guarded("concrete", "The concrete", self._both_ways, None)

    def _both_ways(self) -> Concrete | None:
        slices, numbers = self.second_way, self.numbers
        return numbers if numbers is None or slices is None else with_second_way(self.plan, numbers, slices)

    @kept("plan.walls", "plan.footings")
    def standing_walls(self) -> list[Standing]:
        """Walls on their footings."""
        return standing_walls(self.plan)

    @kept(*SECOND, "solid")
    def second_pours(self) -> list[SecondPour]:
        """Concrete that comes after, on top, beside and in walls."""
        if self.plan.outline is None:
            return []
        cells = self.solid.cells if self.solid else []
        in_walls = with_the_slab(self.plan, self.standing_walls, cells)
        return second_pours(self.plan) + besides(self.plan) + foam_pours(self.plan, cells) + in_walls
