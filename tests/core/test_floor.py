"""Finished floor and slab's top: which of both a level is measured from."""

import pytest
from tests.plans import edited, plan

from humble_trowel.core.errors import CallError
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.ground.levels import known_marks
from humble_trowel.core.ground.rod import rod_card
from humble_trowel.core.plan.levels import floor_mm, read_level
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.site_records import NO_RECORDS

LAYERS = [
    {"kind": "screed", "thickness_mm": 50}, {"kind": "foam", "thickness_mm": 80, "strength_kpa": 200}, {"kind": "slab"},
    {"kind": "blinding", "thickness_mm": 40}, {"kind": "stone", "thickness_mm": 120}, {"kind": "native"},
]  # fmt: skip


def raised():
    """50 screed on 80 foam on a 125 slab over 40 sand and 120 stone."""
    slab = [{"mark": "S1", "thickness_mm": 125}]
    return plan(slab_types=slab, build_ups=[{"slab": "S1", "layers": LAYERS}])


def test_the_rod_card_says_both_surfaces():
    job = raised()
    rows = {row.surface: row for row in rod_card(job, build_solid(job), Ways(), 1500.0, None)}
    dig = rows["dig"]
    assert dig.level_mm == pytest.approx(-285) and dig.reading_mm == pytest.approx(1785)
    assert (dig.level_text, dig.slab_text) == ("415 mm below", "285 mm below slab top")
    assert rows["finished floor"].level_mm == floor_mm(job) == 130
    assert (rows["top of slab"].level_text, rows["top of slab"].slab_text) == ("130 mm below", "slab top")
    assert dig.pole_text == "415 mm up"
    flat = plan()
    assert all(row.slab_text == "" for row in rod_card(flat, build_solid(flat), Ways(), 1500.0, None))


@pytest.mark.parametrize(
    ("said", "mm"),
    [
        ("415 below floor", -285),
        ("285 below slab", -285),
        ("floor", 130),
        ("slab top", 0),
        ("-20 floor", 110),
        ("0 slab", 0),
    ],
)
def test_levels_say_what_they_are_from(said, mm):
    assert read_level(said, raised()) == pytest.approx(mm)


@pytest.mark.parametrize("said", ["400 below", "-400", "0", "5 over"])
def test_a_level_from_neither_is_asked_about(said):
    with pytest.raises(CallError, match="from the slab's top, or from the finished floor 130 mm over it") as asked:
        read_level(said, raised())
    assert asked.value.choices == (f"{said} slab", f"{said} floor")
    assert read_level(asked.value.choices[1], raised()) == read_level(asked.value.choices[0], raised()) + 130


@pytest.mark.parametrize(
    ("said", "mm"), [("0", 0), ("-4", -4), ("4 below", -4), ("floor", 0), ("-2 in", -50.8), ("2 in up", 50.8)]
)
def test_without_layers_over_the_slab_both_are_one(said, mm):
    assert read_level(said, plan()) == pytest.approx(mm)


def test_a_mark_on_the_floor_moves_with_what_lies_over_the_slab():
    job = edited(
        raised(),
        {"op": "set_benchmark", "benchmark": None, "name": "sill", "level": "floor", "what": "floor", "at": None},
    )
    assert known_marks(job, NO_RECORDS)["sill"] == 130
    thin = [{**row, "thickness_mm": 30} if row["kind"] == "screed" else row for row in LAYERS]
    job = edited(job, {"op": "set_build_up", "slab": "S1", "heated": False, "layers": thin})
    assert known_marks(job, NO_RECORDS)["sill"] == 110
