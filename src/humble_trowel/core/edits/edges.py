"""Edits of edge types, which side has which, and thickenings along a line inside."""

from __future__ import annotations

import math
import re
from typing import Annotated, Any, Literal

from pydantic import Field, StrictBool

from humble_trowel.core.calls.walk import walk
from humble_trowel.core.edits.base import (
    Calls,
    EditBase,
    Edited,
    LineId,
    Short,
    SideId,
    Typed,
    TypeMark,
    ring_needed,
    side_at,
    without_row,
)
from humble_trowel.core.edits.carry import rows_of_sides, types_of_sides
from humble_trowel.core.edits.marks import mark_and_call
from humble_trowel.core.edits.outline import start_of
from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.shape_parts import Edge, EdgeKind, EdgeType
from humble_trowel.core.units import parse_length, say_depth


def read_cut(text: str, plan: Plan) -> dict[str, float]:
    """'12 wide 18 deep 45' as mm and run per rise. The degrees are of the inner face from level; 90 = vertical."""
    found: dict[str, float] = {}
    rest = text.strip().lower()
    for key, word in (("bottom_width_mm", "wide"), ("depth_mm", "deep")):
        match = re.search(rf"([^a-z]*(?:\b(?:mm|cm|m|in|ft)\b)?[^a-z]*)\s*{word}", rest)
        if match and match[1].strip():
            found[key] = parse_length(match[1], plan.units, bare="in")
            rest = (rest[: match.start()] + " " + rest[match.end() :]).strip()
    match = re.fullmatch(r"(\d+(?:\.\d+)?)\s*(?:°|deg(?:rees)?)?", rest.strip(" ,;"))
    if match:
        found["haunch_run_per_rise"] = run_per_rise(float(match[1]))
    elif rest.strip(" ,;"):
        raise CallError(f"Cannot read '{rest.strip()}'. Call a cut like 12 wide 18 deep 45.", path="text")
    if not found:
        raise CallError("Call a cut like 12 wide 18 deep 45 (degrees of the inner face; 90 = vertical).", path="text")
    return found


def run_per_rise(degrees: float) -> float:
    """Haunch run per rise of an inner face at `degrees` from level, 5 to 90."""
    if not 5 <= degrees <= 90:
        raise EditError(
            f"{degrees:g}° is no inner face. From level it leans 5 to 90 degrees; 90 is vertical.", "degrees"
        )
    return 0.0 if degrees == 90 else round(1 / math.tan(math.radians(degrees)), 9)


class SetEdgeType(EditBase):
    """Change an edge type or add one with a new mark. `text` may call the whole cut; of foam, isolation and the sill
    plate '' or '0' takes one away."""

    op: Literal["set_edge_type"]
    mark: TypeMark
    kind: EdgeKind | None = None
    depth: Typed | None = None
    bottom_width: Typed | None = None
    degrees: float | None = None
    text: Short = ""
    foam: Typed | None = None
    isolation: Typed | None = None
    plate: Typed | None = None
    plate_over: Typed | None = None
    veneer: StrictBool | None = None

    def apply(self, plan: Plan) -> Edited:
        mark, text = mark_and_call(self.text, self.mark, plan.edge_types)
        old = next((row for row in plan.edge_types if row.mark == mark), None)
        values: dict[str, Any] = old.model_dump() if old else {"mark": mark, "kind": "thickened"}
        values["kind"] = self.kind or values["kind"]
        if self.veneer is not None:
            values["veneer"] = self.veneer
        if text.strip():
            values |= read_cut(text, plan)
        values |= self._sizes(plan, values["kind"]) | self._faces(plan)
        if values["kind"] == "thickened":
            values["haunch_run_per_rise"] = values.get("haunch_run_per_rise") or 0.0
            for key, name in (("depth_mm", "deep"), ("bottom_width_mm", "wide")):
                if not values.get(key):
                    raise EditError(f"How {name}? A thickened edge needs it.", "text")
        row = EdgeType.model_validate(values)
        rows = [row if known.mark == mark else known for known in plan.edge_types]
        if old is None:
            rows.append(row)
        return plan.model_copy(update={"edge_types": rows}), _type_words(old, row, plan)

    def _sizes(self, plan: Plan, kind: str) -> dict[str, float]:
        values: dict[str, float] = {}
        for key, typed in (("depth_mm", self.depth), ("bottom_width_mm", self.bottom_width)):
            if typed is not None:
                values[key] = parse_length(typed, plan.units, bare="in")
                if kind == "thickened" and values[key] <= 0:
                    raise EditError("A thickened edge needs more than nothing here.", key.removesuffix("_mm"))
        if self.degrees is not None:
            values["haunch_run_per_rise"] = run_per_rise(self.degrees)
        return values

    def _faces(self, plan: Plan) -> dict[str, float | None]:
        values: dict[str, float | None] = {}
        for key, typed in (
            ("foam_mm", self.foam), ("isolation_mm", self.isolation),
            ("plate_mm", self.plate), ("plate_over_mm", self.plate_over),
        ):  # fmt: skip
            if typed is not None:
                there = bool(str(typed).strip())
                size = parse_length(typed, plan.units, bare="in") if there else 0.0
                values[key] = size if size or (key == "plate_over_mm" and there) else None
        return values


def _type_words(old: EdgeType | None, row: EdgeType, plan: Plan) -> str:
    if old is not None and old.veneer != row.veneer:
        return f"{row.mark}: {'masonry veneer on it' if row.veneer else 'no veneer'}"
    if old is not None and _outer(old) != _outer(row):
        return f"{row.mark} foam, strip or plate set"
    if old is None or old.kind != row.kind or row.kind != "thickened":
        return f"{row.mark} {row.kind.replace('-', ' ')}"
    deeper = (row.depth_mm or 0) - (old.depth_mm or 0)
    wider = (row.bottom_width_mm or 0) - (old.bottom_width_mm or 0)
    words = []
    if abs(deeper) > 0.01:
        words.append(f"{say_depth(abs(deeper), plan.units)} {'deeper' if deeper > 0 else 'shallower'}")
    if abs(wider) > 0.01:
        words.append(f"{say_depth(abs(wider), plan.units)} {'wider' if wider > 0 else 'narrower'}")
    if row.haunch_run_per_rise != old.haunch_run_per_rise:
        words.append("face changed")
    return f"{row.mark} {', '.join(words) or 'unchanged'}"


def _outer(row: EdgeType) -> tuple[float | None, ...]:
    return (row.foam_mm, row.isolation_mm, row.plate_mm, row.plate_over_mm)


class SetFoamFace(EditBase):
    """The foam on an edge type's face: on which side of the outline, how far past the concrete's bottom, its top cut back."""

    op: Literal["set_foam_face"]
    mark: TypeMark
    changes: dict[Literal["foam_side", "foam_past_mm", "cut_back_mm", "cut_back_high_mm"], Any]

    def apply(self, plan: Plan) -> Edited:
        old = next((row for row in plan.edge_types if row.mark == self.mark), None)
        if old is None:
            raise EditError(f"There is no edge type {self.mark} any more.", "mark")
        changes: dict[str, Any] = {str(key): value for key, value in self.changes.items()}
        for key in (name for name in changes if name.endswith("_mm")):
            said = changes[key]
            changes[key] = None if said in (None, "", "0") else parse_length(said, plan.units, bare="in")
        row = EdgeType.model_validate({**old.model_dump(), **changes})
        rows = [row if known.mark == self.mark else known for known in plan.edge_types]
        return plan.model_copy(update={"edge_types": rows}), f"{self.mark} foam set"


class RemoveEdgeType(EditBase):
    """Take out an edge type; sides that had it become plain."""

    op: Literal["remove_edge_type"]
    mark: TypeMark

    def apply(self, plan: Plan) -> Edited:
        edges = [edge for edge in plan.edges if edge.type != self.mark]
        types = [row for row in plan.edge_types if row.mark != self.mark]
        return plan.model_copy(update={"edge_types": types, "edges": edges}), f"{self.mark} taken out"


class SetSideType(EditBase):
    """Give sides an edge type, or none (plain)."""

    op: Literal["set_side_type"]
    sides: Annotated[list[SideId], Field(min_length=1, max_length=200)]
    type: TypeMark | None

    def apply(self, plan: Plan) -> Edited:
        n = len(ring_needed(plan))
        types = types_of_sides(plan)
        if self.type is not None and self.type not in {row.mark for row in plan.edge_types}:
            raise EditError(f"The mark {self.type} is not known.", "type")
        sides = [side_at(plan, side, "sides") for side in self.sides]
        for side in sides:
            types.pop(side, None)
            if self.type is not None:
                types[side] = self.type
        lines = [edge for edge in plan.edges if edge.along is not None]
        names = "all sides" if len(sides) == n else ", ".join(side_name(side, n) for side in sides)
        edited = plan.model_copy(update={"edges": [*rows_of_sides(types, plan.edges), *lines]})
        return edited, f"{names} {self.type or 'plain'}"


class AddAlong(EditBase):
    """A thickening along a line inside, by a walk that begins with 'from <corner> ...'."""

    op: Literal["add_along"]
    text: Calls
    grow: Literal["left", "right"]
    type: TypeMark

    def apply(self, plan: Plan) -> Edited:
        ring_needed(plan)
        start = start_of(plan, self.text)
        if start is None:
            raise CallError("Where does the line start? Begin with from B 3' n, then its sides.", path="text")
        walked = walk(self.text, plan.units, start)
        if walked.heard.problem:
            raise CallError(walked.heard.problem, tuple(choice.text for choice in walked.heard.choices), "text")
        if len(walked.points) < 2:
            raise CallError("How far, and which way?", path="text")
        edge = Edge(type=self.type, along=walked.points, grow=self.grow)
        changes = {"edges": [*plan.edges, edge], "walk": None}
        return plan.model_copy(update=changes), f"{self.type} along a line inside"


class RemoveAlong(EditBase):
    """Take out the thickening along a line inside."""

    op: Literal["remove_along"]
    line: LineId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "edges", self.line, "line")
        if plan.edges[at].along is None:
            raise EditError("That is an edge of sides, no line inside.", "line")
        return without_row(plan, "edges", at), "Line taken out"


EDGE_EDITS = (SetEdgeType, SetFoamFace, RemoveEdgeType, SetSideType, AddAlong, RemoveAlong)
