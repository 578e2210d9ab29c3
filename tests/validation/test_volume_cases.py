"""Volume cases through the whole figure: both ways of counting, and workings that add up to it (cases/volume.json)."""

import json
from pathlib import Path

import pytest
from tests.answers import figure

from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.units import M3_PER_YD3

CASES = json.loads((Path(__file__).parent / "cases" / "volume.json").read_text())["cases"]


@pytest.mark.parametrize("case", CASES, ids=[case["name"] for case in CASES])
def test_both_ways_and_the_workings_agree(case):
    plan = read_plan(case["input"])
    concrete = figure(plan, Ways()).concrete
    assert concrete.second_way_m3 == pytest.approx(case["expect"]["net_m3"], rel=2e-5)
    assert concrete.agree == "They agree."
    for part in concrete.parts:
        unit = 1.0 if plan.units == "mm" else M3_PER_YD3
        assert part.working.value * unit == pytest.approx(part.m3, abs=1e-9), part.part
    assert sum(part.m3 for part in concrete.parts) == pytest.approx(concrete.net_m3, rel=1e-12)
