"""What the order stage answers."""

from __future__ import annotations

from typing import Self

from humble_trowel.core.edges.report import LevelsReport
from humble_trowel.core.ground.report import PartAsDugReport
from humble_trowel.core.job import Job
from humble_trowel.core.order.decided_report import (
    CostReport,
    CostRowReport,
    DecisionReport,
    DeliveryReport,
    HoldReport,
    MixLineReport,
    MixReport,
)
from humble_trowel.core.order.report import (
    AllowanceReport,
    OutlineReport,
    PartReport,
    SecondPourReport,
    TruckReport,
)
from humble_trowel.core.pour_sim.told import clock
from humble_trowel.core.report import Report
from humble_trowel.core.stages.stage import StageReport


class ConcreteReport(Report):
    """The concrete, counted two ways, and the order."""

    net_m3: float
    parts: list[PartReport]
    second_way_m3: float | None
    second_pours: list[SecondPourReport]
    allowances: list[AllowanceReport]
    order_m3: float
    order_yd3: float
    parts_as_dug: list[PartAsDugReport]


class OrderStage(StageReport):
    """What the order stage answers."""

    outline: OutlineReport | None
    concrete: ConcreteReport | None
    trucks: list[TruckReport]
    levels: LevelsReport
    order: DecisionReport | None
    delivery: DeliveryReport | None
    mix: MixReport | None
    cost: CostReport | None

    @classmethod
    def of(cls, job: Job) -> Self:
        """Its part of a job's answer."""
        figure = job.figure
        found = figure.concrete
        return cls(
            outline=None if figure.outline is None else OutlineReport.model_validate(figure.outline),
            concrete=None if found is None else ConcreteReport(
                net_m3=found.net_m3, parts=PartReport.rows(found.parts), second_way_m3=found.second_way_m3,
                second_pours=SecondPourReport.rows(figure.second_pours), allowances=AllowanceReport.rows(found.allowances),
                order_m3=found.order_m3, order_yd3=found.order_yd3,
                parts_as_dug=PartAsDugReport.rows(job.ground.parts) if job.ground else [],
            ),
            trucks=TruckReport.rows(figure.trucks),
            levels=LevelsReport.of(figure.levels),
            order=_decision(job),
            delivery=None if (pour := job.planned_pour or job.delivery) is None else DeliveryReport.model_validate(pour),
            mix=None if job.mix_found is None else MixReport(lines=MixLineReport.rows(job.mix_found.lines)),
            cost=None if (cost := job.cost(None)) is None else CostReport(
                cost_rows=CostRowReport.rows(cost.rows), margin_cents=cost.margin_cents, total_cents=cost.total_cents
            ),
        )  # fmt: skip


def _decision(job: Job) -> DecisionReport | None:
    found, hold = job.sure, job.hold
    if found is None:
        return None
    held = None
    if hold is not None:
        say = clock(job.plan, hold.say_min)
        held = HoldReport(last_m3_min=hold.last_m3_min, last_m3_max=hold.last_m3_max, say_by=say)
    return DecisionReport(
        mean_m3=found.volume.mean_m3, sd_m3=found.volume.sd_m3, best_m3=found.best.order_m3, ordered_m3=found.called.order_m3,
        p_short=found.called.short_share, expected_cost_cents=found.called.cost_cents, loads_m3=job.loads_m3, hold=held,
    )  # fmt: skip
