"""A frame that is out of square: tape it, and say which way the far boards go, and how far."""

from __future__ import annotations

import math

from humble_trowel.core.geometry.polygon import XY as Spot
from humble_trowel.core.lines.records import Tape, Taped
from humble_trowel.core.lines.squaring import square
from humble_trowel.core.practice.exercise import (
    HIGH,
    MM_PER_IN,
    Ask,
    Exercise,
    Option,
    Outcome,
    Part,
    Reading,
    Shape,
    Wish,
    choices,
    rule_told,
)
from humble_trowel.core.units import say_depth, say_length

SIDES = {"BC": (1, 2), "CD": (2, 3), "DA": (3, 0)}
NAMES = {"AB": "A to B", "BC": "B to C", "CD": "C to D", "DA": "D to A", "AC": "A to C", "BD": "B to D"}
ROOM = (400.0, 220.0)


class _Frame:
    """A frame as it lies: A at 0, 0 and B on the line that holds. out_mm: how far the far boards lean to the east."""

    def __init__(self, long_mm: float, wide_mm: float, out_mm: float, more_mm: dict[str, float]) -> None:
        self.long_mm, self.wide_mm, self.out_mm, self.more_mm = long_mm, wide_mm, out_mm, more_mm
        left = wide_mm + more_mm.get("DA", 0.0)
        self.d = (out_mm, math.sqrt(left**2 - out_mm**2))
        self.c = self._far(long_mm + more_mm.get("CD", 0.0), wide_mm + more_mm.get("BC", 0.0))
        self.corners: list[Spot] = [(0.0, 0.0), (long_mm, 0.0), self.c, self.d]

    def _far(self, from_d: float, from_b: float) -> Spot:
        """Where the boards from D and from B meet, up and to the east."""
        bx, by = self.long_mm - self.d[0], -self.d[1]
        apart = math.hypot(bx, by)
        along = (from_d**2 - from_b**2 + apart**2) / (2 * apart)
        up = math.sqrt(from_d**2 - along**2)
        ux, uy = bx / apart, by / apart
        return self.d[0] + along * ux - up * uy, self.d[1] + along * uy + up * ux

    def tape(self, name: str) -> float:
        """A to C and the like, mm."""
        a, b = ("ABCD".index(letter) for letter in name)
        return math.dist(self.corners[a], self.corners[b])

    def pushed(self, by_mm: float) -> _Frame:
        """The far boards pushed west by so much."""
        return _Frame(self.long_mm, self.wide_mm, self.out_mm - by_mm, self.more_mm)


def rack(wish: Wish) -> Exercise:
    """Square a racked frame."""
    dice = wish.dice()
    step = 1.0 if wish.metric else MM_PER_IN / 16
    most = 60 if wish.metric else 40
    coarse = ((5, 2, 1) if wish.metric else (4, 2, 1))[wish.level - 1]
    long_mm, wide_mm = wish.long(2 * dice.whole(10, 22)), wish.long(2 * dice.whole(6, 9))
    out_mm = dice.sign() * step * coarse * dice.whole(8 // coarse, most * 4 // 5 // coarse)
    wrong = dice.pick([*SIDES, "none"]) if wish.level == 3 else "none"
    more = {wrong: step * dice.whole(8, 20)} if wrong != "none" else {}
    frame = _Frame(long_mm, wide_mm, out_mm, more)
    taped = {name: round(frame.tape(name) / step) * step for name in NAMES}
    parts = [Part(("way", "far"), _pushes(frame, step, most, wish))]
    asks = [
        Ask("way", "Which way do the far boards go?", "one", choices([("west", "C and D to the west"), ("east", "C and D to the east")])),
        Ask("far", "How far?", "steps", tuple(Option(str(n), say_depth(n * step, wish.units)) for n in range(most + 1)), "0"),
    ]  # fmt: skip
    if wish.level == 3:
        asks.append(Ask("board", "Is a board cut wrong?", "one", choices([("none", "None is"), *((k, NAMES[k]) for k in SIDES)])))  # fmt: skip
        parts.append(Part(("board",), _boards(wrong, more, step, wish)))
    move = _own(frame, taped, wish)
    own = {"way": "west" if move <= 0 else "east", "far": str(min(most, round(abs(move) / step)))}
    if wish.level == 3:
        drawn = {"BC": wide_mm, "CD": long_mm, "DA": wide_mm}
        own["board"] = next((name for name in SIDES if taped[name] - drawn[name] > step), "none")
    return Exercise(
        wish.kind, wish.level, wish.seed, wish.units, "Which way do the far boards go, and how far?",
        ("A to B is nailed and holds. The drawing leans many times too far.", _told(wish)), _drawn(frame, taped, wish), tuple(asks), tuple(parts),
        ("Square", *(f"{say_depth(n * step, wish.units)} out of square" for n in range(1, most * 2 + 30))), "Far out of square", 4 if not wish.metric else 6, own,
        _why(frame, taped, move, wish), rule_told("lines/rack", "geometry", "Push by half of what the strings differ, times the string, by the long side: toward the side that shortens the long string."),
        tuple(Reading(name, NAMES[name], say_length(taped[name], wish.units)) for name in NAMES if name != "AB"),
        under="short", over="too far",
    )  # fmt: skip


def _told(wish: Wish) -> str:
    if wish.level == 1:
        return "Both strings are taped. The sides are as drawn."
    return (
        "Press what you want to tape."
        if wish.level == 3
        else "Press what you want to tape; the sides are cut as drawn."
    )


def _own(frame: _Frame, taped: dict[str, float], wish: Wish) -> float:
    """How far to the east the core would move D."""
    ring: list[Spot] = [(0.0, 0.0), (frame.long_mm, 0.0), (frame.long_mm, frame.wide_mm), (0.0, frame.wide_mm)]
    tapes = [
        Tape(start="ABCD".index(name[0]), to="ABCD".index(name[1]), mm=mm)
        for name, mm in taped.items()
    ]  # fmt: skip
    found = square(ring, Taped(hold=(0, 1), measures=list(tapes)), wish.units, distrust=False)
    return next((one.dx_mm for one in found.moves if one.corner == 3), 0.0)


def _pushes(frame: _Frame, step: float, most: int, wish: Wish) -> dict[str, Outcome]:
    tolerance = wish.ways.tape.tolerance_mm
    inside = (3.0 if wish.metric else 3.175) if tolerance is None else tolerance
    lean = _lean(frame, step * most)
    table = {}
    for way, sign in (("west", 1), ("east", -1)):
        for n in range(most + 1):
            after = frame.pushed(sign * n * step)
            left = abs(after.out_mm)
            steps = 0 if left <= inside + 1e-6 else max(1, round(left / step))
            apart = abs(after.tape("AC") - after.tape("BD"))
            was = abs(frame.tape("AC") - frame.tape("BD"))
            said = f"Then A to C reads {say_length(after.tape('AC'), wish.units)} and B to D {say_length(after.tape('BD'), wish.units)}"
            words = f"{said}: {say_depth(apart, wish.units)} apart."
            if apart > was + step / 2:
                words = f"That opens the strings to {say_depth(apart, wish.units)} apart. The other way."
            toward = 1 if frame.out_mm > 0 else -1
            off = round((sign * toward * n * step - abs(frame.out_mm)) / step)
            table[f"{way}|{n}"] = Outcome(steps, words, (_ghost(after, lean, frame),), off)
    return table


def _boards(wrong: str, more: dict[str, float], step: float, wish: Wish) -> dict[str, Outcome]:
    long = round(next(iter(more.values()), 0.0) / step)
    by = say_depth(long * step, wish.units)
    table = {}
    for key in ("none", *SIDES):
        if key == wrong:
            words = "" if wrong == "none" else f"{NAMES[wrong]} is {by} long: cut it."
            table[key] = Outcome(0, words)
        elif wrong == "none":
            table[key] = Outcome(8, f"{NAMES[key]} is as drawn; a cut spoils it.")
        else:
            table[key] = Outcome(long, f"{NAMES[wrong]} is {by} long, and stays so: no push makes that square.")
    return table


def _lean(frame: _Frame, most_mm: float) -> float:
    """Drawn over real, for how far the far boards lean."""
    return (14 + 26 * abs(frame.out_mm) / most_mm) / (abs(frame.out_mm) * _scale(frame))


def _scale(frame: _Frame) -> float:
    return min(ROOM[0] / frame.long_mm, ROOM[1] / frame.wide_mm)


def _at(frame: _Frame, lean: float, corner: int) -> tuple[float, float]:
    s = _scale(frame)
    x, y = ((0, 0), (frame.long_mm, 0), (frame.long_mm, frame.wide_mm), (0, frame.wide_mm))[corner]
    lean_mm = lean * frame.out_mm if corner > 1 else 0.0
    left = (640 - frame.long_mm * s) / 2
    return round(left + (x + lean_mm) * s, 1), round(HIGH / 2 + (frame.wide_mm / 2 - y) * s, 1)


def _ghost(after: _Frame, lean: float, frame: _Frame) -> Shape:
    return Shape("line", (_at(frame, lean, 0), _at(after, lean, 3), _at(after, lean, 2), _at(frame, lean, 1)), "ghost")


def _drawn(frame: _Frame, taped: dict[str, float], wish: Wish) -> tuple[Shape, ...]:
    lean = _lean(frame, (60 if wish.metric else 40 * MM_PER_IN / 16))
    a, b, c, d = (_at(frame, lean, corner) for corner in range(4))
    rows = [Shape("line", (a, d, c, b), "board"), Shape("line", (a, b), "held")]
    rows += [Shape("word", (spot,), "name", name) for spot, name in (
        ((a[0] - 18, a[1] + 8), "A"), ((b[0] + 18, b[1] + 8), "B"), ((c[0] + 20, c[1] - 6), "C"), ((d[0] - 20, d[1] - 6), "D"))]  # fmt: skip
    spots = {"AC": (a, c), "BD": (b, d), "BC": (b, c), "CD": (c, d), "DA": (d, a)}
    for name, (start, end) in spots.items():
        if name in ("AC", "BD"):
            rows.append(Shape("line", (start, end), "string", "", name))
        share = 0.3 if name in ("AC", "BD") else 0.5
        near = (start[0] + (end[0] - start[0]) * share, start[1] + (end[1] - start[1]) * share)
        shift = {"CD": (0, -16), "BC": (58, 4), "DA": (-58, 4)}.get(name, (0, 4))
        text = say_length(taped[name], wish.units) if wish.level == 1 and name in ("AC", "BD") else ""
        rows.append(Shape("word", ((near[0] + shift[0], near[1] + shift[1]),), "reading", text, name))
    low = a[1] + 34
    rows.append(Shape("size", ((a[0], low), (b[0], low)), "thin", say_length(frame.long_mm, wish.units)))
    rows.append(Shape("word", ((320, 24),), "note", f"drawn {say_length(frame.long_mm, wish.units)} by {say_length(frame.wide_mm, wish.units)}"))  # fmt: skip
    return tuple(rows)


def _why(frame: _Frame, taped: dict[str, float], move: float, wish: Wish) -> tuple[str, ...]:
    units = wish.units
    apart, long = abs(taped["AC"] - taped["BD"]), "A to C" if taped["AC"] > taped["BD"] else "B to D"
    way = "west" if move <= 0 else "east"
    rows = [f"{long} is the long string, so C and D go {way}."]
    if not frame.more_mm:
        rows.append(
            f"Half of {say_depth(apart, units)} × {say_length((taped['AC'] + taped['BD']) / 2, units)} ÷ {say_length(frame.long_mm, units)} = {say_depth(abs(move), units)}."
        )
    else:
        side = next(iter(frame.more_mm))
        rows.append(f"{NAMES[side]} tapes {say_length(taped[side], units)}: that board is long, and pushing does not mend it.")  # fmt: skip
        rows.append(f"All six tapes together put D {say_depth(abs(move), units)} out.")
    return tuple(rows)
