"""What `figure --json` says under `screed`."""

from __future__ import annotations

from humble_trowel.core.report import Report
from humble_trowel.core.screed.pads import pads_once
from humble_trowel.core.screed.strips import StripsLaid


class StripReport(Report):
    """A strip in its order. guides: what its board rides on, left and right of the pull."""

    board_mm: float
    needed_mm: float
    guides: list[str]
    order: int
    area_m2: float
    m3: float
    start_min: float
    end_min: float
    hand: list[str]


class ScreedViolation(Report):
    """A rule of the checker that is broken, and by which strip (0: by all)."""

    rule: str
    strip: int


class ScreedReport(Report):
    """All strips."""

    strips: list[StripReport]
    violations: list[ScreedViolation]
    pads: int
    oldest_min: float

    @classmethod
    def of(cls, found: StripsLaid) -> ScreedReport:
        """Under its fixed names."""
        place = {row.id: row.n for row in found.strips}
        return cls(
            strips=[
                StripReport(
                    board_mm=row.board_mm, needed_mm=row.needed_mm, guides=[found.site.guides[name].kind for name in row.strip.guides if name in found.site.guides],
                    order=row.n, area_m2=row.face.area.area / 1e6, m3=row.m3, start_min=row.strip.start_min, end_min=row.strip.end_min, hand=row.hand,
                )
                for row in found.strips
            ],
            violations=[ScreedViolation(rule=fault.code, strip=place.get(fault.strip, 0)) for fault in found.checked.faults],
            pads=len(pads_once(found.runs)), oldest_min=found.checked.worst_age_min,
        )  # fmt: skip
