"""Square it: taped sides, diagonals and offsets in; which corner to move, toward what and how far out.

Rank and outlier test as in the handbook: the suspect is the largest standardized residual |v| / (sigma sqrt(1 - h))
over 3 where at least two readings are spare and no other reading could be blamed as well. Moves and misfit are
taken after the suspect is left out.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

import numpy as np

from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.polygon import XY, sides_mm, signed_area_m2
from humble_trowel.core.lines.adjust import Array, Fit, fit
from humble_trowel.core.lines.next_measure import Advice, first_of, settling, telling
from humble_trowel.core.lines.taped_check import check_taped, measure_name
from humble_trowel.core.plan.document import corner_name, side_name
from humble_trowel.core.plan.records import Measure, Offset, Taped
from humble_trowel.core.units import Units, round_half_away, say_depth

SUSPECT_OVER = 3.0
SAME_BLAME = 0.9999


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


@dataclass(frozen=True)
class Residual:
    """off_mm: the shape less the reading. standard: |v| over what it should scatter; None where nothing checks it."""

    name: str
    read_mm: float
    off_mm: float
    standard: float | None
    text: str


@dataclass(frozen=True)
class Squared:
    """The answer of one round. laid_mm: corners as laid, in the plan's axes, None where not settled.

    acts: what to do, the largest first. misfit_mm: root mean square of the residuals. doubt: what cannot be told.
    """

    determined: bool
    inside: bool
    verdict: str
    acts: list[str]
    doubt: str
    misfit_mm: float
    redundancy: int
    sigma0: float | None
    suspect: Measure | None
    suspect_name: str
    moves: list[Move]
    residuals: list[Residual]
    laid_mm: list[XY | None]
    missing: int
    advice: list[Advice]


def square(
    ring: Sequence[XY], taped: Taped, units: Units, *, sigma_mm: float = 1.5, tolerance_mm: float = 3.175
) -> Squared:
    """Solve one round of measures against the outline as drawn.

    ring: corners in mm. sigma_mm: the tape's accuracy. tolerance_mm: the crew's. Raises InputError with a path for
    readings that cannot be.
    """
    lengths = sides_mm(ring)
    check_taped(len(ring), lengths, taped, units, sigma_mm)
    design, angle = _in_gauge(ring, taped.hold)
    whole = fit(design, taped.hold, taped.measures)
    _not_folded(ring, whole)
    left_out = _suspect(whole, sigma_mm)
    measures = [m for row, m in enumerate(taped.measures) if row != left_out]
    used = whole if left_out is None else fit(design, taped.hold, measures)
    moves = _moves(ring, taped.hold, design, used, angle, units, sigma_mm, tolerance_mm)
    misfit = math.sqrt(float(used.v_mm @ used.v_mm) / max(1, len(measures)))
    suspect = None if left_out is None else taped.measures[left_out]
    sigma0 = math.sqrt(float(used.v_mm @ used.v_mm) / used.redundancy) / sigma_mm if used.redundancy > 0 else None
    blunder = left_out is None and sigma0 is not None and sigma0 > SUSPECT_OVER
    advice = _advice(design, taped, used, blunder, units)
    inside = used.missing == 0 and not blunder and all(move.inside for move in moves)
    answer = Squared(
        determined=used.missing == 0,
        inside=inside,
        verdict="",
        acts=[] if blunder else _acts(moves, len(ring), units, taped.hold, tolerance_mm),
        doubt=_doubt(whole, used, left_out, taped, blunder, advice, len(ring), units),
        misfit_mm=misfit,
        redundancy=used.redundancy,
        sigma0=sigma0,
        suspect=suspect,
        suspect_name="" if suspect is None else measure_name(suspect, len(ring), units),
        moves=moves,
        residuals=_residuals(whole if left_out is None else used, measures, len(ring), sigma_mm, units),
        laid_mm=_laid(ring, taped.hold, used, angle),
        missing=used.missing,
        advice=advice,
    )
    return Squared(**{**answer.__dict__, "verdict": _verdict(answer, blunder, tolerance_mm, units)})


def _in_gauge(ring: Sequence[XY], hold: tuple[int, int]) -> tuple[Array, float]:
    """(corners with the first held at 0, 0 and the second on +x; the angle of that line in the plan, radians)."""
    points = np.asarray(ring, dtype=float)
    run = points[hold[1]] - points[hold[0]]
    angle = math.atan2(run[1], run[0])
    return (points - points[hold[0]]) @ _turn(angle).T, angle


def _turn(angle: float) -> Array:
    """Matrix that turns plan axes into the gauge's, and its transpose back."""
    c, s = math.cos(angle), math.sin(angle)
    return np.array([[c, s], [-s, c]])


def _not_folded(ring: Sequence[XY], found: Fit) -> None:
    if found.missing:
        return
    laid = [(float(x), float(y)) for x, y in found.laid_mm]
    if signed_area_m2(laid) * signed_area_m2(list(ring)) <= 0:
        raise InputError("These readings turn the shape inside out. Check them against the corners' letters.")


def _suspect(found: Fit, sigma_mm: float) -> int | None:
    """Row of the one measure that disagrees with the others, None where there is none or it cannot be told."""
    if found.redundancy < 2:
        return None
    spare = np.sqrt(np.maximum(1 - found.leverage, 0))
    checked = spare > 1e-4
    if not checked.any():
        return None
    standard = np.where(checked, np.abs(found.v_mm) / (sigma_mm * np.where(checked, spare, 1)), 0)
    worst = int(standard.argmax())
    if standard[worst] <= SUSPECT_OVER:
        return None
    shared = np.abs(found.residual_cov[worst]) / (np.where(checked, spare, 1) * spare[worst])
    shared[worst] = 0
    return None if (shared[checked] > SAME_BLAME).any() else worst


def _moves(
    ring: Sequence[XY],
    hold: tuple[int, int],
    design: Array,
    found: Fit,
    angle: float,
    units: Units,
    sigma_mm: float,
    tolerance_mm: float,
) -> list[Move]:
    loose = np.abs(found.free).sum(axis=1).reshape(-1, 2).sum(axis=1) > 1e-6
    moves = []
    for corner, (dx, dy) in enumerate((design - found.laid_mm) @ _turn(angle)):
        if loose[corner]:
            continue
        spread = found.cov[2 * corner, 2 * corner] + found.cov[2 * corner + 1, 2 * corner + 1]
        size = math.hypot(dx, dy)
        inside = size <= tolerance_mm + 1e-9
        words = _move_words(ring, corner, (float(dx), float(dy)), corner == hold[0], inside, units)
        moves.append(Move(corner, float(dx), float(dy), size, words, inside, sigma_mm * math.sqrt(max(spread, 0))))
    return moves


def _step_mm(units: Units) -> float:
    return 1.0 if units == "mm" else 25.4 / 16


def way_words(dx_mm: float, dy_mm: float, units: Units) -> str:
    """'1 7/8″ west', or '1″ west and 1/4″ south': plan directions, to 1/16 in or 1 mm; '' for nothing."""
    step = _step_mm(units)
    bits: list[tuple[int, str]] = []
    for size, plus, minus in sorted(((dx_mm, "east", "west"), (dy_mm, "north", "south")), key=lambda b: -abs(b[0])):
        steps = round_half_away(size / step)
        hair = bits and abs(steps) == 1 and bits[0][0] >= 3  # a sixteenth aside of a larger move is not worth words
        if steps and not hair:
            bits.append((abs(steps), f"{say_depth(abs(steps) * step, units)} {plus if steps > 0 else minus}"))
    return " and ".join(words for _, words in bits)


def _move_words(ring: Sequence[XY], corner: int, move: XY, held: bool, inside: bool, units: Units) -> str:
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


def _acts(moves: Sequence[Move], corners: int, units: Units, hold: tuple[int, int], alike_mm: float) -> list[str]:
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


def _residuals(found: Fit, measures: Sequence[Measure], corners: int, sigma_mm: float, units: Units) -> list[Residual]:
    rows = []
    for measure, v, leverage in zip(measures, found.v_mm, found.leverage, strict=True):
        spare = 1 - leverage
        standard = abs(float(v)) / (sigma_mm * math.sqrt(spare)) if spare > 1e-8 else None
        read = measure.off_mm if isinstance(measure, Offset) else measure.mm
        off = say_depth(abs(float(v)), units)
        text = f"{off} {'short' if v > 0 else 'long'}" if round_half_away(abs(v) / _step_mm(units)) else "agrees"
        rows.append(Residual(measure_name(measure, corners, units), read, float(v), standard, text))
    return rows


def _laid(ring: Sequence[XY], hold: tuple[int, int], found: Fit, angle: float) -> list[XY | None]:
    loose = np.abs(found.free).sum(axis=1).reshape(-1, 2).sum(axis=1) > 1e-6
    home = np.asarray(ring[hold[0]])
    points = found.laid_mm @ _turn(angle) + home
    return [None if loose[i] else (float(p[0]), float(p[1])) for i, p in enumerate(points)]


def _advice(design: Array, taped: Taped, found: Fit, blunder: bool, units: Units) -> list[Advice]:
    if found.missing:
        return settling(design, taped.measures, found, units)
    if blunder or found.redundancy == 0:
        return first_of(telling(design, taped.measures, found, units))
    return []


def _doubt(
    whole: Fit,
    used: Fit,
    left_out: int | None,
    taped: Taped,
    blunder: bool,
    advice: Sequence[Advice],
    corners: int,
    units: Units,
) -> str:
    if used.missing:
        names = ", ".join(row.name for row in advice)
        return (
            f"Not settled: {used.missing} more {'measure' if used.missing == 1 else 'measures'} needed. Tape {names}."
        )
    if left_out is not None:
        alone = fit_of_one(taped.measures[left_out], used, corners)
        long = "long" if alone > 0 else "short"
        name = measure_name(taped.measures[left_out], corners, units)
        return f"{name} reads {say_depth(abs(alone), units)} {long} against the others. It was left out. Tape it again."
    if blunder:
        more = f" Or take {advice[0].name}: that tells." if advice else ""
        return f"One of these {len(taped.measures)} readings is wrong, and they cannot say which. Tape them all again.{more}"
    if used.redundancy == 0:
        return f"Nothing checks this yet. {'Take ' + advice[0].name + ' as well.' if advice else ''}".strip()
    return ""


def fit_of_one(measure: Measure, found: Fit, corners: int) -> float:
    """How much a measure that was left out reads over the shape of the others, mm."""
    from humble_trowel.core.lines.adjust import distance_of, offset_of

    x = found.laid_mm.ravel()
    if isinstance(measure, Offset):
        return measure.off_mm - offset_of(x, corners, measure)[0]
    return measure.mm - distance_of(x, corners, measure.start, measure.to)[0]


def _verdict(answer: Squared, blunder: bool, tolerance_mm: float, units: Units) -> str:
    near = say_depth(tolerance_mm, units)
    if not answer.determined:
        return f"Not settled. Tape {answer.advice[0].name}." if answer.advice else "Not settled yet."
    if blunder:
        return "The readings do not fit together."
    if answer.inside:
        return f"Square, inside {near}."
    worst = max(answer.moves, key=lambda move: move.distance_mm)
    return f"Out {say_depth(worst.distance_mm, units)} at {corner_name(worst.corner)}."


def squared_json(answer: Squared) -> dict[str, Any]:
    """The fixed names of `square --json`."""
    return {
        "moves": [
            {"corner": m.corner, "dx_mm": m.dx_mm, "dy_mm": m.dy_mm, "distance_mm": m.distance_mm, "words": m.words}
            for m in answer.moves
        ],
        "misfit_mm": answer.misfit_mm,
        "suspect": None if answer.suspect is None else answer.suspect.model_dump(mode="json", by_alias=True),
        "determined": answer.determined,
        "inside": answer.inside,
        "verdict": answer.verdict,
        "acts": answer.acts,
        "doubt": answer.doubt,
        "missing": answer.missing,
        "next": [{"words": row.name, "measure": row.measure} for row in answer.advice],
        "laid_mm": answer.laid_mm,
        "residuals_mm": [{"name": r.name, "read_mm": r.read_mm, "off_mm": r.off_mm} for r in answer.residuals],
    }
