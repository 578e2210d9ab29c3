"""Exercises by their seed: the own answer loses nothing, no other answer less than nothing, and what they say is so by a count of their own."""

import json
import math
import re
from dataclasses import asdict
from fractions import Fraction

import pytest

from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.practice.dice import Dice
from humble_trowel.core.practice.exercise import mark
from humble_trowel.core.practice.yard import KINDS, build

SEEDS = 100


def mm_of(text):
    """A length as it is shown: 40′-3 7/16″, 3/8″, 920 mm."""
    if text.endswith("mm"):
        return float(text[:-2])
    feet = re.match(r"(?:(\d+)′)?-?\s*(?:(.+)″)?$", text)
    inches = sum(Fraction(bit) for bit in (feet[2] or "0").split())
    return float(int(feet[1] or 0) * 12 + inches) * 25.4


def made(kind, seed):
    return build(kind, seed % 3 + 1, seed, ("ft-in", "mm")[seed // 3 % 2], Ways())


@pytest.mark.slow
@pytest.mark.parametrize("kind", [kind.key for kind in KINDS])
def test_a_thousand_exercises_build_and_their_own_answer_loses_nothing(kind):
    for seed in range(SEEDS):
        one = made(kind, seed)
        assert mark(one, one.own).lost == 0, (kind, seed)
        assert set(one.own) == {ask.id for ask in one.asks}
        dice = Dice(f"anybody/{kind}/{seed}")
        for _ in range(20):
            said = {ask.id: dice.pick(ask.options).key for ask in one.asks}
            found = mark(one, said)
            assert found.lost >= 0 and (found.grade == "right") == (found.lost == 0)
        for part in one.parts:  # every answer is worked out, so that a phone can look it up
            asks = [next(ask for ask in one.asks if ask.id == name) for name in part.asks]
            assert len(part.table) == math.prod(len(ask.options) for ask in asks)
            assert all(shape.at for outcome in part.table.values() for shape in outcome.shapes)
        assert len(json.dumps(asdict(one))) < 400_000


def test_the_same_seed_is_the_same_exercise():
    for kind in KINDS:
        if kind.key not in ("day", "joints"):
            assert asdict(made(kind.key, 41)) == asdict(made(kind.key, 41)) != asdict(made(kind.key, 47))


def test_numbers_of_a_seed_stay_as_they_are():
    dice = Dice("a")
    assert [dice.whole(0, 99) for _ in range(6)] == [83, 35, 82, 36, 10, 12]
    many = [dice.normal(5, 2) for _ in range(4000)]
    assert abs(sum(many) / 4000 - 5) < 0.15 and sorted(dice.mixed(range(9))) == list(range(9))


@pytest.mark.parametrize("seed", range(0, 60, 2))
def test_a_rack_is_half_of_what_the_strings_differ(seed):
    one = build("rack", 1, seed, "ft-in", Ways())
    reads = {reading.id: mm_of(reading.text) for reading in one.readings}
    long_mm = reads["CD"]
    out = (reads["AC"] ** 2 - reads["BD"] ** 2) / (4 * long_mm)  # closed form, no least squares
    assert (one.own["way"] == "west") == (out > 0)
    assert abs(int(one.own["far"]) * 25.4 / 16 - abs(out)) <= 25.4 / 16


@pytest.mark.parametrize("seed", range(20))
@pytest.mark.parametrize("level", [1, 2, 3])
def test_a_peg_wants_what_the_readings_say(level, seed):
    one = build("rod", level, seed, "mm", Ways())
    mark_mm, morning = (float(size) for size in re.findall(r"(\d+) mm", one.lead[0]))
    thick = float(re.search(r"(\d+) mm", one.lead[1])[1])
    reads = {reading.id: mm_of(reading.text) for reading in one.readings}
    mud = reads["wiped"] - reads["again"] if "wiped" in reads else 0.0
    now = reads.get("wiped", reads.get("again", morning))
    assert int(one.own["grade"]) * 2 == mark_mm + morning + thick
    for name in (key for key in one.own if key.startswith("peg")):
        assert int(one.own[name]) * 2 == mark_mm + now - (reads[name] + mud) + thick
    assert one.own.get("cause", "none") == ("mud" if mud else "moved" if now != morning else "none")


@pytest.mark.parametrize("seed", range(30))
def test_bolts_hold_by_a_count_of_their_own(seed):
    one = build("bolts", seed % 2 + 1, seed, "ft-in", Ways())
    pieces = [mm_of(ask.group.split(": ")[1]) for ask in one.asks if ask.label == "Bolts"]
    for at, long_mm in enumerate(pieces):
        count = int(one.own[f"n{at}"])
        end = mm_of(
            next(o.text for ask in one.asks if ask.id == f"e{at}" for o in ask.options if o.key == one.own[f"e{at}"])
        )
        assert count >= 2 and 3.5 * 25.4 <= end <= 12 * 25.4
        assert (long_mm - 2 * end) / (count - 1) <= 6 * 304.8 + 0.1
        assert count == 2 or (long_mm - 2 * 12 * 25.4) / (count - 2) > 6 * 304.8  # one fewer would not do


@pytest.mark.parametrize("seed", range(30))
def test_six_faults_and_six_things_that_hold(seed):
    one = build("faults", seed % 3 + 1, seed, "ft-in", Ways())
    assert list(one.own.values()).count("yes") == 6 == len(one.why)
    none = mark(one, dict.fromkeys(one.own, "no"))
    every = mark(one, dict.fromkeys(one.own, "yes"))
    assert (none.lost, every.lost) == (6, 6) and all(words.startswith("Missed") for words in none.words)


@pytest.mark.parametrize("seed", range(24))
def test_the_call_that_is_mended_closes_and_every_string_agrees(seed):
    one = build("walk", seed % 3 + 1, seed, "ft-in", Ways())
    calls = [mm_call(text) for text in one.lead[0].removeprefix("Called: ").rstrip(".").split(", ")]
    mended = next(option.text for option in one.asks[0].options if option.key == one.own["call"])
    calls[int(one.own["call"])] = mm_call(mended.split(" is ")[1])
    spots = [(0.0, 0.0)]
    for dx, dy in calls:
        spots.append((spots[-1][0] + dx, spots[-1][1] + dy))
    assert math.dist(spots[0], spots[-1]) < 1.0
    for reading in one.readings:
        a, b = (int(corner) for corner in reading.id.split("-"))
        assert abs(math.dist(spots[a], spots[b]) - mm_of(reading.text)) < 1.0
    assert sum(1 for outcome in one.parts[0].table.values() if not outcome.lost) == 1


def mm_call(text):
    """24′ 6 1/2 w as a step on the plan, mm."""
    said, way = text.rsplit(" ", 1)
    feet, inches = re.fullmatch(r"(?:(\d+)['′])?\s*-?\s*(.*?)[\"″]?", said).groups()
    size = 304.8 * int(feet or 0) + 25.4 * float(sum(Fraction(bit) for bit in (inches or "0").split()))
    return {"n": (0.0, size), "s": (0.0, -size), "e": (size, 0.0), "w": (-size, 0.0)}[way]


@pytest.mark.parametrize("seed", range(9))
def test_joints_of_the_own_answer_keep_panels_within_the_limit(seed):
    one = build("joints", 1, seed, "ft-in", Ways())
    thick = mm_of(re.search(r"is (\S+) thick", one.lead[0])[1])
    long_mm, wide_mm = (mm_of(shape.text) for shape in one.drawing if shape.kind == "size")
    across, up = long_mm / int(one.own["along"]), wide_mm / int(one.own["across"])
    limit = min(30 * thick, 15 * 304.8)
    assert max(across, up) <= limit + 2 and max(across, up) / min(across, up) <= 1.501
    fewer = [(long_mm / n, wide_mm / m) for n in range(1, 7) for m in range(1, 6) if (n - 1) * wide_mm + (m - 1) * long_mm < (int(one.own["along"]) - 1) * wide_mm + (int(one.own["across"]) - 1) * long_mm - 1]  # fmt: skip
    assert all(max(a, b) > limit + 2 or max(a, b) / min(a, b) > 1.501 for a, b in fewer)  # nothing less to saw would do


@pytest.mark.parametrize("seed", range(12))
def test_the_least_money_is_the_least_of_what_may_be_loaded(seed):
    one = build("boards", seed % 3 + 1, seed, "ft-in", Ways())
    prices = {board.mark: board.price_per_m_cents for board in Ways().forms.boards}
    deep = {board.mark: board.deep_mm for board in Ways().forms.boards}
    for ask in one.asks:
        high, long_mm = (
            mm_of(size)
            for size in re.search(r": (\S+(?: \d+/\d+″)?) high, (\S+(?: \d+/\d+″)?) long", ask.label).groups()
        )
        costs = {}
        for option in ask.options:
            mark, lengths = option.text.split(", ")
            sizes = [mm_of(size) for size in lengths.split(" + ")]
            if deep[mark] >= high - 0.5 and sum(sizes) >= long_mm - 0.5:
                costs[option.key] = sum(prices[mark] * mm / 1000 for mm in sizes) + 350 * (len(sizes) - 1)
        assert costs[one.own[ask.id]] <= min(costs.values()) + 2
