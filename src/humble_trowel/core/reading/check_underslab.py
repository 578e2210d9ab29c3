"""What is impossible about buried things: runs of no length, drains that do not fall or run in a circle, names twice."""

from __future__ import annotations

import math
from itertools import pairwise

from humble_trowel.core.errors import PlanError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.underslab_parts import Service

LEAST_MM, JOINED_MM = 10.0, 60.0


def check_underslab(plan: Plan) -> None:
    """Raise PlanError, with the path of what is wrong."""
    for key in ("services", "risers"):
        seen: set[str] = set()
        for index, row in enumerate(getattr(plan.underslab, key)):
            if row.name.lower() in seen:
                raise PlanError(
                    f"{row.name} stands twice. Give each a name of its own.", f"underslab.{key}[{index}].name"
                )
            seen.add(row.name.lower())
    for index, run in enumerate(plan.underslab.services):
        where = f"underslab.services[{index}]"
        if any(math.dist(a, b) < LEAST_MM for a, b in pairwise(run.path)):
            raise PlanError(f"A part of {run.name} has no length.", f"{where}.path")
        if run.kind in ("drain", "land-drain") and run.fall <= 0:
            raise PlanError(f"{run.name} is a drain and does not fall.", f"{where}.fall")
        if run.sleeve_mm is not None and run.sleeve_mm <= run.size_mm:
            raise PlanError(f"The sleeve of {run.name} is no larger than its pipe.", f"{where}.sleeve_mm")
    sheet = plan.underslab.barrier
    if sheet.lap_mm and sheet.roll_wide_mm and sheet.roll_wide_mm <= sheet.lap_mm:
        raise PlanError("The roll is no wider than its lap.", "underslab.barrier.roll_wide_mm")
    what = [row.what for row in plan.underslab.foam]
    for index, place in enumerate(what):
        if place in what[:index]:
            raise PlanError("Foam of that place is said twice.", f"underslab.foam[{index}].what")
    _check_circles(list(plan.underslab.services))


def _check_circles(runs: list[Service]) -> None:
    """Drains that run into each other in a circle: water goes nowhere."""
    drains = [run for run in runs if run.kind in ("drain", "land-drain")]
    into = {
        run.name: [
            other.name
            for other in drains
            if other is not run and any(math.dist(run.path[-1], spot) < JOINED_MM for spot in other.path[:-1])
        ]
        for run in drains
    }
    for run in drains:
        left, seen = list(into[run.name]), set()
        while left:
            name = left.pop()
            if name == run.name:
                index = runs.index(run)
                raise PlanError(
                    f"{run.name} runs back into itself: a circle of drains.", f"underslab.services[{index}].path"
                )
            if name not in seen:
                seen.add(name)
                left += into[name]
