"""Loads as their tickets say: what was said last of each counts, whatever order it arrived in. Minutes after the first truck should stand there."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Any

from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.pour.clock import PourClock
from humble_trowel.core.pour.records import SAID, Ticket

TIMES = ("arrived_at", "batched_at", "empty_at")


@dataclass(frozen=True)
class Struck:
    """A value that was corrected. text: as it was said."""

    key: str
    was: str
    record: str


@dataclass(frozen=True)
class Load:
    """A load. n: among those that were taken, in the order in which they came; 0 for one that went back. records: what was said of it, oldest
    first. batch_guessed: nobody read the stamp, so it left as long ago as the road takes. said_m3: None until the yards were read."""

    id: str
    n: int
    records: tuple[str, ...]
    arrived_min: float
    batched_min: float
    batch_guessed: bool
    empty_min: float | None
    said_m3: float | None
    number: str
    strength_mpa: float | None
    stone_mm: float | None
    slump_mm: float | None
    temp_c: float | None
    air_percent: float | None
    water_l: float | None
    cylinders: int
    sent_back: str
    photo: str
    by: str
    struck: tuple[Struck, ...]

    @property
    def taken(self) -> bool:
        """It was not sent back."""
        return not self.sent_back


def loads_of(plan: Plan, ways: JobWays, clock: PourClock, tickets: Sequence[tuple[str, Ticket]]) -> list[Load]:
    """Every load that was seen, in the order in which they came. tickets: with the ids of their records, in any order."""
    rows: dict[str, list[tuple[str, Ticket]]] = {}
    for record, said in sorted(tickets, key=lambda row: (clock.minute(row[1].at), row[0])):
        rows.setdefault(said.load, []).append((record, said))
    road = road_min(plan, ways) + ways.pour.batch_min
    found = [_load(name, own, clock, road) for name, own in rows.items()]
    found.sort(key=lambda one: (one.arrived_min, one.id))
    count, out = 0, []
    for one in found:
        count += one.taken
        out.append(replace(one, n=count if one.taken else 0))
    return out


def road_min(plan: Plan, ways: JobWays) -> float:
    """From the plant to the site."""
    return ways.pour.travel_min if plan.order.travel_min is None else plan.order.travel_min


def _load(name: str, rows: Sequence[tuple[str, Ticket]], clock: PourClock, road: float) -> Load:
    said: dict[str, Any] = {}
    struck: list[Struck] = []
    for record, one in rows:
        for key in SAID:
            value = getattr(one, key)
            if value is None:
                continue
            if key in said and said[key] != value:
                struck.append(Struck(key, str(said[key]), record))
            said[key] = value
    minutes = {key: clock.minute(said[key]) if key in said else None for key in TIMES}
    arrived = minutes["arrived_at"]
    if arrived is None:
        arrived = clock.minute(rows[0][1].at) if minutes["batched_at"] is None else minutes["batched_at"] + road
    batched = minutes["batched_at"]
    return Load(
        name, 0, tuple(record for record, _ in rows), arrived, arrived - road if batched is None else batched, batched is None,
        minutes["empty_at"], said.get("m3"), said.get("number", ""), said.get("strength_mpa"), said.get("stone_mm"), said.get("slump_mm"),
        said.get("temp_c"), said.get("air_percent"), said.get("water_l"), said.get("cylinders", 0), said.get("sent_back", ""),
        said.get("photo", ""), next((one.by for _, one in reversed(rows) if one.by), ""), tuple(struck),
    )  # fmt: skip
