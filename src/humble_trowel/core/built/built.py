"""The slab as it stands: what is not as drawn, thing by thing, and how many are. Plan mm."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime

from humble_trowel.core.built.records import AsBuilt
from humble_trowel.core.gate.records import SiteChange
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.pour.records import Sawn
from humble_trowel.core.units import Units, say_depth

Line = tuple[XY, XY]
SAME_MM = 0.8


@dataclass(frozen=True)
class Drawn:
    """A thing that can be pressed. key: thing and id. line: where it is one; set: whether it stands there, where somebody wrote that down."""

    key: str
    thing: str
    of: str
    name: str
    spot: XY
    line: Line | None
    state: str


@dataclass(frozen=True)
class BuiltRow:
    """A thing that is not as drawn. stands: where it is, a line or a ring. record: of its word, '' where another stage has it."""

    key: str
    thing: str
    of: str
    name: str
    words: str
    spot: XY
    drawn: Line | None
    stands: list[XY]
    when_text: str
    by: str
    record: str


@dataclass(frozen=True)
class Built:
    """All of it. same: what was done as drawn, in words."""

    things: list[Drawn]
    rows: list[BuiltRow]
    same: list[str]


@dataclass(frozen=True)
class BuiltFacts:
    """What it is worked out of. joints: (id, name, line, how); sides: (id, name, line); items: (key, name, spot, state). shots: (spot, over what is drawn in mm)."""

    plan: Plan
    joints: Sequence[tuple[str, str, Line, str]]
    sides: Sequence[tuple[str, str, Line]]
    items: Sequence[tuple[str, str, XY, str]]
    shots: Sequence[tuple[XY, float]]
    sawn: Mapping[str, Sawn]
    changes: Sequence[tuple[str, SiteChange]]
    said: Sequence[tuple[str, AsBuilt]]


def built_of(facts: BuiltFacts) -> Built:
    """What stands otherwise than drawn. The newest word of a thing counts."""
    said = {f"{one.thing}/{one.of}": (record, one) for record, one in facts.said if one.thing != "added"}
    things = [*_joints(facts), *_sides(facts), *_items(facts)]
    rows = []
    for drawn in things:
        word = said.get(drawn.key)
        if word is not None:
            rows.append(_row(facts.plan, drawn, *word))
        elif drawn.thing == "joint" and drawn.state == "cracked":
            cut = facts.sawn[drawn.of]
            rows.append(BuiltRow(drawn.key, "joint", drawn.of, drawn.name, "a crack was faster than the saw", drawn.spot, drawn.line, [], _when(cut.at), cut.by, ""))  # fmt: skip
    rows += [
        _added(facts.plan.units, n, record, one)
        for n, (record, one) in enumerate((row for row in facts.said if row[1].thing == "added"), 1)
    ]
    rows += [
        BuiltRow(
            f"change/{record}",
            "change",
            record,
            f"Change {n}",
            one.words,
            one.spot,
            None,
            [],
            _when(one.at),
            one.by,
            "",
        )
        for n, (record, one) in enumerate(facts.changes, 1)
        if one.spot is not None
    ]
    return Built(things, rows, _same(facts, things, {row.key for row in rows}))


def _middle(line: Line) -> XY:
    return ((line[0][0] + line[1][0]) / 2, (line[0][1] + line[1][1]) / 2)


def _joints(facts: BuiltFacts) -> list[Drawn]:
    rows = []
    for joint, name, line, how in facts.joints:
        word = facts.sawn.get(joint)
        state = ("cracked" if word.cracked else "cut") if word else "drawn" if how == "sawn" else how
        rows.append(Drawn(f"joint/{joint}", "joint", joint, name, _middle(line), line, state))
    return rows


def _sides(facts: BuiltFacts) -> list[Drawn]:
    return [
        Drawn(f"side/{side}", "side", side, name, _middle(line), line, "formed") for side, name, line in facts.sides
    ]


def _items(facts: BuiltFacts) -> list[Drawn]:
    return [Drawn(f"bolt/{key}", "bolt", key, name, spot, None, state) for key, name, spot, state in facts.items]


def _row(plan: Plan, drawn: Drawn, record: str, one: AsBuilt) -> BuiltRow:
    stands: list[XY] = []
    if drawn.line is not None and drawn.thing == "side":
        (ax, ay), (bx, by) = drawn.line
        size = math.dist(*drawn.line) or 1.0
        mx, my = drawn.spot
        stands = [
            drawn.line[0],
            (mx + (by - ay) / size * one.out_mm, my - (bx - ax) / size * one.out_mm),
            drawn.line[1],
        ]
    elif drawn.line is not None:
        stands = [(x + one.dx_mm, y + one.dy_mm) for x, y in drawn.line]
    elif abs(one.dx_mm) + abs(one.dy_mm) > 0:
        stands = [(drawn.spot[0] + one.dx_mm, drawn.spot[1] + one.dy_mm)]
    return BuiltRow(drawn.key, drawn.thing, drawn.of, drawn.name, off_words(one, plan.units), drawn.spot, drawn.line, stands, _when(one.at), one.by, record)  # fmt: skip


def _added(units: Units, n: int, record: str, one: AsBuilt) -> BuiltRow:
    spot, wide, long, deep = one.spot or (0.0, 0.0), one.wide_mm or 0.0, one.long_mm or 0.0, one.deep_mm or 0.0
    ring = [(spot[0] + sx * wide / 2, spot[1] + sy * long / 2) for sx, sy in ((-1, -1), (1, -1), (1, 1), (-1, 1))]
    words = f"{say_depth(wide, units)} by {say_depth(long, units)}, {say_depth(deep, units)} deep{f': {one.words}' if one.words else ''}"
    return BuiltRow(
        f"added/{record}", "added", record, f"Pad added {n}", words, spot, None, ring, _when(one.at), one.by, record
    )


def off_words(one: AsBuilt, units: Units) -> str:
    """How far a thing is off what is drawn: '2″ right, 1/4″ low: the saw wandered'."""
    parts = []
    for value, (plus, minus) in (
        (one.dx_mm, ("right", "left")), (one.dy_mm, ("up the sheet", "down the sheet")), (one.level_mm, ("high", "low")),
        (one.out_mm, ("out in its middle", "in in its middle")),
    ):  # fmt: skip
        if abs(value) >= SAME_MM:
            parts.append(f"{say_depth(abs(value), units)} {plus if value > 0 else minus}")
    words = ", ".join(parts) or "as drawn"
    return f"{words}: {one.words}" if one.words else words


def _same(facts: BuiltFacts, things: Sequence[Drawn], off: set[str]) -> list[str]:
    """What was done as drawn, and levels."""
    rows = []
    cut = [one for one in things if one.thing == "joint" and one.state == "cut" and one.key not in off]
    if cut:
        rows.append(f"{len(cut)} {'joint' if len(cut) == 1 else 'joints'} cut as drawn")
    open_cuts = [one for one in things if one.thing == "joint" and one.state == "drawn" and one.key not in off]
    if open_cuts:
        rows.append(f"{len(open_cuts)} {'joint is' if len(open_cuts) == 1 else 'joints are'} not cut yet")
    stands = [one for one in things if one.thing == "bolt" and one.state == "set" and one.key not in off]
    if stands:
        rows.append(
            f"{len(stands)} {'bolt or strap stands' if len(stands) == 1 else 'bolts and straps stand'} as drawn"
        )
    lacks = [one for one in things if one.thing == "bolt" and one.state == "cannot" and one.key not in off]
    if lacks:
        rows.append(
            f"{len(lacks)} could not be set: {', '.join(one.name for one in lacks[:4])}{' …' if len(lacks) > 4 else ''}"
        )
    if facts.shots:
        offs = [off_mm for _, off_mm in facts.shots]
        low, high = min(offs), max(offs)
        ends = " to ".join(
            f"{say_depth(abs(one), facts.plan.units)} {'high' if one > 0 else 'low'}" if abs(one) >= SAME_MM else "as drawn" for one in (low, high)
        )  # fmt: skip
        rows.append(f"{len(offs)} {'level' if len(offs) == 1 else 'levels'} on the floor: {ends}")
    return rows


def _when(at: str) -> str:
    day = datetime.fromisoformat(at)
    return f"{day:%a} {day.day} {day:%b} {day.hour}:{day.minute:02d}"
