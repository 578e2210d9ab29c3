"""Hourly weather out of a file: EPW by its specification, or plain CSV. What a file can mean in two ways is asked, never guessed.

See docs/formats/forecast.md.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from datetime import UTC, datetime, timedelta
from itertools import pairwise

from humble_trowel.core.errors import InputError
from humble_trowel.core.weather.hours import Clock
from humble_trowel.core.weather.records import WeatherHour, WeatherIn

LONGEST_GAP_H = 6.0
HOT_C, COLD_C = 48.0, -48.0
BEFORE_H, AFTER_H = 30.0, 6 * 24.0


class WeatherFileError(InputError):
    """A file of weather that cannot be used; `path` names the line."""


@dataclass(frozen=True)
class Question:
    """Something to be asked: a key, words, and its answers as (what to send, what to press)."""

    key: str
    words: str
    answers: list[tuple[str, str]]


@dataclass(frozen=True)
class FileRead:
    """What came of a file. weather: None while something is asked. said: what was found, in a sentence."""

    weather: WeatherIn | None
    asks: list[Question]
    said: str = ""


@dataclass(frozen=True)
class Line:
    """A line of a file before it is an hour. fold: the second of two equal hours on the day the clocks go back."""

    number: int
    when: datetime
    values: Mapping[str, float] = field(default_factory=dict)


def in_order(lines: Sequence[Line], answers: Mapping[str, str]) -> list[Line] | Question:
    """Every hour once, without gaps. Raises WeatherFileError naming the line of an hour that stands twice or goes back; asks about gaps."""
    for one, other in pairwise(lines):
        if other.when == one.when:
            raise WeatherFileError(
                f"Line {other.number}: {other.when:%d %b %H:%M} stands twice, here and in line {one.number}. Take one of them out.",
                f"line {other.number}",
            )
        if other.when < one.when:
            raise WeatherFileError(
                f"Line {other.number}: {other.when:%d %b %H:%M} comes after {one.when:%d %b %H:%M} in line {one.number}. Put the hours in their order.",
                f"line {other.number}",
            )
    gaps = [
        (one, other) for one, other in pairwise(lines) if (other.when - one.when).total_seconds() / 3600 > 1.0 + 1e-6
    ]
    if not gaps:
        return list(lines)
    one, other = gaps[0]
    hours = (other.when - one.when).total_seconds() / 3600
    if hours > LONGEST_GAP_H:
        raise WeatherFileError(
            f"Between line {one.number} and line {other.number} {hours:.0f} hours are missing. Bring in a file without the gap.",
            f"line {other.number}",
        )
    if "gaps" not in answers:
        words = f"Between line {one.number} ({one.when:%H:%M}) and line {other.number} ({other.when:%H:%M}) {hours - 1:.0f} hours are missing. Fill what is missing straight across?"
        return Question("gaps", words, [("fill", "Fill it straight across")])
    return _filled(lines)


def _filled(lines: Sequence[Line]) -> list[Line]:
    rows: list[Line] = []
    for one, other in pairwise(lines):
        rows.append(one)
        hours = (other.when - one.when).total_seconds() / 3600
        for step in range(1, round(hours)):
            share = step / hours
            values = {
                key: value + (other.values[key] - value) * share
                for key, value in one.values.items()
                if key in other.values
            }
            rows.append(Line(one.number, one.when + timedelta(hours=step), values))
    return [*rows, lines[-1]]


def checked(line: Line) -> None:
    """Raise WeatherFileError for what no weather is, naming the line."""
    said = line.values
    air = said["air_c"]
    if not COLD_C <= air <= HOT_C:
        raise WeatherFileError(
            f"Line {line.number}: the air is {air:.0f} °C. Is that column in °F?", f"line {line.number}"
        )
    if not 0 <= said["humid_share"] <= 1:
        raise WeatherFileError(
            f"Line {line.number}: humidity is {said['humid_share']:.2f} of what air can hold; it goes from 0 to 1. Is that column in parts of a hundred?",
            f"line {line.number}",
        )
    if said["wind_ms"] < 0:
        raise WeatherFileError(
            f"Line {line.number}: the wind is {said['wind_ms']:.1f} m/s; it cannot be less than nothing.",
            f"line {line.number}",
        )
    if said["wind_ms"] > 50:
        raise WeatherFileError(
            f"Line {line.number}: the wind is {said['wind_ms']:.0f} m/s, which tears roofs off. Look at its unit.",
            f"line {line.number}",
        )
    if not 0 <= said.get("cloud_okta", 0.0) <= 8:
        raise WeatherFileError(f"Line {line.number}: clouds go from 0 to 8 eighths.", f"line {line.number}")


def weather_of(
    lines: Sequence[Line], name: str, made_at: str, height_m: float, clock: Clock, *, usual: bool
) -> WeatherIn:
    """The hours about the pour's day. Raises WeatherFileError where the file has none of them."""
    begin, end = clock.at(-BEFORE_H), clock.at(AFTER_H)
    near = [line for line in lines if begin <= line.when <= end]
    if not near:
        raise WeatherFileError(
            f"The file goes from {lines[0].when:%d %b %Y} to {lines[-1].when:%d %b %Y}; the pour is on {clock.midnight:%d %b %Y}. No hour of it is near."
        )
    for line in near:
        checked(line)
    rows = [
        WeatherHour(
            at=line.when.astimezone(UTC).isoformat(timespec="minutes"), air_c=round(line.values["air_c"], 2), humid_share=round(line.values["humid_share"], 3),
            wind_ms=round(line.values["wind_ms"], 2), cloud_okta=round(line.values.get("cloud_okta", 4.0), 2), rain_mm=round(max(0.0, line.values.get("rain_mm", 0.0)), 2),
            usual=usual,
        )
        for line in near
    ]  # fmt: skip
    return WeatherIn(source="usual" if usual else "file", name=name, made_at=made_at, height_m=height_m, hours=rows)


def text_of(data: bytes) -> str:
    """A file as text. Raises WeatherFileError for what is none."""
    try:
        text = data.decode("utf-8-sig")
    except UnicodeDecodeError:
        text = data.decode("latin-1")
    if "\0" in text or not text.strip():
        raise WeatherFileError("That is no text file with weather in it. Bring in EPW or CSV.")
    return text
