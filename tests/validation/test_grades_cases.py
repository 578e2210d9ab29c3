"""Levels, build-ups, cut and fill, and base layers against the reference cases (cases/grades.json)."""

import json
from pathlib import Path

import numpy as np
import pytest
from shapely.geometry import Polygon
from tests.plans import plan

from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.geometry.tops import Facet, Plane
from humble_trowel.core.ground.cut_fill import cut_fill
from humble_trowel.core.ground.earthwork import layer_volume
from humble_trowel.core.ground.grade import graded_json
from humble_trowel.core.ground.levels import Sight, level_run
from humble_trowel.core.ground.rod import rod_card
from humble_trowel.core.ground.shot_surface import shot_surface
from humble_trowel.core.plan.site_records import Shot, Shots
from humble_trowel.core.plan.ways import Ways

CASES = json.loads((Path(__file__).parent / "cases" / "grades.json").read_text())["cases"]


def of(kind):
    return [pytest.param(case, id=case["name"]) for case in CASES if case["input"]["kind"] == kind]


@pytest.mark.parametrize("case", of("levels"))
def test_levels(case):
    said, expect = case["input"], case["expect"]
    sights = [Sight(row["bs"], row["fs"], row["shots"]) for row in said["setups"]]
    run = level_run(said["start_elevation"], sights, said["close_on"])
    near = pytest.approx
    assert run.instrument == near(expect["HI"], abs=case["tolerance"])
    assert run.turning_points == near(expect["turning_points"], abs=case["tolerance"])
    assert (run.backsights, run.foresights) == near((expect["sum_BS"], expect["sum_FS"]), abs=case["tolerance"])
    assert run.shots == near(expect["shots"], abs=case["tolerance"])
    if said["close_on"] is not None:
        assert run.page_check == near(expect["page_check"], abs=1e-9)
        assert run.misclosure == near(expect["misclosure"], abs=case["tolerance"])
        assert run.adjusted_points == near(expect["adjusted_turning_points"], abs=case["tolerance"])
        assert run.adjusted_shots == near(expect["adjusted_shots"], abs=case["tolerance"])


KINDS = {"slab": "slab", "insulation": "foam", "stone": "stone", "floor": "finish", "tile": "finish"}


@pytest.mark.parametrize("case", of("build_up"))
def test_build_up_gives_the_rod_reading_of_every_surface(case):
    said, expect = case["input"], case["expect"]
    mm = 304.8 if "ft" in case["name"] else 1.0
    down = [(KINDS[name.split()[0]], thick * mm) for name, thick in said["layers_down"]]
    up = [{"kind": KINDS[name.split()[0]], "thickness_mm": thick * mm} for name, thick in said["layers_up"]]
    layers = [{"kind": kind} if kind == "slab" else {"kind": kind, "thickness_mm": thick} for kind, thick in down]
    trench = next(depth for name, depth in said["below_slab_top"] if "trench" in name) * mm
    job = plan(
        slab_types=[{"mark": "S1", "thickness_mm": down[0][1]}],
        build_ups=[{"slab": "S1", "layers": [*up, *layers, {"kind": "native"}]}],
        zones=[
            {"name": "all", "slab": "S1", "polygon": None},
            {
                "name": "bay",
                "slab": "S1",
                "polygon": [[0, 0], [500, 0], [500, 4000], [0, 4000]],
                "drop_mm": 0.125 * 304.8,
            },
        ],
        edge_types=[{"mark": "E1", "kind": "thickened", "depth_mm": trench, "bottom_width_mm": 300}],
        edges=[{"sides": [1], "type": "E1"}],
    )
    line = (said["HI"] - said["slab_top"]) * mm
    card = rod_card(job, build_solid(job), Ways(), line, None)
    readings = {(row.surface, row.zone): row.reading_mm / mm for row in card}
    names = ["top of floor finish", "top of slab", "top of foam", "top of clean stone", "dig"]
    for name, row in zip(names, expect["rows"], strict=False):
        assert readings[name, "all"] == pytest.approx(row["rod"], abs=case["tolerance"]), row["surface"]
    assert readings["E1 trench bottom", ""] == pytest.approx(expect["rows"][5]["rod"], abs=case["tolerance"])
    if len(expect["rows"]) > 6:
        assert readings["top of slab", "bay"] == pytest.approx(expect["rows"][6]["rod"], abs=case["tolerance"])


def agrees(got, expect):
    for name, want in (("cut_m3", expect["cut_m3"]), ("fill_m3", expect["low_m3"])):
        assert got[name] == pytest.approx(want, abs=max(0.002, 0.003 * abs(want)) / 1000), name  # far inside the case's
    assert (got["high_mm"], got["low_mm"]) == pytest.approx((expect["highest_mm"], expect["lowest_mm"]), abs=0.05)


@pytest.mark.parametrize("case", of("cut_fill"))
def test_cut_and_fill(case):
    said = case["input"]
    shots = np.array(said["shots_xy_h"], dtype=float)
    fall = said["design_plane"]
    triangles = np.array(said["triangles"]) if said["triangles"] else None
    surface = shot_surface(shots[:, :2], shots[:, 2], 1e5, triangles)
    found = cut_fill(surface, [Facet(Polygon(said["polygon"]), Plane(fall["c0"], fall["cx"], fall["cy"]))])
    agrees(found.__dict__, case["expect"])


@pytest.mark.parametrize("case", [row for row in of("cut_fill") if row.values[0]["input"]["triangles"] is None])
def test_cut_and_fill_of_a_whole_job(case):
    """The same shots as a CSV gives them, on a slab without build-up: the base's top is the slab's underside."""
    said = case["input"]
    fall = said["design_plane"]
    shift = 0.0
    zone = {"name": "all", "slab": "S1", "polygon": None}
    if fall["cx"]:
        zone["fall"] = {"kind": "plane", "toward_deg": 90, "rate": -fall["cx"]}
        shift = fall["c0"]
    job = plan(outline=said["polygon"], zones=[zone])
    shots = [Shot(name=str(i), at=(x, y), level_mm=h - shift - 100) for i, (x, y, h) in enumerate(said["shots_xy_h"])]
    got = graded_json(job, Ways(), Shots(layer="base", shots=shots))
    agrees(got["ground"]["shots"], case["expect"])
    assert got["ground"]["shots"]["extra_concrete_m3"] == pytest.approx(case["expect"]["net_low_m3"], abs=2e-6)


@pytest.mark.parametrize("case", of("layer"))
def test_base_layers(case):
    said, expect = case["input"], case["expect"]
    got = layer_volume(
        said["area_m2"], said["thick_mm"], said["loose_factor"], said["density_loose_t_m3"], said["max_lift_mm"],
        said.get("max_lift_is", "compacted"),
    )  # fmt: skip
    assert got.lifts == expect["lifts"]
    pairs = {
        got.compacted_m3: "V_compacted_m3", got.loose_m3: "V_loose_m3", got.tonnes: "mass_t",
        got.short_tons: "mass_short_ton", got.lift_compacted_mm: "each_lift_compacted_mm", got.lift_loose_mm: "each_lift_loose_mm",
    }  # fmt: skip
    for value, key in pairs.items():
        assert value == pytest.approx(expect[key], rel=1e-3), key
