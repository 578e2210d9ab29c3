"""Squaring random frames: what was laid comes out again, loose shapes are counted right, one blunder is named."""

import json
import math
from importlib import resources

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from tests.core.test_setting_out import demo

from humble_trowel.core.errors import InputError
from humble_trowel.core.lines.records import Taped
from humble_trowel.core.lines.squaring import square


@st.composite
def frames(draw):
    """(ring as drawn, ring as laid): star-shaped, 4 to 9 corners, laid up to 40 mm off."""
    n = draw(st.integers(4, 9))
    radii = [draw(st.floats(3000, 9000)) for _ in range(n)]
    ring = [
        (r * math.cos(math.tau * (i + 0.3) / n), r * math.sin(math.tau * (i + 0.3) / n)) for i, r in enumerate(radii)
    ]
    off = [(draw(st.floats(-40, 40)), draw(st.floats(-40, 40))) for _ in range(n)]
    return ring, [(x + dx, y + dy) for (x, y), (dx, dy) in zip(ring, off, strict=True)]


def tape(laid, pairs):
    return [{"from": a, "to": b, "mm": math.dist(laid[a], laid[b])} for a, b in pairs]


def every_pair(n):
    return [(a, b) for a in range(n) for b in range(a + 1, n)]


def put_back(ring, laid, hold):
    """The laid frame moved so that its first held corner and held line lie on those drawn: an independent gauge."""
    a, b = hold
    turn = complex(*np.subtract(ring[b], ring[a])) / complex(*np.subtract(laid[b], laid[a]))
    turn /= abs(turn)
    return [complex(*ring[a]) + turn * (complex(*p) - complex(*laid[a])) for p in laid]


@settings(max_examples=60, deadline=None)
@given(frames(), st.data())
def test_exact_readings_give_back_the_frame_as_it_was_laid(frame, data):
    ring, laid = frame
    hold = data.draw(st.permutations(range(len(ring))))[:2]
    answer = square(ring, Taped.model_validate({"hold": hold, "measures": tape(laid, every_pair(len(ring)))}), "mm")
    stands = put_back(ring, laid, hold)
    for move in answer.moves:
        there = stands[move.corner]
        want = complex(*ring[move.corner]) - there
        assert complex(move.dx_mm, move.dy_mm) == pytest.approx(want, abs=1e-4)
    assert answer.determined and answer.misfit_mm < 1e-5 and answer.suspect is None


@settings(max_examples=60, deadline=None)
@given(frames(), st.data())
def test_loose_shapes_are_told_and_the_advice_settles_them(frame, data):
    ring, laid = frame
    pairs = data.draw(st.lists(st.sampled_from(every_pair(len(ring))), min_size=1, unique=True))
    answer = square(ring, Taped.model_validate({"measures": tape(laid, pairs)}), "mm")
    spots = np.asarray(ring)
    rows = np.zeros((len(pairs), 2 * len(ring)))
    for row, (a, b) in enumerate(pairs):
        unit = (spots[b] - spots[a]) / math.dist(ring[a], ring[b])
        rows[row, 2 * a : 2 * a + 2], rows[row, 2 * b : 2 * b + 2] = -unit, unit
    loose = 2 * len(ring) - 3 - np.linalg.matrix_rank(rows, tol=1e-6)
    assert answer.missing == loose and answer.determined == (loose == 0)
    if loose:
        more = [row.measure for row in answer.advice]
        assert len(more) == loose
        extra = [{**m, "mm": _reading(laid, m)} for m in more]
        again = square(ring, Taped.model_validate({"measures": tape(laid, pairs) + extra}), "mm")
        assert again.determined


def test_two_wild_values_are_not_passed_off_as_one():
    ring = [(0.0, 0.0), (9000.0, 0.0), (9000.0, 6000.0), (5000.0, 9000.0), (0.0, 6000.0)]
    measures = tape(ring, every_pair(5))
    measures[4]["mm"] += 60
    measures[8]["mm"] -= 80
    answer = square(ring, Taped.model_validate({"measures": measures}), "mm")
    assert answer.suspect is not None and answer.acts == [] and not answer.inside
    assert answer.verdict == "The readings do not fit together." and "The rest still do not fit" in answer.doubt


@pytest.mark.parametrize("row", range(21))
def test_any_reading_of_the_demo_round_may_be_wild(row):
    job = demo("honey-house")
    folder = resources.files("humble_trowel.demo") / "records" / "honey-house.jsonl"
    values = json.loads(folder.read_text("utf-8").splitlines()[1])["values"]
    taped = Taped.model_validate(values, context={"units": "ft-in"})
    right = square(job.outline, taped, "ft-in")
    wild = taped.model_dump(by_alias=True)
    wild["measures"][row]["mm"] += 305.0
    try:
        answer = square(job.outline, Taped.model_validate(wild), "ft-in")
    except InputError as error:
        assert "cannot be" in error.words
        return
    name = right.residuals[row].name
    assert answer.suspect_name == name or (answer.suspect is None and "cannot say which" in answer.doubt)
    if answer.suspect:
        assert max(abs(a.dx_mm - b.dx_mm) for a, b in zip(answer.moves, right.moves, strict=True)) < 5


def test_a_reading_that_nothing_checks_is_not_called_right():
    ring = [(0.0, 0.0), (9000.0, 0.0), (9000.0, 6000.0), (0.0, 6000.0)]
    five = [(0, 1), (1, 2), (2, 3), (3, 0), (0, 2)]
    bare = square(ring, Taped.model_validate({"measures": tape(ring, five)}), "mm")
    assert {row.text for row in bare.residuals} == {"unchecked"}
    assert bare.doubt == "Nothing checks this yet. Take B to D as well."
    house = [(0.0, 0.0), (9000.0, 0.0), (9000.0, 3000.0), (5000.0, 3000.0), (5000.0, 6000.0), (0.0, 6000.0)]
    quad = [(0, 1), (1, 2), (2, 3), (0, 2), (1, 3), (0, 3), (3, 4), (4, 5), (5, 0), (3, 5)]
    answer = square(house, Taped.model_validate({"measures": tape(house, quad)}), "mm")
    loose = [row.name for row in answer.residuals if row.text == "unchecked"]
    assert loose == ["D to E", "E to F", "F to A", "D to F"]
    assert answer.doubt.startswith("Nothing checks 4 of these readings") and len(answer.advice) == 1


def _reading(laid, measure):
    def spot(end):
        if isinstance(end, int):
            return laid[end]
        a, b = laid[end["side"]], laid[(end["side"] + 1) % len(laid)]
        share = end["at_mm"] / math.dist(a, b)
        return (a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1]))

    return math.dist(spot(measure["from"]), spot(measure["to"]))


@settings(max_examples=60, deadline=None)
@given(frames(), st.data())
def test_one_wild_value_is_named_and_left_out(frame, data):
    ring, laid = frame
    pairs = every_pair(len(ring))
    if len(pairs) - (2 * len(ring) - 3) < 2:
        return
    measures = tape(laid, pairs)
    wild = data.draw(st.integers(0, len(pairs) - 1))
    measures[wild]["mm"] += data.draw(st.sampled_from([-90.0, 90.0]))
    try:
        answer = square(ring, Taped.model_validate({"measures": measures}), "mm")
    except InputError as error:
        assert "cannot be" in error.words  # the wild value breaks a triangle
        return
    assert answer.suspect is not None and (answer.suspect.start, answer.suspect.to) == pairs[wild]
    assert answer.misfit_mm < 1e-4 and "Tape it again" in answer.doubt


@settings(max_examples=40, deadline=None)
@given(frames(), st.data())
def test_marks_on_sides_and_offsets_from_a_line_count_like_tapes(frame, data):
    ring, laid = frame
    n = len(ring)
    measures = tape(laid, [(i, (i + 1) % n) for i in range(n)])
    a, b = np.asarray(laid[0]), np.asarray(laid[1])
    unit = (b - a) / np.linalg.norm(b - a)
    normal = np.array([-unit[1], unit[0]])
    for corner in range(2, n):
        out = np.asarray(laid[corner]) - a
        measures.append(
            {"kind": "offset", "line": [0, 1], "at_mm": float(out @ unit), "off_mm": float(out @ normal), "to": corner}
        )
    mark = {"side": 1, "at_mm": data.draw(st.floats(200, 1500))}
    for corner in range(3, n):
        measures.append({"from": mark, "to": corner, "mm": _reading(laid, {"from": mark, "to": corner})})
    answer = square(ring, Taped.model_validate({"measures": measures}), "mm")
    if answer.determined:
        stands = put_back(ring, laid, (0, 1))
        for move in answer.moves:
            assert complex(move.dx_mm, move.dy_mm) == pytest.approx(
                complex(*ring[move.corner]) - stands[move.corner], abs=1e-3
            )
