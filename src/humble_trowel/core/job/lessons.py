"""What the next quote learns."""

from __future__ import annotations

import math
from collections.abc import Mapping
from functools import cached_property
from typing import Self

from humble_trowel.core.built.records import AsBuilt
from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.job.built import BuiltAnswers
from humble_trowel.core.job.order import OrderAnswers
from humble_trowel.core.lessons.kinds import KIND_OF_LESSON, with_middle
from humble_trowel.core.lessons.lessons import Lesson, lessons_of, middle_said
from humble_trowel.core.lessons.money import Money, Spent, money_of
from humble_trowel.core.lessons.records import HoursWorked, LeftOver, LessonSaid
from humble_trowel.core.lessons.seen import JobFacts
from humble_trowel.core.lessons.told import lessons_told, went_told
from humble_trowel.core.lessons.told_parts import LessonsTold, NextNow, WentNow
from humble_trowel.core.order.allowances import forms_face_m2, trenches
from humble_trowel.core.order.quantity import Ordered
from humble_trowel.core.plan.order_parts import OrderNotes
from humble_trowel.core.plan.ways import Ways, WaysOverride
from humble_trowel.core.pour.day import PourDay
from humble_trowel.core.pour.sizes import about
from humble_trowel.core.pour.ticket_doubts import charge_cents, over_min
from humble_trowel.core.units import M3_PER_YD3

CAUSES = ("trench", "base", "bow", "yield", "left")


class LessonAnswers(BuiltAnswers):
    """What the job teaches the crew's ways."""

    @property
    def lessons_said(self) -> dict[str, tuple[str, LessonSaid]]:
        """The newest word of each lesson, with the id of its record."""
        return {one.key: (record, one) for record, one in self.records.named(LessonSaid)}

    @property
    def job_facts(self) -> JobFacts | None:
        """What the job can teach from; None without an outline."""
        return self.guarded("job_facts", "The lessons", self._facts, None)

    def _facts(self) -> JobFacts | None:
        if self.solid is None or self.numbers is None:
            return None
        day, own, found = self.pour_day(), self.records, self._day_so_far
        runs = trenches(self.plan, self.solid, self.measured)
        return JobFacts(
            ways=self.ways, day=day if self.pour_said.any else None, done=day is not None and _done(day), slab_m2=sum(cell.area_m2 for cell in self.solid.cells),
            trench_m2=math.fsum(one.length_mm * one.below_mm for one in runs) / 1e6, face_m2=forms_face_m2(self.plan, self.solid), need_m3=self.need_m3,
            base_shot=self.measured.base is not None, trench_dug=bool(runs) and all(one.dug for one in runs), road_own=self.plan.order.travel_min is not None,
            shared=found.shared if found else None, prints=len(found.prints) if found else 0, left=own.of(LeftOver), hours=own.of(HoursWorked), built=own.of(AsBuilt),
            work_h=self.work_h,
        )  # fmt: skip

    @cached_property
    def as_quoted(self) -> Self:
        """The job by the ways as they were before its own lessons were taken: what it was quoted by."""
        was = self.crew
        for key, (_, word) in self.lessons_said.items():
            if word.taken and word.old is not None and key in KIND_OF_LESSON:
                was = with_middle(KIND_OF_LESSON[key], was, middle_said(word.old), figures=17)
        return self if was is self.crew else type(self)(self.plan, was, self.records, before=self)

    @property
    def work_h(self) -> dict[str, float]:
        """Hours of each task as they are quoted: of hands, added; of the pour, of the crew."""
        takes, own = self.takes, self.ways.prices
        if takes is None:
            return {}
        return {
            "dig": takes.dig_m3 / own.dig_m3_h, "place-stone": takes.stone_m3 / own.stone_m3_h, "form": takes.form_h,
            "cover": takes.barrier_m2 / own.cover_m2_h, "tie": takes.steel_kg / own.steel_kg_h, "set": takes.bolts / own.bolts_h, "pour": takes.crew_h,
        }  # fmt: skip

    @property
    def lessons_found(self) -> list[Lesson]:
        """Every lesson that concerns this job."""
        facts = self.job_facts
        return [] if facts is None else lessons_of(facts, self.crew, self.lessons_said)

    def _money(self, facts: JobFacts) -> Money | None:
        """What it cost against its quote; None without a price."""
        cost = self.as_quoted.cost(None)
        if cost is None or self.sure is None:
            return None
        day = facts.day
        loads = [one for one in day.run.loads if one.here] if day else []
        costs = self.sure.costs
        fees = math.fsum(costs.fee_cents(one.m3) for one in loads)
        running = {one.load: one for one in day.run.loads} if day else {}
        waited = math.fsum(
            charge_cents(self.ways, over_min(self.ways, one, running.get(one.id), day.now_min)) for one in day.loads if one.taken
        ) if day else 0.0  # fmt: skip
        thrown = [one.m3 for one in facts.left if one.where == "site"]
        cure = self.cure_day()
        return money_of(
            cost, self.ways,
            Spent([one.m3 for one in loads], fees, waited, math.fsum(thrown) if thrown else None, _hours(facts), cure.levels.cost_cents if cure else 0.0,
                  sum(one.price_cents for _, one in self.site_changes if one.agreed_by)),
        )  # fmt: skip

    def _went(self, facts: JobFacts) -> WentNow | None:
        if self.sure is None or self.numbers is None:
            return None
        day = facts.day
        came = math.fsum(one.m3 for one in day.run.loads if one.here) if day else None
        left = math.fsum(one.m3 for one in facts.left) if facts.left else None
        placed = None
        if day is not None and came is not None and facts.done:
            placed = came - left if left is not None else min(came, day.forecast.total.mean_m3)
        volume = self.sure.volume
        drawn = math.fsum(part.m3 for part in self.parts)
        return went_told(
            self.plan.units, drawn, volume.mean_m3, volume.sd_m3, placed, came, self.numbers.order_m3, left
        )

    def _next_with(self, crew: Ways) -> tuple[Ordered | None, float]:
        """(the order of a next job like it by some ways, what is over what is drawn), nothing measured yet and nothing said for this job alone."""
        plan = self.plan.model_copy(update={"ways": WaysOverride(), "order": OrderNotes(method=self.plan.order.method)})
        job = OrderAnswers(plan, crew, before=self)
        if job.numbers is None:
            return None, 0.0
        return job.numbers.ordered, math.fsum(row.m3 for row in job.extras)

    def _next(self, lessons: list[Lesson]) -> NextNow | None:
        """The order of the next job like it."""
        if not any(one.new is not None for one in lessons):
            return None
        was = self.as_quoted.crew
        would = self.crew
        for one in lessons:
            if one.state == "open" and one.worth and one.new is not None:
                would = with_middle(one.kind, would, one.new)
        (before, _), (now, over), (then, more) = (self._next_with(crew) for crew in (was, self.crew, would))
        if before is None or now is None or then is None:
            return None
        moved = f"{about(over, self.plan.units, 2)} over drawn" if abs(more - over) < 0.005 * M3_PER_YD3 else f"{about(over, self.plan.units, 2)} to {about(more, self.plan.units, 2)} over drawn"  # fmt: skip
        return NextNow(before.text, now.text, then.text, moved, "m³" if self.plan.units == "mm" else "yd")

    @property
    def _cause_spots(self) -> Mapping[str, XY]:
        return {row.key: row.at for row in self.doubts if row.at is not None} if self.solid is not None else {}

    def lessons_told(self) -> LessonsTold | None:
        """The same in words and drawings; None without an outline."""
        facts, own = self.job_facts, self.records
        if facts is None:
            return None
        lessons = lessons_of(facts, self.crew, self.lessons_said)
        return lessons_told(
            self.plan.units, lessons, self._cause_spots, self._went(facts), self._money(facts), own.named(HoursWorked), self.as_quoted.work_h, own.named(LeftOver), self._next(lessons)
        )  # fmt: skip

    @property
    def lesson_findings(self) -> list[Finding]:
        """Doubts about the lessons, once the pour was written down."""
        if not self.pour_said.any:
            return []
        facts = self.job_facts
        if facts is None or not facts.done:
            return list(self.stumbled.get("job_facts", []))
        rows = []
        for one in lessons_of(facts, self.crew, self.lessons_said):
            if one.odd and one.state == "open":
                words = f"{one.kind.name}: this job lies far from what the crew's ways expect."
                rows.append(finding("lesson-odd", f"lessons.{one.kind.key}", words, "Look for a slip in what was written down before you take it.", "lesson"))  # fmt: skip
        return rows


def _done(day: PourDay) -> bool:
    """All of it is placed: every part full, or the last truck ran out and no other comes."""
    loads = day.run.loads
    full = bool(day.fillings) and all(one.full for one in day.fillings)
    return full or (bool(loads) and all(one.here and one.empty for one in loads))


def _hours(facts: JobFacts) -> dict[str, float]:
    found: dict[str, float] = {}
    for one in facts.hours:
        found[one.task] = found.get(one.task, 0.0) + one.worked_h
    return found
