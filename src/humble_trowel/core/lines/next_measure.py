"""What to tape next: the measure that settles a loose shape, or tells which reading is wrong."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations
from typing import Any

import numpy as np

from humble_trowel.core.lines.adjust import Array, Fit, distance_of, offset_of
from humble_trowel.core.lines.records import Measure, Offset, SideMark, Tape
from humble_trowel.core.lines.taped_check import measure_name
from humble_trowel.core.units import Units


@dataclass(frozen=True)
class Advice:
    """A measure to take. name: in words. measure: as JSON, its reading not yet in it."""

    name: str
    measure: dict[str, Any]


def _candidates(design: Array, taken: Sequence[Measure]) -> list[Measure]:
    """Corner to corner that nobody taped, then from corners to the middle of a side, then offsets from a side."""
    n = len(design)
    have = {
        frozenset((m.start, m.to))
        for m in taken
        if isinstance(m, Tape) and isinstance(m.start, int) and isinstance(m.to, int)
    }
    pairs = [(a, b) for a, b in combinations(range(n), 2) if frozenset((a, b)) not in have]
    sides = [pair for pair in pairs if (pair[1] - pair[0]) in (1, n - 1)]
    others = [pair for pair in pairs if pair not in sides]
    rows: list[Measure] = [
        *(Tape.model_construct(kind="tape", start=a, to=b, mm=0.0) for a, b in (others + sides)[:400])
    ]
    for side in range(min(n, 20)):
        middle = float(np.hypot(*(design[(side + 1) % n] - design[side]))) / 2
        mark = SideMark(side=side, at_mm=round(middle))
        rows += [
            Tape.model_construct(kind="tape", start=corner, to=mark, mm=0.0)
            for corner in range(min(n, 20))
            if corner not in (side, (side + 1) % n)
        ]
    return rows


def _slope(row: Measure, x: Array, n: int) -> Array:
    return offset_of(x, n, row)[1] if isinstance(row, Offset) else distance_of(x, n, row.start, row.to)[1]


def settling(design: Array, taken: Sequence[Measure], found: Fit, units: Units) -> list[Advice]:
    """The fewest further measures that hold the shape, each the one that grips best. design: (n, 2) in the gauge."""
    n = len(design)
    x = design.ravel()
    rows = _candidates(design, taken)
    slopes = np.array([_slope(row, x, n) for row in rows])
    plain = np.array([isinstance(row, Tape) and isinstance(row.to, int) for row in rows])
    free = found.free
    advice: list[Advice] = []
    while free.shape[1] and len(advice) < found.missing:
        grip = np.linalg.norm(slopes @ free, axis=1) * np.where(plain, 1.0, 0.5)
        best = int(grip.argmax())
        if grip[best] < 1e-4:
            break
        advice.append(_said(rows[best], n, units))
        row = slopes[best] @ free
        _, _, vt = np.linalg.svd(row[None, :])
        free = free @ vt[1:].T
    return advice


def telling(design: Array, taken: Sequence[Measure], found: Fit, units: Units) -> list[Advice]:
    """Measures ordered by how well they let a blunder be told from the others, the best first."""
    n = len(design)
    x = found.laid_mm.ravel()
    rows = _candidates(design, taken)
    if not rows:
        return []
    base = np.array([_slope(row, x, n) for row in taken])
    scored = []
    for row in rows:
        a = _slope(row, x, n)
        reach = found.cov @ a
        own = float(a @ reach)
        joint = found.residual_cov + np.outer(base @ reach, base @ reach) / (1 + own)
        size = np.sqrt(np.maximum(np.diag(joint), 1e-12))
        shared = np.abs(joint) / np.outer(size, size)
        np.fill_diagonal(shared, 0)
        plain = isinstance(row, Tape) and isinstance(row.to, int)
        scored.append((float(shared.max()) - (0.02 if plain else 0.0), row))
    scored.sort(key=lambda item: item[0])
    return [_said(row, n, units) for _, row in scored[:3]]


def checking(design: Array, taken: Sequence[Measure], found: Fit, units: Units) -> list[Advice]:
    """Measures ordered by how many readings they check that nothing checks yet, plain and long ones first."""
    n = len(design)
    x = found.laid_mm.ravel()
    base = np.array([_slope(row, x, n) for row in taken])
    scored = []
    for row in _candidates(design, taken):
        a = _slope(row, x, n)
        reach = found.cov @ a
        spare = np.diag(found.residual_cov) + (base @ reach) ** 2 / (1 + float(a @ reach))
        plain = isinstance(row, Tape) and isinstance(row.to, int)
        scored.append((-int((spare > 1e-4).sum()), 0 if plain else 1, -float(spare.min()), row))
    scored.sort(key=lambda item: item[:3])
    return [_said(row, n, units) for *_, row in scored[:3]]


def first_of(rows: Sequence[Advice]) -> list[Advice]:
    """Only the best of them."""
    return list(rows[:1])


def _said(row: Measure, n: int, units: Units) -> Advice:
    data = row.model_dump(mode="json", by_alias=True)
    for key in ("mm", "off_mm"):
        data.pop(key, None)
    return Advice(measure_name(row, n, units), data)
