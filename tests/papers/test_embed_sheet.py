"""The setting sheet names every bolt with its station; a template's holes stand true to size, with a bar to measure it by."""

import json
import math
import re
from importlib.resources import files

import pytest

from humble_trowel.core.job import Job
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.papers import embed_sheet

DEMO = Job(read_plan(json.loads((files("humble_trowel.demo") / "jobs" / "honey-house.json").read_text())))


@pytest.fixture
def held(monkeypatch):
    kept = {}
    monkeypatch.setattr(
        embed_sheet, "set_pdf", lambda source, pictures: kept.update(source=source, pictures=pictures) or b""
    )
    return kept


@pytest.mark.parametrize("paper", ["letter", "a4"])
def test_every_bolt_and_strap_is_on_the_sheet_with_a_box_to_tick(held, paper):
    told = DEMO.embeds_told
    embed_sheet.embeds_pdf(DEMO.plan, told, paper)
    source = held["source"]
    assert source.count("[#tick]") == len(told.items) and all(item.at_text in source for item in told.items)
    assert "South wall, tape from A" in source and "print at 100 %" in source
    assert held["pictures"]["plan.svg"].count(b'width="1.6" height="1.6"') == told.counts["bolt"]


def test_a_sheet_of_nothing_says_so(held):
    embed_sheet.embeds_pdf(DEMO.plan, None, "a4")
    assert "Nothing is said that sticks up." in held["source"]


@pytest.mark.parametrize("units, bar", [("ft-in", 101.6), ("mm", 100.0)])
def test_holes_of_a_template_stand_as_they_were_called(held, units, bar):
    group = DEMO.plan.embeds.groups[0].model_copy(
        update={"across": 3, "along": 2, "across_mm": 180.0, "along_mm": 240.0}
    )
    embed_sheet.template_pdf(DEMO.plan.model_copy(update={"units": units}), group)
    svg = held["pictures"]["template.svg"].decode()
    spots = [(float(x), float(y)) for x, y in re.findall(r'<circle cx="([\d.]+)" cy="([\d.]+)"', svg)]
    wide = float(re.search(r'width="([\d.]+)mm"', svg)[1])
    assert len(spots) == 6 and f'viewBox="0 0 {wide}' in svg  # a unit of the drawing is a millimetre
    assert math.dist(spots[0], spots[2]) == pytest.approx(360) and math.dist(spots[0], spots[3]) == pytest.approx(240)
    assert f'image("template.svg", width: {wide:.3f}mm)' in held["source"] and f"box(width: {bar}mm" in held["source"]
