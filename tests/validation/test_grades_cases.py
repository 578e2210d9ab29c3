"""Cut and fill of whole jobs against the reference cases (cases/grades.json)."""

import json
from pathlib import Path

import pytest
from tests.plans import plan

from humble_trowel.core.grade import grade_job
from humble_trowel.core.ground.records import Shot, Shots

CASES = json.loads((Path(__file__).parent / "cases" / "grades.json").read_text())["cases"]


def of(kind):
    return [pytest.param(case, id=case["name"]) for case in CASES if case["input"]["kind"] == kind]


def agrees(got, expect):
    for name, want in (("cut_m3", expect["cut_m3"]), ("fill_m3", expect["low_m3"])):
        assert got[name] == pytest.approx(want, abs=max(0.002, 0.003 * abs(want)) / 1000), name  # far inside the case's
    assert (got["high_mm"], got["low_mm"]) == pytest.approx((expect["highest_mm"], expect["lowest_mm"]), abs=0.05)


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
    got = grade_job(job, Shots(layer="base", shots=shots)).told()
    agrees(got["ground"]["shots"], case["expect"])
    assert got["ground"]["shots"]["extra_concrete_m3"] == pytest.approx(case["expect"]["net_low_m3"], abs=2e-6)
