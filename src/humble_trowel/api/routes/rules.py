"""The rule book: every rule, its calculator, and what the county says otherwise."""

from __future__ import annotations

from datetime import date
from typing import Annotated

from fastapi import APIRouter, Query, Request
from pydantic import BaseModel, Field

from humble_trowel.api.routes.jobs import service_of
from humble_trowel.api.routes.ways import state_of
from humble_trowel.api.schemas import Author, Body, VersionNumber, WaysState
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.local_rules import LocalRule
from humble_trowel.core.rules.book import RULES, limits_of, read_limit, try_rule
from humble_trowel.core.sources import SOURCES
from humble_trowel.core.units import Units
from humble_trowel.core.working import Working
from humble_trowel.store import ways as store

router = APIRouter(route_class=StrictRoute, prefix="/api/rules", tags=["rules"])


class AskRow(BaseModel):
    key: str
    label: str
    example: str


class LimitRow(BaseModel):
    """standard: as the source has it. here: the county's, '' where nobody asked; who said so, and the day."""

    key: str
    name: str
    standard: str
    here: str
    who: str
    at: str


class RuleRow(BaseModel):
    """A rule of the book. table: its first row holds the heads. source: key of the source, as workings name it."""

    name: str
    title: str
    what: str
    formula: str
    source: str
    source_words: str
    standing: str
    edition: str
    table: list[list[str]]
    asks: list[AskRow]
    limits: list[LimitRow]


class Try(Body):
    units: Units
    values: Annotated[dict[str, Annotated[str, Field(max_length=40)]], Field(max_length=12)]


class KeepLimit(Body):
    """value: as typed, '' to go back to the source. who: said so. at: the day, YYYY-MM-DD."""

    version: VersionNumber
    units: Units
    value: Annotated[str, Field(max_length=40)]
    who: Annotated[str, Field(max_length=120)] = ""
    at: Annotated[str, Field(max_length=10)] = ""
    author: Author = ""


@router.get("")
def rules(request: Request, units: Annotated[Units, Query()] = "ft-in") -> list[RuleRow]:
    """Every rule, limits in `units`."""
    service = service_of(request)
    with service.open() as db:
        _, crew = service.ways(db)
    return [
        RuleRow(
            name=row.name, title=row.title, what=row.what, formula=row.formula, source=row.source,
            source_words=SOURCES[row.source].words, standing=row.standing, edition=row.edition,
            table=[list(cells) for cells in row.table],
            asks=[AskRow(key=ask.key, label=ask.label, example=ask.example[units == "mm"]) for ask in row.asks if row.work_out],
            limits=[LimitRow(**one) for one in limits_of(row, units, crew)],
        )
        for row in RULES
    ]  # fmt: skip


@router.post("/{family}/{rule}/try")
def try_out(request: Request, family: str, rule: str, body: Try) -> list[Working]:
    """What the rule's calculator shows of values as typed."""
    service = service_of(request)
    with service.open() as db:
        _, crew = service.ways(db)
    return try_rule(f"{family}/{rule}", body.values, body.units, crew)


@router.put("/limits/{key}")
def keep_limit(request: Request, key: str, body: KeepLimit) -> WaysState:
    """Keep what the county says of a limit, or forget it. 409 when somebody changed the ways meanwhile."""
    service = service_of(request)
    with service.open() as db:
        _, crew = service.ways(db)
        own = {name: row for name, row in crew.local_rules.items() if name != key}
        if body.value.strip():
            value = read_limit(key, body.value, body.units)
            own[key] = said(value, body.who.strip(), body.at.strip() or service.now()[:10])
        new = crew.model_copy(update={"local_rules": own})
        version = store.save(db, body.version, new.model_dump(mode="json"), body.author, service.now())
    return state_of(version, new)


def said(value: float, who: str, at: str) -> LocalRule:
    """A county's word. Raises InputError where nobody is named or the day is none."""
    if not who:
        raise InputError("Who said so? A name at the county, or the paper it stands on.", "who")
    try:
        date.fromisoformat(at)
    except ValueError:
        raise InputError(f"{at} is no day. Say it like 2027-03-14.", "at") from None
    return LocalRule(value=value, who=who, at=at)
