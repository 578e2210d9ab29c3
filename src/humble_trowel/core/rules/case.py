"""What every rule that answers a case shares. Lengths carry their unit in their name; a case says its own units."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from typing import Any

from humble_trowel.core.errors import InputError

Given = Mapping[str, Any]
Answer = dict[str, Any]


def by_kind(kinds: Mapping[str, Callable[[Given], Answer]], given: Given) -> Answer:
    """The answer of the rule that the input's `kind` names. Raises InputError for another kind."""
    rule = kinds.get(given["kind"])
    if rule is None:
        raise InputError(f"kind {given['kind']} is not answered here. Known: {', '.join(kinds)}.", "kind")
    return rule(given)
