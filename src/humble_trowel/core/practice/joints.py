"""Joints of a slab: how many panels each way, and what is cut from an inside corner."""

from __future__ import annotations

import math
from dataclasses import dataclass

from humble_trowel.core.joints.check import JointRules, JointsChecked, Line, checked
from humble_trowel.core.practice.dice import Dice
from humble_trowel.core.practice.exercise import (
    MM_PER_FT,
    MM_PER_IN,
    XY,
    Ask,
    Exercise,
    Option,
    Outcome,
    Part,
    Shape,
    Wish,
    choices,
    drawn,
    rule_told,
)
from humble_trowel.core.units import say_depth, say_length

MOST = 6
CUT_MM = 2000.0  # so much more cut than is needed counts as one
FROM = (("none", "Nothing"), ("across", "One cut across"), ("along", "One cut along"), ("both", "One each way"))
SAYS = {
    "J1": "a panel over {limit}", "J2": "a panel too long for its width", "J3": "an inside corner without a cut", "J5": "a cut that ends in a panel",
    "J6": "an L of a panel", "J7": "a sliver",
}  # fmt: skip


@dataclass(frozen=True)
class _Slab:
    """A rectangle, or an L whose north east corner is cut out at `inside`."""

    long_mm: float
    wide_mm: float
    thick_mm: float
    inside: XY | None

    @property
    def ring(self) -> list[XY]:
        if self.inside is None:
            return [(0, 0), (self.long_mm, 0), (self.long_mm, self.wide_mm), (0, self.wide_mm)]
        x, y = self.inside
        return [(0, 0), (self.long_mm, 0), (self.long_mm, y), (x, y), (x, self.wide_mm), (0, self.wide_mm)]

    def cuts(self, along: int, across: int, corner: str) -> list[Line]:
        """Cuts for so many panels each way, those through the inside corner among them."""
        through = (corner in ("across", "both"), corner in ("along", "both"))
        xs = _split(self.long_mm, along, self.inside[0] if self.inside and through[0] else None)
        ys = _split(self.wide_mm, across, self.inside[1] if self.inside and through[1] else None)
        rows: list[Line] = []
        for x in xs:
            top = self.inside[1] if self.inside and x > self.inside[0] + 1 else self.wide_mm
            rows.append(((x, 0.0), (x, top)))
        for y in ys:
            end = self.inside[0] if self.inside and y > self.inside[1] + 1 else self.long_mm
            rows.append(((0.0, y), (end, y)))
        return rows


def _split(length: float, panels: int, at: float | None) -> list[float]:
    """Where cuts lie: evenly, or evenly on both sides of a place that must have one."""
    if at is None:
        return [length * n / panels for n in range(1, panels)]
    if panels < 2:
        return [at]
    first = min(panels - 1, max(1, round(panels * at / length)))
    rest = panels - first
    left = [at * n / first for n in range(1, first + 1)]
    return [*left, *(at + (length - at) * n / rest for n in range(1, rest))]


def joints(wish: Wish) -> Exercise:
    """Lay out the joints."""
    return drawn(wish, _made)


def _made(wish: Wish, dice: Dice) -> Exercise | None:
    slab = _slab(wish, dice)
    own = wish.ways.joints
    rules = JointRules(own.ratio_n, own.cap_mm, own.aspect_ratio, own.depth_share, own.depth_min_mm, own.sliver_mm)
    corners = FROM if slab.inside else FROM[:1]
    found = {
        (along, across, corner): checked(slab.ring, [], slab.cuts(along, across, corner), slab.thick_mm, rules)
        for along in range(1, MOST + 1) for across in range(1, MOST) for corner, _ in corners
    }  # fmt: skip
    best = min(found, key=lambda key: (len(found[key].cracks), round(found[key].saw_mm), key))
    if found[best].cracks or found[best].saw_mm < 1:
        return None
    keys = ("along", "across", "corner")[: 3 if slab.inside else 2]
    table = {
        "|".join(str(one) for one in key[: len(keys)]): _outcome(key, one, found[best], slab, wish)
        for key, one in found.items()
    }
    asks = [
        Ask("along", "Panels along the south side", "steps", tuple(Option(str(n), str(n)) for n in range(1, MOST + 1)), "1"),
        Ask("across", "Panels along the west side", "steps", tuple(Option(str(n), str(n)) for n in range(1, MOST)), "1"),
    ]  # fmt: skip
    answer = dict(zip(keys, (str(best[0]), str(best[1]), best[2]), strict=False))
    if slab.inside:
        asks.append(Ask("corner", "From the inside corner", "one", choices(corners)))
    parts = [Part(keys, table)]
    if wish.level == 3:
        deep = [n * MM_PER_IN / 4 for n in range(2, 13)] if not wish.metric else [n * 5.0 for n in range(3, 16)]
        needed = rules.needed_mm(slab.thick_mm)
        asks.append(Ask("deep", "How deep?", "steps", tuple(Option(str(n), say_depth(mm, wish.units)) for n, mm in enumerate(deep)), "0"))  # fmt: skip
        parts.append(Part(("deep",), {str(n): _deep(mm, needed, slab.thick_mm, wish) for n, mm in enumerate(deep)}))
        answer["deep"] = str(next(n for n, mm in enumerate(deep) if mm >= needed - 0.01))
    limit = say_length(found[best].limit_mm, wish.units)
    return Exercise(
        wish.kind, wish.level, wish.seed, wish.units, "Where do you cut?",
        (f"The slab is {say_depth(slab.thick_mm, wish.units)} thick. This crew cuts at most {own.ratio_n:g} thicknesses apart.", "Fewest feet of saw that leave no crack of its own choosing." if not wish.metric else "Least to saw that leaves no crack of its own choosing."),
        _drawn(slab, wish), tuple(asks), tuple(parts), ("No crack of its own choosing, nothing cut for nothing", "1 thing wrong"), "{n} things wrong", 2, answer,
        (f"{own.ratio_n:g} × {say_depth(slab.thick_mm, wish.units)} = at most {limit}, so {best[0]} by {best[1]} panels.",
         *(("The inside corner starts a crack: a cut runs out of it.",) if slab.inside else ())),
        rule_told("joints/apart", "joint-spacing"), under="too few", over="too many",
    )  # fmt: skip


def _slab(wish: Wish, dice: Dice) -> _Slab:
    thick = wish.thin(dice.pick((4, 5, 6)))
    long_mm, wide_mm = wish.long(dice.whole(20, 40)), wish.long(dice.whole(14, 28))
    inside = None
    if wish.level > 1:
        inside = (wish.long(round(long_mm / MM_PER_FT * dice.pick((0.4, 0.5, 0.6)))), wish.long(round(wide_mm / MM_PER_FT * dice.pick((0.4, 0.5, 0.6)))))  # fmt: skip
    return _Slab(long_mm, wide_mm, thick, inside)


def _outcome(
    key: tuple[int, int, str], one: JointsChecked, best: JointsChecked, slab: _Slab, wish: Wish
) -> Outcome:  # fmt: skip
    cuts = tuple(Shape("line", tuple(_at(slab, spot) for spot in line), "joint") for line in slab.cuts(*key))
    if one.cracks:
        kinds = sorted({crack.rule for crack in one.cracks})
        said = [SAYS[rule].format(limit=say_length(one.limit_mm, wish.units)) for rule in kinds]
        flags = tuple(Shape("dot", (_at(slab, crack.at),), "flag") for crack in one.cracks)
        return Outcome(len(one.cracks), f"It will crack: {'; '.join(said)}.", (*cuts, *flags))
    more = one.saw_mm - best.saw_mm
    if more < 1:
        return Outcome(0, "", cuts)
    return Outcome(max(1, math.ceil(more / CUT_MM)), f"{say_length(more, wish.units)} of cut more than it takes.", cuts)


def _deep(mm: float, needed: float, thick: float, wish: Wish) -> Outcome:
    if mm < needed - 0.01:
        return Outcome(1, f"Too shallow: it cracks where it likes. {say_depth(needed, wish.units)} at least.")
    if mm > thick / 2 + 0.01:
        return Outcome(1, "Over half the slab: nothing holds the two sides level.")
    return Outcome(0)


def _at(slab: _Slab, spot: XY) -> XY:
    s = min(500 / slab.long_mm, 270 / slab.wide_mm)
    return round(320 + (spot[0] - slab.long_mm / 2) * s, 1), round(190 - (spot[1] - slab.wide_mm / 2) * s, 1)


def _drawn(slab: _Slab, wish: Wish) -> tuple[Shape, ...]:
    rows = [Shape("area", tuple(_at(slab, spot) for spot in slab.ring), "slab")]
    low = _at(slab, (0, 0))[1] + 34
    left, right = _at(slab, (0, 0))[0], _at(slab, (slab.long_mm, 0))[0]
    rows.append(Shape("size", ((left, low), (right, low)), "thin", say_length(slab.long_mm, wish.units)))
    top = _at(slab, (0, slab.wide_mm))[1]
    rows.append(Shape("size", ((left - 34, low - 34), (left - 34, top)), "thin", say_length(slab.wide_mm, wish.units)))
    if slab.inside:
        x, y = slab.inside
        spot = _at(slab, slab.inside)
        rows.append(Shape("size", ((spot[0], top - 22), (left, top - 22)), "thin", say_length(x, wish.units)))
        rows.append(Shape("size", ((right + 30, low - 34), (right + 30, spot[1])), "thin", say_length(y, wish.units)))
    return tuple(rows)
