"""The pour as it runs: what trucks and front did so far, and from there on as planned. Minutes after the first truck should stand there.

A load that is not here yet comes as planned, as late as the one before it, and never in the past. The crew places as fast as it did so far.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

from humble_trowel.core.pour.floor import Floor
from humble_trowel.core.pour.fronts import Stand
from humble_trowel.core.pour.loads import Load
from humble_trowel.core.pour_sim.pour import Loads, Pour, order_min

EVEN = 1e-9
PACE_OFF = (0.3, 3.0)  # measured against planned; beyond it a stamp is wrong
LEAST_SPAN_MIN = 2.0


@dataclass(frozen=True)
class Running:
    """A load on its way through the day. load: id of its ticket, '' while none is known. m3: as said, else as ordered. here, empty: that is known."""

    n: int
    load: str
    m3: float
    said: bool
    batch_min: float
    arrive_min: float
    unload_min: float
    end_min: float
    leave_min: float
    here: bool
    empty: bool


@dataclass(frozen=True)
class Filling:
    """A part of the floor on its way, as it was or will be. start_min, end_min: None where the concrete ends before. full: it is."""

    id: str
    start_min: float | None
    end_min: float | None
    full: bool
    full_share: float


@dataclass(frozen=True)
class Run:
    """All of it. late_min: how late the day is now. m3_min: pace. dry_min: the concrete that is sure to come is in."""

    loads: list[Running]
    late_min: float
    m3_min: float
    measured: bool
    dry_min: float

    def placed_m3(self, minute: float) -> float:
        """In the forms by a minute."""
        return math.fsum(one.m3 * self.share_out(one, minute) for one in self.loads)

    @staticmethod
    def share_out(one: Running, minute: float) -> float:
        """How much of a load is out of the drum."""
        if minute >= one.end_min:
            return 1.0
        span = one.end_min - one.unload_min
        return max(0.0, (minute - one.unload_min) / span) if span > 0 else 0.0

    def minute_of(self, m3: float) -> float | None:
        """When so much is in the forms; None where less is coming."""
        before = 0.0
        for one in self.loads:
            if m3 <= before + one.m3 + EVEN:
                if m3 <= before + EVEN:
                    return one.unload_min
                return one.unload_min + (m3 - before) / one.m3 * (one.end_min - one.unload_min)
            before += one.m3
        return None


def run_of(
    pour: Pour, planned_m3: Sequence[float], loads: Sequence[Load], now_min: float, more_late_min: float, due_min: float | None = None
) -> Run:  # fmt: skip
    """pour: as planned. planned_m3: every load that is sure to come. more_late_min: by which the next one is said to be late; due_min: when the
    plant has the last of them stand here, None where it did not say."""
    taken = [one for one in loads if one.taken]
    own = pour.loads
    asked = order_min(_as_many(pour, max(len(planned_m3), len(taken))))
    pace, measured = _pace(pour, taken)
    rows: list[Running] = []
    late, said_late = 0.0, more_late_min
    for at in range(max(len(planned_m3), len(taken))):
        seen = taken[at] if at < len(taken) else None
        m3 = seen.said_m3 if seen and seen.said_m3 is not None else planned_m3[min(at, len(planned_m3) - 1)]
        planned = asked[at] + own.batch_min + own.travel_min
        if seen is not None:
            batch, arrive = seen.batched_min, seen.arrived_min
            late = max(0.0, arrive - planned)
        else:
            batch = asked[at] + late + said_late
            said_late = 0.0
            if rows:
                batch = max(batch, rows[-1].batch_min + own.batch_min)
            if at >= own.fleet:
                batch = max(batch, rows[at - own.fleet].leave_min + own.back_min)
            arrive = max(batch + own.batch_min + own.travel_min, now_min)
            if due_min is not None and at == len(planned_m3) - 1:
                arrive = max(arrive, due_min)
            batch = max(batch, arrive - own.batch_min - own.travel_min)
            late = max(0.0, arrive - planned)
        place = max(arrive, rows[at - own.places].leave_min) if at >= own.places else arrive
        unload = max(place + own.position_min, rows[-1].end_min if rows else -math.inf)
        end = unload + m3 / pace
        done = seen is not None and seen.empty_min is not None
        if seen is not None and seen.empty_min is not None:
            end = seen.empty_min
            unload = min(unload, end)
        rows.append(
            Running(at + 1, seen.id if seen else "", m3, bool(seen and seen.said_m3 is not None), batch, arrive, unload, end, end + own.clear_min, seen is not None, done)
        )  # fmt: skip
    gone = max((at for at, one in enumerate(rows) if one.empty), default=-1)
    rows = [replace(one, empty=True) if at < gone else one for at, one in enumerate(rows)]  # one before it has gone too
    return Run(rows, late, pace, measured, max((one.end_min for one in rows), default=0.0))


def _as_many(pour: Pour, count: int) -> Loads:
    own = pour.loads
    return replace(own, load_m3=own.load_m3 + (0.0,) * max(0, count - len(own.load_m3)), late_min=())


def _pace(pour: Pour, taken: Sequence[Load]) -> tuple[float, bool]:
    """(m3 a minute, whether it was measured): of all loads whose end is known, the planned one of one load beside them."""
    minutes = volume = 0.0
    before = -math.inf
    for one in taken:
        begin = max(one.arrived_min + pour.loads.position_min, before)
        if one.empty_min is None or one.said_m3 is None:
            continue
        if one.empty_min - begin >= LEAST_SPAN_MIN:
            minutes += one.empty_min - begin
            volume += one.said_m3
        before = one.empty_min
    if not volume:
        return pour.crew.m3_min, False
    usual = sum(pour.loads.load_m3) / len(pour.loads.load_m3)
    pace = (volume + usual) / (minutes + usual / pour.crew.m3_min)
    low, high = (pour.crew.m3_min * off for off in PACE_OFF)
    return min(high, max(low, pace)), True


def fillings(floor: Floor, run: Run, stands: Sequence[Stand], placed_m3: float, left_m3: float) -> list[Filling]:
    """Each part on its way. stands: words that count, placed_m3: by the newest; left_m3: what the rest is thought to take. What is behind the
    front took its share of what was placed and was full when it was first said to be; the rest takes its share of what is left, in its order."""
    stand = stands[-1] if stands else None
    shares = stand.shares if stand else (0.0,) * len(floor.parts)
    edges_full = stand is not None and stand.trench_share > 1 - EVEN
    done_drawn = stand.drawn_m3 if stand else 0.0
    left_drawn = floor.drawn_m3 - done_drawn
    over_done = placed_m3 / done_drawn if done_drawn > EVEN else 1.0
    over_left = left_m3 / left_drawn if left_drawn > EVEN else 1.0
    rows, behind, ahead = [], 0.0, placed_m3
    for at, (share, one) in enumerate(zip(shares, floor.parts, strict=True)):
        trench = 0.0 if edges_full else one.trench_m3
        took = (one.slab_m3 + trench) * share * over_done
        takes = (one.slab_m3 + trench) * (1 - share) * over_left
        full = share > 1 - EVEN
        begin = run.minute_of(behind if share > EVEN else ahead)
        behind += took
        ahead += takes
        end = run.minute_of((behind if full else ahead) - EVEN)
        if full:
            end = next(word.at_min for word in stands if word.shares[at] > 1 - EVEN)
            begin = min(end, end if begin is None else begin)
        rows.append(Filling(one.part.id, begin, end, full, share))
    return rows
