"""What `figure --json` says under `edges`."""

from __future__ import annotations

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
