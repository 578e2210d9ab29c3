"""What differs between two states of a plan, by name and id: whether two people's changes touch each other."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from pydantic import BaseModel

from humble_trowel.core.plan.document import Plan

Place = tuple[str, ...]


def differs(one: Plan, other: Plan) -> set[Place]:
    """Places at which two states differ: ('name',), ('beams', id), ('outline', id of the corner), ('underslab', 'services', id).
    A row that came, went or changed is one place; the order of rows is none."""
    found: set[Place] = set()
    for name in type(one).model_fields:
        if name == "corner_ids":
            continue
        a, b = getattr(one, name), getattr(other, name)
        if a is b:
            continue
        if name == "outline":
            found |= _rows((name,), _corners(one), _corners(other))
        else:
            found |= _of(a, b, (name,))
    return found


def touch(mine: set[Place], theirs: set[Place]) -> bool:
    """Whether two sets of places meet: the same one, or one within the other."""
    return any(a[: len(b)] == b or b[: len(a)] == a for a in mine for b in theirs)


def _of(a: Any, b: Any, at: Place) -> set[Place]:
    if a is b or a == b:
        return set()
    if _with_ids(a) and _with_ids(b):
        return _rows(at, {row.id: row for row in a}, {row.id: row for row in b})
    if isinstance(a, BaseModel) and isinstance(b, BaseModel) and type(a) is type(b):
        return {
            place for name in type(a).model_fields for place in _of(getattr(a, name), getattr(b, name), (*at, name))
        }
    return {at}


def _with_ids(rows: Any) -> bool:
    return isinstance(rows, list | tuple) and all(
        isinstance(row, BaseModel) and getattr(row, "id", None) for row in rows
    )


def _rows(at: Place, a: dict[str, Any], b: dict[str, Any]) -> set[Place]:
    return {(*at, key) for key in a.keys() | b.keys() if a.get(key) != b.get(key)}


def _corners(plan: Plan) -> dict[str, Sequence[float]]:
    return dict(zip(plan.corner_ids, plan.outline or [], strict=False))
