"""A job in one line of the yard: what it orders and what stops it."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.job import Job
from humble_trowel.core.stages import stops
from humble_trowel.core.units import Units


@dataclass(frozen=True)
class YardLine:
    """also: pours of their own beside the one of the order, in words. stops: what keeps the plant from being called, or that nothing does."""

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
    )
