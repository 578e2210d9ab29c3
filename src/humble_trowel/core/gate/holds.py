"""May we pour? What holds it in the order in which it is lifted, what was taken on, what is lifted; the verdict in words."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from datetime import datetime

from humble_trowel.core.gate.hold_kinds import STAGE_NAMES, VISITS, GateFacts, GateHold, Lifted, StageStands, holds_of
from humble_trowel.core.units import number_word

__all__ = ["GateFacts", "GateHold", "GateTold", "Lifted", "StageStands", "gate_of", "when_text"]


@dataclass(frozen=True)
class GateTold:
    """The answer. may_pour; verdict: in the largest type; beside: the sentence next to it."""

    may_pour: bool
    verdict: str
    beside: str
    pour_at: str | None
    passed: bool
    holds: list[GateHold]
    overruled: list[GateHold]
    lifted: list[Lifted]


def gate_of(facts: GateFacts) -> GateTold:
    """May we pour?"""
    newest = {values.hold: (name, values) for name, values in facts.overruled}
    rows = sorted(holds_of(facts), key=_order)
    rows = [_late(row, facts.pour_at) for row in rows]
    taken = [
        replace(row, overruled_by=newest[row.code][1].by, reason=newest[row.code][1].reason, record=newest[row.code][0])
        for row in rows
        if row.code in newest and not row.hard
    ]
    open_rows = [row for row in rows if row.hard or row.code not in newest]
    gone = _gone_by(facts)
    may = not open_rows and not gone
    return GateTold(
        may,
        _verdict(facts, open_rows, gone),
        _beside(open_rows, facts),
        facts.pour_at,
        gone,
        open_rows,
        taken,
        _lifted(facts, rows),
    )


RANKS = {"day": 0, "stop": 1, "failed": 2, "frozen": 2, "walk": 3, "stage": 4, "visit": 5, "permit": 6, "paper": 7}
URGENT = 2  # up to this rank it comes first, whenever it is lifted


def _order(row: GateHold) -> tuple[bool, str, int]:
    rank = RANKS.get(row.code.split("/")[0], 8)
    return rank > URGENT, row.lifts_at or "9999", rank


def _late(row: GateHold, pour_at: str | None) -> GateHold:
    late = pour_at is not None and row.lifts_at is not None and row.lifts_at[:10] > pour_at[:10]
    return replace(row, late=True) if late else row


def _gone_by(facts: GateFacts) -> bool:
    return facts.pour_at is not None and facts.today is not None and facts.pour_at[:10] < facts.today.isoformat()


def when_text(at: str) -> str:
    """'Thu 17 Jun 6:30', or the day alone."""
    moment = datetime.fromisoformat(at)
    day = f"{moment:%a} {moment.day} {moment:%b}"
    return f"{day} {moment.hour}:{moment.minute:02d}" if len(at) > 10 else day


def _verdict(facts: GateFacts, rows: Sequence[GateHold], gone: bool) -> str:
    if gone:
        return "The day has gone by."
    if not rows:
        return f"Yes. {when_text(facts.pour_at)}." if facts.pour_at else "Yes."
    word = number_word(len(rows))
    return f"No. {word[0].upper()}{word[1:]} {'thing' if len(rows) == 1 else 'things'}."


def _beside(rows: Sequence[GateHold], facts: GateFacts) -> str:
    if not rows:
        return "Every hold is lifted."
    names = [row.title for row in rows[:2]]
    more = f", and {number_word(len(rows) - 2).lower()} more" if len(rows) > 2 else ""
    said = f"{', then '.join([names[0], *[name[0].lower() + name[1:] for name in names[1:]]])}{more}."
    late = next((row for row in rows if row.late), None)
    if late is not None and late.lifts_at is not None:
        return f"{said} {late.title}: not before {when_text(late.lifts_at)}, after the pour."
    days = [row.lifts_at for row in rows]
    if all(days) and facts.pour_at:
        return f"{said} All lifted by {when_text(max(day for day in days if day))}."
    return said


def _lifted(facts: GateFacts, rows: Sequence[GateHold]) -> list[Lifted]:
    here = {row.code for row in rows}
    done = [
        Lifted(f"stage/{one.id}", STAGE_NAMES[one.id].lower(), one.words)
        for one in facts.stages
        if one.state == "tight" and one.id in STAGE_NAMES
    ]
    passed = {values.row: values for _, values in facts.checks if values.row.startswith("visit/")}
    done += [
        Lifted(f"visit/{key}", "visit", f"{VISITS[key]}: {passed[f'visit/{key}'].by or 'passed'}")
        for key in facts.visits
        if f"visit/{key}" not in here
    ]
    done += [Lifted(f"paper/{one.key}", one.name.lower(), one.from_whom) for one in facts.papers if one.state == "here"]
    if not facts.walk.open and not facts.walk.mend and facts.walk.places:
        done.append(Lifted("walk", "walk", f"{facts.walk.passed} places"))
    return done
