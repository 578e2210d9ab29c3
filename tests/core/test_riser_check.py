"""Risers taped the day before: on, off toward what, allowed by kind, seen in the list and the knot."""

import pytest
from tests.core.test_underslab import BARE, IN, riser

from humble_trowel.core.errors import InputError
from humble_trowel.core.job import Job
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.stages import STAGES, findings, standing
from humble_trowel.core.underslab.record_kinds import RiserCheckKind
from humble_trowel.core.underslab.records import RiserCheck

FT = 304.8
PLAN = riser("heater supply 1 from A to B 9', from J to A 12'")
HEATER = PLAN.underslab.risers[0]


def taped(first_mm, second_mm, plan=PLAN):
    values = RiserCheck(riser=HEATER.id, faces=HEATER.faces, from_mm=[first_mm, second_mm])
    return Job(plan, records=SiteRecords([("r1", values)])), values


@pytest.mark.parametrize(
    ("up", "east", "words"),
    [  # 1/2 in is allowed for a supply; up is away from A to B, east away from J to A
        (0, 0, "On. 1/2″ allowed."),
        (0.5, 0, "On, 1/2″ off. 1/2″ allowed."),
        (0.51, 0, "Off 1/2″ toward J. 1/2″ allowed."),
        (0.25, 1.5, "Off 1 1/2″ toward B. 1/2″ allowed."),
        (-2, -1, "Off 2″ toward A, 1″ toward A. 1/2″ allowed."),
    ],
)
def test_a_riser_is_on_or_off_by_how_much_and_toward_what(up, east, words):
    job, values = taped(9 * FT + up * IN, 12 * FT + east * IN)
    row = job.underslab.risers[0]
    assert row.check.words == words and row.check.on == words.startswith("On")
    assert row.check.stands == pytest.approx((12 * FT + east * IN, 9 * FT + up * IN))
    assert RiserCheckKind().sentence(job, values) == f"heater: {words}"
    off = [one.code for one in findings(job) if one.code == "riser-off"]
    assert off == ([] if row.check.on else ["riser-off"])
    assert standing(STAGES[3], job).words == ("0 runs" if row.check.on else "1 riser off")


def test_the_newest_counts_and_what_is_another_place_is_asked():
    job, values = taped(9 * FT, 15 * FT)
    again = Job(PLAN, records=job.records.plus("r2", values.model_copy(update={"from_mm": [9 * FT, 12 * FT]})))
    assert not job.underslab.risers[0].check.on and again.underslab.risers[0].check.on
    kind, so_far = RiserCheckKind(), job
    with pytest.raises(InputError, match="another place than heater's"):
        kind.check(so_far, values.model_copy(update={"from_mm": [9 * FT, 30 * FT]}))
    with pytest.raises(InputError, match="make no place"):
        kind.check(so_far, values.model_copy(update={"faces": [BARE.corner_ids[0], BARE.corner_ids[2]]}))
    with pytest.raises(InputError, match="not on this slab any more"):
        kind.check(Job(BARE), values)
