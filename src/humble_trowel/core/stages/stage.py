"""What a stage is: its doubts, how it stands, and its part of the report."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import Literal, Self

from humble_trowel.core.findings import Finding
from humble_trowel.core.job import Job
from humble_trowel.core.report import Report


@dataclass(frozen=True)
class Standing:
    """How a stage stands, for its knot. state: tied, still a loop, or flagged by a stop. words: two or three."""

    state: Literal["tight", "loop", "flagged"]
    words: str


class StageReport(Report):
    """A stage's part of `figure --json`."""

    @classmethod
    def of(cls, job: Job) -> Self:
        """Its part of a job's answer."""
        raise NotImplementedError


@dataclass(frozen=True)
class Stage:
    """id: also of its screen. plan_keys: keys of the job file that are its own. findings: its doubts. standing: its knot.
    report: its part of `figure --json`, under fixed names. slow: its doubts take long and stop nothing, so they may come after the others."""

    id: str
    plan_keys: tuple[str, ...]
    findings: Callable[[Job], list[Finding]]
    standing: Callable[[Job], Standing]
    report: type[StageReport]
    slow: bool = False
