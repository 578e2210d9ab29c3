"""Doubts about the order as a decision."""

from __future__ import annotations

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.order.sure import POURS, Sure
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import format_ordered, format_volume

MANY_SHORT = 5  # of twenty


def order_doubts(plan: Plan, ways: JobWays, sure: Sure | None, truck_m3: float, drawn_m3: float) -> list[Finding]:
    """An order under what is drawn, one that likely runs short, no price, a truck under the least load."""
    rows: list[Finding] = []
    unit = "m³" if plan.units == "mm" else "yd"

    def size(m3: float) -> str:
        return f"{format_ordered(m3, plan.units)} {unit}"

    if ways.risk.least_m3 > truck_m3 + 1e-9:
        words = f"A truck carries {size(truck_m3)}, and the plant sends {size(ways.risk.least_m3)} at least."
        rows.append(finding("truck-under-least", "ways.risk", words, "Put one of the two right in Ways.", "plant"))
    if not ways.ground.concrete_cents_per_m3:
        words = "Concrete costs nothing here: short and long cannot be weighed."
        rows.append(finding("concrete-unpriced", "ways.ground", words, "Type the plant's price in Ways.", "price"))
    if sure is None:
        return rows
    called = sure.called
    if called.order_m3 < drawn_m3 - 1e-6:
        drawn = f"{format_volume(drawn_m3, plan.units)} {unit}"
        words = f"{size(called.order_m3)} is ordered, {drawn} is drawn: it runs short."
        rows.append(finding("order-under-drawn", "order.ordered_m3", words, "Order more, or pour less.", "typed"))
    elif called.pours_short >= MANY_SHORT and called.order_m3 < sure.best.order_m3 - 1e-6:
        words = f"{called.pours_short} of {POURS} pours run short at {size(called.order_m3)}; {size(sure.best.order_m3)} costs least."
        remedy = f"Order {size(sure.best.order_m3)}, shoot the base, or hold the last load."
        rows.append(finding("order-short", "order.ordered_m3", words, remedy, "least-cost"))
    return rows
