"""Records of weather that was brought in, of prints, and of what a day's set taught."""

from __future__ import annotations

from datetime import datetime
from itertools import pairwise

from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind
from humble_trowel.core.units import Units
from humble_trowel.core.weather.records import Footprint, SetLesson, WeatherIn

SEEN_WORDS = {"print": "a print of a quarter inch", "soft": "too soft to stand on", "none": "no print"}


class WeatherKind(RecordKind[WeatherIn]):
    """Weather; each hour counts as the newest record that has it says."""

    name = "weather"
    values = WeatherIn

    def resolved(self, values: WeatherIn, plan: Plan) -> WeatherIn:
        return values

    def check(self, job: JobSoFar, values: WeatherIn) -> None:
        times = [datetime.fromisoformat(row.at) for row in values.hours]
        bare = next((row.at for row, at in zip(values.hours, times, strict=True) if at.tzinfo is None), None)
        if bare is not None:
            raise InputError(
                f"{bare} does not say how far it is from UTC. Say it like 2027-06-17T06:00-04:00.", "hours"
            )
        for one, other in pairwise(times):
            if other <= one:
                raise InputError(
                    f"{other.isoformat()} stands twice, or before its turn. Each hour once, in order.", "hours"
                )

    def sentence(self, job: JobSoFar, values: WeatherIn) -> str:
        return (
            f"{values.name}: {len(values.hours)} hours of weather from {values.hours[0].at[:16].replace('T', ' ')} on."
        )

    def shown(self, values: WeatherIn, units: Units) -> list[str]:
        return [values.name]


class FootprintKind(RecordKind[Footprint]):
    """What a heel told."""

    name = "footprint"
    values = Footprint

    def check(self, job: JobSoFar, values: Footprint) -> None:
        if all(zone.id != values.zone for zone in job.plan.zones):
            raise InputError("That zone is not on this slab any more. Press the floor where you stand.", "zone")

    def sentence(self, job: JobSoFar, values: Footprint) -> str:
        name = next((zone.name for zone in job.plan.zones if zone.id == values.zone), "there")
        return f"{name}, {values.at[11:16]}: {SEEN_WORDS[values.seen]}."

    def shown(self, values: Footprint, units: Units) -> list[str]:
        return [SEEN_WORDS[values.seen]]


class SetLessonKind(RecordKind[SetLesson]):
    """The day's own factor, kept."""

    name = "set-lesson"
    values = SetLesson

    def resolved(self, values: SetLesson, plan: Plan) -> SetLesson:
        return values

    def sentence(self, job: JobSoFar, values: SetLesson) -> str:
        return f"{values.mix} set at {values.ratio:.2f} of its model's pace, by {values.prints} prints."


WEATHER_RECORDS = (WeatherKind(), FootprintKind(), SetLessonKind())
