"""May we pour? Trades and their days, the walk, papers."""

from __future__ import annotations

import math
from datetime import date

from humble_trowel.core.errors import InputError
from humble_trowel.core.gate.changes import Amounts
from humble_trowel.core.gate.papers import Paper, papers_of
from humble_trowel.core.gate.records import Overruled, PaperKept, Signature, SiteChange, WalkCheck
from humble_trowel.core.gate.walk import GateWalk, walked
from humble_trowel.core.gate.walk_rows import AtSite
from humble_trowel.core.job.day import DayAnswers
from humble_trowel.core.kept import kept
from humble_trowel.core.schedule.implied import Sizes
from humble_trowel.core.schedule.of_job import hands_of, sky_days
from humble_trowel.core.schedule.project import Sky
from humble_trowel.core.schedule.scheduled import Scheduled, scheduled
from humble_trowel.core.weather.hours import clock_of, forecast_of
from humble_trowel.core.weather.records import WeatherIn

STONES = ("stone", "graded", "fill", "blinding")


class GateAnswers(DayAnswers):
    """What the gate asks of all stages."""

    @kept("plan", "earlier")
    def sky_days(self) -> dict[date, Sky]:
        """The weather of each day that is known; empty where none is, or the time zone does not exist."""
        weather = self.earlier.of(WeatherIn)
        if not weather:
            return {}
        first = self.plan.order.pour_at or weather[-1].hours[0].at
        try:
            clock = clock_of(self.plan.site, first)
        except InputError:
            return {}  # a finding says so
        return sky_days(forecast_of(weather, clock, self.plan.day.open_ground).rows, clock.midnight.date())

    @property
    def work_sizes(self) -> Sizes:
        """How much of each work there is, and what its records say is done."""
        plan, outline, covered = self.plan, self.outline, self.covered
        foam = math.fsum(row.area_m2 for row in covered.foam) if covered else 0.0
        area = outline.area_m2 if outline else 0.0
        stone = any(layer.kind in STONES for row in plan.build_ups for layer in row.layers)
        return Sizes(
            area_m2=area, perimeter_m=outline.perimeter_m if outline else 0.0, digs=True,
            pipes=len(plan.underslab.services), stone_m2=area if stone else 0.0, foam_m2=foam,
            barrier_m2=covered.barrier.area_m2 if covered and covered.barrier else 0.0,
            tubes_m2=self.tubing.area_m2 if self.tubing else 0.0,
            steel_kg=self.steel.mass_kg if self.steel else 0.0, bolts=len(self.setting.items) if self.embeds else 0,
            joints=bool(plan.joints.lines), done=frozenset(self._done()),
        )  # fmt: skip

    def _done(self) -> list[str]:
        """Tasks that records say are done."""
        done = []
        if self.squared is not None and self.squared.inside:
            done.append("mark")
        if self.graded.flat:
            done.append("stone")
        if self.tested is not None and not self.tested.open:
            done.append("test")
        looks = [look for place in self.steel_places for look in place.looks]
        if looks and all(look.state in ("held", "mended") for look in looks):
            done.append("steel")
        items = self.setting.items if self.embeds else []
        if items and all(item.state == "set" for item in items):
            done.append("bolts")
        return done

    def scheduled(self, today: date) -> Scheduled:
        """The days of every trade, from today on. Raises InputError, naming the field, for loops and tasks that cannot be."""
        return scheduled(self.plan, self.ways, self.work_sizes, self.sky_days, today)

    @kept("plan", "earlier", "solid", "ways", "setups")
    def walked(self) -> GateWalk:
        """The walk round the slab, with what was found."""
        return self.guarded("walked", "The walk", self._walked, GateWalk([], 0, 0, 0))

    def _walked(self) -> GateWalk:
        if self.solid is None:
            return GateWalk([], 0, 0, 0)
        plan, buried = self.plan, self.underslab
        risers = buried.risers if buried else []
        squared = "" if self.squared is None else "in" if self.squared.inside else "out"
        kinds = {layer.kind for row in plan.build_ups for layer in row.layers}
        site = AtSite(
            plan, self.solid.cells, self.steel_places, self.embeds.walls if self.embeds else [], self.setting.items if self.embeds else [],
            self.tested.lines if self.tested else [], len(risers), sum(1 for one in risers if one.check is not None and not one.check.on),
            sum(1 for one in risers if one.check is None), squared, self.covered is not None and self.covered.barrier is not None,
            self.tubing.manifold_at if self.tubing else None, plan.order.method == "pump", self.pour_hands[1], bool(kinds & {"fill"}),
        )  # fmt: skip
        return walked(site, self.walk_checks)

    @property
    def walk_checks(self) -> tuple[tuple[str, WalkCheck], ...]:
        """Looks on the walk and visits, oldest first."""
        return self.earlier.named(WalkCheck)

    @property
    def overruled(self) -> tuple[tuple[str, Overruled], ...]:
        """Holds that somebody took on."""
        return self.earlier.named(Overruled)

    @property
    def site_changes(self) -> tuple[tuple[str, SiteChange], ...]:
        """What was changed on site."""
        return self.earlier.named(SiteChange)

    @property
    def visits(self) -> list[str]:
        """Keys of visits that the work needs."""
        out = {row.key for row in self.plan.schedule.tasks if row.left_out}
        return [key for key in (["test"] if self.plan.underslab.services else []) + ["visit"] if key not in out]

    @property
    def pour_hands(self) -> tuple[int, int]:
        """(hands that are there for the pour, hands that it takes)."""
        row = next((one for one in self.plan.schedule.tasks if one.key == "pour"), None)
        needed = row.hands if row and row.hands is not None else self.ways.schedule.pour_hands
        return (len(row.people) if row and row.people else hands_of(self.plan, self.ways)), needed

    @property
    def papers(self) -> list[Paper]:
        """Papers that are asked for here."""
        plan, kinds = self.plan, {layer.kind for row in self.plan.build_ups for layer in row.layers}
        here = {
            "permit": True, "drawings": True, "locate": True, "compaction": "fill" in kinds, "termite": bool(plan.underslab.treatments),
            "tests": self.tested is not None, "changes": bool(self.site_changes), "tickets": True,
        }  # fmt: skip
        return papers_of([key for key, on in here.items() if on], plan.schedule.papers, self.earlier.named(PaperKept))

    @property
    def signatures(self) -> tuple[tuple[str, Signature], ...]:
        """Signatures, oldest first."""
        return self.earlier.named(Signature)

    @property
    def amounts(self) -> Amounts:
        """What the job comes to, to weigh a change."""
        cost = self.cost(None)
        steps = frozenset(row.id for place in self.walked.places for row in place.rows if "I" in row.who)
        return Amounts(
            self.numbers.net_m3 if self.numbers else 0.0,
            self.steel.mass_kg if self.steel else 0.0,
            cost.total_cents if cost else 0,
            steps,
        )
