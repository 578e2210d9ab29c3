"""A recorded day: JSON lines of {"kind", "who", "values"}, the values as a phone sends them with their own time (docs/formats/day.md)."""

from __future__ import annotations

from humble_trowel.core.errors import InputError
from humble_trowel.core.pour.records import DAY_KINDS
from humble_trowel.core.record_kinds import KIND_OF
from humble_trowel.core.replay import DayLine
from humble_trowel.core.units import Units
from humble_trowel.files.strict_json import NotJson, read_json

MOST_LINES, MOST_BYTES = 5000, 4_000_000
ALSO = ("footprint", "order-called")
KINDS = tuple(name for name, kind in KIND_OF.items() if kind.values in DAY_KINDS or name in ALSO)


def read_day(content: bytes, units: Units) -> list[DayLine]:
    """Its lines as they stand. Raises InputError, naming the line."""
    if len(content) > MOST_BYTES:
        raise InputError("The day is larger than any day is. Send 4 MB at most.", "file")
    rows = []
    for number, text in enumerate(content.decode("utf-8", "replace").splitlines(), 1):
        if text.strip():
            rows.append(_line(text, number, units))
    if not rows:
        raise InputError("The file holds no line.", "file")
    if len(rows) > MOST_LINES:
        raise InputError(f"{len(rows)} lines are more than {MOST_LINES}.", "file")
    return rows


def _line(text: str, number: int, units: Units) -> DayLine:
    where = f"line {number}"
    try:
        said = read_json(text.encode())
    except NotJson as error:
        raise InputError(f"Line {number}: {error}", where) from None
    if not isinstance(said, dict) or not isinstance(said.get("values"), dict):
        raise InputError(f'Line {number} needs "kind" and "values".', where)
    name = said.get("kind")
    if name not in KINDS:
        raise InputError(f"Line {number}: {name} is nothing of a day. Known: {', '.join(KINDS)}.", where)
    try:
        values = KIND_OF[name].read(said["values"], units)
    except InputError as error:
        raise InputError(f"Line {number}: {error.words}", f"{where}/{error.path}") from None
    who = said.get("who")
    return DayLine(name, who if isinstance(who, str) else "", said["values"]["at"], values)
