"""Small plans for tests."""

from __future__ import annotations

from typing import Any

from pydantic import TypeAdapter

from humble_trowel.core.edits.registry import Edit, apply
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.reading.job_file import read_plan
from tests.by_id import by_id

EDITS: TypeAdapter[list[Edit]] = TypeAdapter(list[Edit])
L_WALK = "36' e 18' n 24' w 10' n 12' w 28' s"


def job(**changes: Any) -> dict[str, Any]:
    """A 6 x 4 m job file, 100 thick, as data."""
    base: dict[str, Any] = {
        "format": "humble-trowel-job",
        "version": 1,
        "name": "test pad",
        "units": "mm",
        "outline": [[0, 0], [6000, 0], [6000, 4000], [0, 4000]],
        "slab_types": [{"mark": "S1", "thickness_mm": 100}],
        "zones": [{"name": "all", "slab": "S1", "polygon": None}],
    }
    return {**base, **changes}


def plan(**changes: Any) -> Plan:
    return read_plan(job(**changes))


def edited(start: Plan, *edits: dict[str, Any]) -> Plan:
    """After edits that may name things by where they stand (by_id.py)."""
    for edit in edits:
        start = apply(start, EDITS.validate_python([by_id(start, edit)]))[0]
    return start


def new(units: str = "ft-in") -> Plan:
    return Plan(name="new", units=units)  # type: ignore[arg-type]


def l_shape() -> Plan:
    """36 x 28 ft L with a 12 x 18 in edge at 45 degrees all round."""
    return edited(
        new(),
        {"op": "keep_outline", "text": L_WALK},
        {"op": "set_edge_type", "mark": "E1", "text": "12 wide 18 deep 45"},
        {"op": "set_side_type", "sides": [0, 1, 2, 3, 4, 5], "type": "E1"},
    )
