"""Tests of lines before they are covered: in which order risers of a drain are capped, what each line must hold, pass or fail.

Rule of the order: water fills from the lowest end and rises evenly; a riser is capped when water stands at its top, the lowest
top first, and never before water can reach it. The highest riser takes the stand-pipe.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

from shapely.geometry import Point

from humble_trowel.core.findings import Finding, finding, said_together
from humble_trowel.core.geometry.pipes import outside_mm
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.underslab_parts import Riser
from humble_trowel.core.plan.underslab_ways import UnderslabWays
from humble_trowel.core.plan.values import KPA_PER_PSI
from humble_trowel.core.underslab.line_told import FillStep, TestedLine, pressure_text, test_told
from humble_trowel.core.underslab.network import Network, along_run, drain_networks
from humble_trowel.core.underslab.records import LineTest
from humble_trowel.core.units import Units, say_depth, say_length

STUB_MM = 152.4
FLUSH = ("floor-drain", "floor-sink")
NEED_PSI = {"drain": 5.0, "supply": 50.0, "air": 50.0, "gas": 3.0, "tubing": 100.0}
TUBING_MIN = 30
PRESSURED = ("supply", "air", "gas")
LINE_WORDS = {"drain": "Drains", "supply": "Supply", "air": "Air line", "gas": "Gas"}


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
        NEED_PSI["drain"] * KPA_PER_PSI, pressure_text(NEED_PSI["drain"] * KPA_PER_PSI, plan.units), ways.hold_min, None,
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
                    pressure_text(need, plan.units), ways.hold_min, None,
                )
            )  # fmt: skip
    return lines


def _tubing(plan: Plan, ways: UnderslabWays) -> list[TestedLine]:
    """The loops of all heated rooms, tested together from their manifold. Source: 'line-test' in sources/."""
    rooms = plan.underslab.heated
    if not rooms:
        return []
    need = NEED_PSI["tubing"] * KPA_PER_PSI
    return [
        TestedLine(
            rooms[0].id, "tubing", "Tubing", [], [row.name for row in rooms], "", None, [], "", 0.0, "", need,
            pressure_text(need, plan.units), max(TUBING_MIN, ways.hold_min), None, [row.id for row in rooms],
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


def _said(line: TestedLine) -> Finding:
    told = line.told
    assert told is not None
    return finding(f"test-{told.state}", f"underslab/{line.id}", f"{line.name}: {told.words}", told.remedy, "line-test")
