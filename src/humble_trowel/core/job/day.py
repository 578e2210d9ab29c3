"""The day of the pour: what dries, what sets when, when to start."""

from __future__ import annotations

from humble_trowel.core.day.day import Asked, DayFound, day_of
from humble_trowel.core.day.findings import day_doubts, place_doubts
from humble_trowel.core.day.latest import saw_words, wet_words
from humble_trowel.core.errors import InputError
from humble_trowel.core.findings import Finding
from humble_trowel.core.job.deciding import DecidingAnswers
from humble_trowel.core.kept import kept
from humble_trowel.core.pour_sim.told import DeliveryTold
from humble_trowel.core.weather.hours import zone_of
from humble_trowel.core.weather.records import Footprint, SetLesson, WeatherIn


class DayAnswers(DecidingAnswers):
    """What weather, sun and heat make of the pour."""

    @property
    def day_asked(self) -> bool:
        """Whether there is a day to work out: an outline, a day, weather."""
        return self.plan.order.pour_at is not None and self.numbers is not None and bool(self.earlier.of(WeatherIn))

    @kept("plan", "solid", "ways", "earlier")
    def day(self) -> DayFound | None:
        """The whole day; None where no day is said, or no weather known. It takes a second: in the background for a screen."""
        return self.guarded("day", "The day", self._day, None)

    def _day(self) -> DayFound | None:
        return self._day_of(self.planned_pour or self.delivery)

    def _day_of(self, pour: DeliveryTold | None) -> DayFound | None:
        if not self.day_asked or pour is None or self.solid is None:
            return None
        try:
            zone_of(self.plan.site)
        except InputError:
            return None  # a finding says so
        return day_of(
            Asked(
                self.plan_in_air, self.ways, self.solid, pour, self.earlier.of(WeatherIn), self.earlier.named(Footprint)
            )
        )

    @property
    def day_findings(self) -> list[Finding]:
        """Doubts about the day."""
        if self.numbers is None or self.plan.order.pour_at is None:
            return []
        return [*self.stumbles("day"), *day_doubts(self.plan, self.day)]

    @property
    def place_findings(self) -> list[Finding]:
        """What is missing or wrong about where and when."""
        return place_doubts(self.plan)

    @property
    def _day_so_far(self) -> DayFound | None:
        """The day where it is worked out already: nobody waits for it here."""
        return self.day if self.day_asked and self.at_hand("day") else None

    @property
    def wet_words(self) -> str:
        """By when to wet-set, as far as the day is worked out."""
        return wet_words(self.plan, self._day_so_far)

    @property
    def saw_words(self) -> str:
        """When to saw, as far as the day is worked out."""
        return saw_words(self.plan, self._day_so_far)

    @property
    def lessons(self) -> list[SetLesson]:
        """What was kept of how fast it set."""
        return list(self.earlier.of(SetLesson))
