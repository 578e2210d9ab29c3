"""How somebody does who wants it kept: plain counts of the last ten, and which way they are out as a rule."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from statistics import median

LAST = 10


@dataclass(frozen=True)
class Tried:
    """An answer that was kept. off_n: steps beside the right one, None where there is no such thing. at: when."""

    who: str
    kind: str
    level: int
    lost: int
    grade: str
    off_n: int | None
    at: str


@dataclass(frozen=True)
class Done:
    """How somebody does in a kind. right, near: of the last ten; tried: of these; all_n: ever; level: the hardest that came out right.
    out_n: the middle of how far they are out, in steps, None where there is no such thing."""

    who: str
    kind: str
    right: int
    near: int
    tried: int
    all_n: int
    level: int
    out_n: int | None
    last_at: str


def done_of(rows: Sequence[Tried]) -> list[Done]:
    """A row for each person and kind, in the order in which they began. rows: oldest first."""
    by: dict[tuple[str, str], list[Tried]] = {}
    for row in rows:
        by.setdefault((row.who, row.kind), []).append(row)
    told = []
    for (who, kind), own in by.items():
        last = own[-LAST:]
        offs = [row.off_n for row in last if row.off_n is not None]
        told.append(
            Done(
                who, kind, sum(row.grade == "right" for row in last), sum(row.grade == "near" for row in last), len(last), len(own),
                max((row.level for row in own if row.grade == "right"), default=0), round(median(offs)) if offs else None, own[-1].at,
            )
        )  # fmt: skip
    return told
