"""What a pour is given, and what comes of it. Minutes from any start, m3, m2, cents."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field
from itertools import accumulate

NEAR_M3 = 1e-9


@dataclass(frozen=True)
class Loads:
    """How loads come. load_m3: each, in its order; spacing_min: between them, at the plant; fleet: trucks that are on the road;
    places: where one can stand and unload; crews: how many unload at once; late_min: added to the order time of single loads."""

    load_m3: tuple[float, ...]
    spacing_min: float
    start_min: float = 0.0
    batch_min: float = 6.0
    travel_min: float = 25.0
    back_min: float = 25.0
    fleet: int = 4
    places: int = 1
    crews: int = 1
    position_min: float = 3.0
    clear_min: float = 4.0
    late_min: tuple[float, ...] = ()


@dataclass(frozen=True)
class Crew:
    """What the crew does in a minute. m3_min: the slower of method and crew; m2_m3: floor that a m3 makes; finishers: machines that float."""

    m3_min: float
    m2_m3: float
    screed_m2_min: float
    finishers: int
    finish_m2_min: float


@dataclass(frozen=True)
class SetsIn:
    """Minutes from batching: when a float may start, when it must be done, how old an edge may be, how old a load."""

    footprint_min: float
    final_min: float
    joint_min: float
    load_min: float = 90.0


@dataclass(frozen=True)
class Rates:
    """What waiting and hands cost. free_min_m3: a truck may stand so long for each m3."""

    wait_cents_min: float
    free_min_m3: float
    crew_cents_h: float
    pump_cents_h: float = 0.0
    pump_least_h: float = 0.0
    pump_after_h: float = 0.75
    overtime_after_h: float = 8.0
    overtime_ratio: float = 1.5


@dataclass(frozen=True)
class Pour:
    """Everything of a pour. beside_m3: where older floor meets newer along a side, as (volume placed when the older was begun, volume placed
    when the newer is done), beyond loads that follow each other."""

    loads: Loads
    crew: Crew
    sets: SetsIn
    rates: Rates
    beside_m3: tuple[tuple[float, float], ...] = ()


@dataclass(frozen=True)
class Visit:
    """A load from its batching to its last pass."""

    load: int
    m3: float
    batch_min: float
    arrive_min: float
    place_min: float
    unload_min: float
    end_min: float
    leave_min: float
    screed_end_min: float = 0.0
    finish_end_min: float = 0.0
    late_m2: float = 0.0

    @property
    def wait_min(self) -> float:
        """Behind other trucks, for a place."""
        return self.place_min - self.arrive_min

    @property
    def age_min(self) -> float:
        """When its last is out."""
        return self.end_min - self.batch_min


@dataclass(frozen=True)
class Meeting:
    """Where a newer load meets an older one, and how old that is by then. beside: along the side of a strip."""

    older: int
    newer: int
    age_min: float
    beside: bool = False


@dataclass(frozen=True)
class Poured:
    """What came of it."""

    visits: list[Visit]
    meetings: list[Meeting]
    joint_min: float
    load_min: float
    idle_min: float
    charge_cents: float
    cost_cents: float
    pump_cents: float = 0.0
    crew_h: float = 0.0
    idle: list[tuple[float, float]] = field(default_factory=list)

    @property
    def wait_min(self) -> float:
        """All trucks together."""
        return sum(one.wait_min for one in self.visits)

    @property
    def cold_joints(self) -> int:
        """Edges that grew too old."""
        return sum(1 for one in self.meetings if one.age_min > self.joint_min)

    @property
    def late_m2(self) -> float:
        """Floor that was not finished by its final set."""
        return sum(one.late_m2 for one in self.visits)

    @property
    def oldest_joint_min(self) -> float:
        """Age of the oldest edge when its neighbour came; 0 where nothing meets."""
        return max((one.age_min for one in self.meetings), default=0.0)

    @property
    def oldest_load_min(self) -> float:
        """Age of the oldest load when its last was out."""
        return max((one.age_min for one in self.visits), default=0.0)

    @property
    def over_age(self) -> int:
        """Loads that were older than they may be."""
        return sum(1 for one in self.visits if one.age_min > self.load_min + 1e-9)

    @property
    def first_min(self) -> float:
        """The first truck stands there."""
        return min((one.arrive_min for one in self.visits), default=0.0)

    @property
    def done_min(self) -> float:
        """The last is in the forms."""
        return max((one.end_min for one in self.visits), default=0.0)

    @property
    def left_min(self) -> float:
        """The crew has put its tools away."""
        return max((max(one.screed_end_min, one.finish_end_min) for one in self.visits), default=0.0)


def in_rows(load_m3: Sequence[float], width: int, serpentine: bool) -> tuple[tuple[float, float], ...]:
    """Loads laid in rows of `width` beside each other: each meets the one beside it in the row before, along its side."""

    def place(load: int) -> int:
        row, at = divmod(load, width)
        return width - 1 - at if serpentine and row % 2 else at

    before = [0.0, *accumulate(load_m3)]
    return tuple(
        (before[older], before[newer + 1])
        for newer in range(len(load_m3))
        for older in range(max(0, newer // width - 1) * width, newer // width * width)
        if place(older) == place(newer)
    )


def load_at(load_m3: Sequence[float], placed_m3: float, *, ends: bool) -> int | None:
    """The load that holds a volume of the pour. ends: at a border the load that ends there, else the one that begins. None past the last."""
    before = 0.0
    for at, m3 in enumerate(load_m3):
        if placed_m3 < before + m3 - NEAR_M3 or (ends and placed_m3 <= before + m3 + NEAR_M3):
            return at
        before += m3
    return None


def minute_at(visits: Sequence[Visit], load_m3: Sequence[float], placed_m3: float) -> float | None:
    """When so much is in the forms; None where it never is. visits: in the order of their loads."""
    at = load_at(load_m3, placed_m3, ends=True)
    if at is None:
        return None
    one = visits[at]
    return one.unload_min + (placed_m3 - sum(load_m3[:at])) / one.m3 * (one.end_min - one.unload_min)


def order_min(loads: Loads) -> list[float]:
    """When each load is asked for at the plant."""
    late: Sequence[float] = loads.late_min or (0.0,) * len(loads.load_m3)
    return [loads.start_min + at * loads.spacing_min + late[at] for at in range(len(loads.load_m3))]
