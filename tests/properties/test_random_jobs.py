"""Random legal jobs counted three ways, the same ones at every run; and every job that a search once found at fault."""

import json
from pathlib import Path

import pytest
from tests.plans import plan
from tests.random_jobs import random_job
from tests.search import FOUND, fault_of, three_ways

KEPT = sorted(Path(FOUND).glob("*.json"))


@pytest.mark.parametrize("seed", range(40))
def test_parts_slices_and_a_plain_grid_agree_and_every_answer_comes_about(seed):
    assert fault_of(random_job(seed))[1] == ""


@pytest.mark.parametrize("path", KEPT, ids=[path.stem for path in KEPT])
def test_what_was_found_once_stays_mended(path):
    assert fault_of(json.loads(path.read_text())["job"])[1] == ""


@pytest.mark.parametrize(("run_per_rise", "m3"), [(0, 17.4015), (1, 17.65193)])
def test_an_acute_bend_of_a_line_inside_keeps_its_tip(run_per_rise, m3):
    """Both legs keep all of their strip, past each other's line: 0.5 x 600 x 300 mm beyond either, 300 mm deep."""
    edge = {
        "mark": "E1",
        "kind": "thickened",
        "depth_mm": 400,
        "bottom_width_mm": 300,
        "haunch_run_per_rise": run_per_rise,
    }
    along = {"along": [[3000, 5000], [7000, 5000], [4000, 3500]], "grow": "right", "type": "E1"}
    job = plan(outline=[[0, 0], [14000, 0], [14000, 12000], [0, 12000]], edge_types=[edge], edges=[along])
    from humble_trowel.core.geometry.solid import build_solid

    assert build_solid(job).net_m3 == pytest.approx(m3, abs=1e-5)
    assert three_ways(job) == ""
