"""Edges against frost, bury, height over the ground and sill plates: what meets, what is short, what is not known.

Rules recalled from the codes named in sources.py; local code and the engineer decide.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from humble_trowel.core.edges.frost_sides import FrostSide, frost_sides
from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import EdgeType
from humble_trowel.core.sources import SOURCES
from humble_trowel.core.units import MM_PER_IN, say_depth

BURY_MM = 12 * MM_PER_IN
ABOVE_MM = 6 * MM_PER_IN
SLACK_MM = 0.5
Verdict = Literal["meets", "short", "not set"]


@dataclass(frozen=True)
class EdgeCheck:
    """One rule at one side. has: what is there; rule: what is asked; words: the doubt and the act, '' where it meets."""

    side: int | None
    code: str
    verdict: Verdict
    name: str
    has: str
    rule: str
    words: str
    remedy: str
    source: str
    source_words: str


def edge_checks(plan: Plan, cells: list[Cell]) -> list[EdgeCheck]:
    """Every rule at every open thickened side, and the plates of every edge type in use."""
    rows: list[EdgeCheck] = []
    for side in frost_sides(plan, cells):
        if side.mark is not None:
            rows += _side(plan, side)
    used = {edge.type for edge in plan.edges}
    for kind in plan.edge_types:
        if kind.plate_mm and kind.mark in used:
            rows.append(_plate(plan, kind))
    return rows


def _check(side: FrostSide | None, code: str, meets: bool | None, name: str, texts: tuple[str, str], words: str, remedy: str, source: str) -> EdgeCheck:  # fmt: skip
    verdict: Verdict = "not set" if meets is None else "meets" if meets else "short"
    return EdgeCheck(
        side.side if side else None, code, verdict, name, *texts, "" if meets else words, "" if meets else remedy,
        source, SOURCES[source].words,
    )  # fmt: skip


def _side(plan: Plan, side: FrostSide) -> list[EdgeCheck]:
    units = plan.units
    frost = plan.site.frost_depth_mm
    rows = []
    if side.buried_mm is None or side.above_mm is None:
        words = f"The ground outside {side.name} is not set, so nobody can say how deep its edge is buried."
        return [_check(side, "outside-not-set", None, "Ground outside", ("not set", ""), words, "Set it under Forms in Lines, or the ground found in Ground.", "bury")]  # fmt: skip
    buried, above = say_depth(max(0.0, side.buried_mm), units), say_depth(abs(side.above_mm), units)
    words = f"{side.name}: the bottom of {side.mark} is {buried} under the ground outside, short of {say_depth(BURY_MM, units)}."
    rows.append(
        _check(side, "edge-bury", side.buried_mm >= BURY_MM - SLACK_MM, "Edge buried", (buried, say_depth(BURY_MM, units)),
               words, "Make the edge deeper, or ask the engineer.", "bury")
    )  # fmt: skip
    if frost is None:
        words = "The frost depth of the site is not set."
        rows.append(_check(side, "frost-not-set", None, "Frost", ("not set", ""), words, "Ask the county, and write it under Frost.", "frost"))  # fmt: skip
    else:
        short = side.short_mm or 0.0
        words = f"{side.name}: the bottom of {side.mark} is {say_depth(max(0.0, short), units)} short of the frost line, {say_depth(frost, units)} under the ground."
        remedy = "Go deeper, protect a shallow edge with foam, or build a frost wall. The official decides."
        foam = next((row.foam_mm for row in plan.edge_types if row.mark == side.mark), None)
        if foam and short > SLACK_MM:
            words += f" It has {say_depth(foam, units)} of foam; the shallow rule may carry it."
        rows.append(_check(side, "edge-above-frost", short <= SLACK_MM, "Frost", (buried, say_depth(frost, units)), words, remedy, "frost"))  # fmt: skip
    words = f"{side.name}: the slab's top is {above} {'over' if side.above_mm >= 0 else 'under'} the ground outside, short of {say_depth(ABOVE_MM, units)}."
    rows.append(
        _check(side, "top-low", side.above_mm >= ABOVE_MM - SLACK_MM, "Top above the ground",
               (above if side.above_mm >= 0 else f"{above} under", say_depth(ABOVE_MM, units)), words,
               "Lower the ground outside, or raise the floor.", "above-grade")
    )  # fmt: skip
    return rows


def plate_over_mm(kind: EdgeType) -> float:
    """How far the sill plate stands out past the concrete: as said, else flush with the foam's face."""
    return kind.plate_over_mm if kind.plate_over_mm is not None else kind.foam_mm or 0.0


def _plate(plan: Plan, kind: EdgeType) -> EdgeCheck:
    units, plate = plan.units, kind.plate_mm or 0.0
    over = plate_over_mm(kind)
    words = f"{kind.mark}: a {say_depth(plate, units)} sill plate stands {say_depth(over, units)} out past the concrete, over a third of its width."
    return _check(
        None, "plate-overhangs", over <= plate / 3 + SLACK_MM, f"Sill plate past {kind.mark}",
        (say_depth(over, units), f"{say_depth(plate / 3, units)} at most"), words,
        "Move the wall in, take thinner foam, or a wider plate.", "plate",
    )  # fmt: skip


def edge_findings(checks: Sequence[EdgeCheck]) -> list[Finding]:
    """Findings of the checks that are short: one a rule, its first side told, the others counted."""
    rows: list[Finding] = []
    for code in dict.fromkeys(row.code for row in checks if row.verdict == "short"):
        own = [row for row in checks if row.code == code and row.verdict == "short"]
        more = f" {len(own) - 1} more {'side' if len(own) == 2 else 'sides'} too." if len(own) > 1 else ""
        where = f"edges/side/{own[0].side}" if own[0].side is not None else "edge_types"
        rows.append(finding(code, where, own[0].words + more, own[0].remedy, own[0].source))
    return rows
