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
    return PlanError(plain_words(first["type"], first["msg"], path, first.get("ctx") or {}), path)


def key_path(loc: tuple[int | str, ...]) -> str:
    """('zones', 1, 'drop_mm') as zones[1].drop_mm; names of union members are left out."""
    text = ""
    for bit in loc:
        if isinstance(bit, int):
            text += f"[{bit}]"
        elif not re.search(r"[\[\]()-]", bit) and bit not in ("plane", "drain", "tape", "offset", "int", "SideMark"):
            text += f".{bit}" if text else bit
    return text


def plain_words(kind: str, message: str, path: str, context: dict[str, Any]) -> str:
    """What is wrong with a value, by the kind of Pydantic's error; its own wording reaches nobody."""
    last = path.split(".")[-1] or "the body"
    if kind in ("value_error", "assertion_error"):
        return message.removeprefix("Value error, ").removeprefix("Assertion failed, ")
    if kind in _SAID:
        return _SAID[kind].format(last=last, **{key: _shown(value) for key, value in context.items()})
    for ending, words in _SAID_BY_ENDING.items():
        if kind.endswith(ending):
            return words.format(last=last)
    return f"{last} cannot be used as it stands."


def _shown(value: Any) -> str:
    """A limit as a person reads it."""
    if isinstance(value, int | float) and not isinstance(value, bool):
        return f"{value:g}" if abs(value) < 1e6 else f"{value:,.0f}"
    return str(value)


_SAID = {
    "extra_forbidden": "Unknown key {last}.",
    "missing": "{last} is missing.",
    "too_short": "{last} has {actual_length} entries; it needs {min_length} or more.",
    "too_long": "{last} has more than {max_length} entries.",
    "string_too_short": "{last} is empty or too short.",
    "string_too_long": "{last} is too long: {max_length} signs at most.",
    "bytes_too_long": "{last} is too long: {max_length} bytes at most.",
    "literal_error": "{last} must be {expected}.",
    "enum": "{last} must be {expected}.",
    "greater_than": "{last} must be more than {gt}.",
    "greater_than_equal": "{last} must be {ge} or more.",
    "less_than": "{last} must be less than {lt}.",
    "less_than_equal": "{last} must be {le} or less.",
    "multiple_of": "{last} must be a multiple of {multiple_of}.",
    "finite_number": "{last} is not a number that can be used.",
    "int_from_float": "{last} must be a whole number.",
    "int_parsing_size": "{last} is too large.",
    "union_tag_not_found": "{last} does not say which kind it is.",
    "union_tag_invalid": "{last} is of an unknown kind: {tag}.",
    "json_invalid": "That is not JSON.",
    "string_pattern_mismatch": "{last} is not written as it must be.",
    "none_required": "{last} must be left out.",
    "unexpected_positional_argument": "{last} cannot be used as it stands.",
}
_SAID_BY_ENDING = {
    "int_type": "{last} must be a whole number.",
    "int_parsing": "{last} must be a whole number.",
    "float_type": "{last} must be a number.",
    "float_parsing": "{last} must be a number.",
    "bool_type": "{last} must be true or false.",
    "bool_parsing": "{last} must be true or false.",
    "string_type": "{last} must be text.",
    "string_unicode": "{last} holds signs that no text may hold.",
    "list_type": "{last} must be a list.",
    "tuple_type": "{last} must be a list.",
    "set_type": "{last} must be a list.",
    "dict_type": "{last} must be an object.",
    "model_type": "{last} must be an object.",
    "model_attributes_type": "{last} must be an object.",
    "dataclass_type": "{last} must be an object.",
}
