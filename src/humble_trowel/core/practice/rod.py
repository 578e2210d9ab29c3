"""Read the rod and set pegs: with a laser that may have been knocked, or a rod with a dirty foot."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.ground.levels import Sight, level_run
from humble_trowel.core.ground.rod import say_off, say_reading
from humble_trowel.core.practice.exercise import (
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
from humble_trowel.core.units import say_depth

MOST = 24  # steps that a peg may be off
WINDOW = 48


@dataclass(frozen=True)
class _Site:
    """mark_mm: its level over the slab's top; back_mm: what it read in the morning; moved_mm: how much more it reads since the laser was
    knocked; mud_mm: under the rod's foot at noon; pegs_mm: how far each is over its level."""

    thick_mm: float
    mark_mm: float
    back_mm: float
    moved_mm: float
    mud_mm: float
    pegs_mm: tuple[float, ...]

    @property
    def grade_mm(self) -> float:
        """What the rod reads on the base where it is right, from the morning's set-up."""
        return self.mark_mm + self.back_mm + self.thick_mm

    @property
    def again_mm(self) -> float:
        """The mark at noon, as the rod is."""
        return self.back_mm + self.moved_mm - self.mud_mm

    def read_mm(self, peg: int) -> float:
        """A peg at noon, as the rod is."""
        return self.grade_mm + self.moved_mm - self.pegs_mm[peg] - self.mud_mm


def rod(wish: Wish) -> Exercise:
    """The reading that the base should have, and what each peg wants."""
    dice, step = wish.dice(), 2.0 if wish.metric else MM_PER_IN / 8
    wide = step * 4
    trap = ("none", "moved", dice.pick(("moved", "mud")))[wish.level - 1]
    by = step * dice.whole(3, 6) * (dice.sign() if trap == "moved" else 1)
    offs = dice.mixed([n for n in range(-10, 11) if abs(n) > 2])
    site = _Site(
        _even(wish.thin(dice.pick((4, 5, 6))), wish), _even(wish.thin(dice.whole(3, 16)), wish), wide * dice.whole(70, 120) + step * dice.whole(0, 3),
        by if trap == "moved" else 0.0, by if trap == "mud" else 0.0, tuple(step * n for n in offs[: 2 if wish.level == 1 else 3]),
    )  # fmt: skip
    pegs = range(len(site.pegs_mm))
    first = round(site.grade_mm / step) - dice.whole(10, WINDOW - 10)
    grade = tuple(Option(str(n), _said(n * step, wish)) for n in range(first, first + WINDOW + 1))
    own = _own(site, step)
    asks = [Ask("grade", "From the morning's set-up: what does the rod read on the base?", "steps", grade, grade[WINDOW // 2].key)]  # fmt: skip
    parts = [Part(("grade",), _grade(grade, own["grade"], site, wish, step))]
    if wish.level > 1:
        asks.append(Ask("cause", "After noon, what happened?", "one", choices(CAUSES)))
        parts.append(Part(("cause",), {key: _cause(key, trap, site, wish) for key, _ in CAUSES}))
    ups = tuple(Option(str(n), _off(n * step, wish)) for n in range(-MOST, MOST + 1))
    for peg in pegs:
        asks.append(Ask(f"peg{peg + 1}", f"Peg {peg + 1}", "steps", ups, "0", "What does each peg want?"))
        parts.append(Part((f"peg{peg + 1}",), {one.key: _peg(int(one.key), own[f"peg{peg + 1}"], step, wish) for one in ups}))  # fmt: skip
    readings = [Reading(f"peg{peg + 1}", f"Peg {peg + 1}", _said(site.read_mm(peg), wish)) for peg in pegs]
    if wish.level > 1:
        readings.insert(0, Reading("again", "The mark again", _said(site.again_mm, wish)))
    if wish.level == 3:
        readings.insert(1, Reading("wiped", "The mark, foot wiped", _said(site.back_mm + site.moved_mm, wish)))
    return Exercise(
        wish.kind, wish.level, wish.seed, wish.units, "What does the rod read, and what do the pegs want?", _lead(site, wish),
        _drawn(site, wish), tuple(asks), tuple(parts), ("All of it right", "1 of them wrong"), "{n} of them wrong", 1,
        {key: str(value) for key, value in own.items()} | ({"cause": trap} if wish.level > 1 else {}), _why(site, trap, wish),
        rule_told("ground/levels", "levelling", "Line of the laser = level of the mark + what the rod reads there; the reading wanted = line less the level wanted. Shoot the mark again before you trust the afternoon."),
        tuple(readings),
    )  # fmt: skip


def _even(mm: float, wish: Wish) -> float:
    """To 10 mm in a mm job, so that every reading is a whole step."""
    return round(mm / 10) * 10.0 if wish.metric else mm


CAUSES = (
    ("none", "Nothing: go on"),
    ("moved", "The laser was knocked"),
    ("mud", "The rod's foot is dirty"),
)


def _said(mm: float, wish: Wish) -> str:
    return say_reading(mm, "mm" if wish.metric else "sixteenths")


def _off(mm: float, wish: Wish) -> str:
    return say_off(mm, wish.units, "mm" if wish.metric else "sixteenths")


def _own(site: _Site, step: float) -> dict[str, int]:
    """By a run of levels: the morning's sight alone, then the noon's with what its mark says, the rod wiped."""
    morning = level_run(site.mark_mm, [Sight(site.back_mm, None, {})])
    own = {"grade": round((morning.instrument[0] + site.thick_mm) / step)}
    names = {f"peg{at + 1}": site.read_mm(at) + site.mud_mm for at in range(len(site.pegs_mm))}
    noon = level_run(site.mark_mm, [Sight(site.again_mm + site.mud_mm, None, names)])
    return own | {name: round((level + site.thick_mm) / step) for name, level in noon.shots.items()}


def _grade(options: tuple[Option, ...], right: int, site: _Site, wish: Wish, step: float) -> dict[str, Outcome]:
    table = {}
    for one in options:
        off = int(one.key) - right
        size = say_depth(abs(off) * step, wish.units)
        words = f"The base would lie {size} too {'low' if off > 0 else 'high'}: wanted {_said(right * step, wish)}."
        table[one.key] = Outcome(0 if not off else 1, words if off else "", off_n=off)
    return table


def _peg(said: int, right: int, step: float, wish: Wish) -> Outcome:
    off = said - right
    if not off:
        return Outcome(0)
    size = say_depth(abs(off) * step, wish.units)
    return Outcome(1, f"It wanted {_off(right * step, wish)}: now it stands {size} too {'low' if off > 0 else 'high'}.")


def _cause(key: str, trap: str, site: _Site, wish: Wish) -> Outcome:
    if key == trap:
        return Outcome(0)
    by = say_depth(abs(site.moved_mm or site.mud_mm), wish.units)
    truth = {"moved": f"The mark, foot wiped, reads {by} otherwise than in the morning: the laser was knocked.",
             "mud": f"Wiped, the mark reads as in the morning: {by} of mud stood under the rod."}[trap]  # fmt: skip
    return Outcome(1, truth)


def _lead(site: _Site, wish: Wish) -> tuple[str, ...]:
    rows = [
        f"The mark lies {say_depth(site.mark_mm, wish.units)} over the slab's top. In the morning the rod on it reads {_said(site.back_mm, wish)}.",
        f"The slab is {say_depth(site.thick_mm, wish.units)} thick, on the base.",
    ]
    if wish.level > 1:
        rows.append("After noon somebody stood near the laser, and it has rained. Press what you want to shoot.")
    else:
        rows.append("Press a peg to shoot it.")
    return tuple(rows)


def _drawn(site: _Site, wish: Wish) -> tuple[Shape, ...]:
    line, ground = 92.0, 318.0
    rows = [
        Shape("area", ((0, ground), (640, ground), (640, 400), (0, 400)), "ground"),
        Shape("line", ((58, line), (620, line)), "string"),
        Shape("word", ((330, line - 16),), "note", "the laser's line"),
        Shape("line", ((30, ground), (58, line + 14), (86, ground)), "held"),
        Shape("line", ((58, line + 14), (58, ground)), "held"),
        Shape("area", ((42, line - 14), (74, line - 14), (74, line + 14), (42, line + 14)), "board"),
    ]
    rows += _staff(150.0, 250.0, line, "the mark", "again" if wish.level > 1 else "", _said(site.back_mm, wish))
    for at, _ in enumerate(site.pegs_mm):
        rows += _staff(285.0 + at * 120, 296.0 + (at % 2) * 10, line, f"peg {at + 1}", f"peg{at + 1}", "")
    if wish.level > 1:
        rows.append(Shape("word", ((150, 378),), "reading", "", "again"))
    return tuple(rows)


def _staff(x: float, top: float, line: float, name: str, key: str, text: str) -> list[Shape]:
    """A stake with a rod on it."""
    return [
        Shape("area", ((x - 9, top), (x + 9, top), (x + 9, 330), (x, 346), (x - 9, 330)), "board", "", key),
        Shape("line", ((x, top), (x, line - 34)), "thin", "", key),
        Shape("dot", ((x, line),), "flag", "", key),
        Shape("word", ((x, 366),), "name", name, key),
        Shape("word", ((x + 6, 190),), "reading", text, key if not text else "", "start"),
    ]


def _why(site: _Site, trap: str, wish: Wish) -> tuple[str, ...]:
    rows = [
        f"Line = {say_depth(site.mark_mm, wish.units)} + {_said(site.back_mm, wish)}; to the base another {say_depth(site.thick_mm, wish.units)}: {_said(site.grade_mm, wish)}."
    ]
    if trap == "moved":
        rows.append(f"After noon the mark reads {_said(site.again_mm, wish)}: from then on the base reads {_said(site.grade_mm + site.moved_mm, wish)}.")  # fmt: skip
    if trap == "mud":
        rows.append(f"With {say_depth(site.mud_mm, wish.units)} of mud under it the rod stands high and reads short: add it to every peg.")  # fmt: skip
    rows += [f"Peg {at + 1}: {_off(off, wish)}." for at, off in enumerate(site.pegs_mm)]
    return tuple(rows)
