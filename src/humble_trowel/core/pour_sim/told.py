"""The pour in words and numbers: trucks, parts of the floor, what each spacing costs, twenty days by chance. Minutes after the first truck."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import datetime, timedelta

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.pour_sim.of_job import EASY_SPACING_MIN, NOBODY_LATE, Filled, Part, filled, pour_of
from humble_trowel.core.pour_sim.pour import Pour, Poured, Visit
from humble_trowel.core.pour_sim.search import Tried, best, every_spacing, lucky
from humble_trowel.core.pour_sim.simulate import simulate
from humble_trowel.core.units import format_ordered

DAYS = 20
FIRST_SEED = 1


@dataclass(frozen=True)
class TruckTold:
    """A truck on its string. m3, text: what it brings; held: its size is said later. *_text: on the clock."""

    n: int
    m3: float
    text: str
    held: bool
    batch_min: float
    leaves_min: float
    arrive_min: float
    place_min: float
    unload_min: float
    end_min: float
    wait_min: float
    age_min: float
    arrive_text: str
    old: bool


@dataclass(frozen=True)
class PartTold:
    """A part of the floor. full_text: on the clock, '' where the order ends before. steps: (minute, share that is in)."""

    id: str
    n: int
    name: str
    rings: list[list[XY]]
    at: XY
    way: XY
    start_min: float | None
    end_min: float | None
    full_text: str
    steps: list[tuple[float, float]]


@dataclass(frozen=True)
class SpacingTold:
    """A spacing and what crew, pump and waiting come to; marked_cents: with what cold joints and late floats are held to cost."""

    spacing_min: float
    total_cents: float
    marked_cents: float
    wait_min: float
    idle_min: float
    cold_joints: int


@dataclass(frozen=True)
class DayTold:
    """A day by chance. old: loads that were too old; oldest_min: the oldest of them."""

    seed: int
    old: int
    oldest_min: float
    wait_min: float
    done_min: float


@dataclass(frozen=True)
class JointAge:
    """The oldest edge. at: where it is, in the middle of the two parts, None where loads only follow each other."""

    age_min: float
    limit_min: float
    older: int
    newer: int


@dataclass(frozen=True)
class DeliveryTold:
    """All of it. spacing_said: by a person; else the best one is shown. by_strips: False where the slab fills from the west.
    initial_min, final_min: set, about."""

    spacing_min: float
    spacing_said: bool
    best_min: float
    waits_min: list[float]
    joint: JointAge
    joint_age_max_min: float
    discharge_max_min: float
    load_limit_min: float
    charge_cents: float
    cost_cents: float
    pump_cents: float
    idle_min: float
    idle: list[tuple[float, float]]
    free_min: list[float]
    crew_h: float
    day_h: float
    done_min: float
    left_min: float
    late_m2: float
    initial_min: float
    final_min: float
    done_text: str
    start_text: str
    by_strips: bool
    trucks: list[TruckTold]
    parts: list[PartTold]
    spacings: list[SpacingTold]
    days: list[DayTold]
    pace_text: str
    travel_min: float
    places: int
    fleet: int
    method: str


def clock(plan: Plan, minute: float) -> str:
    """A minute on the clock of the pour, '6:30'; without a day, minutes after the first truck, '+45 min'."""
    if plan.order.pour_at is None:
        return f"+{minute:.0f} min" if minute >= 0 else f"−{-minute:.0f} min"
    at = datetime.fromisoformat(plan.order.pour_at) + timedelta(minutes=round(minute))
    return f"{at.hour}:{at.minute:02d}"


def delivery(
    plan: Plan, ways: JobWays, loads_m3: Sequence[float], parts: Sequence[Part], *, by_strips: bool,
    spacing_min: float | None = None, seed: int = FIRST_SEED, search: bool = True, late_min: Mapping[int, float] = NOBODY_LATE,
) -> DeliveryTold | None:  # fmt: skip
    """The whole pour; None without loads. spacing_min: as it is tried, else as the job says, else the best one; late_min: minutes that
    single loads come late, by their number from 0. search: with every
    spacing tried and days by chance; without it, None where no spacing is said."""
    said = spacing_min if spacing_min is not None else plan.order.spacing_min
    if not loads_m3 or (said is None and not search):
        return None
    pour = pour_of(plan, ways, loads_m3, parts, said or EASY_SPACING_MIN, late_min)
    tried = every_spacing(pour) if search and len(loads_m3) > 1 else []
    spacing = said or (best(tried).spacing_min if tried else EASY_SPACING_MIN)
    pour = replace(pour, loads=replace(pour.loads, spacing_min=spacing))
    poured = simulate(pour)
    own = ways.pour
    seeds = range(seed, seed + DAYS) if search else ()
    days = [lucky(pour, at, own.travel_sd_min, own.pace_sd_share) for at in seeds]
    oldest = max(poured.meetings, key=lambda one: one.age_min, default=None)
    joint = JointAge(
        oldest.age_min if oldest else 0.0,
        poured.joint_min,
        oldest.older + 1 if oldest else 0,
        oldest.newer + 1 if oldest else 0,
    )
    return DeliveryTold(
        spacing_min=spacing, spacing_said=said is not None, best_min=best(tried).spacing_min if tried else spacing,
        waits_min=[one.wait_min for one in sorted(poured.visits, key=lambda one: one.load)], joint=joint,
        joint_age_max_min=joint.age_min, discharge_max_min=poured.oldest_load_min, load_limit_min=poured.load_min,
        charge_cents=poured.charge_cents, cost_cents=poured.cost_cents, pump_cents=poured.pump_cents, idle_min=poured.idle_min, idle=poured.idle,
        free_min=[own.free_min_m3 * load for load in loads_m3], crew_h=poured.crew_h, day_h=own.day_h, done_min=poured.done_min,
        left_min=poured.left_min, late_m2=poured.late_m2, initial_min=poured.joint_min / own.joint_share,
        final_min=pour.sets.final_min, done_text=clock(plan, poured.done_min), start_text=clock(plan, 0.0), by_strips=by_strips,
        trucks=[_truck(plan, one, pour, len(loads_m3)) for one in sorted(poured.visits, key=lambda one: one.load)],
        parts=[_part(plan, at, one) for at, one in enumerate(filled(parts, poured, loads_m3))],
        spacings=[_spacing(one) for one in tried], days=[_day(seed + at, one) for at, one in enumerate(days)],
        pace_text=f"{60 / (pour.crew.m3_min * 60) * _per(plan):.1f}", travel_min=pour.loads.travel_min, places=pour.loads.places,
        fleet=pour.loads.fleet, method=plan.order.method or "chute",
    )  # fmt: skip


def _per(plan: Plan) -> float:
    return 1.0 if plan.units == "mm" else 0.764554857984


def _truck(plan: Plan, one: Visit, pour: Pour, count: int) -> TruckTold:
    return TruckTold(
        one.load + 1, one.m3, format_ordered(one.m3, plan.units), count > 1 and one.load == count - 1, one.batch_min,
        one.batch_min + pour.loads.batch_min, one.arrive_min, one.place_min, one.unload_min, one.end_min, one.wait_min, one.age_min,
        clock(plan, one.arrive_min), one.age_min > pour.sets.load_min + 1e-9,
    )  # fmt: skip


def _part(plan: Plan, at: int, one: Filled) -> PartTold:
    text = "" if one.end_min is None else clock(plan, one.end_min)
    part = one.part
    return PartTold(
        part.id, at + 1, part.name, part.rings, part.at, part.way, one.start_min, one.end_min, text, one.steps
    )


def _spacing(one: Tried) -> SpacingTold:
    found = one.poured
    return SpacingTold(
        one.spacing_min, found.cost_cents, one.objective_cents, found.wait_min, found.idle_min, found.cold_joints
    )


def _day(seed: int, one: Poured) -> DayTold:
    return DayTold(seed, one.over_age, one.oldest_load_min, one.wait_min, one.done_min)
