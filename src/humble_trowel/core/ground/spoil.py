"""Ground that comes out: stripped, dug, trenched under beams and edges, trenched for footings, and what goes back."""

from __future__ import annotations

import math
from collections.abc import Iterator
from dataclasses import dataclass

from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.below import over_m3, stood_below, stood_under_m3, trenches
from humble_trowel.core.geometry.overlay import common, less, together
from humble_trowel.core.geometry.shares import convex_rings, split
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.tops import Plane
from humble_trowel.core.ground.before import found_mm, margin_mm, margins, strip_mm, stripped_mm
from humble_trowel.core.ground.displaced import by_facet, dug_m3, trenched_m3
from humble_trowel.core.ground.stack import below_slab_mm, native_of, stack_rows
from humble_trowel.core.order.leaves import area_leaf, area_times_depth, thin_leaf, volume_unit
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import format_volume, say_depth
from humble_trowel.core.working import Working, leaf, number_text, work

SPOIL_T_PER_M3 = 1.3


@dataclass(frozen=True)
class Spoil:
    """Ground that comes out, as it lies and loose. footings_m3: trenches of
    footings below the dig; back_m3: what of them goes back beside the concrete. Workings in the job's unit. trucks: to haul all of it."""

    strip_m3: float
    dig_m3: float
    trench_m3: float
    footings_m3: float
    back_m3: float
    loose_m3: float
    trucks: int
    haul_cents: int
    words: str
    strip: Working
    total: Working


@dataclass(frozen=True)
class FootingDig:
    """Trenches of footings below the dig, and what goes back in them. text, back_text: in the job's unit."""

    dug_m3: float
    back_m3: float
    text: str
    back_text: str


def footing_dig(plan: Plan, solid: Solid | None, ways: JobWays) -> FootingDig | None:
    """What is dug for footings: from the stripped ground, or from the bottom of the slab's dig where that is lower, down to
    their bottoms, as wide as dug; back goes what concrete does not fill. None where nothing is known or to be dug."""
    stripped = stripped_mm(plan, ways)
    if not plan.footings or stripped is None:
        return None
    dug = filled = 0.0
    holes, stood = trenches(plan), stood_below(plan)
    for region, ground in _grounds(plan, solid, ways, together([row.region for row in holes]), stripped):
        dug += math.fsum(
            over_m3(common(row.region, region), ground.plus_mm(-row.bottom_mm))
            for row in holes
            if row.region.intersects(region)
        )
        filled += stood_under_m3(stood, region, ground)
    back = max(0.0, dug - filled)
    return FootingDig(dug, back, format_volume(dug, plan.units, 1), format_volume(back, plan.units, 1))


def _grounds(
    plan: Plan, solid: Solid | None, ways: JobWays, whole: BaseGeometry, stripped: float
) -> Iterator[tuple[BaseGeometry, Plane]]:
    """The trenches cut by the ground that they are dug from: the bottom of the slab's dig where that is lower, else the
    stripped ground."""
    left = whole
    out = margins(plan, solid.cells, margin_mm(plan, ways)) if solid else {}
    for cell in solid.cells if solid else ():
        native, beside = native_of(plan, cell)
        for area, facets in ((cell.whole, native), (out[cell.index], beside)):
            own = common(left, area) if not area.is_empty else Polygon()
            for shape, plane in by_facet(own, facets) if not own.is_empty else ():
                yield from _lower(shape, plane, stripped)
        left = less(less(left, cell.whole), out[cell.index])
    if not left.is_empty:
        yield left, Plane(stripped)


def _lower(shape: BaseGeometry, plane: Plane, level_mm: float) -> Iterator[tuple[BaseGeometry, Plane]]:
    """A region with the lower one of a plane and a level."""
    if not plane.per_x and not plane.per_y:
        yield shape, Plane(min(plane.at_0, level_mm))
        return
    for ring in convex_rings(shape):
        above, below = split(ring, plane.plus_mm(-level_mm))
        if above:
            yield Polygon(above), Plane(level_mm)
        if below:
            yield Polygon(below), plane


def spoil(plan: Plan, solid: Solid, ways: JobWays) -> tuple[Spoil | None, list[Finding]]:
    """What is stripped, dug and trenched, bulked; None while the ground before is not known."""
    doubts: list[Finding] = []
    found, stripped = found_mm(plan), stripped_mm(plan, ways)
    if found is None or stripped is None:
        words = "Nobody has said how high the ground was before the work, so what comes out is not known."
        return None, [
            finding("found-not-set", "ground.found_mm", words, "Shoot the grass, or type its level under Build-up.")
        ]
    out = margins(plan, solid.cells, margin_mm(plan, ways))
    bare = together([Polygon(plan.outline), *out.values(), *(row.region for row in trenches(plan))])
    area = float(bare.area) / 1e6
    dug = trench = 0.0
    for cell in solid.cells:
        rows = stack_rows(plan, cell)
        level = rows[-1].top_mm
        if level > stripped + 5 and any(row.slab == cell.mark for row in plan.build_ups):
            gap = say_depth(level - stripped, plan.units)
            words = f"The stack of {cell.name} ends {gap} above the stripped ground: that much of it stands on air."
            doubts.append(
                finding(
                    "stack-in-air",
                    f"zones[{cell.index}]",
                    words,
                    "Add fill of that height to its build-up, or more stone.",
                )
            )
        native, beside = native_of(plan, cell)
        dug += dug_m3(cell.whole, native, stripped) + dug_m3(out[cell.index], beside, stripped)
        under = tuple(
            facet._replace(plane=facet.plane.plus_mm(below_slab_mm(plan, cell, rows[-1]))) for facet in native
        )
        trench += trenched_m3(solid, cell, under, below_slab_mm(plan, cell, rows[-1]), stripped)
    return _spoil(plan, ways, area, dug, trench, footing_dig(plan, solid, ways)), doubts


def _spoil(plan: Plan, ways: JobWays, area: float, dug: float, trench: float, footings: FootingDig | None) -> Spoil:
    unit, per = volume_unit(plan)
    inputs = {
        "area": area_leaf("Slab, margin and footings" if plan.footings else "Slab and margin", area, plan, "lines"),
        "deep": thin_leaf("Strip", strip_mm(plan, ways), plan, "ground/strip", "ways"),
    }
    strip = work("Sod and topsoil", unit, area_times_depth(plan, "area", "deep"), inputs, source="ways")
    parts = {
        "strip": strip,
        "dig": leaf("Dug below the strip", dug / per, unit, f"{dug / per:.2f} {unit}", "geometry"),
        "trench": leaf("Trenches below the dig", trench / per, unit, f"{trench / per:.2f} {unit}", "geometry"),
        "swell": leaf("Swell", ways.ground.swell, "", number_text(ways.ground.swell, 2), "stone-lift", "ways/ground"),
    }
    formula = "(strip + dig + trench) * swell"
    if footings:
        named = "Trenches of footings below the dig"
        parts["feet"] = leaf(named, footings.dug_m3 / per, unit, f"{footings.dug_m3 / per:.2f} {unit}", "geometry")
        formula = "(strip + dig + trench + feet) * swell"
    whole = work("Spoil, loose", unit, formula, parts, source="stone-lift")
    loose = whole.value * per
    trucks = math.ceil(loose * SPOIL_T_PER_M3 / ways.ground.truck_t - 1e-9)
    topsoil = format_volume(strip.value * per * ways.ground.swell, plan.units, 1)
    words = f"Keep the topsoil ({topsoil} {unit} loose) for round the edges; it is no fill. The rest backfills where it is clean, else it goes."
    if footings and footings.back_m3 > 0.01:
        words += f" {footings.back_text} {unit} goes back beside the footings and walls, packed in lifts."
    return Spoil(
        strip.value * per,
        dug,
        trench,
        footings.dug_m3 if footings else 0.0,
        footings.back_m3 if footings else 0.0,
        loose,
        trucks,
        round(loose * ways.ground.haul_cents_per_m3),
        words,
        strip,
        whole,
    )
