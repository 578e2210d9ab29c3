"""Boards for a form: deep enough, long enough, for the least money."""

from __future__ import annotations

import math
from itertools import combinations_with_replacement

from humble_trowel.core.forms.board_plan import plan_boards
from humble_trowel.core.forms.cover import Buy
from humble_trowel.core.forms.heights import choose
from humble_trowel.core.plan.form_ways import FormBoard
from humble_trowel.core.practice.dice import Dice
from humble_trowel.core.practice.exercise import Ask, Exercise, Option, Outcome, Part, Shape, Wish, rule_told
from humble_trowel.core.units import say_depth, say_length

Boards = tuple[str, tuple[float, ...]]


def boards(wish: Wish) -> Exercise:
    """A choice of boards for each side."""
    dice = wish.dice()
    kit = [board for board in wish.ways.forms.boards if not board.bends] or list(wish.ways.forms.boards)
    sides = [_Side(f"side{at + 1}", kit, dice, wish) for at in range(wish.level + 1)]
    asks = tuple(
        Ask(one.id, f"Side {at + 1}: {say_depth(one.high_mm, wish.units)} high, {say_length(one.long_mm, wish.units)} long", "one",
            tuple(Option(key, _named(boards, wish)) for key, boards in one.options.items()))
        for at, one in enumerate(sides)
    )  # fmt: skip
    parts = tuple(
        Part((one.id,), {key: one.outcome(boards, wish) for key, boards in one.options.items()}) for one in sides
    )
    return Exercise(
        wish.kind, wish.level, wish.seed, wish.units, "Which boards do you load?",
        (f"The concrete reaches the top of each board; the bottom may not hang in the air. A splice costs ${wish.ways.forms.splice_cents / 100:.2f}.",
         "Boards come in the yard's lengths and are cut on site."),
        _drawn(sides, wish), asks, parts,
        ("The least money that does it",), "${n} more than it takes", 8,
        {one.id: one.best for one in sides}, tuple(one.why(wish) for one in sides),
        rule_told("cutting/bound", "geometry", "First the depth: the shallowest board that reaches the height. Then the lengths: no plan buys for less than its own length, and a splice costs a cleat and its minutes."),
    )  # fmt: skip


class _Side:
    """A side of the form with what may be loaded for it."""

    def __init__(self, key: str, kit: list[FormBoard], dice: Dice, wish: Wish) -> None:
        self.id, self.kit = key, {board.mark: board for board in kit}
        self.ways = wish.ways.forms
        right = dice.pick(kit)
        shy = 0.0 if wish.level == 1 else wish.thin(dice.pick((0.0, 0.25, 0.5)))
        self.high_mm = right.deep_mm - shy
        stack = choose(self.high_mm, [(board.mark, board.deep_mm) for board in kit], "least-over")
        single = [board for board in kit if board.deep_mm >= self.high_mm - 0.5]
        self.mark = stack.boards[0] if stack and len(stack.boards) == 1 else min(single, key=lambda b: b.deep_mm).mark
        self.long_mm = wish.long(dice.whole(9, 18) if wish.level == 1 else dice.whole(9, 38))
        best = self._least(self.mark)
        self.options = self._mixed(dice, best)
        self.best = next(key for key, boards in self.options.items() if boards == (self.mark, best))

    def _buys(self, mark: str) -> list[Buy]:
        cents = self.kit[mark].price_per_m_cents
        return [Buy(mm, round(mm / 1000 * cents)) for mm in self.ways.stock_lengths_mm]

    def _least(self, mark: str) -> tuple[float, ...]:
        """The least money, a splice counted, by the core's cut plan."""
        found = plan_boards([self.long_mm], self._buys(mark), [], self.ways.kerf_mm, self.ways.min_piece_mm, self.ways.splice_cents)  # fmt: skip
        assert found is not None
        return tuple(sorted((board.mm for board in found.boards), reverse=True))

    def cents(self, boards: Boards) -> int:
        """What they cost, with their splices."""
        mark, lengths = boards
        per = self.kit[mark].price_per_m_cents
        return sum(round(mm / 1000 * per) for mm in lengths) + self.ways.splice_cents * (len(lengths) - 1)

    def does(self, boards: Boards) -> bool:
        """Whether they make the side."""
        mark, lengths = boards
        return self.kit[mark].deep_mm >= self.high_mm - 0.5 and sum(lengths) >= self.long_mm - 0.5

    def _mixed(self, dice: Dice, best: tuple[float, ...]) -> dict[str, Boards]:
        marks = sorted(self.kit, key=lambda mark: self.kit[mark].deep_mm)
        at = marks.index(self.mark)
        rows: list[Boards] = [(self.mark, best)]
        if at:
            rows.append((marks[at - 1], best))
        if at + 1 < len(marks):
            rows.append((marks[at + 1], best))
        stock = sorted(self.ways.stock_lengths_mm)
        covers = [
            tuple(sorted(row, reverse=True))
            for count in (1, 2, 3)
            for row in combinations_with_replacement(stock, count)
        ]
        dear = sorted((row for row in covers if sum(row) >= self.long_mm and row != best), key=lambda row: self.cents((self.mark, row)))  # fmt: skip
        short = sorted((row for row in covers if sum(row) < self.long_mm), key=sum)
        rows += [(self.mark, row) for row in dear[:1] + dear[3:4] + short[-1:] if row]
        kept = [row for at, row in enumerate(rows) if row not in rows[:at]]
        return {f"o{n}": row for n, row in enumerate(dice.mixed(kept))}

    def outcome(self, boards: Boards, wish: Wish) -> Outcome:
        """Over the best: what it costs more; where it does not do, both are paid."""
        best = self.cents(self.options[self.best])
        if not self.does(boards):
            lost = self.cents(boards)
            low = self.high_mm - self.kit[boards[0]].deep_mm
            words = f"{say_depth(low, wish.units)} short of the height: buy again." if low > 0.5 else ""
            words = words or f"{say_length(self.long_mm - sum(boards[1]), wish.units)} short of the side: buy again."
            return Outcome(max(1, math.ceil(lost / 100)), words)
        more = self.cents(boards) - best
        return Outcome(max(0, math.ceil(more / 100)), f"${more / 100:.2f} more than {_named(self.options[self.best], wish)}." if more > 0 else "")  # fmt: skip

    def why(self, wish: Wish) -> str:
        """How one comes to the best."""
        cents = self.cents(self.options[self.best])
        return f"{say_depth(self.high_mm, wish.units)} high takes a {self.mark}; {say_length(self.long_mm, wish.units)} is least dear as {_named(self.options[self.best], wish)}: ${cents / 100:.2f}."


def _named(boards: Boards, wish: Wish) -> str:
    return f"{boards[0]}, {' + '.join(say_length(mm, wish.units) for mm in boards[1])}"


def _drawn(sides: list[_Side], wish: Wish) -> tuple[Shape, ...]:
    rows: list[Shape] = []
    longest = max(one.long_mm for one in sides)
    tall = max(one.high_mm for one in sides)
    each = 340 / len(sides)
    for at, one in enumerate(sides):
        wide, base = 460 * one.long_mm / longest, 36 + each * (at + 1) - 26
        high = min(56.0, each - 56) * one.high_mm / tall
        left = 120.0
        rows += [
            Shape("area", ((left, base), (left + wide, base), (left + wide, base - high), (left, base - high)), "slab"),
            Shape("line", ((left - 14, base), (left + wide + 14, base)), "held"),
            Shape("word", ((14, base - high / 2 + 5),), "name", f"Side {at + 1}", "", "start"),
            Shape("size", ((left, base + 18), (left + wide, base + 18)), "thin", say_length(one.long_mm, wish.units)),
            Shape("word", ((left + wide + 8, base - high / 2 + 5),), "reading", say_depth(one.high_mm, wish.units), "", "start"),
        ]  # fmt: skip
    return tuple(rows)
