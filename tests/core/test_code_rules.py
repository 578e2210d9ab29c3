"""Rules of the code at, just before and just after each of their limits (IRC, recalled: sources/ names the clause)."""

import pytest
from tests.answers import ground
from tests.plans import edited, plan

from humble_trowel.core.edges.edge_checks import edge_checks
from humble_trowel.core.edges.frost_options import edge_options
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.sources import SOURCES

IN = 25.4
EDGE = {"mark": "E1", "kind": "thickened", "depth_mm": 18 * IN, "bottom_width_mm": 300}


def at_the_edge(level_in, depth_in=18, **more):
    """Checks of one side by code: ground outside at `level_in` over the slab's top."""
    types = [{**EDGE, "depth_mm": depth_in * IN, "veneer": more.pop("veneer", False)}]
    forms = [{"sides": [0], "ground": [{"at_mm": 0, "level_mm": level_in * IN}]}]
    job = plan(edge_types=types, edges=[{"sides": [0], "type": "E1"}], forms=forms, **more)
    return {row.code: row for row in edge_checks(job, build_solid(job).cells)}


@pytest.mark.parametrize(
    ("outside_is", "found_in", "code", "verdict"),
    [
        (None, None, "outside-not-said", "not set"),  # 12 in under what is typed: meets only if that is undisturbed
        ("undisturbed", None, "edge-bury", "meets"),
        ("fill", -6, "edge-bury", "meets"),
        ("fill", -6.1, "edge-bury", "short"),
        ("fill", 3, "edge-bury", "meets"),  # the ground outside was cut: what is left is undisturbed
        ("fill", None, "outside-not-said", "not set"),
    ],
)
def test_undisturbed_ground_is_not_what_is_typed_at_the_forms(outside_is, found_in, code, verdict):
    own = {"outside_is": outside_is, "found_mm": None if found_in is None else found_in * IN}
    assert at_the_edge(-6, ground=own)[code].verdict == verdict


@pytest.mark.parametrize(("depth_in", "code"), [(17.9, "edge-bury"), (18, "outside-not-said")])
def test_an_edge_short_even_of_what_is_typed_is_short_whatever_it_is(depth_in, code):
    assert code in at_the_edge(-6, depth_in)


@pytest.mark.parametrize(
    ("level_in", "veneer", "verdict"),
    [(-6, False, "meets"), (-5.9, False, "short"), (-4, True, "meets"), (-3.9, True, "short"), (-4, False, "short")],
)
def test_six_inches_over_the_ground_and_four_under_masonry_veneer(level_in, veneer, verdict):
    row = at_the_edge(level_in, veneer=veneer)["top-low"]
    assert row.verdict == verdict and ("masonry veneer" in row.words) == (veneer and verdict == "short")


@pytest.mark.parametrize(
    ("building", "feet", "exempt"),
    [("accessory", 600, True), ("accessory", 601, False), (None, 600, True), ("house", 100, False)],
)
def test_a_small_accessory_building_may_be_exempt_from_frost(building, feet, exempt):
    ring = [[0, 0], [feet * 304.8 / 20, 0], [feet * 304.8 / 20, 20 * 304.8], [0, 20 * 304.8]]
    row = at_the_edge(-6, outline=ring, site={"frost_depth_mm": 32 * IN, "building": building})["edge-above-frost"]
    assert row.verdict == "short" and ("may be exempt" in row.remedy) == exempt
    assert "official decides" in row.remedy


def codes(layers, space=None, heated=False, building=None, **more):
    layers = [{"kind": "slab"}, *layers, {"kind": "native"}]
    build = [{"slab": "S1", "space": space, "heated": heated, "layers": layers}]
    job = plan(build_ups=build, site={"building": building}, **{"ground": {"found_mm": 0, "strip_mm": 0}, **more})
    return [row.code for row in ground(job, Ways()).findings]


@pytest.mark.parametrize(
    ("space", "heated", "building", "code"),
    [
        ("living", False, None, "no-barrier"), (None, False, "house", "no-barrier"), (None, True, None, "no-barrier"),
        ("garage", False, "house", None), ("garage", True, None, "no-barrier"), ("unheated", False, None, None),
        ("outside", False, None, None), (None, False, "accessory", None), (None, False, None, "barrier-ask"),
    ],
)  # fmt: skip
def test_who_needs_a_barrier(space, heated, building, code):
    found = [row for row in codes([], space, heated, building) if row.endswith(("barrier", "-ask"))]
    assert found == ([code] if code else [])
    assert not any("barrier" in row for row in codes([{"kind": "barrier"}], space, heated, building))


@pytest.mark.parametrize(
    ("layers", "deep"),
    [
        ([("stone", 24)], False), ([("stone", 24.1)], True), ([("stone", 12), ("graded", 12.1)], True),
        ([("fill", 8)], False), ([("fill", 8.1)], True), ([("stone", 20), ("fill", 8)], False),
    ],
)  # fmt: skip
def test_fill_deeper_than_needs_no_approval(layers, deep):
    rows = [{"kind": kind, "thickness_mm": inches * IN} for kind, inches in layers]
    assert ("fill-deep" in codes(rows)) == deep


@pytest.mark.parametrize(
    ("base_in", "found_in", "thin"), [(4, 1, False), (3.9, 1, True), (3.9, 0, False), (0, 6, True)]
)
def test_four_inches_of_base_below_grade(base_in, found_in, thin):
    layers = [{"kind": "stone", "thickness_mm": base_in * IN}] if base_in else []
    assert ("base-thin" in codes(layers, ground={"found_mm": found_in * IN, "strip_mm": 0})) == thin


def test_an_option_outside_its_table_has_no_price_and_no_rank():
    forms = [{"sides": [0, 1, 2, 3], "ground": [{"at_mm": 0, "level_mm": -6 * IN}]}]
    site = {"frost_depth_mm": 32 * IN, "air_freezing_index_f_days": 4001}
    job = plan(edge_types=[EDGE], edges=[{"sides": [0, 1, 2, 3], "type": "E1"}], forms=forms, site=site)
    options = {row.key: row for row in edge_options(job, build_solid(job), Ways())}
    shallow = options["shallow"]
    assert (shallow.net_m3, shallow.cost_cents, shallow.cost_text, shallow.foam_m2) == (None, None, "", None)
    assert "design to ASCE 32" in shallow.words and options["deep"].cost_cents > 0


def test_what_is_asked_can_be_said():
    job = edited(
        plan(edge_types=[EDGE]),
        {"op": "set_ground", "changes": {"outside_is": "fill"}},
        {"op": "set_build_up", "slab": "S1", "space": "garage", "layers": [{"kind": "slab"}, {"kind": "native"}]},
        {"op": "set_edge_type", "mark": "E1", "veneer": True},
        {"op": "set_fields", "values": {"site.building": "accessory"}},
    )
    said = (job.ground.outside_is, job.build_ups[0].space, job.edge_types[0].veneer, job.site.building)
    assert said == ("fill", "garage", True, "accessory")


def test_every_rule_of_the_code_names_its_clause_its_edition_and_the_local_code():
    rows = [row for row in SOURCES.values() if "IRC" in row.words]
    assert len(rows) >= 8
    assert all("check the code adopted there" in row.words.lower() and row.edition for row in rows)
