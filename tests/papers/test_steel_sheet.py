"""Steel on paper and in files: every mark with its bend, every cut, a tag each; tables of real numbers; bars in the drawing."""

import csv
import io
import json
from importlib.resources import files

import ezdxf
import openpyxl
import pytest
from tests.plans import plan

from humble_trowel.core.job import Job
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.steel.cuts_told import cuts_told
from humble_trowel.files.dxf_write import write_dxf
from humble_trowel.files.steel_table import write_steel_csv, write_steel_xlsx
from humble_trowel.papers import steel_sheet

DEMO = {
    name: Job(read_plan(json.loads((files("humble_trowel.demo") / "jobs" / f"{name}.json").read_text())))
    for name in ("honey-house", "boat-bay")
}


def made(monkeypatch, job, paper):
    held = {}

    def keep(source, pictures):
        held.update(source=source, pictures=pictures)
        return b""

    with monkeypatch.context() as patch:
        patch.setattr(steel_sheet, "set_pdf", keep)
        steel_sheet.steel_pdf(job.plan, job.steel_told, cuts_told(job.plan.units, job.steel_cuts), paper)
    return held["source"], held["pictures"]


@pytest.mark.parametrize(("name", "paper"), [("honey-house", "letter"), ("boat-bay", "a4")])
def test_every_mark_its_bend_its_cut_and_its_tag_are_on_the_sheet(monkeypatch, name, paper):
    job = DEMO[name]
    source, pictures = made(monkeypatch, job, paper)
    bent = [row for row in job.steel.bars if row.shape != "straight"]
    assert {f"bend-{row.mark}.svg" for row in bent} == set(pictures) - {"plan.svg"}
    assert source.count("circle(radius: 1.6mm") == len(job.steel.bars)
    for row in job.steel.bars:
        assert f'"{row.words}"' in source
    for size in job.steel_cuts:
        assert f"Cut {size.bars} bars of {size.bar.name}" in source
    for row in job.steel_told.dowels:
        assert row.hole_text in source
    assert pictures["plan.svg"].count(b'stroke="#84340f"') == sum(len(row.lines) for row in job.steel_told.marks)
    assert steel_sheet.steel_pdf(job.plan, job.steel_told, [], paper).startswith(b"%PDF")
    empty, _ = made(monkeypatch, Job(plan(name='odd "#[1]"')), paper)
    assert "No steel is said" in empty


def test_tables_hold_real_numbers_with_their_unit_and_all_of_the_steel():
    job = DEMO["honey-house"]
    rows = list(csv.reader(io.StringIO(write_steel_csv(job.steel.bars, "ft-in").decode("utf-8-sig"))))
    assert rows[0][4:6] == ["count", "cut_in"] and len(rows) - 1 == sum(len(row.pieces) for row in job.steel.bars)
    assert sum(float(row[-1]) for row in rows[1:]) == pytest.approx(
        job.steel.mass_kg / 0.45359237, abs=0.01 * len(rows)
    )
    book = openpyxl.load_workbook(io.BytesIO(write_steel_xlsx(job.steel.bars, job.steel_cuts, "ft-in")))
    bars, cuts = book["bars"], book["cuts"]
    assert [cell.value for cell in bars[1]] == rows[0]
    assert all(isinstance(bars.cell(line, 5).value, int) for line in range(2, bars.max_row + 1))
    assert sum(cuts.cell(line, 2).value for line in range(2, cuts.max_row + 1)) == sum(
        one.bars for one in job.steel_cuts
    )
    assert bars.column_dimensions["B"].width > 20 and write_steel_csv([], "mm").decode("utf-8-sig").startswith(
        "mark,what"
    )


def test_bars_and_marks_stand_in_the_drawing_file_on_layers_of_their_own():
    job = DEMO["boat-bay"]
    data = write_dxf(job.plan, job.set_out, job.forms, job.steel.bars)
    space = ezdxf.read(io.StringIO(data.decode())).modelspace()
    drawn = [one for one in space if one.dxf.layer == "BARS"]
    assert len(drawn) == sum(len(row.lines) for row in job.steel.bars if row.shape != "stirrup")
    assert {one.dxf.text for one in space if one.dxf.layer == "BAR-MARKS"} == {
        row.mark for row in job.steel.bars if row.lines
    }
