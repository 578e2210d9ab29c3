"""Laps, sidewalks and ramps: their concrete, what they come with, their doubts, and what cannot be."""

import math

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from tests.plans import edited, new

from humble_trowel.core.beside.rows import besides, ramp_parts, sidewalk_regions
from humble_trowel.core.errors import TrowelError
from humble_trowel.core.job import Job
from humble_trowel.core.plan.beside_parts import Ramp
from humble_trowel.core.units import M3_PER_YD3

FT, IN = 304.8, 25.4
SLAB = {"op": "keep_outline", "text": "24' e 16' n 24' w 16' s"}
PATIO = {
    "op": "add_existing",
    "name": "Patio",
    "what": "slab",
    "text": "from B, 20' e 16' n 20' w 16' s",
    "level": "5 below",
}
LAP = {"op": "add_lap", "side": 1, "width": "8", "thickness": "4"}
RAMP = {"op": "add_ramp", "side": 0, "start": "4'", "long": "5'", "low": "4 below", "thickness": "6", "foot": "2"}
WALK = {"op": "add_sidewalk", "sides": [0, 1], "width": "4'", "thickness": "4"}


def beside(*edits):
    return edited(new(), SLAB, *edits)


def codes(plan):
    return {row.code for row in Job(plan).figure.findings}


def test_a_lap_runs_over_the_old_patio_comes_with_the_slab_and_must_be_cut_one_day():
    plan = beside(PATIO, LAP)
    figure = Job(plan).figure
    lap = next(row for row in figure.second_pours if row.kind == "lap")
    assert lap.with_slab and lap.m3 / M3_PER_YD3 == pytest.approx(16 * (8 / 12) * (4 / 12) / 27, rel=1e-9)
    assert figure.beside[0].words == "Over Patio, its form board on top of it; the 1″ below it stays open."
    assert figure.beside[0].form_text == "17′-4″"  # its far side and both ends
    assert sum(row.length_mm for row in Job(plan).forms.steps) == pytest.approx(17 * FT + 4 * IN, abs=1)
    assert "Against Lap 1." in {row.why for row in Job(plan).forms.sides}
    assert "lap-to-cut" in codes(plan) and [part.kind for part in figure.beside[0].cut] == ["slab", "lap", "old"]
    filled = edited(plan, {"op": "set_beside", "what": "laps", "id": plan.laps[0].id, "changes": {"gap": "filled"}})
    assert besides(filled)[0].m3 == pytest.approx(lap.m3 * 5 / 4, rel=1e-9)
    thick = edited(plan, {"op": "set_beside", "what": "laps", "id": plan.laps[0].id, "changes": {"thickness_mm": "6"}})
    assert "lap-no-room" in codes(thick)
    short = edited(plan, {**LAP, "start": "12'", "long": "4'", "width": "24'"})
    assert "lap-off-old" in codes(short)
    moved = edited(plan, {"op": "move_corner", "corner": 1, "x_mm": 25 * FT, "y_mm": 0.0})
    assert moved.laps[0].path[0] == moved.outline[1]  # goes along with its side


def test_a_saw_cut_that_missed_the_line_is_filled_to_the_true_line():
    plan = beside({**LAP, "kind": "saw-cut", "width": "2", "end_width": "0"})
    row = besides(plan)[0]
    assert row.m3 / M3_PER_YD3 == pytest.approx(16 * (2 / 12) / 2 * (4 / 12) / 27, rel=1e-9)
    assert "lap-off-old" not in codes(plan)


def test_a_sidewalk_goes_round_the_corner_and_leaves_out_what_is_poured_already():
    plan = beside(WALK)
    row = next(one for one in Job(plan).figure.second_pours if one.kind == "sidewalk")
    area = 24 * 4 + 16 * 4 + 4 * 4
    assert not row.with_slab and row.m3 / M3_PER_YD3 == pytest.approx(area * (4 / 12) / 27, rel=1e-9)
    ramped = edited(plan, RAMP)
    flat = next(one for one in besides(ramped) if one.kind == "sidewalk")
    assert flat.m3 / M3_PER_YD3 == pytest.approx((area - 5 * 4) * (4 / 12) / 27, rel=1e-9)
    two = edited(plan, {**WALK, "sides": [1, 2]})
    assert sidewalk_regions(two)[1].area / FT**2 == pytest.approx(24 * 4 + 4 * 4, rel=1e-9)
    round_ = edited(beside(), {**WALK, "sides": [0, 1, 2, 3]})
    assert sidewalk_regions(round_)[0].area / FT**2 == pytest.approx(32 * 24 - 24 * 16, rel=1e-9)
    inward = edited(
        plan, {"op": "set_beside", "what": "sidewalks", "id": plan.sidewalks[0].id, "changes": {"fall": "-1/4 a foot"}}
    )
    assert "sidewalk-falls-in" in codes(inward)
    level = edited(
        plan, {"op": "set_beside", "what": "sidewalks", "id": plan.sidewalks[0].id, "changes": {"fall": "0 %"}}
    )
    assert "sidewalk-flat" in codes(level)


def test_a_ramp_runs_one_in_twelve_where_nothing_is_said_and_doubts_say_what_is_too_much():
    plan = beside(RAMP)
    ramp = plan.ramps[0]
    assert ramp.run_mm == pytest.approx(48 * IN) and ramp_parts(ramp).m3 / M3_PER_YD3 == pytest.approx(
        5 * 4 * (4 / 12) / 27
    )
    assert not codes(plan) & {"ramp-steep", "ramp-lip", "ramp-rails"}
    assert Job(plan).figure.beside[0].words == "1 in 12, down 4″. Broom across it."

    def changed(**changes):
        return codes(edited(plan, {"op": "set_beside", "what": "ramps", "id": ramp.id, "changes": changes}))

    assert "ramp-steep" in changed(run_mm="3'")
    assert {"ramp-rails", "ramp-steep"} <= changed(low_mm="8 below")
    assert "ramp-lip" in changed(high_mm="1 below")
    assert "flare-steep" in changed(flare_mm="12") and "flare-steep" not in changed(flare_mm="40")
    assert changed(kerb_mm="6") >= set()


@settings(max_examples=60, deadline=None, derandomize=True)
@given(st.integers(900, 3000), st.integers(600, 4000), st.integers(50, 200), st.integers(30, 150), st.integers(0, 800))
def test_a_ramp_with_flares_agrees_with_a_plain_grid(wide, run, thick, foot, flare):
    ramp = Ramp(name="r", path=[(0, 0), (wide, 0)], run_mm=run, low_mm=-100, thickness_mm=thick, foot_mm=foot, flare_mm=flare)  # fmt: skip
    n = 400
    out = (np.arange(n) + 0.5) / n  # share of the run
    edge = thick + (foot - thick) * out
    total = (edge * wide).sum() * run / n
    reach = flare * (1 - out)  # of one flare, its depth going straight from the ramp's edge to its own outer edge
    total += 2 * ((edge + foot) / 2 * reach).sum() * run / n
    assert ramp_parts(ramp).m3 * 1e9 == pytest.approx(total, rel=1e-4)
    assert math.isclose(ramp_parts(ramp).kerbs_m3, 0.0)


@pytest.mark.parametrize(
    ("edits", "says"),
    [
        ((LAP,), "Nothing lies under Lap 1"),
        ((PATIO, {**LAP, "width": ""}), "How far over?"),
        ((PATIO, {**LAP, "start": "14'", "long": "4'"}), "that leaves it"),
        (({**RAMP, "foot": "1/2"},), "A feather of 1/2″ breaks off"),
        (({**RAMP, "low": "4 above", "run": "4'"},), "goes down from the slab"),
        (({**RAMP, "low": "4"},), "over or below"),
        (({**RAMP, "start": "22'"},), "that leaves it"),
        (({**WALK, "sides": [0, 2]},), "follow each other"),
        (({**WALK, "width": ""},), "How wide?"),
    ],
)
def test_what_cannot_be_is_said(edits, says):
    with pytest.raises(TrowelError, match=says):
        beside(*edits)


def test_changes_that_no_row_has_and_sides_with_both_are_said():
    plan = beside({**RAMP, "name": "Door"})
    for changes, says in (({"wide": "2"}, "no wide"), ({"flare_mm": "12", "kerb_mm": "6"}, "not both")):
        with pytest.raises(TrowelError, match=says):
            edited(plan, {"op": "set_beside", "what": "ramps", "id": plan.ramps[0].id, "changes": changes})
    assert edited(plan, {"op": "take_out", "what": "ramps", "ids": [plan.ramps[0].id]}).ramps == []
