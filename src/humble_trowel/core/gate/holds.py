"""What holds the pour: who lifts it, by when, what it stops; and what was lifted. Computed from what the job has and from its records."""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import date, datetime

from humble_trowel.core.findings import Finding
from humble_trowel.core.gate.hard import is_hard
from humble_trowel.core.gate.papers import Paper
from humble_trowel.core.gate.records import Overruled, SiteChange, WalkCheck
from humble_trowel.core.gate.walk import GateWalk
from humble_trowel.core.units import number_word

STAGE_NAMES = {
    "lines": "Lines", "ground": "Ground", "edges": "Edges", "underslab": "Underslab", "steel": "Steel", "embeds": "Embeds",
    "screed": "Screed", "order": "Order",
}  # fmt: skip
FROZEN = "/base"
VISITS = {"test": "County looks at the pipes", "visit": "County looks at steel and bolts"}
LOOKS = {"lines": "square", "ground": "flat", "edges": "edges"}


@dataclass(frozen=True)
class GateHold:
    """Something that keeps the pour from going. code: stable; what: in words; stops: what waits for it; who lifts it; lifts_at: when, ISO day or time,
    None where nobody knows; late: that is after the pour. goes: stage, tab and what to pick there; act: the word on the button."""

    code: str
    title: str
    words: str
    stops: str
    who: str
    lifts_at: str | None
    hard: bool
    goes: tuple[str, str]
    act: str
    place: str = ""
    late: bool = False
    overruled_by: str = ""
    reason: str = ""
    record: str = ""


@dataclass(frozen=True)
class Lifted:
    """What does not hold it any more."""

    code: str
    name: str
    words: str


@dataclass(frozen=True)
class StageStands:
    """How a stage stands, for the gate. why: its first doubt."""

    id: str
    state: str
    words: str
    why: str = ""


@dataclass(frozen=True)
class GateFacts:
    """What the holds rest on. pour_at: as booked; now: of whoever asks, None where nobody does. days: when schedule tasks are done, ISO by key.
    passed: visits and what was found. weather: doubts about the day that count here."""

    pour_at: str | None
    today: date | None
    stages: Sequence[StageStands]
    stops: Sequence[Finding]
    weather: Sequence[Finding]
    visits: Sequence[str]
    walk: GateWalk
    papers: Sequence[Paper]
    checks: Sequence[tuple[str, WalkCheck]]
    overruled: Sequence[tuple[str, Overruled]]
    changes: Sequence[tuple[str, SiteChange]]
    failed_tests: Sequence[tuple[str, str]]
    hands: int
    hands_needed: int
    days: Mapping[str, str]
    clashes: Sequence[tuple[str, str]] = ()


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
    rows = sorted(_holds(facts), key=_order)
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


def _order(row: GateHold) -> tuple[str, int]:
    ranks = {"day": 0, "stop": 1, "failed": 2, "frozen": 2, "walk": 3, "stage": 4, "visit": 5, "permit": 6, "paper": 7}
    return row.lifts_at or "9999", ranks.get(row.code.split("/")[0], 8)


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


def _holds(facts: GateFacts) -> Iterable[GateHold]:
    if facts.pour_at is None:
        yield GateHold(
            "day/none",
            "No day is booked",
            "On which day is it poured?",
            "everything that is booked for it",
            "you",
            None,
            True,
            ("gate", "trades"),
            "Book a day",
        )
    yield from _of_stages(facts)
    for name, words in facts.failed_tests:
        yield GateHold(
            f"failed/{name}",
            "A line does not hold",
            words,
            "covering it, and the pour",
            "the plumber",
            facts.days.get("test"),
            True,
            ("underslab", "tests"),
            "To the test",
        )
    yield from _of_walk(facts)
    yield from _of_visits(facts)
    yield from _of_papers(facts)
    yield from _of_rest(facts)


def _of_stages(facts: GateFacts) -> Iterable[GateHold]:
    stopped = {row.stage for row in facts.stops}
    for row in facts.stops:
        yield GateHold(
            f"stop/{row.code}",
            _short(row.words),
            row.remedy,
            "the order",
            "whoever drew it",
            None,
            True,
            (row.stage, row.tabs[0] if row.tabs else ""),
            f"To {STAGE_NAMES.get(row.stage, row.stage)}",
            row.where,
        )
    for one in facts.stages:
        if one.id in stopped or one.state == "tight" or one.id not in STAGE_NAMES:
            continue
        day = facts.days.get(
            {
                "lines": "forms",
                "ground": "stone",
                "underslab": "test",
                "steel": "steel",
                "embeds": "bolts",
                "order": "plant",
            }.get(one.id, "")
        )
        yield GateHold(
            f"stage/{one.id}",
            f"{STAGE_NAMES[one.id]}: {one.words}",
            _short(one.why) if one.why else "Its knot is not tied yet.",
            "what comes after it",
            "the crew",
            day,
            False,
            (one.id, ""),
            f"To {STAGE_NAMES[one.id]}",
        )


def _short(words: str) -> str:
    return words if len(words) < 70 else words[: words.rfind(" ", 0, 66)] + " …"


def _of_walk(facts: GateFacts) -> Iterable[GateHold]:
    walk, held = facts.walk, {one.id for one in facts.stages if one.state != "tight"}
    for place in walk.places:
        for row in place.rows:
            if row.state != "mend" or (row.goes is not None and row.goes[0] in held):
                continue  # that stage holds it already
            frozen = row.id.endswith(FROZEN) and "fro" in (row.note or "").lower()
            code = f"{'frozen' if frozen else 'walk'}/{row.id}"
            words = " ".join(part for part in (row.read_text, row.short_words, row.note) if part) or "Seen on the walk."
            yield GateHold(
                code,
                f"{place.name}: {_asked(row.ask)}",
                words,
                "the county's visit",
                row.by or "the crew",
                facts.days.get("walk"),
                is_hard(code),
                ("gate", "holds"),
                "To the place",
                row.id,
            )
    if walk.open:
        places = sum(1 for place in walk.places if place.state in ("open", "second"))
        yield GateHold(
            "walk/open",
            "The walk is not done",
            f"{walk.open} questions at {places} places are open.",
            "the pour",
            "whoever walks",
            facts.days.get("walk"),
            False,
            ("gate", "holds"),
            "Walk on",
            next(row.id for place in walk.places for row in place.rows if row.state in ("open", "second")),
        )


def _asked(ask: str) -> str:
    words = ask.rstrip("?").split(":")[0]
    return words[0].lower() + words[1:]


def _of_visits(facts: GateFacts) -> Iterable[GateHold]:
    found = {values.row: values for _, values in facts.checks if values.row.startswith("visit/")}
    for key in facts.visits:
        newest = found.get(f"visit/{key}")
        if newest is not None and newest.verdict in ("pass", "absent"):
            continue
        words = (
            "With the list of the walk."
            if newest is None
            else f"Failed{f': {newest.note}' if newest.note else ''}. Ask for another visit."
        )
        yield GateHold(
            f"visit/{key}",
            VISITS[key],
            words,
            "covering the pipes" if key == "test" else "the pour",
            "the inspector",
            facts.days.get(key),
            True,
            ("gate", "holds"),
            "Print the list",
        )


def _of_papers(facts: GateFacts) -> Iterable[GateHold]:
    for paper in facts.papers:
        if paper.after or paper.state == "here":
            continue
        code = "permit/permit" if paper.key == "permit" else f"paper/{paper.key}"
        asked = (
            f"Asked for{f', {paper.from_whom}' if paper.from_whom else ''}."
            if paper.state == "asked"
            else "Nobody asked for it yet."
        )
        yield GateHold(
            code,
            f"{paper.name} not here",
            asked,
            "the county's visit",
            paper.from_whom or paper.gives or "you",
            facts.days.get("visit"),
            is_hard(code),
            ("gate", "papers"),
            "To the papers",
        )


def _of_rest(facts: GateFacts) -> Iterable[GateHold]:
    for row in facts.weather:
        code = "freezes/day" if row.code == "slab-freezes" else f"weather/{row.code}"
        yield GateHold(
            code,
            _short(row.words),
            row.remedy,
            "the pour",
            "the weather",
            None,
            is_hard(code),
            ("gate", "day"),
            "To the day",
        )
    for key, words in facts.clashes:
        yield GateHold(
            f"days/{key}", _short(words), "Both days stay until somebody moves one.", "what comes after it", "you", None, False,
            ("gate", "trades"), "To the days",
        )  # fmt: skip
    if facts.hands < facts.hands_needed:
        yield GateHold(
            "hands/short",
            f"{facts.hands} hands, {facts.hands_needed} wanted",
            "Too few to place and finish it.",
            "the pour",
            "you",
            None,
            False,
            ("gate", "week"),
            "Who comes?",
        )
    for name, change in facts.changes:
        if not change.agreed_by.strip():
            yield GateHold(
                f"change/{name}",
                f"Not agreed: {_short(change.words)}",
                "Drawing, bill and inspector's sheet want a yes.",
                "the bill",
                "the owner",
                None,
                False,
                ("gate", "changes"),
                "To the change",
            )


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
