"""Allowances, the plant's step, trucks and the call-in card."""

import pytest
from tests.answers import figure
from tests.plans import edited, job, l_shape, plan

from humble_trowel.core.job import Job
from humble_trowel.core.order.call_in import card_text
from humble_trowel.core.plan.ways import Allowances, Plant, Ways
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.stages import report

YD = 0.764554857984
BARE = Allowances(base_low_mm=0, trench_wide_mm=0, left_behind_m3=0)


def test_the_house_allowances_are_worked_item_by_item():
    concrete = figure(l_shape(), Ways()).concrete
    base, trench, left = concrete.allowances
    assert base.m3 == pytest.approx(768 / 4 / 324 * 3 * YD / 3, rel=1e-6)
    assert trench.m3 == pytest.approx(128 * 12 * 0.5 * 14 / 46656 * YD, rel=1e-6)
    assert left.m3 == pytest.approx(0.25 * YD)
    assert all(row.reason for row in concrete.allowances)
    assert concrete.ordered.text == "19"


@pytest.mark.parametrize(
    ("depth_mm", "yd"), [(25.4 * 4.05, 6.0), (25.4 * 4.0535, 6.5), (25.4 * 4.3875, 6.5), (25.4 * 4.395, 7.0)]
)
def test_the_order_goes_up_to_the_next_step_after_the_slack(depth_mm, yd):
    """20 x 24 ft: 1 in is 1.4815 yd3, so 4.05 in is exactly 6 and 4.0534 in is 6 plus the slack of 0.005."""
    pad = plan(units="ft-in", outline=[[0, 0], [6096, 0], [6096, 7315.2], [0, 7315.2]],
               slab_types=[{"mark": "S1", "thickness_mm": depth_mm}])  # fmt: skip
    assert figure(pad, Ways(allowances=BARE)).concrete.order_yd3 == pytest.approx(yd)


def test_loads_fill_trucks_and_a_small_last_load_is_remarked():
    result = figure(l_shape(), Ways())
    assert [truck.load_yd3 for truck in result.trucks] == pytest.approx([9, 9, 1])
    assert "last-load-short" in [doubt.code for doubt in result.findings]
    assert sum(truck.load_m3 for truck in result.trucks) == pytest.approx(result.concrete.order_m3)
    quarter = figure(l_shape(), Ways(plant=Plant(increment_yd3=0.25, truck_yd3=10, confirmed=True)))
    assert [truck.text for truck in quarter.trucks] == ["10", "9"]
    small = figure(l_shape(), Ways(plant=Plant(truck_yd3=4, confirmed=True)))
    assert next(line.says for line in small.call_in if line.key == "loads").startswith("Five trucks: 4 of 4 and 3.")
    assert [doubt.code for doubt in quarter.findings] == ["slab-guessed"]


def test_a_metric_job_orders_in_cubic_metres():
    concrete = figure(plan(), Ways(allowances=BARE, plant=Plant(increment_m3=0.25))).concrete
    assert (concrete.net_m3, concrete.order_m3, concrete.ordered.text) == (pytest.approx(2.4), 2.5, "2.5")


def test_a_job_may_do_it_differently_and_says_so():
    own = edited(l_shape(), {"op": "set_fields", "values": {"ways.base_low_mm": "1/8", "ways.reason": "shot twice"}})
    row = figure(own, Ways()).concrete.allowances[0]
    assert (row.source, row.reason) == ("job-way", "shot twice")
    assert row.m3 == pytest.approx(figure(l_shape(), Ways()).concrete.allowances[0].m3 / 2)


def test_the_card_is_in_the_dispatchers_order_and_marks_what_is_unsaid():
    lines = figure(l_shape(), Ways()).call_in
    assert [line.key for line in lines] == [
        "account",
        "when",
        "where",
        "yards",
        "mix",
        "loads",
        "unloaded",
        "ring",
    ]
    assert [line.key for line in lines if line.missing] == [
        "account",
        "when",
        "where",
        "mix",
        "loads",
        "unloaded",
        "ring",
    ]
    said = edited(l_shape(), {"op": "set_fields", "values": {
        "order.pour_at": "2027-06-17T06:30", "mix.strength_mpa": "4000 psi", "mix.stone_mm": "3/4", "mix.slump_mm": "5",
        "mix.air_percent": 0, "order.spacing_min": 40, "order.method": "pump", "site.address": "Ford", "site.directions": "East gate",
        "order.ring.name": "Wren", "order.ring.phone": "555 0141"}})  # fmt: skip
    full = figure(said, Ways(firm="Larkfield", plant=Plant(account="7")))
    assert not [line for line in full.call_in if line.missing]
    text = card_text(said, full.call_in)
    assert "Thursday 17 June, first truck on site at 6:30." in text
    assert "4,000 psi, 3/4″ stone, 5″ slump, no added air." in text
    assert "Three trucks: 9, 9 and 1 1/2. 40 minutes apart." in text


def test_the_json_names_are_fixed():
    data = report(Job(read_plan(job())))
    assert list(data) == [
        "outline",
        "concrete",
        "trucks",
        "levels",
        "order",
        "delivery",
        "mix",
        "cost",
        "lines",
        "forms",
        "ground",
        "edges",
        "footings",
        "walls",
        "underslab",
        "barrier",
        "foam",
        "line_tests",
        "tubing",
        "steel",
        "embeds",
        "screed",
        "joints",
        "day",
        "clock",
        "starts",
        "gate",
        "walk",
        "schedule",
        "pour",
        "cure",
        "lessons",
        "findings",
    ]
    assert list(data["outline"]) == ["area_m2", "perimeter_m", "sides_mm", "diagonals"]
    assert list(data["concrete"]) == [
        "net_m3",
        "parts",
        "second_way_m3",
        "second_pours",
        "allowances",
        "order_m3",
        "order_yd3",
        "parts_as_dug",
    ]
    assert data["outline"]["diagonals"][0] == {"from": 0, "to": 2, "mm": pytest.approx(7211.1, abs=0.1)}
