"""Levelling: height of instrument from a backsight, turning points, closing on a second bench, and what moved.

A bigger reading is a lower point. Height of instrument = level of the mark + backsight; level = that - reading.
"""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field

from humble_trowel.core.errors import InputError
from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.ground.records import BenchShot, SetUp, TurningPoint
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.levels import benchmark_mm
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.units import say_depth


@dataclass(frozen=True)
class Levelled:
    """A run of set-ups in one unit. The last three are None unless the run closes on a known level."""

    instrument: list[float]
    turning_points: list[float]
    shots: dict[str, float]
    backsights: float
    foresights: float
    page_check: float | None = None
    misclosure: float | None = None
    adjusted_points: list[float] = field(default_factory=list)
    adjusted_shots: dict[str, float] = field(default_factory=dict)


@dataclass(frozen=True)
class Sight:
    """One set-up of a run: backsight, foresight to the next turning point, and readings by name."""

    backsight: float
    foresight: float | None
    readings: Mapping[str, float]


def level_run(start: float, sights: Sequence[Sight], close_on: float | None = None) -> Levelled:
    """Levels from a start along set-ups, in the unit given. A misclosure m is spread: the k-th of n
    turning points gets -m k/n, and shots take the correction of the point that their set-up started from.

    Raises InputError for a set-up but the last without a foresight."""
    level, instrument, points = start, [], []
    shots: dict[str, float] = {}
    of_setup: dict[str, int] = {}
    for k, sight in enumerate(sights, start=1):
        instrument.append(level + sight.backsight)
        for name, reading in sight.readings.items():
            shots[name] = instrument[-1] - reading
            of_setup[name] = k
        if sight.foresight is not None:
            level = instrument[-1] - sight.foresight
            points.append(level)
        elif k < len(sights):
            raise InputError(f"Set-up {k} has no foresight, so the next one hangs in the air.", f"setups[{k - 1}]")
    back = math.fsum(sight.backsight for sight in sights)
    fore = math.fsum(sight.foresight or 0.0 for sight in sights)
    if close_on is None:
        return Levelled(instrument, points, shots, back, fore)
    off, n = level - close_on, len(sights)
    return Levelled(
        instrument, points, shots, back, fore, (back - fore) - (level - start), off,
        [point - off * k / n for k, point in enumerate(points, start=1)],
        {name: value - off * (of_setup[name] - 1) / n for name, value in shots.items()},
    )  # fmt: skip


@dataclass(frozen=True)
class Stand:
    """A set-up as it is now. id: of its record. drift_mm: what the benchmark shot again says, by the worst of them.

    moved: more than the laser's accuracy. checked: shot again at all. words: for the crew."""

    id: str
    name: str
    on: str
    on_level_mm: float
    backsight_mm: float
    instrument_mm: float
    drift_mm: float
    checked: int
    moved: bool
    simulated: bool
    words: str
    suggests_mm: float | None


def known_marks(plan: Plan, records: SiteRecords) -> dict[str, float]:
    """Levels by name: benchmarks, floors that stand there, then turning points in the order they were shot."""
    marks = {row.name: benchmark_mm(plan, row) for row in plan.ground.benchmarks}
    for thing in plan.existing:
        if thing.what in ("slab", "kerb"):
            marks.setdefault(thing.name, thing.level_mm)
    heights: dict[str, float] = {}
    for key, setup in records.named(SetUp):
        on = mark_name(plan, setup.on)
        if on in marks:
            heights[key] = marks[on] + setup.backsight_mm
        for point in records.of(TurningPoint):
            if point.setup == key and key in heights:
                marks[point.name] = heights[key] - point.foresight_mm
    return marks


def mark_id(plan: Plan, name: str) -> str:
    """What a record keeps of a mark: the id of a benchmark or of what stands there, so that another name is no other
    mark; a turning point keeps its name."""
    rows = [(row.name, row.id) for row in plan.ground.benchmarks]
    rows += [(thing.name, thing.id) for thing in plan.existing if thing.what in ("slab", "kerb")]
    return next((own for known, own in rows if known == name), name)


def mark_name(plan: Plan, on: str) -> str:
    """What a mark on record is called now."""
    rows = [(row.id, row.name) for row in plan.ground.benchmarks] + [(row.id, row.name) for row in plan.existing]
    return next((name for own, name in rows if own == on), on)


def allowed_drift_mm(ways: JobWays, distance_mm: float = 0.0) -> float:
    """How far two readings of one mark may differ: both carry the laser's accuracy, and half a sixteenth of reading."""
    laser = ways.ground.laser
    own = laser.accuracy_mm * max(1.0, distance_mm / laser.accuracy_at_mm)
    return own * math.sqrt(2) + 25.4 / 32


def stands(plan: Plan, ways: JobWays, records: SiteRecords) -> list[Stand]:
    """All set-ups in the order they were made. A set-up on a mark that is not known any more is left out."""
    marks = known_marks(plan, records)
    rows = []
    for key, setup in records.named(SetUp):
        on = mark_name(plan, setup.on)
        if on not in marks:
            continue
        height = marks[on] + setup.backsight_mm
        again = [(shot, mark_name(plan, shot.on)) for shot in records.of(BenchShot) if shot.setup == key]
        drifts = [(shot.reading_mm + marks[name] - height, shot) for shot, name in again if name in marks]
        worst, shot = max(drifts, key=lambda row: abs(row[0]), default=(0.0, None))
        moved = abs(worst) > allowed_drift_mm(ways)
        rows.append(
            Stand(
                id=key, name=setup.name, on=on, on_level_mm=marks[on], backsight_mm=setup.backsight_mm,
                instrument_mm=height, drift_mm=worst, checked=len(drifts), moved=moved, simulated=setup.simulated,
                words=_words(plan, ways, on, worst, len(drifts), moved),
                suggests_mm=shot.reading_mm if moved and shot is not None and shot.on == setup.on else None,
            )
        )  # fmt: skip
    return rows


def _words(plan: Plan, ways: JobWays, on: str, drift: float, checked: int, moved: bool) -> str:
    if not checked:
        return f"{on} was shot once. Shoot it again before you trust this set-up, and after lunch."
    size = say_depth(abs(drift), plan.units)
    if not moved:
        return f"{on} shot again: {size} off, inside the laser's accuracy. Nothing moved."
    near = abs(abs(drift) - 25.4) < 8
    why = "Mud on the foot, or the tripod was bumped" if near and drift < 0 else "Laser, stick or mark moved"
    way = "longer" if drift > 0 else "shorter"
    return f"{on} reads {size} {way} than at the start. {why}. Every shot of this set-up is in doubt."


def stand_findings(rows: Sequence[Stand]) -> list[Finding]:
    """Set-ups that moved."""
    remedy = "Clean the foot, plumb the stick, shoot the mark again; then shoot these spots again or take a new set-up."
    return [
        finding("bench-moved", f"ground.setups/{row.id}", f"{row.name}: {row.words}", remedy)
        for row in rows
        if row.moved
    ]


def check_reading(ways: JobWays, reading_mm: float, path: str, units: str = "ft-in") -> None:
    """Raise InputError for a reading that no rod can give."""
    rod = ways.ground.laser.rod_mm
    if reading_mm > rod:
        shown = say_depth(reading_mm, "mm" if units == "mm" else "ft-in")
        raise InputError(f"{shown} is longer than the rod, {say_depth(rod, 'mm' if units == 'mm' else 'ft-in')}. Read again, or set the rod in Ways.", path)  # fmt: skip
