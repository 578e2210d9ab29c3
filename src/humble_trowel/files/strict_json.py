"""JSON from outside, read strictly: nothing in it that no text or number may be, refused in plain words."""

from __future__ import annotations

import json
import re
from typing import Any

_ODD_SIGNS = re.compile(rb"\\u(?:0000|[dD][89a-fA-F])")
MOST_DIGITS = 40
MOST_DEPTH = 40


class NotJson(Exception):
    """A body that is no JSON, or holds what none may; the words say why."""


def read_json(raw: bytes) -> Any:
    """What a body says. Raises NotJson."""
    try:
        text = raw.decode("utf-8")
    except UnicodeDecodeError:
        raise NotJson("That is not JSON: it is no UTF-8 text.") from None
    try:
        data = json.loads(text, parse_constant=_no_number, parse_int=_whole, parse_float=_number)
    except json.JSONDecodeError as error:
        raise NotJson(f"That is not JSON: line {error.lineno}, column {error.colno}.") from None
    except RecursionError:
        raise NotJson("That is nested too deep.") from None
    if too_deep(data):
        raise NotJson("That is nested too deep.")
    if odd_sign(raw, data):
        raise NotJson("There is a sign in a text that no text may hold. Type it again.")
    return data


def _no_number(text: str) -> Any:
    raise NotJson(f"{text} is not a number that can be used.")


def _whole(text: str) -> int:
    if len(text) > MOST_DIGITS:
        raise NotJson(f"A number of {len(text)} digits cannot be used.")
    return int(text)


def _number(text: str) -> float:
    value = float(text)
    if value in (float("inf"), float("-inf")):
        raise NotJson(f"{text[:MOST_DIGITS]} is too large to be a number here.")
    return value


def too_deep(data: Any) -> bool:
    """Whether lists and objects are nested deeper than anything of ours is."""
    level = [data]
    for _ in range(MOST_DEPTH):
        level = [
            one
            for row in level
            for one in (row.values() if isinstance(row, dict) else row if isinstance(row, list) else ())
            if isinstance(one, list | dict)
        ]
        if not level:
            return False
    return True


def odd_sign(raw: bytes, data: Any) -> bool:
    """Whether a text or key holds NUL or half a sign, which neither a file nor the data can hold."""
    return bool(_ODD_SIGNS.search(raw)) and any(_is_odd(row) for row in _texts(data))


def _texts(data: Any) -> list[str]:
    """Every text and key of nested data."""
    found: list[str] = []
    waiting = [data]
    while waiting:
        row = waiting.pop()
        if isinstance(row, str):
            found.append(row)
        elif isinstance(row, dict):
            found.extend(row)
            waiting.extend(row.values())
        elif isinstance(row, list):
            waiting.extend(row)
    return found


def _is_odd(text: str) -> bool:
    return "\0" in text or any("\ud800" <= sign <= "\udfff" for sign in text)
