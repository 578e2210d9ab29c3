"""Every rule by itself against the reference cases: what `./trowel rule NAME FILE` answers, name by name."""

import json
import subprocess
import sys
from pathlib import Path
from time import perf_counter

import pytest

from humble_trowel.core.cutting.stock import Bar, Piece, Stock, faults, make_task
from humble_trowel.core.edges.wings import wings
from humble_trowel.core.errors import InputError
from humble_trowel.core.rules.answers import ANSWERS, answer

CASES = Path(__file__).parent / "cases"
# absolute and relative tolerance, by the family of the rule and the end of a name; the case files name them
CLOSE = {
    "volume": {"": (0, 1e-6), "net_yd3": (6e-6, 1e-6), "parts": (2e-5, 0)},
    "squaring": {"": (0.01, 0), "sigma0": (0.001, 0), "value": (0.001, 0), "misfit_mm": (0.001, 0)},
    "forms": {"": (0.1, 0), "p_bottom_psf": (0.02, 0), "line_load_lb_ft": (0.002, 0), "runs_in": (0.01, 0)},
    "grades": {"": (0.0005, 1e-3), "highest_mm": (0.05, 0), "lowest_mm": (0.05, 0)},
    "insulation": {"": (0.001, 0)},
    "anchors": {"": (1e-6, 1e-9)},
    "order": {
        "": (0, 0.005),
        "p_short": (0.01, 0),
        "bias_in": (0.02, 0.01),
        "remaining": (0.02, 0.01),
        "Q": (0.005, 0),
        "loads": (0.001, 0),
        "best_order": (1e-6, 0),
        "last_load": (1e-6, 0),
        "leftover": (0.005, 0.005),
    },
    "pour": {
        "": (0, 0.002),
        "timeline": (0.02, 0),
        "_min": (0.02, 0),
        "total_wait": (0.02, 0),
        "cold_joints": (0, 0),
        "spacing": (0, 0),
    },
    "evaporation": {"": (0.001, 0.01), "mph": (0.05, 0), "F": (0.1, 0), "rh": (0.005, 0), ".v": (0, 0.005)},
    "sun": {
        "": (1.0, 0.005),
        "elev_deg": (0.05, 0),
        "azim_deg": (0.1, 0),
        "fraction": (0.01, 0),
        "zone_W": (0, 0.02),
        "area": (0.01, 0),
        "bounds": (0.01, 0),
    },
    "hydration": {"": (0, 0.01), "T_C": (0.3, 0), "nurse": (0, 0.002), "equivalent": (0, 0.002)},
    "slab-heat": {"": (0.15, 0.03), "peak_mean": (0.5, 0), "_at_24h": (0.5, 0), "min_any": (0.5, 0)},
    "cold-hot": {"": (0.05, 0), "mix_F": (0.1, 0), "_for_target": (0.1, 0), "max_in": (0.01, 0), "w": (0.02, 0)},
    "schedule": {"": (0, 0)},
    "screed": {"": (0.1, 0), "feasible_orders": (0, 0), "warnings": (0, 0)},
    "joints": {"": (5, 0), "aspect": (0.01, 0), "saw_length_m": (0.01, 0), "panels": (0, 0), "violations": (0, 0)},
    "steel": {"": (0.001, 2e-5), "As_": (1e-4, 1e-3), "length_in": (0.001, 0), "chairs": (0, 0), "mass": (0, 1e-4)},
}
INFORMATIVE = {"a_layout", "greatest_gap"}  # one of many that are right: the checker and the count tell
BOUNDS = {"pieces_found", "accept_at_most"}  # no worse than this


def cases(name):
    rows = json.loads((CASES / f"{name}.json").read_text())["cases"]
    return rows


def agrees(name, got, want, path):
    if isinstance(want, dict):
        for key, value in want.items():
            if key in INFORMATIVE:
                continue
            assert key in got, f"{path}.{key}"
            agrees(name, got[key], value, f"{path}.{key}")
    elif isinstance(want, list):
        assert len(got) == len(want), path
        for at, (one, two) in enumerate(zip(got, want, strict=True)):
            agrees(name, one, two, f"{path}[{at}]")
    elif isinstance(want, float | int) and not isinstance(want, bool):
        close = next((near for key, near in CLOSE[name].items() if key and key in path), CLOSE[name][""])
        if path.rsplit(".", 1)[-1] in BOUNDS:
            assert got <= want, path
        else:
            assert got == pytest.approx(want, abs=close[0], rel=close[1]), path
    else:
        assert got == want, path


ALL = [
    pytest.param(name, case, id=f"{name}: {case['name']}")
    for name in ANSWERS
    if name != "cutting"
    for case in cases(name)
]


@pytest.mark.parametrize(("name", "case"), ALL)
def test_a_rule_gives_what_the_case_expects(name, case):
    agrees(name, answer(name, case["input"]), case["expect"], "")


@pytest.mark.parametrize("case", cases("cutting"), ids=[case["name"] for case in cases("cutting")])
def test_cutting_plans_pass_the_checker_and_cost_no_more_than_is_acceptable(case):
    given, expect = case["input"], case["expect"]
    told = answer("cutting", given, perf_counter)
    assert set(expect) <= set(told)
    mm = 1.0 if given["unit"] == "mm" else 25.4 / 16
    stock = [Stock(size * mm, None, 1) for size in given["stocks"]]
    pieces = [Piece(item["length"] * mm, item["count"]) for item in given["items"]]
    bars = [
        Bar(given["stocks"].index(row["stock"]), row["stock"] * mm, tuple(p * mm for p in row["pieces"]))
        for row in told["a_best_plan"]
        for _ in range(row["times"])
    ]
    assert faults(make_task(stock, pieces, given["kerf"] * mm), bars) == []
    assert told["best_known"] <= expect["accept_at_most"]
    assert told["lower_bound"] <= expect["best_known"]  # a bound over a known plan would be no bound
    assert told["lower_bound"] >= expect["lower_bound"] - 1e-9 or not expect["proven_optimal"]


@pytest.mark.parametrize("name", ANSWERS)
def test_the_command_prints_the_same(name, tmp_path):
    case = cases(name)[0]
    (tmp_path / "case.json").write_text(json.dumps(case["input"]))
    command = [sys.executable, "-m", "humble_trowel.cli", "rule", name, str(tmp_path / "case.json")]
    told = json.loads(subprocess.run([*command, "--json"], capture_output=True, text=True, check=True).stdout)
    if name != "cutting":
        agrees(name, told, case["expect"], "")
    assert set(case["expect"]) <= set(told)
    text = subprocess.run(command, capture_output=True, text=True, check=True).stdout
    assert all(key in text for key in case["expect"])


@pytest.mark.parametrize(
    ("name", "given", "words"),
    [
        ("roofs", {}, "There is no rule roofs"), ("forms", [], "one JSON object"), ("forms", {"kind": "towers"}, "kind towers"),
        ("grades", {"kind": "layer", "area_m2": 3}, "thick_mm is missing"), ("squaring", {"design": 4}, "does not fit"),
        ("volume", {"format": "x"}, "no job file"), ("forms", {"kind": "stakes", "board": "2x3", "top_in": 0}, "No board 2x3"),
    ],
)  # fmt: skip
def test_what_is_no_case_is_refused_in_words(name, given, words):
    with pytest.raises(InputError, match=words):
        answer(name, given)


def test_wings_of_a_forty_by_thirty():
    """40 x 30 ft at 3,000 F-days: 113.3 sq ft along walls and 69.3 at corners, squares filled."""
    ft = 304.8
    ring = [(0.0, 0.0), (40 * ft, 0.0), (40 * ft, 30 * ft), (0.0, 30 * ft)]
    got = wings(ring, [0, 1, 2, 3], 12 * 25.4, 24 * 25.4, 40 * 25.4)
    assert got.walls_m2 / 0.09290304 == pytest.approx(113.33, abs=0.01)
    assert got.corners_m2 / 0.09290304 == pytest.approx(69.33, abs=0.01)
