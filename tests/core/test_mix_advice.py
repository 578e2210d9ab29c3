"""The mix: what exposure asks, where rules pull apart, what settles them, and where the heat balances."""

import pytest
from tests.plans import edited, plan

from humble_trowel.core.errors import InputError
from humble_trowel.core.heat.hydration import Paste, set_times
from humble_trowel.core.job import Job
from humble_trowel.core.mix.balance import balance
from humble_trowel.core.mix.durability import air_for, asked_by
from humble_trowel.core.plan.mix import Mix

ZONES = {"zones": [{"id": "zin", "name": "Floor", "slab": "S1", "polygon": [[0, 0], [4000, 0], [4000, 4000], [0, 4000]]},
                   {"id": "zout", "name": "Apron", "slab": "S1", "polygon": [[4000, 0], [6000, 0], [6000, 4000], [4000, 4000]]}]}  # fmt: skip


def mixed(**mix):
    return Job(plan(**ZONES, mix=mix))


def lines(job):
    return {line.what: line for line in job.mix_found.lines}


def codes(job):
    return [row.code for row in job.deciding_findings if row.code.startswith("mix")]


def test_set_is_what_the_handbook_has_and_a_retarder_counts_for_more_in_the_cold():
    found = set_times(Paste(0.5), (73 - 32) / 1.8)
    assert (found.initial_h, found.final_h, found.footprint_h) == pytest.approx((3.91, 5.98, 2.815), abs=0.01)
    later = [set_times(Paste(0.5, shift_h=2), c).initial_h - set_times(Paste(0.5), c).initial_h for c in (10, 32.2)]
    assert later[0] == pytest.approx(4.6, abs=0.1) and later[1] == pytest.approx(1.15, abs=0.05)


def test_the_worst_class_counts_and_says_its_name():
    found = asked_by(["F1", "S1", "W2"])
    assert (found.water_share, found.water_by, found.least_psi) == (0.50, "S1", 4000)
    assert asked_by(["F3"], plain=True).least_psi == 4500
    assert air_for(19, "F0", 4000) is None
    for call in (lambda: asked_by(["F9"]), lambda: air_for(75, "F2", 4000)):
        with pytest.raises(InputError):
            call()


def test_trowel_and_frost_in_one_drum_are_a_clash_that_somebody_settles():
    job = mixed(finish="trowelled", freeze="F1", outside=["zout"], strength_mpa="4000 psi", stone_mm=19)
    clash = job.mix_found.clashes[0]
    assert clash.key == "air" and "Apron" in clash.title and len(clash.ways) == 2
    assert lines(job)["air"].say == "to settle" and codes(job) == ["mix-clash"]
    path = "mix.settled.air"
    done = Job(edited(job.plan, {"op": "set_fields", "values": {path: {"answer": clash.ways[0].answer, "by": "Wren"}}}))
    assert done.mix_found.clashes[0].settled.by == "Wren" and codes(done) == []
    assert lines(done)["air"].say == clash.ways[0].answer
    alone = mixed(finish="trowelled", freeze="F1")
    assert "No mix does both" in alone.mix_found.clashes[0].words


def test_lines_that_break_a_rule_say_which_and_the_finding_stands_on_the_mix():
    job = mixed(freeze="F2", outside=["zout"], strength_mpa=20, water_share=0.6, stone_mm=60, air_percent=1)
    wrong = {what for what, line in lines(job).items() if line.wrong}
    assert wrong == {"strength", "water", "air", "stone"} and codes(job).count("mix-line") == 4
    row = next(row for row in job.deciding_findings if row.code == "mix-line")
    assert row.tabs == ("mix",) and "class F2" in row.words


def test_salt_with_steel_asks_for_the_strictest_and_ash_under_stain_asks_both():
    steel = {"steel": {"ways": [{"slab": "S1", "way": "bars", "bar": "#4", "spacing_mm": 300}]}}
    job = Job(plan(**ZONES, **steel, mix={"freeze": "F1", "salt": True, "outside": ["zout"], "stained": True}))
    assert lines(job)["water"].say == "0.40 at most" and lines(job)["strength"].how == "unsaid"
    assert [clash.key for clash in job.mix_found.clashes] == ["ash"] and lines(job)["ash"].who == "ASK BOTH"
    assert "Mesh or bars" in lines(job)["fibre"].why


def test_the_day_asks_for_a_retarder_or_an_accelerator_and_a_thin_hose_for_small_stone():
    hot, cold = mixed(air_c=24, noon_c=33), mixed(air_c=5, noon_c=9, setting="retarded")
    assert lines(hot)["setting"].say == "retarded"
    assert "accelerated" in lines(cold)["setting"].wrong
    pumped = Job(plan(mix={"line_mm": 50, "stone_mm": 25}, order={"method": "pump"}))
    assert "hose" in lines(pumped)["stone"].wrong
    assert lines(Job(plan(mix={"slump_mm": 100})))["reducer"].say == "none"


def test_cold_water_hot_water_and_ice_balance():
    cold = balance(Mix(air_c=-2, stone_c=4, cement_c=15), 100, 0.75)
    assert cold.least_c == pytest.approx(12.8, abs=0.1) and cold.wrong and cold.water_for_c > 40
    hot = balance(Mix(air_c=36, stone_c=38, cement_c=60, water_c=28, wanted_c=27), 100, 0.5)
    assert hot.wrong_key == "hot-mix" and hot.ice_kg > 20
    plain = balance(Mix(), 100, 0.4)
    warmer = balance(Mix(water_c=23), 100, 0.4)
    assert warmer.mixed_c - plain.mixed_c == pytest.approx(plain.per_ten_c, abs=0.01) and not plain.wrong
