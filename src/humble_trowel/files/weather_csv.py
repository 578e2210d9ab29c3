"""Plain CSV of hourly weather: a heading, an hour a line. Units stand in the heading (air_c, air_f, wind_mph ...); where they do not, they are asked.

Hours with an offset are taken so; without one they stand on the clock of the site. On the day on which that clock goes back, the first of two
equal hours is the earlier one; on the day on which it goes forward the hour that is not there is an error.
"""

from __future__ import annotations

import csv
import io
import math
import re
from collections.abc import Callable, Mapping, Sequence
from datetime import UTC, datetime

from humble_trowel.core.weather.hours import Clock
from humble_trowel.files.weather_file import (
    FileRead,
    Line,
    Question,
    WeatherFileError,
    in_order,
    text_of,
    weather_of,
)

Scale = Callable[[float], float]
UNITS: dict[str, dict[str, tuple[str, Scale]]] = {
    "air": {"c": ("°C", lambda v: v), "f": ("°F", lambda v: (v - 32) / 1.8)},
    "humidity": {"percent": ("parts of a hundred", lambda v: v / 100), "share": ("0 to 1", lambda v: v)},
    "wind": {
        "ms": ("m/s", lambda v: v), "kmh": ("km/h", lambda v: v / 3.6), "mph": ("mph", lambda v: v * 0.44704), "kn": ("knots", lambda v: v * 0.514444),
    },
    "cloud": {"okta": ("eighths", lambda v: v), "percent": ("parts of a hundred", lambda v: v * 0.08), "tenths": ("tenths", lambda v: v * 0.8)},
    "rain": {"mm": ("mm", lambda v: v), "in": ("inches", lambda v: v * 25.4)},
}  # fmt: skip
FIELD_OF = {"air": "air_c", "humidity": "humid_share", "wind": "wind_ms", "cloud": "cloud_okta", "rain": "rain_mm"}
NAMES = {
    "air": ("air", "temp", "temperature", "t", "drybulb", "dry_bulb"), "humidity": ("humidity", "rh", "humid", "relative_humidity"),
    "wind": ("wind", "wind_speed", "windspeed"), "cloud": ("cloud", "clouds", "cloud_cover", "sky"), "rain": ("rain", "precip", "precipitation"),
}  # fmt: skip
SAID = {
    "c": "c", "degc": "c", "celsius": "c", "f": "f", "degf": "f", "fahrenheit": "f", "percent": "percent", "pct": "percent", "%": "percent",
    "share": "share", "ms": "ms", "m/s": "ms", "kmh": "kmh", "km/h": "kmh", "kph": "kmh", "mph": "mph", "kn": "kn", "knots": "kn", "kt": "kn",
    "okta": "okta", "oktas": "okta", "tenths": "tenths", "mm": "mm", "in": "in", "inch": "in",
}  # fmt: skip
NEEDED = ("air", "humidity", "wind")
TIMES = ("time", "at", "hour", "date", "datetime", "when", "local_time")
HEIGHTS = {"10": 10.0, "2": 2.0, "0.5": 0.5}


def read_csv(data: bytes, clock: Clock, made_at: str, name: str, answers: Mapping[str, str]) -> FileRead:
    """The hours about the pour's day. answers: to what was asked, by key. Raises WeatherFileError naming the line."""
    rows = _rows(text_of(data))
    head = [re.sub(r"[()\[\]]", " ", cell.strip().lower()) for cell in rows[0][1]]
    time_at, columns, asks = _columns(head, answers)
    if "height" not in answers:
        asks.append(
            Question(
                "height",
                "How high over the ground was the wind measured?",
                [("10", "10 m, a weather station"), ("2", "2 m"), ("0.5", "at the slab")],
            )
        )
    if asks:
        return FileRead(None, asks)
    lines = _lines(rows[1:], time_at, columns, clock)
    if not lines:
        raise WeatherFileError("There is no hour in the file, only a heading.", "line 1")
    found = in_order(lines, answers)
    if isinstance(found, Question):
        return FileRead(None, [found])
    height = HEIGHTS.get(answers["height"], 10.0)
    return FileRead(
        weather_of(found, name, made_at, height, clock, usual=False), [], f"{name}: {len(found)} hours read."
    )


def _rows(text: str) -> list[tuple[int, list[str]]]:
    first = text.lstrip().split("\n", 1)[0]
    divider = max(",;\t", key=first.count)
    read = csv.reader(io.StringIO(text), delimiter=divider)
    return [(number, row) for number, row in enumerate(read, 1) if any(cell.strip() for cell in row)]


def _columns(
    head: Sequence[str], answers: Mapping[str, str]
) -> tuple[int, dict[str, tuple[int, Scale]], list[Question]]:
    """(column of the time, column and scale of each thing, what must be asked)."""
    time_at = next((at for at, cell in enumerate(head) if re.split(r"[\s_]", cell)[0] in TIMES), None)
    if time_at is None:
        raise WeatherFileError(
            "The heading has no time. It must be like time,air_c,humidity_percent,wind_ms,cloud_okta.", "line 1"
        )
    columns: dict[str, tuple[int, Scale]] = {}
    asks: list[Question] = []
    for what, names in NAMES.items():
        at, said = _found(head, names)
        if at is None:
            continue
        unit = answers.get(what) or SAID.get(said, "")
        if unit not in UNITS[what]:
            words = f"The column {head[at].strip()} does not say its unit. Which is it?"
            asks.append(Question(what, words, [(key, label) for key, (label, _) in UNITS[what].items()]))
            continue
        columns[what] = (at, UNITS[what][unit][1])
    missing = [what for what in NEEDED if what not in columns and all(one.key != what for one in asks)]
    if missing:
        raise WeatherFileError(
            f"The heading has no {' and no '.join(missing)}. It must be like time,air_c,humidity_percent,wind_ms,cloud_okta.",
            "line 1",
        )
    return time_at, columns, asks


def _found(head: Sequence[str], names: Sequence[str]) -> tuple[int | None, str]:
    """(column, the unit that its heading says) of a thing; 'air_c', 'temp (F)', 'wind mph'."""
    for at, cell in enumerate(head):
        for name in sorted(names, key=len, reverse=True):
            if cell == name:
                return at, ""
            if cell.startswith((f"{name}_", f"{name} ")):
                return at, cell[len(name) + 1 :].strip(" _").replace("°", "")
    return None, ""


def _lines(
    rows: Sequence[tuple[int, list[str]]], time_at: int, columns: Mapping[str, tuple[int, Scale]], clock: Clock
) -> list[Line]:
    lines: list[Line] = []
    for number, row in rows:
        if len(row) <= max(time_at, *(at for at, _ in columns.values())):
            raise WeatherFileError(f"Line {number} has {len(row)} columns, fewer than the heading.", f"line {number}")
        when = _time(row[time_at], number, clock, lines[-1].when if lines else None)
        lines.append(
            Line(
                number,
                when,
                {FIELD_OF[what]: scale(_value(row[at], number, what)) for what, (at, scale) in columns.items()},
            )
        )
    return lines


def _time(cell: str, number: int, clock: Clock, before: datetime | None) -> datetime:
    """An hour in UTC. Raises WeatherFileError for one that the clock of the site leaves out."""
    try:
        said = datetime.fromisoformat(cell.strip())
    except ValueError:
        raise WeatherFileError(
            f"Line {number}: {cell.strip() or 'nothing'} is no time. Say it like 2027-06-17T06:00.", f"line {number}"
        ) from None
    if said.tzinfo is not None:
        return said.astimezone(UTC)
    first, second = (said.replace(tzinfo=clock.zone, fold=fold).astimezone(UTC) for fold in (0, 1))
    if first.astimezone(clock.zone).replace(tzinfo=None) != said:
        raise WeatherFileError(
            f"Line {number}: there is no {said:%H:%M} on {said:%d %b}; the clock goes forward over it. Give hours with their offset, or say the right zone.",
            f"line {number}",
        )
    if first != second and before is not None and first <= before:
        return second
    return first


def _value(cell: str, number: int, what: str) -> float:
    try:
        value = float(cell.strip().replace(",", "."))
    except ValueError:
        raise WeatherFileError(
            f"Line {number}: the {what} is {cell.strip() or 'empty'}, not a number.", f"line {number}"
        ) from None
    if not math.isfinite(value):
        raise WeatherFileError(f"Line {number}: the {what} is {cell.strip()}, not a number.", f"line {number}")
    return value
