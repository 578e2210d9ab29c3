"""Squaring beyond the rule's own answer: what is said where nothing can be said (cases/squaring.json)."""

import json
from pathlib import Path

import pytest

from humble_trowel.core.lines.records import Taped
from humble_trowel.core.lines.squaring import square

CASES = json.loads((Path(__file__).parent / "cases" / "squaring.json").read_text())["cases"]


def solved(case):
    given = case["input"]
    rows = [{"from": ord(r["from"]) - 65, "to": ord(r["to"]) - 65, "mm": r["mm"]} for r in given["readings"]]
    taped = Taped.model_validate({"hold": [ord(c) - 65 for c in given["pinned"]], "measures": rows})
    ring = [(float(x), float(y)) for x, y in given["design"]]
    return square(ring, taped, "mm", sigma_mm=given["tape_sigma_mm"])


@pytest.mark.parametrize("case", [case for case in CASES if not case["expect"]["determined"]])
def test_a_frame_with_too_few_tapes_says_which_to_take(case):
    answer = solved(case)
    assert answer.missing == case["expect"]["missing_diagonals"] and answer.advice and "Tape" in answer.verdict


def test_four_sides_and_two_diagonals_show_a_blunder_but_not_which():
    answer = solved(next(case for case in CASES if case["name"].startswith("100 mm blunder")))
    assert answer.suspect is None and not answer.inside and answer.acts == []
    assert "cannot say which" in answer.doubt and len(answer.advice) == 1
