"""What a job says of each middle, from what was measured and written down; or why it says nothing."""

from __future__ import annotations

import math
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from statistics import fmean, stdev

import numpy as np

from humble_trowel.core.built.records import AsBuilt
from humble_trowel.core.day.prints import Pace
from humble_trowel.core.lessons.joint import Told, told_by
from humble_trowel.core.lessons.kinds import TASK_OF, LessonKind, middle_of
from humble_trowel.core.lessons.records import HoursWorked, LeftOver
from humble_trowel.core.lessons.update import Seen, told_apart
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.pour.day import PourDay
from humble_trowel.core.units import MM_PER_IN

EYE_SHARE, EYE_M3 = 0.2, 0.02  # how well somebody tells what lies in a drum
TAPE_MM = MM_PER_IN / 16
HOURS_SD = 0.1  # hours as they are written down, and what the amount of work is off
LEAST_PACE_SD, LEAST_ROAD_MIN = 0.05, 2.0


@dataclass(frozen=True)
class JobFacts:
    """What a job can teach from. done: all of it is placed. slab_m2, trench_m2, face_m2, need_m3: what a millimetre, or a share, of each is
    multiplied by. shared: how fast its concrete set, by so many prints. work_h: hours of each task as quoted."""

    ways: JobWays
    day: PourDay | None
    done: bool
    slab_m2: float
    trench_m2: float
    face_m2: float
    need_m3: float
    base_shot: bool
    trench_dug: bool
    road_own: bool
    shared: Pace | None
    prints: int
    left: Sequence[LeftOver]
    hours: Sequence[HoursWorked]
    built: Sequence[AsBuilt]
    work_h: Mapping[str, float]

    @property
    def trench_per(self) -> float:
        """Litres more a metre of trench for each millimetre that it is wider."""
        run = self.day.planned.site.trench_m if self.day else 0.0
        return self.trench_m2 / run if run > 0 else 0.0


@dataclass(frozen=True)
class Evidence:
    """seen: None where it says nothing; why: of both. per_m3: what one unit of it makes of this job's concrete, 0 where it is none of concrete."""

    seen: Seen | None
    why: str
    per_m3: float = 0.0


def told_together(facts: JobFacts) -> Told | None:
    """What the pour says of base, trench and tickets at once, in the units of the ways; None where it is not over, or says nothing."""
    day = facts.day
    if day is None or not facts.done or day.forecast.belief is None:
        return None
    now, before = day.forecast.belief, day.planned.belief
    per = np.array([1.0, facts.trench_per or 1.0, 1.0])
    var = np.diag(before.spread) / per**2
    return told_by(
        before.middle / per,
        var,
        (facts.base_shot, facts.trench_dug, False),
        now.middle / per,
        now.spread / np.outer(per, per),
    )


def evidence_of(kind: LessonKind, facts: JobFacts) -> Evidence:
    """What the job says of a middle, in its own unit, or of its logarithm."""
    if kind.group == "rate":
        return _rate(kind, facts)
    return _OWN[kind.key](facts)


def _cause(facts: JobFacts, key: str, per_m3: float, measured: bool, how: str) -> Evidence:
    """Of a cause that the pour tells of, or that was measured before it."""
    if per_m3 <= 0:
        return Evidence(None, "There is none on this job.", per_m3)
    cause = next((one for one in facts.day.forecast.causes if one.key == key), None) if facts.day else None
    if cause is None or facts.day is None or not facts.day.forecast.pieces:
        return Evidence(None, f"No word of the front: learns nothing{' beyond ' + how if measured else ''}.", per_m3)
    if not facts.done:
        return Evidence(None, "Not all of it is placed yet.", per_m3)
    now = Seen(cause.now.mean_m3 / per_m3, cause.now.sd_m3 / per_m3)
    if measured:
        return Evidence(now, f"By {how}, and by where the trucks ran out.", per_m3)
    seen = told_apart(Seen(cause.before.mean_m3 / per_m3, cause.before.sd_m3 / per_m3), now)
    if seen is None:
        return Evidence(None, "The trucks cannot tell it from the rest: learns nothing.", per_m3)
    return Evidence(seen, "By where the trucks ran out.", per_m3)


def _trench(facts: JobFacts) -> Evidence:
    return _cause(facts, "trench", facts.trench_m2 / 1000, facts.trench_dug, "the trench as it was taped")


def _base(facts: JobFacts) -> Evidence:
    return _cause(facts, "base", facts.slab_m2 / 1000, facts.base_shot, "the rod")


def _yield(facts: JobFacts) -> Evidence:
    return _cause(facts, "yield", facts.need_m3, False, "")


def _bow(facts: JobFacts) -> Evidence:
    per = facts.face_m2 * 2 / 3 / 1000
    if per <= 0:
        return Evidence(None, "There are no forms on this job.", per)
    outs = [one.out_mm for one in facts.built if one.thing == "side"]
    if not outs:
        return Evidence(None, "Nobody taped a side after the pour: learns nothing. As built takes it.", per)
    spread = stdev(outs) / math.sqrt(len(outs)) if len(outs) > 1 else TAPE_MM
    sides = "side" if len(outs) == 1 else "sides"
    return Evidence(Seen(fmean(outs), max(spread, TAPE_MM / math.sqrt(len(outs)))), f"{len(outs)} {sides} taped after the pour.", per)  # fmt: skip


def _left(facts: JobFacts) -> Evidence:
    rows = [one.m3 for one in facts.left if one.where == "drum"]
    if not rows:
        return Evidence(None, "Nobody wrote down what stayed in the drum: learns nothing.", 1.0)
    total = math.fsum(rows)
    return Evidence(Seen(total, EYE_M3 + EYE_SHARE * total), "As it was written down.", 1.0)


def _pace(facts: JobFacts) -> Evidence:
    loads = [one for one in facts.day.run.loads if one.here and one.empty] if facts.day else []
    rates = [one.m3 / (one.end_min - one.unload_min) * 60 for one in loads if one.end_min - one.unload_min > 1]
    if not rates:
        return Evidence(None, "No truck that was seen to come and to run out: learns nothing.")
    total = math.fsum(one.m3 for one in loads) / math.fsum(one.end_min - one.unload_min for one in loads) * 60
    logs = [math.log(one) for one in rates]
    sd = stdev(logs) / math.sqrt(len(logs)) if len(logs) > 1 else facts.ways.pour.pace_sd_share
    trucks = "truck" if len(rates) == 1 else "trucks"
    return Evidence(Seen(math.log(total), max(sd, LEAST_PACE_SD)), f"{len(rates)} {trucks}, from stopping to empty.")


def _road(facts: JobFacts) -> Evidence:
    if facts.road_own:
        return Evidence(None, "This job said a road of its own: the crew's usual one learns nothing.")
    rows = [
        one.arrived_min - one.batched_min - facts.ways.pour.batch_min
        for one in (facts.day.loads if facts.day else [])
        if one.taken and not one.batch_guessed
    ]
    if not rows:
        return Evidence(None, "No ticket with its stamp: learns nothing.")
    sd = stdev(rows) / math.sqrt(len(rows)) if len(rows) > 1 else facts.ways.pour.travel_sd_min
    return Evidence(Seen(max(0.0, fmean(rows)), max(sd, LEAST_ROAD_MIN)), f"{len(rows)} {'stamp' if len(rows) == 1 else 'stamps'}, batching taken off.")  # fmt: skip


def _set(facts: JobFacts) -> Evidence:
    if not facts.prints or facts.shared is None:
        return Evidence(None, "Nobody pressed a heel in: learns nothing.")
    own = facts.ways.day
    seen = told_apart(
        Seen(math.log(own.set_ratio), own.set_sd_share), Seen(math.log(facts.shared.pace_ratio), facts.shared.sd_share)
    )
    if seen is None:
        return Evidence(None, "Its prints say nothing new.")
    return Evidence(seen, f"{facts.prints} {'print' if facts.prints == 1 else 'prints'} of a heel.")


def _rate(kind: LessonKind, facts: JobFacts) -> Evidence:
    task = TASK_OF.get(kind.key, kind.key)
    quoted = facts.work_h.get(task, 0.0)
    if quoted <= 0:
        return Evidence(None, "There is none on this job.")
    took = math.fsum(one.worked_h for one in facts.hours if one.task == task)
    if not took:
        return Evidence(None, "No hours written down: learns nothing.")
    here = middle_of(kind, facts.ways).mean + math.log(quoted / took)
    return Evidence(Seen(here, HOURS_SD), f"{took:.1f} h where the ways say {quoted:.1f} h.")


_OWN: dict[str, Callable[[JobFacts], Evidence]] = {
    "trench": _trench, "base": _base, "bow": _bow, "yield": _yield, "left": _left, "pace": _pace, "road": _road, "set": _set,
}  # fmt: skip
