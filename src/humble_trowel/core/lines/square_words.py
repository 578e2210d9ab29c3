"""What squaring says: each corner's move, the acts in order, the doubt and the verdict, in a crew's words."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.lines.adjust import Fit, distance_of, offset_of
from humble_trowel.core.lines.next_measure import Advice
from humble_trowel.core.lines.records import Measure, Offset, Taped
from humble_trowel.core.lines.taped_check import measure_name
from humble_trowel.core.plan.document import corner_name, side_name
from humble_trowel.core.units import Units, round_half_away, say_depth


@dataclass(frozen=True)
class Move:
    """From where a corner stands to where it should stand. sure_mm: one standard deviation of where it stands."""

    corner: int
    dx_mm: float
    dy_mm: float
    distance_mm: float
    words: str
    inside: bool
    sure_mm: float


def step_mm(units: Units) -> float:
    """The finest step that is said: 1/16 in or 1 mm."""
    return 1.0 if units == "mm" else 25.4 / 16


def way_words(dx_mm: float, dy_mm: float, units: Units) -> str:
    """'1 7/8″ west', or '1″ west and 1/4″ south': plan directions, to 1/16 in or 1 mm; '' for nothing."""
    step = step_mm(units)
    bits: list[tuple[int, str]] = []
    for size, plus, minus in sorted(((dx_mm, "east", "west"), (dy_mm, "north", "south")), key=lambda b: -abs(b[0])):
        steps = round_half_away(size / step)
        hair = bits and abs(steps) == 1 and bits[0][0] >= 3  # a sixteenth aside of a larger move is not worth words
        if steps and not hair:
            bits.append((abs(steps), f"{say_depth(abs(steps) * step, units)} {plus if steps > 0 else minus}"))
    return " and ".join(words for _, words in bits)


def move_words(ring: Sequence[XY], corner: int, move: XY, held: bool, inside: bool, units: Units) -> str:
    """What one corner has to do, or that it stays."""
    name = corner_name(corner)
    if held:
        return f"{name} stays."
    words = way_words(*move, units)
    if not words:
        return f"{name} is right."
    if inside:
        return f"{name} is {words.replace(' and ', ', ')} of right, inside tolerance."
    return f"Move {name} {words}{_toward(ring, corner, move)}."


def _toward(ring: Sequence[XY], corner: int, move: XY) -> str:
    n, size = len(ring), math.hypot(*move)
    for other in ((corner + 1) % n, (corner - 1) % n):
        run = (ring[other][0] - ring[corner][0], ring[other][1] - ring[corner][1])
        share = (run[0] * move[0] + run[1] * move[1]) / (math.hypot(*run) * size)
        if abs(share) > 0.985:
            return f", {'toward' if share > 0 else 'away from'} {corner_name(other)}"
    return ""


def acts_of(moves: Sequence[Move], corners: int, units: Units, hold: tuple[int, int], alike_mm: float) -> list[str]:
    """Corners that move alike and stand side by side go as one. The held line first, then the largest."""
    open_moves = {move.corner: move for move in moves if not move.inside}
    acts: list[tuple[float, str]] = []
    done: set[int] = set()
    for move in moves:
        if move.corner in done or move.corner not in open_moves:
            continue
        run = [move.corner]
        for turn in (1, -1):
            at = (move.corner + turn) % corners
            while at in open_moves and at not in run and _alike(open_moves[at], move, alike_mm):
                run.insert(0 if turn < 0 else len(run), at)
                at = (at + turn) % corners
        done |= set(run)
        if len(run) == 1:
            acts.append((math.inf if move.corner == hold[1] else move.distance_mm, move.words))
        else:
            mean = [sum(getattr(open_moves[c], k) for c in run) / len(run) for k in ("dx_mm", "dy_mm")]
            line = (
                f"the boards {corner_name(run[0])} to {corner_name(run[-1])}"
                if len(run) > 2
                else f"the {side_name(run[0], corners)} board"
            )
            acts.append((move.distance_mm, f"Rack {line} {way_words(mean[0], mean[1], units)}."))
    return [words for _, words in sorted(acts, key=lambda act: -act[0])]


def _alike(one: Move, other: Move, step_mm: float) -> bool:
    return abs(one.dx_mm - other.dx_mm) <= step_mm and abs(one.dy_mm - other.dy_mm) <= step_mm


def doubt_of(
    used: Fit,
    left_out: int | None,
    taped: Taped,
    blunder: bool,
    advice: Sequence[Advice],
    corners: int,
    units: Units,
) -> str:
    """What cannot be told from these readings, and what would tell it; empty where nothing is in doubt."""
    if used.missing:
        names = ", ".join(row.name for row in advice)
        return (
            f"Not settled: {used.missing} more {'measure' if used.missing == 1 else 'measures'} needed. Tape {names}."
        )
    if left_out is not None:
        alone = fit_of_one(taped.measures[left_out], used, corners)
        long = "long" if alone > 0 else "short"
        name = measure_name(taped.measures[left_out], corners, units)
        more = " The rest still do not fit together." if blunder else ""
        return f"{name} reads {say_depth(abs(alone), units)} {long} against the others. It was left out. Tape it again.{more}"
    if blunder:
        more = f" Or take {advice[0].name}: that tells." if advice else ""
        return f"One of these {len(taped.measures)} readings is wrong, and they cannot say which. Tape them all again.{more}"
    alone_count = int((used.leverage > 1 - 1e-6).sum())
    if used.redundancy > 0 and alone_count and advice:
        which = "Nothing checks 1 reading" if alone_count == 1 else f"Nothing checks {alone_count} of these readings"
        return f"{which}: a slip there would show as a move. Take {advice[0].name} as well."
    if used.redundancy == 0:
        return f"Nothing checks this yet. {'Take ' + advice[0].name + ' as well.' if advice else ''}".strip()
    return ""


def fit_of_one(measure: Measure, found: Fit, corners: int) -> float:
    """How much a measure that was left out reads over the shape of the others, mm."""
    x = found.laid_mm.ravel()
    if isinstance(measure, Offset):
        return measure.off_mm - offset_of(x, corners, measure)[0]
    return measure.mm - distance_of(x, corners, measure.start, measure.to)[0]


def verdict_of(
    determined: bool,
    inside: bool,
    moves: Sequence[Move],
    advice: Sequence[Advice],
    blunder: bool,
    tolerance_mm: float,
    units: Units,
) -> str:
    """One line in the largest type."""
    near = say_depth(tolerance_mm, units)
    if not determined:
        return f"Not settled. Tape {advice[0].name}." if advice else "Not settled yet."
    if blunder:
        return "The readings do not fit together."
    if inside:
        return f"Square, inside {near}."
    worst = max(moves, key=lambda move: move.distance_mm)
    return f"Out {say_depth(worst.distance_mm, units)} at {corner_name(worst.corner)}."
