"""Calls that are clauses between commas: each is read by the first pattern that it fits, or named as not understood."""

from __future__ import annotations

import re
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field
from typing import Any

from humble_trowel.core.errors import CallError, LengthError
from humble_trowel.core.units import Units, parse_length

Said = dict[str, Any]
LENGTH = r"([\d'\"./\s-]+(?:mm|cm|m|in|ft)?)"
_FIGURE = re.compile(r"#?\d[\d'\"./x-]*(?:mm|cm|m|in|ft)?|#\d*")


@dataclass
class Call:
    """A call while it is read: what was heard so far, and rows of it."""

    units: Units
    said: Said = field(default_factory=dict)
    rows: list[Said] = field(default_factory=list)

    def length(self, text: str, *, zero: bool = False) -> float:
        """A length, bare inches in a job of feet. zero: nothing is a length too. Raises CallError."""
        try:
            found = parse_length(text, self.units, bare="in")
        except LengthError as error:
            raise CallError(error.words, path="text") from None
        if found < 0 or (found == 0 and not zero):
            raise CallError(f"{text.strip()} is nothing. It must be more.", path="text")
        return found


Reader = Callable[[Call, re.Match[str]], None]
Grammar = Sequence[tuple[str, Reader]]


def sets(key: str, *, zero: bool = False) -> Reader:
    """The first group is a length, kept under a name."""
    return lambda call, match: call.said.update({key: call.length(match[1], zero=zero)})


def says(key: str, value: Any = None) -> Reader:
    """A value, or the first group in small letters, kept under a name."""
    return lambda call, match: call.said.update({key: match[1].lower() if value is None else value})


def read_clauses(text: str, units: Units, grammar: Grammar, unread: Callable[[str], str]) -> Call:
    """What a call says. unread: words for a clause that no pattern fits. Raises CallError."""
    call = Call(units)
    for clause in (part.strip() for part in re.split(r"[,;\n]", text)):
        if not clause:
            continue
        for pattern, reader in grammar:
            if match := re.fullmatch(pattern, clause, re.IGNORECASE):
                reader(call, match)
                break
        else:
            raise CallError(unread(clause), path="text")
    return call


def odd_word(clause: str, known: Sequence[str] | set[str]) -> str | None:
    """The first word of a clause that is neither a figure nor known."""
    for word in clause.split():
        plain = word.strip(".").lower()
        if plain not in known and not _FIGURE.fullmatch(plain):
            return word
    return None
