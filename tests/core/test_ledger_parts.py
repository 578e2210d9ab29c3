"""The ledger with beams, pads and recesses: rows by mark, workings that come to the number shown, second pours apart."""

import math

import pytest
from tests.answers import figure
from tests.plans import edited, l_shape, plan

from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.order.allowances import allowances
from humble_trowel.core.order.measured import Measured
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.units import M3_PER_YD3
from humble_trowel.core.working import evaluate

B1 = {"mark": "B1", "width_mm": 300, "depth_mm": 500, "haunch_run_per_rise": 0.5}
P1 = {"mark": "P1", "shape": "rectangle", "width_mm": 900, "length_mm": 600, "depth_mm": 700}
P2 = {"mark": "P2", "shape": "round", "diameter_mm": 600, "depth_mm": 900}
RING = [[0, 0], [12000, 0], [12000, 8000], [0, 8000]]


def parts_of(**changes):
    return {part.mark: part for part in figure(plan(outline=RING, **changes), Ways()).concrete.parts}


def recomputed(working):
    """A working's value from its formula and its inputs, all the way down."""
    if not working.formula:
        return working.value
    return evaluate(working.formula, {symbol: recomputed(item) for symbol, item in working.inputs})


def test_closed_forms_stand_where_they_hold():
    rows = parts_of(
        beam_types=[B1], beams=[{"type": "B1", "path": [[2000, 4000], [9000, 4000]]}],
        pad_types=[P1, P2], pads=[{"type": "P1", "at": [2000, 1500]}, {"type": "P1", "at": [6000, 1500], "turn_deg": 30}, {"type": "P2", "at": [10000, 6500]}],
        recesses=[{"name": "pit", "polygon": [[3000, 6000], [5000, 6000], [5000, 7000], [3000, 7000]], "depth_mm": 40}],
    )  # fmt: skip
    assert rows["B1"].m3 == pytest.approx(7 * (0.3 + 0.5 * 0.4) * 0.4)
    assert rows["B1"].working.shown == "7.000 m × (300 mm + 0.5 × (500 mm − 100 mm)) × (500 mm − 100 mm) ÷ 1000000"
    assert rows["P1"].m3 == pytest.approx(2 * 0.54 * 0.6) and rows["P1"].working.shown.startswith("2 × 0.540 m²")
    assert rows["P2"].m3 == pytest.approx(math.pi * 0.09 * 0.8, rel=1e-9)
    assert rows["pit"].m3 == pytest.approx(-0.08) and "less" not in dict(rows["pit"].working.inputs)


def test_where_parts_meet_the_table_says_what_lies_past_what():
    rows = parts_of(
        edge_types=[{"mark": "E1", "kind": "thickened", "depth_mm": 450, "bottom_width_mm": 300}], edges=[{"sides": [0, 1, 2, 3], "type": "E1"}],
        beam_types=[B1], beams=[{"type": "B1", "path": [[6000, 0], [6000, 8000]]}], pad_types=[P1], pads=[{"type": "P1", "at": [6000, 4000]}],
        recesses=[{"name": "pit", "polygon": [[5500, 3000], [6500, 3000], [6500, 5000], [5500, 5000]], "depth_mm": 150, "keeps_thickness": True}],
    )  # fmt: skip
    names = [item.name for _, item in rows["B1"].working.inputs]
    assert any("where another part lies" in name and "past that" in name for name in names)
    for part in rows.values():
        assert recomputed(part.working) == pytest.approx(part.m3, abs=1e-9), part.part
    assert "which dips" in " ".join(item.name for _, item in rows["pit"].working.inputs)


def test_rows_add_up_and_every_part_stands_in_one_row():
    job = plan(
        outline=RING, beam_types=[B1, {**B1, "mark": "B2", "depth_mm": 450}],
        beams=[{"type": f"B{1 + k % 2}", "path": [[500 + 1500 * k, 0], [500 + 1500 * k, 8000]]} for k in range(8)],
        pad_types=[P1, P2], pads=[{"type": f"P{1 + k % 2}", "at": [500 + 1500 * k, 4000]} for k in range(8)],
    )  # fmt: skip
    concrete, solid = figure(job, Ways()).concrete, build_solid(job)
    assert sum(part.m3 for part in concrete.parts) == pytest.approx(solid.net_m3, rel=1e-12)
    numbers = [number for part in concrete.parts for number in part.numbers]
    assert sorted(numbers) == list(range(16)) and len(concrete.parts) == 1 + 2 + 2
    assert recomputed(concrete.net) == pytest.approx(concrete.net_m3)


def test_letters_run_on_past_z_without_losing_a_row():
    """'as', 'if', 'in' and 'is' are letters of rows too."""
    kinds = [{**P2, "mark": f"P{k}"} for k in range(60)]
    pads = [{"type": f"P{k}", "at": [600 + 1000 * (k % 11), 600 + 1000 * (k // 11)]} for k in range(60)]
    concrete = figure(plan(outline=RING, pad_types=kinds, pads=pads), Ways()).concrete
    letters = [part.letter for part in concrete.parts]
    assert {"as", "bh"} <= set(letters) and len(set(letters)) == 61
    assert recomputed(concrete.net) == pytest.approx(concrete.net_m3)


def test_feet_and_yards_come_to_the_same_as_metres():
    job = edited(
        l_shape(), {"op": "set_beam_type", "mark": "B1", "text": "12 wide 16 deep 90"}, {"op": "add_beam", "type": "B1", "text": "from A 4' e & 4' n, 10' e"},
        {"op": "set_pad_type", "mark": "P1", "text": "24 round 30 deep"}, {"op": "add_pads", "type": "P1", "text": "from A 24' e 9' n"},
    )  # fmt: skip
    rows = {part.mark: part for part in figure(job, Ways()).concrete.parts}
    assert rows["B1"].working.value * M3_PER_YD3 == pytest.approx(rows["B1"].m3)
    assert (
        rows["B1"].m3 / M3_PER_YD3 == pytest.approx(10 * 1 * 1 / 27)
        and rows["B1"].working.shown == "10′ × 12″ × (16″ − 4″) ÷ 3888"
    )
    assert rows["P1"].m3 / M3_PER_YD3 == pytest.approx(math.pi * 26 / 12 / 27)


def test_a_trench_wider_than_drawn_counts_beams_until_they_are_measured():
    job = plan(outline=RING, beam_types=[B1], beams=[{"type": "B1", "path": [[-1000, 4000], [9000, 4000]]}])
    guess = next(row for row in allowances(job, build_solid(job), Ways()) if row.key == "trench_wide_mm")
    assert guess.m3 == pytest.approx(9 * 0.0127 * 0.4)
    measured = allowances(job, build_solid(job), Ways(), Measured(dug_beams=frozenset({0})))
    assert "trench_wide_mm" not in [row.key for row in measured]
