"""From a job file's JSON to a checked Plan, with one plain error that names the key path."""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import Any

from pydantic import ValidationError

from humble_trowel.core.errors import PlanError
from humble_trowel.core.geometry.polygon import XY, signed_area_m2, turned
from humble_trowel.core.plan.document import FormRow, GroundLevel, Plan
from humble_trowel.core.plan.ids import with_ids
from humble_trowel.core.reading.check_plan import check_plan
from humble_trowel.core.reading.plain_errors import plan_error

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
    plan = with_ids(anticlockwise(validate(data)))
    check_plan(plan)
    return plan


def validate(data: dict[str, Any]) -> Plan:
    """Shape and sizes only. Raises PlanError."""
    try:
        return Plan.model_validate(data, context={"units": data.get("units")})
    except ValidationError as error:
        raise plan_error(error) from None
    except RecursionError:
        raise PlanError("The file is nested too deep to be a job.") from None


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
    ids = [*plan.corner_ids, *[""] * n][:n]
    changes = {"outline": turned(plan.outline), "corner_ids": turned(ids) if plan.corner_ids else []}
    return plan.model_copy(update={**changes, "edges": edges, "forms": forms, "set_out": set_out})


def _turned_ground(ring: Sequence[XY], row: FormRow) -> list[GroundLevel]:
    """Ground levels measured from the side's other end."""
    if not row.ground or not row.sides or row.sides[0] >= len(ring):
        return row.ground
    size = math.dist(ring[row.sides[0]], ring[(row.sides[0] + 1) % len(ring)])
    return [GroundLevel(at_mm=max(0.0, size - spot.at_mm), level_mm=spot.level_mm) for spot in reversed(row.ground)]


def _kind_of(data: Any) -> str:
    return {list: "a list", str: "text", int: "a number", float: "a number", type(None): "null"}.get(type(data), "that")
