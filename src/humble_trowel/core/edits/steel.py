"""Edits of steel: what a slab type holds, cages of edges, beams and pads, dowels; called as a drawing says it, or chosen."""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import Field, StrictBool, ValidationError

from humble_trowel.core.calls.steel_calls import read_cage, read_dowels, read_key, read_on_hand, read_slab_steel
from humble_trowel.core.edits.base import Calls, DowelsId, EditBase, Edited, KeyId, SideId, Title, TypeMark, side_at
from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.steel_parts import Cage, Dowels, Key, OnHand, Place, SlabSteel, SteelWay

LIST_OF: dict[str, str] = {"edge": "edge_types", "beam": "beam_types", "pad": "pad_types"}


EACH_WAY = {
    "pad": "A pad holds bars each way, like #5 at 8 each way.",
    "pile": "Over a head lie bars each way, like #4 at 6 each way, 4' long.",
}


def marks_of(plan: Plan, of: Place) -> set[str]:
    """What a cage can be of: types by their marks, rows of piles by their ids."""
    return {row.id for row in plan.piles} if of == "pile" else {row.mark for row in getattr(plan, LIST_OF[of])}


def with_steel(plan: Plan, **changes: Any) -> Plan:
    """The plan with other steel."""
    return plan.model_copy(update={"steel": plan.steel.model_copy(update=changes)})


def _made(kind: Any, values: dict[str, Any], path: str) -> Any:
    try:
        return kind.model_validate(values)
    except ValidationError as error:
        words = str(error.errors()[0]["msg"]).removeprefix("Value error, ")
        raise EditError(words.split(": ", 1)[-1][:1].upper() + words.split(": ", 1)[-1][1:], path) from None


def _slab(plan: Plan, mark: str) -> None:
    if mark not in {row.mark for row in plan.slab_types}:
        raise EditError(f"There is no slab type {mark}.", "slab")


def _with_slab(plan: Plan, row: SlabSteel) -> Plan:
    rows = [row if one.slab == row.slab else one for one in plan.steel.ways]
    return with_steel(plan, ways=rows if row in rows else [*rows, row])


class CallSlabSteel(EditBase):
    """What a slab type holds, as the drawing says it."""

    op: Literal["call_slab_steel"]
    slab: TypeMark
    text: Calls

    def apply(self, plan: Plan) -> Edited:
        _slab(plan, self.slab)
        row = _made(
            SlabSteel, {**read_slab_steel(self.text, plan.units), "slab": self.slab, "drawn": self.text.strip()}, "text"
        )
        return _with_slab(plan, row), f"Steel of {self.slab}: {self.text.strip()}"


class SetSlabSteel(EditBase):
    """Choose how a slab type is held together, or change one of its sizes; '' is as the crew does."""

    op: Literal["set_slab_steel"]
    slab: TypeMark
    way: SteelWay | None = None
    changes: dict[
        Literal["bar", "spacing_mm", "other_bar", "other_mm", "level", "clear_mm", "sheet_long_mm", "sheet_wide_mm", "lap_mm", "fibre_kg_m3"],
        Any,
    ] = {}  # fmt: skip

    def apply(self, plan: Plan) -> Edited:
        _slab(plan, self.slab)
        old = next((row for row in plan.steel.ways if row.slab == self.slab), None)
        had: dict[str, Any] = old.model_dump() if old else {"slab": self.slab, "way": "bars"}
        said = {str(key): (None if value == "" else value) for key, value in self.changes.items()}
        if said.get("level", "") is None:
            said["level"] = "middle"
        if self.way is not None and (old is None or old.way != self.way):
            had = {"slab": self.slab, "way": self.way}
        values = {**had, **({"way": self.way} if self.way else {}), **said, "drawn": ""}
        context_units = {"units": plan.units}
        try:
            row = SlabSteel.model_validate(values, context=context_units)
        except ValidationError as error:
            told = error.errors()[0]
            raise EditError(
                str(told["msg"]).removeprefix("Value error, "), str(told["loc"][-1] if told["loc"] else "way")
            ) from None
        return _with_slab(plan, row), f"Steel of {self.slab} set"


class CallCage(EditBase):
    """What an edge, beam or pad type holds, as the drawing says it."""

    op: Literal["call_cage"]
    of: Place
    mark: TypeMark
    text: Calls

    def apply(self, plan: Plan) -> Edited:
        if self.mark not in marks_of(plan, self.of):
            what = "row of piles" if self.of == "pile" else f"{self.of} type"
            raise EditError(f"There is no {what} {self.mark}.", "mark")
        said = read_cage(self.text, plan.units)
        if (self.of in EACH_WAY) != ("each_way" in said):
            raise EditError(EACH_WAY.get(self.of, "Which long bars? Like 2 #5 bottom."), "text")
        if "long_mm" in said and self.of != "pile":
            raise EditError("Only bars over pile heads have a length of their own.", "text")
        values = {**said, "of": self.of, "mark": self.mark, "drawn": self.text.strip()}
        row = _made(Cage, values, "text")
        rows = [row if (one.of, one.mark) == (self.of, self.mark) else one for one in plan.steel.cages]
        return with_steel(
            plan, cages=rows if row in rows else [*rows, row]
        ), f"Steel of {self.mark}: {self.text.strip()}"


class TakeOutCage(EditBase):
    """Leave an edge, beam or pad type without steel."""

    op: Literal["take_out_cage"]
    of: Place
    mark: TypeMark

    def apply(self, plan: Plan) -> Edited:
        rest = [one for one in plan.steel.cages if (one.of, one.mark) != (self.of, self.mark)]
        if len(rest) == len(plan.steel.cages):
            raise EditError(f"{self.mark} has no cage.", "mark")
        return with_steel(plan, cages=rest), f"No steel in {self.mark}"


class CallDowels(EditBase):
    """A row of dowels along a side, as the drawing says it; one that is there already is said anew."""

    op: Literal["call_dowels"]
    side: SideId
    text: Calls
    name: Title = ""
    dowels: DowelsId | None = None

    def apply(self, plan: Plan) -> Edited:
        at = side_at(plan, self.side)
        said = read_dowels(self.text, plan.units)
        ring = list(plan.outline or [])
        (ax, ay), (bx, by) = side_of(ring, at)
        long = ((bx - ax) ** 2 + (by - ay) ** 2) ** 0.5
        start, end = said.get("from_mm") or 0.0, said.get("to_mm") or long
        if not 0 <= start < end <= long + 1.0:
            raise EditError("Those dowels run past the side's end.", "text")
        rows = list(plan.steel.dowels)
        old = place_of(plan, "dowels", self.dowels) if self.dowels else None
        name = self.name.strip() or (rows[old].name if old is not None else f"dowels {side_name(at, len(ring))}")
        values = {**said, "name": name, "side": plan.corner_ids[at], "id": rows[old].id if old is not None else ""}
        row = _made(Dowels, values, "text")
        rows = [*rows, row] if old is None else [row if i == old else one for i, one in enumerate(rows)]
        return with_steel(plan, dowels=rows), f"{name}: {self.text.strip()}"


class TakeOutDowels(EditBase):
    """Take a row of dowels out."""

    op: Literal["take_out_dowels"]
    dowels: DowelsId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "dowels", self.dowels)
        rows = [row for i, row in enumerate(plan.steel.dowels) if i != at]
        return with_steel(plan, dowels=rows), f"{plan.steel.dowels[at].name} taken out"


class CallKey(EditBase):
    """A keyed joint along a side, as it is called: 'key 1 1/2 by 3 1/2'; one that is there already is said anew."""

    op: Literal["call_key"]
    side: SideId
    text: Calls
    key: KeyId | None = None

    def apply(self, plan: Plan) -> Edited:
        at = side_at(plan, self.side)
        said = read_key(self.text, plan.units)
        (ax, ay), (bx, by) = side_of(list(plan.outline or []), at)
        long = ((bx - ax) ** 2 + (by - ay) ** 2) ** 0.5
        if not 0 <= (said.get("from_mm") or 0.0) < (said.get("to_mm") or long) <= long + 1.0:
            raise EditError("That key runs past the side's end.", "text")
        rows = list(plan.steel.keys)
        old = place_of(plan, "keys", self.key, "key") if self.key else None
        name = f"key {side_name(at, len(plan.corner_ids))}"
        row = _made(
            Key,
            {**said, "name": name, "side": plan.corner_ids[at], "id": rows[old].id if old is not None else ""},
            "text",
        )
        rows = [*rows, row] if old is None else [row if i == old else one for i, one in enumerate(rows)]
        return with_steel(plan, keys=rows), f"{name[:1].upper()}{name[1:]}: {self.text.strip()}"


class TakeOutKey(EditBase):
    """Take a keyed joint out."""

    op: Literal["take_out_key"]
    key: KeyId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "keys", self.key, "key")
        rows = [row for i, row in enumerate(plan.steel.keys) if i != at]
        return with_steel(plan, keys=rows), f"{plan.steel.keys[at].name} taken out"


class CallOnHand(EditBase):
    """Bars that lie in the yard, said anew; '' where there are none."""

    op: Literal["call_on_hand"]
    text: Annotated[str, Field(max_length=400)]

    def apply(self, plan: Plan) -> Edited:
        said = read_on_hand(self.text, plan.units) if self.text.strip() else []
        rows = [_made(OnHand, values, "text") for values in said]
        return with_steel(plan, on_hand=rows), f"On hand: {self.text.strip() or 'nothing'}"


class SetSteel(EditBase):
    """Whether diagonals stand in inside corners, and trimmers round openings."""

    op: Literal["set_steel"]
    diagonals: StrictBool | None = None
    trimmers: StrictBool | None = None

    def apply(self, plan: Plan) -> Edited:
        said = {
            key: value
            for key, value in (("diagonals", self.diagonals), ("trimmers", self.trimmers))
            if value is not None
        }
        if not said:
            raise EditError("Say diagonals or trimmers.", "diagonals")
        words = ", ".join(f"{key} {'in' if on else 'out'}" for key, on in said.items())
        return with_steel(plan, **said), words[:1].upper() + words[1:]


STEEL_EDITS = (
    CallSlabSteel,
    SetSlabSteel,
    CallCage,
    TakeOutCage,
    CallDowels,
    TakeOutDowels,
    CallKey,
    TakeOutKey,
    CallOnHand,
    SetSteel,
)
