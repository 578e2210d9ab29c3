"""A walk of call-outs that does not close: which call is wrong, and what it should be."""

from __future__ import annotations

import itertools
import math

from humble_trowel.core.calls.call_outs import Leg, call_of, hear
from humble_trowel.core.calls.walk import walk, walk_points
from humble_trowel.core.plan.document import corner_name
from humble_trowel.core.practice.dice import Dice
from humble_trowel.core.practice.exercise import (
    MM_PER_FT,
    Ask,
    Exercise,
    Option,
    Outcome,
    Part,
    Reading,
    Shape,
    Wish,
    drawn,
    rule_told,
)
from humble_trowel.core.units import say_length

Legs = list[tuple[float, float]]
SHOWS_MM = 40.0  # so much otherwise a string says that a call is wrong
STRINGS = 4


def walked(wish: Wish) -> Exercise:
    """Find the call that does not close."""
    return drawn(wish, _made)


def _made(wish: Wish, dice: Dice) -> Exercise | None:
    right = _round(wish, dice)
    k = dice.whole(0, len(right) - 1)
    size = math.hypot(*right[k])
    by = dice.sign() * (wish.long(dice.whole(1, 3)) if wish.level < 3 else wish.thin(6 * dice.whole(1, 3)))
    if size + by < 2 * MM_PER_FT:
        return None
    wrong = [*right]
    wrong[k] = (right[k][0] * (size + by) / size, right[k][1] * (size + by) / size)
    fixes = {at: _fixed(wrong, at, by) for at in range(len(wrong))}
    closing = [at for at in fixes if math.hypot(*walk_points(_legs(fixes[at], wish), (0.0, 0.0))[-1]) < 2.0]
    strings = _strings(right, {at: fixes[at] for at in closing if at != k})
    if strings is None or k not in closing:
        return None
    texts = [call_of(dx, dy, wish.units) for dx, dy in wrong]
    names = [f"{corner_name(at)} to {corner_name((at + 1) % len(wrong))}" for at in range(len(wrong))]
    options = tuple(
        Option(str(at), f"{names[at]} is {call_of(*fixes[at][at], wish.units)}") for at in range(len(wrong))
    )
    table = {str(at): _outcome(at, k, fixes[at], strings, right, wish) for at in fixes}
    found = walk(" ".join(texts), wish.units)
    own = _own(closing, fixes, strings, right)
    points = walk_points(_legs(right, wish), (0.0, 0.0))
    return Exercise(
        wish.kind, wish.level, wish.seed, wish.units, "Which call is wrong?",
        (f"Called: {', '.join(texts)}.", "It does not come back to A. Press a string to tape it; one call is wrong, the rest hold."),
        _drawn(wrong, strings, wish), (Ask("call", "Which one, and what should it be?", "one", options),), (Part(("call",), table),),
        ("It closes, and the strings agree", "It closes, but a string disagrees", "It does not close"), "It does not close", 1, {"call": str(own)},
        (found.verdict, _reason(k, closing, names, strings, fixes, right, wish)),
        rule_told("", "geometry", "What a walk misses by says the direction and the size of the mistake; calls along that way are suspects, and a string across tells them apart."),
        tuple(
            Reading(f"{i}-{j}", f"{corner_name(i)} to {corner_name(j)}", say_length(math.dist(points[i], points[j]), wish.units)) for i, j in strings
        ),
    )  # fmt: skip


def _round(wish: Wish, dice: Dice) -> Legs:
    """A closed walk: an L, or with two steps from the second level on."""
    steps = 1 if wish.level == 1 else 2
    inch = 0.0 if wish.level == 1 else wish.thin(6)
    downs = [wish.long(dice.whole(6, 14)) + inch * dice.whole(0, 1) for _ in range(steps + 1)]
    wests = [wish.long(dice.whole(6, 15)) + inch * dice.whole(0, 1) for _ in range(steps + 1)]
    legs: Legs = [(math.fsum(wests), 0.0)]
    for up, west in zip(downs, wests, strict=True):
        legs += [(0.0, up), (-west, 0.0)]
    return [*legs, (0.0, -math.fsum(downs))]


def _fixed(wrong: Legs, at: int, by: float) -> Legs:
    """One leg changed by as much as the miss, the way that may close it."""
    miss = (math.fsum(x for x, _ in wrong), math.fsum(y for _, y in wrong))
    dx, dy = wrong[at]
    size = math.hypot(dx, dy)
    along = (dx * miss[0] + dy * miss[1]) / size
    change = -along if abs(along) > 1 else -by
    rows = [*wrong]
    rows[at] = (dx * (size + change) / size, dy * (size + change) / size)
    return rows


def _legs(rows: Legs, wish: Wish) -> list[Leg]:
    """As the core hears them called."""
    return hear(" ".join(call_of(dx, dy, wish.units) for dx, dy in rows), wish.units).legs


def _across(rows: Legs, i: int, j: int) -> float:
    return math.hypot(math.fsum(x for x, _ in rows[i:j]), math.fsum(y for _, y in rows[i:j]))


def _strings(right: Legs, others: dict[int, Legs]) -> list[tuple[int, int]] | None:
    """Strings from corner to corner that tell the wrong call from all others; None where none do."""
    n = len(right)
    pairs = [(i, j) for i in range(n) for j in range(i + 2, n) if (i, j) != (0, n - 1)]
    chosen: list[tuple[int, int]] = []
    left = set(others)
    while left:
        best = max(pairs, key=lambda pair: (len(_told(pair, right, others, left)), pair[1] - pair[0]))
        told = _told(best, right, others, left)
        if not told:
            return None
        chosen.append(best)
        left -= told
    for pair in pairs:
        if len(chosen) < min(STRINGS, len(others) + 2) and pair not in chosen:
            chosen.append(pair)
    return sorted(chosen)


def _told(pair: tuple[int, int], right: Legs, others: dict[int, Legs], left: set[int]) -> set[int]:
    true = _across(right, *pair)
    return {at for at in left if abs(_across(others[at], *pair) - true) > SHOWS_MM}


def _own(closing: list[int], fixes: dict[int, Legs], strings: list[tuple[int, int]], right: Legs) -> int:
    """The change that closes the walk and that every string agrees with."""
    return next(
        at for at in closing if all(abs(_across(fixes[at], *pair) - _across(right, *pair)) <= SHOWS_MM for pair in strings)
    )  # fmt: skip


def _outcome(at: int, k: int, fixed: Legs, strings: list[tuple[int, int]], right: Legs, wish: Wish) -> Outcome:
    told = walk(" ".join(call_of(dx, dy, wish.units) for dx, dy in fixed), wish.units)
    ghost = (_ring(fixed, right),)
    if not told.closed:
        size = say_length(math.hypot(*told.miss_mm), wish.units)
        return Outcome(2, f"It still misses A, by {size}.", ghost)
    if at == k:
        return Outcome(0, "", ghost)
    i, j = next(pair for pair in strings if abs(_across(fixed, *pair) - _across(right, *pair)) > SHOWS_MM)
    said, would = say_length(_across(right, i, j), wish.units), say_length(_across(fixed, i, j), wish.units)
    return Outcome(1, f"Then {corner_name(i)} to {corner_name(j)} would be {would}; the string says {said}.", ghost)


def _scale(rows: Legs) -> tuple[float, float, float]:
    points = list(itertools.accumulate(rows, lambda a, b: (a[0] + b[0], a[1] + b[1]), initial=(0.0, 0.0)))
    x1, y1 = max(p[0] for p in points), max(p[1] for p in points)
    x0, y0 = min(p[0] for p in points), min(p[1] for p in points)
    s = min(440 / (x1 - x0), 250 / (y1 - y0))
    return s, 320 - (x0 + x1) / 2 * s, 200 + (y0 + y1) / 2 * s


def _spots(rows: Legs, by: Legs) -> list[tuple[float, float]]:
    s, ox, oy = _scale(by)
    points = itertools.accumulate(rows, lambda a, b: (a[0] + b[0], a[1] + b[1]), initial=(0.0, 0.0))
    return [(round(ox + x * s, 1), round(oy - y * s, 1)) for x, y in points]


def _ring(rows: Legs, by: Legs) -> Shape:
    return Shape("line", tuple(_spots(rows, by)), "ghost")


def _drawn(wrong: Legs, strings: list[tuple[int, int]], wish: Wish) -> tuple[Shape, ...]:
    spots = _spots(wrong, wrong)
    rows = [Shape("line", (spots[i], spots[j]), "string", "", f"{i}-{j}") for i, j in strings]
    rows += [
        Shape("word", (((spots[i][0] + spots[j][0]) / 2, (spots[i][1] + spots[j][1]) / 2),), "reading", "", f"{i}-{j}")
        for i, j in strings
    ]
    rows.append(Shape("line", tuple(spots), "held"))
    rows.append(Shape("line", (spots[-1], spots[0]), "flag"))
    for at, (x, y) in enumerate(spots[:-1]):
        nx, ny = spots[at - 1] if at else spots[-2]
        out = (x - (spots[at + 1][0] + nx) / 2, y - (spots[at + 1][1] + ny) / 2)
        far = math.hypot(*out) or 1.0
        rows.append(Shape("word", ((x + out[0] / far * 20, y + out[1] / far * 20 + 6),), "name", corner_name(at)))
    return tuple(rows)


def _reason(
    k: int, closing: list[int], names: list[str], strings: list[tuple[int, int]], fixes: dict[int, Legs], right: Legs, wish: Wish
) -> str:  # fmt: skip
    others = [names[at] for at in closing if at != k]
    call = call_of(*fixes[k][k], wish.units)
    if not others:
        return f"Only {names[k]} runs that way: it is {call}."
    return f"{', '.join(others)} would close it too, but a string disagrees. {names[k]} is {call}: then every string agrees."
