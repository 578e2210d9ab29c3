"""The plant: the last load asked of it, and where that is; the answer is kept as a record. docs/formats/plant.md."""

from __future__ import annotations

import zlib
from typing import Any

from fastapi import APIRouter, Request

from humble_trowel.api.line_schemas import NewRecord
from humble_trowel.api.pour_schemas import PlantAnswer, PlantAsk, PlantCall
from humble_trowel.api.routes.jobs import JobId, service_of
from humble_trowel.api.routes.records import keep_record
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.ports import Dispatch, PlantFault, PlantOrder, PlantReply
from humble_trowel.core.pour.clock import PourClock
from humble_trowel.core.pour.day import Planned
from humble_trowel.core.pour.sizes import amount, strength
from humble_trowel.core.record_kinds import KIND_OF
from humble_trowel.standins.plant import StandInPlant
from humble_trowel.store import records

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}/pour", tags=["pour"])
USUAL_MPA = 27.6
SAYS = {"held": "coming", "unknown": "lost", "refused": "down"}


def plant_of(job_id: str, fault: PlantFault | None) -> Dispatch:
    """Whoever takes orders for a job; a real plant takes its place here."""
    return StandInPlant(zlib.crc32(job_id.encode()), fault)


@router.post("/call")
def call_plant(request: Request, job_id: JobId, body: PlantCall) -> PlantAnswer:
    """Ask the plant for the last load. What it took or refused is kept; where nobody answers nothing is. The same id asks once."""
    planned, plan, kept_already = _planned(request, job_id, body)
    said = KIND_OF["load_called"].read({"m3": body.m3, "at": body.at, "by": body.who}, plan.units)
    m3 = float(said.m3)
    if kept_already:
        return PlantAnswer(kind="held", words="The plant has it already.", kept=True)
    if m3 <= 0:
        raise InputError("Nothing is asked of the plant. Say how much.", "m3")
    clock = planned.clock
    due = clock.iso(clock.minute(body.at) + planned.ahead_min)
    order = PlantOrder(job_id, m3, plan.mix.strength_mpa or USUAL_MPA, due, body.at)
    reply = plant_of(job_id, body.fault).call(order)
    if reply.kind == "silent":
        return PlantAnswer(kind="silent", words=f"{reply.why} Ring, then say who read it back.", kept=False)
    held = reply.kind == "held"
    values: dict[str, Any] = {
        "m3": m3, "at": body.at, "by": body.who, "heard_by": reply.who, "answer": "held" if held else "refused", "words": reply.why,
    }  # fmt: skip
    if held:
        values |= {"number": reply.number, "due_at": reply.due_at, "back_m3": reply.m3, "back_mpa": reply.strength_mpa}
    _keep(request, job_id, body, "load_called", values)
    return PlantAnswer(
        kind=reply.kind, words=_read_back(plan, clock, reply) if held else f"{reply.who}: {reply.why}", kept=True
    )


@router.post("/ask-plant")
def ask_plant(request: Request, job_id: JobId, body: PlantAsk) -> PlantAnswer:
    """Ask where the newest order is. Raises InputError where none was given a number."""
    planned, plan, kept_already = _planned(request, job_id, body)
    if kept_already:
        return PlantAnswer(kind="held", words="The plant said so already.", kept=True)
    day = service_of(request).laid_out(job_id).pour_day()
    said = day.called.said if day is not None and day.called is not None else None
    if said is None or not said.number:
        raise InputError("No order has a number yet. Ring, and ask.", "number")
    clock = planned.clock
    first = said.due_at or clock.iso(clock.minute(said.at) + planned.ahead_min)
    order = PlantOrder(job_id, said.m3, said.back_mpa or plan.mix.strength_mpa or USUAL_MPA, first, said.at)
    reply = plant_of(job_id, body.fault).ask(said.number, order, body.at)
    if reply.kind == "silent":
        return PlantAnswer(kind="silent", words=f"{reply.why} Ring, and ask.", kept=False)
    late = reply.kind == "held" and clock.minute(reply.due_at) > clock.minute(first) + 0.5
    values = {
        "number": said.number, "at": body.at, "by": reply.who, "says": "late" if late else SAYS[reply.kind], "words": reply.why,
        "due_at": reply.due_at or None,
    }  # fmt: skip
    _keep(request, job_id, body, "plant_said", values)
    where = f"here about {clock.text(clock.minute(reply.due_at))}" if reply.due_at else reply.why
    return PlantAnswer(kind=reply.kind, words=f"{reply.who}: {where}", kept=True)


def _planned(request: Request, job_id: str, body: PlantAsk) -> tuple[Planned, Plan, bool]:
    """(what is known before the first truck, the plan, whether this very question was answered before)."""
    service = service_of(request)
    job = service.laid_out(job_id)
    planned = job.pour_planned
    if planned is None:
        raise InputError("There is no day of a pour yet. Say it in Gate.", "at")
    with service.open() as db:
        return planned, job.plan, records.there(db, body.id)


def _keep(request: Request, job_id: str, body: PlantAsk, kind: str, values: dict[str, Any]) -> None:
    own = KIND_OF[kind].read(values, "mm")
    said = NewRecord(
        id=body.id, kind=kind, revision=body.revision, values=values, who=body.who, at_device=body.at_device
    )
    keep_record(request, job_id, said, own)


def _read_back(plan: Plan, clock: PourClock, reply: PlantReply) -> str:
    size = amount(reply.m3, plan.units) if reply.m3 else "none"
    mix = f" of {strength(reply.strength_mpa, plan.units)}" if reply.strength_mpa else ""
    return f"{reply.who} read it back: {size}{mix}, here about {clock.text(clock.minute(reply.due_at))}"
