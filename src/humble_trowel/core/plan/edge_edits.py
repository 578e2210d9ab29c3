"""Edits of edge types, which side has which, and thickenings along a line inside."""

from __future__ import annotations

import math
import re
from typing import Any

from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.lines.walk import walk
from humble_trowel.core.plan.carry import rows_of_sides, types_of_sides
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.marks import mark_and_call
from humble_trowel.core.plan.outline_edits import Edited, ring_needed, start_of
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


def set_edge_type(
    plan: Plan,
    mark: str,
    kind: EdgeKind | None,
    depth: str | float | None,
    bottom_width: str | float | None,
    degrees: float | None,
    text: str,
    faces: dict[str, str | float] | None = None,
    veneer: bool | None = None,
) -> Edited:
    """Change an edge type or add one with a new mark. `text` may call the whole cut. faces: foam_mm, isolation_mm,
    plate_mm, plate_over_mm as typed; '' or '0' takes one away."""
    mark, text = mark_and_call(text, mark, plan.edge_types)
    old = next((row for row in plan.edge_types if row.mark == mark), None)
    values: dict[str, Any] = old.model_dump() if old else {"mark": mark, "kind": "thickened"}
    values["kind"] = kind or values["kind"]
    if veneer is not None:
        values["veneer"] = veneer
    if text.strip():
        values |= read_cut(text, plan)
    for key, said in (("depth_mm", depth), ("bottom_width_mm", bottom_width)):
        if said is not None:
            values[key] = parse_length(said, plan.units, bare="in")
            if values["kind"] == "thickened" and values[key] <= 0:
                raise EditError("A thickened edge needs more than nothing here.", key.removesuffix("_mm"))
    if degrees is not None:
        values["haunch_run_per_rise"] = run_per_rise(degrees)
    for key, face in (faces or {}).items():
        size = parse_length(face, plan.units, bare="in") if str(face).strip() else 0.0
        values[key] = size if size or (key == "plate_over_mm" and str(face).strip()) else None
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


def _type_words(old: EdgeType | None, row: EdgeType, plan: Plan) -> str:
    if old is not None and old.veneer != row.veneer:
        return f"{row.mark}: {'masonry veneer on it' if row.veneer else 'no veneer'}"
    if old is not None and _faces(old) != _faces(row):
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


def _faces(row: EdgeType) -> tuple[float | None, ...]:
    return (row.foam_mm, row.isolation_mm, row.plate_mm, row.plate_over_mm)


def remove_edge_type(plan: Plan, mark: str) -> Edited:
    """Take out an edge type; sides that had it become plain."""
    edges = [edge for edge in plan.edges if edge.type != mark]
    types = [row for row in plan.edge_types if row.mark != mark]
    return plan.model_copy(update={"edge_types": types, "edges": edges}), f"{mark} taken out"


def set_side_type(plan: Plan, sides: list[int], mark: str | None) -> Edited:
    """Give sides an edge type, or none (plain)."""
    n = len(ring_needed(plan))
    types = types_of_sides(plan)
    if mark is not None and mark not in {row.mark for row in plan.edge_types}:
        raise EditError(f"The mark {mark} is not known.", "type")
    for side in sides:
        if side >= n:
            raise EditError(f"There is no side {side}.", "sides")
        types.pop(side, None)
        if mark is not None:
            types[side] = mark
    lines = [edge for edge in plan.edges if edge.along is not None]
    names = "all sides" if len(sides) == n else ", ".join(side_name(side, n) for side in sides)
    edited = plan.model_copy(update={"edges": [*rows_of_sides(types), *lines]})
    return edited, f"{names} {mark or 'plain'}"


def add_along(plan: Plan, text: str, grow: str, mark: str) -> Edited:
    """A thickening along a line inside, by a walk that begins with 'from <corner> ...'."""
    ring_needed(plan)
    start = start_of(plan, text)
    if start is None:
        raise CallError("Where does the line start? Begin with from B 3' n, then its sides.", path="text")
    walked = walk(text, plan.units, start)
    if walked.heard.problem:
        raise CallError(walked.heard.problem, tuple(choice.text for choice in walked.heard.choices), "text")
    if len(walked.points) < 2:
        raise CallError("How far, and which way?", path="text")
    edge = Edge(type=mark, along=walked.points, grow="left" if grow == "left" else "right")
    return plan.model_copy(update={"edges": [*plan.edges, edge], "walk": None}), f"{mark} along a line inside"


def remove_along(plan: Plan, row: int) -> Edited:
    """Take out the thickening in row `row` of edges."""
    if row >= len(plan.edges) or plan.edges[row].along is None:
        raise EditError("There is no such line.")
    return plan.model_copy(update={"edges": [e for at, e in enumerate(plan.edges) if at != row]}), "Line taken out"
