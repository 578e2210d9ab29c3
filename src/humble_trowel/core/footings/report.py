"""What `figure --json` says under `footings`."""

from __future__ import annotations

from humble_trowel.core.footings.footings import Footings
from humble_trowel.core.order.report import AllowanceReport, TruckReport
from humble_trowel.core.report import Report


class FootingReport(Report):
    """A footing as planned. length_mm: of its centreline."""

    name: str
    length_mm: float
    m3: float


class FootingPegReport(Report):
    """A grade peg. top_mm: level of its top. over_mm: how far the trench's bottom lies below plan, where it was read."""

    number: int
    along_mm: float
    top_mm: float
    over_mm: float | None


class FootingsReport(Report):
    """Footings: a pour of their own."""

    net_m3: float
    second_way_m3: float | None
    order_m3: float
    dug_m3: float | None
    """Trenches below the stripped ground; None while the ground before is not known."""
    back_m3: float | None
    pour_at: str | None
    strips: list[FootingReport]
    pegs: list[FootingPegReport]
    allowances: list[AllowanceReport]
    trucks: list[TruckReport]

    @classmethod
    def of(cls, found: Footings) -> FootingsReport:
        """Under their fixed names."""
        return cls(
            net_m3=found.net_m3, second_way_m3=found.second_way_m3, order_m3=found.ordered.order_m3, pour_at=found.pour_at,
            dug_m3=found.dig.dug_m3 if found.dig else None, back_m3=found.dig.back_m3 if found.dig else None,
            strips=FootingReport.rows(found.rows), pegs=FootingPegReport.rows(found.pegs),
            allowances=AllowanceReport.rows(found.extras), trucks=TruckReport.rows(found.ordered.trucks),
        )  # fmt: skip
