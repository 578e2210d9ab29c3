"""An order when nobody knows what the slab will take: short weighed against long."""

from __future__ import annotations

import math

from humble_trowel.core.job import Job
from humble_trowel.core.order.doubts import step_m3
from humble_trowel.core.order.sure import Sure, weighed
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.practice.exercise import (
    Ask,
    Exercise,
    Option,
    Outcome,
    Part,
    Shape,
    Wish,
    rule_told,
    say_load,
    say_m3,
)
from humble_trowel.core.practice.plans import slab_plan
from humble_trowel.core.units import say_depth, say_length

STEPS = 14


def order(wish: Wish) -> Exercise:
    """How much to order."""
    dice = wish.dice()
    ways = _ways(wish)
    thick = wish.thin(dice.pick((4, 5, 6)))
    edge = (wish.thin(dice.pick((12, 16, 18))), wish.thin(12)) if wish.level > 1 else None
    long_mm, wide_mm = wish.long(dice.whole(18, 48)), wish.long(dice.whole(14, 30))
    plan = slab_plan(wish.units, long_mm, wide_mm, thick, edge)
    found = Job(plan, ways).sure
    assert found is not None
    need, step = found.volume.mean_m3, step_m3(plan, Job(plan, ways).ways)
    first = max(1, math.floor(need / step) - dice.whole(3, 6))
    orders = [n * step for n in range(first, first + STEPS)]
    orders += [found.best.order_m3] if all(abs(m3 - found.best.order_m3) > 1e-6 for m3 in orders) else []
    told = {f"{round(m3 / step)}": weighed(found.volume, m3, found.costs, found.pours_m3) for m3 in orders}
    least = min(told, key=lambda key: (round(told[key].over_cents, 4), told[key].order_m3))
    base = told[least].over_cents
    takes = dice.normal(need, found.volume.sd_m3)
    table = {
        key: Outcome(
            round((one.over_cents - base) / 100),
            f"{one.pours_short} pours in 20 run short, {say_m3(one.left_m3, wish.units)} is over on the average. This one took {say_m3(takes, wish.units)}.",
            _pours(found, one.order_m3), int(key) - int(least),
        )
        for key, one in told.items()
    }  # fmt: skip
    return Exercise(
        wish.kind, wish.level, wish.seed, wish.units, "How much do you order?", _lead(found, wish, ways), _drawn(found, (long_mm, wide_mm, thick), edge, wish),
        (Ask("order", "Order", "steps", tuple(Option(key, say_load(one.order_m3, wish.units)) for key, one in sorted(told.items(), key=lambda row: int(row[0]))), str(first)),),
        (Part(("order",), table),), ("No order costs less",), "${n} a pour over the best, on the average", 25,
        {"order": least},
        (f"Likely {say_m3(need, wish.units)}, two pours in three within {say_m3(found.volume.sd_m3, wish.units)} of it.",
         f"{say_load(told[least].order_m3, wish.units)}: short costs ${told[least].short_cents / 100:,.0f} and long ${told[least].long_cents / 100:,.0f} a pour on the average; every other order costs more."),
        rule_told("", "least-cost"), under="too little", over="too much",
    )  # fmt: skip


def _ways(wish: Wish) -> Ways:
    """The crew's, doubting more from level to level, and a rescue that costs more at the last."""
    own = wish.ways
    rough = (0.6, 1.0, 1.5)[wish.level - 1]
    doubt = own.doubt.model_copy(update={"base_sd_mm": own.doubt.base_sd_mm * rough, "rough_mm": own.doubt.rough_mm * rough})  # fmt: skip
    risk = own.risk
    if wish.level == 3:
        risk = risk.model_copy(update={"wait_cents": risk.wait_cents * 2, "cold_joint_share": min(1.0, risk.cold_joint_share * 1.6)})  # fmt: skip
    return own.model_copy(update={"doubt": doubt, "risk": risk})


def _lead(found: Sure, wish: Wish, ways: Ways) -> tuple[str, ...]:
    per = 1 / 0.764554857984 if wish.units != "mm" else 1.0
    unit = "yard" if wish.units != "mm" else "m³"
    likely = say_m3(found.volume.mean_m3, wish.units)
    cold = ways.risk.cold_joint_share * ways.risk.cold_joint_cents / 100
    rows = [
        f"Drawn, with its allowances: {likely}. Unsure of it: "
        + ", ".join(f"{row.name.lower()} {say_m3(row.sd_m3, wish.units)}" for row in found.doubts if row.sd_m3 > 0.01)
        + ".",
        f"A {unit} costs ${ways.ground.concrete_cents_per_m3 / 100 / per:,.0f}, what is over another ${ways.risk.disposal_cents_m3 / 100 / per:,.0f}. "
        f"Short: the crew waits for ${ways.risk.wait_cents / 100:,.0f}, and the joint that may set meanwhile counts ${cold:,.0f}.",
    ]  # fmt: skip
    return tuple(rows)


def _scale(found: Sure) -> tuple[float, float]:
    low, high = found.pours_m3[0], found.pours_m3[-1]
    room = max(high - low, 1e-6)
    return low - room * 0.25, room * 1.6


def _x(found: Sure, m3: float) -> float:
    low, room = _scale(found)
    return round(min(620.0, max(20.0, 20 + 600 * (m3 - low) / room)), 1)


def _pours(found: Sure, order_m3: float) -> tuple[Shape, ...]:
    """Twenty pours that stand for all, those that run short in the flag's colour, and where the order ends."""
    rows = [
        Shape("dot", ((_x(found, m3), 330.0 + (at % 2) * 14),), "flag" if m3 > order_m3 + 1e-9 else "steel")
        for at, m3 in enumerate(found.pours_m3)
    ]
    x = _x(found, order_m3)
    return (*rows, Shape("line", ((x, 300), (x, 372)), "done"), Shape("word", ((x, 292),), "note", "your order"))


def _drawn(
    found: Sure, sizes: tuple[float, float, float], edge: tuple[float, float] | None, wish: Wish
) -> tuple[Shape, ...]:
    long_mm, wide_mm, thick = sizes
    s = min(360 / long_mm, 170 / wide_mm)
    x0, y0 = 320 - long_mm * s / 2, 30.0
    x1, y1 = x0 + long_mm * s, y0 + wide_mm * s
    rows = [Shape("area", ((x0, y0), (x1, y0), (x1, y1), (x0, y1)), "slab")]
    if edge is not None:
        rows.append(Shape("line", ((x0 + 9, y0 + 9), (x1 - 9, y0 + 9), (x1 - 9, y1 - 9), (x0 + 9, y1 - 9), (x0 + 9, y0 + 9)), "ghost"))  # fmt: skip
        rows.append(Shape("word", (((x0 + x1) / 2, y1 - 22),), "note", f"edge {say_depth(edge[0], wish.units)} deep"))
    rows += [
        Shape("word", (((x0 + x1) / 2, (y0 + y1) / 2),), "name", say_depth(thick, wish.units)),
        Shape("size", ((x0, y1 + 26), (x1, y1 + 26)), "thin", say_length(long_mm, wish.units)),
        Shape("size", ((x0 - 26, y1), (x0 - 26, y0)), "thin", say_length(wide_mm, wish.units)),
        Shape("line", ((20, 358), (620, 358)), "thin"),
    ]
    mean, sd = found.volume.mean_m3, found.volume.sd_m3
    for m3, text in ((mean - sd, ""), (mean, f"likely {say_m3(mean, wish.units)}"), (mean + sd, "")):
        x = _x(found, m3)
        rows.append(Shape("line", ((x, 350), (x, 366)), "thin"))
        if text:
            rows.append(Shape("word", ((x, 388),), "note", text))
    return tuple(rows)
