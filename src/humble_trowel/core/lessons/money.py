"""What the job cost against its quote, as far as it was written down, and what is kept. Whole cents."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from humble_trowel.core.cost.cost import Costed
from humble_trowel.core.plan.ways import JobWays

POUR = "pour"
CONCRETE = ("concrete", "fees", "wait", "left")
HANDS = ("dig", "place-stone", "form", "cover", "tie", "set")


@dataclass(frozen=True)
class Spent:
    """What is known of the job once it is done. came_m3: of each load that was taken, in the order in which they came; fees_cents: for those under the plant's least; waited_cents: past the free minutes; thrown_m3: left
    over with no use for it, None where nobody wrote it down. hours: by task. mend_cents: of the floor. agreed_cents: changes that somebody agreed to."""

    came_m3: Sequence[float]
    fees_cents: float
    waited_cents: float
    thrown_m3: float | None
    hours: Mapping[str, float]
    mend_cents: float
    agreed_cents: int


@dataclass(frozen=True)
class MoneyRow:
    """A part of the cost. quoted_cents: as it was quoted; cents: as it came, or as quoted where nobody knows better."""

    key: str
    name: str
    quoted_cents: int
    cents: int
    known: bool

    @property
    def over_cents(self) -> int:
        """More than quoted; less than nothing where it came cheaper."""
        return self.cents - self.quoted_cents


@dataclass(frozen=True)
class Money:
    """price_cents: quoted, with the changes that were agreed to. kept_cents: of that, after everything; quoted_kept_cents: as it was quoted."""

    rows: list[MoneyRow]
    price_cents: int
    kept_cents: int
    quoted_kept_cents: int


def money_of(cost: Costed, ways: JobWays, spent: Spent) -> Money:
    """Concrete and its fees, the crew, the rest; and what is kept of the price."""
    quoted = {row.key: row.total_cents for row in cost.rows}
    concrete = sum(quoted.get(key, 0) for key in CONCRETE)
    crew = sum(quoted.get(key, 0) for key in (*HANDS, POUR))
    rest = cost.rows_cents - concrete - crew
    known = bool(spent.came_m3)
    came = round(
        math.fsum(spent.came_m3) * ways.ground.concrete_cents_per_m3 + spent.fees_cents + spent.waited_cents
        + (quoted.get("left", 0) if spent.thrown_m3 is None else spent.thrown_m3 * ways.risk.disposal_cents_m3)
    )  # fmt: skip
    hands = crew + sum(_hours_over(quoted, ways, spent, task) for task in (*HANDS, POUR))
    rows = [
        MoneyRow("concrete", "Concrete and fees", concrete, came if known else concrete, known),
        MoneyRow("crew", "Crew", crew, hands, any(task in spent.hours for task in (*HANDS, POUR))),
        MoneyRow("rest", "Everything else", rest, rest, False),
    ]
    if spent.mend_cents >= 1:
        rows.append(MoneyRow("mend", "Floor ground and filled", 0, round(spent.mend_cents), True))
    price = cost.total_cents + spent.agreed_cents
    return Money(rows, price, price - sum(row.cents for row in rows), cost.margin_cents)


def _hours_over(quoted: Mapping[str, int], ways: JobWays, spent: Spent, task: str) -> int:
    """What a task cost over its quote; nothing where nobody wrote its hours down."""
    if task not in spent.hours:
        return 0
    rate = ways.pour.crew_cents_h if task == POUR else ways.prices.hour_cents
    return round(spent.hours[task] * rate) - quoted.get(task, 0)
