"""A job in one line of the yard: what it orders, what stops it, when it is poured, what comes next and by whom."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.edits.schedule import NAMES
from humble_trowel.core.job import Job
from humble_trowel.core.stages import stops
from humble_trowel.core.stages.gate import gate_told
from humble_trowel.core.units import Units


@dataclass(frozen=True)
class YardDay:
    """A task that is booked, or done. on: ISO."""

    key: str
    name: str
    on: str
    done: bool


@dataclass(frozen=True)
class YardLine:
    """pour_at: as booked. holds: how many things hold it; next_act, next_who: the first of them and who lifts it. days: what is booked. also: pours of their own beside the one of the order, in words. stops: what keeps the plant from being called, or that nothing does."""

    name: str
    units: Units
    outline: list[tuple[float, float]] | None
    openings: list[list[tuple[float, float]]]
    area: str | None
    order: str | None
    order_unit: str
    trucks: int
    order_m3: float
    also: list[str]
    stops: str
    pour_at: str | None
    holds: int
    next_act: str
    next_who: str
    days: list[YardDay]


def yard_line(job: Job) -> YardLine:
    """The line of a job. Raises TrowelError where it cannot be worked out."""
    plan, figure = job.plan, job.figure
    ordered = figure.concrete.ordered if figure.concrete else None
    if plan.outline is None and figure.footings is not None:
        ordered = figure.footings.ordered
    unsaid = sum(1 for line in figure.call_in if line.missing)
    stopped = stops(job)
    if stopped:
        words = stopped[0].words
    elif plan.outline is None:
        words = "No outline yet." if ordered is None else "Footings alone so far."
    else:
        words = f"{unsaid} lines of the call unsaid." if unsaid else "Ready to call in."
    holds = gate_told(job, weather=False).holds if plan.outline is not None else []
    also = [
        f"{row.pour_name} {row.ordered.text} {'m³' if plan.units == 'mm' else 'yd'}"
        for row in (figure.footings, figure.walls)
        if row is not None and row.ordered is not None and row.ordered is not ordered
    ]
    return YardLine(
        name=plan.name,
        units=plan.units,
        outline=plan.outline,
        openings=plan.openings,
        area=figure.outline.area_text if figure.outline else None,
        order=ordered.text if ordered else None,
        order_unit="m³" if plan.units == "mm" else "yd",
        trucks=len(ordered.trucks) if ordered else 0,
        order_m3=ordered.order_m3 if ordered else 0.0,
        also=also,
        stops=words,
        pour_at=plan.order.pour_at,
        holds=len(holds),
        next_act=words.rstrip(".") if stopped else holds[0].title if holds else "",
        next_who=holds[0].who if holds else "",
        days=[
            YardDay(
                row.key or row.id,
                row.name or NAMES.get(row.key or "", (row.key or "",))[0],
                on,
                row.done_on is not None,
            )
            for row in plan.schedule.tasks
            if (on := row.done_on or row.on) is not None
        ],
    )
