"""One job file for every kind of slab that a crew builds, each with a volume added up by hand."""

from pathlib import Path

import pytest
from tests.answers import figure

from humble_trowel.core.edges.section import section
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.plan.ways import Ways
from humble_trowel.files.job_file import parse_job

KINDS = Path(__file__).parent.parent / "kinds"


def ring(around, w, run, rise):
    """Integral over the rise of P s - 4 s^2 with s = w + run y, m3."""
    s1, s0 = w + run * rise, w
    return (around * (s1**2 - s0**2) / 2 - 4 * (s1**3 - s0**3) / 3) / run


BY_HAND = {
    "pad-on-gravel": 6.4 * 4.2 * 0.125,
    "thickened-edge": 10.5 * 7.5 * 0.1 + ring(36, 0.3, 1, 0.35),
    "stiffened-grid": 105.84 * 0.125 + (105.84 - 11.4 * 7.5) * 0.475 + 2 * (0.45 * 0.15 + 0.36 * 0.625),
    "two-slab-types": 36 * 0.15 + 18 * 0.2 + 0.4 * 6 * 0.4 + 0.3 * 6 * 0.3 + 2 * (5.7 * 0.3 * 0.3 + 2.6 * 0.3 * 0.25),
    "inside-frost-walls": 8 * 5 * 0.1,
    "insulated-raft": 11 * 6 * 0.2,
    "over-block-walls": 7.2 * 4.8 * 0.1,
    "on-piles": 36 * 0.15 + (6 + 6 - 0.4) * 0.4 * 0.3,
    "addition": 9 * 4.5 * 0.125 + (2 * 9 * 0.25 + 4 * 0.25) * 0.275,
    "porch-poured-with-it": 48 * 0.12 + 16 * 0.12 + 8 * 0.3 * 0.33,
    "kerb-and-side-pad": 5 * 4 * 0.15,
    "raft-in-stem-wall": 9 * 6 * 0.15,
    "lap-on-old-walk": 6 * 4 * 0.12,
    "walk-and-ramp": 6 * 4 * 0.12,
}
APART = {  # footings, walls, by kind of what comes on top and beside
    "footing-by-itself": (0.45 * 0.25 * (14 + 0.2), 0.0, {}),
    "inside-frost-walls": (2 * (8.226 + 5.226) * 0.4 * 0.2, (2 * (8.226 + 5.226) - 0.9 * 0.02) * 0.2, {}),
    "over-block-walls": (2 * (7.01 + 4.61) * 0.4 * 0.2, 0.0, {"core fill": 24 * 0.39 * 0.19 * 0.48 / 2 * 0.8}),
    "raft-in-stem-wall": (2 * (9.25 + 6.25) * 0.4 * 0.2, (2 * (9.25 + 6.25) * 0.6 - 1.2 * 0.02) * 0.15, {}),
    "lap-on-old-walk": (None, None, {"lap": 4 * 0.2 * 0.12, "saw-cut": 6 * 0.04 / 2 * 0.12}),
    "walk-and-ramp": (
        None, None,
        {"sidewalk": (6 * 1.2 + 4 * 1.2 + 1.2 * 1.2 - 1.5 * 1.2) * 0.1, "ramp": 1.5 * 1.2 * 0.15 + 2 * 0.15 * 0.1 * 1.2},
    ),
}  # fmt: skip
SAID = {
    "inside-frost-walls": set(), "on-piles": set(), "insulated-raft": set(), "addition": {"match-off"},
    "porch-poured-with-it": set(), "kerb-and-side-pad": set(), "raft-in-stem-wall": set(), "over-block-walls": set(),
    "lap-on-old-walk": {"lap-to-cut"}, "walk-and-ramp": set(),
}  # fmt: skip


def test_every_kind_has_its_file():
    assert {path.stem for path in KINDS.glob("*.json")} == set(BY_HAND) | set(APART)


@pytest.mark.parametrize("kind", sorted(BY_HAND))
def test_the_volume_is_what_a_hand_sum_says_both_ways_and_it_can_be_cut(kind):
    job = parse_job((KINDS / f"{kind}.json").read_bytes())
    made = figure(job, Ways())
    assert made.concrete.net_m3 == pytest.approx(BY_HAND[kind], rel=1e-9)
    assert made.concrete.second_way_m3 == pytest.approx(BY_HAND[kind], rel=1e-4)
    for place in made.section_places:
        assert section(job, build_solid(job), Ways(), place.start, place.end).area_m2 > 0
    if kind in SAID:
        ours = {row.code for row in made.findings} - {"truck-unknown", "last-load-short"}
        assert ours == SAID[kind]


@pytest.mark.parametrize("kind", sorted(APART))
def test_footings_walls_and_what_lies_beside_are_what_a_hand_sum_says_both_ways(kind):
    made = figure(parse_job((KINDS / f"{kind}.json").read_bytes()), Ways())
    for found, by_hand in zip((made.footings, made.walls), APART[kind][:2], strict=True):
        if found is not None:
            assert found.net_m3 == pytest.approx(by_hand, rel=1e-9)
            assert found.second_way_m3 == pytest.approx(by_hand, rel=1e-4)
    assert {row.kind: row.m3 for row in made.second_pours} == pytest.approx(APART[kind][2], rel=1e-9)


def test_second_pours_stand_beside_the_sum():
    made = figure(parse_job((KINDS / "kerb-and-side-pad.json").read_bytes()), Ways())
    assert [(row.kind, row.m3) for row in made.second_pours] == [
        ("kerb", pytest.approx((2 * (4.85 + 3.85) - 0.9) * 0.15 * 0.2)), ("side pad", pytest.approx(1.2 * 0.9 * 0.1)),
    ]  # fmt: skip
