"""The practice yard: exercises by their seed, how they are done by those who want it kept, what is set for a morning."""

from __future__ import annotations

from dataclasses import asdict
from datetime import date
from typing import Annotated

from fastapi import APIRouter, Query, Request
from pydantic import BaseModel, Field

from humble_trowel.api.routes.jobs import service_of
from humble_trowel.api.schemas import Body
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.errors import InputError
from humble_trowel.core.practice.exercise import Exercise, Marked, mark
from humble_trowel.core.practice.progress import Done, Tried, done_of
from humble_trowel.core.practice.yard import KIND_OF, KINDS, LEVELS, MOST_SEED, build
from humble_trowel.core.units import Units
from humble_trowel.site.names import person_name
from humble_trowel.site.practice import Given

router = APIRouter(route_class=StrictRoute, prefix="/api/practice", tags=["practice"])

OwnId = Annotated[str, Field(min_length=8, max_length=64)]
Seed = Annotated[int, Field(ge=0, le=MOST_SEED)]
OfLevel = Annotated[int, Field(ge=1, le=3)]
OfKind = Annotated[str, Field(max_length=20)]
Who = Annotated[str, Field(max_length=60)]


class KindTold(BaseModel):
    """An exercise that there is. name: one word. title: what is done."""

    key: str
    name: str
    title: str


class GivenTold(BaseModel):
    """An exercise that somebody set for a day."""

    id: str
    kind: str
    level: int
    seed: int
    units: Units
    day: str
    who: str


class PracticeYard(BaseModel):
    """All of the yard. done: by name, of those who want it kept. given: what is set from a day on."""

    kinds: list[KindTold]
    levels: list[int]
    done: list[Done]
    given: list[GivenTold]


class TryIn(Body):
    """An answer to keep by a name. answer: the key of an option for each ask."""

    id: OwnId
    who: Who
    kind: OfKind
    level: OfLevel
    seed: Seed
    units: Units
    answer: Annotated[dict[str, Annotated[str, Field(max_length=40)]], Field(max_length=40)]
    at: Annotated[str, Field(max_length=40)]


class GiveIn(Body):
    """An exercise for a day, YYYY-MM-DD."""

    id: OwnId
    who: Who
    kind: OfKind
    level: OfLevel
    seed: Seed
    units: Units
    day: Annotated[str, Field(max_length=10)]


class WhoIn(Body):
    who: Who


class Forgot(BaseModel):
    """How many answers were taken out."""

    forgot: int


@router.get("")
def practice_yard(request: Request, day: Annotated[str, Query(max_length=10)] = "") -> PracticeYard:
    """What there is to practise. day: what is set from that day on, YYYY-MM-DD."""
    book = service_of(request).site.practice
    return PracticeYard(
        kinds=[KindTold(key=kind.key, name=kind.name, title=kind.title) for kind in KINDS], levels=list(LEVELS),
        done=done_of(book.tries()), given=[_told(row) for row in book.given(day)],
    )  # fmt: skip


@router.get("/{kind}/{level}/{seed}")
def exercise(
    request: Request, kind: OfKind, level: int, seed: int, units: Annotated[Units, Query()] = "ft-in"
) -> Exercise:
    """The exercise of a seed, with what every answer comes to."""
    service = service_of(request)
    with service.open() as db:
        _, crew = service.ways(db)
    return build(kind, level, seed, units, crew)


@router.post("/tries")
def keep_try(request: Request, body: TryIn) -> Marked:
    """Mark an answer and keep it by a name. Raises InputError for an answer that is none."""
    service = service_of(request)
    who = person_name(body.who)
    with service.open() as db:
        _, crew = service.ways(db)
    found = mark(build(body.kind, body.level, body.seed, body.units, crew), body.answer)
    tried = Tried(who, body.kind, body.level, found.lost, found.grade, found.off_n, body.at[:40])
    service.site.practice.keep(body.id, body.seed, tried)
    return found


@router.post("/forget")
def forget_tries(request: Request, body: WhoIn) -> Forgot:
    """Take out all that stands by a name."""
    return Forgot(forgot=service_of(request).site.practice.forget(person_name(body.who)))


@router.post("/given")
def give(request: Request, body: GiveIn) -> GivenTold:
    """Set an exercise for a day. Raises InputError for a day that is none, or an exercise that there is not."""
    service = service_of(request)
    if body.kind not in KIND_OF:
        raise InputError(f"There is no exercise {body.kind}. Known: {', '.join(KIND_OF)}.", "kind")
    try:
        date.fromisoformat(body.day)
    except ValueError:
        raise InputError(f"{body.day} is no day. Say it like 2027-03-14.", "day") from None
    row = Given(**body.model_dump(exclude={"who"}), who=person_name(body.who), at=service.now())
    service.site.practice.give(row)
    return _told(row)


@router.post("/given/{id}/take-back")
def take_back(request: Request, id: OwnId) -> GivenTold | None:
    """Take back what was set for a day; null, whether it was there or not."""
    service_of(request).site.practice.take_back(id)
    return None


def _told(row: Given) -> GivenTold:
    values = asdict(row)
    values.pop("at")
    return GivenTold(**values)
