"""Days as they are called: 'steel 15', 'rain 11 0.6', 'county mon wed', 'pour free'. Each ends in an edit that exists."""

from __future__ import annotations

import re
from collections.abc import Sequence
from datetime import date, timedelta
from typing import Literal

from humble_trowel.core.edits.base import EditBase, Edited, Short
from humble_trowel.core.edits.schedule import NAMES, SayDay, SetSchedule, SetTask
from humble_trowel.core.errors import EditError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.values import Day

WEEKDAYS = ("mon", "tue", "wed", "thu", "fri", "sat", "sun")
IN_MM, MPH_MS = 25.4, 0.44704
ASKS = {
    "rain": "How much rain? Like rain 11 0.6 (inches) or rain 11 15mm.",
    "wind": "How much wind? Like wind 11 25 (mph).",
    "frost": "How cold? Like frost 11 25 (F).",
}


class CallDay(EditBase):
    """The same as it is called: 'steel 15', 'rain 11 0.6', 'county mon wed', 'pour free'. seen_from: the first day that is drawn; a number is
    the next day of that number from there on."""

    op: Literal["call_day"]
    text: Short
    seen_from: Day

    def apply(self, plan: Plan) -> Edited:
        return _called(self.text, date.fromisoformat(self.seen_from)).apply(plan)


def _called(text: str, seen_from: date) -> SetTask | SayDay | SetSchedule:
    words = text.lower().replace(",", " ").split()
    if not words:
        raise EditError("Say a task and its day, like steel 15; rain 11 0.6; county mon wed.", "text")
    if words[0] == "county" and len(words) > 1 and all(word[:3] in WEEKDAYS for word in words[1:]):
        days = sorted({WEEKDAYS.index(word[:3]) for word in words[1:]})
        return SetSchedule(op="set_schedule", changes={"county_weekdays": days})
    if words[0] in ("rain", "wind", "frost", "dry"):
        return _weather(words, seen_from)
    key, rest = _task_named(words)
    if key is None:
        known = ", ".join(names[0] for names in NAMES.values())
        raise EditError(f"No task is called {words[0]}. Known: {known}.", "text")
    if rest == ["free"]:
        return SetTask(op="set_task", task=key, changes={"on": None})
    if rest[:1] == ["done"]:
        return SetTask(op="set_task", task=key, changes={"done_on": _on(rest[1:], seen_from)})
    return SetTask(op="set_task", task=key, changes={"on": _on(rest, seen_from)})


def _task_named(words: Sequence[str]) -> tuple[str | None, list[str]]:
    for count in (2, 1):
        said = " ".join(words[:count])
        found = next((key for key, names in NAMES.items() if said in names), None)
        if found is not None:
            return found, list(words[count:])
    return None, []


def _on(words: Sequence[str], seen_from: date) -> str:
    """A day: its number ('15'), a day of the week ('thu'), or all of it ('2027-06-15')."""
    said = words[0] if words else ""
    if re.fullmatch(r"\d{4}-\d\d-\d\d", said):
        try:
            return date.fromisoformat(said).isoformat()
        except ValueError:
            raise EditError(f"{said} is no day.", "text") from None
    for ahead in range(62):
        day = seen_from + timedelta(days=ahead)
        if said == str(day.day) or (len(said) >= 3 and WEEKDAYS[day.weekday()].startswith(said[:3])):
            return day.isoformat()
    raise EditError("On which day? Its number, like 15, or its name, like thu.", "text")


def _weather(words: Sequence[str], seen_from: date) -> SayDay:
    on = _on(words[1:], seen_from)
    if words[0] == "dry":
        return SayDay(op="say_day", on=on, rain_mm=0.0)
    said = words[2] if len(words) > 2 else ""
    match = re.fullmatch(r"(-?\d+(?:\.\d+)?)(in|\"|mm|mph|km/h|c|f)?", said)
    if match is None:
        raise EditError(ASKS[words[0]], "text")
    value, unit = float(match[1]), match[2]
    if words[0] == "rain":
        return SayDay(op="say_day", on=on, rain_mm=_sane(value if unit == "mm" else value * IN_MM, 0, 500))
    if words[0] == "wind":
        return SayDay(op="say_day", on=on, wind_ms=_sane(value / 3.6 if unit == "km/h" else value * MPH_MS, 0, 60))
    return SayDay(op="say_day", on=on, least_c=_sane(value if unit == "c" else (value - 32) / 1.8, -60, 60))


def _sane(value: float, least: float, most: float) -> float:
    if not least <= value <= most:
        raise EditError("No day has such weather.", "text")
    return value
