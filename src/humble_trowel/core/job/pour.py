"""The day of the pour at a minute."""

from __future__ import annotations

import math

import shapely
from shapely.geometry import Point

from humble_trowel.core.day.day import DayFound
from humble_trowel.core.day.sizes import degrees
from humble_trowel.core.findings import Finding
from humble_trowel.core.job.gate import GateAnswers
from humble_trowel.core.kept import kept
from humble_trowel.core.order.call_in import mix_words
from humble_trowel.core.order.hold import belief_of, site_of
from humble_trowel.core.order.records import OrderCalled
from humble_trowel.core.pour.act_list import Standing, Tall
from humble_trowel.core.pour.ahead import AheadStrip, ahead_of
from humble_trowel.core.pour.clock import pour_clock
from humble_trowel.core.pour.cuts import CutLine
from humble_trowel.core.pour.day import Planned, PourDay, Said, pour_day
from humble_trowel.core.pour.doubts import pour_doubts_now
from humble_trowel.core.pour.floor import Floor, floor_of
from humble_trowel.core.pour.loads import loads_of
from humble_trowel.core.pour.records import (
    ActDone,
    ActGiven,
    Front,
    GaugeRead,
    Incident,
    LoadCalled,
    PlantSaid,
    Sawn,
    Ticket,
)
from humble_trowel.core.pour.running import run_of
from humble_trowel.core.pour.sets import ZoneSets, parts_in
from humble_trowel.core.pour.sun_now import sun_now
from humble_trowel.core.pour.told import pour_told
from humble_trowel.core.pour.told_parts import PourTold
from humble_trowel.core.pour_sim.of_job import pour_of, sets_of
from humble_trowel.core.pour_sim.told import DeliveryTold
from humble_trowel.core.units import say_length

TALL_MM = 24 * 25.4
LATE_STEP_MIN = 5.0
MESH = ("mesh", "rolls", "mesh-tied")


class PourAnswers(GateAnswers):
    """What the day asks for."""

    @kept("plan", "solid", "ways", "setups", "earlier")
    def pour_floor(self) -> Floor | None:
        """The floor as it is filled; None without an outline."""
        return self.guarded("pour_floor", "The floor", self._floor, None)

    def _floor(self) -> Floor | None:
        if self.solid is None or not self.pour_parts:
            return None
        told = self.screed_told
        names = {row.id: row.name for row in told.strips} if told else {}
        return floor_of(self.pour_parts, self.solid, names, math.fsum(part.m3 for part in self.parts))

    @kept("plan", "solid", "ways", "setups", "earlier")
    def pour_planned(self) -> Planned | None:
        """What is known before the first truck; None without an outline, a day or loads."""
        return self.guarded("pour_planned", "The day of the pour", self._planned, None)

    def _planned(self) -> Planned | None:
        clock, floor, told = pour_clock(self.plan), self.pour_floor, self.planned_pour or self.delivery
        if (
            clock is None
            or floor is None
            or told is None
            or self.sure is None
            or self.solid is None
            or not self.loads_m3
        ):
            return None
        ways, plan, cells = self.ways, self.plan, self.solid.cells
        site = site_of(plan, self.solid, ways, self.measured, math.fsum(part.m3 for part in self.parts))
        marks = {row.slab for row in plan.steel.ways if row.way in MESH}
        mesh = frozenset(name for cell in cells if cell.mark in marks for name in parts_in(floor, cell))
        joints = [(row.start, row.end) for row in plan.joints.lines]
        cuts = self.joints_told
        sawn = [CutLine(row.id, row.start, row.end) for row in cuts.lines if row.how == "sawn"] if cuts else []
        air = [row.air_c for row in self.pour_hours]
        return Planned(
            plan, ways, clock, floor, pour_of(self.plan_in_air, ways, self.loads_m3, self.pour_parts, told.spacing_min),
            tuple(self.loads_m3), len(self.loads_m3) > 1, site, belief_of(site, self.doubts, ways), self.doubts, self.sure.volume,
            self.sure.costs, told.travel_min + ways.pour.batch_min + ways.pour.line_min, self.thin_mm,
            plan.mix.air_c if plan.mix.air_c is not None else sum(air) / len(air) if air else None, mesh, self._set_in(floor),
            self._tall(), self.tubing is not None, joints, sawn, [one.batch_min for one in told.trucks],
        )  # fmt: skip

    def _set_in(self, floor: Floor) -> list[Standing]:
        """What is set while it is wet, each with its strip."""
        rows, told = [], self.embeds_told
        for item in told.items if told else []:
            if item.state == "set":
                continue
            far = shapely.distance([one.region for one in floor.parts], Point(item.spot))
            rows.append(Standing(floor.parts[int(far.argmin())].part.id, item.kind, item.n, item.spot))
        return rows

    def _tall(self) -> list[Tall]:
        ring = self.plan.outline or []
        rows = []
        for form in self.forms.sides if self.forms else []:
            if form.formed and form.height_mm >= TALL_MM:
                (ax, ay), (bx, by) = ring[form.side], ring[(form.side + 1) % len(ring)]
                rows.append(Tall(self.plan.corner_ids[form.side], form.name, say_length(form.height_mm, self.plan.units), ((ax + bx) / 2, (ay + by) / 2)))  # fmt: skip
        return rows

    @property
    def pour_said(self) -> Said:
        """What was written down on the day."""
        own = self.records
        return Said(own.named(Ticket), own.named(Front), own.named(ActDone), own.named(GaugeRead), own.named(Incident), own.named(LoadCalled), own.named(OrderCalled), own.named(PlantSaid), own.named(Sawn), own.named(ActGiven))  # fmt: skip

    def pour_day(self, now_min: float | None = None) -> PourDay | None:
        """The day at a minute after the first truck should stand there; at its newest record where nobody says."""
        planned = self.pour_planned
        if planned is None:
            return None
        said = self.pour_said
        if now_min is None:
            newest = said.newest(planned.clock)
            now_min = 0.0 if newest is None else newest
        return pour_day(planned, said, now_min, self._sets(planned))

    def _sets(self, planned: Planned) -> ZoneSets:
        """When zones are worked: by the day as far as it is worked out by now."""
        day, plan, minutes = self._day_so_far, self.plan, planned.planned_min
        run = self.pour_as_late
        if run is not None and self.day_asked and self.at_hand("day_run") and self.day_run is not None:
            day, minutes = self.day_run, [one.batch_min for one in run.trucks]
        mix = sets_of(self.plan_in_air, self.ways.pour)
        return ZoneSets(plan, self.shape.cells, planned.floor, planned.sawn, mix, minutes, day, self.ways.day.saw)

    @kept("plan", "solid", "ways", "records", "pour_planned")
    def came_late(self) -> tuple[float, ...]:
        """How late each truck came, and those behind it will, to five minutes; none where all came as planned. The very object of the job before while it says
        the same, so that what rests on it is not worked out again."""
        planned, old = self.pour_planned, self.before if isinstance(self.before, PourAnswers) else None
        if old is not None and old.pour_planned is planned and old.records.named(Ticket) == self.records.named(Ticket):
            return old.came_late
        found: tuple[float, ...] = ()
        if planned is not None:
            loads = loads_of(planned.plan, planned.ways, planned.clock, self.records.named(Ticket))
            own = planned.pour.loads
            here = run_of(planned.pour, planned.loads_m3, loads, 0.0, 0.0).loads
            off = [one.batch_min - at for one, at in zip(here, planned.planned_min, strict=False)]
            late = [
                max(0.0, min(float(own.travel_min + 240), round(one / LATE_STEP_MIN) * LATE_STEP_MIN)) for one in off
            ]
            found = tuple(late) if any(late) and any(one.here for one in here) else ()
        return old.came_late if old is not None and old.came_late == found else found

    @kept("plan", "solid", "ways", "earlier", "came_late")
    def pour_as_late(self) -> DeliveryTold | None:
        """The pour played through with the trucks as late as they came; None where they came as planned."""
        late = {at: one for at, one in enumerate(self.came_late) if one}
        return self.guarded("pour_as_late", "The pour", lambda: self._pour(None, 1, search=False, late_min=late), None) if late else None  # fmt: skip

    @kept("plan", "solid", "ways", "earlier", "came_late")
    def day_run(self) -> DayFound | None:
        """The day with the trucks as late as they came; None where they came as planned. It takes a second: in the background for a screen."""
        run = self.pour_as_late
        return None if run is None else self.guarded("day_run", "The day", lambda: self._day_of(run), None)

    def pour_ahead(self, now_min: float | None = None) -> tuple[PourDay, list[AheadStrip]] | None:
        """What to call for fronts and yards that may come, with the day that it is of."""
        day = self.pour_day(now_min)
        return None if day is None else (day, ahead_of(day))

    def pour_told(self, now_min: float | None = None) -> PourTold | None:
        """The same in words and drawings."""
        day = self.pour_day(now_min)
        if day is None:
            return None
        air = [row.air_c for row in self.pour_hours]
        wet = any(row.rain_mm > 0 for row in self.pour_hours)
        weather = f"{degrees(min(air), self.plan.units)} to {degrees(max(air), self.plan.units)}{', rain' if wet else ''}" if air else ""  # fmt: skip
        found = self._day_so_far
        sun = sun_now(found.sun, found.start_h, day.now_min) if found is not None and found.sun is not None else None
        return pour_told(day, self.pour_said, weather, mix_words(self.plan.mix, self.plan.units)[0], sun)

    @property
    def pour_findings(self) -> list[Finding]:
        """Doubts of the day, as of its newest record."""
        rows = self.stumbles("pour_floor", "pour_planned")
        if not self.pour_said.any:
            return rows
        day = self.pour_day()
        return rows if day is None else rows + pour_doubts_now(day, self.records.of(GaugeRead))
