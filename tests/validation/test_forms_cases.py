"""Form spans, heights, runs and board plans against reference calculations (cases/forms.json; ACI 347R, NDS values)."""

import json
from pathlib import Path

import pytest

from humble_trowel.core.forms.board_plan import plan_boards, plan_faults
from humble_trowel.core.forms.cover import Buy
from humble_trowel.core.forms.heights import choose
from humble_trowel.core.forms.runs import run_mm
from humble_trowel.core.forms.span import board_span, thrust_n_per_m, top_push_n_per_m

IN = 25.4
CASES = json.loads((Path(__file__).parent / "cases" / "forms.json").read_text())["cases"]
DEEP = {"2x4": 3.5, "2x6": 5.5, "2x8": 7.25, "2x10": 9.25, "2x12": 11.25}
CAP = {"2x4": 48, "2x6": 48, "2x8": 36, "2x10": 24, "2x12": 24}


def of_kind(*kinds):
    rows = [case for case in CASES if case["input"]["kind"] in kinds]
    return pytest.mark.parametrize("case", rows, ids=[case["name"] for case in rows])


@of_kind("stakes")
def test_greatest_span_between_stakes(case):
    given, expect = case["input"], case["expect"]
    span = board_span(
        1.5 * IN, DEEP[given["board"]] * IN, given["top_in"] * IN, several=given.get("cont", True),
        bulge_limit_mm=given.get("abs_limit", 1 / 16) * IN, all_bottom=given.get("model") == "strip",
        cap_mm=CAP[given["board"]] * IN,
    )  # fmt: skip
    assert span.bottom_kpa / 0.0478803 == pytest.approx(expect["p_bottom_psf"], abs=0.02)
    assert span.line_n_per_mm / 14.593903 * 1000 == pytest.approx(expect["line_load_lb_ft"], abs=0.002)
    assert span.bending_mm / IN == pytest.approx(expect["L_bending_in"], abs=0.1)
    assert span.ratio_mm / IN == pytest.approx(expect["L_deflection_ratio_in"], abs=0.1)
    assert span.bulge_mm / IN == pytest.approx(expect["L_deflection_abs_in"], abs=0.1)
    assert span.limit_mm / IN == pytest.approx(expect["L_max_in"], abs=0.1)
    assert span.governs == "bulge"
    assert span.spacing_mm / IN == pytest.approx(expect["spacing_to_use_in"], abs=0.1)


def test_thrust_of_an_18_in_head():
    assert thrust_n_per_m(18 * IN) / 14.593903 == pytest.approx(168.75, rel=1e-5)
    assert top_push_n_per_m(18 * IN) * 3 == pytest.approx(thrust_n_per_m(18 * IN))


@of_kind("choose_boards")
def test_boards_for_a_height(case):
    kit = [(mark, deep * IN) for mark, deep in DEEP.items()]
    expect = case["expect"]
    wanted = {
        "least-over": (expect["boards"], expect["over_in"]),
        "fewest": (expect["fewest_boards"]["boards"], expect["fewest_boards"]["over_in"]),
        "let-in": (expect["under_option"]["boards"], -expect["under_option"]["gap_in"]),
    }
    for rule, (boards, over_in) in wanted.items():
        stack = choose(case["input"]["height_in"] * IN, kit, rule)
        assert list(stack.boards) == boards and stack.over_mm / IN == pytest.approx(over_in, abs=1e-9), rule


@of_kind("runs")
def test_runs_where_one_board_laps_the_next(case):
    ring = [(x * IN, y * IN) for x, y in case["input"]["outline_in"]]
    runs = [run_mm(ring, side, 1.5 * IN, "lap") / IN for side in range(len(ring))]
    assert runs == pytest.approx(case["expect"]["runs_in"], abs=0.01)


@of_kind("single_run", "cut_plan")
def test_board_plans_buy_least_and_then_splice_least(case):
    given, expect = case["input"], case["expect"]
    runs = [run * IN for run in given.get("runs_in", [given.get("run_in")])]
    stock = [Buy(feet * 12 * IN, feet * 100) for feet in given.get("stock_ft", range(8, 21, 2))]
    kerf, least = given.get("kerf_in", 0.125) * IN, given.get("min_piece_in", 24) * IN
    found = plan_boards(runs, stock, [], kerf, least)
    assert plan_faults(found, runs, kerf, least) == []
    assert found.bought_mm / 304.8 == pytest.approx(expect.get("least_total_ft", expect.get("total_ft")))
    if "lower_bound_ft" in expect:
        assert found.proven and found.bound_mm / 304.8 == pytest.approx(expect["lower_bound_ft"])
        assert found.splices + len(runs) <= expect["pieces_found"]
