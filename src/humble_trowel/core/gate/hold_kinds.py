"""Everything that can hold a pour, matter by matter: stages, tests, the walk, visits, papers, weather, hands, changes."""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from datetime import date

from humble_trowel.core.findings import Finding
from humble_trowel.core.gate.hard import is_hard
from humble_trowel.core.gate.papers import Paper
from humble_trowel.core.gate.records import Overruled, SiteChange, WalkCheck
from humble_trowel.core.gate.walk import GateWalk

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


def holds_of(facts: GateFacts) -> Iterable[GateHold]:
    """Each of them, in no order."""
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
