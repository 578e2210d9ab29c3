"""The walk with what was found on it: each question open, passed, to mend or not here, and which is next."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.gate.records import WalkCheck
from humble_trowel.core.gate.walk_places import places_of
from humble_trowel.core.gate.walk_rows import Ask, AtSite, State, WalkPlace
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.sources import SOURCES
from humble_trowel.core.units import Units, say_depth

CLOSE_MM = 0.8  # what a tape is read to


@dataclass(frozen=True)
class ReadBefore:
    """What was found before, oldest first."""

    text: str
    verdict: str
    by: str
    at: str


@dataclass(frozen=True)
class WalkRow:
    """A question with its answer. n: of its place. short_words: how far a reading is off, '' where it is not. record: the newest one's id. rests_on: where its limit is from, in words."""

    id: str
    place: str
    place_name: str
    n: int
    ask: str
    words: str
    source: str
    rests_on: str
    who: str
    need: str
    drawn_text: str
    least_text: str
    least_mm: float | None
    second: bool
    state: State
    read_text: str
    short_words: str
    by: str
    at: str
    over_why: str
    note: str
    record: str
    before: list[ReadBefore]
    writes: dict[str, str]
    goes: tuple[str, str] | None


@dataclass(frozen=True)
class PlaceTold:
    """A place of the walk. state: mend before open before second before pass. n: its number on the walk."""

    id: str
    n: int
    name: str
    at: XY | None
    state: State
    rows: list[WalkRow]


@dataclass(frozen=True)
class GateWalk:
    """All of it. passed: places where nothing is left; mend, open: rows."""

    places: list[PlaceTold]
    passed: int
    mend: int
    open: int

    def row(self, name: str) -> WalkRow | None:
        """A row by its id."""
        return next((row for place in self.places for row in place.rows if row.id == name), None)


def walked(site: AtSite, records: Sequence[tuple[str, WalkCheck]]) -> GateWalk:
    """The walk of a job. records: (id, values), oldest first."""
    by_row: dict[str, list[tuple[str, WalkCheck]]] = {}
    for name, values in records:
        by_row.setdefault(values.row, []).append((name, values))
    places = []
    for n, place in enumerate(places_of(site), 1):
        rows = [_row(site.plan.units, place, n, ask, by_row.get(ask.id, [])) for ask in place.asks]
        places.append(PlaceTold(place.id, n, place.name, place.at, _worst([row.state for row in rows]), rows))
    every = [row for place in places for row in place.rows]
    return GateWalk(
        places, sum(1 for one in places if one.state in ("pass", "absent")), sum(1 for row in every if row.state == "mend"),
        sum(1 for row in every if row.state in ("open", "second")),
    )  # fmt: skip


def _worst(states: Sequence[State]) -> State:
    order: tuple[State, ...] = ("mend", "open", "second", "pass", "absent")
    return next((one for one in order if one in states), "pass")


def short_of(ask: Ask, readings_mm: Sequence[float], units: Units) -> str:
    """How far readings are off, in words; '' where they hold."""
    if not readings_mm or ask.least_mm is None:
        return ""
    low = min(readings_mm)
    if low < ask.least_mm - CLOSE_MM:
        return f"{say_depth(ask.least_mm - low, units)} short."
    mean = sum(readings_mm) / len(readings_mm)
    if ask.mean_mm is not None and len(readings_mm) > 1 and mean < ask.mean_mm - CLOSE_MM:
        return f"The mean is {say_depth(ask.mean_mm - mean, units)} short."
    return ""


def _row(units: Units, place: WalkPlace, n: int, ask: Ask, own: Sequence[tuple[str, WalkCheck]]) -> WalkRow:
    name, newest = own[-1] if own else ("", None)
    read = [] if newest is None else list(newest.readings_mm)
    if ask.need in ("given", "steel") and newest is None:
        state, short = ask.given, ask.given_words if ask.given == "mend" else ""
        text = ask.given_words if ask.given != "open" else ""
    else:
        state = _state(ask, [values for _, values in own], units)
        text = ", ".join(say_depth(one, units) for one in read)
        short = short_of(ask, read, units)
    look = ask.steel
    writes = (
        {"kind": "steel-check", "place": ask.place.removeprefix("steel/"), "look": look.look, "bound": look.bound, "bar": look.need_bar,
         "counts": "yes" if look.need_count is not None else ""}
        if look is not None
        else {"kind": "check"}
    )  # fmt: skip
    return WalkRow(
        ask.id, place.id, place.name, n, ask.ask, ask.words, ask.source, SOURCES[ask.source].words, ask.who, ask.need,
        say_depth(ask.drawn_mm, units) if ask.drawn_mm is not None else "",
        say_depth(ask.least_mm, units) if ask.least_mm is not None else "", ask.least_mm, ask.second, state, text, short,
        newest.by if newest else "", newest.at if newest else "", newest.over_why if newest else "", newest.note if newest else "", name,
        [_before(units, values) for _, values in own[:-1]], writes, ask.goes,
    )  # fmt: skip


def _before(units: Units, values: WalkCheck) -> ReadBefore:
    return ReadBefore(
        ", ".join(say_depth(one, units) for one in values.readings_mm), values.verdict, values.by, values.at
    )


def _state(ask: Ask, own: Sequence[WalkCheck], units: Units) -> State:
    if not own:
        return "open"
    newest = own[-1]
    if newest.verdict != "pass":
        return newest.verdict
    if short_of(ask, newest.readings_mm, units) and not newest.over_why.strip():
        return "mend"
    if not ask.second:
        return "pass"
    passes = []
    for row in reversed(own):
        if row.verdict != "pass":
            break
        passes.append(row.by.strip().lower())
    return "pass" if len(set(passes)) > 1 else "second"
