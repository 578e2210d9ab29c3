"""From a job file's JSON to a checked Plan, with one plain error that names the key path."""

from __future__ import annotations

import math
import re
from collections.abc import Sequence
from itertools import pairwise
from typing import Any

from pydantic import ValidationError
from shapely.geometry import LineString, Polygon

from humble_trowel.core.errors import PlanError
from humble_trowel.core.geometry.polygon import XY, check_ring, signed_area_m2, turned
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.plan.document import FormRow, GroundLevel, Plan
from humble_trowel.core.plan.parts_check import check_parts
from humble_trowel.core.plan.shape_parts import Marked

FORMAT = "humble-trowel-job"
VERSION = 1


def read_plan(data: Any) -> Plan:
    """Read a parsed job file. Raises PlanError naming the key path. Clockwise outlines are turned round."""
    if not isinstance(data, dict):
        raise PlanError(f"A job file is one JSON object, not {_kind_of(data)}.")
    if data.get("format") != FORMAT:
        raise PlanError(f"This is no job file: format is {data.get('format')!r}, not {FORMAT!r}.", "format")
    version = data.get("version")
    if not isinstance(version, int) or isinstance(version, bool) or version < 1:
        raise PlanError(f"version is {version!r}; it must be {VERSION}.", "version")
    if version > VERSION:
        raise PlanError(
            f"The file is version {version}; this program reads up to {VERSION}. Use a newer program.",
            "version",
        )
    plan = validate(data)
    check_plan(plan)
    return plan


def validate(data: dict[str, Any]) -> Plan:
    """Shape and sizes only, then the outline turned anticlockwise. Raises PlanError."""
    try:
        plan = Plan.model_validate(data, context={"units": data.get("units")})
    except ValidationError as error:
        raise plan_error(error) from None
    except RecursionError:
        raise PlanError("The file is nested too deep to be a job.") from None
    return anticlockwise(plan)


def anticlockwise(plan: Plan) -> Plan:
    """The plan with its outline anticlockwise: corner i becomes (n - i) mod n, side i becomes n - 1 - i."""
    if plan.outline is None or signed_area_m2(plan.outline) >= 0:
        return plan
    n = len(plan.outline)
    edges = [
        edge
        if edge.sides is None
        else edge.model_copy(update={"sides": [n - 1 - side for side in edge.sides if side < n]})
        for edge in plan.edges
    ]
    forms = [
        row.model_copy(
            update={
                "sides": [n - 1 - side for side in row.sides if side < n],
                "ground": _turned_ground(plan.outline, row),
            }
        )
        for row in plan.forms
    ]
    held = plan.set_out.hold_side
    set_out = plan.set_out.model_copy(update={"hold_side": None if held is None or held >= n else n - 1 - held})
    return plan.model_copy(update={"outline": turned(plan.outline), "edges": edges, "forms": forms, "set_out": set_out})


def _turned_ground(ring: Sequence[XY], row: FormRow) -> list[GroundLevel]:
    """Ground levels measured from the side's other end."""
    if not row.ground or not row.sides or row.sides[0] >= len(ring):
        return row.ground
    size = math.dist(ring[row.sides[0]], ring[(row.sides[0] + 1) % len(ring)])
    return [GroundLevel(at_mm=max(0.0, size - spot.at_mm), level_mm=spot.level_mm) for spot in reversed(row.ground)]


def check_plan(plan: Plan) -> None:
    """Raise PlanError for anything impossible in the geometry or in the names."""
    _check_marks(plan)
    if plan.outline is not None:
        check_ring(plan.outline, "outline", "The outline")
        for index, ring in enumerate(plan.openings):
            check_ring(ring, f"openings[{index}]", f"Opening {index + 1}")
        if not plan.zones:
            raise PlanError("The outline has no zone, so no slab. Give it one.", "zones")
        cells = lay_zones(plan)
        if sum(cell.area_m2 for cell in cells) < 1e-4:
            raise PlanError("The openings leave nothing of the slab.", "openings")
    _check_edges(plan)
    _check_wholly_outside(plan)
    check_parts(plan)
    _check_forms(plan)


def _check_forms(plan: Plan) -> None:
    n = len(plan.outline) if plan.outline else 0
    seen: dict[int, int] = {}
    for index, row in enumerate(plan.forms):
        for at, side in enumerate(row.sides):
            path = f"forms[{index}].sides[{at}]"
            if side >= n:
                raise PlanError(f"Side {side} does not exist: the outline has {n} sides.", path)
            if side in seen:
                raise PlanError(f"Side {side} stands in two rows of forms, {seen[side]} and {index}.", path)
            seen[side] = index
        stations = [spot.at_mm for spot in row.ground]
        if any(b <= a for a, b in pairwise(stations)):
            raise PlanError("Ground levels run along the side, each farther than the last.", f"forms[{index}].ground")
    held = plan.set_out.hold_side
    if held is not None and n and held >= n:
        raise PlanError(f"Side {held} does not exist: the outline has {n} sides.", "set_out.hold_side")
    line = plan.set_out.lot_line
    if line is not None and math.dist(line.start, line.end) < 1:
        raise PlanError("Both ends of the lot line are one spot.", "set_out.lot_line.end")
    for index, thing in enumerate(plan.existing):
        check_ring(thing.polygon, f"existing[{index}].polygon", thing.name)


def _check_marks(plan: Plan) -> None:
    types: tuple[tuple[str, Sequence[Marked]], ...] = (
        ("slab_types", plan.slab_types), ("edge_types", plan.edge_types),
        ("beam_types", plan.beam_types), ("pad_types", plan.pad_types),
    )  # fmt: skip
    for key, rows in types:
        seen: set[str] = set()
        for index, row in enumerate(rows):
            if row.mark in seen:
                raise PlanError(
                    f"The mark {row.mark} stands twice. Each type needs a mark of its own.",
                    f"{key}[{index}].mark",
                )
            seen.add(row.mark)
    for key, used, known in (
        ("zones", [zone.slab for zone in plan.zones], {row.mark for row in plan.slab_types}),
        ("build_ups", [row.slab for row in plan.build_ups], {row.mark for row in plan.slab_types}),
        ("edges", [edge.type for edge in plan.edges], {row.mark for row in plan.edge_types}),
        ("beams", [beam.type for beam in plan.beams], {row.mark for row in plan.beam_types}),
        ("pads", [pad.type for pad in plan.pads], {row.mark for row in plan.pad_types}),
    ):
        for index, mark in enumerate(used):
            if mark not in known:
                name = "slab" if key in ("zones", "build_ups") else "type"
                there = ", ".join(sorted(known)) or "none"
                raise PlanError(f"The mark {mark} is not known. Known here: {there}.", f"{key}[{index}].{name}")


def _check_edges(plan: Plan) -> None:
    n = len(plan.outline) if plan.outline else 0
    seen: dict[int, int] = {}
    for row, edge in enumerate(plan.edges):
        for at, side in enumerate(edge.sides or ()):
            path = f"edges[{row}].sides[{at}]"
            if side >= n:
                raise PlanError(f"Side {side} does not exist: the outline has {n} sides, 0 to {n - 1}." if n else
                                "There is no outline yet, so no side.", path)  # fmt: skip
            if side in seen:
                raise PlanError(f"Side {side} stands in two rows of edges, {seen[side]} and {row}.", path)
            seen[side] = row
        for a, b in zip(edge.along or (), (edge.along or ())[1:], strict=False):
            if abs(a[0] - b[0]) < 1 and abs(a[1] - b[1]) < 1:
                raise PlanError("Two points of the line are one spot.", f"edges[{row}].along")
        if edge.along and (not LineString(edge.along).is_simple or _runs_straight_back(edge.along)):
            raise PlanError("The line crosses itself or runs back on itself.", f"edges[{row}].along")


def _runs_straight_back(path: Sequence[XY]) -> bool:
    """Whether a bend turns round and comes back within 1 mm of where it came from: the strip there would have no end."""
    for (ax, ay), (x, y), (bx, by) in zip(path, path[1:], path[2:], strict=False):
        ux, uy, vx, vy = ax - x, ay - y, bx - x, by - y
        longer = max(math.hypot(ux, uy), math.hypot(vx, vy))
        if ux * vx + uy * vy > 0 and abs(ux * vy - uy * vx) / longer <= 1:
            return True
    return False


def _check_wholly_outside(plan: Plan) -> None:
    if plan.outline is None:
        return
    outline = Polygon(plan.outline)
    for row, edge in enumerate(plan.edges):
        if edge.along is not None and not outline.intersects(LineString(edge.along)):
            raise PlanError("The line lies wholly outside the outline.", f"edges[{row}].along")
    for index, ring in enumerate(plan.openings):
        if not outline.intersects(Polygon(ring)):
            raise PlanError(f"Opening {index + 1} lies wholly outside the outline.", f"openings[{index}]")


def plan_error(error: ValidationError, *, drop: int = 0) -> PlanError:
    """The first error of Pydantic in plain words, with a key path like zones[1].drop_mm."""
    rows = error.errors(include_url=False)
    rows.sort(key=lambda row: 0 if row["type"] == "extra_forbidden" else 1)
    first = rows[0]
    path = key_path(first["loc"][drop:])
    return PlanError(_plain_words(first["type"], first["msg"], path, first.get("ctx") or {}), path)


def key_path(loc: tuple[int | str, ...]) -> str:
    """('zones', 1, 'drop_mm') as zones[1].drop_mm; names of union members are left out."""
    text = ""
    for bit in loc:
        if isinstance(bit, int):
            text += f"[{bit}]"
        elif not re.search(r"[\[\]()-]", bit) and bit not in ("plane", "drain", "tape", "offset", "int", "SideMark"):
            text += f".{bit}" if text else bit
    return text


def _plain_words(kind: str, message: str, path: str, context: dict[str, Any]) -> str:
    last = path.split(".")[-1] or "the file"
    if kind == "extra_forbidden":
        return f"Unknown key {last}."
    if kind == "missing":
        return f"{last} is missing."
    if kind == "value_error":
        return message.removeprefix("Value error, ")
    if kind == "too_short":
        return f"{last} has {context.get('actual_length')} entries; it needs {context.get('min_length')} or more."
    if kind == "too_long":
        return f"{last} has more than {context.get('max_length')} entries."
    if kind in ("string_too_short", "string_too_long"):
        return f"{last} is {'empty' if kind.endswith('short') else 'too long'}."
    if kind == "literal_error":
        return f"{last} must be {context.get('expected')}."
    return f"{last}: {message[0].lower()}{message[1:]}."


def _kind_of(data: Any) -> str:
    return {list: "a list", str: "text", int: "a number", float: "a number", type(None): "null"}.get(type(data), "that")
