"""Edits of what sticks up: walls called along sides, bolts set by hand, straps, bolt groups. Stations run from a side's first corner."""

from __future__ import annotations

import math
from typing import Any, Literal

from pydantic import ValidationError

from humble_trowel.core.calls.embed_calls import read_group, read_strap, read_wall
from humble_trowel.core.edits.base import (
    Calls,
    EditBase,
    Edited,
    GroupId,
    SideId,
    Spot,
    StrapId,
    StudWallId,
    Title,
    ring_needed,
    side_at,
)
from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.geometry.wall_bases import base_of
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.embed_parts import BoltGroup, Strap, StudWall
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.units import say_length

SAME_MM = 3.0
MOST_BRACKETS = 200


def with_embeds(plan: Plan, **changes: Any) -> Plan:
    """The plan with other things that stick up."""
    return plan.model_copy(update={"embeds": plan.embeds.model_copy(update=changes)})


def made(kind: Any, values: dict[str, Any]) -> Any:
    """A row of a kind. Raises EditError in plain words."""
    try:
        return kind.model_validate(values)
    except ValidationError as error:
        words = str(error.errors()[0]["msg"]).removeprefix("Value error, ").split(": ", 1)[-1]
        raise EditError(words[:1].upper() + words[1:], "text") from None


def _size(plan: Plan, side: int) -> float:
    a, b = side_of(list(plan.outline or []), side)
    return math.dist(a, b)


def replaced(rows: list[Any], at: int | None, row: Any) -> list[Any]:
    """Rows with one in its place, or added."""
    return [*rows, row] if at is None else [row if i == at else one for i, one in enumerate(rows)]


class CallWall(EditBase):
    """A wall along a side, as it is called; nothing said is as the crew does. wall: one that is said anew."""

    op: Literal["call_wall"]
    side: SideId
    text: Calls = ""
    name: Title = ""
    wall: StudWallId | None = None

    def apply(self, plan: Plan) -> Edited:
        side = side_at(plan, self.side)
        rows = list(plan.embeds.walls)
        at = place_of(plan, "stud_walls", self.wall, "wall") if self.wall else None
        said = read_wall(self.text, plan.units)
        doors = [{**door, "id": _door_id(rows[at], door) if at is not None else ""} for door in said.pop("doors")]
        row = made(
            StudWall,
            {
                **said, "doors": doors, "side": plan.corner_ids[side], "drawn": self.text.strip(), "id": rows[at].id if at is not None else "",
                "name": self.name.strip() or (rows[at].name if at is not None else side_name(side, len(ring_needed(plan)))),
            },
        )  # fmt: skip
        fits(plan, row)
        return with_embeds(
            plan, walls=replaced(rows, at, row)
        ), f"Wall {row.name}: {self.text.strip() or 'as the crew does'}"


def _door_id(wall: StudWall, door: dict[str, Any]) -> str:
    """The id of the door that stands there already."""
    return next((one.id for one in wall.doors if abs(one.at_mm - door["at_mm"]) <= SAME_MM), "")


def fits(plan: Plan, wall: StudWall) -> None:
    """Raise EditError for a wall past its side or its line, or doors past the wall or over each other."""
    base, units = base_of(plan, wall), plan.units
    size = base.size_mm if base else 0.0
    start, end = wall.from_mm or 0.0, wall.to_mm or size
    if base is None or start >= size or end > size + 1.0:
        what = "its side" if wall.line is None else "its line"
        words = f"That wall runs past {what}: {base.name if base else 'it'} is {say_length(size, units)}."
        raise EditError(words, "text")
    last = start
    for door in sorted(wall.doors, key=lambda one: one.at_mm):
        if door.width_mm > end - start + 1e-6:
            raise EditError(f"A door of {say_length(door.width_mm, units)} is wider than its wall.", "text")
        if door.at_mm < last - 1e-6 or door.at_mm + door.width_mm > end + 1e-6:
            clash = "another" if door.at_mm < last and last > start else "the wall's end"
            raise EditError(f"The door at {say_length(door.at_mm, units)} stands past {clash}.", "text")
        last = door.at_mm + door.width_mm


class WallsAllRound(EditBase):
    """A framed wall, as the crew does, along every side that has none."""

    op: Literal["walls_all_round"]

    def apply(self, plan: Plan) -> Edited:
        ring = ring_needed(plan)
        walled = {row.side for row in plan.embeds.walls if row.side}
        made = [
            StudWall(name=side_name(side, len(ring)), side=name)
            for side, name in enumerate(plan.corner_ids)
            if name not in walled
        ]
        if not made:
            raise EditError("Every side has a wall.", "side")
        return with_embeds(plan, walls=[*plan.embeds.walls, *made]), f"Walls along {len(made)} sides"


class TakeOutWall(EditBase):
    """Take a wall out, with the bolts that were set by hand in it."""

    op: Literal["take_out_stud_wall"]
    wall: StudWallId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "stud_walls", self.wall, "wall")
        gone = plan.embeds.walls[at]
        walls = [row for i, row in enumerate(plan.embeds.walls) if i != at]
        bolts = [row for row in plan.embeds.bolts if row.wall != gone.id]
        return with_embeds(plan, walls=walls, bolts=bolts), f"Wall {gone.name} taken out"


class CallStrap(EditBase):
    """A strap, hold-down, bracket, threshold or leave-out at a side, as it is called; 'bracket every 8'' makes a row of them."""

    op: Literal["call_strap"]
    side: SideId
    text: Calls
    name: Title = ""
    strap: StrapId | None = None

    def apply(self, plan: Plan) -> Edited:
        side = side_at(plan, self.side)
        said, size = read_strap(self.text, plan.units), _size(plan, side)
        rows = list(plan.embeds.straps)
        old = place_of(plan, "straps", self.strap, "strap") if self.strap else None
        at, every = said.pop("at_mm"), said.pop("every", False)
        if at > size:
            raise EditError(f"That is past the end of {side_name(side, len(plan.corner_ids))}.", "text")
        count = int(size // at) + 1 if every and at > 0 else 1
        if count > MOST_BRACKETS:
            raise EditError(f"That makes {count:,} of them. Say a wider spacing.", "text")
        stations = [at * n for n in range(count)] if every else [at]
        values = {**said, "side": plan.corner_ids[side], "name": self.name.strip()}
        if old is not None and len(stations) == 1:
            row = made(Strap, {**values, "at_mm": stations[0], "id": rows[old].id})
            return with_embeds(plan, straps=replaced(rows, old, row)), f"{row.what}: {self.text.strip()}"
        several = [made(Strap, {**values, "at_mm": mm}) for mm in stations]
        words = said["what"] if len(several) == 1 else f"{len(several)} {said['what']}s"
        return with_embeds(
            plan, straps=[*rows, *several]
        ), f"{words[:1].upper()}{words[1:]} on {side_name(side, len(plan.corner_ids))}"


class TakeOutStrap(EditBase):
    """Take a strap or its like out."""

    op: Literal["take_out_strap"]
    strap: StrapId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "straps", self.strap, "strap")
        what = plan.embeds.straps[at].what
        rows = [row for i, row in enumerate(plan.embeds.straps) if i != at]
        return with_embeds(plan, straps=rows), f"{what[:1].upper()}{what[1:]} taken out"


class CallGroup(EditBase):
    """Bolts of a template at a spot, as they are called: '4 3/4 bolts at 8 by 8, 12 deep, 3 up'."""

    op: Literal["call_group"]
    at: Spot
    text: Calls
    name: Title = ""
    group: GroupId | None = None

    def apply(self, plan: Plan) -> Edited:
        ring_needed(plan)
        rows = list(plan.embeds.groups)
        old = place_of(plan, "groups", self.group, "group") if self.group else None
        name = self.name.strip() or (rows[old].name if old is not None else f"Column {len(rows) + 1}")
        said = {
            **read_group(self.text, plan.units),
            "at": self.at,
            "name": name,
            "id": rows[old].id if old is not None else "",
        }
        return with_embeds(plan, groups=replaced(rows, old, made(BoltGroup, said))), f"{name}: {self.text.strip()}"


class TakeOutGroup(EditBase):
    """Take a group of bolts out."""

    op: Literal["take_out_group"]
    group: GroupId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "groups", self.group, "group")
        rows = [row for i, row in enumerate(plan.embeds.groups) if i != at]
        return with_embeds(plan, groups=rows), f"{plan.embeds.groups[at].name} taken out"


EMBED_EDITS = (
    CallWall, WallsAllRound, TakeOutWall, CallStrap, TakeOutStrap, CallGroup, TakeOutGroup,
)  # fmt: skip
