"""Lessons in words and drawings."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence

from humble_trowel.core.cost.cost import money
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.lessons.lessons import Lesson
from humble_trowel.core.lessons.money import Money
from humble_trowel.core.lessons.records import HoursWorked, LeftOver
from humble_trowel.core.lessons.told_parts import (
    HoursNow,
    LessonNow,
    LessonsTold,
    MoneyNow,
    NextNow,
    SpreadNow,
    WentNow,
)
from humble_trowel.core.pour.sizes import about, dollars
from humble_trowel.core.units import M2_PER_FT2, M3_PER_YD3, Units, number_word

FT_M, LB_KG = 0.3048, 0.45359237
TASK_NAMES = {
    "dig": "Digging", "place-stone": "Stone placed and packed", "form": "Forming", "cover": "Barrier and foam laid", "tie": "Steel placed and tied",
    "set": "Bolts set", "pour": "The pour, whole crew",
}  # fmt: skip
# a rate is told as hours for so much of its unit: (metric unit, metric size, other unit, other size)
RATE_UNITS = {
    "dig": ("h a m³", 1.0, "h a yd", M3_PER_YD3), "place-stone": ("h a m³", 1.0, "h a yd", M3_PER_YD3),
    "form": ("h for 10 m", 10.0, "h for 40 ft", 40 * FT_M), "cover": ("h for 10 m²", 10.0, "h for 100 sq ft", 100 * M2_PER_FT2),
    "tie": ("h for 100 kg", 100.0, "h for 100 lb", 100 * LB_KG), "set-bolts": ("h for 10", 10.0, "h for 10", 10.0),
}  # fmt: skip


def lessons_told(
    units: Units, lessons: Sequence[Lesson], spots: Mapping[str, XY], went: WentNow | None, told_money: Money | None,
    hours: Sequence[tuple[str, HoursWorked]], work_h: Mapping[str, float], left: Sequence[tuple[str, LeftOver]], coming: NextNow | None,
) -> LessonsTold:  # fmt: skip
    """All of it. spots: where each cause of the concrete sits on the plan; coming: the order of the next job like it."""
    rows = [_lesson(units, one, chr(97 + n), spots.get(one.kind.key)) for n, one in enumerate(lessons)]
    taken = sum(1 for one in lessons if one.state == "taken")
    open_rows = [one for one in lessons if one.state == "open" and one.worth]
    return LessonsTold(
        _verdict(lessons), _under(lessons, coming), rows, went, _money(told_money), _kept(told_money), _hours(hours, work_h),
        [(record, _left(units, one)) for record, one in left], coming, taken, len(open_rows),
    )  # fmt: skip


def _verdict(lessons: Sequence[Lesson]) -> str:
    telling = [one for one in lessons if one.new is not None]
    if not telling:
        return "Nothing was written down to learn from"
    worth = [one for one in telling if one.worth or one.state == "taken"]
    if not worth:
        return "This job was as thought"
    if all(one.state in ("taken", "left") for one in worth):
        count = sum(1 for one in worth if one.state == "taken")
        return (
            f"{number_word(count)} of {number_word(len(telling)).lower()} taken" if count else "All left as they were"
        )
    verb = "is" if len(worth) == 1 else "are"
    return f"{number_word(len(worth))} of {number_word(len(telling)).lower()} {verb} worth taking"


def _under(lessons: Sequence[Lesson], coming: NextNow | None) -> str:
    odd = [one.kind.name for one in lessons if one.odd and one.state == "open"]
    parts = []
    if coming is not None and coming.would_text != coming.now_text:
        parts.append(f"The next like it: {coming.would_text} {coming.unit} where {coming.now_text} is ordered now.")
    if odd:
        parts.append(f"An odd job for {', '.join(odd).lower()}: the middle moves no more than its own spread.")
    return " ".join(parts)


def shown_unit(lesson: Lesson, units: Units) -> tuple[str, float, float]:
    """(unit, what one of its own unit makes in it, power): power -1 where more of the one is less of the other."""
    kind, metric = lesson.kind, units == "mm"
    if kind.group == "volume":
        per = lesson.evidence.per_m3 or 0.0
        return ("m³", per, 1.0) if metric else ("yd", per / M3_PER_YD3, 1.0)
    if kind.key == "pace":
        return ("min a m³", 60.0, -1.0) if metric else ("min a yd", 60.0 * M3_PER_YD3, -1.0)
    if kind.key == "road":
        return "min", 1.0, 1.0
    if kind.key == "set":
        return "times its mix", 1.0, 1.0
    m_unit, m_size, other, size = RATE_UNITS[kind.key]
    return (m_unit, m_size, -1.0) if metric else (other, size, -1.0)


def _spread(mean: float, sd: float, lesson: Lesson, units: Units, digits: int) -> SpreadNow:
    _, per, power = shown_unit(lesson, units)
    if lesson.kind.log:
        value = math.exp(mean)
        shown = per * value if power > 0 else per / value
        wide = shown * sd
    else:
        shown, wide = mean * per, sd * per
    return SpreadNow(shown, wide, f"{shown:.{digits}f}", f"{wide:.{digits}f}")


def _lesson(units: Units, one: Lesson, letter: str, at: XY | None) -> LessonNow:
    unit, _, _ = shown_unit(one, units)
    digits = 2 if one.kind.group != "own" or one.kind.key == "set" else 1
    old = _spread(one.old.mean, one.old.sd, one, units, digits)
    seen = one.evidence.seen
    saw = _spread(seen.mean, seen.sd, one, units, digits) if seen is not None else None
    new = _spread(one.new.mean, one.new.sd, one, units, digits) if one.new is not None else None
    ends = [row for row in (old, saw, new) if row is not None]
    low, high = min(row.mean - row.sd for row in ends), max(row.mean + row.sd for row in ends)
    said = one.said
    return LessonNow(
        one.kind.key, letter, one.kind.name if units == "ft-in" or one.kind.key != "pace" else "A cubic metre, minutes", one.kind.group, unit, old,
        saw, new, low, high, one.evidence.why, one.odd, one.worth, one.state, said.reason if said else "", said.by if said else "", one.record, at,
    )  # fmt: skip


def _left(units: Units, one: LeftOver) -> str:
    size = about(one.m3, units, 2)
    where = "in drum and chute" if one.where == "drum" else "left on site"
    return f"{size if one.m3 else 'nothing'} {where}{f', {one.by}' if one.by else ''}"


def _money(told: Money | None) -> list[MoneyNow]:
    rows = []
    for row in told.rows if told else []:
        over = row.over_cents
        text = "" if not over else f"${money(abs(over))} {'over' if over > 0 else 'under'}"
        rows.append(MoneyNow(row.key, row.name, f"${money(row.cents)}", text, row.known))
    return rows


def _kept(told: Money | None) -> str:
    if told is None:
        return ""
    return f"{'Kept' if told.kept_cents >= 0 else 'Lost'} {dollars(abs(told.kept_cents))} of {dollars(told.quoted_kept_cents)} quoted"


def _hours(said: Sequence[tuple[str, HoursWorked]], work_h: Mapping[str, float]) -> list[HoursNow]:
    rows = []
    for task, name in TASK_NAMES.items():
        own = [(record, one.worked_h) for record, one in said if one.task == task]
        if work_h.get(task, 0.0) <= 0 and not own:
            continue
        took = math.fsum(hours for _, hours in own)
        rows.append(HoursNow(task, name, f"{work_h.get(task, 0.0):.1f} h", f"{took:.1f} h" if own else "", [record for record, _ in own]))  # fmt: skip
    return rows


def went_told(
    units: Units, drawn_m3: float, need_m3: float, sd_m3: float, placed_m3: float | None, came_m3: float | None, ordered_m3: float, left_m3: float | None
) -> WentNow:  # fmt: skip
    """Where the concrete went. need_m3: drawn with its allowances as it was ordered for; left_m3: as written down."""
    per, unit = (1.0, "m³") if units == "mm" else (M3_PER_YD3, "yd")
    drawn, ordered = drawn_m3 / per, ordered_m3 / per
    allowed = SpreadNow(need_m3 / per, sd_m3 / per, f"{need_m3 / per:.2f}", f"{sd_m3 / per:.2f}")
    placed, came = (None if one is None else one / per for one in (placed_m3, came_m3))
    words = f"Ordered {ordered:.1f}"
    if placed is not None and came is not None:
        over = max(0.0, came - placed) if left_m3 is None else left_m3 / per
        words += f" ({came:.1f} came)" if abs(came - ordered) > 0.05 else ""
        words += f", placed {placed:.1f}, left {over:.1f}, short {max(0.0, placed - ordered):.1g}"
    ends = [
        drawn,
        ordered,
        allowed.mean - allowed.sd,
        allowed.mean + allowed.sd,
        *(one for one in (placed, came) if one is not None),
    ]
    return WentNow(unit, drawn, allowed, placed, came, ordered, f"{words} {unit}", min(ends), max(ends))
