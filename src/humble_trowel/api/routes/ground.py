"""Ground: stack, rod card, shots on a layer, stone, as dug; a reading checked; a file of shots kept."""

from __future__ import annotations

from typing import Annotated, Literal

import shapely
from fastapi import APIRouter, Query, Request
from starlette.concurrency import run_in_threadpool

from humble_trowel.api.ground_schemas import (
    FallRow,
    GroundState,
    LayerChoice,
    Mark,
    RodAnswer,
    RodCheck,
    RodSaid,
    SignedRow,
    SoftRow,
    TestRow,
)
from humble_trowel.api.line_schemas import RecordId, RecordRow
from humble_trowel.api.routes.jobs import JobId, desk_of
from humble_trowel.api.routes.records import keep_record, laid_out
from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.solid import Solid, build_solid
from humble_trowel.core.geometry.tops import fall_lines
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.ground.earthwork import found_mm, layer_volume, strip_mm, stripped_mm
from humble_trowel.core.ground.falls import fall_words
from humble_trowel.core.ground.flat import place_of
from humble_trowel.core.ground.ground_job import ground as work_out
from humble_trowel.core.ground.ground_job import shots_on
from humble_trowel.core.ground.layer_shots import layer_grounds, take_shots
from humble_trowel.core.ground.layer_view import layer_view
from humble_trowel.core.ground.levels import check_reading, known_marks, stands
from humble_trowel.core.ground.notes import SiteNotes
from humble_trowel.core.ground.pegs import grade_pegs
from humble_trowel.core.ground.record_kinds import soft_words, test_words
from humble_trowel.core.ground.rod import level_words, rod_card, rod_reads, say_level, say_off, say_reading
from humble_trowel.core.ground.rod_working import reading_working
from humble_trowel.core.ground.stack import BASE_KINDS, StackRow, resolve, stack_rows
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.levels import floor_mm
from humble_trowel.core.plan.ways import Ways, ways_for
from humble_trowel.core.units import parse_length, say_depth
from humble_trowel.files.shots_csv import ShotsFileError, read_shots_csv
from humble_trowel.store import records

router = APIRouter(prefix="/api/jobs/{job_id}", tags=["ground"])
Layer = Annotated[str, Query(max_length=24)]
JUMP_MM = 152.4
GRID_MM = 1250.0


@router.get("/ground")
def ground_state(request: Request, job_id: JobId, layer: Layer = "base") -> GroundState:
    """Everything the ground lens shows; the shots are those on `layer`."""
    plan, crew, key = laid_out(request, job_id)
    desk = desk_of(request)
    with desk.open() as db:
        notes, stamp = desk.notes(db, job_id)
        rows = {
            row.id: row for row in records.of_job(db, job_id) if row.kind in ("ground-test", "soft-spot", "lift-signed")
        }
    return desk.figures.get(("ground", *key, stamp, layer), lambda: _state(plan, crew, notes, rows, layer))


def _state(plan: Plan, crew: Ways, notes: SiteNotes, rows: dict[str, records.Record], layer: str) -> GroundState:
    ways = ways_for(crew, plan.ways)
    solid = build_solid(plan)
    found = work_out(plan, crew, notes)
    grounds = layer_grounds(plan, solid, layer)
    if not grounds:
        layer, grounds = "base", layer_grounds(plan, solid, "base")
    taken = shots_on(plan, solid, ways, notes, layer, found.stands) or take_shots(plan, solid, ways, layer, [])
    shots = layer_view(taken, plan, crew)
    pegs = grade_pegs(grounds, GRID_MM, None, "mm")
    was = found_mm(plan)
    return GroundState(
        ground=found, layer=layer, layers=_layers(plan, solid, ways, notes), shots=shots, marks=_marks(plan, notes),
        tests=[TestRow(id=key, who=rows[key].who, at=rows[key].at, test=row, words=test_words(row, plan.units)) for key, row in notes.tests],
        soft=[SoftRow(id=key, who=rows[key].who, at=rows[key].at, soft=row, words=soft_words(row, plan.units)) for key, row in notes.soft],
        signed=[SignedRow(id=key, who=rows[key].who, at=rows[key].at, signed=row) for key, row in notes.signed],
        falls=[
            FallRow(zone=cell.index, name=cell.name, words=fall_words(plan, cell), lines=fall_lines(plan.zones[cell.index], cell.tops, cell.whole))
            for cell in solid.cells
        ],
        reads=rod_reads(plan, ways), grid=[peg.at for peg in pegs],
        found_text="" if was is None else say_level(was, plan.units, floor_mm(plan)), strip_text=say_depth(strip_mm(plan, ways), plan.units),
        findings=found.findings,
    )  # fmt: skip


def _layers(plan: Plan, solid: Solid, ways: Ways, notes: SiteNotes) -> list[LayerChoice]:
    """Base and dig always; then every layer below the slab of some zone, and the lifts under its top."""
    names = {"base": "base top", "dig": "dig"}
    for cell in solid.cells:
        rows = stack_rows(plan, cell)
        at = next(i for i, row in enumerate(rows) if row.kind == "slab")
        for row in rows[at + 1 :]:
            if row.kind in ("native", "barrier"):
                continue
            each = (
                layer_volume(0.0, row.thickness_mm, 1.0, 1.0, ways.ground.lift_mm) if row.kind in BASE_KINDS else None
            )
            for i in range(1, each.lifts if each else 1):
                names.setdefault(f"{row.layer} lift {i} of {each.lifts if each else 1}", f"{row.name}, lift {i}")
            names.setdefault(row.layer, f"top of {row.name}")
    counts = {name: sum(len(row.shots) for _, row in notes.shots if row.layer == name) for name in names}
    return [LayerChoice(key=key, name=name, shots=counts[key]) for key, name in names.items()]


def _marks(plan: Plan, notes: SiteNotes) -> list[Mark]:
    own = {row.name: i for i, row in enumerate(plan.ground.benchmarks)}
    return [
        Mark(name=name, level_mm=level, level_text=level_words(level, plan), benchmark=own.get(name))
        for name, level in known_marks(plan, notes).items()
    ]


@router.post("/rod-check")
def rod_check(request: Request, job_id: JobId, body: RodCheck) -> RodAnswer:
    """A reading against a level, or against a layer at a spot, on the newest set-up. Nothing is kept."""
    plan, crew, _ = laid_out(request, job_id)
    ways = ways_for(crew, plan.ways)
    desk = desk_of(request)
    with desk.open() as db:
        notes, _ = desk.notes(db, job_id)
    setups = stands(plan, ways, notes)
    if not setups:
        raise InputError("No laser stands yet. Set it up on a mark first.", "setup")
    stand, reads = setups[-1], rod_reads(plan, ways)
    wanted, name, where, cell, row = _asked(plan, ways, notes, body)
    should = stand.instrument_mm - wanted
    return RodAnswer(
        should_mm=should, should_text=say_reading(should, reads), where=where,
        working=reading_working(plan, ways, stand, wanted, name, cell, row),
        said=None if body.reading is None else _said(plan, ways, stand.instrument_mm, wanted, body.reading),
    )  # fmt: skip


Asked = tuple[float, str, str, Cell | None, StackRow | None]


def _asked(plan: Plan, ways: Ways, notes: SiteNotes, body: RodCheck) -> Asked:
    """(level, surface, place, its zone, its layer): a row of the rod card, a level given, or the layer at a spot."""
    solid = build_solid(plan)
    if body.surface is not None:
        card = rod_card(plan, solid, ways, None, stripped_mm(plan, ways))
        if body.surface >= len(card):
            raise InputError("There is no such surface on the card any more.", "surface")
        one = card[body.surface]
        cell = next((cell for cell in solid.cells if cell.name == one.zone), None)
        row = resolve(plan, cell, one.key) if cell is not None else None
        return one.level_mm, f"{one.surface}, {one.at}", one.at, cell if row else None, row
    if body.level_mm is not None:
        return body.level_mm, "that level", "", None, None
    grounds = layer_grounds(plan, solid, body.layer)
    if body.at is None or not grounds:
        raise InputError("Which surface, or where on the plan?", "at")
    point = shapely.Point(body.at)
    near = min(grounds, key=lambda ground: ground.cell.region.distance(point))
    where = place_of(body.at, near.cell)
    return near.level_at(body.at), where, where, near.cell, near.row


def _said(plan: Plan, ways: Ways, line_mm: float, wanted_mm: float, typed: str | float) -> RodSaid:
    reading = parse_length(typed, plan.units, bare="in")
    check_reading(ways, reading, "reading", plan.units)
    reads, off = rod_reads(plan, ways), line_mm - reading - wanted_mm
    verdict: Literal["high", "low", "inside"] = "inside"
    if not -ways.ground.low_mm - 1e-9 <= off <= ways.ground.high_mm + 1e-9:
        verdict = "high" if off > 0 else "low"
    jump = f"{say_depth(abs(off), plan.units)} off. Read again?" if abs(off) > JUMP_MM else ""
    words = say_off(off, plan.units, reads)
    return RodSaid(
        reading_mm=reading,
        reading_text=say_reading(reading, reads),
        off_mm=off,
        words=words,
        verdict=verdict,
        jump=jump,
    )


@router.post("/shots-file", status_code=201)
async def shots_file(
    request: Request,
    job_id: JobId,
    record: Annotated[RecordId, Query()],
    layer: Layer = "base",
    setup: Annotated[str | None, Query(max_length=64)] = None,
    who: Annotated[str, Query(max_length=60)] = "",
) -> RecordRow:
    """Keep the shots of a CSV file (the body) as one record."""
    data = await request.body()
    if not data:
        raise ShotsFileError("The file is empty.")

    def keep() -> RecordRow:
        values = read_shots_csv(data, layer, setup)
        return keep_record(request, job_id, record, "shots", None, values, who)

    return await run_in_threadpool(keep)
