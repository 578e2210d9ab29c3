"""What `figure --json` says under `walls`."""

from __future__ import annotations

from humble_trowel.core.order.report import AllowanceReport, TruckReport
from humble_trowel.core.report import Report
from humble_trowel.core.walls.walls import Walls


class CoursesReport(Report):
    """Courses of one height. over_mm: how far they stand above the wall's top."""

    count: int
    over_mm: float


class WallReport(Report):
    """A wall. m3: of its own pour. blocks: whole ones. foam_m2: boards on and in it."""

    name: str
    kind: str
    length_mm: float
    face_m2: float
    m3: float
    blocks: int
    foam_m2: float
    forms_m2: float
    courses: list[CoursesReport]


class WallsReport(Report):
    """Walls on footings, their pour and its order."""

    net_m3: float
    second_way_m3: float | None
    order_m3: float
    pour_at: str | None
    walls: list[WallReport]
    allowances: list[AllowanceReport]
    trucks: list[TruckReport]

    @classmethod
    def of(cls, found: Walls) -> WallsReport:
        """Under their fixed names."""
        ordered = found.ordered
        return cls(
            net_m3=found.net_m3, second_way_m3=found.second_way_m3, order_m3=ordered.order_m3 if ordered else 0.0,
            pour_at=found.pour_at, walls=WallReport.rows(found.rows), allowances=AllowanceReport.rows(found.extras),
            trucks=TruckReport.rows(ordered.trucks if ordered else []),
        )  # fmt: skip
