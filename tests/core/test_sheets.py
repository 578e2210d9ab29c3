"""Boards, strips and rolls: at and about their steps, against laying them one by one."""

import math

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from humble_trowel.core.errors import InputError
from humble_trowel.core.rules.answers import answer
from humble_trowel.core.sheets.counts import boards, rolls, strips
from humble_trowel.core.underslab.insulation import SLAB_EDGE, ZONES, slab_edge


@given(st.floats(500, 40_000), st.floats(500, 40_000), st.floats(1000, 6000), st.floats(0, 400), st.floats(0, 300))
@settings(max_examples=60, deadline=None, derandomize=True)
def test_rows_laid_one_by_one_cover_and_one_fewer_does_not(long, wide, roll, lap, up):
    found = rolls(long, wide, roll, 30_000, lap, up)
    across = (wide if found.along == "length" else long) + 2 * up
    reach, count = roll, 1
    while reach < across - 1e-6:
        reach, count = reach + roll - lap, count + 1
    assert found.rows == count and found.rolls == math.ceil(found.total_mm / 30_000 - 1e-9)


def test_boards_and_strips_at_their_steps_and_what_cannot_be():
    assert boards(2400, 2400, 2400, 1200, 0).by_grid == 2 and boards(2401, 2400, 2400, 1200, 0).by_grid == 3
    assert strips(2400, 600, 2400, 1200).sheets == 1 and strips(2400 * 3, 600, 2400, 1200).sheets == 2
    assert strips(2400, 598, 2400, 1200, 4).per_sheet == 2 and strips(2400, 599, 2400, 1200, 4).per_sheet == 1
    with pytest.raises(ValueError, match="higher than the sheet"):
        strips(2400, 1300, 2400, 1200)
    with pytest.raises(InputError, match="no wider than its lap"):
        answer("insulation", {"kind": "rolls", "L_ft": 9, "W_ft": 9, "roll_width_ft": 0.5, "roll_length_ft": 100, "lap_ft": 0.5, "turn_up_ft": 0})  # fmt: skip


def test_the_edge_table_never_asks_less_in_a_colder_zone_or_a_later_edition():
    for edition in SLAB_EDGE:
        asked = [slab_edge(edition, zone)[0] or (0, 0) for zone in ZONES]
        assert asked == sorted(asked)
    with pytest.raises(InputError, match="editions 2009"):
        answer("insulation", {"kind": "slab_edge", "edition": "1999", "zone": "5"})
