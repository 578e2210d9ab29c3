"""The day in words, for screens: the verdict, drying, the clock, starts, what helps. Hours on the clock of the pour's day."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.day.clock import ClockRow, HourSpan
from humble_trowel.core.day.day import DayFound
from humble_trowel.core.day.drying import FORMULA_WORDS, ZoneDrying
from humble_trowel.core.day.sizes import degrees, drying
from humble_trowel.core.day.starts import Start, until
from humble_trowel.core.findings import said_together
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.weather.hours import Clock

BOTH_MIN = 10.0
EVENTS: tuple[tuple[str, str], ...] = (
    ("float_at", "float"), ("initial", "initial set"), ("final", "set"), ("early_saw", "early-entry saw from"), ("saw_from", "saw from"),
    ("saw_until", "saw until"), ("safe", "safe from frost"), ("walk", "walk on it"), ("strip", "strip forms"), ("build", "build on it"),
    ("load", "load it"),
)  # fmt: skip


@dataclass(frozen=True)
class EventTold:
    """An event of a cast: its hours for the drawing, and on the clock. None: it does not come about."""

    key: str
    name: str
    span: HourSpan | None
    low_text: str
    at_text: str
    high_text: str


@dataclass(frozen=True)
class RibbonTold:
    """A load in a zone on its ribbon. line: what stands out, '' where nothing does. saw: the event with which sawing begins. why: what its ranges rest on."""

    zone: str
    name: str
    truck: int
    from_h: float
    to_h: float
    events: list[EventTold]
    freezes_h: float | None
    freezes_text: str
    no_saw: bool
    saw: str
    line: str
    was_float_text: str
    why: list[str]


@dataclass(frozen=True)
class DryTold:
    """A zone on its string of drying. line: '' where it never is too fast. worst_text, other_text: at its worst by both formulas."""

    zone: str
    name: str
    hours_h: list[float]
    rates_kg_m2_h: list[float]
    fresh_h: tuple[float, float]
    spans_h: list[tuple[float, float]]
    line: str
    worst_text: str
    other_text: str
    concrete_text: str


@dataclass(frozen=True)
class StartTold:
    """A start as a knot. day: Thu 17 Jun; text: 6:30."""

    at_h: float
    day: str
    text: str
    local: str
    passes: bool
    usual: bool
    short: str
    words: list[str]


@dataclass(frozen=True)
class BuysTold:
    """What a help buys. latest_text: till when one may start with it."""

    key: str
    name: str
    on: bool
    latest_text: str
    dries_text: str
    note: str


def event_told(clock: Clock, key: str, name: str, span: HourSpan | None) -> EventTold:
    """Its three hours on the clock."""
    texts = ("", "", "") if span is None else (clock.text(span.low_h), clock.text(span.at_h), clock.text(span.high_h))
    return EventTold(key, name, span, *texts)


def ribbon_told(plan: Plan, ways: JobWays, found: DayFound, clock: Clock, row: ClockRow) -> RibbonTold:
    """One load in one zone."""
    rows = [event_told(clock, key, name, getattr(row, key)) for key, name in EVENTS]
    freezes = None if row.freezes is None else row.freezes.at_h
    was = "" if row.was_float_h is None or row.float_at is None else clock.text(row.was_float_h)
    return RibbonTold(
        row.zone, row.name, row.truck, row.from_h, row.to_h, rows, freezes, "" if freezes is None else clock.text(freezes), row.no_saw,
        "early_saw" if row.no_saw or ways.day.saw == "early" else "saw_from", _line(row, clock), was if was and row.float_at and was != clock.text(row.float_at.at_h) else "", _why(plan, found, clock, row),
    )  # fmt: skip


def _line(row: ClockRow, clock: Clock) -> str:
    """What must be known of it before anything else."""
    if row.freezes is not None and not row.may_freeze:
        return f"freezes {clock.text(row.freezes.at_h)}: no strength counts after that"
    if row.no_saw and row.saw_until and row.saw_from and row.early_saw:
        closes, opens = clock.text(row.saw_until.at_h), clock.text(row.saw_from.at_h)
        return f"closes {closes}, opens {opens}: early-entry saw from {clock.text(row.early_saw.at_h)}"
    if row.may_freeze and row.freezes is not None:
        return f"may freeze {clock.text(row.freezes.at_h)} if it sets slowly"
    return ""


def _why(plan: Plan, found: DayFound, clock: Clock, row: ClockRow) -> list[str]:
    """What the hours and their ranges rest on."""
    rows = [
        f"Filled {clock.text(row.from_h)} to {clock.text(row.to_h)}, {degrees(found.placed_c, plan.units)} as it comes."
    ]
    prints = sum(1 for one in found.prints if one.zone == row.zone)
    known = (
        f"{prints} print{'s' if prints != 1 else ''} here, {len(found.prints)} in all"
        if found.prints
        else "no print yet"
    )
    rows.append(
        f"Pace {row.pace_ratio:.2f} of its mix's model, four days in five within {math.exp(1.28 * row.sd_share) - 1:.0%}: {known}."
    )
    sun = found.sun
    at = next((i for i, zone in enumerate(plan.zones) if zone.id == row.zone), None)
    if sun is not None and at is not None and at < len(sun.sun_h):
        rows.append(f"{sun.sun_h[at]:.1f} h of sun that day.")
    if row.edge_final_h is not None and row.final is not None:
        far = (row.final.at_h - row.edge_final_h) * 60
        which = "as soon" if abs(far) < BOTH_MIN else f"{abs(far):.0f} min {'sooner' if far > 0 else 'later'}"
        rows.append(f"Its deep edge sets {which}.")
    rows.append(
        f"Warmest {degrees(row.peak_c, plan.units)}, coldest {degrees(row.least_c, plan.units)} until it is strong."
    )
    return rows


def dry_told(plan: Plan, ways: JobWays, clock: Clock, row: ZoneDrying) -> DryTold:
    """One zone's drying."""
    line = ""
    if row.spans_h:
        begin, end = row.spans_h[0][0], row.spans_h[-1][1]
        line = f"too fast {clock.text(begin)} to {clock.text(end)}"
    other = "uno" if ways.day.dries_by == "menzel" else "menzel"
    warm = row.concrete_c[min(range(len(row.hours_h)), key=lambda at: abs(row.hours_h[at] - row.worst_h))]
    return DryTold(
        row.zone, row.name, row.hours_h, row.rates_kg_m2_h, row.fresh_h, row.spans_h, line,
        f"{drying(row.worst_kg_m2_h, plan.units)} at {clock.text(row.worst_h)}, {FORMULA_WORDS[ways.day.dries_by]}",
        f"{drying(row.other_kg_m2_h, plan.units)} by {FORMULA_WORDS[other]}", degrees(warm, plan.units),
    )  # fmt: skip


def day_text(clock: Clock, hour: float) -> str:
    """'Thu 17 Jun'."""
    at = clock.at(hour)
    return f"{at:%a} {at.day} {at:%b}"


def clock_text(clock: Clock, hour: float) -> str:
    """'6:30', whatever day it is."""
    at = clock.at(hour + 1 / 120)
    return f"{at.hour}:{at.minute:02d}"


def start_told(clock: Clock, row: Start) -> StartTold:
    """One start."""
    at = clock.at(row.at_h).replace(tzinfo=None)
    return StartTold(
        row.at_h, day_text(clock, row.at_h), clock_text(clock, row.at_h), at.isoformat(timespec="minutes"), row.passes, row.usual,
        row.why_not[0].short if row.why_not else "", [one.words for one in row.why_not],
    )  # fmt: skip


def verdict(found: DayFound, clock: Clock) -> tuple[str, str]:
    """(the start in the largest type, why it and not a later one)."""
    day = math.floor(found.start_h / 24)
    own = [row for row in found.starts if math.floor(row.at_h / 24) == day]
    if found.best_h is None:
        why = _most(own)
        return "No start passes", f"{day_text(clock, found.start_h)}: {why}." if why else "No weather is known."
    text = f"{clock.at(found.best_h):%a} {clock_text(clock, found.best_h)}"
    if math.floor(found.best_h / 24) != day:
        return text, f"None on {day_text(clock, found.start_h)}: {_most(own)}. This is the next that passes."
    last = until(found.starts, found.best_h)
    later = next((row for row in own if row.at_h > last and not row.passes), None)
    told = (
        "It passes every rule."
        if last == found.best_h
        else f"It passes every rule, and so does every half hour till {clock_text(clock, last)}."
    )
    if later is not None:
        told += f" At {clock_text(clock, later.at_h)} it fails: {later.why_not[0].words}"
    booked = next((row for row in own if abs(row.at_h - found.start_h) < 0.26), None)
    if booked is not None and not booked.passes:
        told = f"As booked, {clock_text(clock, found.start_h)}, it does not pass: {booked.why_not[0].short}. {told}"
    return text, told


def _most(starts: Sequence[Start]) -> str:
    """The rules that stop most of them."""
    count: dict[str, int] = {}
    for row in starts:
        for why in row.why_not[:1]:
            count[why.short] = count.get(why.short, 0) + 1
    return said_together([name for name, _ in sorted(count.items(), key=lambda one: -one[1])[:3]])


def sets_words(found: DayFound, clock: Clock) -> str:
    """Which part sets first, and what it has to do with the sun."""
    rows = [row for row in found.clock if row.final is not None]
    dark = "The sun does not rise that day. " if found.sun is not None and found.sun.dark else ""
    if len(rows) < 2:
        return dark
    first = min(rows, key=lambda row: row.final.at_h if row.final else math.inf)
    last = max(rows, key=lambda row: row.final.at_h if row.final else -math.inf)
    assert first.final is not None and last.final is not None
    apart = round((last.final.at_h - first.final.at_h) * 60 / 5) * 5
    far = f"{apart // 60} h {apart % 60:02d} min" if apart >= 60 else f"{apart} min"
    order = [row.name for row in sorted(rows, key=lambda row: row.from_h)]
    turned = order[0] != first.name
    return f"{dark}{first.name} sets first, {clock.text(first.final.at_h)}; {last.name} {far} on." + (
        " That is not the order in which they are poured." if turned else ""
    )


def buys_told(plan: Plan, found: DayFound, clock: Clock) -> list[BuysTold]:
    """What each help buys, against the day as it is."""
    rows = []
    for one in found.helps:
        latest = "no start passes" if one.latest_h is None else f"till {clock_text(clock, one.latest_h)}"
        if one.key == "earlier":
            latest = "passes" if one.latest_h is not None else one.why_text
        rows.append(BuysTold(one.key, one.name, one.on, latest, drying(one.worst_kg_m2_h, plan.units), one.note))
    return rows
