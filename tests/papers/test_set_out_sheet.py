"""The set-out sheet on paper: true to its scale on both papers, everything on it, nothing of this machine in it."""

import re

import pytest
from tests.answers import form_plan
from tests.core.test_setting_out import demo
from tests.plans import edited, l_shape

from humble_trowel.core.lines.setting_out import set_out
from humble_trowel.core.plan.ways import Ways
from humble_trowel.papers import set_out_sheet
from humble_trowel.papers.pages import PAPER_MM, scale_for

WAYS = Ways()


def made(monkeypatch, job, paper):
    """(typst source, SVG text, scale) of a sheet."""
    held = {}

    def keep(source, pictures):
        held.update(source=source, svg=pictures["plan.svg"].decode())
        return b""

    monkeypatch.setattr(set_out_sheet, "set_pdf", keep)
    _, scale = set_out_sheet.set_out_pdf(job, set_out(job, WAYS), form_plan(job, WAYS), paper)
    return held["source"], held["svg"], scale


@pytest.mark.parametrize("paper", ["a4", "letter"])
@pytest.mark.parametrize("name", ["honey-house", "boat-bay", "bus-shelter"])
def test_one_paper_mm_is_so_many_on_site_and_the_drawing_fits(monkeypatch, name, paper):
    job = demo(name)
    source, svg, scale = made(monkeypatch, job, paper)
    wide = float(re.search(r'width="([\d.]+)mm"', svg)[1])
    assert f"width: {wide:.3f}mm" in source and scale.words in source
    assert wide <= max(PAPER_MM[paper]) and ("1:" in scale.words) == (job.units == "mm")
    outline = re.search(r'<path d="([^"]+)Z" fill="#f4f4f1"', svg)[1]
    spots = [tuple(map(float, spot.split())) for spot in re.split("[ML]", outline)[1:]]
    for (x, y), (u, v) in zip(spots, job.outline, strict=True):
        assert (x - spots[0][0]) * scale.one_to == pytest.approx(u - job.outline[0][0], abs=0.2 * scale.one_to / 100)
        assert (spots[0][1] - y) * scale.one_to == pytest.approx(v - job.outline[0][1], abs=0.2 * scale.one_to / 100)


def test_every_table_of_the_sheet_is_there_and_odd_names_do_no_harm(monkeypatch):
    job = edited(l_shape(), {"op": "set_fields", "values": {"name": 'Wren\'s "odd" #slab \\ [1]'}})
    source, _, _ = made(monkeypatch, job, "a4")
    for words in (
        "Two tapes",
        "Diagonals that must agree",
        "3-4-5",
        "Strings and their nails",
        "Offset stakes",
        "Locate buried services",
    ):
        assert words in source
    monkeypatch.undo()
    data, _ = set_out_sheet.set_out_pdf(job, set_out(job, WAYS), form_plan(job, WAYS), "a4")
    assert data.startswith(b"%PDF") and b"/tmp" not in data and b"TrowelSheet" in data


def test_the_largest_usual_scale_that_fits_is_taken():
    assert scale_for(12000, 9000, 180, 240, False).one_to == 75
    assert scale_for(12192, 9144, 191, 240, True).words == "3/16″ = 1′"
    assert scale_for(1e6, 1e6, 180, 240, False).one_to == 1000
