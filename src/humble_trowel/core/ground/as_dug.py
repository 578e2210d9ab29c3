"""Trenches as they were dug: width and depth at stations, or the bucket where nobody measured, against the plan."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from itertools import pairwise

from humble_trowel.core.errors import InputError
from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.strips import Run, edge_runs
from humble_trowel.core.ground.records import AsDug, DugStation
from humble_trowel.core.order.allowances import slab_beside
from humble_trowel.core.order.leaves import volume_unit
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.refs import by_id
from humble_trowel.core.plan.shape_parts import EdgeType
from humble_trowel.core.units import format_volume, say_depth, say_length
from humble_trowel.core.working import Working, leaf, work

WIDEST_MM = 3000.0


@dataclass(frozen=True)
class DugRun:
    """One trench. extra_m3: beyond the plan (less than nothing where it was dug small). measured: at stations, not by
    the bucket. row: of `edges` (-1 for a beam). side: None for a line inside. beam: index of a beam."""

    row: int
    side: int | None
    name: str
    mark: str
    length_mm: float
    planned_m3: float
    extra_m3: float
    measured: bool
    stations: list[DugStation]
    words: str
    beam: int | None = None


def dug_runs(plan: Plan, solid: Solid, dug: Sequence[AsDug]) -> list[DugRun]:
    """Every thickened side and line, as measured by its newest record, else by the plan's bucket, else as planned.

    Between stations width and depth run straight; beyond the first and the last they stay. Simpson's rule over each
    stretch is exact for that. Depth is straight down from the slab's top; the haunch keeps its slope."""
    runs = edge_runs(plan)
    dug = [by_id(record, plan) for record in dug]
    rows = []
    bucket = plan.ground.bucket_mm
    n = len(plan.outline or [])
    for row, edge in enumerate(plan.edges):
        own = [run for run in runs if run.part == row]
        if not own:
            continue
        if edge.along is not None:
            spots = [(sum(map(_size, own[:k])), run) for k, run in enumerate(own)]
            said = next((d.stations for d in reversed(dug) if d.row == edge.id), None)
            rows.append(_run(plan, solid, (row, None, f"{edge.type} line inside"), spots, said, bucket))
            continue
        for side, run in zip(edge.sides or (), own, strict=True):
            said = next((d.stations for d in reversed(dug) if d.side == plan.corner_ids[side]), None)
            rows.append(_run(plan, solid, (row, side, side_name(side, n)), [(0.0, run)], said, bucket))
    for beam, line in enumerate(plan.beams):
        own = beam_runs(plan, beam)
        spots = [(sum(map(_size, own[:k])), run) for k, run in enumerate(own)]
        said = next((d.stations for d in reversed(dug) if d.beam == line.id), None)
        found = _run(plan, solid, (-1, None, f"beam {beam + 1}, {line.type}"), spots, said, bucket)
        rows.append(replace(found, beam=beam))
    return rows


def beam_runs(plan: Plan, beam: int) -> list[Run]:
    """A beam's trench as runs along its middle; its two haunches stand as one of twice the run."""
    line = plan.beams[beam]
    kind = next(row for row in plan.beam_types if row.mark == line.type)
    section = EdgeType(
        mark=kind.mark, kind="thickened", depth_mm=kind.depth_mm, bottom_width_mm=kind.width_mm,
        haunch_run_per_rise=2 * (kind.haunch_run_per_rise or 0.0),
    )  # fmt: skip
    return [Run(-1, section, a, b, None, None) for a, b in pairwise(line.path)]


def _size(run: Run) -> float:
    return math.dist(run.start, run.end)


def _run(
    plan: Plan, solid: Solid, which: tuple[int, int | None, str], runs: list[tuple[float, Run]],
    said: list[DugStation] | None, bucket: float | None,
) -> DugRun:  # fmt: skip
    """which: row of `edges`, side and name."""
    row, side, name = which
    kind = runs[0][1].kind
    length = sum(_size(run) for _, run in runs)
    planned = extra = 0.0
    for start, run in runs:
        slab = slab_beside(solid, run.start, run.end)
        flat = section_mm2(kind, kind.bottom_width_mm or 0.0, kind.depth_mm or 0.0, slab)
        planned += flat * _size(run) / 1e9
        if said:
            extra += (_integral(kind, slab, said, start, start + _size(run)) - flat * _size(run)) / 1e9
        elif bucket and bucket > (kind.bottom_width_mm or 0.0):
            extra += (section_mm2(kind, bucket, kind.depth_mm or 0.0, slab) - flat) * _size(run) / 1e9
    words = _words(plan, kind, said, bucket, extra)
    return DugRun(
        row=row, side=side, name=name, mark=kind.mark, length_mm=length, planned_m3=planned, extra_m3=extra,
        measured=said is not None, stations=list(said or []), words=words,
    )  # fmt: skip


def section_mm2(kind: EdgeType, width_mm: float, depth_mm: float, slab_mm: float) -> float:
    """Area of a trench section below the slab, with the type's haunch."""
    below = max(0.0, depth_mm - slab_mm)
    return (width_mm + (kind.haunch_run_per_rise or 0.0) * below / 2) * below


def _integral(kind: EdgeType, slab: float, stations: Sequence[DugStation], start: float, end: float) -> float:
    """Section area along a stretch, mm3."""
    marks = sorted({start, end, *(s.at_mm for s in stations if start < s.at_mm < end)})
    volume = 0.0
    for a, b in pairwise(marks):
        ends = [section_mm2(kind, *_at(stations, spot), slab) for spot in (a, (a + b) / 2, b)]
        volume += (b - a) * (ends[0] + 4 * ends[1] + ends[2]) / 6
    return volume


def _at(stations: Sequence[DugStation], at: float) -> tuple[float, float]:
    rows = sorted(stations, key=lambda row: row.at_mm)
    if at <= rows[0].at_mm:
        return rows[0].width_mm, rows[0].depth_mm
    for one, two in pairwise(rows):
        if at <= two.at_mm:
            t = (at - one.at_mm) / (two.at_mm - one.at_mm) if two.at_mm > one.at_mm else 1.0
            return one.width_mm + t * (two.width_mm - one.width_mm), one.depth_mm + t * (two.depth_mm - one.depth_mm)
    return rows[-1].width_mm, rows[-1].depth_mm


def _words(plan: Plan, kind: EdgeType, said: list[DugStation] | None, bucket: float | None, extra: float) -> str:
    unit, _ = volume_unit(plan)
    more = f"{format_volume(abs(extra), plan.units)} {unit} {'more' if extra >= 0 else 'less'}"
    if said:
        wide = sum(s.width_mm for s in said) / len(said) - (kind.bottom_width_mm or 0)
        deep = sum(s.depth_mm for s in said) / len(said) - (kind.depth_mm or 0)
        ways = [
            f"{say_depth(abs(off), plan.units)} {one if off > 0 else other}"
            for off, one, other in ((wide, "wider", "narrower"), (deep, "deeper", "shallower"))
            if abs(off) >= 0.8
        ]
        return f"{' and '.join(ways) or 'As drawn'} over {len(said)} stations: {more}."
    if bucket and bucket > (kind.bottom_width_mm or 0):
        return f"The bucket is {say_depth(bucket, plan.units)}, the trench {say_depth(kind.bottom_width_mm or 0, plan.units)}: {more}."
    return "Not measured."


def check_dug(plan: Plan, dug: AsDug) -> None:
    """Raise InputError for a trench that is not there, a station past its end, or a size that cannot be."""
    own = _own_runs(plan, dug)
    length = sum(_size(run) for run in own)
    for i, station in enumerate(dug.stations):
        if station.at_mm > length + 50:
            words = f"The trench is {say_length(length, plan.units)} long; {say_length(station.at_mm, plan.units)} is past its end."
            raise InputError(words, f"stations[{i}].at_mm")
        for key in ("width_mm", "depth_mm"):
            if getattr(station, key) > WIDEST_MM:
                raise InputError(
                    f"{say_length(getattr(station, key), plan.units)} is no trench of this slab.",
                    f"stations[{i}].{key}",
                )


def _own_runs(plan: Plan, dug: AsDug) -> list[Run]:
    dug = by_id(dug, plan)
    if dug.beam is not None:
        return beam_runs(plan, place_of(plan, "beams", dug.beam, "beam"))
    marks = {row.mark for row in plan.edge_types if row.kind == "thickened"}
    side = None if dug.side is None else place_of(plan, "side", dug.side, "side")
    if side is not None:
        row = next((i for i, edge in enumerate(plan.edges) if side in (edge.sides or ())), None)
    else:
        row = place_of(plan, "edges", dug.row or "", "row")
    if row is None or plan.edges[row].type not in marks:
        raise InputError("There is no trench along that side.", "side" if side is not None else "row")
    own = [run for run in edge_runs(plan) if run.part == row]
    return own if side is None else [own[(plan.edges[row].sides or []).index(side)]]


def dug_working(plan: Plan, runs: Sequence[DugRun]) -> Working | None:
    """The extra of all measured trenches, in the job's unit; None where none was measured."""
    unit, per = volume_unit(plan)
    own = [run for run in runs if run.measured]
    if not own:
        return None
    inputs = {
        f"r{i}": leaf(
            f"{run.name}, {run.words}",
            run.extra_m3 / per,
            unit,
            f"{run.extra_m3 / per:.3f} {unit}",
            "dug",
            "ground/dug",
        )
        for i, run in enumerate(own)
    }
    return work("Trenches as dug", unit, " + ".join(inputs), inputs, source="dug")


def gone_findings(plan: Plan, dug: Sequence[AsDug]) -> list[Finding]:
    """Trenches on record whose side, line or beam is not on the slab any more: kept, and not counted."""
    there = {*plan.corner_ids, *(edge.id for edge in plan.edges), *(beam.id for beam in plan.beams)}
    gone = {row.side or row.row or row.beam for row in dug} - there
    if not gone:
        return []
    many = "A trench was" if len(gone) == 1 else f"{len(gone)} trenches were"
    words = f"{many} measured along what is not on the slab any more. The record stays; it counts for nothing."
    return [finding("dug-gone", "ground.dug", words, "Measure the trench that is there now, or strike the record out.")]


def dug_findings(plan: Plan, runs: Sequence[DugRun]) -> list[Finding]:
    """A bucket that cannot dig as narrow as drawn."""
    wide = [run for run in runs if not run.measured and run.extra_m3 > 1e-6]
    if not wide:
        return []
    unit, _ = volume_unit(plan)
    total = format_volume(sum(run.extra_m3 for run in wide), plan.units)
    words = f"{wide[0].words.split(':')[0]}. Over all trenches not measured yet that is {total} {unit} of concrete."
    return [
        finding(
            "bucket-wide", "ground.bucket_mm", words, "Take a narrower bucket, or measure the trench and order for it."
        )
    ]


def spot_along(run: Run, at_mm: float) -> XY:
    """A plan point on a run."""
    t = at_mm / _size(run)
    return (run.start[0] + t * (run.end[0] - run.start[0]), run.start[1] + t * (run.end[1] - run.start[1]))
