"""Steel as it is written on drawings: what is heard, what is asked, which word stands in the way."""

import pytest

from humble_trowel.core.calls.steel_calls import read_cage, read_dowels, read_slab_steel
from humble_trowel.core.errors import CallError, InputError
from humble_trowel.core.plan.bars import BARS, bar_of

IN, FT = 25.4, 304.8


@pytest.mark.parametrize(
    ("text", "units", "heard"),
    [
        ("#4 at 16 each way, top, 1 1/2 clear", "ft-in", {"way": "bars", "bar": "#4", "spacing_mm": 16 * IN, "level": "top", "clear_mm": 1.5 * IN}),
        ("No. 3 @ 12", "ft-in", None),
        ("#3 @ 12, #4 at 18, bot, lap 24", "ft-in", {"way": "bars", "bar": "#3", "spacing_mm": 12 * IN, "other_bar": "#4", "other_mm": 18 * IN, "level": "bottom", "lap_mm": 24 * IN}),
        ("10 mm at 200 each way", "mm", {"way": "bars", "bar": "10 mm", "spacing_mm": 200}),
        ("mesh 10' by 5', lap 6", "ft-in", {"way": "mesh", "sheet_wide_mm": 5 * FT, "sheet_long_mm": 10 * FT, "lap_mm": 6 * IN}),
        ("mesh tied at the edges", "mm", {"way": "mesh-tied"}),
        ("rolls of mesh", "mm", {"way": "rolls"}),
        ("fibre 1.5 lb", "ft-in", {"way": "fibre", "fibre_kg_m3": 0.8899}),
        ("fiber 3 kg with edges", "mm", {"way": "fibre-edges", "fibre_kg_m3": 3.0}),
        ("none", "mm", {"way": "none"}),
    ],
)  # fmt: skip
def test_a_slab_is_called_like_the_drawing(text, units, heard):
    if heard is None:
        with pytest.raises(CallError, match="understood"):
            read_slab_steel(text, units)
    else:
        assert read_slab_steel(text, units) == pytest.approx(heard)


def test_a_cage_and_a_row_of_dowels_are_called_like_the_drawing():
    said = read_cage(
        "4 #6 bottom, 2 x #5 top and middle, #3 stirrups at 18, 3 clear sides, 2 clear top, hooks 90, crossed, legs 30",
        "ft-in",
    )
    assert said["bars"] == [
        {"count": 4, "bar": "#6", "level": "bottom"}, {"count": 2, "bar": "#5", "level": "top"}, {"count": 2, "bar": "#5", "level": "middle"},
    ]  # fmt: skip
    assert (said["stirrup"], said["stirrup_mm"], said["hook"], said["corners"]) == ("#3", 18 * IN, 90, "crossed")
    assert (said["side_mm"], said["top_mm"], said["leg_mm"]) == pytest.approx((3 * IN, 2 * IN, 30 * IN))
    assert read_cage("#5 at 8 each way", "ft-in") == {"each_way": "#5", "each_mm": 8 * IN, "bars": []}
    said = read_dowels("#4 at 18, 6 into the wall, 18 out, hole 5/8, from 2', to 9', smooth", "ft-in")
    assert said == pytest.approx(
        {"bar": "#4", "spacing_mm": 18 * IN, "in_mm": 6 * IN, "out_mm": 18 * IN, "hole_mm": 0.625 * IN, "from_mm": 2 * FT, "to_mm": 9 * FT, "smooth": True}
    )  # fmt: skip


@pytest.mark.parametrize(
    ("read", "text", "words"),
    [
        (read_cage, "4 #6 botom", "“botom” was not understood"),
        (read_cage, "2 #5", "Where does 2 #5 go"),
        (read_cage, "2 #12 top", "There is no #12"),
        (read_cage, "#3 stirrups at 18", "Which long bars"),
        (read_cage, "2 #5 top, hooks 180", "90 or 135"),
        (read_slab_steel, "#4 at 16 every way", "“every” was not understood"),
        (read_slab_steel, "", "What goes in"),
        (read_slab_steel, "top", "Which bars"),
        (read_slab_steel, "#4 at 0", "more"),
        (read_slab_steel, "9 mm at 200", "no bar of 9 mm"),
        (read_dowels, "6 deep", "Which bars"),
    ],
)
def test_what_cannot_be_read_is_said_by_its_word(read, text, words):
    with pytest.raises(CallError, match=words):
        read(text, "ft-in")


def test_sizes_are_those_that_are_sold():
    assert [bar_of(said).name for said in ("#4", "no 4", "Number 11", "12 mm", "12")] == [
        "#4",
        "#4",
        "#11",
        "12 mm",
        "12 mm",
    ]
    assert BARS["12 mm"].kg_m == pytest.approx(0.888, abs=5e-4) and BARS["#4"].kg_m == pytest.approx(0.994, abs=1e-3)
    for wrong in ("#2", "7 mm", "rod", ""):
        with pytest.raises(InputError):
            bar_of(wrong)
