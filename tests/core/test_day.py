"""The day of a pour: what dries, what sets when and in how wide a range, when to start and why not, what prints move."""

import math

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from tests.days import day_job, pour

from humble_trowel.core.day.casts import Cast, casts_of
from humble_trowel.core.day.prints import Belief, Print
from humble_trowel.core.day.sheet import sheet_of
from humble_trowel.core.day.starts import best, until
from humble_trowel.core.job import Job
from humble_trowel.core.plan.day_ways import DayWays
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.stages import STAGES
from humble_trowel.core.stages.gate import gate_told
from humble_trowel.core.weather.hours import clock_of
from humble_trowel.core.weather.records import Footprint

GATE = next(stage for stage in STAGES if stage.id == "gate")


def codes(job):
    return {row.code for row in job.day_findings}


def test_loads_fill_zones_in_their_order_and_every_zone_has_one():
    job = Job(pour())
    rows = casts_of(job.plan, job.shape, job.planned_pour)
    assert [row.from_min for row in rows] == sorted(row.from_min for row in rows)
    assert {row.name for row in rows} == {zone.name for zone in job.plan.zones}
    assert all(row.batch_min < row.from_min < row.to_min for row in rows)
    assert sum(row.area_m2 for row in rows) == pytest.approx(
        sum(cell.area_m2 for cell in job.shape.cells), rel=0.1
    )  # what a load brings to a zone by the way has no clock


def test_the_clock_has_a_range_for_everything_and_its_events_follow_one_another():
    found = day_job().day
    for row in found.clock:
        spans = [row.float_at, row.initial, row.final, row.early_saw, row.saw_from, row.safe, row.build, row.load]
        assert all(span.low_h < span.at_h < span.high_h for span in spans)
        middles = [span.at_h for span in spans]
        assert middles == sorted(middles) and row.from_h < middles[0]
        assert row.walk.at_h == pytest.approx(row.safe.at_h, rel=0.02)  # 3.5 MPa is 500 psi
    assert found.covered and not found.usual


def test_in_frost_it_says_when_it_freezes_and_no_strength_hour_and_a_blanket_mends_it():
    bare = day_job(air_c=lambda hour: -6.0 + 3 * math.cos(hour / 3.8), wind_ms=3.0)
    row = bare.day.clock[0]
    assert row.freezes is not None and (row.safe, row.build, row.saw_from) == (None, None, None)
    assert "slab-freezes" in codes(bare) and GATE.standing(bare).state == "flagged"
    assert {why.rule for start in bare.day.starts for why in start.why_not} >= {"frost"}
    kept = day_job(
        pour(
            day={"blanket": {"r_m2_k_w": 2.0, "after_h": 3.0}, "deep_c": 12},
            mix={"wanted_c": 24, "setting": "accelerated"},
        ),
        air_c=-2.0,
    )
    assert "slab-freezes" not in codes(kept) and all(one.safe is not None for one in kept.day.clock)


def test_where_the_window_closes_before_it_opens_the_early_saw_is_told():
    slow = pour(mix={"slag_share": 0.5, "wanted_c": 14})
    job = day_job(slow, air_c=lambda hour: 14 + 9 * math.cos((hour - 15) / 24 * 2 * math.pi))
    late = [row for row in job.day.clock if row.no_saw]
    assert late and "saw-late" in codes(job)
    sheet = shown(job)
    line = next(row.line for row in sheet.ribbons if row.no_saw)
    assert "early-entry saw from" in line and line.startswith("closes")
    early = day_job(crew=Ways(day=DayWays(saw="early")))
    assert {row.saw for row in shown(early).ribbons} == {"early_saw"} and {
        row.saw for row in shown(day_job()).ribbons
    } == {"saw_from"}


def shown(job, now="2027-06-16T12:00-04:00"):
    from datetime import datetime

    spots = [(0.0, 0.0)] * len(job.plan.zones)
    return sheet_of(job.plan, job.ways, job.day, spots, datetime.fromisoformat(now), 0)


def test_drying_is_too_fast_from_the_hour_on_which_the_wind_rises_and_what_helps_is_compared():
    windy = {"wind_ms": lambda hour: 2.0 if hour < 10 else 11.0, "humid_share": 0.35, "air_c": 27.0}
    job = day_job(**windy)
    spans = [span for row in job.day.drying for span in row.spans_h]
    assert spans and all(9.5 < a < b for a, b in spans) and "drying-fast" in codes(job)
    assert all(row.worst_kg_m2_h > job.day.limit.kg_m2_h for row in job.day.drying if row.spans_h)
    helps = {row.key: row for row in job.day.helps}
    worst = max(row.worst_kg_m2_h for row in job.day.drying)
    assert helps["film"].worst_kg_m2_h < 0.65 * worst and helps["windbreak"].worst_kg_m2_h < 0.8 * worst
    assert helps["fog"].worst_kg_m2_h < worst
    sheet = shown(job)
    assert any(row.line.startswith("too fast 10:") or row.line.startswith("too fast 9:") for row in sheet.drying)
    assert "Menzel" in sheet.drying[0].worst_text and "Uno" in sheet.drying[0].other_text
    ash = day_job(pour(mix={"ash_share": 0.2}), **windy)
    assert ash.day.limit.kg_m2_h == 0.5 and "ash" in ash.day.limit.why
    helped = day_job(pour(day={"helps": ["film", "windbreak"]}), **windy)
    assert max(row.worst_kg_m2_h for row in helped.day.drying) < 0.45 * worst


def test_starts_name_the_rule_that_fails_and_the_best_one_is_nearest_to_the_booked():
    job = day_job(rain_mm=lambda hour: 2.0 if 15 <= hour <= 16 else 0.0)
    found, clock = job.day, clock_of(job.plan.site, job.plan.order.pour_at)
    by_text = {clock.text(row.at_h): row for row in found.starts}
    assert by_text["5:00"].why_not[0].rule == "trucks" and by_text["12:00"].why_not[0].rule == "rain"
    assert by_text["6:30"].passes and found.best_h == by_text["6:30"].at_h == best(found.starts, found.start_h).at_h
    assert until(found.starts, found.best_h) < 12  # rain stops them from then on
    late = [row for row in found.starts if clock.text(row.at_h) == "Fri 16:00"]
    assert [why.rule for why in late[0].why_not] == ["dark", "crew"]
    lit = day_job(pour(day={"lights": True}))
    assert [why.rule for row in lit.day.starts if clock.text(row.at_h) == "Fri 16:00" for why in row.why_not] == [
        "crew"
    ]
    assert shown(job).verdict == "Thu 6:30"


def test_a_day_on_which_nothing_passes_offers_the_next_and_unknown_weather_is_no_pass():
    job = day_job(rain_mm=lambda hour: 3.0 if 0 <= hour < 24 else 0.0)
    sheet = shown(job)
    assert sheet.verdict == "Fri 6:30" and "None on Thu 17 Jun: rain" in sheet.words
    short = day_job(hours=range(-6, 14))
    assert not short.day.covered and "weather-short" in codes(short)
    assert not any(row.passes for row in short.day.starts if row.at_h > 9)
    never = day_job(rain_mm=3.0)
    assert shown(never).verdict == "No start passes"


def test_a_print_moves_its_own_clock_most_and_others_by_what_they_share():
    plain = day_job().day
    first = plain.clock[0]
    clock = clock_of(pour().site, "2027-06-17T06:30")
    early = clock.at(first.float_at.at_h - 0.5).replace(tzinfo=None).isoformat(timespec="minutes")
    job = day_job(records=[Footprint(seen="print", at=early, zone=first.zone, truck=first.truck)])
    moved = job.day.clock
    sooner = {(a.zone, a.truck): b.float_at.at_h - a.float_at.at_h for a, b in zip(plain.clock, moved, strict=True)}
    own = sooner[first.zone, first.truck]
    assert own < -0.3 and all(own <= hours < -0.05 for hours in sooner.values())
    assert moved[0].sd_share < first.sd_share and moved[0].was_float_h == pytest.approx(first.float_at.at_h)
    assert job.day.shared.pace_ratio > 1.02 and "faster" in shown(job).pace.words
    soft = day_job(
        records=[
            Footprint(
                seen="soft",
                at=clock.at(first.float_at.high_h).replace(tzinfo=None).isoformat(timespec="minutes"),
                zone=first.zone,
                truck=first.truck,
            )
        ]
    )
    assert soft.day.shared.pace_ratio < 0.98
    nowhere = day_job(
        records=[Footprint(seen="print", at="2027-06-17T05:00", zone=first.zone)]
    )  # nothing lies there yet
    assert nowhere.day.prints == []


@settings(max_examples=40, deadline=None)
@given(
    st.lists(
        st.tuples(st.integers(0, 3), st.sampled_from(["print", "soft", "none"]), st.floats(-0.6, 0.6)),
        min_size=1,
        max_size=6,
    )
)
def test_whatever_is_seen_spreads_only_shrink_and_each_look_moves_towards_what_it_says(looks):
    casts = [Cast(f"z{i % 2}", "", i % 2, "S1", 1 + i // 2, -30.0, 0.0, 10.0, 5.0, 0.1) for i in range(4)]
    belief = Belief(casts, DayWays())
    for at, seen, log_ratio in looks:
        own = casts[at]
        before = belief.pace(own.zone, own.truck)
        spreads = [belief.pace(one.zone, one.truck).sd_share for one in casts]
        belief.learn(Print(own.zone, own.truck, seen, log_ratio))
        after = belief.pace(own.zone, own.truck)
        step, gap = math.log(after.pace_ratio / before.pace_ratio), log_ratio - math.log(before.pace_ratio)
        if seen == "print":
            assert step * gap >= 0 and abs(step) <= abs(gap)
        else:
            assert step <= 0 if seen == "soft" else step >= 0
        assert all(
            belief.pace(one.zone, one.truck).sd_share <= old + 1e-12 for one, old in zip(casts, spreads, strict=True)
        )


def test_without_a_place_no_sun_is_counted_and_it_is_said_and_a_polar_night_is_dark():
    nowhere = day_job(pour(site={"latitude": None, "longitude": None, "time_zone": None}))
    assert nowhere.day.sun is None and {"no-place", "zone-guessed"} <= codes(nowhere)
    assert [row.sun_text for row in shown(nowhere).zones] == [""] * 4
    north = pour(
        site={"latitude": 78.0, "longitude": 15.0, "time_zone": "Arctic/Longyearbyen"},
        order={"pour_at": "2027-12-17T06:30"},
    )
    dark = day_job(north, air_c=12.0)
    assert (
        dark.day.sun.dark and "does not rise" in shown(dark).sets and "The sun is down" in shown(dark).moments[70].words
    )
    bad = Job(pour(site={"time_zone": "Mars/Olympus"}), records=day_job().records)
    assert bad.day is None and codes(bad) == {"zone-unknown"}


def test_without_a_day_or_weather_the_knot_says_which_and_nothing_is_worked_out():
    dateless = Job(pour(order={"pour_at": None}))
    assert "day/none" in [row.code for row in gate_told(dateless).holds] and dateless.day is None
    bare = Job(pour())
    assert not bare.day_asked and bare.day is None and codes(bare) == set()
    told = GATE.report.of(day_job()).told()
    assert len(told["clock"]) == len(day_job().day.clock) and told["starts"][0]["why_not"]
    hour = next(row for row in told["day"]["hours"] if row["at"] == "2027-06-17T09:00")
    assert set(hour["evaporation_kg_m2_h"]) == {"Bottling", "Extraction", "Super store", "Apron"}


def test_the_shady_part_sets_later_on_a_hot_day():
    hall = {
        "around": [
            {
                "name": "Hall",
                "polygon": [["-60'", "-40'"], ["100'", "-40'"], ["100'", "-6'"], ["-60'", "-6'"]],
                "top_mm": "60'",
            }
        ]
    }
    hot = {"air_c": lambda hour: 29 + 6 * math.cos((hour - 15) / 24 * 2 * math.pi), "cloud_okta": 0.0}
    open_, shaded = (day_job(plan, **hot).day for plan in (pour(), pour(day=hall)))
    for one, other in zip(open_.clock, shaded.clock, strict=True):
        assert other.final.at_h >= one.final.at_h - 0.01
    assert sum(shaded.sun.sun_h) < sum(open_.sun.sun_h)


def test_the_order_takes_its_air_from_the_weather_of_the_pour_until_somebody_types_one():
    """So a hot forecast makes joints too old sooner, and the mix warmer as placed; what is typed stays."""
    open_air = pour(mix={"air_c": None})
    cool, hot = day_job(open_air, air_c=10.0), day_job(open_air, air_c=33.0)
    assert hot.heat.air_c == 33.0 and hot.air_from == "Made up"
    assert hot.planned_pour.joint.limit_min < cool.planned_pour.joint.limit_min
    typed = day_job(pour(mix={"air_c": 5.0}), air_c=33.0)
    assert typed.heat.air_c == 5.0 and typed.air_from == ""
    assert typed.planned_pour.joint.limit_min > hot.planned_pour.joint.limit_min
