"""The thirty cutting lists (cases/cutting.json): every plan passes the checker and costs no more than is acceptable."""

import json
from pathlib import Path
from time import perf_counter

import pytest

from humble_trowel.core.cutting.cut import cut
from humble_trowel.core.cutting.stock import Piece, Stock, faults, make_task

CASES = json.loads((Path(__file__).parent / "cases" / "cutting.json").read_text())["cases"]


@pytest.mark.parametrize("case", CASES, ids=[case["name"] for case in CASES])
def test_cutting_list(case):
    given, expect = case["input"], case["expect"]
    mm = 1.0 if given["unit"] == "mm" else 25.4 / 16
    bars_only = given["objective"] == "bars"
    stock = [Stock(size * mm, None, 100 if bars_only else size) for size in given["stocks"]]
    pieces = [Piece(item["length"] * mm, item["count"]) for item in given["items"]]
    plan = cut(stock, pieces, given["kerf"] * mm, clock=perf_counter, limit_s=8)
    assert faults(make_task(stock, pieces, given["kerf"] * mm), plan.bars) == []
    got = len(plan.bars) if bars_only else plan.cost_cents
    bound = plan.bound_cents / 100 if bars_only else plan.bound_cents
    assert got <= expect["accept_at_most"]
    assert bound <= expect["best_known"]  # a bound over a known plan would be no bound
    assert bound >= expect["lower_bound"] - 1e-9 or not expect["proven_optimal"]
