"""Answers under their fixed names: what is said is what the list of names says, for every command that answers in JSON."""

import types
import typing

import pytest
from tests.plans import job, l_shape, plan

from humble_trowel.core.cutting.cut import cut
from humble_trowel.core.cutting.report import CutReport
from humble_trowel.core.cutting.stock import Piece, Stock
from humble_trowel.core.grade import grade_job
from humble_trowel.core.ground.records import Shots
from humble_trowel.core.ground.report import GradeReport
from humble_trowel.core.job import Job
from humble_trowel.core.lines.report import SquareReport
from humble_trowel.core.lines.square_job import read_taped, square_plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.report import Report
from humble_trowel.core.stages import STAGES, report
from humble_trowel.files.report_names import report_names


def inside(annotation):
    """The report model within an annotation, if any."""
    if isinstance(annotation, type) and issubclass(annotation, Report):
        return annotation
    return next((found for one in typing.get_args(annotation) if (found := inside(one))), None)


def same_names(model, data, at=""):
    """Every key of the answer is a field of its model, and the other way round, all the way down."""
    assert list(data) == [field.serialization_alias or key for key, field in model.model_fields.items()], at
    for key, field in model.model_fields.items():
        value, deeper = data[field.serialization_alias or key], inside(field.annotation)
        if deeper and value is not None:
            for row in value if isinstance(value, list) else [value]:
                same_names(deeper, row, f"{at}.{key}")
        elif value is None:
            assert types.NoneType in typing.get_args(field.annotation), f"{at}.{key} may not be null"


@pytest.mark.parametrize("made", [l_shape, plan, lambda: read_plan(job(outline=None, zones=[]))])
def test_a_job_answers_under_the_names_of_its_stages(made):
    told = report(Job(made()))
    for stage in STAGES:
        own = {key: told.pop(key) for key in stage.report.model_fields}
        same_names(stage.report, own, stage.id)
    assert list(told) == ["findings"]


def test_a_round_of_tape_answers_with_its_suspect_as_it_was_given():
    sides = [{"from": i, "to": (i + 1) % 4, "mm": mm} for i, mm in enumerate((6000, 4000, 6000, 4000))]
    right, long = {"from": 0, "to": 2, "mm": 7211.1}, {"from": 0, "to": 2, "mm": 7301.1}
    taped = read_taped({"measures": [*sides, {"from": 1, "to": 3, "mm": 7211.1}, right, long]}, "mm")
    told = SquareReport.of(square_plan(plan(), taped, JobWays())).told()
    same_names(SquareReport, told)
    assert told["suspect"]["mm"] == 7301.1 and (told["suspect"]["from"], told["suspect"]["to"]) == (0, 2)
    assert told["laid_mm"][0] is not None and len(told["residuals_mm"]) >= 5


def test_shots_answer_with_where_to_rake_and_what_counts():
    shots = [
        {"at": [x, y], "level_mm": -100 + (12 if x > 3000 else -4)}
        for x in (300, 2000, 4000, 5700)
        for y in (300, 2000, 3700)
    ]
    told = grade_job(plan(), Shots.model_validate({"layer": "base", "shots": shots})).told()
    same_names(GradeReport, told)
    found = told["ground"]["shots"]
    assert found["count"] == 12 and found["high_mm"] == pytest.approx(12) and found["low_mm"] == pytest.approx(-4)
    assert found["extra_concrete_m3"] == pytest.approx(found["fill_m3"] - found["cut_m3"])
    assert found["rake"] and told["concrete"]["parts_as_dug"][0]["as_shot_m3"] is not None


def test_a_cutting_list_answers_bar_by_bar():
    told = CutReport.model_validate(cut([Stock(6000, None, 100)], [Piece(2500, 3)], 3)).told()
    same_names(CutReport, told)
    assert sorted(len(bar["pieces_mm"]) for bar in told["bars"]) == [1, 2]
    assert (told["cost_cents"], told["proven"]) == (200, True)


def test_native_soil_has_no_bottom_and_the_base_is_the_sum_of_its_stones():
    layers = [{"kind": "slab"}, {"kind": "stone", "thickness_mm": 150}, {"kind": "native"}]
    told = report(Job(plan(build_ups=[{"slab": "S1", "layers": layers}])))["ground"]
    assert [row["bottom_mm"] is None for row in told["stack"]] == [False, False, True]
    assert told["base"]["compacted_m3"] == pytest.approx(sum(row["compacted_m3"] for row in told["stones"]))


def test_the_page_names_kinds_in_words_and_says_what_is_not_plain():
    page = report_names()
    for line in (
        "| `outline.diagonals[].from` | whole number |  |",
        "| `lines.swing[].from_a` | whole number | Corner at which the first tape is held; -1 and -2 are the pins of a lot line. |",
        "| `laid_mm` | list of x and y or null | Corners as laid, none where not settled. |",
        "| `forms.totals` | names and values | Every total under its name with its unit. |",
        "| `proven` | yes or no | The cost is the bound. |",
    ):
        assert line in page
