"""What was called in against what the plan says now: a change of scope raises a flag until somebody calls again."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.order.call_in import CallLine
from humble_trowel.core.order.ledger_part import LedgerPart
from humble_trowel.core.order.records import OrderCalled
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.units import format_ordered, format_volume

NOTICED_M3 = 0.02
MOST_NAMED = 3


@dataclass(frozen=True)
class Change:
    """A row of the ledger that is not as it was. by_m3: signed."""

    name: str
    by_m3: float
    words: str


@dataclass(frozen=True)
class Called:
    """The newest call. record: its id. order_text: as called; now_text: as it stands. changes: what moved since, the largest first; lines: keys
    of lines that say something else now. stale: somebody must call again. words: the change in a sentence."""

    record: str
    at: str
    by: str
    heard_by: str
    number: str
    ordered_m3: float
    order_text: str
    now_text: str
    ticked: list[str]
    changes: list[Change]
    lines: list[str]
    stale: bool
    words: str


def called_of(
    plan: Plan,
    calls: Sequence[tuple[str, OrderCalled]],
    parts: Sequence[LedgerPart],
    order_m3: float,
    card: Sequence[CallLine],
) -> Called | None:
    """The newest call, and what changed since the whole order was called; None where nobody called."""
    if not calls:
        return None
    record, newest = calls[-1]
    call = next(
        (one for _, one in reversed(calls) if not one.last), newest
    )  # the last load leaves the rest as it was called
    now = {part.part: part.m3 for part in parts}
    unit = "m³" if plan.units == "mm" else "yd"
    changes = []
    for name in [*now, *(name for name in call.parts_m3 if name not in now)] if call.parts_m3 else []:
        by = now.get(name, 0.0) - call.parts_m3.get(name, 0.0)
        if abs(by) > NOTICED_M3:
            changes.append(Change(name, by, _words(name, by, name in now, name in call.parts_m3, plan, unit)))
    changes.sort(key=lambda one: -abs(one.by_m3))
    said = {line.key: line.says for line in card}
    other = [
        key for key, text in call.lines.items() if key in said and key not in ("yards", "loads") and said[key] != text
    ]
    moved = not newest.last and abs(order_m3 - call.ordered_m3) > 1e-6
    names = {line.key: line.asks for line in card}
    words = _sentence(plan, call, order_m3, moved, changes, [names[key] for key in other], unit)
    return Called(
        record, newest.at, newest.by, newest.heard_by, newest.number, newest.ordered_m3, format_ordered(newest.ordered_m3, plan.units),
        format_ordered(order_m3, plan.units), list(call.lines), changes, other, moved or bool(changes) or bool(other), words,
    )  # fmt: skip


def _words(name: str, by: float, there: bool, before: bool, plan: Plan, unit: str) -> str:
    size = f"{format_volume(abs(by), plan.units)} {unit}"
    if not before:
        return f"{name} is new: {size} more"
    if not there:
        return f"{name} is gone: {size} less"
    return f"{name}: {size} {'more' if by > 0 else 'less'}"


def _sentence(
    plan: Plan, call: OrderCalled, order_m3: float, moved: bool, changes: list[Change], lines: list[str], unit: str
) -> str:  # fmt: skip
    bits = []
    if moved:
        was, now = (format_ordered(value, plan.units) for value in (call.ordered_m3, order_m3))
        bits.append(f"{was} {unit} was called, {now} {unit} is the order now.")
    elif changes:
        total = math.fsum(one.by_m3 for one in changes)
        size = f"{format_volume(abs(total), plan.units)} {unit}"
        bits.append(f"The plan takes {size} {'more' if total > 0 else 'less'} than when it was called.")
    if changes:
        more = len(changes) - MOST_NAMED
        rest = f", and {more} more" if more > 0 else ""
        bits.append(f"{'; '.join(one.words for one in changes[:MOST_NAMED])}{rest}.")
    if lines:
        bits.append(f"Said otherwise now: {' '.join(lines)}")
    return " ".join(bits)


def called_findings(called: Called | None) -> list[Finding]:
    """The flag."""
    if called is None or not called.stale:
        return []
    return [
        finding("order-scope", "order.called", called.words, "Call the plant again, and write the call down.", "plant")
    ]
