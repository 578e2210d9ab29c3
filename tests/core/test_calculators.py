"""The rule book's calculators against figures worked out by hand, in feet and in metric."""

import math

import pytest

from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.rules.book import try_rule

BY_HAND = [
    # 24 ft x 20 ft x 4 in / 324 = 1920 / 324 yd3
    ("volume/slab", "ft-in", {"length": "24'", "width": "20'", "thick": '4"'}, {"Slab": 1920 / 324}),
    ("volume/slab", "mm", {"length": "7200", "width": "6 m", "thick": "100"}, {"Slab": 7.2 * 6 * 0.1}),
    # an edge 12 wide, 14 below the slab, a haunch of 14 x 14 / 2 beside it
    (
        "volume/edge",
        "ft-in",
        {"length": "36'", "width": '12"', "deep": '18"', "thick": '4"', "run": "1"},
        {"Edge below the slab": (12 * 14 + 14 * 14 / 2) / 144 * 36 / 27},
    ),
    (
        "volume/edge",
        "mm",
        {"length": "11000", "width": "300", "deep": "450", "thick": "100", "run": "0"},
        {"Edge below the slab": 0.3 * 0.35 * 11},
    ),
    ("volume/second-pour", "mm", {"length": "6000", "width": "150", "high": "200"}, {"Second pour": 6 * 0.15 * 0.2}),
    # 80 ft of 16 by 8 in, and two steps of 8 in together 16
    (
        "volume/footing",
        "ft-in",
        {"length": "80'", "width": '16"', "thick": '8"', "rise": '16"'},
        {"Footing": (80 * 16 * 8 / 144 + 16 * 16 * 8 / 1728) / 27},
    ),
    ("order/round-up", "ft-in", {"need": "23.5", "step": "0.5"}, {"Order": 23.5}),
    ("order/round-up", "mm", {"need": "23.51", "step": "0.25"}, {"Order": 23.75}),
    ("lines/diagonal", "mm", {"length": "5000", "width": "12000"}, {"Diagonal": 13.0}),
    # AC2 - BD2 over 4 AB
    (
        "lines/rack",
        "ft-in",
        {"ab": "40'", "ac": "50' 1 1/2\"", "bd": "49' 10 1/2\""},
        {"Far side": (50.125**2 - 49.875**2) / 160},
    ),
    # 150 lb/ft3 of wet concrete as a fluid, a third of it at the top
    (
        "forms/pressure",
        "ft-in",
        {"head": '24"'},
        {"Thrust": 150 * 2**2 / 2, "Held at the top": 150 * 2**2 / 6},
    ),
    ("ground/levels", "mm", {"back": "1540", "over": "100", "below": "200"}, {"Rod on the surface": 1840}),
    (
        "ground/stone",
        "mm",
        {"area": "80", "thick": "250", "factor": "1.25", "density": "1.6", "lift": "100"},
        {"Packed": 20, "Loose": 25, "Mass": 40, "Lifts": 3},
    ),
    (
        "ground/enough",
        "mm",
        {"spread": "10", "shots": "25", "area": "100"},
        {"In doubt": 0.01 / math.sqrt(25) * 100},
    ),
    ("edges/bury", "ft-in", {"has": '10"'}, {"Edge in undisturbed ground, at least: short by": 2}),
    ("edges/frost", "mm", {"frost": "800", "has": "900"}, {"Above the frost line": -100}),
    ("edges/above-grade", "ft-in", {"has": '4"'}, {"The same under masonry veneer: short by": 0}),
    ("edges/shallow", "ft-in", {"index": "2700"}, {"Table row": 3000, "Depth under the ground": 16}),
    ("edges/shallow", "ft-in", {"index": "1500"}, {"Table row": 1500, "Depth under the ground": 12}),
    ("edges/foam", "ft-in", {"r": "10", "per": "4"}, {"Board": 2.5}),
    ("edges/plate", "ft-in", {"over": '1 1/2"', "width": '3 1/2"'}, {"Past a third": 1.5 - 3.5 / 3}),
    ("cutting/bound", "ft-in", {"total": "140'", "bar": "20'"}, {"Bars at least": 7}),
    ("cutting/bound", "ft-in", {"total": "140' 1\"", "bar": "20'"}, {"Bars at least": 8}),
]


@pytest.mark.parametrize(("name", "units", "said", "by_hand"), BY_HAND)
def test_a_calculator_comes_to_what_a_hand_comes_to(name, units, said, by_hand):
    told = {row.name: row.value for row in try_rule(name, said, units, Ways())}
    for one, value in by_hand.items():
        assert told[one] == pytest.approx(value, rel=2e-3, abs=1e-6), (one, told)
