"""Bolts placed by rule: they pass a checker that was written apart, and no plan has fewer; straps and stock likewise."""

from itertools import combinations, pairwise

from hypothesis import given
from hypothesis import strategies as st

from humble_trowel.core.embeds.bolts import BoltRules, bolts_of, checked
from humble_trowel.core.embeds.plates import Run, stock_joints, studs_at

GRID = 25.0
RULES = BoltRules(900.0, 50.0, 200.0, 40.0, GRID, between_mm=75.0)
runs = st.builds(
    lambda long, origin, spacing, door, joint: Run(
        float(long), tuple([float(joint)] if 0 < joint < long else []),
        ((float(door), float(door + 300)),) if door and door + 300 < long else (),
        studs_at(long, origin, spacing, ((door, door + 300),) if door else ()),
    ),
    st.integers(60, 2400).map(lambda n: n - n % 5), st.integers(0, 300), st.sampled_from([None, 120.0, 300.0, 400.0]),
    st.sampled_from([0, 500, 800]), st.sampled_from([0, 400, 1000]),
)  # fmt: skip


def fewest_by_trying(run, start, end):
    """The least number of bolts of a piece, by trying every set of grid stations of that size."""
    spots = [k * GRID for k in range(int(end // GRID) + 1) if start <= k * GRID <= end]
    spots = [at for at in spots if all(abs(at - stud) >= RULES.clear_mm for stud in run.studs)]
    for count in range(2, 5):
        for some in combinations(spots, count):
            near = all(b - a >= RULES.between_mm for a, b in pairwise(some))
            if near and not checked(
                Run(end - start, studs=tuple(s - start for s in run.studs)), RULES, [at - start for at in some]
            ):
                return count
    return None


@given(runs)
def test_placed_bolts_pass_the_checker_and_nobody_sets_fewer(run):
    rows = bolts_of(run, RULES)
    placed = [at for row in rows if row for at in row]
    left = [one for one in checked(run, RULES, placed) if one.rule != "A3"]
    assert left == []
    for (start, end), row in zip(run.pieces, rows, strict=True):
        if end - start <= 1300:
            want = fewest_by_trying(run, start, end)
            assert (len(row) if row else None) == want


@given(runs, st.lists(st.tuples(st.integers(0, 2400), st.integers(10, 200)), max_size=3))
def test_nothing_stands_over_what_lies_across(run, across):
    blocked = tuple((float(a), float(a + w)) for a, w in across)
    run = Run(run.length_mm, run.joints, run.openings, run.studs, blocked)
    for row in bolts_of(run, RULES):
        assert all(not low + 0.02 < at < high - 0.02 for at in row or [] for low, high in blocked)


@given(st.integers(700, 20_000), st.sampled_from([2400.0, 4877.0]), st.sampled_from([400.0, 406.4, 610.0]))
def test_pieces_of_plate_fit_the_stock_and_none_is_a_stub(long, stock, stud):
    joints = stock_joints([(0.0, float(long))], stock, studs_at(long, 0.0, stud, ()), 610.0)
    ends = [0.0, *joints, float(long)]
    sizes = [b - a for a, b in pairwise(ends)]
    assert max(sizes) <= stock + 1e-6 and sum(sizes) == long
    assert min(sizes) >= min(610.0, long) - 1e-6
