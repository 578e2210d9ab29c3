"""The weeks after the pour: how strong when, what lies on it, what is to be done."""

from __future__ import annotations

import math
from collections.abc import Mapping

import shapely
from shapely.geometry import LineString, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.cure.cured import CureDay, SaidAfter, blankets_of, cure_day
from humble_trowel.core.cure.doubts import cure_doubts
from humble_trowel.core.cure.heat import Blanketed, Given, Warmth, warmth_of
from humble_trowel.core.cure.records import CoverLaid, CylinderBroken, FloorShot, ProbeRead, Stripped, WetRound
from humble_trowel.core.cure.told import cure_told, short_text
from humble_trowel.core.cure.told_parts import CureTold
from humble_trowel.core.day.day import DayFound
from humble_trowel.core.day.sizes import degrees
from humble_trowel.core.errors import InputError
from humble_trowel.core.findings import Finding, said_together
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.job.pour import PourAnswers
from humble_trowel.core.kept import kept
from humble_trowel.core.pour.told_finish import cuts_told
from humble_trowel.core.weather.hours import Clock, clock_of
from humble_trowel.core.weather.records import WeatherIn

NIGHT_C = 7.0
BY_H = 4.0  # a blanket lies so long before the cold comes
Sides = list[tuple[str, str, str, tuple[XY, XY], str]]


class CureAnswers(PourAnswers):
    """What weeks of curing make of the slab."""

    @property
    def cure_clock(self) -> Clock | None:
        """Hours on the clock of the pour's day; None without a day or with a time zone that does not exist."""
        if self.plan.order.pour_at is None:
            return None
        try:
            return clock_of(self.plan.site, self.plan.order.pour_at)
        except InputError:
            return None

    @property
    def cure_said(self) -> SaidAfter:
        """What was written down after the pour."""
        own = self.records
        return SaidAfter(own.named(CoverLaid), own.named(WetRound), own.named(ProbeRead), own.named(CylinderBroken), own.named(FloorShot), own.named(Stripped))  # fmt: skip

    @property
    def day_known(self) -> DayFound | None:
        """The set clock as the trucks came, or as planned, as far as it is worked out: what prints told of the pace stands there."""
        if self.came_late and self.at_hand("day_run"):
            return self.day_run
        return self._day_so_far

    @kept("plan", "ways", "records")
    def blankets(self) -> dict[str, Blanketed]:
        """Zones under a blanket. The very object of the job before while it says the same."""
        clock = self.cure_clock
        found = {} if clock is None else blankets_of(self.plan, self.ways, clock, self.cure_said.covers)
        old = self.before.blankets if isinstance(self.before, CureAnswers) else None
        return old if old == found and old is not None else found

    @kept("plan", "solid", "ways", "earlier", "came_late", "blankets", "day_known")
    def warmth(self) -> Warmth | None:
        """How warm each zone is for four weeks, by the model; None without a day, weather or concrete."""
        return self.guarded("warmth", "The warmth", lambda: self._warmth(self.blankets), None)

    def _warmth(self, blankets: Mapping[str, Blanketed]) -> Warmth | None:
        pour = self.pour_as_late or self.planned_pour or self.delivery
        if not self.day_asked or pour is None or self.solid is None or self.cure_clock is None:
            return None
        found = self.day_known
        paces = {(row.zone, row.truck): row.pace_ratio for row in found.clock} if found else {}
        return warmth_of(
            Given(self.plan_in_air, self.ways, self.solid, pour, self.earlier.of(WeatherIn), paces, blankets)
        )

    @kept("plan", "solid", "ways", "earlier")
    def build_was_h(self) -> float | None:
        """When it was to be built on, at the late end, as it stood before the first truck: by the forecast of then, trucks on time, nothing read."""
        pour, clock, start = self.planned_pour or self.delivery, self.cure_clock, self.plan.order.pour_at
        if not self.day_asked or pour is None or self.solid is None or clock is None or start is None:
            return None
        begin = clock.hour_at(start)
        then = [one for one in self.earlier.of(WeatherIn) if clock.hour_at(one.made_at) <= begin]
        warmth = warmth_of(Given(self.plan_in_air, self.ways, self.solid, pour, then, {}, {})) if then else None
        if warmth is None:
            return None
        return cure_day(
            self.plan, self.ways, clock, warmth, {}, self._usual_sd, SaidAfter(), self._floor_area, begin
        ).latest_h("build")

    @property
    def _moved_by(self) -> str:
        """What moved it since, in a sentence."""
        clock, start, warmth = self.cure_clock, self.plan.order.pour_at, self.warmth
        if clock is None or start is None or warmth is None:
            return ""
        newer = [one for one in self.earlier.of(WeatherIn) if clock.hour_at(one.made_at) > clock.hour_at(start)]
        cold = min(warmth.hours, key=lambda row: row.air_c, default=None)
        if newer and cold is not None and cold.air_c < NIGHT_C:
            return f"{clock.at(cold.hour_h):%A}'s {degrees(cold.air_c, self.plan.units)} night moves it."
        if newer:
            return "The newer forecast moves it."
        said = self.cure_said
        if said.probes:
            return "What was read in the concrete moves it."
        if said.cylinders:
            return "Cylinders move it."
        if self.blankets:
            return "Blankets move it."
        return "Late trucks move it." if self.came_late else "Prints of the day move it."

    @property
    def _pace_sd(self) -> dict[str, float]:
        found = self.day_known
        return {row.zone: row.sd_share for row in found.clock} if found else {}

    @property
    def _usual_sd(self) -> float:
        own = self.ways.day
        return math.sqrt(own.set_sd_share**2 + own.zone_sd_share**2 + own.truck_sd_share**2)

    @property
    def cure_now_h(self) -> float | None:
        """The hour of the newest word after the pour, or of its end."""
        clock, warmth = self.cure_clock, self.warmth
        if clock is None or warmth is None:
            return None
        end = max(float(one.hours_h[0]) for one in warmth.zones)
        newest = self.cure_said.newest_h(clock)
        return end if newest is None else max(end, newest)

    def cure_day(self, now_h: float | None = None) -> CureDay | None:
        """The cure at an hour; at its newest word where nobody says."""
        clock, warmth, now = self.cure_clock, self.warmth, self.cure_now_h if now_h is None else now_h
        if clock is None or warmth is None or now is None or self.solid is None:
            return None
        return cure_day(
            self.plan, self.ways, clock, warmth, self._pace_sd, self._usual_sd, self.cure_said, self._floor_area, now
        )

    @property
    def _floor_area(self) -> BaseGeometry:
        return shapely.union_all([cell.region for cell in self.solid.cells]) if self.solid else Polygon()

    def cure_under(self, zones: list[str], from_h: float, now_h: float) -> CureDay | None:
        """The same with blankets over some zones from an hour on."""
        clock = self.cure_clock
        laid = {**self.blankets, **{zone: Blanketed(self.ways.cure.blanket_r_m2_k_w, from_h) for zone in zones}}
        warmth = self._warmth(laid)
        if clock is None or warmth is None:
            return None
        return cure_day(
            self.plan, self.ways, clock, warmth, self._pace_sd, self._usual_sd, self.cure_said, self._floor_area, now_h
        )

    def _gain(self, day: CureDay) -> tuple[str, str]:
        """(key of the first cold that is still to come, what blankets over its zones bring)."""
        first = next((one for one in day.alarms if one.kind in ("cold", "frost") and one.until_h >= day.now_h), None)
        if first is None:
            return "", ""
        under = self.cure_under(list(first.zones), max(day.now_h, first.from_h - BY_H), day.now_h)
        was, now = day.latest_h("build"), under.latest_h("build") if under else None
        names = said_together([one.heat.name for one in day.strong if one.heat.zone in first.zones])
        key = f"{first.kind}/{first.from_h:.1f}"
        if under is None or now is None or (was is not None and was - now < 1):
            return key, ""
        before = short_text(day, was)
        after = short_text(day, now)
        moved = f"from {before} to {after}" if before != after else f"{(was or now) - now:.0f} hours forward"
        return key, f"Blankets over {names} bring building {moved}."

    @property
    def _sides(self) -> Sides:
        """(id, name, boards, line, zone beside it) of every form."""
        ring, rows = self.plan.outline or [], []
        cells = self.solid.cells if self.solid else []
        for form in self.forms.sides if self.forms else []:
            if not form.formed or not cells:
                continue
            line = (ring[form.side], ring[(form.side + 1) % len(ring)])
            near = min(
                cells, key=lambda cell: (-cell.region.buffer(5).intersection(LineString(line)).length, cell.index)
            )
            boards = ", ".join(dict.fromkeys(form.boards))
            rows.append((self.plan.corner_ids[form.side], form.name, boards, line, self.plan.zones[near.index].id))
        return rows

    def cure_told(self, now_h: float | None = None, trying: tuple[list[str], float] | None = None) -> CureTold | None:
        """The same in words and drawings. trying: zones under blankets from an hour on, to see what that would bring."""
        day = self.cure_day(now_h)
        if day is not None and trying is not None:
            day = self.cure_under(*trying, day.now_h)
        if day is None or not day.strong or self.solid is None:
            return None
        cells = {self.plan.zones[cell.index].id: cell for cell in self.solid.cells}
        points = {zone: cell.region.representative_point() for zone, cell in cells.items()}
        pour = self.pour_day()
        return cure_told(
            day, self.cure_said, {zone: (one.x, one.y) for zone, one in points.items()}, {zone: cell.thickness_mm for zone, cell in cells.items()},
            self.build_was_h, self._moved_by, ("", "") if trying else self._gain(day), self._sides, cuts_told(pour) if pour else [],
        )  # fmt: skip

    @property
    def cure_findings(self) -> list[Finding]:
        """Doubts of the weeks after, once somebody wrote something of them down."""
        rows = self.stumbles("warmth")
        if not self.cure_said.any:
            return rows
        day = self.cure_day()
        return rows if day is None else rows + cure_doubts(day)
