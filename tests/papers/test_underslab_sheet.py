"""What lies under the slab, on paper: every riser with a box, tests in their order, every leg; nothing where there is nothing."""

import json
import re
from importlib.resources import files

import pytest
from tests.plans import edited, plan

from humble_trowel.core.job import Job
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.papers import underslab_sheet

HOUSE = read_plan(json.loads((files("humble_trowel.demo") / "jobs" / "honey-house.json").read_text()))


def made(monkeypatch, of, paper="letter"):
    held = {}

    def keep(source, pictures):
        held.update(source=source, svg=pictures["plan.svg"].decode())
        return b""

    job = Job(of)
    with monkeypatch.context() as patch:
        patch.setattr(underslab_sheet, "set_pdf", keep)
        underslab_sheet.underslab_pdf(of, job.underslab, job.tested, job.covered, job.tubing, paper)
    return job, held["source"], held["svg"]


@pytest.mark.parametrize("paper", ["a4", "letter"])
def test_each_riser_has_its_sizes_and_a_box_and_each_loop_its_legs(monkeypatch, paper):
    job, source, svg = made(monkeypatch, HOUSE, paper)
    rows = job.underslab.risers
    assert svg.count("<circle") == len(rows)
    for row in rows:
        assert f'"{row.name}"' in source
        for face in row.faces:
            assert f'"{face.name} {face.face_text}"' in source
    assert len(re.findall(r", tick", source)) == len(rows) + len(job.tested.lines)
    for loop in job.tubing.loops:
        assert ",  ".join(loop.calls) in source
    assert "Cap floor drain when water stands in it" in source and job.covered.barrier.rolls.text in source


def test_a_slab_with_nothing_under_it_has_a_sheet_too_and_odd_names_do_no_harm(monkeypatch):
    _, source, _ = made(monkeypatch, plan(name='Wren "odd" #slab [1]'))
    assert "Each riser" not in source and "Loops" not in source
    asked = edited(HOUSE, {"op": "add_treatment", "kind": "radon"})
    job, source, _ = made(monkeypatch, asked)
    assert '"Radon pipe"' in source
    data = underslab_sheet.underslab_pdf(asked, job.underslab, job.tested, job.covered, job.tubing, "a4")
    again = underslab_sheet.underslab_pdf(asked, job.underslab, job.tested, job.covered, job.tubing, "a4")
    assert data.startswith(b"%PDF") and data == again and b"/tmp" not in data
