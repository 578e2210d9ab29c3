"""Kinds of values in a job file: lengths, sizes, positions and strengths as a person may write them, all into mm and MPa."""

from __future__ import annotations

import math
from datetime import date, datetime
from typing import Annotated, Any

from pydantic import AfterValidator, BeforeValidator, Field, ValidationInfo

from humble_trowel.core.errors import BareNumber, LengthError
from humble_trowel.core.units import Units, parse_length, parse_strength

MAX_LENGTH_MM = 1_000_000.0
MAX_CORNERS = 200
LEAST_LENGTH_MM = 1e-3
LEAST_SIZE_MM = 0.1


def _units_of(info: ValidationInfo) -> Units:
    context = info.context or {}
    return "mm" if context.get("units") == "mm" else "ft-in"


def snapped(value: float) -> float:
    """A length in mm, 0 where it is less than a thousandth: nobody can lay that out, and sums of it only stumble."""
    return 0.0 if abs(value) < LEAST_LENGTH_MM else value


def _sane(value: float) -> float:
    if abs(value) >= MAX_LENGTH_MM:
        raise ValueError(f"{value / 1000:g} m is absurd for a slab. Sizes stay under 1 km.")
    return snapped(value)


def _length(value: Any, info: ValidationInfo) -> float:
    if type(value) is float and 0.0 <= value < MAX_LENGTH_MM:  # as it is stored; very many stand in records of shots
        return snapped(value)
    if not isinstance(value, str | int | float):
        raise ValueError("must be a length: a number of mm, or text with a unit.")
    try:
        return _sane(parse_length(value, _units_of(info)))
    except LengthError as error:
        raise ValueError(error.words) from error


def _position(value: Any, info: ValidationInfo) -> float:
    """A coordinate: a length that may be negative."""
    if type(value) is float and -MAX_LENGTH_MM < value < MAX_LENGTH_MM:
        return snapped(value) if value >= 0 else 0.0 - snapped(-value)  # never minus nothing
    if isinstance(value, str) and value.strip().startswith(("-", "−")):
        try:
            return 0.0 - _sane(parse_length(value.strip()[1:], _units_of(info)))
        except BareNumber as error:
            signed = " or ".join(f"-{choice}" for choice in error.choices)
            raise ValueError(f"{value.strip()} what? Say {signed}.") from error
        except LengthError as error:
            raise ValueError(error.words) from error
    if isinstance(value, int | float) and not isinstance(value, bool) and value < 0:
        return 0.0 - _length(-value, info)
    return _length(value, info)


def _above_zero(value: float) -> float:
    if value <= 0:
        raise ValueError("is 0. It must be more than nothing.")
    if value < LEAST_SIZE_MM:
        raise ValueError(f"{value:g} mm is too small to build. It must be {LEAST_SIZE_MM:g} mm or more.")
    return value


def _finite(value: Any) -> Any:
    if isinstance(value, float) and not math.isfinite(value):
        raise ValueError("must be an ordinary number.")
    if isinstance(value, str) and len(value) > 40:
        raise ValueError("must be a number of few digits.")
    if isinstance(value, bool):
        raise ValueError("must be a number.")
    return value


def _strength(value: Any, info: ValidationInfo) -> float:
    if not isinstance(value, str | int | float) or isinstance(value, bool):
        raise ValueError("must be a strength: MPa, or text like 4000 psi.")
    try:
        return float(_finite(parse_strength(value, _units_of(info))))
    except LengthError as error:
        raise ValueError(error.words) from error


def _small(value: Any, info: ValidationInfo) -> float:
    """Slump or stone: a bare number typed in a ft-in job is inches."""
    if not isinstance(value, str | int | float):
        raise ValueError("must be a length: a number of mm, or text with a unit.")
    try:
        return _sane(parse_length(value, _units_of(info), bare="in"))
    except LengthError as error:
        raise ValueError(error.words) from error


Strength = Annotated[float, BeforeValidator(_strength)]
Small = Annotated[float, BeforeValidator(_small)]
Length = Annotated[float, BeforeValidator(_length)]
Size = Annotated[float, BeforeValidator(lambda value, info: _above_zero(_length(value, info)))]
KPA_PER_PSI = 6.894757


def _pressure(value: Any, info: ValidationInfo) -> Any:
    """kPa, or text as it is read off a gauge: a bare number there is psi, or kPa in a metric job."""
    if not isinstance(value, str):
        return _finite(value)
    text = value.strip().lower()
    unit = next((one for one in ("psi", "kpa", "bar") if text.endswith(one)), "")
    per = {"psi": KPA_PER_PSI, "kpa": 1.0, "bar": 100.0, "": 1.0 if _units_of(info) == "mm" else KPA_PER_PSI}[unit]
    try:
        return _finite(float(text.removesuffix(unit).strip().replace(",", ".")) * per)
    except ValueError:
        raise ValueError("must be a pressure, like 60 psi or 400 kPa.") from None


# Signs that turn what follows round (Unicode bidirectional controls, UAX 9), so that a name reads as another.
TURNS = frozenset("\u061c\u200e\u200f\u202a\u202b\u202c\u202d\u202e\u2066\u2067\u2068\u2069")


def seen(value: str) -> str:
    """A name of which all can be seen, as it stands. Raises ValueError."""
    if any(sign in TURNS or (sign < " " and sign not in "\t\n") for sign in value):
        raise ValueError("holds signs that cannot be seen or turn the text round. Type it again.")
    return value


Position = Annotated[float, BeforeValidator(_position)]
Pressure = Annotated[float, Field(ge=0, le=5000), BeforeValidator(_pressure)]
Number = Annotated[float, BeforeValidator(_finite)]
Point = tuple[Position, Position]
Ring = Annotated[list[Point], Field(min_length=3, max_length=MAX_CORNERS)]
Path = Annotated[list[Point], Field(min_length=2, max_length=MAX_CORNERS)]
Mark = Annotated[str, Field(min_length=1, max_length=12)]
Name = Annotated[str, Field(min_length=1, max_length=120), AfterValidator(seen)]
Note = Annotated[str, Field(max_length=4000)]


def _a_time(value: str) -> str:
    try:
        datetime.fromisoformat(value)
    except ValueError as error:
        raise ValueError(f"{value} is not a date and time. Say it like 2027-06-17T06:30.") from error
    return value


When = Annotated[str, AfterValidator(_a_time)]


def _a_day(value: str) -> str:
    try:
        date.fromisoformat(value)
    except ValueError as error:
        raise ValueError(f"{value} is not a day. Say it like 2027-06-17.") from error
    return value


Day = Annotated[str, AfterValidator(_a_day)]
