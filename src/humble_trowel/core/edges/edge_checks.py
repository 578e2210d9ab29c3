"""Edges against frost, bury, height over the ground and sill plates: what meets, what is short, what is not known.

Rules recalled from the codes named in sources/; local code and the engineer decide.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Literal

from humble_trowel.core.edges.frost_sides import FrostSide, frost_sides
from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.foam_faces import foam_faces
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.local_rules import NO_LOCAL, Local, limit
from humble_trowel.core.plan.shape_parts import EdgeType
from humble_trowel.core.sources import words_in
from humble_trowel.core.units import Units, format_area, say_depth

SLACK_MM = 0.5
SHOWS_MM = 10.0
Verdict = Literal["meets", "short", "not set"]


@dataclass(frozen=True)
class EdgeCheck:
    """One rule at one side. has: what is there; rule: what is asked; gap: how much is short; words: the doubt, '' where it meets.
    least_at: where along the side it is least, '' where it is the same all along."""

    side: int | None
    code: str
    verdict: Verdict
    name: str
    has: str
    rule: str
    gap_mm: float
    gap: str
    words: str
    remedy: str
    source: str
    source_words: str
    least_at: str = ""


def edge_checks(plan: Plan, cells: list[Cell], local: Local = NO_LOCAL) -> list[EdgeCheck]:
    """Every rule at every open thickened side, and the plates of every edge type in use. local: what the county says."""
    rows: list[EdgeCheck] = []
    area_m2 = sum(cell.area_m2 for cell in cells)
    for side in frost_sides(plan, cells):
        if side.mark is not None:
            rows += _side(plan, side, area_m2, local)
    used = {edge.type for edge in plan.edges}
    for kind in plan.edge_types:
        if kind.plate_mm and kind.mark in used:
            rows.append(_plate(plan, kind))
    return rows


@dataclass(frozen=True)
class Rule:
    """A rule at the edge: code of its doubt, what it asks about, what to do, its source."""

    code: str
    name: str
    remedy: str
    source: str


OUTSIDE = Rule(
    "outside-not-set", "Ground outside", "Set it under Forms in Lines, or the ground found in Ground.", "bury"
)
TOP = Rule("top-low", "Top above the ground", "Lower the ground outside, or raise the floor.", "above-grade")
SAID = Rule(
    "outside-not-said",
    "Edge buried",
    "Say which under Frost; under fill, the ground found before the work counts.",
    "bury",
)
BURY = Rule("edge-bury", "Edge buried", "Make the edge deeper, or ask the engineer.", "bury")
NO_FROST = Rule("frost-not-set", "Frost", "Ask the county, and write it under Frost.", "frost")
FROST = Rule(
    "edge-above-frost",
    "Frost",
    "Go deeper, protect a shallow edge with foam, or build a frost wall. The official decides.",
    "frost",
)
PLATE = Rule("plate-overhangs", "Sill plate", "Move the wall in, take thinner foam, or a wider plate.", "plate")


def _check(
    rule: Rule,
    side: FrostSide | None,
    units: Units,
    gap_mm: float | None,
    texts: tuple[str, str],
    words: str,
    note: str = "",
) -> EdgeCheck:
    """gap_mm: how much is short, 0 or less where it meets, None where it is not known. texts: what is there, what is asked.
    note: what the county says."""
    meets = gap_mm is not None and gap_mm <= SLACK_MM
    verdict: Verdict = "not set" if gap_mm is None else "meets" if meets else "short"
    return EdgeCheck(
        side=side.side if side else None, code=rule.code, verdict=verdict, name=rule.name, has=texts[0], rule=texts[1],
        gap_mm=max(0.0, gap_mm or 0.0), gap="" if meets or gap_mm is None else say_depth(gap_mm, units),
        words="" if meets else words, remedy="" if meets else rule.remedy, source=rule.source,
        source_words=words_in(rule.source, units) + note,
    )  # fmt: skip


def _side(plan: Plan, side: FrostSide, area_m2: float, local: Local) -> list[EdgeCheck]:
    units = plan.units
    if side.buried_mm is None or side.above_mm is None:
        words = f"The ground outside {side.name} is not set, so nobody can say how deep its edge is buried."
        return [_check(OUTSIDE, side, units, None, ("not set", ""), words)]
    buried, above = say_depth(max(0.0, side.buried_mm), units), say_depth(abs(side.above_mm), units)
    rows = [_bury(plan, side, buried, local), _frost(plan, side, buried, area_m2, local)]
    rows = [replace(row, least_at=side.least_at) for row in rows]
    veneer = next((row.veneer for row in plan.edge_types if row.mark == side.mark), False)
    least = limit(local, "veneer" if veneer else "above-grade", units)
    asked = say_depth(least.value, units)
    over = "over" if side.above_mm >= 0 else "under"
    words = f"{side.name}: the slab's top is {above} {over} the ground outside, short of {asked}{' under masonry veneer' if veneer else ''}."
    has = above if side.above_mm >= 0 else f"{above} under"
    rows.append(_check(TOP, side, units, least.value - side.above_mm, (has, asked), words + least.note, least.note))
    return rows


def _bury(plan: Plan, side: FrostSide, buried: str, local: Local) -> EdgeCheck:
    """12 in into undisturbed ground: what is typed outside may be fill, so it is asked which it is."""
    least = limit(local, "bury", plan.units)
    asked = say_depth(least.value, plan.units)
    typed = side.buried_mm or 0.0
    if side.bury_mm is None and typed >= least.value - SLACK_MM:
        words = f"{side.name}: {side.mark} is {buried} under the ground outside. Is that undisturbed ground, or fill?"
        return _check(SAID, side, plan.units, None, (buried, asked), words, least.note)
    has_mm = typed if side.bury_mm is None else side.bury_mm
    has = say_depth(max(0.0, has_mm), plan.units)
    ground = "the undisturbed ground" if plan.ground.outside_is == "fill" else "the ground outside"
    words = f"{side.name}: the bottom of {side.mark} is {has} under {ground}, short of {asked}.{least.note}"
    return _check(BURY, side, plan.units, least.value - has_mm, (has, asked), words, least.note)


def _frost(plan: Plan, side: FrostSide, buried: str, area_m2: float, local: Local) -> EdgeCheck:
    frost, units = plan.site.frost_depth_mm, plan.units
    if frost is None:
        return _check(NO_FROST, side, units, None, ("not set", ""), "The frost depth of the site is not set.")
    short = side.short_mm or 0.0
    words = f"{side.name}: the bottom of {side.mark} is {say_depth(max(0.0, short), units)} short of the frost line, {say_depth(frost, units)} under the ground."
    foam = next((row.foam_mm for row in plan.edge_types if row.mark == side.mark), None)
    if foam and short > SLACK_MM:
        words += f" It has {say_depth(foam, units)} of foam; the shallow rule may carry it."
    rule = FROST
    exempt = limit(local, "exempt-area", units)
    if plan.site.building != "house" and area_m2 <= exempt.value:
        kind = "An accessory building" if plan.site.building == "accessory" else "A free-standing accessory building"
        ask = f"{kind} of light frame up to {format_area(exempt.value, units)} may be exempt (IRC R403.1.4.1): ask the official."
        rule = replace(FROST, remedy=f"{FROST.remedy} {ask}{exempt.note}")
    return _check(rule, side, units, short, (buried, say_depth(frost, units)), words)


def plate_over_mm(kind: EdgeType) -> float:
    """How far the sill plate stands out past the concrete: as said, else flush with the foam's face; less what the foam's top is
    cut back."""
    back = kind.cut_back_mm or 0.0 if kind.cut_back_high_mm else 0.0
    return max(0.0, (kind.plate_over_mm if kind.plate_over_mm is not None else kind.foam_mm or 0.0) - back)


def _plate(plan: Plan, kind: EdgeType) -> EdgeCheck:
    units, plate = plan.units, kind.plate_mm or 0.0
    over = plate_over_mm(kind)
    words = f"{kind.mark}: a {say_depth(plate, units)} sill plate stands {say_depth(over, units)} out past the concrete, over a third of its width."
    texts = (say_depth(over, units), f"{say_depth(plate / 3, units)} at most")
    return _check(replace(PLATE, name=f"Sill plate past {kind.mark}"), None, units, over - plate / 3, texts, words)


def foam_doubts(plan: Plan) -> list[Finding]:
    """Where foam shows above the ground outside: how much, where it falls along the side, and that it wants a cover."""
    found, count = [], len(plan.outline or ())
    grounds = {side: row.ground for row in plan.forms for side in row.sides}
    for face in foam_faces(plan):
        shows = [(max(0.0, -spot.level_mm), side) for side in face.sides for spot in grounds.get(side, ())]
        least, (most, side) = min(shows, default=(0.0, 0))[0], max(shows, default=(0.0, 0))
        if most > SHOWS_MM:
            units, name = plan.units, side_name(side, count)
            even = most - least < 1
            how = (
                f"{say_depth(most, units)}"
                if even
                else f"{say_depth(least, units)} to {say_depth(most, units)}, most along {name}"
            )
            words = f"Foam of {face.kind.mark} shows {how}."
            where = f"edge_types.{face.kind.mark}"
            found.append(
                finding("foam-shows", where, words, "Cover it, down into the ground where that falls.", "foam-face")
            )
    return found


def edge_findings(checks: Sequence[EdgeCheck]) -> list[Finding]:
    """Findings of the checks that are short: one a rule, its worst side told, the others counted."""
    rows: list[Finding] = []
    for code in dict.fromkeys(row.code for row in checks if row.verdict == "short"):
        own = [row for row in checks if row.code == code and row.verdict == "short"]
        own.sort(key=lambda row: -row.gap_mm)
        more = f" {len(own) - 1} more {'side' if len(own) == 2 else 'sides'} too." if len(own) > 1 else ""
        where = f"edges/side/{own[0].side}" if own[0].side is not None else "edge_types"
        rows.append(finding(code, where, own[0].words + more, own[0].remedy, own[0].source))
    return rows
