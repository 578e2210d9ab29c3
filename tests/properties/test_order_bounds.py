"""Whatever the slab and the ways, the order is enough and not a step too much, and the trucks carry it."""

import math

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from tests.answers import figure
from tests.plans import plan

from humble_trowel.core.plan.ways import SLACK_M3, Allowances, Plant, Ways

YD = 0.764554857984
sizes = st.floats(600, 30000)
ways = st.builds(
    lambda low, wide, left, step, step_m, truck, truck_m: Ways(
        allowances=Allowances(base_low_mm=low, trench_wide_mm=wide, left_behind_m3=left),
        plant=Plant(increment_yd3=step, increment_m3=step_m, truck_yd3=truck, truck_m3=truck_m),
    ),
    st.floats(0, 40), st.floats(0, 60), st.floats(0, 1), st.sampled_from([0.25, 0.5]), st.sampled_from([0.25, 0.5]),
    st.integers(2, 12), st.integers(2, 12),
)  # fmt: skip
EDGE = {"mark": "E1", "kind": "thickened", "depth_mm": 400, "bottom_width_mm": 300, "haunch_run_per_rise": 1}


@settings(max_examples=120, deadline=None)
@given(sizes, sizes, st.floats(60, 250), st.booleans(), st.sampled_from(["mm", "ft-in"]), ways)
def test_enough_and_not_a_step_too_much(w, d, thick, thickened, units, crew):
    pad = plan(
        units=units,
        outline=[[0, 0], [w, 0], [w, d], [0, d]],
        slab_types=[{"mark": "S1", "thickness_mm": thick}],
        edge_types=[EDGE],
        edges=[{"sides": [0, 1, 2, 3], "type": "E1"}] if thickened else [],
    )
    result = figure(pad, crew)
    concrete = result.concrete
    step = crew.plant.increment_m3 if units == "mm" else crew.plant.increment_yd3 * YD
    truck = crew.plant.truck_m3 if units == "mm" else crew.plant.truck_yd3 * YD
    need = concrete.net_m3 + sum(row.m3 for row in concrete.allowances)
    assert need - SLACK_M3 - 1e-6 <= concrete.order_m3 < need - SLACK_M3 + step + 1e-6
    assert concrete.order_m3 / step == pytest.approx(round(concrete.order_m3 / step), abs=1e-6)
    assert sum(one.load_m3 for one in result.trucks) == pytest.approx(concrete.order_m3)
    assert len(result.trucks) == math.ceil(concrete.order_m3 / truck - 1e-9)
    assert all(one.load_m3 <= truck + 1e-9 for one in result.trucks)
    assert concrete.allowances == [] or all(row.m3 > 0 and row.reason for row in concrete.allowances)
