"""Findings that no other test names: each where it is due, on its tab, and not where it is not."""

import pytest
from tests.plans import plan

from humble_trowel.core import figures
from humble_trowel.core.findings import FINDING_KINDS, finding
from humble_trowel.core.ground.records import SetUp, Shots
from humble_trowel.core.job import Job
from humble_trowel.core.job import shape as job_shape
from humble_trowel.core.plan.form_ways import FormWays
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.stages import findings, stops

EDGE = {"mark": "E1", "kind": "thickened", "depth_mm": 450, "bottom_width_mm": 300}
PAD = {"mark": "P1", "shape": "rectangle", "width_mm": 600, "length_mm": 600, "depth_mm": 400}
BASE = [{"slab": "S1", "layers": [{"kind": "slab"}, {"kind": "graded", "thickness_mm": 100}, {"kind": "native"}]}]
NAIL = {"benchmarks": [{"name": "nail", "level_mm": 0}]}


def codes(job):
    return {row.code: row for row in findings(job)}


def shot(*rows, **more):
    shots = [{"name": f"{i}", "at": at, "level_mm": level} for i, (at, level) in enumerate(rows)]
    return Job(plan(build_ups=BASE, **more), records=SiteRecords([("s", Shots.model_validate({"shots": shots}))]))


def test_types_that_nothing_has_are_notes_that_change_no_order():
    told = codes(Job(plan(edge_types=[EDGE], pad_types=[PAD])))
    for code, tab in (("edge-type-unused", "cut"), ("pad-type-unused", "grid")):
        assert (told[code].severity, told[code].tabs, told[code].changes_order) == ("note", (tab,), False)
    used = plan(edge_types=[EDGE], edges=[{"sides": [0], "type": "E1"}], pad_types=[PAD], pads=[{"type": "P1", "at": [3000, 2000]}])  # fmt: skip
    assert not {"edge-type-unused", "pad-type-unused"} & set(codes(Job(used)))


def test_a_pad_no_deeper_than_the_slab_adds_nothing():
    thin = plan(pad_types=[{**PAD, "depth_mm": 100}], pads=[{"type": "P1", "at": [3000, 2000]}])
    assert codes(Job(thin))["pad-adds-nothing"].tabs == ("grid",)
    assert "pad-adds-nothing" not in codes(Job(plan(pad_types=[PAD], pads=[{"type": "P1", "at": [3000, 2000]}])))


def test_both_ways_of_counting_apart_by_a_thousandth_stop_the_call(monkeypatch):
    from dataclasses import replace

    real = job_shape.count_by_slices
    monkeypatch.setattr(job_shape, "count_by_slices", lambda one: replace(real(one), m3=real(one).m3 * 1.002))
    doubtful = Job(plan())
    assert [row.code for row in stops(doubtful)] == ["ways-disagree"]
    assert "They differ by 0.20%" in doubtful.concrete.agree and figures.DISAGREE == 0.001
    monkeypatch.setattr(job_shape, "count_by_slices", lambda one: replace(real(one), m3=real(one).m3 * 1.0009))
    assert stops(Job(plan())) == []


def test_stock_that_makes_no_run_is_said_on_the_boards():
    few = Ways(forms=FormWays(stock_lengths_mm=[400.0], min_piece_mm=900.0))
    told = codes(Job(plan(), few))
    assert told["no-cut-plan"].tabs == ("boards",) and "900 mm or more" in told["no-cut-plan"].words
    assert "no-cut-plan" not in codes(Job(plan()))


def laser(backsight_mm):
    ground = plan(build_ups=BASE, ground=NAIL)
    setup = SetUp(name="one", on=ground.ground.benchmarks[0].id, backsight_mm=backsight_mm)
    return Job(ground, records=SiteRecords([("one", setup)]))


def test_a_laser_under_a_surface_or_over_the_rod_is_said_on_the_rod_card():
    low = Job(plan(build_ups=BASE), line_mm=-50.0)
    assert "runs under" in codes(low)["laser-low"].words and codes(low)["laser-low"].tabs == ("rod",)
    high = Job(plan(build_ups=BASE), line_mm=9000.0)
    assert "longer than the rod" in codes(high)["rod-short"].words
    assert not {"laser-low", "rod-short"} & set(codes(laser(1200)))


def test_shots_outside_wild_or_on_one_spot_are_said_with_their_name():
    spread = [([500, 500], -100), ([5500, 500], -98), ([5500, 3500], -103), ([500, 3500], -100)]
    calm = codes(shot(*spread))
    assert not {"shot-outside", "shot-wild", "shots-same-place"} & set(calm)
    told = codes(shot(*spread, ([9500, 500], -100), ([2000, 1500], 120), ([3000, 2000], -101), ([3000, 2001], -99)))
    assert "the farthest is 4" in told["shot-outside"].words and "Shot 5" in told["shot-wild"].words
    assert "The later one counts" in told["shots-same-place"].words
    assert all(told[code].stage == "ground" for code in ("shot-outside", "shot-wild", "shots-same-place"))


@pytest.mark.parametrize("kind", FINDING_KINDS, ids=lambda kind: kind.code)
def test_every_kind_names_a_stage_that_is_there_and_tabs_of_it(kind):
    tabs = {
        "lines": ("walk", "around", "setout", "square", "straight", "forms", "boards"),
        "ground": ("shots", "rod", "laser", "stack", "falls", "stone", "dug", "tests"),
        "edges": ("cut", "grid", "top", "meets", "walks", "footings", "walls", "frost", "sum"),
        "underslab": ("services", "check", "tests", "barrier", "foam", "tubing", "clashes"),
        "steel": ("way", "mat", "cages", "dowels", "chairs", "lists", "look"),
        "embeds": ("walls", "bolts", "straps", "setting"), "screed": ("strips", "pads", "order", "joints"), "order": ("ledger", "sure", "mix", "trucks", "cost", "call"), "gate": ("holds", "day", "trades", "week", "papers", "changes"),
        "pour": ("now", "tickets", "left", "finish", "trouble", "notes"),
        "cure": ("cover", "strength", "work", "built", "lessons", "papers"),
    }  # fmt: skip
    made = finding(kind.code, "beams[2]", "words", "remedy")
    assert made.severity == kind.severity and made.stage in tabs
    assert set(made.tabs) <= set(tabs[made.stage])
    assert made.tabs or made.stage == "order"
