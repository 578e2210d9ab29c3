"""Steel over pile heads, and bars that lie in the yard and need not be bought."""

import math

import pytest
from tests.core.test_steel import PAD, cage, codes, of, slab
from tests.plans import edited, plan

from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.job import Job
from humble_trowel.core.steel.keys import keys_told

PILED = plan(
    units="mm", outline=[[0, 0], [12000, 0], [12000, 9000], [0, 9000]], slab_types=[{"mark": "S1", "thickness_mm": 200}],
    zones=[{"name": "all", "slab": "S1"}],
    piles=[{"name": "screw piles", "diameter_mm": 300, "head_down_mm": 150, "at": [[3000, 3000], [250, 4500], [9000, 6000]]}],
)  # fmt: skip


def over(text):
    return edited(PILED, {"op": "call_cage", "of": "pile", "mark": PILED.piles[0].id, "text": text})


def test_bars_lie_each_way_over_every_head_and_end_at_their_cover():
    job = Job(over("12 mm at 150 each way, 1200 long, 40 clear"))
    one, other = of(job, "pile/")
    assert [row.count for row in (one, other)] == [9, 9]  # three over each of three heads
    assert (one.level_mm, other.level_mm) == (pytest.approx(-150 + 46), pytest.approx(-150 + 58))
    for (ax, ay), (bx, by) in [*one.lines, *other.lines]:
        assert min(ax, bx) >= 50 and math.dist((ax, ay), (bx, by)) <= 1200.001
    short = sorted(length for length, count in one.pieces for _ in range(count))
    assert short[:3] == [pytest.approx(250 + 600 - 50.8, abs=1)] * 3 and short[3:] == [1200.0] * 6
    assert codes(over("12 mm at 150 each way")) == []
    free = Job(over("12 mm at 150 each way"))
    assert max(length for length, _ in of(free, "pile/")[0].pieces) == 300 + 2 * 40 * 12
    told = free.steel_told.cages[0]
    assert (told.head_mm, told.name, len(told.bars)) == (300, "screw piles", 3) and free.steel_bare == []


def test_heads_ask_for_what_can_lie_over_them():
    assert Job(slab("none", PILED)).steel_bare == [("pile", PILED.piles[0].id)]
    for text, words in (("2 #5 bottom", "each way"), ("#4 at 6 each way", None)):
        if words:
            with pytest.raises(EditError, match=words):
                over(text)
    with pytest.raises(EditError, match="length of their own"):
        cage("#4 at 6 each way, 4' long", part="pad", mark="P1")
    with pytest.raises(EditError, match="no row of piles"):
        edited(PAD, {"op": "call_cage", "of": "pile", "mark": "q9", "text": "#4 at 6 each way"})
    assert codes(over("12 mm at 150 each way, 120 clear")) == ["cage-no-room"]


def test_what_lies_in_the_yard_is_cut_first_and_not_bought():
    here = slab("12 mm at 300 each way")
    plain = Job(here).steel_cuts[0]
    job = Job(edited(here, {"op": "call_on_hand", "text": "4 12 mm at 12 m, 2 16 mm at 3000"}))
    cut = job.steel_cuts[0]
    taken = [row for row in cut.rows if row.on_hand]
    assert sum(row.count for row in taken) == 4 and cut.bought_mm == pytest.approx(
        plain.bought_mm - 4 * 12_000, abs=6000
    )
    pieces = [mm for row in cut.rows for _ in range(row.count) for _, mm in row.pieces]
    assert sum(pieces) == pytest.approx(sum(row.steel_mm for row in job.steel.bars), rel=1e-9)
    assert cut.bars == sum(row.count for row in cut.rows if not row.on_hand)
    gone = edited(job.plan, {"op": "call_on_hand", "text": " "})
    assert gone.steel.on_hand == [] and Job(gone).steel_cuts[0].bars == plain.bars
    for text in ("4 #3", "some bars", "0 #4 at 3'", "3 #4 at 10 mm", "2 #99 at 9'"):
        with pytest.raises((CallError, EditError)):
            edited(here, {"op": "call_on_hand", "text": text})


def test_a_keyed_joint_is_called_along_a_side_and_a_thin_slab_is_warned_of():
    side = PAD.corner_ids[1]
    keyed = edited(PAD, {"op": "call_key", "side": side, "text": "key 40 by 50, from 1000, to 7000"})
    (row,) = keys_told(keyed)
    assert row.words == "40 mm deep, 50 mm wide, 6000 mm of it on B to C" and row.path == [(12000, 1000), (12000, 7000)]
    assert codes(keyed) == []
    wide = edited(keyed, {"op": "call_key", "side": side, "text": "key 40 by 80", "key": row.id})
    assert len(wide.steel.keys) == 1 and codes(wide) == ["key-thin"]
    thin = plan(
        **{**PAD.model_dump(mode="json", exclude_defaults=True), "slab_types": [{"mark": "S1", "thickness_mm": 100}]}
    )
    assert codes(edited(thin, {"op": "call_key", "side": thin.corner_ids[1], "text": "key 20 by 30"})) == ["key-thin"]
    assert edited(keyed, {"op": "take_out_key", "key": row.id}).steel.keys == []
    for text, words in (
        ("key 40", "as a whole"),
        ("from 3", "deep and wide"),
        ("key 40 by 50, to 99 m", "past the side"),
        ("key 400 by 50", "less than"),
    ):
        with pytest.raises((CallError, EditError), match=words):
            edited(PAD, {"op": "call_key", "side": side, "text": text})
