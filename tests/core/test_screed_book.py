"""Strips in the rule book: each calculator by a sum done by hand; drafts, refusals and copies of a plan with strips."""

import json

import pytest
from tests.plans import edited

from humble_trowel.bench.rows import demo_plan
from humble_trowel.core.errors import EditError
from humble_trowel.core.job import Job
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.rules.screed_book import SCREED_RULES
from humble_trowel.core.screed.doubts import hired_mm
from humble_trowel.core.screed.told import board_words
from humble_trowel.files.job_file import parse_job, write_job

FT, IN = 304.8, 25.4
BY_KEY = {rule.name: rule for rule in SCREED_RULES}
HONEY = demo_plan("honey-house")


def worked(key, units="ft-in", **values):
    return [row.text for row in BY_KEY[key].work_out(values, units, Ways())]


def test_the_calculators_say_what_a_sum_by_hand_does():
    assert worked("screed/board", wide=12 * FT) == ["12′-9″", "13′", "14′"]
    assert worked("screed/pads", should=1327.15, read=1325.56) == ["a hair high"]
    assert worked("screed/pads", should=1327.15, read=1330.325) == ["1/8″ low, add"]
    assert worked("screed/neighbours", area=160.0) == ["20 min"]


@pytest.mark.parametrize(
    ("needed", "units", "hire"), [(16.75 * FT, "ft-in", 18 * FT), (16 * FT, "ft-in", 16 * FT), (3650, "mm", 4000)]
)
def test_what_to_hire_is_what_is_sold(needed, units, hire):
    assert hired_mm(needed, units) == pytest.approx(hire)


def test_boards_are_called_as_a_crew_calls_them():
    assert [board_words(mm, "ft-in") for mm in (16 * FT, 16 * FT + 6 * IN)] == ["16", "16′-6″"]
    assert board_words(3657.6, "mm") == "3.66 m" and board_words(4500, "mm") == "4.5 m"


def test_a_plan_with_strips_goes_round_a_file_and_keeps_every_id():
    laid = edited(HONEY, {"op": "call_screed", "text": "pad 9' n of A in Bottling"})
    again = parse_job(write_job(laid))
    assert again.screed == laid.screed and json.loads(write_job(laid))["screed"]["standing"][3]["brings"] == "barrow"


def test_strips_answer_again_only_where_what_they_read_changed():
    job = Job(HONEY)
    first = job.screed
    renamed = Job(HONEY.model_copy(update={"name": "another"}), job.crew, job.records, before=job)
    assert renamed.screed is first
    moved = edited(HONEY, {"op": "order_strips", "strips": [HONEY.screed.strips[1].id]})
    after = Job(moved, job.crew, job.records, before=renamed)
    assert after.screed is not first and after.screed.strips[0].id == HONEY.screed.strips[1].id


@pytest.mark.parametrize(
    ("edit", "said"),
    [
        ({"op": "lay_pad_line", "ends": [[0, 0], [5, 5]]}, "too short"),
        ({"op": "set_strip", "strip": HONEY.screed.strips[0].id, "board_mm": 100}, "between 1 and 100 feet"),
        ({"op": "order_strips", "strips": ["gsnobody"]}, "strip is not on this slab"),
        ({"op": "take_out_truck_stand", "stand": "gtnobody"}, "place of the truck is not on this slab"),
        ({"op": "move_pad_line", "pad": "gpnobody", "to": [0, 0]}, "pad line is not on this slab"),
    ],
)  # fmt: skip
def test_edits_of_what_is_gone_or_cannot_be_are_refused(edit, said):
    with pytest.raises(EditError, match=said):
        edited(HONEY, edit)
