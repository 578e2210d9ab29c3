"""Records of steel."""

from __future__ import annotations

from humble_trowel.core.errors import InputError
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind
from humble_trowel.core.steel.frame import Frame
from humble_trowel.core.steel.looks import Look, Place, places_of, told
from humble_trowel.core.steel.records import SteelCheck
from humble_trowel.core.steel.steel import steel_laid
from humble_trowel.core.units import Units


def _there(job: JobSoFar, values: SteelCheck) -> tuple[Place, Look]:
    """The place and the look that a record is of. Raises InputError where there is none."""
    found = steel_laid(job.plan, job.shape, job.ways.steel)
    places = places_of(Frame(job.plan, job.shape, job.ways.steel), found, ()) if found else []
    place = next((one for one in places if one.id == values.place), None)
    if place is None:
        raise InputError("No steel stands at that place any more.", "place")
    look = next((one for one in place.looks if one.look == values.look), None)
    if look is None:
        raise InputError(f"There is nothing of that to look at: {place.name}.", "look")
    return place, look


class SteelCheckKind(RecordKind[SteelCheck]):
    """A look at steel; the newest of a place and look counts."""

    name = "steel-check"
    values = SteelCheck

    def check(self, job: JobSoFar, values: SteelCheck) -> None:
        _, look = _there(job, values)
        needs = {"yes": "holds", "bar": "size", "count": "count", "length": "measured_mm"}
        kind = (
            "yes"
            if look.bound == "yes"
            else "bar"
            if look.need_bar
            else "count"
            if look.need_count is not None
            else "length"
        )
        if getattr(values, needs[kind]) is None:
            words = {
                "yes": "Say whether it is so.",
                "bar": "Say which bar it is.",
                "count": "Say how many there are.",
                "length": "Say what was taped.",
            }
            raise InputError(words[kind], needs[kind])

    def sentence(self, job: JobSoFar, values: SteelCheck) -> str:
        place, look = _there(job, values)
        return f"{place.name}, {look.look}: {told(job.plan.units, look, values).words}"

    def shown(self, values: SteelCheck, units: Units) -> list[str]:
        return [values.place, values.look]


STEEL_RECORDS = (SteelCheckKind(),)
