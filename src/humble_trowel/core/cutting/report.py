"""What `cut --json` says."""

from __future__ import annotations

from humble_trowel.core.report import Report


class BarReport(Report):
    """One bar of the stock and what is cut from it, the longest first."""

    stock_mm: float
    pieces_mm: list[float]


class CutReport(Report):
    """The cheapest way found, and how far any way could be cheaper."""

    bars: list[BarReport]
    cost_cents: int
    bound_cents: int
    """No plan costs less."""
    waste_mm: float
    proven: bool
    """The cost is the bound."""
