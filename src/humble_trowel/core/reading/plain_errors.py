"""Errors of the models in plain words, with the key path that they speak of."""

from __future__ import annotations

import re
from typing import Any

from pydantic import ValidationError

from humble_trowel.core.errors import PlanError


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
