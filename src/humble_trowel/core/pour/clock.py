"""The clock of the day: minutes after the first truck should stand there, on the wall of the site. A clock that is set in the day does not move it."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import UTC, datetime, timedelta

from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.weather.hours import Clock, clock_of


@dataclass(frozen=True)
class PourClock:
    """start: when the first truck should stand there."""

    clock: Clock
    start: datetime

    def minute(self, when: str) -> float:
        """Minutes after the start of a time as it is written; local where it says no offset."""
        at = datetime.fromisoformat(when)
        known = at if at.tzinfo is not None else at.replace(tzinfo=self.clock.zone)
        return (known.astimezone(UTC) - self.start.astimezone(UTC)).total_seconds() / 60

    def at(self, minute: float) -> datetime:
        """The time on the wall, with its offset."""
        return (self.start.astimezone(UTC) + timedelta(minutes=minute)).astimezone(self.clock.zone)

    def text(self, minute: float) -> str:
        """'6:05', to the nearest minute; with the day where it is another one."""
        found = self.at(minute + 1 / 120)
        day = "" if found.date() == self.start.date() else f"{found:%a} "
        return f"{day}{found.hour}:{found.minute:02d}"

    def iso(self, minute: float) -> str:
        """The same for other programs."""
        return self.at(minute).isoformat(timespec="minutes")

    def stamp(self, minute: float) -> str:
        """The same to the second, as words are written down."""
        return self.at(minute + 1 / 12000).isoformat(timespec="seconds")


def pour_clock(plan: Plan) -> PourClock | None:
    """None without a day. A time zone that does not exist counts as a guess here; a finding of the day says so."""
    if plan.order.pour_at is None:
        return None
    try:
        clock = clock_of(plan.site, plan.order.pour_at)
    except InputError:
        clock = clock_of(plan.site.model_copy(update={"time_zone": ""}), plan.order.pour_at)
    start = datetime.fromisoformat(plan.order.pour_at)
    return PourClock(clock, start.astimezone(clock.zone) if start.tzinfo else start.replace(tzinfo=clock.zone))
