"""Six faults on a plan, to be found before the inspector does."""

from __future__ import annotations

from humble_trowel.core.practice.dice import Dice
from humble_trowel.core.practice.exercise import (
    NO,
    YES,
    Ask,
    Exercise,
    Option,
    Outcome,
    Part,
    RuleTold,
    Shape,
    Wish,
    rule_told,
)
from humble_trowel.core.practice.fault_kinds import KINDS, Draw, Found

SHOWN, FAULTS = 12, 6
PLACES = {
    "edge": ((150, 330), (330, 330), (510, 330)), "west": ((106, 120), (106, 200), (106, 270)), "corner": ((534, 86), (106, 330)),
    "middle": ((250, 140), (400, 140), (250, 230), (400, 230), (325, 185)), "outside": ((40, 90), (40, 200), (600, 150), (600, 250), (320, 384)),
    "truck": ((590, 40), (520, 40), (450, 40)),
}  # fmt: skip


def faults(wish: Wish) -> Exercise:
    """Find what does not hold."""
    dice = wish.dice()
    close = (0.0, 0.45, 0.85)[wish.level - 1]
    makers = dice.mixed(KINDS)[:SHOWN]
    bad = set(dice.mixed(range(SHOWN))[:FAULTS])
    found = [_drawn_until(maker_n, wish, dice, maker_n in bad, close, makers) for maker_n in range(SHOWN)]
    asks = tuple(
        Ask(one.key, f"{at + 1}. {one.text}", "press", (Option(NO, "holds"), Option(YES, "a fault"))) for at, one in enumerate(found)
    )  # fmt: skip
    parts = tuple(Part((one.key,), {NO: _outcome(one, False), YES: _outcome(one, True)}) for one in found)
    first = next(one for one in found if not one.holds)
    return Exercise(
        wish.kind, wish.level, wish.seed, wish.units, f"Which {FAULTS} will the inspector find?",
        (f"Press the {FAULTS} that break a rule. Local code, the engineer and the official decide; the rules here are the usual ones.",),
        _plan(found), asks, parts, ("All six, and nothing else", "1 missed or wrong"), "{n} missed or wrong", 1,
        {one.key: NO if one.holds else YES for one in found}, tuple(f"{at + 1}. {one.text}: {one.asked}." for at, one in enumerate(found) if not one.holds),
        _rule(first),
    )  # fmt: skip


def _drawn_until(at: int, wish: Wish, dice: Dice, bad: bool, close: float, makers: list) -> Found:  # type: ignore[type-arg]
    """A thing that holds or does not, as wanted: drawn anew where rounding made it otherwise."""
    while True:
        one: Found = makers[at](Draw(wish, dice, bad, close))
        if one.holds != bad:
            return one
        close *= 0.9


def _outcome(one: Found, pressed: bool) -> Outcome:
    if pressed and one.holds:
        return Outcome(1, f"{one.text}: that holds, {one.asked}.")
    if not pressed and not one.holds:
        return Outcome(1, f"Missed: {one.text[0].lower()}{one.text[1:]}; {one.asked}.")
    return Outcome(0)


def _rule(one: Found) -> RuleTold:
    return rule_told("", one.source)


def _plan(found: list[Found]) -> tuple[Shape, ...]:
    rows = [
        Shape("area", ((80, 64), (560, 64), (560, 352), (80, 352)), "slab"),
        Shape("line", ((80, 64), (560, 64), (560, 352), (80, 352), (80, 64)), "board"),
        Shape("line", ((124, 104), (516, 104), (516, 312), (124, 312), (124, 104)), "ghost"),
        Shape("line", ((325, 64), (325, 352)), "joint"),
        Shape("line", ((80, 208), (560, 208)), "joint"),
        Shape("line", ((140, 320), (500, 320)), "steel"),
        Shape("line", ((140, 340), (500, 340)), "steel"),
        Shape("line", ((106, 84), (106, 312)), "held"),
        Shape("word", ((380, 45),), "note", "the truck"),
    ]
    used: dict[str, int] = {}
    for at, one in enumerate(found):
        spots = PLACES[one.place]
        n = used.get(one.place, 0)
        used[one.place] = n + 1
        x, y = spots[n % len(spots)]
        x += 26 * (n // len(spots))
        rows.append(Shape("dot", ((x, y),), "name", str(at + 1), one.key))
    return tuple(rows)
