"""The simulated laser alone: the same seed shoots the same, and every fault does what it says."""

import statistics

import pytest
from tests.plans import plan

from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.ground.layer_shots import layer_grounds
from humble_trowel.core.plan.ground_ways import Laser
from humble_trowel.standins.laser import BUMP_AFTER, BUMP_MM, MUD_MM, StandInLaser, simulated_ground


def receiver(seed=7, stand=0, **laser):
    job = plan(
        build_ups=[
            {"slab": "S1", "layers": [{"kind": "slab"}, {"kind": "stone", "thickness_mm": 100}, {"kind": "native"}]}
        ]
    )
    ground = simulated_ground(layer_grounds(job, build_solid(job), "base"), seed)
    return StandInLaser(ground, {"nail": -150.0}, Laser(**laser), seed, stand)


def series(laser, count, fault=None):
    laser.misbehave(fault)
    laser.stand_on("nail")
    return [laser.shoot().reading_mm for _ in range(count)]


def test_one_seed_is_one_story_and_another_stand_is_another_line():
    assert series(receiver(), 5) == series(receiver(), 5)
    assert receiver().line_mm != receiver(stand=1).line_mm != receiver(seed=8).line_mm


def test_readings_scatter_by_half_the_stated_accuracy():
    laser = receiver(accuracy_mm=4.0)
    rows = series(laser, 400)
    assert statistics.mean(rows) == pytest.approx(laser.line_mm + 150, abs=0.4)
    assert statistics.stdev(rows) == pytest.approx(2.0, rel=0.2)


def test_mud_lifts_tilt_lengthens_and_a_bump_drops_the_line_after_some_shots():
    clean = statistics.mean(series(receiver(), 40))
    assert statistics.mean(series(receiver(), 40, "mud")) == pytest.approx(clean - MUD_MM, abs=0.6)
    assert statistics.mean(series(receiver(), 40, "tilt")) == pytest.approx(clean * 1.00551, abs=0.6)
    bumped = series(receiver(), BUMP_AFTER + 40, "bump")
    assert statistics.mean(bumped[BUMP_AFTER:]) == pytest.approx(clean - BUMP_MM, abs=0.6)
    laser = receiver()
    series(laser, BUMP_AFTER + 1, "bump")
    assert statistics.mean(series(laser, 40)) == pytest.approx(clean - BUMP_MM, abs=0.6)  # it stays bumped


def test_a_flat_battery_and_a_rod_too_short_give_no_beam():
    laser = receiver()
    lines = []
    laser.misbehave("battery")
    laser.stand_on("nail")
    for _ in range(6):
        lines.append(laser.shoot())
    assert [line.kind for line in lines] == ["reading"] * 3 + ["no-beam"] * 3 and lines[-1].battery_percent == 0
    short = receiver(rod_mm=200.0)
    short.stand_on("nail")
    assert short.shoot().kind == "no-beam"


def test_the_ground_lies_low_with_one_high_spot():
    ground = receiver().ground
    errors = [ground.error_at(x, y) for x in range(0, 6000, 250) for y in range(0, 4000, 250)]
    assert -7 < min(errors) < -2.5 < statistics.median(errors) + 2.5
    assert ground.error_at(*ground.spot) > 10
