"""The rule book: every rule stands in it, every calculator shows a working that adds up, counties may say otherwise."""

import pytest
from tests.answers import ground
from tests.core.test_code_rules import IN, at_the_edge
from tests.plans import plan
from tests.properties.test_working import again, workings

from humble_trowel.core.edges.edge_checks import edge_checks
from humble_trowel.core.edges.part_doubts import part_findings
from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.plan.local_rules import LIMITS, LocalRule
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.rules.book import RULES, limits_of, read_limit, try_rule
from humble_trowel.core.sources import SOURCES

TRIED = [(row.name, units) for row in RULES if row.work_out for units in ("ft-in", "mm")]


def test_every_source_with_weight_has_its_rule_and_every_limit_too():
    heavy = {key for key, row in SOURCES.items() if row.standing in ("standard", "handbook", "thumb")}
    assert heavy <= {row.source for row in RULES}
    assert sorted(key for row in RULES for key in row.limits) == sorted(row.key for row in LIMITS)
    assert len({row.name for row in RULES}) == len(RULES)


@pytest.mark.parametrize(("name", "units"), TRIED)
def test_a_calculator_shows_a_working_of_its_example_that_adds_up(name, units):
    rule = next(row for row in RULES if row.name == name)
    told = try_rule(name, {ask.key: ask.example[units == "mm"] for ask in rule.asks}, units, Ways())
    assert told and all(item.text for item in told)
    for item in (one for one in workings(told) if one.formula):
        assert again(item) == pytest.approx(item.value, rel=4e-3, abs=0.012), (item.name, item.shown)


@pytest.mark.parametrize(
    ("name", "said", "words"),
    [
        ("volume/slab", {"length": "24'", "width": "20'"}, "thick: Thickness: say it"), ("volume/slab", {"length": "24"}, "length: 24 what"),
        ("ground/stone", {"area": "x"}, "area: x is not a number"), ("lines/rack", {"ab": "0", "ac": "3'", "bd": "3'"}, "make no answer"),
        ("edges/barrier", {}, "no rule"), ("ground/barrier", {}, "no calculator"), ("edges/shallow", {"index": "4001"}, "ASCE 32"),
        ("volume/edge", {"length": "9'", "width": "12", "deep": "4", "thick": "4", "run": "1"}, "adds nothing"),
    ],
)  # fmt: skip
def test_a_calculator_refuses_in_words_beside_the_field(name, said, words):
    with pytest.raises(InputError, match=words):
        try_rule(name, said, "ft-in", Ways())


def county(key, value):
    return Ways(local_rules={key: LocalRule(value=value, who="Ann at the county", at="2027-03-14")})


def test_what_the_county_says_counts_and_is_said_wherever_the_rule_speaks():
    forms = [{"sides": [0], "ground": [{"at_mm": 0, "level_mm": -6 * IN}]}]
    edge = {"mark": "E1", "kind": "thickened", "depth_mm": 18 * IN, "bottom_width_mm": 300}
    job = plan(
        edge_types=[edge], edges=[{"sides": [0], "type": "E1"}], forms=forms, ground={"outside_is": "undisturbed"}
    )
    cells = build_solid(job).cells
    assert at_the_edge(-6, ground={"outside_is": "undisturbed"})["edge-bury"].verdict == "meets"
    row = next(row for row in edge_checks(job, cells, county("bury", 18 * IN).local_rules) if row.code == "edge-bury")
    assert row.verdict == "short" and row.rule == "457 mm" and row.gap_mm == pytest.approx(6 * IN)
    assert (
        "Your county says 457 mm: Ann at the county, 2027-03-14." in row.words
        and "Your county says" in row.source_words
    )
    low = next(row for row in edge_checks(job, cells, county("above-grade", 150).local_rules) if row.code == "top-low")
    assert low.verdict == "meets" and "Ann at the county" in low.source_words


@pytest.mark.parametrize(
    ("key", "value", "code"),
    [("fill-clean", 100, "fill-deep"), ("foam-strength", 250, "foam-soft"), ("base", 400, "base-thin")],
)
def test_limits_of_a_stack_are_the_countys(key, value, code):
    layers = [
        {"kind": "slab"},
        {"kind": "foam", "thickness_mm": 50, "strength_kpa": 200},
        {"kind": "stone", "thickness_mm": 150},
        {"kind": "native"},
    ]
    job = plan(build_ups=[{"slab": "S1", "space": "outside", "layers": layers}], ground={"found_mm": 50, "strip_mm": 0})
    assert code not in [row.code for row in ground(job, Ways()).findings]
    words = next(row.words for row in ground(job, county(key, value)).findings if row.code == code)
    assert "Your county says" in words


def test_the_least_slab_under_a_recess_is_the_countys():
    job = plan(
        recesses=[{"name": "tray", "polygon": [[500, 500], [1500, 500], [1500, 1500], [500, 1500]], "depth_mm": 10}]
    )
    solid = build_solid(job)
    assert "recess-thin" not in [row.code for row in part_findings(job, solid)]
    assert "recess-thin" in [row.code for row in part_findings(job, solid, county("least-slab", 95).local_rules)]


@pytest.mark.parametrize(
    ("key", "typed", "units", "value"),
    [("bury", "18", "ft-in", 457.2), ("bury", "450", "mm", 450), ("foam-strength", "25 psi", "ft-in", 172.369), ("exempt-area", "200", "ft-in", 18.5806), ("exempt-area", "30 m2", "ft-in", 30)],
)  # fmt: skip
def test_a_countys_value_is_read_in_the_limits_unit(key, typed, units, value):
    assert read_limit(key, typed, units) == pytest.approx(value, rel=1e-5)


def test_limits_are_shown_beside_their_source_and_unknown_ones_refused():
    rule = next(row for row in RULES if row.name == "edges/bury")
    (row,) = limits_of(rule, "ft-in", county("bury", 457.2))
    assert (row["standard"], row["here"], row["who"], row["at"]) == ("12″", "18″", "Ann at the county", "2027-03-14")
    with pytest.raises(ValueError, match="no limit of a rule"):
        county("height", 3)
