"""Marks typed in front of a call: 'T1 20 wide 22 deep', 'TB-2 30 sq 16 deep', 'BM 12 wide 18 deep'."""

from __future__ import annotations

import re
from collections.abc import Sequence

from humble_trowel.core.errors import CallError
from humble_trowel.core.plan.shape_parts import Marked

_MARK = re.compile(r"\s*(?P<mark>[A-Za-z]{1,4}-?\d{0,3}[A-Za-z]?)[\s:,]+(?=[\d.½¼¾⅛⅜⅝⅞])")


def split_mark(text: str) -> tuple[str, str]:
    """(mark in capitals or '', the call behind it)."""
    match = _MARK.match(text)
    return (match["mark"].upper(), text[match.end() :]) if match else ("", text)


def mark_and_call(text: str, mark: str, rows: Sequence[Marked]) -> tuple[str, str]:
    """(mark to set, call) where `mark` is what the screen would set: a new type takes the mark that was typed. Raises
    CallError where the typed mark is another type's."""
    said, call = split_mark(text)
    if not said or said == mark.upper():
        return mark, call
    known = {row.mark for row in rows}
    if mark in known:
        raise CallError(f"This is {mark}, not {said}. Leave the mark out, or call {said} as a new type.", path="text")
    if said in known:
        raise CallError(f"{said} is there already. Change it in its own box, or take another mark.", path="text")
    return said, call
