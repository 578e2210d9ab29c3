"""Squaring with a job's outline and the crew's ways: reading a round of measures and solving it."""

from __future__ import annotations

from typing import Any

from pydantic import ValidationError

from humble_trowel.core.errors import InputError
from humble_trowel.core.guard import answers
from humble_trowel.core.lines.records import Taped
from humble_trowel.core.lines.squaring import Squared, square
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.refs import by_place
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.reading.plain_errors import plan_error
from humble_trowel.core.units import Units


def read_taped(data: Any, units: Units) -> Taped:
    """A round from JSON data; lengths may be text with units. Raises InputError naming the field."""
    try:
        return Taped.model_validate(data, context={"units": units})
    except ValidationError as error:
        found = plan_error(error)
        raise InputError(found.words, found.path) from None


@answers("Squaring")
def square_plan(plan: Plan, taped: Taped, ways: JobWays) -> Squared:
    """Which corner of this plan's frame moves where. Raises InputError."""
    if plan.outline is None:
        raise InputError("There is no outline yet. Call the first side.", "outline")
    taped = by_place(taped, plan)
    sigma = ways.tape.sigma_mm
    return square(plan.outline, taped, plan.units, sigma_mm=sigma, tolerance_mm=tolerance_of(plan, ways))


def tolerance_of(plan: Plan, ways: JobWays) -> float:
    """When a corner is right, mm: the crew's, or 1/8 in (3 mm in a mm job)."""
    own = ways.tape.tolerance_mm
    return own if own is not None else (3.0 if plan.units == "mm" else 3.175)
