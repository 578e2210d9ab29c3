"""What is buried under a job's slab."""

from __future__ import annotations

from humble_trowel.core.edges.section_blocks import Within
from humble_trowel.core.job.lines import LinesAnswers
from humble_trowel.core.kept import kept
from humble_trowel.core.order.allowances import Allowance
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.refs import by_id
from humble_trowel.core.underslab.covered import Covered, covered
from humble_trowel.core.underslab.displaces import SHARE, Displaced, displaced, may_displace, pipes_m3, taken_off
from humble_trowel.core.underslab.line_tests import Tested, tested
from humble_trowel.core.underslab.records import LineTest, RiserCheck
from humble_trowel.core.underslab.tubing import TubingLaid, size_of, tubing_laid
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
        "earlier",
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

    @kept(
        "plan.underslab",
        "plan.units",
        "solid",
        "plan.build_ups",
        "plan.slab_types",
        "plan.edge_types",
        "plan.edges",
        "plan.outline",
        "plan.corner_ids",
        "plan.zones",
        "plan.existing",
        "plan.forms",
        "plan.walls",
        "plan.footings",
        "plan.laps",
        "plan.sidewalks",
        "plan.ramps",
        "plan.side_pads",
        "plan.pad_types",
        "plan.site",
        "ways.underslab",
    )
    def covered(self) -> Covered | None:
        """Barrier, foam and treatments; None without a slab."""
        return self.guarded(
            "covered", "Barrier and foam", lambda: covered(self.plan, self.solid, self.ways.underslab), None
        )

    @kept(
        "plan.underslab", "plan.units", "solid", "plan.build_ups", "plan.outline", "plan.zones", "plan.openings",
        "plan.recesses", "plan.pads", "plan.pad_types",
    )  # fmt: skip
    def tubing(self) -> TubingLaid | None:
        """Loops of the heated rooms; None where none is heated."""
        return self.guarded("tubing", "Tubing", lambda: tubing_laid(self.plan, self.solid), None)

    @kept("plan.underslab", "plan.units", "solid", "earlier", "ways.underslab")
    def tested(self) -> Tested | None:
        """Lines and their tests; None where nothing is tested."""
        return self.guarded(
            "tested", "Tests of lines", lambda: tested(self.plan, self.solid, self.ways.underslab, self._tests()), None
        )

    def _tests(self) -> list[tuple[str, LineTest]]:
        return [(name, by_id(row, self.plan)) for name, row in self.earlier.named(LineTest)]

    @property
    def displaced(self) -> Displaced | None:
        """What pipes, tube and columns take up of the concrete; None where nothing does."""
        if self.solid is None:
            return None
        runs = self.underslab.runs if self.underslab else []
        tube_mm = self.tubing.total_mm if self.tubing else 0.0
        return displaced(self.plan, self.solid, runs, tube_mm, size_of(self.plan.underslab.tubing)[0])

    @kept("plan", "solid", "setups", "earlier", "ways.ground")
    def off_the_order(self) -> Allowance | None:
        """What sits in the concrete, where it is too much to be left in. Tube is laid, and pipes are cut along their length,
        only where bounds of theirs leave a doubt."""
        solid, tube_mm = self.solid, size_of(self.plan.underslab.tubing)[0]
        if solid is None or not may_displace(self.plan, solid, tube_mm):
            return None
        if not may_displace(self.plan, solid, tube_mm, pipes_m3(self.underslab.runs if self.underslab else [])):
            return None
        return taken_off(self.plan, self.displaced)

    def far_from_off(self, now: Plan) -> bool:
        """Whether so little sits in the concrete that a drag cannot bring it near the rule's share: nothing buried is
        being changed, and there is not half of what comes off the order."""
        found = self.displaced
        return now.underslab is self.plan.underslab and (found is None or found.all_m3 < SHARE * found.net_m3 / 2)

    @property
    def within(self) -> list[Within]:
        """Tube as it lies."""
        laid, tubing = self.tubing, self.plan.underslab.tubing
        if laid is None:
            return []
        return [
            Within("tube", "tube", [loop.points for loop in laid.loops], size_of(tubing)[0], high_mm=tubing.high_mm)
        ]

    def _checks(self) -> list[RiserCheck]:
        return [by_id(row, self.plan) for row in self.earlier.of(RiserCheck)]
