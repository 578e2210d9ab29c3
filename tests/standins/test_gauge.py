"""The simulated gauge alone: one seed is one story, a sound line holds, a leak shows, and faults do what they say."""

import pytest

from humble_trowel.standins.gauge import LEAK_PER_MIN, MISREAD, StandInGauge


@pytest.mark.parametrize("unit", ["kPa", "mm"])
def test_a_sound_line_holds_and_a_leak_falls_as_it_says(unit):
    one, again, other = (StandInGauge(400, unit, seed) for seed in (7, 7, 8))
    first = [one.read(60 * k).value for k in range(20)]
    assert first == [again.read(60 * k).value for k in range(20)] != [other.read(60 * k).value for k in range(20)]
    assert min(first) > 400 and max(first) - min(first) <= 1.1  # within what can be read
    one.misbehave("leak")
    assert first[0] - one.read(900).value == pytest.approx(15 * LEAK_PER_MIN[unit], abs=1.1)


def test_misread_unplugged_and_sound_again():
    gauge = StandInGauge(400, "kPa", 3)
    sound = gauge.read(0).value
    gauge.misbehave("misread")
    assert gauge.read(0).value - sound == pytest.approx(MISREAD["kPa"], abs=1.1)
    gauge.misbehave("unplugged")
    line = gauge.read(0)
    assert (line.kind, line.value, line.why) == ("no-reading", None, "unplugged")
    gauge.misbehave(None)
    assert gauge.read(0).value == pytest.approx(sound, abs=1.1)
