"""The ways: how this crew works and what its plant does. Company-wide; a job may override parts.

Lengths in mm, volumes in m3. House defaults: base lies low 1/4 in, trench 1/2 in wider than drawn, 1/4 yd3
left in drum and chute; the order goes up to the plant's increment after a slack of 0.005 yd3.
"""

from __future__ import annotations

import math
from typing import Annotated, Any, Literal

from pydantic import AfterValidator, BaseModel, BeforeValidator, ConfigDict, Field, ValidationInfo

from humble_trowel.core.errors import LengthError
from humble_trowel.core.units import M3_PER_YD3, Units, parse_length, parse_volume

SLACK_M3 = 0.005 * M3_PER_YD3


def _context_units(info: ValidationInfo) -> Units:
    return "mm" if (info.context or {}).get("units") == "mm" else "ft-in"


def _small_length(value: Any, info: ValidationInfo) -> float:
    if not isinstance(value, str | int | float):
        raise ValueError("must be a length: a number of mm, or text with a unit.")
    try:
        size = parse_length(value, _context_units(info), bare="in")
    except LengthError as error:
        raise ValueError(error.words) from error
    if size > 1000:
        raise ValueError("is over 1 m. An allowance is a matter of fractions of an inch.")
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


def _truck(value: Any, info: ValidationInfo) -> float:
    size = _volume(value, info)
    if not 0.5 <= size <= 30:
        raise ValueError("is no truck: sizes run from 0.5 to 30 m³ (0.65 to 39 yd³).")
    return size


def _increment(value: float) -> float:
    if value not in (0.25, 0.5):
        raise ValueError("must be a quarter or a half: 0.25 or 0.5.")
    return value


Increment = Annotated[float, AfterValidator(_increment)]
SmallLength = Annotated[float, BeforeValidator(_small_length)]
Volume = Annotated[float, BeforeValidator(_volume)]
TruckVolume = Annotated[float, BeforeValidator(_truck)]
Reason = Annotated[str, Field(max_length=400)]
Text = Annotated[str, Field(max_length=200)]


class WaysPart(BaseModel):
    model_config = ConfigDict(extra="forbid", frozen=True)


class Allowances(WaysPart):
    """Each with its reason; 0 switches one off."""

    base_low_mm: SmallLength = 6.35
    base_low_reason: Reason = "A base set by hand lies a little low all over."
    trench_wide_mm: SmallLength = 12.7
    trench_wide_reason: Reason = "Trench sides break out wider than drawn."
    left_behind_m3: Volume = 0.25 * M3_PER_YD3
    left_behind_reason: Reason = "Some stays in the drum and the chute."


class Plant(WaysPart):
    """The plant as the crew knows it. `confirmed`: somebody asked the plant."""

    name: Text = ""
    phone: Text = ""
    account: Text = ""
    increment_yd3: Increment = 0.5
    increment_m3: Increment = 0.5
    increment_reason: Reason = "The plant batches in halves."
    truck_yd3: Annotated[float, Field(ge=1, le=40)] = 9.0
    truck_m3: Annotated[float, Field(ge=0.5, le=30)] = 7.0
    truck_reason: Reason = "What most trucks carry on a level road."
    short_load_yd3: Annotated[float, Field(ge=0, le=40)] = 4.0
    short_load_m3: Annotated[float, Field(ge=0, le=30)] = 3.0
    confirmed: bool = False


class Reading(WaysPart):
    """How lengths are shown."""

    nearest: Literal[4, 8, 16] = 16
    reason: Reason = "Tapes are read to the sixteenth."
    new_job_units: Units = "ft-in"


class Person(WaysPart):
    name: Annotated[str, Field(min_length=1, max_length=60)]
    phone: Text = ""


class Ways(WaysPart):
    """The whole crew's ways."""

    firm: Text = ""
    crew: Annotated[list[Person], Field(max_length=60)] = []
    allowances: Allowances = Allowances()
    plant: Plant = Plant()
    reading: Reading = Reading()


class WaysOverride(WaysPart):
    """What one job does differently: null means as the crew does. `reason` says why."""

    base_low_mm: SmallLength | None = None
    trench_wide_mm: SmallLength | None = None
    left_behind_m3: Volume | None = None
    increment_yd3: Increment | None = None
    increment_m3: Increment | None = None
    truck_yd3: Annotated[float, Field(ge=1, le=40)] | None = None
    truck_m3: Annotated[float, Field(ge=0.5, le=30)] | None = None
    short_load_yd3: Annotated[float, Field(ge=0, le=40)] | None = None
    short_load_m3: Annotated[float, Field(ge=0, le=30)] | None = None
    reason: Reason = ""


def ways_for(ways: Ways, override: WaysOverride) -> Ways:
    """The crew's ways with one job's differences laid over them."""
    given = {key: value for key, value in override.model_dump().items() if value is not None and key != "reason"}
    allowances = {key: value for key, value in given.items() if key in Allowances.model_fields}
    plant = {key: value for key, value in given.items() if key in Plant.model_fields}
    return ways.model_copy(
        update={
            "allowances": ways.allowances.model_copy(update=allowances),
            "plant": ways.plant.model_copy(update=plant),
        }
    )
