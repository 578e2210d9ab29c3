"""The weeks after the pour: strength by two clocks with a range, probes and cylinders, covers and rounds, cold, boards, levels."""

import math
import random
from datetime import timedelta
from itertools import pairwise

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import box
from tests.days import day_job

from humble_trowel.core.cure.heat import ZoneHeat
from humble_trowel.core.cure.level import levels_of
from humble_trowel.core.cure.probes import Track, tracks_of
from humble_trowel.core.cure.record_kinds import CURE_RECORDS
from humble_trowel.core.cure.records import CoverLaid, CylinderBroken, FloorShot, ProbeRead, Stripped, WetRound
from humble_trowel.core.cure.rounds import drying_of, rounds_of
from humble_trowel.core.cure.strength import MIX_SD, TEST_SD, Broken, Reached, first_over, reached_of, speeds, strong_of
from humble_trowel.core.errors import InputError
from humble_trowel.core.heat.hydration import Paste
from humble_trowel.core.heat.strength import hours_to
from humble_trowel.core.job import Job
from humble_trowel.core.plan.cure_ways import CureWays
from humble_trowel.core.stages import report
from humble_trowel.core.stages.cure import standing_of

KIND = {kind.values: kind for kind in CURE_RECORDS}
HOURS = np.arange(0.5, 28 * 24 + 1, 1.0)
COLD = {"air_c": lambda hour: -6.0 if hour % 24 >= 14 or hour > 24 else 8.0}


def heat(temp_c=23.0, pace=1.0):
    temps = np.full(len(HOURS), float(temp_c))
    gains = speeds(Paste(0.5), temps) * pace
    return ZoneHeat(
        "z1", "Room", 0, 1, 0.0, HOURS, temps, temps, gains, gains[0] * 0.5, Paste(0.5), 27.6, 4.0, pace, 40.0
    )


def read(temps, hours=HOURS):
    return Track("z1", np.asarray(hours), np.asarray(temps, dtype=float), [], [], "probe 1", False)


def job(*rows, **said):
    return day_job(records=rows, hours=range(-6, 24 * 9), **said)


def hour(one, when):
    return one.cure_clock.at(when).isoformat(timespec="seconds")


def test_at_one_temperature_it_is_the_closed_form_and_both_clocks_agree():
    strong = strong_of(heat(), None, 0.2, Reached())
    for mpa in (3.5, 10.0, 17.2, 19.3):
        exact = hours_to(Paste(0.5), mpa, 27.6, 4.0, 23.0)
        assert first_over(HOURS, strong.at_mpa, mpa) == pytest.approx(exact, abs=0.6)
    assert np.allclose(strong.at_mpa[200:], strong.other_mpa[200:], rtol=0.01)
    assert strong.at_hour(28 * 24, strong.at_mpa) == pytest.approx(27.6, rel=0.02)


@settings(derandomize=True, max_examples=25, deadline=None)
@given(st.lists(st.floats(-5, 45), min_size=10, max_size=40), st.floats(0.1, 12), st.floats(0.05, 0.4))
def test_strength_never_falls_and_more_warmth_never_makes_it_later(temps, more, sd):
    hours = np.linspace(0.5, 28 * 24, len(temps))
    over = np.interp(HOURS, hours, temps)
    one, warmer = (strong_of(heat(), read(over + by), sd, Reached()) for by in (0.0, more))
    for name in ("low_mpa", "at_mpa", "high_mpa", "other_mpa"):
        row = getattr(one, name)
        assert (np.diff(row) >= -1e-9).all()
    assert (one.low_mpa <= one.at_mpa + 1e-9).all() and (one.at_mpa <= one.high_mpa + 1e-9).all()
    for name in ("low_mpa", "at_mpa", "high_mpa"):
        assert (getattr(warmer, name) >= getattr(one, name) - 1e-9).all()


def test_a_probe_that_falls_silent_makes_the_range_wider():
    whole, half = (
        strong_of(heat(), read(heat().temp_c), 0.1, Reached()),
        strong_of(heat(), read(heat().temp_c[:20], HOURS[:20]), 0.1, Reached()),
    )
    none = strong_of(heat(), None, 0.1, Reached())
    wide = [first_over(HOURS, one.low_mpa, 10) - first_over(HOURS, one.high_mpa, 10) for one in (whole, half, none)]
    assert wide[0] < wide[1] < wide[2] and np.allclose(whole.at_mpa, none.at_mpa, rtol=0.02)


def test_cylinders_narrow_what_the_mix_reaches_as_two_normals_do_and_end_at_the_truth():
    one = reached_of([Broken("a", "1", 168.0, 22.0, 20.0, True)])
    gain = MIX_SD**2 / (MIX_SD**2 + TEST_SD**2)
    assert one.mix_ratio == pytest.approx(math.exp(gain * math.log(1.1))) and one.sd_share == pytest.approx(
        MIX_SD * math.sqrt(1 - gain)
    )
    draw = random.Random(4)
    errors = []
    for count in (5, 20, 200):
        many = [Broken("a", "n", 168.0, 20 * 0.85 * math.exp(draw.gauss(0, TEST_SD)), 20.0, True) for _ in range(count)]
        errors.append(abs(reached_of(many).mix_ratio - 0.85))
    assert errors[-1] < 0.02 and reached_of(many).sd_share < 0.01
    assert reached_of([Broken("a", "1", 9.0, 3.0, 0.2, True)]).count == 0  # too young to tell
    worse = job(*[CylinderBroken(number=f"{n}", at="2027-06-24T09:00-04:00", mpa=13.0) for n in range(3)])
    assert worse.cure_day().reached.mix_ratio < 0.9 and "cylinder-weak" in [row.code for row in worse.cure_findings]
    fine = job()
    assert worse.cure_day().latest_h("build") > fine.cure_day().latest_h("build")


def test_readings_that_jump_do_not_count_and_gaps_are_the_models():
    clock = job().cure_clock
    zone = job().plan.zones[0].id
    rows = [
        {"at": (clock.midnight + timedelta(hours=h)).isoformat(), "temp_c": t}
        for h, t in ((10, 20), (11, 21), (12, 61), (13, 22), (20, 24), (21, 25))
    ]
    track = tracks_of(clock, [("a", ProbeRead(probe="probe 1", zone=zone, rows=rows))])[zone]
    assert track.jumps_h == [12.0] and track.gaps_h == [(13.0, 20.0)]
    temps, known = track.over(np.array([10.5, 16.0, 20.5, 40.0]))
    assert known.tolist() == [True, False, True, False] and temps[0] == pytest.approx(20.5)
    two = tracks_of(
        clock,
        [
            ("b", ProbeRead(probe="p", zone=zone, rows=rows[:1])),
            ("a", ProbeRead(probe="p", zone=zone, rows=[{**rows[0], "temp_c": 30}])),
        ],
    )
    assert two[zone].temp_c.tolist() == [20.0]  # the newer record of one hour
    said = job(ProbeRead(probe="probe 1", zone=zone, rows=rows))
    assert {"probe-jumps", "probe-silent"} <= {row.code for row in said.cure_findings}


def test_a_round_comes_when_the_water_of_the_last_is_gone_by_day_and_each_keeps_its_key():
    one = job()
    warmth, ways, clock = one.warmth, CureWays(), one.cure_clock
    drying = drying_of(warmth, "menzel")
    rounds = rounds_of(clock, ways, "wet", drying, 18.0, 18.0, [])
    hours, rates = [row.hour_h for row in drying], [row.kg_m2_h for row in drying]
    for a, b in pairwise(rounds):
        grid = np.arange(a.at_h, b.at_h, 0.25)
        gone = float((np.interp(grid, hours, rates) * 0.25).sum())
        last = clock.wall_h(a.at_h) > ways.round_until_h - 0.51
        assert last or a.night or gone <= ways.film_kg_m2 + 0.3
        assert ways.round_from_h <= clock.wall_h(b.at_h) <= ways.round_until_h
    assert len({row.key for row in rounds}) == len(rounds) and rounds[0].state == "due"
    sheets = rounds_of(clock, ways, "sheets", drying, 18.0, 18.0, [])
    assert 6 <= len(sheets) <= 8 and rounds_of(clock, ways, "compound", drying, 18.0, 18.0, []) == []
    words = [
        ("a", WetRound(round=rounds[2].key, to="Tilda")),
        ("b", WetRound(round=rounds[0].key, at=hour(one, 18.2), by="Odo")),
    ]
    told = rounds_of(clock, ways, "wet", drying, 18.0, rounds[1].at_h + 2, words)
    assert [row.state for row in told[:2]] == ["done", "missed"] and told[2].to == "Tilda" and told[0].by == "Odo"


def test_cold_is_an_alarm_with_what_a_blanket_gains_and_under_one_it_does_not_freeze():
    bare = job(**COLD)
    day = bare.cure_day()
    assert {one.kind for one in day.alarms} >= {"frost"} and any(one.freezes_h for one in day.strong)
    told = bare.cure_told()
    assert "freezes before it is strong" in told.verdict and any(one.froze_text for one in told.zones)
    zones = [one.heat.zone for one in day.strong]
    under = bare.cure_under(zones, day.now_h, day.now_h)
    assert sum(1 for one in under.strong if one.freezes_h is None) >= sum(
        1 for one in day.strong if one.freezes_h is None
    )
    laid = job(CoverLaid(what="blankets", at=hour(bare, 9.0), r_m2_k_w=2.0), **COLD)
    kept = laid.cure_day()
    assert all(row.what == "blankets" for row in kept.lying) and kept.rounds == []
    least = [float(one.temp_c[:72].min()) for one in day.strong]
    assert all(float(one.temp_c[:72].min()) > was + 2 for one, was in zip(kept.strong, least, strict=True))
    assert "cure-freezes" in [row.code for row in job(CoverLaid(what="wet", at=hour(bare, 9.0)), **COLD).cure_findings]
    off = job(
        CoverLaid(what="blankets", at=hour(bare, 9.0)),
        CoverLaid(what="blankets", off=True, at=hour(bare, 20.0)),
        **COLD,
    )
    assert all(row.what == "" for row in off.cure_day().lying) and all(
        one.until_h == pytest.approx(20.0) for one in off.blankets.values()
    )


def test_a_cool_night_that_was_not_foreseen_moves_the_day_and_says_so():
    first = job()
    assert first.cure_told().was_text == ""
    colder = job(first_weather(first, 5.0))
    told = colder.cure_told()
    assert told.was_text and told.was_text not in told.verdict and "night moves it" in told.why_text


def first_weather(one, air_c):
    from tests.days import weather

    said = weather(one.plan, hours=range(10, 24 * 9), air_c=air_c)
    return said.model_copy(update={"made_at": hour(one, 18.0)})


def test_boards_come_off_when_their_edge_is_strong_and_too_soon_is_asked_about():
    one = job()
    told = one.cure_told()
    assert told.sides and all(row.state == "soon" and row.boards and row.from_text for row in told.sides)
    late = one.cure_told(24 * 3.0)
    assert {row.state for row in late.sides} == {"open"}
    side = told.sides[0].side
    early = job(Stripped(side=side, at=hour(one, 10.5), by="Odo"))
    assert next(row for row in early.cure_told().sides if row.side == side).state == "off"
    assert "strip-early" in [row.code for row in early.cure_findings]
    assert "strip-early" not in [row.code for row in job(Stripped(side=side, at=hour(one, 60.0))).cure_findings]


def test_gaps_under_a_straightedge_find_the_bump_and_a_fall_is_none():
    floor, ways = box(0, 0, 6000, 6000), CureWays()
    grid = [(f"s{n}", (1500.0 * (n % 5), 1500.0 * (n // 5)), 0.0) for n in range(25)]
    fall = levels_of([(name, spot, spot[0] / 100) for name, spot, _ in grid], floor, ways, 6.35)
    assert fall.worst_mm == pytest.approx(0, abs=1e-6) and fall.flat.name == "flat" and fall.cost_cents == 0
    bump = levels_of([(name, spot, 12.0 if name == "s12" else 0.0) for name, spot, _ in grid], floor, ways, 6.35)
    assert bump.worst_mm == pytest.approx(12.0) and bump.flat is not None and bump.flat.name == "moderately flat"
    high = [one for one in bump.spots if one.mend]
    assert [one.mend for one in high] == ["grind"] and high[0].area_m2 == pytest.approx(2.25)
    assert bump.cost_cents == pytest.approx(2.25 * ways.grind_cents_m2)
    assert math.fsum(one.area_m2 for one in bump.spots) == pytest.approx(36.0)
    bad = levels_of([(name, spot, 25.0 if name == "s12" else 0.0) for name, spot, _ in grid], floor, ways, 6.35)
    assert bad.flat is None and levels_of([], floor, ways, 6.35).worst_mm is None
    shots = [
        FloorShot(at="2027-06-21T09:00-04:00", spot=(2000.0 + 1500 * n, 2000.0), off_mm=30.0 if n == 1 else 0.0)
        for n in range(3)
    ]
    said = job(*shots)
    assert "floor-not-flat" in [row.code for row in said.cure_findings] and said.cure_told().levels.flat == "none"


def test_what_cannot_be_is_refused_beside_its_field_and_every_word_has_a_sentence():
    one = job()
    zone, side = one.plan.zones[0].id, one.plan.corner_ids[0]
    at = hour(one, 30.0)
    row = {"at": at, "temp_c": 20}
    for values, path in (
        (CylinderBroken(number="1", at=at, mpa=90.0), "mpa"), (FloorShot(at=at, spot=(-9e4, 0.0), off_mm=1.0), "spot"), (Stripped(side="gone", at=at), "side"),
        (CoverLaid(what="wet", at=at, zones=["gone"]), "zones"), (ProbeRead(probe="p", zone=zone, rows=[row, row]), "rows"), (ProbeRead(probe="p", zone="gone", rows=[row]), "zone"),
    ):  # fmt: skip
        with pytest.raises(InputError) as wrong:
            KIND[type(values)].check(one, values)
        assert wrong.value.path == path
    with pytest.raises(InputError, match="who has this round"):
        KIND[WetRound].read({"round": "2027-06-18/1"}, "mm")
    for values, words in (
        (CoverLaid(what="wet", at=at, zones=[zone]), "kept wet"), (CoverLaid(what="sheets", at=at, off=True), "all of it no longer under sheets"), (WetRound(round="2027-06-18/1", to="Pim"), "Pim has"),
        (WetRound(round="2027-06-18/1", at=at), "Wetted at"), (ProbeRead(probe="p", zone=zone, rows=[row]), "68 °F"), (CylinderBroken(number="7", at=at, mpa=27.6), "4,000 psi"),
        (FloorShot(at=at, spot=(0.0, 0.0), off_mm=-6.35), "under"), (FloorShot(at=at, spot=(0.0, 0.0), off_mm=0.0), "As drawn"), (Stripped(side=side, at=at), "stripped"),
    ):  # fmt: skip
        assert words in KIND[type(values)].sentence(one, values)


def test_the_order_of_records_changes_nothing_and_the_report_and_the_knot_say_it():
    one = job()
    zone = one.plan.zones[0].id
    rows = [
        CoverLaid(what="wet", at=hour(one, 20.0)), CoverLaid(what="sheets", at=hour(one, 22.0)), WetRound(round="2027-06-18/1", at=hour(one, 31.0)),
        ProbeRead(probe="p", zone=zone, rows=[{"at": hour(one, h), "temp_c": 22 + h / 10} for h in range(10, 30)]), CylinderBroken(number="1", at=hour(one, 170.0), mpa=21.0),
    ]  # fmt: skip
    named = [
        ("weather", one.earlier.named(type(first_weather(one, 9.0)))[0][1]),
        *((f"r{n}", row) for n, row in enumerate(rows)),
    ]
    from humble_trowel.core.reading.site_records import SiteRecords

    straight = Job(one.plan, None, SiteRecords(named)).cure_told()
    assert Job(one.plan, None, SiteRecords([named[0], *reversed(named[1:])])).cure_told() == straight
    told = report(one)["cure"]
    assert set(told) == {"at", "zones", "rounds", "alarms"}
    assert all(row["build_at"]["low"] < row["build_at"]["high"] for row in told["zones"])
    assert standing_of(one).words == "to do"
    assert standing_of(Job(one.plan, None, SiteRecords(named))).words == "build on it"
    assert report(day_job())["cure"] is not None and Job(one.plan).cure_told() is None


def test_a_dry_day_and_a_cold_night_are_alarms_while_it_is_young_and_not_under_a_blanket():
    dry = job(air_c=34.0, humid_share=0.15, wind_ms=9.0).cure_day()
    assert "dry" in {one.kind for one in dry.alarms} and all(
        one.dries_kg_m2_h * 1.5 > 1.8 for one in dry.alarms if one.kind == "dry"
    )
    cool = {"air_c": lambda h: 3.0 if h % 24 < 6 and h > 24 else 16.0}
    cold = job(**cool).cure_day()
    nights = [one for one in cold.alarms if one.kind == "cold"]
    assert nights and all(one.least_c < 4.4 for one in nights) and "frost" not in {one.kind for one in cold.alarms}
    one = job(**cool)
    laid = job(CoverLaid(what="blankets", at=hour(one, 18.0)), **cool).cure_day()
    assert [row.kind for row in laid.alarms] == []
    assert "cure-cold" in [row.code for row in job(CoverLaid(what="wet", at=hour(one, 18.0)), **cool).cure_findings]
    ends = [day.latest_h("build") for day in (cold, laid)]
    assert ends[1] < ends[0]
