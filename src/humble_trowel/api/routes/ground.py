"""Ground: stack, rod card, shots on a layer, stone, as dug; a reading checked; a file of shots kept."""

from __future__ import annotations

from typing import Annotated

from fastapi import APIRouter, Query, Request

from humble_trowel.api.ground_schemas import (
    FallRow,
    GroundState,
    Mark,
    RodAnswer,
    RodCheck,
    SignedRow,
    SoftRow,
    TestRow,
)
from humble_trowel.api.line_schemas import NewRecord, RecordId, RecordRow
from humble_trowel.api.reading import patiently
from humble_trowel.api.routes.jobs import SMALL_BYTES, JobId, ReadingKey, service_of
from humble_trowel.api.routes.records import keep_record
from humble_trowel.api.schemas import file_body
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.tops import fall_lines
from humble_trowel.core.ground.before import found_mm, strip_mm
from humble_trowel.core.ground.falls import fall_words
from humble_trowel.core.ground.layer_choices import layer_choices
from humble_trowel.core.ground.layer_shots import layer_grounds, take_shots
from humble_trowel.core.ground.layer_view import layer_view
from humble_trowel.core.ground.levels import known_marks
from humble_trowel.core.ground.pegs import grade_pegs
from humble_trowel.core.ground.record_kinds import soft_words, test_words
from humble_trowel.core.ground.records import GroundTest, LiftSigned, Shots, SoftSpot
from humble_trowel.core.ground.rod import level_words, rod_reads, say_level, say_reading
from humble_trowel.core.ground.rod_check import Wanted, read_rod, wanted_at_surface, wanted_on_layer
from humble_trowel.core.ground.rod_working import reading_working
from humble_trowel.core.ground.usual_stacks import usual_layers, usual_stacks
from humble_trowel.core.job import Job
from humble_trowel.core.plan.levels import floor_mm
from humble_trowel.core.units import say_depth
from humble_trowel.files.shots_csv import ShotsFileError, read_shots_csv
from humble_trowel.store import jobs, records
from humble_trowel.store.records import Record

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}", tags=["ground"])
Layer = Annotated[str, Query(max_length=24)]
GRID_MM = 1250.0


@router.get("/ground")
def ground_state(request: Request, job_id: JobId, layer: Layer = "base") -> GroundState:
    """Everything the ground lens shows; the shots are those on `layer`."""
    service = service_of(request)
    job = service.laid_out(job_id)
    with service.open() as db:
        who = {row.id: row for row in records.of_job(db, job_id)}
    return _state(job, who, layer)


def _state(job: Job, who: dict[str, Record], layer: str) -> GroundState:
    plan, ways, solid, said = job.plan, job.ways, job.shape, job.records
    found = job.answered("ground", job.ground)
    grounds = layer_grounds(plan, solid, layer)
    if not grounds:
        layer, grounds = "base", layer_grounds(plan, solid, "base")
    taken = job.shots(layer) or take_shots(plan, solid, ways, layer, [])
    was, units = found_mm(plan), plan.units
    return GroundState(
        ground=found, layer=layer, layers=layer_choices(plan, solid, ways, said), shots=layer_view(taken, plan, ways),
        marks=_marks(job),
        tests=[TestRow(id=key, who=who[key].who, at=who[key].at, test=row, words=test_words(row, units)) for key, row in said.named(GroundTest)],
        soft=[SoftRow(id=key, who=who[key].who, at=who[key].at, soft=row, words=soft_words(row, units)) for key, row in said.named(SoftSpot)],
        signed=[SignedRow(id=key, who=who[key].who, at=who[key].at, signed=row) for key, row in said.named(LiftSigned)],
        falls=[
            FallRow(zone=cell.index, name=cell.name, words=fall_words(plan, cell), lines=fall_lines(plan.zones[cell.index], cell.tops, cell.whole))
            for cell in solid.cells
        ],
        reads=rod_reads(plan, ways), grid=[peg.at for peg in grade_pegs(grounds, GRID_MM, None, "mm")],
        found_text="" if was is None else say_level(was, units, floor_mm(plan)), strip_text=say_depth(strip_mm(plan, ways), units),
        usual=usual_stacks(units, ways.ground), single=usual_layers(units), findings=found.findings,
    )  # fmt: skip


def _marks(job: Job) -> list[Mark]:
    own = {row.name: i for i, row in enumerate(job.plan.ground.benchmarks)}
    return [
        Mark(name=name, level_mm=level, level_text=level_words(level, job.plan), benchmark=own.get(name))
        for name, level in known_marks(job.plan, job.records).items()
    ]


@router.post("/rod-check")
def rod_check(request: Request, job_id: JobId, body: RodCheck) -> RodAnswer:
    """A reading against a level, or against a layer at a spot, on the newest set-up. Nothing is kept."""
    job = service_of(request).laid_out(job_id)
    plan, ways = job.plan, job.ways
    if not job.setups:
        raise InputError("No laser stands yet. Set it up on a mark first.", "setup")
    stand = job.setups[-1]
    if body.surface is not None:
        want = wanted_at_surface(plan, job.shape, ways, body.surface)
    elif body.level_mm is not None:
        want = Wanted(body.level_mm, "that level", "", None, None)
    else:
        want = wanted_on_layer(plan, job.shape, body.layer, body.at)
    should = stand.instrument_mm - want.level_mm
    said = None if body.reading is None else read_rod(plan, ways, stand.instrument_mm, want.level_mm, body.reading)
    return RodAnswer(
        should_mm=should, inside_mm=(should - ways.ground.high_mm, should + ways.ground.low_mm), should_text=say_reading(should, rod_reads(plan, ways)), where=want.where,
        working=reading_working(plan, ways, stand, want.level_mm, want.name, want.cell, want.row), said=said,
    )  # fmt: skip


@router.post("/shots-file", status_code=201, openapi_extra=file_body("text/csv"))
async def shots_file(
    request: Request,
    job_id: JobId,
    record: Annotated[RecordId, Query()],
    layer: Layer = "base",
    setup: Annotated[str | None, Query(max_length=64)] = None,
    who: Annotated[str, Query(max_length=60)] = "",
    reading: ReadingKey = "",
) -> RecordRow:
    """Keep the shots of a CSV file (the body) as one record. reading: a name to ask after it by."""
    data, service = await request.body(), service_of(request)
    known = service.reader.begin(reading)
    if not data:
        raise ShotsFileError("The file is empty.")

    def keep() -> RecordRow:
        small = len(data) <= SMALL_BYTES
        if small:
            values = read_shots_csv(data, layer, setup)
        else:
            values = Shots.model_validate(service.reader.read(known, "shots", data, layer=layer, setup=setup))
        with service.open() as db:
            here = jobs.head(db, job_id).n
        said = NewRecord(id=record, kind="shots", revision=here, values={}, who=who)
        return keep_record(request, job_id, said, values)

    answer: RecordRow = await patiently(request, known, keep)
    return answer
