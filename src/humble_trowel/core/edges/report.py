"""What `figure --json` says under `edges` and `levels`."""

from __future__ import annotations

from humble_trowel.core.edges.corner_levels import CornerLevel
from humble_trowel.core.report import Report


class FrostOptionReport(Report):
    """A way to meet frost, with what it takes."""

    name: str
    net_m3: float | None
    """None where its table does not reach, like foam and cost."""
    foam_m2: float | None
    cost_cents: int | None
    words: str


class EdgesReport(Report):
    """The edge and how it meets frost."""

    options: list[FrostOptionReport]


class CornerLevelReport(Report):
    """Level of the top at a corner of a zone."""

    zone: str
    corner: str
    """The outline's letter, else the zone's own count, else drain."""
    level_mm: float


class LevelsReport(Report):
    corners: list[CornerLevelReport]

    @classmethod
    def of(cls, levels: list[CornerLevel]) -> LevelsReport:
        """Levels under their fixed names."""
        return cls(corners=CornerLevelReport.rows(levels))
