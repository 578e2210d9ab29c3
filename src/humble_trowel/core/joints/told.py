"""Joints as screens show them: lines, panels with their size, corners that will crack, and the saw list."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.calls.places import place_words
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.joints.columns import columns_of, isolation_rings
from humble_trowel.core.joints.joints import JointsLaid, panel_words
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.joint_ways import JointWays
from humble_trowel.core.units import say_depth, say_length

FT_M = 0.3048


@dataclass(frozen=True)
class JointTold:
    """A joint. how: sawn, tooled or inserted; chalk: from where its line is measured. strip: the last that
    it crosses, 0 where there are none."""

    id: str
    start: XY
    end: XY
    how: str
    length_text: str
    chalk: str
    strip: int = 0


@dataclass(frozen=True)
class PanelTold:
    """A panel. at: its middle; rules: those that it breaks."""

    ring: list[XY]
    at: XY
    text: str
    rules: list[str]


@dataclass(frozen=True)
class CrackTold:
    """A corner without a joint, or a joint's loose end."""

    at: XY
    rule: str


@dataclass(frozen=True)
class ColumnTold:
    """A column. shape: of the joint round it, '' for none; ring: as it lies."""

    id: str
    name: str
    at: XY
    shape: str
    ring: list[XY]


@dataclass(frozen=True)
class JointsTold:
    """All of it. limit_text: the longest side; saw_hours: of one saw; blades: worn out; fails: panels that fail by 24, 30, 36 t."""

    lines: list[JointTold]
    panels: list[PanelTold]
    cracks: list[CrackTold]
    columns: list[ColumnTold]
    steps: list[list[XY]]
    ratio_n: float
    limit_text: str
    depth_text: str
    saw_text: str
    saw_hours_share: float
    blades_share: float
    isolation_text: str
    fails: dict[str, int]
    broken: int


def joints_told(plan: Plan, ways: JointWays, found: JointsLaid) -> JointsTold:
    """Everything in words and drawings."""
    units = plan.units
    sawn = [row for row in plan.joints.lines if (row.how or ways.how) == "sawn"]
    saw_m = sum(math.dist(row.start, row.end) for row in sawn) / 1000
    limits = sorted({say_length(one.found.limit_mm, units) for one in found.regions})
    return JointsTold(
        [
            JointTold(row.id, row.start, row.end, row.how or ways.how, say_length(math.dist(row.start, row.end), units), f"from {place_words(plan, row.start)} to {place_words(plan, row.end)}".replace("from at", "from").replace("to at", "to"))
            for row in plan.joints.lines
        ],
        [
            PanelTold(panel.ring, _middle(panel.ring), panel_words(panel.long_mm, panel.short_mm, units), list(panel.rules))
            for one in found.regions
            for panel in one.found.panels
        ],
        [CrackTold(crack.at, crack.rule) for one in found.regions for crack in one.found.cracks if crack.rule in ("J3", "J5")],
        columns_told(plan, ways), [list(line) for line in found.steps], plan.joints.ratio_n or ways.ratio_n, " and ".join(limits), say_depth(found.depth_mm, units),
        say_run(found.saw_mm, units), saw_m / ways.saw_m_h, saw_m / ways.blade_m, say_run(found.isolation_mm, units),
        {f"{ratio:g}": count for ratio, count in found.fails.items()}, sum(len(one.found.cracks) for one in found.regions),
    )  # fmt: skip


def columns_told(plan: Plan, ways: JointWays) -> list[ColumnTold]:
    """Every column with the joint round it."""
    rings = {column.id: (said.shape, ring) for column, said, ring in isolation_rings(plan, ways)}
    return [ColumnTold(row.id, row.name, row.at, *rings.get(row.id, ("", []))) for row in columns_of(plan)]


def say_run(mm: float, units: str) -> str:
    """A long run: 51.0 m, or 167 ft."""
    return f"{mm / 1000:.1f} m" if units == "mm" else f"{mm / 1000 / FT_M:.0f} ft"


def _middle(ring: Sequence[XY]) -> XY:
    from shapely.geometry import Polygon

    spot = Polygon(ring).representative_point()
    return spot.x, spot.y
