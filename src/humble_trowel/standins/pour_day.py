"""A pour that never was, with its causes known: base, trenches, tickets and eyes drawn by a seed; what phones would write down of it."""

from __future__ import annotations

import math
import random
from collections.abc import Sequence
from dataclasses import dataclass, field
from datetime import timedelta

from humble_trowel.core.plan.model import Model
from humble_trowel.core.pour.day import Planned
from humble_trowel.core.pour.records import Front, LoadCalled, Ticket
from humble_trowel.core.pour_sim.pour import order_min


@dataclass(frozen=True)
class Truth:
    """What nobody on site knows. takes_m3: each part really takes so much, in tickets; late_min: each load, beyond its plan; pace: over the usual one."""

    takes_m3: list[float]
    late_min: list[float]
    pace: float
    eye: random.Random

    @property
    def total_m3(self) -> float:
        """In tickets."""
        return math.fsum(self.takes_m3)


Causes = tuple[float, float, float]


def truth_of(planned: Planned, seed: int, causes: Causes | None = None) -> Truth:
    """Drawn from the very doubts that the order holds, each by itself. causes: how low the base lies in mm, litres more a metre of trench, the share that
    loads lack, where they are known."""
    draw = random.Random(seed)
    site, floor = planned.site, planned.floor
    base_mm, run_l, lacks = causes or (
        draw.gauss(float(middle), math.sqrt(float(planned.belief.spread[at][at])))
        for at, middle in enumerate(planned.belief.middle)
    )
    others = {
        row.key: draw.gauss(row.mean_m3, row.sd_m3)
        for row in planned.doubts
        if row.key not in ("base", "trench", "yield")
    }
    over = math.fsum(value for key, value in others.items() if key != "left") / floor.drawn_m3
    takes = []
    for part in floor.parts:
        trench = part.trench_m3 / floor.trench_m3 if floor.trench_m3 else 0.0
        rough = draw.gauss(0.0, site.rough_m3(part.area_m2 / site.area_m2)) if site.area_m2 else 0.0
        drawn = (part.slab_m3 + part.trench_m3) * (1 + over)
        more = part.area_m2 * base_mm / 1000 + site.trench_m * trench * run_l / 1000 + rough
        takes.append(max(0.05, (drawn + more) / (1 - lacks)))
    takes[-1] += max(0.0, others.get("left", 0.0))
    loads = range(len(planned.loads_m3) + 2)
    late = [max(-10.0, draw.gauss(0.0, planned.ways.pour.travel_sd_min)) for _ in loads]
    return Truth(takes, late, math.exp(draw.gauss(0.0, planned.ways.pour.pace_sd_share)), draw)


@dataclass
class Site:
    """What is written down as the day goes, told by `run_day`."""

    planned: Planned
    truth: Truth
    rows: list[tuple[float, str, Model]] = field(default_factory=list)

    def at(self, minute: float) -> str:
        """A time as a phone writes it."""
        return (self.planned.clock.at(0.0) + timedelta(minutes=minute)).isoformat(timespec="seconds")

    def say(self, minute: float, kind: str, values: Model) -> None:
        """Write it down."""
        self.rows.append((minute, kind, values))


def run_day(
    site: Site, loads_m3: Sequence[float], *, from_load: int = 0, begun_min: float = 0.0, placed_m3: float = 0.0
) -> tuple[float, float]:
    """Loads come one after the other and are placed; each ends with a tap of the front. (minute of the end, m3 in the forms.)"""
    planned, truth = site.planned, site.truth
    own, pace = planned.pour.loads, planned.pour.crew.m3_min * truth.pace
    asked = order_min(own)
    spacing = own.spacing_min
    end, placed = begun_min, placed_m3
    for n, m3 in enumerate(loads_m3, from_load):
        ordered = asked[n] if n < len(asked) else asked[-1] + spacing * (n - len(asked) + 1)
        batch = ordered + truth.late_min[n]
        arrive = max(batch + own.batch_min + own.travel_min, end + 1.0 if n else -5.0)
        begin = max(arrive + own.position_min, end)
        load = f"load-{n + 1}"
        site.say(arrive, "ticket", Ticket(load=load, at=site.at(arrive), arrived_at=site.at(arrive), batched_at=site.at(arrive - own.travel_min - own.batch_min), m3=m3))  # fmt: skip
        end = begin + m3 / pace
        placed += m3 * (1 + truth.eye.gauss(0.0, planned.site.meter_share))  # no drum is measured better
        site.say(end, "ticket", Ticket(load=load, at=site.at(end), empty_at=site.at(end)))
        spot = front_at(site, placed)
        if spot is not None:
            site.say(end + 0.5, "front", Front(at=site.at(end + 0.5), spot=spot, load=load))
    return end, placed


def front_at(site: Site, placed_m3: float) -> tuple[float, float] | None:
    """Where the front is tapped with so much in the forms: as it stands, as well as an eye tells. None where all is full."""
    floor, truth = site.planned.floor, site.truth
    seen = placed_m3 + truth.eye.gauss(0.0, site.planned.site.eye_share * floor.drawn_m3)
    left = max(0.02, seen)
    for at, takes in enumerate(truth.takes_m3):
        if left < takes:
            return floor.spot_at(at, left / takes)
        left -= takes
    return None


def called(site: Site, minute: float, m3: float) -> None:
    """The last load is said."""
    site.say(minute, "load_called", LoadCalled(at=site.at(minute), m3=m3))
