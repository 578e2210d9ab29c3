"""The bill: the quote, the changes that somebody agreed to, and those that nobody did yet, which are not on it. Whole cents."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, timedelta

from humble_trowel.core.built.records import Invoiced
from humble_trowel.core.cost.cost import Costed
from humble_trowel.core.gate.changes import ChangeTold
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.price_ways import PriceWays


@dataclass(frozen=True)
class InvoiceRow:
    """A line of it."""

    words: str
    cents: int


@dataclass(frozen=True)
class Invoice:
    """All of it. number, on, due_on: as it went out, else as it would today. went: it went out; moved_cents: what it comes to since, more or less. not_in: changes that
    nobody agreed to."""

    number: str
    on: str
    due_on: str
    rows: list[InvoiceRow]
    total_cents: int
    went: bool
    moved_cents: int
    not_in: list[str]


def invoice_of(plan: Plan, cost: Costed, changes: Sequence[ChangeTold], last: Invoiced | None, today: date, prices: PriceWays) -> Invoice:  # fmt: skip
    """The bill as it stands. last: as it went out, None where it did not."""
    rows = [InvoiceRow(f"{plan.name}, as quoted", cost.total_cents)]
    rows += [InvoiceRow(f"Change {one.n}: {one.words}", one.effect.price_cents) for one in changes if one.agreed_by and one.effect.price_cents]  # fmt: skip
    total = sum(row.cents for row in rows)
    on = date.fromisoformat(last.on) if last else today
    due = date.fromisoformat(last.due_on) if last else today + timedelta(days=prices.due_days)
    open_rows = [f"Change {one.n}, {one.words}" for one in changes if not one.agreed_by and one.effect.price_cents]
    number = last.number if last else f"{on:%y%m%d}-1"
    return Invoice(
        number,
        on.isoformat(),
        due.isoformat(),
        rows,
        total,
        last is not None,
        total - last.cents if last else 0,
        open_rows,
    )
