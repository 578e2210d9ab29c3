"""What is buried under a job's slab."""

from __future__ import annotations

from humble_trowel.core.job.lines import LinesAnswers
from humble_trowel.core.kept import kept
from humble_trowel.core.plan.refs import by_id
from humble_trowel.core.underslab.records import RiserCheck
from humble_trowel.core.underslab.underslab import Buried, underslab


class UnderslabAnswers(LinesAnswers):
    """Runs, risers and what is in whose way."""

    @kept(
        "plan.underslab",
        "plan.outline",
        "plan.corner_ids",
        "plan.openings",
        "plan.recesses",
        "plan.build_ups",
        "plan.walls",
        "plan.footings",
        "plan.units",
        "solid",
        "setups",
        "records",
        "ways.ground",
    )
    def underslab(self) -> Buried | None:
        """What is buried, with risers as they were taped; None where nothing is."""
        return self.guarded(
            "underslab",
            "What is buried",
            lambda: underslab(self.plan, self.solid, self.ways, self.setups, self._checks()),
            None,
        )

    def _checks(self) -> list[RiserCheck]:
        return [by_id(row, self.plan) for row in self.records.of(RiserCheck)]
