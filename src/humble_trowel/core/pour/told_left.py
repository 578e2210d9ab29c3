"""How much is left, in words: the forecast with its spread, what it rests on, every last load that may be called."""

from __future__ import annotations

import math

from humble_trowel.core.pour.day import PourDay
from humble_trowel.core.pour.forecast import LEARNT
from humble_trowel.core.pour.left_parts import CauseTold, ChoiceTold, LeftTold
from humble_trowel.core.pour.sizes import about, amount, depth, dollars, signed
from humble_trowel.core.units import Units, format_area

LEAST_AREA_M2 = 0.5


def left_told(day: PourDay) -> LeftTold:
    """All of it."""
    planned, forecast, call = day.planned, day.forecast, day.call
    units, clock, costs = planned.plan.units, planned.clock, planned.costs
    stand = day.counts[-1] if day.counts else None
    done_m2 = stand.area_m2 if stand else 0.0
    called = day.called
    said = called.said if called else None
    best = call.best
    return LeftTold(
        drawn_text=about(forecast.drawn_m3, units), placed_m3=day.placed_m3, placed_text=about(day.placed_m3, units),
        total_m3=forecast.total.mean_m3, total_sd_m3=forecast.total.sd_m3, total_text=about(forecast.total.mean_m3, units),
        sd_text=about(forecast.total.sd_m3, units, 2), left_m3=forecast.left.mean_m3,
        left_text=about(max(0.0, forecast.total.mean_m3 - day.placed_m3), units), firm_text=about(call.firm_m3, units),
        area_text=format_area(planned.floor.area_m2, units), done_area_text=format_area(done_m2, units),
        depth_text=_deep(forecast.placed_m3, done_m2, units), depth_drawn_text=_deep(forecast.done_m3, done_m2, units), needs_m3=call.needs_m3,
        step_m3=costs.step_m3, least_m3=costs.least_m3, most_m3=costs.most_m3,
        choices=[_choice(day, at) for at in range(len(call.choices))], best_m3=best.m3, best_text=amount(best.m3, units) if best.m3 else "none",
        short_of=best.short_of, say_by_min=call.say_by_min, say_by_text=clock.text(call.say_by_min), stands_min=call.stands_min,
        said_m3=said.m3 if said else None, said_text=amount(said.m3, units) if said and said.m3 else "none" if said else "",
        said_by=said.by if said else "", heard_by=said.heard_by if said else "",
        said_at_text=clock.text(clock.minute(said.at)) if said else "", answer=called.state if called else "", number=said.number if said else "",
        due_text="" if called is None or called.due_min is None else clock.text(called.due_min), late_min=called.late_min if called else 0.0,
        wrong=called.wrong if called else "", record=called.record if called else "",
        causes=_causes(day), held=planned.held,
    )  # fmt: skip


def _deep(m3: float, area_m2: float, units: Units) -> str:
    return depth(m3 / area_m2 * 1000, units) if area_m2 > LEAST_AREA_M2 else ""


def _choice(day: PourDay, at: int) -> ChoiceTold:
    planned, call = day.planned, day.call
    one, units = call.choices[at], planned.plan.units
    stand = day.counts[-1] if day.counts else None
    rest_m2 = planned.floor.area_m2 - (stand.area_m2 if stand else 0.0)
    rest = call.firm_m3 + one.m3 - day.forecast.placed_m3
    rest_mm = max(0.0, rest) / rest_m2 * 1000 if rest_m2 > LEAST_AREA_M2 else None
    return ChoiceTold(
        one.m3, amount(one.m3, units) if one.m3 else "none", one.short_of, one.short_share, about(one.left_m3, units),
        "least" if one.best else f"+{dollars(one.cost_cents)}", one.best, rest_mm, depth(rest_mm, units) if rest_mm is not None else "",
    )  # fmt: skip


def _causes(day: PourDay) -> list[CauseTold]:
    units, rows = day.planned.plan.units, []
    for one in day.forecast.causes:
        if math.isclose(one.before.sd_m3, 0.0) and math.isclose(one.before.mean_m3, 0.0):
            continue
        rows.append(
            CauseTold(
                one.key, one.name, one.before.mean_m3, one.before.sd_m3, one.now.mean_m3, one.now.sd_m3,
                f"{signed(one.before.mean_m3, units)} ± {about(one.before.sd_m3, units)}", f"{signed(one.now.mean_m3, units)} ± {about(one.now.sd_m3, units)}",
                one.key in LEARNT,
            )
        )  # fmt: skip
    return rows
