"""Grading a job by a file of shots: what `./trowel grade` and the file field of the screen both do."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.ground.as_dug import check_dug
from humble_trowel.core.ground.flat import Enough, Rake, contours, enough, rakes
from humble_trowel.core.ground.ground_job import ground, measured, parts_json, shots_json
from humble_trowel.core.ground.layer_shots import LayerShots, sane_levels, take_shots
from humble_trowel.core.ground.notes import SiteNotes
from humble_trowel.core.ground.records import AsDug, DugStation, Shots
from humble_trowel.core.guard import answers
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import Ways, ways_for


@answers("The shots")
def graded(plan: Plan, ways: Ways, shots: Shots) -> tuple[LayerShots, list[Rake], Enough]:
    """(shots against the design, where to rake and fill, whether they are enough). Raises InputError for shots that
    make no surface or cannot be this job's."""
    if plan.outline is None:
        raise InputError("There is no outline yet. Call the first side.", "outline")
    ways = ways_for(ways, plan.ways)
    taken = take_shots(plan, build_solid(plan), ways, shots.layer, [("file", shots)])
    sane_levels(taken)
    if taken.surface is None:
        raise InputError(taken.problem, "shots")
    return taken, rakes(taken, contours(taken, ways), plan), enough(taken, plan, ways)


def graded_json(plan: Plan, ways: Ways, shots: Shots, dug: Sequence[AsDug] = ()) -> dict[str, Any]:
    """`ground.shots` and `concrete.parts_as_dug` under their fixed names, with the raking list and findings."""
    taken, places, settled = graded(plan, ways, shots)
    for row in dug:
        check_dug(plan, row)
    notes = SiteNotes(shots=(("file", shots),), dug=tuple(dug))
    found = measured(plan, ways, notes)
    under = ground(plan, ways, notes)
    return {
        "ground": {
            "shots": {
                **shots_json(taken), "enough": settled.enough, "words": settled.words,
                "next": list(settled.next_at) if settled.next_at else None,
                "rake": [{"zone": p.zone, "at": list(p.at), "most_mm": p.most_mm, "area_m2": p.area_m2, "words": p.words} for p in places],
            }
        },
        "concrete": {"parts_as_dug": parts_json(under), "base_counts": found.base is not None},
        "findings": [row.__dict__ for row in taken.findings],
    }  # fmt: skip


def dug_from(rows: Sequence[tuple[int, float, float, float]]) -> list[AsDug]:
    """Records from rows of (side, at, width, depth), one for each side."""
    sides: dict[int, list[DugStation]] = {}
    for side, at, wide, deep in rows:
        sides.setdefault(side, []).append(DugStation(at_mm=at, width_mm=wide, depth_mm=deep))
    return [AsDug.model_validate({"side": side, "stations": stations}) for side, stations in sides.items()]
