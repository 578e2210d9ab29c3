"""Grades by themselves: levels, rod readings of a stack, cut and fill, base layers."""

from __future__ import annotations

from itertools import pairwise

import numpy as np
from shapely.geometry import Polygon

from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.geometry.tops import Facet, Plane
from humble_trowel.core.ground.cut_fill import cut_fill
from humble_trowel.core.ground.earthwork import layer_volume
from humble_trowel.core.ground.levels import Sight, level_run
from humble_trowel.core.ground.rod import rod_card
from humble_trowel.core.ground.shot_surface import shot_surface
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.rules.case import Answer, Given, by_kind
from humble_trowel.core.units import M3_PER_YD3, MM_PER_FT

OF_LAYER = {"slab": "slab", "insulation": "foam", "stone": "stone", "floor": "finish", "tile": "finish"}


def grades(given: Given) -> Answer:
    """Levels along set-ups, rod readings of a stack, cut and fill of shots, a base layer loose and packed."""
    return by_kind({"levels": _levels, "build_up": _build_up, "cut_fill": _cut_fill, "layer": _layer}, given)


def _levels(given: Given) -> Answer:
    sights = [Sight(row["bs"], row["fs"], row["shots"]) for row in given["setups"]]
    run = level_run(given["start_elevation"], sights, given["close_on"])
    told = {
        "HI": run.instrument, "turning_points": run.turning_points, "sum_BS": run.backsights, "sum_FS": run.foresights,
        "shots": run.shots,
    }  # fmt: skip
    if given["close_on"] is None:
        return told
    return {
        **told, "page_check": run.page_check, "misclosure": run.misclosure,
        "adjusted_turning_points": run.adjusted_points, "adjusted_shots": run.adjusted_shots,
    }  # fmt: skip


def _build_up(given: Given) -> Answer:
    """Every surface by a job with that stack, as the rod card has it. The case's own unit: feet where its slab is
    under 5 thick, else mm."""
    mm = MM_PER_FT if max(thick for _, thick in given["layers_down"]) < 5 else 1.0
    down = [(OF_LAYER[name.split()[0]], thick * mm, name) for name, thick in given["layers_down"]]
    up = [(OF_LAYER[name.split()[0]], thick * mm, name) for name, thick in given["layers_up"]]
    layers = [
        {"kind": kind} if kind == "slab" else {"kind": kind, "thickness_mm": thick} for kind, thick, _ in (*up[::-1], *down)
    ]  # fmt: skip
    plan = read_plan({
        "format": "humble-trowel-job", "version": 1, "name": "stack", "units": "mm",
        "outline": [[0, 0], [6000, 0], [6000, 4000], [0, 4000]],
        "slab_types": [{"mark": "S1", "thickness_mm": down[0][1]}], "zones": [{"name": "all", "slab": "S1"}],
        "build_ups": [{"slab": "S1", "layers": [*layers, {"kind": "native"}]}],
    })  # fmt: skip
    line = (given["HI"] - given["slab_top"]) * mm
    card = [
        row
        for row in rod_card(plan, build_solid(plan), JobWays(), line, None)
        if row.zone == "all" and row.key != "form"
    ]
    names = [f"top of {name}" for _, _, name in up[::-1]] + ["top of slab = top of form"]
    names += [f"top of {name} (bottom of {above})" for (_, _, above), (_, _, name) in pairwise(down)]
    names.append(f"top of subgrade (bottom of {down[-1][2]})")
    rods = [(name, (row.reading_mm or 0.0) / mm) for name, row in zip(names, card, strict=True)]
    rods += [(name, given["HI"] - given["slab_top"] + depth) for name, depth in given["below_slab_top"]]
    return {"rows": [{"surface": name, "elevation": given["HI"] - rod, "rod": rod} for name, rod in rods]}


def _cut_fill(given: Given) -> Answer:
    shots = np.array(given["shots_xy_h"], dtype=float)
    fall = given["design_plane"]
    triangles = np.array(given["triangles"]) if given["triangles"] else None
    surface = shot_surface(shots[:, :2], shots[:, 2], 1e5, triangles)
    found = cut_fill(surface, [Facet(Polygon(given["polygon"]), Plane(fall["c0"], fall["cx"], fall["cy"]))])
    return {
        "cut_m3": found.cut_m3, "low_m3": found.fill_m3, "net_low_m3": found.fill_m3 - found.cut_m3,
        "low_yd3": found.fill_m3 / M3_PER_YD3, "highest_mm": found.high_mm, "lowest_mm": found.low_mm,
    }  # fmt: skip


def _layer(given: Given) -> Answer:
    got = layer_volume(
        given["area_m2"], given["thick_mm"], given["loose_factor"], given["density_loose_t_m3"], given["max_lift_mm"],
        given.get("max_lift_is", "compacted"),
    )  # fmt: skip
    return {
        "area_m2": given["area_m2"], "thickness_mm": given["thick_mm"], "V_compacted_m3": got.compacted_m3,
        "V_loose_m3": got.loose_m3, "V_loose_yd3": got.loose_m3 / M3_PER_YD3, "mass_t": got.tonnes,
        "mass_short_ton": got.short_tons, "density_compacted_t_m3": given["loose_factor"] * given["density_loose_t_m3"],
        "lifts": got.lifts, "each_lift_compacted_mm": got.lift_compacted_mm, "each_lift_loose_mm": got.lift_loose_mm,
    }  # fmt: skip
