"""Square it: taped sides, diagonals and offsets in; which corner to move, toward what and how far out.

Rank and outlier test as in the handbook: the suspect is the largest standardized residual |v| / (sigma sqrt(1 - h))
over 3 where at least two readings are spare and no other reading could be blamed as well. Moves and misfit are
taken after the suspect is left out.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.polygon import XY, sides_mm, signed_area_m2
from humble_trowel.core.lines.adjust import Array, Fit, fit
from humble_trowel.core.lines.next_measure import Advice, checking, first_of, settling, telling
from humble_trowel.core.lines.records import Measure, Offset, Taped
from humble_trowel.core.lines.square_words import Move, acts_of, doubt_of, move_words, step_mm, verdict_of
from humble_trowel.core.lines.taped_check import check_taped, measure_name
from humble_trowel.core.units import Units, round_half_away, say_depth

SUSPECT_OVER = 3.0
UNCHECKED = 1 - 1e-6  # leverage of a reading that no other can contradict
SAME_BLAME = 0.9999


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
    ring: Sequence[XY], taped: Taped, units: Units, *, sigma_mm: float = 1.5, tolerance_mm: float = 3.175,
    distrust: bool = True,
) -> Squared:  # fmt: skip
    """Solve one round of measures against the outline as drawn.

    ring: corners in mm. sigma_mm: the tape's accuracy. tolerance_mm: the crew's.
    distrust: leave the suspect out. Raises InputError with a path for
    readings that cannot be.
    """
    lengths = sides_mm(ring)
    check_taped(len(ring), lengths, taped, units, sigma_mm)
    design, angle = _in_gauge(ring, taped.hold)
    whole = fit(design, taped.hold, taped.measures)
    _not_folded(ring, whole)
    left_out = _suspect(whole, sigma_mm) if distrust else None
    measures = [m for row, m in enumerate(taped.measures) if row != left_out]
    used = whole if left_out is None else fit(design, taped.hold, measures)
    moves = _moves(ring, taped.hold[0], design, used, angle, units, (sigma_mm, tolerance_mm))
    misfit = math.sqrt(float(used.v_mm @ used.v_mm) / max(1, len(measures)))
    suspect = None if left_out is None else taped.measures[left_out]
    sigma0 = math.sqrt(float(used.v_mm @ used.v_mm) / used.redundancy) / sigma_mm if used.redundancy > 0 else None
    blunder = sigma0 is not None and sigma0 > SUSPECT_OVER
    advice = _advice(design, measures, used, blunder, units)
    inside = used.missing == 0 and not blunder and all(move.inside for move in moves)
    answer = Squared(
        determined=used.missing == 0,
        inside=inside,
        verdict="",
        acts=[] if blunder else acts_of(moves, len(ring), units, taped.hold, tolerance_mm),
        doubt=doubt_of(used, left_out, taped, blunder, advice, len(ring), units),
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
    return Squared(
        **{
            **answer.__dict__,
            "verdict": verdict_of(answer.determined, inside, moves, advice, blunder, tolerance_mm, units),
        }
    )


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
    ring: Sequence[XY], held: int, design: Array, found: Fit, angle: float, units: Units, limits: tuple[float, float]
) -> list[Move]:
    """held: the corner that stays. design: the corners in the axes of the fit. limits: the tape's accuracy and the crew's tolerance, mm."""
    sigma_mm, tolerance_mm = limits
    loose = np.abs(found.free).sum(axis=1).reshape(-1, 2).sum(axis=1) > 1e-6
    moves = []
    for corner, (dx, dy) in enumerate((design - found.laid_mm) @ _turn(angle)):
        if loose[corner]:
            continue
        spread = found.cov[2 * corner, 2 * corner] + found.cov[2 * corner + 1, 2 * corner + 1]
        size = math.hypot(dx, dy)
        inside = size <= tolerance_mm + 1e-9
        words = move_words(ring, corner, (float(dx), float(dy)), corner == held, inside, units)
        moves.append(Move(corner, float(dx), float(dy), size, words, inside, sigma_mm * math.sqrt(max(spread, 0))))
    return moves


def _residuals(found: Fit, measures: Sequence[Measure], corners: int, sigma_mm: float, units: Units) -> list[Residual]:
    rows = []
    for measure, v, leverage in zip(measures, found.v_mm, found.leverage, strict=True):
        spare = 1 - leverage
        standard = abs(float(v)) / (sigma_mm * math.sqrt(spare)) if spare > 1 - UNCHECKED else None
        read = measure.off_mm if isinstance(measure, Offset) else measure.mm
        off = say_depth(abs(float(v)), units)
        text = f"{off} {'short' if v > 0 else 'long'}" if round_half_away(abs(v) / step_mm(units)) else "agrees"
        text = "unchecked" if standard is None else text
        rows.append(Residual(measure_name(measure, corners, units), read, float(v), standard, text))
    return rows


def _laid(ring: Sequence[XY], hold: tuple[int, int], found: Fit, angle: float) -> list[XY | None]:
    loose = np.abs(found.free).sum(axis=1).reshape(-1, 2).sum(axis=1) > 1e-6
    home = np.asarray(ring[hold[0]])
    points = found.laid_mm @ _turn(angle) + home
    return [None if loose[i] else (float(p[0]), float(p[1])) for i, p in enumerate(points)]


def _advice(design: Array, taken: Sequence[Measure], found: Fit, blunder: bool, units: Units) -> list[Advice]:
    if found.missing:
        return settling(design, taken, found, units)
    if not blunder and (found.leverage > UNCHECKED).any():
        return first_of(checking(design, taken, found, units))
    if blunder or found.redundancy == 0:
        return first_of(telling(design, taken, found, units))
    return []
