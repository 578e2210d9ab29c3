"""Squaring against reference adjustments (cases/squaring.json): corners, moves, residuals, suspects, what is missing."""

import json
from pathlib import Path

import pytest

from humble_trowel.core.lines.squaring import square
from humble_trowel.core.plan.records import Taped

CASES = json.loads((Path(__file__).parent / "cases" / "squaring.json").read_text())["cases"]


def corner(letter):
    return ord(letter) - 65


def solved(case):
    readings = [{"from": corner(r["from"]), "to": corner(r["to"]), "mm": r["mm"]} for r in case["input"]["readings"]]
    taped = Taped.model_validate({"hold": [corner(c) for c in case["input"]["pinned"]], "measures": readings})
    ring = [(float(x), float(y)) for x, y in case["input"]["design"]]
    return square(ring, taped, "mm", sigma_mm=case["input"]["tape_sigma_mm"])


@pytest.mark.parametrize("case", CASES, ids=[case["name"] for case in CASES])
def test_the_frame_as_laid_and_its_moves_agree(case):
    answer, expect = solved(case), case["expect"]
    assert answer.determined == expect["determined"]
    assert answer.missing == expect.get("missing_diagonals", 0)
    if not answer.determined:
        assert answer.advice and "Tape" in answer.verdict
        return
    shown = expect.get("after_suspect", expect)
    suspect = shown.get("suspect")
    assert (answer.suspect is None) == (suspect is None)
    if suspect:
        assert [answer.suspect.start, answer.suspect.to] == [corner(c) for c in suspect]
        assert answer.misfit_mm == pytest.approx(shown["misfit_mm"], abs=0.001)
    else:
        assert answer.sigma0 == pytest.approx(expect["sigma0"], abs=0.001)
        off = [row.off_mm for row in answer.residuals]
        assert off == pytest.approx(expect["residuals_adjusted_minus_read_mm"], abs=0.01)
    for move in answer.moves:
        assert (move.dx_mm, move.dy_mm) == pytest.approx(shown["moves_mm"][chr(65 + move.corner)], abs=0.01)
        assert answer.laid_mm[move.corner] == pytest.approx(shown["corners_mm"][chr(65 + move.corner)], abs=0.01)
    largest = expect.get("largest_standardized_residual")
    if largest and not suspect:
        worst = max(answer.residuals, key=lambda row: row.standard)
        assert worst.name.replace(" to ", "") == largest["reading"]
        assert worst.standard == pytest.approx(largest["value"], abs=0.001)


def test_four_sides_and_two_diagonals_show_a_blunder_but_not_which():
    answer = solved(next(case for case in CASES if case["name"].startswith("100 mm blunder")))
    assert answer.suspect is None and not answer.inside and answer.acts == []
    assert "cannot say which" in answer.doubt and len(answer.advice) == 1
