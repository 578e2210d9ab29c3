"""Bolts of a plate, piece by piece: how many, and how far from the ends."""

from __future__ import annotations

from humble_trowel.core.embeds.bolts import BoltRules, bolts_of, checked
from humble_trowel.core.embeds.plates import Run
from humble_trowel.core.practice.dice import Dice
from humble_trowel.core.practice.exercise import (
    MM_PER_FT,
    MM_PER_IN,
    Ask,
    Exercise,
    Option,
    Outcome,
    Part,
    Shape,
    Wish,
    drawn,
    rule_told,
)
from humble_trowel.core.units import say_depth, say_length

MOST = 9
ENDS_IN = (2.0, 3.0, 4.0, 6.0, 8.0, 9.0, 10.0, 12.0, 15.0, 18.0)
SAYS = {
    "A1": "two of them over {most} apart", "A2": "an end out of its {low} to {high}", "A3": "fewer than two", "A4": "one in an opening",
    "A5": "one at a stud", "A6": "one where the pipe runs",
}  # fmt: skip


def bolts(wish: Wish) -> Exercise:
    """Place the bolts of a wall."""
    return drawn(wish, _made)


def _made(wish: Wish, dice: Dice) -> Exercise | None:
    own = wish.ways.embeds
    rules = BoltRules(own.most_mm, own.end_min_mm, own.end_max_mm, 0.0, 5.0 if wish.metric else MM_PER_IN / 4, between_mm=own.between_mm, end_like_mm=own.end_like_mm)  # fmt: skip
    run = _run(wish, dice)
    if any(end - start < 2.5 * MM_PER_FT for start, end in run.pieces):
        return None
    fewest = bolts_of(run, rules)
    ends = [wish.thin(inches) for inches in ENDS_IN]
    asks, parts, answer, why = [], [], {}, []
    for at, ((start, end), own_bolts) in enumerate(zip(run.pieces, fewest, strict=True)):
        if own_bolts is None or len(own_bolts) > MOST:
            return None
        table = {
            f"{count}|{n}": _outcome(run, rules, (start, end), count, mm, len(own_bolts), wish)
            for count in range(1, MOST + 1) for n, mm in enumerate(ends)
        }  # fmt: skip
        good = [key for key, one in table.items() if not one.lost]
        if not good:
            return None
        like = min(good, key=lambda key: abs(ends[int(key.split("|")[1])] - own.end_like_mm))
        group = f"Piece {at + 1}: {say_length(end - start, wish.units)}"
        asks += [
            Ask(f"n{at}", "Bolts", "steps", tuple(Option(str(n), str(n)) for n in range(1, MOST + 1)), "1", group),
            Ask(f"e{at}", "From each end", "steps", tuple(Option(str(n), say_depth(mm, wish.units)) for n, mm in enumerate(ends)), "0", group),
        ]  # fmt: skip
        parts.append(Part((f"n{at}", f"e{at}"), table))
        answer[f"n{at}"], answer[f"e{at}"] = like.split("|")
        why.append(f"{group}: {len(own_bolts)} is the fewest, {say_depth(ends[int(answer[f'e{at}'])], wish.units)} in from each end.")  # fmt: skip
    most, low, high = (say_depth(mm, wish.units) if mm < 1000 else say_length(mm, wish.units) for mm in (rules.most_mm, rules.end_min_mm, rules.end_max_mm))  # fmt: skip
    return Exercise(
        wish.kind, wish.level, wish.seed, wish.units, "How many bolts, and where?",
        (f"At most {most} apart, {low} to {high} from each end of a piece, two a piece at least; the rest evenly between.", "The fewest that do it." + (" The dashed line is a pipe in the slab." if run.blocked else "")),
        _drawn(run, wish), tuple(asks), tuple(parts), ("Every piece held, no bolt for nothing", "1 bolt or rule wrong"), "{n} bolts or rules wrong", 1,
        answer, tuple(why), rule_told("embeds/bolts", "bolt-spacing"),
    )  # fmt: skip


def _run(wish: Wish, dice: Dice) -> Run:
    length = wish.long(dice.whole(14, 22) if wish.level == 1 else dice.whole(24, 40))
    if wish.level == 1:
        return Run(length, (wish.long(dice.whole(6, 12)),) if dice.whole(0, 1) else ())
    at = wish.long(dice.whole(4, 9))
    door = (at, at + wish.long(dice.pick((3, 8))))
    rest = door[1] + wish.long(dice.whole(6, 11))
    joints = (rest,) if rest < length - 3 * MM_PER_FT else ()
    blocked: tuple[tuple[float, float], ...] = ()
    if wish.level == 3:
        spot = door[1] + wish.long(dice.whole(2, 6)) + wish.thin(dice.pick((0, 3, 6, 9)))
        blocked = ((spot - wish.thin(3), spot + wish.thin(3)),)
    return Run(length, joints, (door,), (), blocked)


def _evenly(piece: tuple[float, float], count: int, end_mm: float) -> list[float]:
    first, last = piece[0] + end_mm, piece[1] - end_mm
    return [first] if count == 1 else [first + (last - first) * n / (count - 1) for n in range(count)]


def _outcome(
    run: Run, rules: BoltRules, piece: tuple[float, float], count: int, end_mm: float, fewest: int, wish: Wish
) -> Outcome:
    stations = _evenly(piece, count, end_mm)
    broken = [one for one in checked(run, rules, stations) if piece[0] - 1 <= one.at_mm <= piece[1] + 1]
    broken = [one for one in broken if one.rule != "A3" or one.at_mm == piece[0]]
    shapes = tuple(_bolt(run, mm, any(abs(one.at_mm - mm) < 0.1 for one in broken)) for mm in stations)
    if broken:
        texts = {"most": say_length(rules.most_mm, wish.units), "low": say_depth(rules.end_min_mm, wish.units), "high": say_depth(rules.end_max_mm, wish.units)}  # fmt: skip
        said = [SAYS[rule].format(**texts) for rule in sorted({one.rule for one in broken})]
        return Outcome(len(broken), f"{'; '.join(said)}.".capitalize(), shapes)
    more = count - fewest
    return Outcome(max(0, more), f"{more} more than it takes." if more > 0 else "", shapes)


def _x(run: Run, mm: float) -> float:
    return round(40 + 560 * mm / run.length_mm, 1)


def _bolt(run: Run, mm: float, bad: bool) -> Shape:
    x = _x(run, mm)
    return Shape("line", ((x, 150), (x, 214)), "flag" if bad else "steel")


def _drawn(run: Run, wish: Wish) -> tuple[Shape, ...]:
    rows = [Shape("area", ((24, 186), (616, 186), (616, 246), (24, 246)), "slab")]
    for at, (start, end) in enumerate(run.pieces):
        a, b = _x(run, start), _x(run, end)
        rows.append(Shape("area", ((a + 1, 166), (b - 1, 166), (b - 1, 186), (a + 1, 186)), "board"))
        rows.append(Shape("word", (((a + b) / 2, 138),), "name", f"{at + 1}"))
        rows.append(Shape("size", ((a, 280), (b, 280)), "thin", say_length(end - start, wish.units)))
    for start, end in run.openings:
        rows.append(Shape("word", ((_x(run, (start + end) / 2), 178),), "note", "door"))
    for low, high in run.blocked:
        x = _x(run, (low + high) / 2)
        rows.append(Shape("line", ((x, 190), (x, 330)), "ghost"))
        piece = next((one for one in run.pieces if one[0] < low < one[1]), (0.0, 0.0))
        rows.append(Shape("size", ((_x(run, piece[0]), 318), (x, 318)), "thin", say_length((low + high) / 2 - piece[0], wish.units)))  # fmt: skip
    return tuple(rows)
