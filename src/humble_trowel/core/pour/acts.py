"""Acts of the day: one at a time, each with its minute, out of the plan, the trucks and the clock of the concrete, and what became of each.

Minutes after the first truck should stand there.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.pour.act_kinds import ACT_KINDS
from humble_trowel.core.pour.clock import PourClock
from humble_trowel.core.pour.records import ActDone

AGAIN_MIN = 10.0
DUE_MIN = 0.5
FORGOTTEN_MIN = 45.0  # of a thing that only goes while concrete is wet there


@dataclass(frozen=True)
class Act:
    """An act. kind: in ACT_KINDS. at_min: when it is to begin. of: the strip, zone, load or side that it is about. spots, parts: what is lit.
    state: open, done, put-off (open later), cannot, gone (its time passed with nobody saying anything). was_min: as it was before it was put off."""

    key: str
    kind: str
    title: str
    at_min: float
    why: str
    of: str = ""
    spots: tuple[XY, ...] = ()
    parts: tuple[str, ...] = ()
    state: str = "open"
    was_min: float | None = None
    said_min: float | None = None
    by: str = ""
    reason: str = ""
    words: str = ""
    record: str = ""
    gone_min: float | None = None

    @property
    def open(self) -> bool:
        """It is still to be done."""
        return self.state in ("open", "put-off")


@dataclass(frozen=True)
class Answers:
    """What became of acts, by their key: the newest word of each."""

    rows: Mapping[str, tuple[str, ActDone]] = field(default_factory=dict)

    @classmethod
    def of(cls, clock: PourClock, said: Sequence[tuple[str, ActDone]]) -> Answers:
        """said: with the ids of their records, in any order."""
        ordered = sorted(said, key=lambda row: (clock.minute(row[1].at), row[0]))
        return cls({one.act: (record, one) for record, one in ordered})


def answered(clock: PourClock, acts: Sequence[Act], answers: Answers, now_min: float) -> list[Act]:
    """Acts with what was said of them, in the order of their minutes."""
    rows = []
    for act in acts:
        if act.key in answers.rows:
            act = _said(clock, act, *answers.rows[act.key])
        elif act.open and act.gone_min is not None and now_min > act.gone_min + FORGOTTEN_MIN:
            act = replace(act, state="gone")
        rows.append(act)
    return sorted(rows, key=lambda one: (one.at_min, one.key))


def _said(clock: PourClock, act: Act, record: str, said: ActDone) -> Act:
    at = clock.minute(said.at)
    if said.how == "done":
        return replace(act, state="done", said_min=at, by=said.by, record=record)
    if said.how == "cannot":
        why = next((one.words for one in ACT_KINDS[act.kind].reasons if one.key == said.reason), "")
        return replace(
            act, state="cannot", said_min=at, by=said.by, reason=why or said.words, words=said.words, record=record
        )
    if not act.open:
        return act
    later = at + (said.put_off_min or AGAIN_MIN)
    return replace(act, state="put-off", was_min=act.at_min, at_min=max(later, act.at_min), said_min=at, by=said.by, record=record)  # fmt: skip


def in_turn(acts: Sequence[Act], now_min: float) -> list[Act]:
    """Open acts, the next one first: of those that are due, the call to the plant, then what cannot wait."""
    due = [one for one in acts if one.open and one.at_min <= now_min + DUE_MIN]
    later = [one for one in acts if one.open and one.at_min > now_min + DUE_MIN]
    due.sort(key=lambda one: (one.kind != "say", ACT_KINDS[one.kind].waits, one.at_min, one.key))
    return [*due, *later]
