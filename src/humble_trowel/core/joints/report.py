"""What `figure --json` says under `joints`."""

from __future__ import annotations

from collections import Counter

from humble_trowel.core.joints.joints import JointsLaid
from humble_trowel.core.report import Report


class PanelReport(Report):
    """A panel by its smallest enclosing rectangle."""

    long_mm: float
    short_mm: float


class ViolationReport(Report):
    """A rule that is broken, and how often."""

    rule: str
    count: int


class JointsReport(Report):
    """All joints. depth_mm: of the cuts, at least."""

    panels: list[PanelReport]
    violations: list[ViolationReport]
    saw_m: float
    depth_mm: float
    isolation_m: float

    @classmethod
    def of(cls, found: JointsLaid) -> JointsReport:
        """Under its fixed names."""
        broken = Counter(crack.rule for one in found.regions for crack in one.found.cracks)
        return cls(
            panels=[
                PanelReport(long_mm=panel.long_mm, short_mm=panel.short_mm) for one in found.regions for panel in one.found.panels
            ],
            violations=[ViolationReport(rule=rule, count=count) for rule, count in sorted(broken.items())],
            saw_m=found.saw_mm / 1000, depth_mm=found.depth_mm, isolation_m=found.isolation_mm / 1000,
        )  # fmt: skip
