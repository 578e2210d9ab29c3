"""Net volume against reference cases that two or three independent methods agree on (cases/volume.json)."""

import json
from pathlib import Path

import pytest

from humble_trowel.core.figures import figure
from humble_trowel.core.plan.reading import read_plan
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.units import M3_PER_YD3

CASES = json.loads((Path(__file__).parent / "cases" / "volume.json").read_text())["cases"]


@pytest.mark.parametrize("case", CASES, ids=[case["name"] for case in CASES])
def test_net_volume_agrees(case):
    plan = read_plan(case["input"])
    concrete = figure(plan, Ways()).concrete
    assert concrete is not None
    expect = case["expect"]
    assert concrete.net_m3 == pytest.approx(expect["net_m3"], rel=1e-6)
    assert concrete.second_way_m3 == pytest.approx(expect["net_m3"], rel=5e-5)
    names = {"slabs": "slab", "edges_beyond_slabs": "edge", "beams_beyond_those": "beam", "pads_beyond_those": "pad",
             "recess_change": "recess"}  # fmt: skip
    for key, value in expect.get("parts", {}).items():
        own = sum(part.m3 for part in concrete.parts if part.kind == names[key])
        assert own == pytest.approx(value, abs=2e-5), key
    for part in concrete.parts:
        unit = 1.0 if plan.units == "mm" else M3_PER_YD3
        assert part.working.value * unit == pytest.approx(part.m3, abs=1e-9), part.part
    assert sum(part.m3 for part in concrete.parts) == pytest.approx(concrete.net_m3, rel=1e-12)
    assert figure(plan, Ways()).outline.area_m2 == pytest.approx(expect["plan_area_m2"], rel=1e-6)
