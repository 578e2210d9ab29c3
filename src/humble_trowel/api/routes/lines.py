"""Lines: set-out, squaring, straight and level, forms, cut plan."""

from __future__ import annotations

from typing import Any, Literal

from fastapi import APIRouter, Request
from pydantic import ValidationError

from humble_trowel.api.line_schemas import CheckedAnswer, FormsState, NewRecord, RecordRow, Round, SquareAnswer
from humble_trowel.api.routes.jobs import JobId, desk_of
from humble_trowel.core.errors import InputError, TrowelError
from humble_trowel.core.forms.cut_boards import CutPlanOfJob, cut_boards
from humble_trowel.core.forms.form_plan import FormPlan, form_plan
from humble_trowel.core.lines.setting_out import SetOutSheet, set_out
from humble_trowel.core.lines.square_job import read_taped, square_plan, tolerance_of
from humble_trowel.core.lines.straight import SideChecked, level, straight
from humble_trowel.core.plan.document import Part, Plan
from humble_trowel.core.plan.reading import plan_error
from humble_trowel.core.plan.records import VALUES_OF, FormBack, FormLevels, Offset, StringGaps, Taped
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.units import Units, say_depth, say_length
from humble_trowel.store import jobs, records

router = APIRouter(prefix="/api/jobs/{job_id}", tags=["lines"])


def laid_out(request: Request, job_id: str) -> tuple[Plan, Ways, tuple[Any, ...]]:
    """(plan of the newest revision, the crew's ways, key for the shelf). Raises InputError without an outline."""
    desk = desk_of(request)
    with desk.open() as db:
        row = jobs.head(db, job_id)
        plan = desk.plan(row)
        version, crew = desk.ways(db)
    if plan.outline is None:
        raise InputError("There is no outline yet. Call the first side.", "outline")
    return plan, crew, (job_id, row.content, version)


@router.get("/set-out")
def set_out_sheet(request: Request, job_id: JobId) -> SetOutSheet:
    """Everything to set the slab out by."""
    plan, crew, key = laid_out(request, job_id)
    return desk_of(request).figures.get(("set-out", *key), lambda: set_out(plan, crew))


def forms_of(request: Request, job_id: str) -> tuple[Plan, Ways, FormPlan, tuple[Any, ...]]:
    """The forms, from the shelf where they stand."""
    plan, crew, key = laid_out(request, job_id)
    return plan, crew, desk_of(request).figures.get(("forms", *key), lambda: form_plan(plan, crew)), key


@router.get("/forms")
def forms(request: Request, job_id: JobId) -> FormsState:
    """Every side's form, the totals, and what is doubtful."""
    _, _, found, _ = forms_of(request, job_id)
    with desk_of(request).open() as db:
        rows = records.of_job(db, job_id, "form-back")
    replaced = {row.supersedes for row in rows}
    back = sorted({int(row.document["side"]) for row in rows if row.id not in replaced})
    left = [
        row for row in found.findings if row.code != "form-left-out" or int(row.where.rsplit("/", 1)[1]) not in back
    ]
    return FormsState(forms=found, findings=left, back=back)


@router.get("/cut-plan")
def cut_plan(request: Request, job_id: JobId) -> CutPlanOfJob:
    """Which boards to buy and how to cut them."""
    plan, crew, found, key = forms_of(request, job_id)
    return desk_of(request).figures.get(("cuts", *key), lambda: cut_boards(plan, found, crew))


@router.post("/square")
def square(request: Request, job_id: JobId, body: Round) -> SquareAnswer:
    """Which corner to move, from one round of measures. Nothing is kept."""
    plan, crew, _ = laid_out(request, job_id)
    answer = square_plan(plan, read_taped(body.values, plan.units), crew)
    return SquareAnswer(squared=answer, tolerance_text=say_depth(tolerance_of(plan, crew), plan.units))


@router.post("/straight/{kind}")
def check_side(
    request: Request, job_id: JobId, kind: Literal["string-gaps", "form-levels"], body: Round
) -> CheckedAnswer:
    """In or out, up or down at each stake of a side. Nothing is kept."""
    plan, crew, _ = laid_out(request, job_id)
    return CheckedAnswer(checked=_checked(plan, crew, read_values(kind, body.values, plan.units)))


def _checked(plan: Plan, crew: Ways, values: Part) -> SideChecked:
    tolerance = tolerance_of(plan, crew)
    if isinstance(values, StringGaps):
        return straight(plan, values, tolerance)
    assert isinstance(values, FormLevels)
    return level(plan, values, tolerance)


def read_values(kind: str, values: dict[str, Any], units: Units) -> Part:
    """Values of a record kind, checked. Raises InputError naming the field."""
    try:
        return VALUES_OF[kind].model_validate(values, context={"units": units})
    except ValidationError as error:
        found = plan_error(error)
        raise InputError(found.words, found.path) from None


@router.post("/records", status_code=201)
def add_record(request: Request, job_id: JobId, body: NewRecord) -> RecordRow:
    """Append a record. The same id sent twice counts once."""
    plan, crew, _ = laid_out(request, job_id)
    values = read_values(body.kind, body.values, plan.units)
    if isinstance(values, Taped):
        square_plan(plan, values, crew)  # a round that cannot be is refused, with its reason
    verdict = _verdict(plan, crew, values)
    desk = desk_of(request)
    document = values.model_dump(mode="json", by_alias=True)
    with desk.open() as db:
        row = records.add(
            db,
            records.Record(body.id, job_id, body.kind, body.revision, body.who, body.at_device, desk.now(), body.supersedes, document),
        )  # fmt: skip
    return _row(row, set(), verdict, values, plan.units)


@router.get("/records")
def all_records(request: Request, job_id: JobId, kind: str | None = None) -> list[RecordRow]:
    """All records, the newest first, each with what it came to against the plan of its own revision."""
    desk = desk_of(request)
    with desk.open() as db:
        jobs.find(db, job_id)
        rows = records.of_job(db, job_id, kind)
        _, crew = desk.ways(db)
        plans = {row.revision: desk.plan(jobs.revision(db, job_id, row.revision)) for row in rows}
    replaced = {row.supersedes for row in rows if row.supersedes}
    told = []
    for row in reversed(rows):
        plan = plans[row.revision]
        values = read_values(row.kind, row.document, plan.units)
        told.append(_row(row, replaced, _verdict(plan, crew, values), values, plan.units))
    return told


def _verdict(plan: Plan, crew: Ways, values: Part) -> str:
    try:
        if isinstance(values, Taped):
            return square_plan(plan, values, crew).verdict
        if isinstance(values, FormBack):
            return "The form stands again."
        return _checked(plan, crew, values).verdict
    except TrowelError as error:
        return error.words


def _shown(values: Part, units: Units) -> list[str]:
    if isinstance(values, Taped):
        return [say_length(m.off_mm if isinstance(m, Offset) else m.mm, units) for m in values.measures]
    if isinstance(values, StringGaps | FormLevels):
        return [say_length(reading.mm, units) for reading in values.readings]
    return []


def _row(row: records.Record, replaced: set[str], verdict: str, values: Part, units: Units) -> RecordRow:
    return RecordRow(
        id=row.id, kind=row.kind, revision=row.revision, who=row.who, at_device=row.at_device, at=row.at,
        supersedes=row.supersedes, superseded=row.id in replaced, values=row.document, verdict=verdict,
        shown=_shown(values, units),
    )  # fmt: skip
