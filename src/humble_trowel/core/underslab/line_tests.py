"""Tests of lines before they are covered: in which order risers of a drain are capped, what each line must hold, pass or fail.

Rule of the order: water fills from the lowest end and rises evenly; a riser is capped when water stands at its top, the lowest
top first, and never before water can reach it. The highest riser takes the stand-pipe.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, field, replace
from datetime import datetime
from typing import Literal

from shapely.geometry import Point

from humble_trowel.core.findings import Finding, finding, said_together
from humble_trowel.core.geometry.pipes import outside_mm
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.underslab_parts import Riser
from humble_trowel.core.plan.underslab_ways import UnderslabWays
from humble_trowel.core.plan.values import KPA_PER_PSI
from humble_trowel.core.underslab.network import Network, along_run, drain_networks
from humble_trowel.core.underslab.records import LineTest, TestHow
from humble_trowel.core.units import Units, say_depth, say_length

STUB_MM = 152.4
FLUSH = ("floor-drain", "floor-sink")
NEED_PSI = {"drain": 5.0, "supply": 50.0, "air": 50.0, "gas": 3.0, "tubing": 100.0}
TUBING_MIN = 30
PRESSURED = ("supply", "air", "gas")
READ_MM, READ_KPA = 1.6, 1.0  # what cannot be read off a pipe or a gauge
TestState = Literal["standing", "passed", "failed", "short", "old"]
LINE_WORDS = {"drain": "Drains", "supply": "Supply", "air": "Air line", "gas": "Gas"}


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


@dataclass(frozen=True)
class Tested:
    """Lines with their tests; what is open before they may be covered."""

    lines: list[TestedLine]
    open: int
    findings: list[Finding]


def tested(
    plan: Plan, solid: Solid | None, ways: UnderslabWays, records: Sequence[tuple[str, LineTest]]
) -> Tested | None:
    """Lines of a job that are tested; None where there are none. records: (id, values), oldest first."""
    lines, found = [], []
    for net in drain_networks(plan.underslab.services, plan.underslab.risers):
        line = _drains(plan, solid, ways, net)
        lines.append(_with_test(plan, line, ways, records))
        found += _traps(plan, net, line)
    pressed = [*_pressured(plan, ways), *_tubing(plan, ways)]
    lines += [_with_test(plan, line, ways, records) for line in pressed]
    if not lines:
        return None
    found += [_said(line) for line in lines if line.told is not None and line.told.state in ("failed", "short", "old")]
    return Tested(lines, sum(1 for line in lines if line.told is None or line.told.state != "passed"), found)


def _drains(plan: Plan, solid: Solid | None, ways: UnderslabWays, net: Network) -> TestedLine:
    rows = [plan.underslab.services[at] for at in net.runs]
    reached = net.reached_mm()
    steps = sorted(
        (step for riser in plan.underslab.risers if (step := _step(plan, solid, riser, net, reached)) is not None),
        key=lambda step: (step.water_mm, step.top_mm, step.name),
    )
    steps = [_worded(plan.units, step, last=i == len(steps) - 1) for i, step in enumerate(steps)]
    lowest = net.lowest
    row = plan.underslab.services[lowest[0]]
    joint = max(level + outside_mm(plan.underslab.services[at].size_mm) for (at, _), level in net.levels.items())
    head = joint + ways.head_mm
    return TestedLine(
        rows[0].id, "drain", said_together([one.name for one in rows]), [one.id for one in rows], [one.name for one in rows],
        f"Plug {row.name} at {row.to or 'its low end'} and fill from there.", net.spots[lowest], steps,
        steps[-1].name if steps else "", head, f"{say_length(head, plan.units)} over the floor",
        NEED_PSI["drain"] * KPA_PER_PSI, _pressure(NEED_PSI["drain"] * KPA_PER_PSI, plan.units), ways.hold_min, None,
    )  # fmt: skip


def _step(
    plan: Plan, solid: Solid | None, riser: Riser, net: Network, reached: dict[tuple[int, float], float]
) -> FillStep | None:
    """Where a riser stands on the network; None where it is not on it."""
    for at in net.runs:
        along = along_run(plan.underslab.services[at], riser.at)
        if along is None:
            continue
        node = min((one for one in reached if one[0] == at), key=lambda one: abs(one[1] - along))
        top = _floor(solid, riser.at) + (0.0 if riser.kind in FLUSH else STUB_MM)
        return FillStep(riser.id, riser.name, top, max(top, reached[node]), "")
    return None


def _worded(units: Units, step: FillStep, last: bool) -> FillStep:
    where = (
        "at the floor"
        if abs(step.top_mm) < 1.0
        else f"{say_depth(abs(step.top_mm), units)} {'over' if step.top_mm > 0 else 'under'} the floor"
    )
    words = (
        f"Stand-pipe on {step.name}, its top {where}." if last else f"Cap {step.name} when water stands in it, {where}."
    )
    return FillStep(step.riser, step.name, step.top_mm, step.water_mm, words)


def _floor(solid: Solid | None, spot: XY) -> float:
    if solid is None or not solid.cells:
        return 0.0
    return min(solid.cells, key=lambda cell: cell.whole.distance(Point(spot))).top_at(spot)


def _traps(plan: Plan, net: Network, line: TestedLine) -> list[Finding]:
    """High ends without a riser: air stays there and hides a leak."""
    found = []
    for node in net.blind_ends([row.at for row in plan.underslab.risers]):
        row = plan.underslab.services[node[0]]
        words = f"{row.name} begins where nothing comes up: air stays in its high end, and a leak there never shows."
        remedy = "Set its riser, or bring up a cleanout there."
        found.append(finding("test-air", f"underslab/{row.id}", words, remedy, "fill-order"))
    return found


def _pressured(plan: Plan, ways: UnderslabWays) -> list[TestedLine]:
    """Supply, air and gas: runs of a kind that are joined end to end, or end at one riser, are one line."""
    lines = []
    for kind in PRESSURED:
        left = [row for row in plan.underslab.services if row.kind == kind]
        while left:
            group = [left.pop(0)]
            for row in group:
                joined = [one for one in left if _touch(row.path, one.path)]
                group += joined
                left = [one for one in left if one not in joined]
            need = NEED_PSI[kind] * KPA_PER_PSI
            lines.append(
                TestedLine(
                    group[0].id, kind, f"{LINE_WORDS[kind]} {said_together([one.name for one in group])}",  # type: ignore[arg-type]
                    [one.id for one in group], [one.name for one in group], "", None, [], "", 0.0, "", need,
                    _pressure(need, plan.units), ways.hold_min, None,
                )
            )  # fmt: skip
    return lines


def _tubing(plan: Plan, ways: UnderslabWays) -> list[TestedLine]:
    """The loops of all heated rooms, tested together from their manifold. Source: 'line-test' in sources.py."""
    rooms = plan.underslab.heated
    if not rooms:
        return []
    need = NEED_PSI["tubing"] * KPA_PER_PSI
    return [
        TestedLine(
            rooms[0].id, "tubing", "Tubing", [], [row.name for row in rooms], "", None, [], "", 0.0, "", need,
            _pressure(need, plan.units), max(TUBING_MIN, ways.hold_min), None, [row.id for row in rooms],
        )
    ]  # fmt: skip


def _touch(one: Sequence[XY], other: Sequence[XY]) -> bool:
    return min(math.dist(a, b) for a in (one[0], one[-1]) for b in (other[0], other[-1])) < 60.0


def _with_test(
    plan: Plan, line: TestedLine, ways: UnderslabWays, records: Sequence[tuple[str, LineTest]]
) -> TestedLine:
    """A line with its newest test: one that names any of its runs or rooms."""
    own = next(((name, row) for name, row in reversed(records) if line.names(row)), None)
    return line if own is None else replace(line, told=test_told(plan.units, line, *own))


def test_told(units: Units, line: TestedLine, name: str, row: LineTest) -> LineTold:
    """What a test says of a line. name: id of its record."""
    began = say_length(row.start_mm or 0.0, units) if row.how == "water" else _pressure(row.start_kpa or 0.0, units)
    alarm = "" if row.alarm_kpa is None else _pressure(row.alarm_kpa, units)

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
    fell = say_depth(abs(drop), units) if row.how == "water" else _pressure(abs(drop), units)
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
        return f"Began at {_pressure(row.start_kpa or 0.0, units)}; {line.need_text} is asked."
    return ""


def minutes_between(start: str, end: str) -> float | None:
    """Minutes from one time to another as they are written down; None where only one says its zone."""
    one, other = datetime.fromisoformat(start), datetime.fromisoformat(end)
    if (one.tzinfo is None) != (other.tzinfo is None):
        return None
    return (other - one).total_seconds() / 60


def _pressure(kpa: float, units: Units) -> str:
    return f"{kpa:.0f} kPa" if units == "mm" else f"{kpa / KPA_PER_PSI:.0f} psi"


def _said(line: TestedLine) -> Finding:
    told = line.told
    assert told is not None
    return finding(f"test-{told.state}", f"underslab/{line.id}", f"{line.name}: {told.words}", told.remedy, "line-test")
