"""Forms beyond the rule's own answer: thrust, and plans that can be sawn as they stand (cases/forms.json; ACI 347R)."""

import json
from pathlib import Path

import pytest

from humble_trowel.core.forms.board_plan import plan_boards, plan_faults
from humble_trowel.core.forms.cover import Buy
from humble_trowel.core.forms.span import thrust_n_per_m, top_push_n_per_m

IN = 25.4
CASES = json.loads((Path(__file__).parent / "cases" / "forms.json").read_text())["cases"]


def test_thrust_of_an_18_in_head():
    assert thrust_n_per_m(18 * IN) / 14.593903 == pytest.approx(168.75, rel=1e-5)
    assert top_push_n_per_m(18 * IN) * 3 == pytest.approx(thrust_n_per_m(18 * IN))


@pytest.mark.parametrize("case", [case for case in CASES if case["input"]["kind"] == "cut_plan"])
def test_board_plans_can_be_sawn_and_nailed_as_they_stand(case):
    given = case["input"]
    runs = [run * IN for run in given["runs_in"]]
    stock = [Buy(feet * 12 * IN, feet * 100) for feet in given["stock_ft"]]
    found = plan_boards(runs, stock, [], given["kerf_in"] * IN, given["min_piece_in"] * IN)
    assert plan_faults(found, runs, given["kerf_in"] * IN, given["min_piece_in"] * IN) == [] and found.proven
