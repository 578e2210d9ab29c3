"""A line under test, and what its newest test says of it: standing, held, fell, short of time or of pressure, or old."""

from __future__ import annotations

from dataclasses import dataclass, field
from datetime import datetime
from typing import Literal

from humble_trowel.core.findings import said_together
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.values import KPA_PER_PSI
from humble_trowel.core.underslab.records import LineTest, TestHow
from humble_trowel.core.units import Units, say_depth, say_length

READ_MM, READ_KPA = 1.6, 1.0  # what cannot be read off a pipe or a gauge
TestState = Literal["standing", "passed", "failed", "short", "old"]


@dataclass(frozen=True)
class FillStep:
    """A riser in the order in which it is capped. top_mm: its top; water_mm: water over the floor when it is capped."""

    riser: str
    name: str
    top_mm: float
    water_mm: float
    words: str


@dataclass(frozen=True)
class LineTold:
    """A line's newest test. state: standing (not ended yet), passed, failed, short (of
    time or of pressure), or old (the line has changed since)."""

    record: str
    how: TestHow
    state: TestState
    started: str
    ended: str | None
    words: str
    remedy: str
    watched: bool
    alarm_text: str
    start_mm: float | None
    start_kpa: float | None
    start_text: str


@dataclass(frozen=True)
class TestedLine:
    """Runs that are tested together, or the loops of every heated room. id: of its first run or room. fill: where it is filled; steps: risers in order, the last takes
    the stand-pipe. head_mm: of water over the floor that the stand-pipe must hold. need_kpa: of air or water pressure."""

    id: str
    kind: Literal["drain", "supply", "air", "gas", "tubing"]
    name: str
    runs: list[str]
    run_names: list[str]
    fill: str
    fill_at: XY | None
    steps: list[FillStep]
    stand_pipe: str
    head_mm: float
    head_text: str
    need_kpa: float
    need_text: str
    hold_min: int
    told: LineTold | None
    rooms: list[str] = field(default_factory=list)

    def names(self, row: LineTest) -> bool:
        """Whether a test names any of its runs or rooms."""
        return bool(set(row.runs) & set(self.runs) or set(row.rooms) & set(self.rooms))


def test_told(units: Units, line: TestedLine, name: str, row: LineTest) -> LineTold:
    """What a test says of a line. name: id of its record."""
    began = say_length(row.start_mm or 0.0, units) if row.how == "water" else pressure_text(row.start_kpa or 0.0, units)
    alarm = "" if row.alarm_kpa is None else pressure_text(row.alarm_kpa, units)

    def told(state: TestState, words: str, remedy: str = "") -> LineTold:
        return LineTold(
            name,
            row.how,
            state,
            row.started,
            row.ended,
            words,
            remedy,
            row.watched,
            alarm,
            row.start_mm,
            row.start_kpa,
            began,
        )

    said = [*row.runs, *row.rooms]
    if missing := [one for id, one in zip(line.runs or line.rooms, line.run_names, strict=True) if id not in said]:
        who = said_together(missing)
        return told("old", f"Tested before {who} was there.", "Test it again, all of it.")
    if row.ended is None:
        return told("standing", f"Standing since {row.started[11:16]}, {line.hold_min} min to hold.")
    minutes = minutes_between(row.started, row.ended) or 0.0
    drop, left = dropped(row)
    fell = say_depth(abs(drop), units) if row.how == "water" else pressure_text(abs(drop), units)
    held = f"{minutes:.0f} min"
    least = head_words(units, line, row)
    if least:
        return told("short", least, "Bring it up to that and begin again.")
    if drop > left:
        return told(
            "failed", f"Fell {fell} in {held}. It leaks.",
            "Look at caps and plugs first, then at every joint; wet gravel shows it." if row.how == "water" else "Soap every joint; mend it and begin again.",
        )  # fmt: skip
    if drop < -left:
        return told("failed", f"Rose {fell} in {held}. Something filled it.", "Find what, and begin again.")
    if minutes < line.hold_min - 1e-9:
        return told("short", f"Stood {minutes:.0f} of {line.hold_min} min.", "Let it stand as long as asked.")
    return told("passed", f"Held {held}, fell {fell if abs(drop) > left / 4 else 'nothing'}.")


def dropped(row: LineTest) -> tuple[float, float]:
    """(how far it fell, what cannot be read), mm or kPa."""
    if row.how == "water":
        return (row.start_mm or 0.0) - (row.end_mm or 0.0), READ_MM
    return (row.start_kpa or 0.0) - (row.end_kpa or 0.0), READ_KPA


def head_words(units: Units, line: TestedLine, row: LineTest) -> str:
    """What is said of a test that began too low; '' where it did not."""
    if row.how == "water" and (row.start_mm or 0.0) < line.head_mm - READ_MM:
        return (
            f"Began with {say_length(row.start_mm or 0.0, units)} of water over the floor; {line.head_text} is asked."
        )
    if row.how != "water" and (row.start_kpa or 0.0) < line.need_kpa - READ_KPA:
        return f"Began at {pressure_text(row.start_kpa or 0.0, units)}; {line.need_text} is asked."
    return ""


def minutes_between(start: str, end: str) -> float | None:
    """Minutes from one time to another as they are written down; None where only one says its zone."""
    one, other = datetime.fromisoformat(start), datetime.fromisoformat(end)
    if (one.tzinfo is None) != (other.tzinfo is None):
        return None
    return (other - one).total_seconds() / 60


def pressure_text(kpa: float, units: Units) -> str:
    """A pressure as its gauge shows it."""
    return f"{kpa:.0f} kPa" if units == "mm" else f"{kpa / KPA_PER_PSI:.0f} psi"
