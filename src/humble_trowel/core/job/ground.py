"""The ground of a job: set-ups, shots, what was measured, stack and rod card, how it stands."""

from __future__ import annotations

from humble_trowel.core.errors import TrowelError
from humble_trowel.core.ground.ground_job import Ground, ground, measured, shots_on
from humble_trowel.core.ground.layer_shots import LayerShots
from humble_trowel.core.ground.levels import Stand, stands
from humble_trowel.core.ground.standing import Graded, graded
from humble_trowel.core.job.shape import ShapeAnswers
from humble_trowel.core.kept import kept
from humble_trowel.core.order.measured import UNMEASURED, Measured


class GroundAnswers(ShapeAnswers):
    """What lies under the slab, and what the site measured of it."""

    @kept("plan", "ways.ground", "earlier")
    def setups(self) -> list[Stand]:
        """The laser's set-ups as they are now."""
        return stands(self.plan, self.ways, self.earlier)

    @kept("solid", "plan", "ways.ground", "earlier")
    def _shots(self) -> dict[str, LayerShots | None]:
        return {}

    def shots(self, layer: str) -> LayerShots | None:
        """The shots on a layer against the design; None where there are none. Raises InputError, PlanError."""
        if layer not in self._shots:
            self._shots[layer] = shots_on(self.plan, self.shape, self.ways, self.earlier, layer, self.setups)
        return self._shots[layer]

    @kept("solid", "plan", "ways.ground", "earlier")
    def measured(self) -> Measured:
        """What the site measured; nothing where its records do not fit the plan any more."""
        if self.solid is None:
            return UNMEASURED
        try:
            return measured(self.plan, self.solid, self.ways, self.earlier, self.shots)
        except TrowelError:
            return UNMEASURED

    @kept("solid", "plan", "ways", "earlier", "line_mm")
    def ground(self) -> Ground | None:
        """The stack, rod card, shots, stone, spoil and trenches."""
        if self.solid is None:
            return None
        solid = self.solid
        return self.guarded(
            "ground",
            "The ground",
            lambda: ground(self.plan, solid, self.ways, self.earlier, self.shots, self.line_mm),
            None,
        )

    @kept("solid", "plan", "ways.ground", "earlier")
    def graded(self) -> Graded:
        """How the ground stands, in a word or two."""
        if self.solid is None:
            return Graded() if self.plan.outline is None else Graded("cannot say")
        solid = self.solid
        return self.guarded(
            "graded",
            "The ground",
            lambda: graded(self.plan, solid, self.ways, self.setups, self.shots),
            Graded("cannot say"),
        )
