"""Job files: bad ones are refused with the key path; good ones survive a round trip."""

import json

import pytest
from tests.answers import figure
from tests.plans import job, plan

from humble_trowel.core.errors import PlanError
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.files.job_file import parse_job, write_job

E1 = {"mark": "E1", "kind": "thickened", "depth_mm": 400, "bottom_width_mm": 300}
ZONE = {"name": "z", "slab": "S1"}


@pytest.mark.parametrize(
    ("changes", "path"),
    [
        ({"format": "x"}, "format"),
        ({"version": 2}, "version"),
        ({"surprise": 1}, "surprise"),
        ({"outline": [[0, 0], [1, 1]]}, "outline"),
        ({"outline": [[0, 0], [6000, 4000], [6000, 0], [0, 4000]]}, "outline"),
        ({"outline": [[0, 0], [6000, 0], [6000, 0.2], [0, 4000]]}, "outline"),
        ({"outline": [[0, 0], [1_000_000, 0], [0, 4000]]}, "outline[1][0]"),
        ({"outline": [[0, 0], [6000, 0], [6000, "12' 14\""]]}, "outline[2][1]"),
        ({"slab_types": [{"mark": "S1", "thickness_mm": 0}]}, "slab_types[0].thickness_mm"),
        ({"slab_types": [{"mark": "S1", "thickness_mm": -5}]}, "slab_types[0].thickness_mm"),
        ({"slab_types": [{"mark": "S1", "thickness_mm": 100, "colour": 1}]}, "slab_types[0].colour"),
        ({"slab_types": [{"mark": "S1", "thickness_mm": 100}] * 2}, "slab_types[1].mark"),
        ({"zones": []}, "zones"),
        ({"zones": [{"name": "z", "slab": "S7"}]}, "zones[0].slab"),
        ({"zones": [{**ZONE, "polygon": [[0, 0], [6000, 0], [6000, 2000], [0, 2000]]}]}, "zones"),
        ({"zones": [ZONE, {**ZONE, "polygon": [[5000, 0], [7000, 0], [7000, 2000]]}]}, "zones[1].polygon"),
        ({"zones": [ZONE, {**ZONE, "polygon": [[0, 0], [3000, 0], [3000, 3000]]},
                    {**ZONE, "polygon": [[1000, 0], [3000, 0], [3000, 3000]]}]}, "zones[2].polygon"),
        ({"edge_types": [{**E1, "depth_mm": 0}]}, "edge_types[0]"),
        ({"edge_types": [{**E1, "depth_mm": 2_000_000}]}, "edge_types[0].depth_mm"),
        ({"edge_types": [{**E1, "kind": "fancy"}]}, "edge_types[0].kind"),
        ({"edge_types": [E1], "edges": [{"sides": [4], "type": "E1"}]}, "edges[0].sides[0]"),
        ({"edge_types": [E1], "edges": [{"sides": [1], "type": "E1"}, {"sides": [1], "type": "E1"}]}, "edges[1].sides[0]"),
        ({"edge_types": [E1], "edges": [{"along": [[9000, 0], [9000, 900]], "grow": "left", "type": "E1"}]}, "edges[0].along"),
        ({"edge_types": [E1], "edges": [{"along": [[1000, 1000], [2700, 1300], [1850, 1150.000001]], "grow": "left", "type": "E1"}]}, "edges[0].along"),
        ({"units": "furlongs"}, "units"),
    ],
)  # fmt: skip
def test_bad_files_name_the_key_path(changes, path):
    with pytest.raises(PlanError) as caught:
        read_plan(job(**changes))
    assert caught.value.path == path
    assert caught.value.words


@pytest.mark.parametrize(
    "raw",
    [b"", b"[]", b"42", b"{", b"\xff\xfe", b'{"a": NaN}', b'{"a": 1, "a": 2}', b"[" * 5000, b" " * 2_100_000],
)
def test_bad_bytes_are_refused(raw):
    with pytest.raises(PlanError):
        parse_job(raw)


def test_unused_sizes_may_be_absent_null_or_zero():
    for sizes in ({}, {"depth_mm": 0, "bottom_width_mm": None}, {"depth_mm": None}):
        plan(edge_types=[{"mark": "P", "kind": "plain", **sizes}], edges=[{"sides": [0], "type": "P"}])


def test_a_clockwise_outline_is_turned_and_its_sides_with_it():
    turned = plan(
        outline=[[0, 0], [0, 4000], [6000, 4000], [6000, 0]],
        edge_types=[E1],
        edges=[{"sides": [0, 3], "type": "E1"}],
    )
    assert turned.outline == [(0, 0), (6000, 0), (6000, 4000), (0, 4000)]
    assert turned.edges[0].sides == [3, 0]


def test_a_file_goes_round_without_loss():
    later = job(
        schedule={"tasks": [{"key": "steel", "on": "2027-06-15", "booked_by": "Teasel"}]}, beams=[], walk="10' e 3"
    )
    once = write_job(read_plan(later))
    assert write_job(parse_job(once)) == once
    assert json.loads(once)["schedule"]["tasks"][0]["booked_by"] == "Teasel"
    assert json.loads(once)["walk"]["text"] == "10' e 3"


def test_doubts_that_are_no_errors():
    hanging = plan(
        zones=[ZONE, {**ZONE, "polygon": [[0, 0], [2000, 0], [2000, 4000], [0, 4000]], "drop_mm": 100}],
        edge_types=[{**E1, "depth_mm": 90}, {**E1, "mark": "E2"}],
        edges=[
            {"sides": [0], "type": "E1"},
            {"along": [[1000, 3900], [1000, 4500]], "grow": "left", "type": "E2"},
        ],
    )
    codes = [doubt.code for doubt in figure(hanging, Ways()).findings]
    assert codes[:3] == ["step-hangs", "edge-adds-nothing", "part-clipped"]


def test_what_rounds_to_nothing_is_never_minus_nothing():
    near = plan(existing=[{"name": "old", "polygon": [[-1e-12, "-0"], [5000, 0], [5000, -3000]]}])
    assert b"-0.0" not in write_job(near) and write_job(parse_job(write_job(near))) == write_job(near)
