"""Edits for tests that name things by where they stand, turned into edits that name them by id, as every client must."""

from __future__ import annotations

from typing import Any

from pydantic import TypeAdapter

from humble_trowel.core.edits.registry import EDITS
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import Ref, ids_of

CLASSES = {TypeAdapter(kind).json_schema()["properties"]["op"]["const"]: kind for kind in EDITS}


def by_id(plan: Plan, edit: dict[str, Any]) -> dict[str, Any]:
    """The edit with each number of a corner, side or row replaced by its id; a number past the end stays unknown."""
    told = dict(edit)
    kind = CLASSES.get(str(edit.get("op")))
    for key, field in kind.model_fields.items() if kind else ():
        ref = next((found for found in _refs(field) if isinstance(found, Ref)), None)
        if ref is not None and key in told:
            told[key] = _named(plan, ref, told[key])
    if edit.get("op") == "take_out":
        told["ids"] = _named(plan, Ref(edit["what"]), told.get("ids", [])) if "types" not in edit["what"] else []
    return told


def _refs(field: Any) -> list[Any]:
    found, left = list(field.metadata), [field.annotation]
    while left:
        kind = left.pop()
        found += getattr(kind, "__metadata__", ())
        left += getattr(kind, "__args__", ())
    return found


def _named(plan: Plan, ref: Ref, said: Any) -> Any:
    if isinstance(said, list):
        return [_named(plan, ref, one) for one in said]
    if isinstance(said, bool) or not isinstance(said, int):
        return said
    ids = ids_of(plan, ref.kind)
    return ids[said] if said < len(ids) else f"none-{said}"
