"""The simulated probe alone: one seed is one story near the truth, and every fault does what it says."""

from datetime import datetime

import pytest

from humble_trowel.standins.probe import DRIFT_C_H, OFF_C, StandInProbe

SINCE, UNTIL = "2027-06-17T07:00-04:00", "2027-06-18T07:00-04:00"


def probe(seed=7, fault=None):
    return StandInProbe(lambda at: 30.0, lambda at: 12.0, seed, fault).read(SINCE, UNTIL)


def test_one_seed_is_one_story_near_the_truth():
    rows = probe()
    assert rows == probe() != probe(8) and len(rows) == 144
    assert all(abs(row.temp_c - 30) < OFF_C + 0.8 for row in rows)
    assert datetime.fromisoformat(rows[0].at) > datetime.fromisoformat(SINCE)


def test_it_drops_out_drifts_and_is_pulled():
    assert 20 < len(probe(fault="drops")) < 144
    assert probe(fault="drifts")[-1].temp_c - probe()[-1].temp_c == pytest.approx(24 * DRIFT_C_H, abs=0.15)
    assert probe(fault="pulled")[-1].temp_c == pytest.approx(12, abs=0.8)
