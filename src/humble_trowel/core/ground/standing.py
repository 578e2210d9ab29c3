"""How the ground stands in a word or two, for the string and the board; and what of it counts in the order."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.ground.flat import enough
from humble_trowel.core.ground.ground_job import ShotsOn
from humble_trowel.core.ground.levels import Stand
from humble_trowel.core.ground.rod import rod_reads, say_reading
from humble_trowel.core.ground.rod_working import reading_working
from humble_trowel.core.ground.stack import resolve
from humble_trowel.core.guard import answers
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.working import Working


@dataclass(frozen=True)
class Graded:
    """words: two or three, for the knot. flat: base shot, inside, enough of it. stuck: a set-up moved.

    rod: what the rod reads on the base of rod_zone, '' while no laser stands."""

    words: str = "to do"
    flat: bool = False
    stuck: bool = False
    rod: str = ""
    rod_zone: str = ""
    working: Working | None = None


@answers("The ground")
def graded(plan: Plan, solid: Solid, ways: JobWays, setups: Sequence[Stand], shots: ShotsOn) -> Graded:
    """How the ground of a plan with an outline stands."""
    rod = zone = ""
    shown: Working | None = None
    cell = max(solid.cells, key=lambda one: one.area_m2)
    base = resolve(plan, cell, "base")
    if setups and base is not None:
        rod, zone = say_reading(setups[-1].instrument_mm - base.top_mm, rod_reads(plan, ways)), cell.name
        shown = reading_working(plan, ways, setups[-1], base.top_mm, f"base, {cell.name}", cell, base)
    if any(stand.moved for stand in setups):
        return Graded("laser moved", stuck=True, rod=rod, rod_zone=zone, working=shown)
    taken = shots("base")
    if taken is None:
        return Graded("started" if setups or plan.build_ups else "to do", rod=rod, rod_zone=zone, working=shown)
    out = sum(shot.verdict != "inside" for shot in taken.shots)
    n = len(taken.shots)
    if out:
        return Graded(f"{out} out of {n}", rod=rod, rod_zone=zone, working=shown)
    settled = enough(taken, plan, ways).enough
    return Graded("flat" if settled else f"{n} shot", settled, rod=rod, rod_zone=zone, working=shown)
