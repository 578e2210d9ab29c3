"""The order as a decision in words, for screens. Volumes m3 with texts in the job's unit, money in cents."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.order.doubts import Doubt, together
from humble_trowel.core.order.hold import Hold
from humble_trowel.core.order.quantity import Ordered
from humble_trowel.core.order.risk import Costs
from humble_trowel.core.order.sure import Sure, Weighed
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import M3_PER_YD3, format_ordered, format_volume, say_depth
from humble_trowel.core.working import Working, leaf, number_text, work

LETTERS = "abcdefghijklmnop"


@dataclass(frozen=True)
class DoubtTold:
    """A doubt with its letter on the plan. way_text: what its spread is in the ways, as a person would type it, '' where it was measured."""

    key: str
    letter: str
    name: str
    mean_m3: float
    sd_m3: float
    mean_text: str
    sd_text: str
    why: str
    measured: bool
    way: str
    way_text: str
    at: XY | None
    spread: Working


@dataclass(frozen=True)
class WeighedTold:
    """An order and what it comes to on the average. pours_short: of twenty. short, long: the workings, in money."""

    order_m3: float
    text: str
    loads_text: str
    short_cents: float
    long_cents: float
    cost_cents: float
    short_share: float
    pours_short: int
    left_text: str
    short: Working
    long: Working


@dataclass(frozen=True)
class SpareTold:
    """What is poured with what is left."""

    id: str
    name: str
    text: str


@dataclass(frozen=True)
class MomentTold:
    """How wide the doubt is on the clock. say: it is the last minute to say the held load."""

    at_min: float
    text: str
    placed_share: float
    sd_m3: float
    sd_text: str
    firm_text: str
    say: bool


@dataclass(frozen=True)
class HoldTold:
    """The held load. why: the clock's sum. range_text: how much it may be. late: it must be said before the first truck stands."""

    say_text: str
    arrives_text: str
    why: str
    firm_text: str
    last_text: str
    range_text: str
    last_m3_min: float
    last_m3_max: float
    say_min: float
    late: bool
    moments: list[MomentTold]


@dataclass(frozen=True)
class SureTold:
    """All of it. said: a person said the order, why and by whom. saves_cents: what shooting the base is worth. rule: what is weighed."""

    unit: str
    mean_m3: float
    sd_m3: float
    drawn_text: str
    likely_text: str
    need_text: str
    sd_text: str
    need: Working
    spread: Working
    doubts: list[DoubtTold]
    pours_m3: list[float]
    rows: list[WeighedTold]
    best: WeighedTold
    called: WeighedTold
    step_m3: float
    step_text: str
    saves_cents: float | None
    said: bool
    why: str
    by: str
    rule: str
    spare: list[SpareTold]
    hold: HoldTold | None


def sure_told(
    plan: Plan, ways: JobWays, found: Sure, ordered: Ordered, net_m3: float, hold: Hold | None, clock: Callable[[float], str]
) -> SureTold:  # fmt: skip
    """The decision in words. clock: a minute after the first truck as a person reads it."""
    unit = "m³" if plan.units == "mm" else "yd"
    size = _size(plan)
    called = _weighed(plan, found.called, found.costs)
    return SureTold(
        unit=unit, mean_m3=found.volume.mean_m3, sd_m3=found.volume.sd_m3, drawn_text=format_volume(net_m3, plan.units),
        likely_text=format_volume(found.volume.mean_m3 - net_m3, plan.units), need_text=format_volume(found.volume.mean_m3, plan.units),
        sd_text=format_volume(found.volume.sd_m3, plan.units), need=ordered.need, spread=together(plan, found.doubts),
        doubts=[_doubt(plan, ways, at, row) for at, row in enumerate(found.doubts)], pours_m3=found.pours_m3,
        rows=[_weighed(plan, row, found.costs) for row in found.rows], best=_weighed(plan, found.best, found.costs), called=called, step_m3=found.costs.step_m3,
        step_text=size(found.costs.step_m3), saves_cents=found.saves_cents, said=plan.order.ordered_m3 is not None,
        why=plan.order.ordered_why, by=plan.order.ordered_by, rule=_rule(plan, ways, found),
        spare=[SpareTold(row.id, row.name, size(row.m3)) for row in plan.order.spare],
        hold=None if hold is None else hold_told(plan, ways, hold, clock),
    )  # fmt: skip


def _size(plan: Plan) -> Callable[[float], str]:
    return lambda m3: format_ordered(m3, plan.units)


def _doubt(plan: Plan, ways: JobWays, at: int, row: Doubt) -> DoubtTold:
    return DoubtTold(
        row.key, LETTERS[at], row.name, row.mean_m3, row.sd_m3, format_volume(row.mean_m3, plan.units), format_volume(row.sd_m3, plan.units),
        row.why, row.measured, row.way, _way_text(plan, ways, row.way), row.at, row.spread,
    )  # fmt: skip


def _way_text(plan: Plan, ways: JobWays, way: str) -> str:
    """A spread as a person types it: a length, a volume, or so many in a hundred."""
    if not way:
        return ""
    value = float(getattr(ways.doubt, way))
    if way.endswith("_share"):
        return number_text(value * 100, 2)
    return format_volume(value, plan.units) if way.endswith("_m3") else say_depth(value, plan.units)


def _weighed(plan: Plan, row: Weighed, costs: Costs) -> WeighedTold:
    size = _size(plan)
    return WeighedTold(
        row.order_m3, size(row.order_m3), " + ".join(size(load) for load in row.loads_m3), row.short_cents, row.long_cents, row.cost_cents,
        row.short_share, row.pours_short, format_volume(row.left_m3, plan.units), _short(row), _long(plan, row, costs),
    )  # fmt: skip


def _dollars(cents: float) -> str:
    return f"${round(cents / 100):,}"


def _money_leaf(name: str, cents: float, source: str = "least-cost") -> Working:
    return leaf(name, cents / 100, "", _dollars(cents), source, "ways/risk")


def _short(row: Weighed) -> Working:
    """How often it runs short, by what that costs then on the average."""
    each = row.short_cents / row.short_share if row.short_share > 1e-12 else 0.0
    inputs = {
        "chance": leaf("Pours that run short", row.short_share, "", f"{row.short_share:.3f}", "least-cost"),
        "each": _money_leaf("What a short pour costs: the load sent for, the crew that stands, the joint", each),
    }
    return work(
        "Short, on the average", "", "chance * each", inputs, source="least-cost", text=_dollars(row.short_cents)
    )


def _long(plan: Plan, row: Weighed, costs: Costs) -> Working:
    """What is left over at its price, with what it costs to be rid of it, and fees of small loads."""
    per, unit = (1.0, "m³") if plan.units == "mm" else (M3_PER_YD3, "yd³")
    price = costs.price_cents_m3 * per
    fees = row.long_cents - costs.price_cents_m3 * row.left_m3
    inputs = {
        "left": leaf("Left over, on the average", row.left_m3 / per, unit, f"{row.left_m3 / per:.3f} {unit}", "least-cost"),
        "price": leaf(f"Price of a {unit}", price / 100, "", f"${price / 100:,.2f}", "price", "ways/ground"),
        "fees": _money_leaf("To be rid of it, after what is used on site, and fees of small loads", fees),
    }  # fmt: skip
    return work(
        "Long, on the average", "", "left * price + fees", inputs, source="least-cost", text=_dollars(row.long_cents)
    )


def _rule(plan: Plan, ways: JobWays, found: Sure) -> str:
    """What short and what long cost, each part with its figure."""
    per = 1.0 if plan.units == "mm" else M3_PER_YD3
    unit = "m³" if plan.units == "mm" else "yd"
    own, costs = ways.risk, found.costs
    fee = costs.fee_cents(costs.rescue_m3(costs.step_m3))
    joint = own.cold_joint_share * own.cold_joint_cents

    def dollars(cents: float) -> str:
        return f"${round(cents / 100):,}"

    short = f"short: {dollars(fee)} fee + {dollars(own.wait_cents)} crew stands + {dollars(joint)} joint"
    long = f"long: {dollars(costs.price_cents_m3 * per)} + {dollars(costs.disposal_cents_m3 * per)} a {unit}"
    return f"{short}. {long[0].upper()}{long[1:]}."


def hold_told(plan: Plan, ways: JobWays, hold: Hold, clock: Callable[[float], str]) -> HoldTold:
    """The held load on the clock."""
    size = _size(plan)
    own = ways.pour
    road = own.travel_min if plan.order.travel_min is None else plan.order.travel_min
    say, arrives = clock(hold.say_min), clock(hold.arrives_min)
    why = f"{say} = {arrives} less {road:.0f} road, {own.batch_min:.0f} batching, {own.line_min:.0f} in line"
    low, high = size(hold.last_m3_min), size(hold.last_m3_max)
    firm = " + ".join(size(load) for load in hold.firm_m3)
    moments = [
        MomentTold(one.at_min, clock(one.at_min), one.placed_share, one.sd_m3, format_volume(one.sd_m3, plan.units), _firm(plan, hold, at), one.at_min == max(0.0, hold.say_min))
        for at, one in enumerate(hold.moments)
    ]  # fmt: skip
    span = low if low == high else f"{low} to {high}"
    return HoldTold(
        say, arrives, why, firm, size(hold.last_m3), span, hold.last_m3_min, hold.last_m3_max, hold.say_min, hold.say_min < 0, moments
    )  # fmt: skip


def _firm(plan: Plan, hold: Hold, at: int) -> str:
    """Under a knot: what is firm there, or what the held load may be."""
    if at < len(hold.moments) - 1:
        return f"{format_ordered(hold.firm_m3[min(at, len(hold.firm_m3) - 1)], plan.units)} firm"
    low, high = format_ordered(hold.last_m3_min, plan.units), format_ordered(hold.last_m3_max, plan.units)
    return low if low == high else f"{low} to {high}"
