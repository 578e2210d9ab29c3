"""Edits of what is poured along the outline: laps over old concrete, saw cuts filled, sidewalks, ramps."""

from __future__ import annotations

import math
from typing import Annotated, Any, Literal

from pydantic import Field

from humble_trowel.core.edits.base import (
    Calls,
    EditBase,
    Edited,
    SideId,
    Title,
    Typed,
    ring_needed,
    side_at,
    with_row,
)
from humble_trowel.core.edits.beams import walked_path
from humble_trowel.core.edits.ground import read_rate
from humble_trowel.core.edits.on_top import inset_path, sized
from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import point_along, side_of
from humble_trowel.core.plan.beside_parts import Lap, Ramp, Sidewalk
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.levels import read_level
from humble_trowel.core.units import parse_length, say_depth, say_length

Which = Literal["laps", "sidewalks", "ramps"]
MODELS: dict[str, type[Lap | Sidewalk | Ramp]] = {"laps": Lap, "sidewalks": Sidewalk, "ramps": Ramp}
ONE = {"laps": "lap", "sidewalks": "sidewalk", "ramps": "ramp"}


def stretch_of(plan: Plan, side: str, start: Typed, size: Typed) -> list[XY]:
    """A stretch of a side, from its first corner on; the rest of the side where no length is said."""
    at, ring = side_at(plan, side), ring_needed(plan)
    a, b = side_of(ring, at)
    whole = math.dist(a, b)
    begin = parse_length(start, plan.units) if start not in ("", None) else 0.0
    end = begin + (parse_length(size, plan.units) if size not in ("", None) else whole - begin)
    if begin < 0 or end > whole + 1 or end - begin < 1:
        words = f"{side_name(at, len(ring))} is {say_length(whole, plan.units)} long; that leaves it."
        raise EditError(words, "long" if 0 <= begin < whole else "start")
    return [point_along(a, b, begin), point_along(a, b, min(end, whole))]


class AddLap(EditBase):
    """Concrete beyond a side: over old concrete, or to where an old slab was cut. start, long: the stretch, from the side's
    first corner; '' for the whole side."""

    op: Literal["add_lap"]
    kind: Literal["lap", "saw-cut"] = "lap"
    side: SideId
    start: Typed = ""
    long: Typed = ""
    width: Typed
    end_width: Typed = ""
    thickness: Typed
    name: Title = ""

    def apply(self, plan: Plan) -> Edited:
        path = stretch_of(plan, self.side, self.start, self.long)
        cut = self.kind == "saw-cut"
        wide = (
            parse_length(self.width, plan.units, bare="in")
            if cut
            else sized(plan, self.width, "width", "How far over?")
        )
        row = Lap(
            name=self.name.strip() or f"{'Saw cut' if cut else 'Lap'} {len(plan.laps) + 1}", kind=self.kind, path=path,
            width_mm=wide, end_width_mm=None if self.end_width == "" else parse_length(self.end_width, plan.units, bare="in"),
            thickness_mm=sized(plan, self.thickness, "thickness", "How thick?"),
        )  # fmt: skip
        return plan.model_copy(update={"laps": [*plan.laps, row]}), f"{row.name}, {say_depth(wide, plan.units)} wide"


class AddSidewalk(EditBase):
    """A walk along sides, or along a walked path to the right of it; outside of the slab as it runs round."""

    op: Literal["add_sidewalk"]
    sides: Annotated[list[SideId], Field(max_length=200)] = []
    text: Calls = ""
    width: Typed
    thickness: Typed
    top: Typed = 0.0
    name: Title = ""

    def apply(self, plan: Plan) -> Edited:
        ring = ring_needed(plan)
        sides = sorted({side_at(plan, side, "sides") for side in self.sides})
        path = inset_path(ring, sides, 0.0, "sidewalk") if sides else walked_path(plan, self.text, "sidewalk")
        if len(path) < 2:
            raise EditError("How far, and which way?", "text")
        row = Sidewalk(
            name=self.name.strip() or f"Sidewalk {len(plan.sidewalks) + 1}", path=path,
            width_mm=_long(plan, self.width, "width", "How wide?"), thickness_mm=sized(plan, self.thickness, "thickness", "How thick?"),
            top_mm=read_level(self.top if self.top != "" else 0.0, plan, "top"),
        )  # fmt: skip
        words = f"{row.name}, {say_length(row.width_mm, plan.units)} wide"
        return plan.model_copy(update={"sidewalks": [*plan.sidewalks, row], "walk": None}), words


class AddRamp(EditBase):
    """A ramp down from a stretch of a side, as wide as the stretch is long. low: level of its foot. run: '' for 1 in 12."""

    op: Literal["add_ramp"]
    side: SideId
    start: Typed = ""
    long: Typed = ""
    low: Typed
    run: Typed = ""
    thickness: Typed
    foot: Typed = ""
    name: Title = ""

    def apply(self, plan: Plan) -> Edited:
        path = stretch_of(plan, self.side, self.start, self.long)
        low = read_level(self.low, plan, "low")
        thick = sized(plan, self.thickness, "thickness", "How thick?")
        row = Ramp(
            name=self.name.strip() or f"Ramp {len(plan.ramps) + 1}", path=path, low_mm=low,
            run_mm=-low * 12 if self.run == "" and low < 0 else _long(plan, self.run, "run", "How far does it run out?"),
            thickness_mm=thick, foot_mm=thick if self.foot == "" else sized(plan, self.foot, "foot", "How thick?"),
        )  # fmt: skip
        words = f"{row.name}, {say_length(math.dist(*path), plan.units)} wide"
        return plan.model_copy(update={"ramps": [*plan.ramps, row]}), words


def _long(plan: Plan, said: Typed, path: str, ask: str) -> float:
    if said == "":
        raise EditError(ask, path)
    size = parse_length(said, plan.units)
    if size <= 0:
        raise EditError("It needs more than nothing.", path)
    return size


class SetBeside(EditBase):
    """Change a lap, a sidewalk or a ramp. Sizes as typed; levels like '4 in below'; fall like '1/4 a foot', '2 %', '1 in 48',
    less than nothing toward the slab."""

    op: Literal["set_beside"]
    what: Which
    id: Annotated[str, Field(min_length=1, max_length=24)]
    changes: dict[Annotated[str, Field(max_length=24)], Any]

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, self.what, self.id, "id")
        model, old = MODELS[self.what], getattr(plan, self.what)[at].model_dump()
        changes = dict(self.changes)
        for key, said in self.changes.items():
            if key not in old:
                raise EditError(f"A {ONE[self.what]} has no {key}.", f"changes.{key}")
            if key in ("high_mm", "low_mm") or (key == "top_mm"):
                changes[key] = read_level(said if said != "" else 0.0, plan, key)
            elif key == "fall" and isinstance(said, str):
                back = said.strip().startswith("-")
                changes[key] = -read_rate(said.strip().lstrip("-"), plan) if back else read_rate(said, plan)
            elif key == "end_width_mm" and said in ("", None):
                changes[key] = None
            elif key.endswith("_mm"):
                bare_feet = key == "run_mm" or (self.what == "sidewalks" and key == "width_mm")
                changes[key] = (
                    _long(plan, said, key, "How far?")
                    if bare_feet
                    else parse_length(said or 0.0, plan.units, bare="in")
                )
        row = model.model_validate({**old, **changes})
        return with_row(plan, self.what, at, row), f"{row.name} set"


ALONGSIDE_EDITS = (AddLap, AddSidewalk, AddRamp, SetBeside)
