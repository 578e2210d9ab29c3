"""EPW: eight lines of heading, then an hour a line, 35 columns, for a year that is usual at a place.

Source: the format as EnergyPlus documents it (auxiliary programs, weather file). Standard time all year; hour 1 ends at one o'clock. Years of the
rows are of the months they were picked from, so the days are put into the pour's year: what that time of year usually does.
"""

from __future__ import annotations

import csv
import io
from collections.abc import Mapping
from datetime import datetime, timedelta, timezone
from itertools import pairwise

from humble_trowel.core.plan.document import Site
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

HEADING = 8
COLUMNS = {"air_c": (6, 99.9), "humid": (8, 999.0), "wind_ms": (21, 999.0), "cloud": (22, 99.0), "rain_mm": (33, 999.0)}
FAR_DEG, HEIGHT_M = 1.5, 10.0
LAST_COLUMN = 22


def is_epw(data: bytes) -> bool:
    """Whether a file begins like one."""
    return data.lstrip(b"\xef\xbb\xbf \r\n")[:9].upper() == b"LOCATION,"


def read_epw(data: bytes, site: Site, clock: Clock, made_at: str, answers: Mapping[str, str]) -> FileRead:
    """The hours about the pour's day, as usual ones. Raises WeatherFileError naming the line."""
    rows = list(csv.reader(io.StringIO(text_of(data))))
    if len(rows) <= HEADING or len(rows[0]) < 10:
        raise WeatherFileError(
            "An EPW file has eight lines of heading and an hour a line; this one ends before.", "line 1"
        )
    place, latitude, longitude, zone_h = (
        rows[0][1].strip() or "a place without a name",
        *(_heading(rows[0], at) for at in (6, 7, 8)),
    )
    asks = _asks(site, clock, place, latitude, longitude, zone_h, answers)
    if asks:
        return FileRead(None, asks)
    hours = zone_h if answers.get("zone") != "site" else clock.midnight.utcoffset().total_seconds() / 3600  # type: ignore[union-attr]
    lines = [_line(row, number, clock, hours) for number, row in enumerate(rows[HEADING:], HEADING + 1) if row]
    lines = sorted(lines, key=lambda line: line.when) if _turns(lines) else lines
    found = in_order(lines, answers)
    if isinstance(found, Question):
        return FileRead(None, [found])
    name = f"A usual year at {place}"
    return FileRead(
        weather_of(found, name, made_at, HEIGHT_M, clock, usual=True),
        [],
        f"{name}: what it usually does about that day, no forecast.",
    )


def _turns(lines: list[Line]) -> bool:
    """Whether days about new year were put into two years."""
    return any(other.when < one.when - timedelta(days=200) for one, other in pairwise(lines))


def _heading(row: list[str], at: int) -> float:
    try:
        return float(row[at])
    except ValueError:
        raise WeatherFileError(
            f"Line 1: {row[at] or 'nothing'} stands where latitude, longitude and time zone should.", "line 1"
        ) from None


def _asks(
    site: Site, clock: Clock, place: str, latitude: float, longitude: float, zone_h: float, answers: Mapping[str, str]
) -> list[Question]:
    """Another place, another zone: which is meant?"""
    asks = []
    if site.latitude is not None and site.longitude is not None and "place" not in answers:
        far = abs(site.latitude - latitude) > FAR_DEG or abs(site.longitude - longitude) > FAR_DEG
        if far:
            words = f"The file is of {place} at {latitude:.1f}°, {longitude:.1f}°; the slab lies at {site.latitude:.1f}°, {site.longitude:.1f}°. Use it all the same?"
            asks.append(Question("place", words, [("use", f"Use {place}")]))
    summer = clock.midnight.dst() or timedelta(0)
    standard = (clock.midnight.utcoffset() or timedelta(0)) - summer
    if abs(standard.total_seconds() / 3600 - zone_h) > 0.01 and "zone" not in answers:
        words = f"The file's hours are UTC{zone_h:+.0f}, the site's standard time is UTC{standard.total_seconds() / 3600:+.0f}. Which clock do they stand on?"
        asks.append(
            Question(
                "zone", words, [("file", f"UTC{zone_h:+.0f}, as the file says"), ("site", "The clock of the site")]
            )
        )
    return asks


def _line(row: list[str], number: int, clock: Clock, zone_h: float) -> Line:
    if len(row) <= LAST_COLUMN:
        raise WeatherFileError(f"Line {number} has {len(row)} columns; an EPW line has 35.", f"line {number}")
    try:
        month, day, hour = (int(float(row[at])) for at in (1, 2, 3))
        said = {key: float(row[at]) for key, (at, _) in COLUMNS.items() if at < len(row)}
        zone = timezone(timedelta(hours=zone_h))
        when = datetime(_year(clock, month), month, min(day, 28) if month == 2 else day, tzinfo=zone) + timedelta(
            hours=hour
        )
        if month == 2 and day > 28:
            when += timedelta(days=1)
    except ValueError:
        raise WeatherFileError(
            f"Line {number}: a number of it cannot be read. Look at month, day, hour, air, humidity and wind.",
            f"line {number}",
        ) from None
    missing = [key for key in ("air_c", "humid", "wind_ms") if said[key] >= COLUMNS[key][1]]
    if missing:
        raise WeatherFileError(
            f"Line {number}: the file says that its {' and '.join(_NAMES[key] for key in missing)} is missing.",
            f"line {number}",
        )
    cloud = said["cloud"] if said["cloud"] < COLUMNS["cloud"][1] else 5.0
    rain = said.get("rain_mm", 0.0)
    return Line(number, when, {
        "air_c": said["air_c"], "humid_share": said["humid"] / 100, "wind_ms": said["wind_ms"], "cloud_okta": cloud * 0.8,
        "rain_mm": rain if rain < COLUMNS["rain_mm"][1] else 0.0,
    })  # fmt: skip


_NAMES = {"air_c": "air", "humid": "humidity", "wind_ms": "wind"}


def _year(clock: Clock, month: int) -> int:
    """The year that puts the month nearest to the pour's."""
    own = clock.midnight
    if own.month >= 11 and month <= 2:
        return own.year + 1
    if own.month <= 2 and month >= 11:
        return own.year - 1
    return own.year
