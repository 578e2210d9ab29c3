"""Kinds of values in the ways: lengths and volumes as a crew types them, and short texts."""

from __future__ import annotations

import math
from typing import Annotated, Any

from pydantic import BeforeValidator, Field, ValidationInfo

from humble_trowel.core.errors import LengthError
from humble_trowel.core.units import Units, parse_length, parse_volume


def _context_units(info: ValidationInfo) -> Units:
    return "mm" if (info.context or {}).get("units") == "mm" else "ft-in"


def _read(value: Any, info: ValidationInfo) -> float:
    if not isinstance(value, str | int | float):
        raise ValueError("must be a length: a number of mm, or text with a unit.")
    try:
        return parse_length(value, _context_units(info), bare="in")
    except LengthError as error:
        raise ValueError(error.words) from error


def _small_length(value: Any, info: ValidationInfo) -> float:
    size = _read(value, info)
    if size > 1000:
        raise ValueError("is over 1 m. An allowance is a matter of fractions of an inch.")
    return size


def _way_length(value: Any, info: ValidationInfo) -> float:
    size = _read(value, info)
    if not 0 < size <= 30_000:
        raise ValueError("must be more than nothing and under 30 m.")
    return size


def _roll_length(value: Any, info: ValidationInfo) -> float:
    size = _read(value, info)
    if not 0 < size <= 300_000:
        raise ValueError("must be more than nothing and under 300 m.")
    return size


def _volume(value: Any, info: ValidationInfo) -> float:
    if not isinstance(value, str | int | float):
        raise ValueError("must be a volume: a number of m³, or text with a unit.")
    try:
        size = parse_volume(value, _context_units(info))
    except LengthError as error:
        raise ValueError(error.words) from error
    if not math.isfinite(size) or size > 1000:
        raise ValueError("is more than any plant carries.")
    return size


SmallLength = Annotated[float, BeforeValidator(_small_length)]
WayLength = Annotated[float, BeforeValidator(_way_length)]
RollLength = Annotated[float, BeforeValidator(_roll_length)]
Volume = Annotated[float, BeforeValidator(_volume)]
Reason = Annotated[str, Field(max_length=400)]
Text = Annotated[str, Field(max_length=200)]
WayName = Annotated[str, Field(min_length=1, max_length=20)]
