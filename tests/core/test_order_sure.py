"""The order as a decision: where doubt sits, what shots shrink, twenty pours, short against long, the held load, a person's own order."""

import math
from itertools import pairwise

import pytest
from tests.plans import edited, plan

from humble_trowel.core.errors import EditError
from humble_trowel.core.ground.records import Shots
from humble_trowel.core.job import Job
from humble_trowel.core.order.hold import placed_by
from humble_trowel.core.order.risk import Volume
from humble_trowel.core.order.sure import costs_of, decided, pours_of, weighed
from humble_trowel.core.plan.ways import Ways, ways_for
from humble_trowel.core.reading.site_records import SiteRecords

EDGE = {"edge_types": [{"mark": "E1", "kind": "thickened", "depth_mm": 450, "bottom_width_mm": 300}], "edges": [{"sides": [0, 1, 2, 3], "type": "E1"}]}  # fmt: skip
BASE = {
    "build_ups": [
        {"slab": "S1", "layers": [{"kind": "slab"}, {"kind": "graded", "thickness_mm": 100}, {"kind": "native"}]}
    ]
}
LONG = {
    **EDGE,
    "outline": [[0, 0], [12000, 0], [12000, 8000], [0, 8000]],
    "order": {"pour_at": "2027-06-17T06:30", "spacing_min": 45},
}
WAYS = Ways.model_validate({"plant": {"truck_m3": 7}})


def by_key(job):
    return {row.key: row for row in job.doubts}


def test_every_part_of_the_need_carries_a_middle_and_a_spread_that_its_working_gives():
    job = Job(plan(**EDGE), WAYS)
    rows = by_key(job)
    assert list(rows) == ["trench", "base", "bow", "yield", "left"]
    own = job.ways.doubt
    area = 24.0
    rough = own.rough_mm * math.sqrt(min(1, own.rough_m2 / area))
    assert rows["base"].sd_m3 == pytest.approx(area * math.hypot(own.base_sd_mm, rough) / 1000)
    assert rows["base"].mean_m3 == pytest.approx(area * job.ways.allowances.base_low_mm / 1000)
    assert rows["bow"].sd_m3 == pytest.approx(20 * 0.45 * 2 / 3 * own.bow_sd_mm / 1000)
    assert rows["yield"].sd_m3 == pytest.approx(job.need_m3 / 100)
    assert job.sure.volume.sd_m3 == pytest.approx(math.sqrt(sum(row.sd_m3**2 for row in job.doubts)))
    assert "prime" in by_key(Job(plan(order={"method": "pump"}), WAYS))


def test_shots_shrink_what_they_settle_and_are_worth_their_money():
    spots = [(x, y) for x in range(500, 6000, 1000) for y in range(500, 4000, 1000)]
    shots = [{"name": f"{i}", "at": at, "level_mm": -100 - (i % 2)} for i, at in enumerate(spots)]
    guessed = Job(plan(**EDGE, **BASE), WAYS)
    shot = Job(plan(**EDGE, **BASE), WAYS, SiteRecords([("s", Shots.model_validate({"shots": shots}))]))
    assert by_key(shot)["base"].measured and by_key(shot)["base"].sd_m3 < by_key(guessed)["base"].sd_m3 / 3
    assert guessed.sure.saves_cents > 0 and shot.sure.saves_cents is None
    assert shot.sure.best.cost_cents < guessed.sure.best.cost_cents


def test_twenty_pours_stand_for_all_and_short_and_long_add_up_to_the_cost():
    job = Job(plan(**LONG), WAYS)
    found = job.sure
    pours = found.pours_m3
    assert len(pours) == 20 and pours == sorted(pours)
    assert sum(pours) / 20 == pytest.approx(found.volume.mean_m3)
    for row in found.rows:
        over = row.cost_cents - found.costs.price_cents_m3 * found.volume.mean_m3
        assert row.short_cents + row.long_cents == pytest.approx(over, abs=1)
        assert abs(row.pours_short / 20 - row.short_share) <= 0.05
    assert found.best.over_cents == pytest.approx(min(row.over_cents for row in found.rows))


@pytest.mark.parametrize("seed", range(12))
def test_more_spread_never_lowers_the_stock_while_short_costs_more(seed):
    costs = costs_of(plan(), ways_for(Ways.model_validate({"risk": {"short_cents_m3": 0}}), plan().ways))
    mean = 20 + seed / 3
    stock = [decided(Volume(mean, sd), costs) - mean for sd in (0.05, 0.2, 0.4, 0.8)]
    assert all(b >= a - costs.step_m3 for a, b in pairwise(stock)) and stock[-1] > stock[0]


def test_no_spread_is_the_plain_sum_up_to_the_next_step():
    certain = Volume(8.76, 0.0)
    costs = costs_of(plan(), ways_for(Ways(), plan().ways))
    assert decided(certain, costs) == 9.0 and pours_of(certain) == [8.76]
    assert weighed(certain, 9.0, costs, [8.76]).short_cents == 0


def test_the_last_load_is_held_until_road_batching_and_line_say_so_and_its_doubt_shrinks():
    job = Job(plan(**LONG), WAYS)
    hold, own = job.hold, job.ways.pour
    last = 45 * (len(job.loads_m3) - 1)
    assert hold.say_min == last - own.travel_min - own.batch_min - own.line_min
    sds = [one.sd_m3 for one in hold.moments]
    assert sds == sorted(sds, reverse=True) and hold.last_m3_min <= hold.last_m3 <= hold.last_m3_max <= 7
    assert job.sure_told.hold.say_text == "6:29" if last == 45 else job.sure_told.hold.say_text
    assert Job(plan(), WAYS).hold is None
    assert [placed_by([(0, 0), (10, 5), (20, 5)], at) for at in (0, 5, 15, 99)] == [0, 2.5, 5, 5]


def test_a_person_overrules_with_a_reason_that_stays():
    start = plan(**LONG)
    with pytest.raises(EditError, match="Say why"):
        edited(start, {"op": "say_order", "ordered": "20", "why": " "})
    with pytest.raises(EditError, match="no amount"):
        edited(start, {"op": "say_order", "ordered": 0.0, "why": "x"})
    said = edited(start, {"op": "say_order", "ordered": "20", "why": "two pads take the rest", "by": "Wren"})
    job = Job(said, WAYS)
    assert job.numbers.order_m3 == 20 and sum(job.loads_m3) == pytest.approx(20)
    assert job.numbers.ordered.order.note == "Wren said so: two pads take the rest"
    assert (job.sure_told.said, job.sure_told.by) == (True, "Wren")
    back = edited(said, {"op": "drop_order"})
    assert Job(back, WAYS).numbers.order_m3 == Job(start, WAYS).numbers.order_m3
    with pytest.raises(EditError, match="Nobody"):
        edited(back, {"op": "drop_order"})


def test_a_crew_that_orders_by_least_cost_gets_the_best_one_and_what_it_uses_on_site_counts():
    ways = Ways.model_validate({"plant": {"truck_m3": 7}, "doubt": {"decide": "cost"}})
    job = Job(plan(**LONG), ways)
    assert job.numbers.order_m3 == pytest.approx(job.sure.best.order_m3)
    assert job.numbers.ordered.order.source == "least-cost"
    pads = edited(plan(**LONG), {"op": "add_spare", "name": "Two hive pads", "takes": "0.5"})
    assert Job(pads, ways).sure.best.cost_cents < job.sure.best.cost_cents
    assert edited(pads, {"op": "take_out_spare", "spare": pads.order.spare[0].id}).order.spare == []


def test_no_price_and_a_truck_under_the_least_load_are_said():
    ways = Ways.model_validate({"plant": {"truck_m3": 0.6}, "ground": {"concrete_cents_per_m3": 0}})
    codes = {row.code: row for row in Job(plan(), ways).deciding_findings}
    assert {"truck-under-least", "concrete-unpriced"} <= set(codes)
    assert codes["concrete-unpriced"].tabs == ("sure", "cost")
