"""Foam thickness and the shallow frost table against reference cases (cases/insulation.json): look-up only."""

import json
from pathlib import Path

import pytest

from humble_trowel.core.edges.foam import OUTSIDE_TABLE, foam_for, shallow_between, shallow_row
from humble_trowel.core.edges.wings import wings

CASES = json.loads((Path(__file__).parent / "cases" / "insulation.json").read_text())["cases"]
FT2_PER_M2 = 1 / 0.09290304


def of(kind):
    rows = [case for case in CASES if case["input"]["kind"] == kind]
    return pytest.mark.parametrize("case", rows, ids=[row["name"] for row in rows])


def as_case(row):
    if row is None:
        return {"message": OUTSIDE_TABLE}
    return {
        "AFI": row.index_f_days, "depth_in": row.depth_in, "vertical_R": row.vertical_r,
        "horizontal_R_walls": row.walls_r, "horizontal_R_corners": row.corners_r, "A_in": row.wing_in,
        "B_in": row.corner_wing_in, "C_in": row.corner_length_in,
    }  # fmt: skip


@of("fpsf")
def test_the_shallow_table(case):
    index = case["input"]["AFI"]
    for got, key in ((shallow_row(index), "next_row"), (shallow_between(index), "interpolated")):
        expect = case["expect"][key]
        assert as_case(got).keys() == expect.keys()
        for name, value in as_case(got).items():
            assert value == (
                expect[name] if expect[name] is None or isinstance(value, str) else pytest.approx(expect[name])
            )


@of("thickness")
def test_foam_thickness(case):
    given, expect = case["input"], case["expect"]
    board = foam_for(given["R"], given["type"], given["table"])
    got = {"exact_in": board.exact_in, "stock_in": board.stock_in, "R_of_stock": board.r_of_stock, "RSI": board.rsi}
    assert got == {key: pytest.approx(value, abs=case["tolerance"]) for key, value in expect.items()}


def test_wings_of_a_forty_by_thirty():
    """40 x 30 ft at 3,000 F-days: 113.3 sq ft along walls and 69.3 at corners, squares filled."""
    ft = 304.8
    ring = [(0.0, 0.0), (40 * ft, 0.0), (40 * ft, 30 * ft), (0.0, 30 * ft)]
    got = wings(ring, [0, 1, 2, 3], 12 * 25.4, 24 * 25.4, 40 * 25.4)
    assert got.walls_m2 * FT2_PER_M2 == pytest.approx(113.33, abs=0.01)
    assert got.corners_m2 * FT2_PER_M2 == pytest.approx(69.33, abs=0.01)
