"""Files of shots and of trenches: columns in any order and unit, written and read again, odd ones named by their row."""

import pytest

from humble_trowel.files.shots_csv import ShotsFileError, read_dug_csv, read_shots_csv, write_shots_csv


def spots(data, **more):
    return [(shot.name, shot.at, shot.level_mm, shot.reading_mm) for shot in read_shots_csv(data, "base", **more).shots]


def test_what_is_written_reads_back():
    rows = [("1", 0.0, 12.5, -250.0), ("north, by the door", 4000.1, -20.0, -262.4)]
    assert spots(write_shots_csv(rows)) == [(name, (x, y), level, None) for name, x, y, level in rows]


@pytest.mark.parametrize(
    ("data", "first"),
    [
        (b"a,1000,2000,-250\n", ("a", (1000, 2000), -250, None)),
        (b"level_m;x_m;y_m\n-0.25;1;2\n", ("1", (1000, 2000), pytest.approx(-250), None)),
        (b"\xef\xbb\xbfPoint,Y mm,X mm,Level mm\r\nnail,2000,1000,-250\r\n\r\n", ("nail", (1000, 2000), -250, None)),
        (b"no,x_ft,y_ft,level_ft,remark\n7,10,20,-1,wet\n", ("7", (pytest.approx(3048), pytest.approx(6096)), pytest.approx(-304.8), None)),
    ],
)  # fmt: skip
def test_columns_in_any_order_and_unit(data, first):
    assert spots(data)[0] == first


def test_readings_count_from_a_set_up_only():
    data = b"name,x_mm,y_mm,reading_mm\na,0,0,1400\n"
    with pytest.raises(ShotsFileError, match="no set-up they count from"):
        read_shots_csv(data, "base")
    shots = read_shots_csv(data, "base", "morning")
    assert shots.setup == "morning" and shots.shots[0].reading_mm == 1400 and shots.source == "file"


@pytest.mark.parametrize(
    ("data", "words"),
    [
        (b"", "empty"),
        (b"name,x_mm,y_mm,level_mm\n", "no shot"),
        (b"name,x_mm,level_mm\na,1,2\n", "no y"),
        (b"name,x_yd,y_mm,level_mm\na,1,2,3\n", "unit that is not known"),
        (b"name,x_mm,y_mm,level_mm\na,1,2\n", "Row 2 has 3 columns"),
        (b"name,x_mm,y_mm,level_mm\na,1,2,3\nb,1,wet,3\n", "Row 3: y_mm is wet"),
        (b"name,x_mm,y_mm,level_mm\na,1,nan,3\n", "absurd"),
        (b"name,x_mm,y_mm,level_mm\na,1,9e9,3\n", "absurd"),
        (b"name,x_mm,y_mm,reading_mm\na,1,2,-5\n", "more than nothing"),
        (b"\xff\xfe\x00\x01", "CSV"),
    ],
)  # fmt: skip
def test_odd_files_are_refused_by_row(data, words):
    with pytest.raises(ShotsFileError, match=words):
        read_shots_csv(data, "base", "morning")


def test_trenches_as_dug_need_their_heading_and_whole_rows():
    assert read_dug_csv(b"side,at_mm,width_mm,depth_mm\n0,0,300,450\n0,4000,350,460\n")[1] == (0, 4000, 350, 460)
    for data, words in (
        (b"a,b\n", "heading must be"),
        (b"side,at_mm,width_mm,depth_mm\nx,0,1,1\n", "Row 2"),
        (b"side,at_mm,width_mm,depth_mm\n0,0,1\n", "Row 2"),
    ):
        with pytest.raises(ShotsFileError, match=words):
            read_dug_csv(data)
