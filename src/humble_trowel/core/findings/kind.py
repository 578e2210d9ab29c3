"""A doubt about a plan or a figure: possible, so no error, but worth a word and a remedy."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

Severity = Literal["note", "check", "stop"]


@dataclass(frozen=True)
class Finding:
    """code: stable name. where: key path or plan name. words: what is so, with both numbers. remedy: the act. stage and
    tabs: where screens show it, the first tab is its home. changes_order: whether it may change how much is ordered."""

    code: str
    severity: Severity
    where: str
    words: str
    remedy: str
    source: str
    stage: str
    tabs: tuple[str, ...]
    changes_order: bool


@dataclass(frozen=True)
class FindingKind:
    """A row of the written-out list of findings. stage, tabs: where it is shown and mended."""

    code: str
    severity: Severity
    meaning: str
    stage: str
    tabs: tuple[str, ...]
    changes_order: bool = True
