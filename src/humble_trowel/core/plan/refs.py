"""References in edits and records: from where things stood to their ids, and from ids to where they stand now.

A record says what it means by id. Records of before there were ids, and files of measures, say it by number: they are
resolved once, against the plan that they were made on. The core works with numbers, placed against the plan in hand.
"""

from __future__ import annotations

from collections.abc import Callable
from typing import TYPE_CHECKING, Annotated, Any, TypeVar

from pydantic import Field
from pydantic.fields import FieldInfo

from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.core.plan.ids import NAMES, Ref, ids_of
from humble_trowel.core.plan.model import Model

if TYPE_CHECKING:  # what the core's functions meet once a record is placed
    CornerRef = int
    SideRef = int
    LineRef = str
    BeamRef = str
    FootingRef = str
    RiserRef = str
    ServiceRef = str
    RoomRef = str
    SideName = str
else:
    _Place = Annotated[int, Field(ge=0, lt=400)]
    _Id = Annotated[str, Field(min_length=1, max_length=24)]
    CornerRef = Annotated[_Place | _Id, Ref("corner")]
    SideRef = SideName = Annotated[_Place | _Id, Ref("side")]
    LineRef = Annotated[_Place | _Id, Ref("edges")]
    BeamRef = Annotated[_Place | _Id, Ref("beams")]
    FootingRef = Annotated[_Place | _Id, Ref("footings")]
    ServiceRef = Annotated[_Place | _Id, Ref("services")]
    RiserRef = Annotated[_Place | _Id, Ref("risers")]
    RoomRef = Annotated[_Place | _Id, Ref("heated")]

M = TypeVar("M", bound=Model)


def refs_of(field: FieldInfo) -> list[Ref]:
    """The references that a field of a model holds, however deep in its lists and unions."""
    found, left = list(field.metadata), [field.annotation]
    while left:
        kind = left.pop()
        found += getattr(kind, "__metadata__", ())
        left += getattr(kind, "__args__", ())
    return [one for one in found if isinstance(one, Ref)]


def by_id(values: M, plan: Plan) -> M:
    """The values with every number of a corner, side or row as its id. Raises InputError for a number that is none."""

    def named(ref: Ref, said: Any, path: str) -> Any:
        if isinstance(said, str):
            return said
        ids = ids_of(plan, ref.kind)
        if said >= len(ids):
            raise InputError(_none_such(plan, ref, said), path)
        return ids[said]

    return _walked(values, named, "")


def by_place(values: M, plan: Plan) -> M:
    """The values with every id as where it stands in this plan. Raises InputError where something is gone."""

    def placed(ref: Ref, said: Any, path: str) -> Any:
        if not isinstance(said, str):
            return said
        ids = ids_of(plan, ref.kind)
        if said not in ids:
            raise InputError(f"That {NAMES[ref.kind]} is not on this slab any more.", path)
        return list(ids).index(said)

    return _walked(values, placed, "")


def _none_such(plan: Plan, ref: Ref, said: int) -> str:
    count = len(ids_of(plan, ref.kind))
    if ref.kind == "corner":
        last = corner_name(count - 1)
        return f"There is no corner {said}: this outline has A to {last}, 0 to {count - 1}."
    if ref.kind == "side":
        return f"There is no side {said}: this outline has 0 to {count - 1}."
    return f"There is no {NAMES[ref.kind]} {said}; the plan has {count}."


def _walked(values: M, act: Callable[[Ref, Any, str], Any], path: str) -> M:
    changes = {}
    for key, field in type(values).model_fields.items():
        ref = next(iter(refs_of(field)), None)
        was = getattr(values, key)
        now = _one(was, ref, act, f"{path}.{field.alias or key}" if path else field.alias or key)
        if now is not was:
            changes[key] = now
    return values.model_copy(update=changes) if changes else values


def _one(said: Any, ref: Ref | None, act: Callable[[Ref, Any, str], Any], path: str) -> Any:
    if isinstance(said, Model):
        return _walked(said, act, path)
    if isinstance(said, list | tuple):
        rows = [_one(one, ref, act, path if ref else f"{path}[{at}]") for at, one in enumerate(said)]
        same = all(now is was for now, was in zip(rows, said, strict=True))
        return said if same else type(said)(rows)
    if ref is not None and isinstance(said, int | str) and not isinstance(said, bool):
        return act(ref, said, path)
    return said
