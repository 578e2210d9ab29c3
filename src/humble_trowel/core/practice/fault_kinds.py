"""What an inspector finds on a slab before the pour: each a place on the plan, a size with its rule, and whether it holds by the core."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass

from humble_trowel.core.embeds.bolts import BoltRules, checked
from humble_trowel.core.embeds.plates import Run
from humble_trowel.core.forms.span import board_span
from humble_trowel.core.geometry.pipes import least_fall
from humble_trowel.core.joints.check import JointRules
from humble_trowel.core.mix.durability import air_for, asked_by
from humble_trowel.core.plan.bars import bar_of
from humble_trowel.core.plan.local_rules import limit
from humble_trowel.core.practice.dice import Dice
from humble_trowel.core.practice.exercise import MM_PER_FT, MM_PER_IN, Wish
from humble_trowel.core.steel.laps import class_b_mm
from humble_trowel.core.units import say_depth, say_length

PSI_MPA = 0.00689475729


@dataclass(frozen=True)
class Found:
    """A thing on the plan. holds: by its rule; asked: what the rule asks. place: where it is drawn."""

    key: str
    text: str
    holds: bool
    asked: str
    source: str
    place: str


@dataclass(frozen=True)
class Draw:
    """bad: it shall not hold; close_share: how near to its limit it may lie."""

    wish: Wish
    dice: Dice
    bad: bool
    close_share: float

    def over(self, limit_value: float, step: float, most: float) -> float:
        """A value over a limit where it is bad, at most it else: in whole steps, up to `most` of the limit away."""
        away = limit_value * most * (0.15 + 0.85 * self.dice.share()) * (1 - 0.75 * self.close_share)
        value = limit_value + away if self.bad else limit_value - away * self.dice.share()
        steps = value / step
        whole = round(steps + 0.5) if self.bad else int(steps)
        return max(1, whole) * step

    def under(self, limit_value: float, step: float, most: float) -> float:
        """A value under a limit where it is bad, at least it else."""
        away = limit_value * most * (0.15 + 0.85 * self.dice.share()) * (1 - 0.75 * self.close_share)
        value = limit_value - away if self.bad else limit_value + away * self.dice.share()
        steps = value / step
        whole = int(steps - 1e-9) if self.bad else -int(-steps - 1 + 1e-9)
        return max(1, whole) * step

    @property
    def inch(self) -> float:
        return 5.0 if self.wish.metric else MM_PER_IN / 2

    @property
    def foot(self) -> float:
        return 100.0 if self.wish.metric else MM_PER_FT / 2

    def thin(self, mm: float) -> str:
        return say_depth(mm, self.wish.units)

    def long(self, mm: float) -> str:
        return say_length(mm, self.wish.units)

    def psi(self, psi: float) -> str:
        return f"{psi * PSI_MPA:.0f} MPa" if self.wish.metric else f"{psi:,.0f} psi"


def _lap(d: Draw) -> Found:
    bar, psi = bar_of(d.dice.pick(("12 mm", "16 mm") if d.wish.metric else ("#4", "#5"))), 3000.0
    need = class_b_mm(bar, psi)
    has = d.under(need, MM_PER_IN if not d.wish.metric else 10.0, 0.5)
    return Found("lap", f"{bar.name} bars lap {d.thin(has)}, concrete {d.psi(psi)}", has >= need - 0.1, f"{d.thin(need)} at least", "development", "edge")  # fmt: skip


def _bolt_rules(d: Draw) -> BoltRules:
    own = d.wish.ways.embeds
    return BoltRules(own.most_mm, own.end_min_mm, own.end_max_mm, 0.0, 1.0)


def _gap(d: Draw) -> Found:
    rules = _bolt_rules(d)
    gap, end = d.over(rules.most_mm, d.inch * 4, 0.3), (rules.end_min_mm + rules.end_max_mm) / 2
    broken = checked(Run(gap + 2 * end), rules, [end, end + gap])
    return Found("gap", f"Two bolts of a plate {d.long(gap)} apart", not broken, f"{d.long(rules.most_mm)} at most", "bolt-spacing", "west")  # fmt: skip


def _end(d: Draw) -> Found:
    rules = _bolt_rules(d)
    end = d.over(rules.end_max_mm, d.inch, 0.5)
    end = max(end, rules.end_min_mm + d.inch)
    broken = checked(Run(end + rules.most_mm), rules, [end, end + rules.most_mm - rules.end_max_mm / 2])
    return Found("end", f"First bolt {d.thin(end)} from the plate's end", not broken, f"{d.thin(rules.end_max_mm)} at most", "bolt-ends", "corner")  # fmt: skip


def _two(d: Draw) -> Found:
    rules = _bolt_rules(d)
    long = d.wish.thin(d.dice.whole(20, 34))
    stations = [long / 2] if d.bad else [rules.end_max_mm / 2 + 20, long - rules.end_max_mm / 2 - 20]
    count = len(stations)
    held = not any(one.rule == "A3" for one in checked(Run(long), rules, stations))
    return Found("two", f"A piece of plate {d.thin(long)} long with {count} {'bolt' if count == 1 else 'bolts'}", held, "two a piece", "bolt-two", "west")  # fmt: skip


def _apart(d: Draw) -> Found:
    thick = d.wish.thin(d.dice.pick((4, 5)))
    own = d.wish.ways.joints
    most = JointRules(own.ratio_n, own.cap_mm).limit_mm(thick)
    has = d.over(most, d.foot, 0.6)
    return Found("apart", f"Joints {d.long(has)} apart in {d.thin(thick)}", has <= most + 2, f"{d.long(most)} at most", "joint-spacing", "middle")  # fmt: skip


def _cut(d: Draw) -> Found:
    thick = d.wish.thin(d.dice.pick((5, 6, 7)))
    own = d.wish.ways.joints
    need = JointRules(depth_share=own.depth_share, depth_min_mm=own.depth_min_mm).needed_mm(thick)
    step = MM_PER_IN / 8 if not d.wish.metric else 2.0
    has = d.under(need, step, 0.5)
    return Found("cut", f"Saw set {d.thin(has)} deep for {d.thin(thick)}", has >= need - 0.1, f"{d.thin(need)} at least", "joint-depth", "middle")  # fmt: skip


def _stakes(d: Draw) -> Found:
    board = d.dice.pick([one for one in d.wish.ways.forms.boards if not one.bends])
    most = board_span(board.thick_mm, board.deep_mm, 0.0, wood=d.wish.ways.forms.wood).spacing_mm
    most = min(most, board.cap_mm)
    has = d.over(most, d.inch * 4, 0.6)
    return Found("stakes", f"Stakes {d.thin(has)} apart behind a {board.mark}", has <= most + 0.5, f"{d.thin(most)} at most", "span", "outside")  # fmt: skip


def _least(key: str, limit_key: str, text: str, source: str, place: str, most: float = 0.5) -> Callable[[Draw], Found]:
    """A size that a table of limits asks at least, as the county says where it does."""

    def made(d: Draw) -> Found:
        need = limit(d.wish.ways.local_rules, limit_key, d.wish.units).value
        has = d.under(need, d.inch, most)
        return Found(key, text.format(has=d.thin(has)), has >= need - 0.1, f"{d.thin(need)} at least", source, place)

    return made


def _fill(d: Draw) -> Found:
    kind, key = d.dice.pick((("earth", "fill-earth"), ("gravel", "fill-clean")))
    most = limit(d.wish.ways.local_rules, key, d.wish.units).value
    has = d.over(most, d.inch * 2, 0.5)
    return Found("fill", f"{d.thin(has)} of {kind} filled under the slab", has <= most + 0.1, f"{d.thin(most)} of {kind} at most", "fill-depth", "middle")  # fmt: skip


def _frost(d: Draw) -> Found:
    frost = d.wish.thin(d.dice.pick((18, 24, 30, 36)))
    has = d.under(frost, d.inch * 2, 0.5)
    return Found("frost", f"Edge {d.thin(has)} under the ground, no foam; frost goes {d.thin(frost)}", has >= frost - 0.1, f"{d.thin(frost)} at least", "frost", "outside")  # fmt: skip


def _water(d: Draw) -> Found:
    kind = d.dice.pick(("F2", "S1", "C2"))
    most = asked_by([kind]).water_share or 0.5
    has = round(most + (0.02 + 0.08 * d.dice.share() * (1 - d.close_share) if d.bad else -0.05 * d.dice.share()), 2)
    return Found("water", f"Mix with {has:.2f} of water to cement, exposure {kind}", has <= most + 1e-9, f"{most:.2f} at most", "exposure", "truck")  # fmt: skip


def _strong(d: Draw) -> Found:
    kind = d.dice.pick(("F1", "F2", "S1"))
    least = asked_by([kind]).least_psi
    step = 500.0
    has = least - step * d.dice.whole(1, 2) if d.bad else least + step * d.dice.whole(0, 1)
    return Found("strong", f"{d.psi(has)} ordered, exposure {kind}", has >= least - 1, f"{d.psi(least)} at least", "exposure", "truck")  # fmt: skip


def _air(d: Draw) -> Found:
    stone = MM_PER_IN * d.dice.pick((0.5, 0.75, 1.0))
    found = air_for(stone, "F2", 4500.0)
    assert found is not None
    has = (
        found.low_percent - 0.5 - 2 * d.dice.share() * (1 - d.close_share)
        if d.bad
        else found.target_percent + d.dice.share() - 0.5
    )
    has = round(has * 2) / 2
    holds = found.low_percent <= has <= found.high_percent
    return Found("air", f"{has:g} % air with {d.thin(stone)} stone where it freezes wet", holds, f"{found.low_percent:g} to {found.high_percent:g} %", "air", "truck")  # fmt: skip


def _fall(d: Draw) -> Found:
    size = MM_PER_IN * d.dice.pick((2, 3, 4))
    run = d.wish.long(d.dice.whole(10, 24))
    need = run * least_fall(size)
    step = MM_PER_IN / 4 if not d.wish.metric else 5.0
    has = d.under(need, step, 0.6)
    return Found("fall", f"A {d.thin(size)} drain falls {d.thin(has)} in {d.long(run)}", has >= need - 0.1, f"{d.thin(need)} at least", "drain-fall", "middle")  # fmt: skip


KINDS: Sequence[Callable[[Draw], Found]] = (
    _lap, _gap, _end, _two, _apart, _cut, _stakes, _fill, _frost, _water, _strong, _air, _fall,
    _least("bury", "bury", "Edge {has} into undisturbed ground", "bury", "outside"),
    _least("above", "above-grade", "Top of the slab {has} over the ground outside", "above-grade", "outside"),
    _least("slab", "least-slab", "Slab {has} thick where the hose was dragged", "least-slab", "middle"),
    _least("base", "base", "{has} of stone under a slab below grade", "base-below-grade", "middle"),
)  # fmt: skip
