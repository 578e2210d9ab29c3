"""What is done by hand in the weeks after, in words: rounds, boards, levels."""

from __future__ import annotations

from humble_trowel.core.cure.cured import CureDay
from humble_trowel.core.cure.told_parts import LevelsNow, RoundNow, SideNow, SpotNow
from humble_trowel.core.day.sizes import drying
from humble_trowel.core.day.told import clock_text, day_text
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.pour.sizes import dollars
from humble_trowel.core.sources import words_in
from humble_trowel.core.units import format_area, say_depth

MISSED = "It lay dry meanwhile: dust and fine cracks. Wet it now, and hang a sheet where the sun lies on it."
NIGHT = "The water is gone before morning: lay a sheet over it at this round."
BACK_H, AHEAD_H = 24.0, 72.0


def rounds_told(day: CureDay) -> list[RoundNow]:
    """Those of yesterday, today and the two days after."""
    clock, units = day.clock, day.plan.units
    rows = []
    for one in day.rounds:
        if not day.now_h - BACK_H <= one.at_h <= day.now_h + AHEAD_H:
            continue
        note = MISSED if one.state == "missed" else NIGHT if one.night and one.state != "done" else ""
        done = "" if one.done_h is None else clock_text(clock, one.done_h)
        rows.append(RoundNow(one.key, one.at_h, clock_text(clock, one.at_h), day_text(clock, one.at_h), one.to, one.state, done, one.by, one.record, drying(one.dries_kg_m2_h, units), note))  # fmt: skip
    return rows


def sides_told(day: CureDay, sides: list[tuple[str, str, str, tuple[XY, XY], str]]) -> list[SideNow]:
    """Every form that is to come off, with the zone that leans on it."""
    rows = []
    for side, name, boards, line, zone in sides:
        event = next((one for one in day.events.get(zone, []) if one.rule.key == "strip"), None)
        word = day.stripped.get(side)
        at = event.high_h if event else None
        state = "off" if word else "open" if at is not None and at <= day.now_h else "soon"
        when = "not known" if at is None else f"{day_text(day.clock, at)} {clock_text(day.clock, at)}"
        done = (
            ""
            if word is None
            else f"{day_text(day.clock, day.clock.hour_at(word[1].at))} {clock_text(day.clock, day.clock.hour_at(word[1].at))}"
        )
        rows.append(
            SideNow(side, name, boards, when, state, done, word[1].by if word else "", word[0] if word else "", line)
        )
    order = {"open": 0, "soon": 1, "off": 2}
    return sorted(rows, key=lambda one: (order[one.state], one.name))


def levels_told(day: CureDay) -> LevelsNow:
    """The level round."""
    own, units = day.levels, day.plan.units
    spots = [
        SpotNow(one.record, one.spot, say_depth(abs(one.off_mm), units), one.off_mm > 0, one.mend) for one in own.spots
    ]
    mend = [one for one in own.spots if one.mend]
    area = sum(one.area_m2 for one in mend)
    words = []
    for key in ("grind", "fill"):
        part = [one for one in mend if one.mend == key]
        if part:
            words.append(
                f"{key} {format_area(sum(one.area_m2 for one in part), units)} at {len(part)} {'spots' if len(part) > 1 else 'spot'}"
            )
    worst = max(own.gaps, key=lambda one: abs(one.gap_mm), default=None)
    gap = (
        None
        if worst is None
        else (own.spots[worst.ends[0]].spot, own.spots[worst.ends[1]].spot, own.spots[worst.at].spot)
    )
    return LevelsNow(
        spots, "" if own.worst_mm is None else say_depth(own.worst_mm, units), "" if own.nine_mm is None else say_depth(own.nine_mm, units),
        own.flat.name if own.flat else "" if own.worst_mm is None else "none", words_in("cure-flat", units), ", ".join(words),
        dollars(own.cost_cents) if area else "", gap,
    )  # fmt: skip
