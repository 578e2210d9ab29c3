"""Pads: the spots of every pad line, and of the lines where two falls meet, that somebody brings to height with the rod. Lengths mm."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.screed.borders import Stretch

SAME_MM = 3.0


@dataclass(frozen=True)
class Pad:
    """A spot to bring to height. of, at_mm: its line, and how far along it from its start; name: a2. level_mm: of the top there."""

    of: str
    at_mm: float
    name: str
    spot: XY
    level_mm: float

    @property
    def key(self) -> str:
        """Its line and station."""
        return f"{self.of}/{self.at_mm:.0f}"


@dataclass(frozen=True)
class PadRun:
    """A line of pads. letter: what it is called. pads: in the order along it."""

    key: str
    letter: str
    start: XY
    end: XY
    pads: list[Pad]

    @property
    def length_mm(self) -> float:
        """How long it is."""
        return math.dist(self.start, self.end)


def letter_of(index: int) -> str:
    """a, b … z, aa, ab …"""
    name = ""
    index += 1
    while index:
        index, rest = divmod(index - 1, 26)
        name = chr(97 + rest) + name
    return name


Piece = tuple[XY, XY, float, float]  # a stretch of a line, with the level of the top at its start and end


def pad_runs(plan: Plan, borders: Sequence[Sequence[tuple[Stretch, float, float]]], most_mm: float) -> list[PadRun]:
    """Every line with its pads, as close as most_mm. borders: of every face, each stretch with the level at its start and end."""
    pieces: dict[str, list[Piece]] = {}
    for border in borders:
        for row, start, end in border:
            if row.on in ("pad", "hip"):
                pieces.setdefault(row.key, []).append((row.start, row.end, start, end))
    drawn = {row.id: (row.start, row.end) for row in plan.screed.pads}
    laid = [key for key in drawn if key in pieces]
    met = sorted(key for key in pieces if key not in drawn)
    # lines that somebody lays are a, b, c; where falls meet they are z, y, x, so that neither moves the other's letters
    letters = [letter_of(at) for at in range(len(laid))] + [
        letter_of(25 - at if at < 26 else at) for at in range(len(met))
    ]
    runs: list[PadRun] = []
    for key, letter in zip([*laid, *met], letters, strict=True):
        known = [pad for run in runs for pad in run.pads]
        runs.append(_run(key, letter, drawn.get(key) or _whole(pieces[key]), pieces[key], most_mm, known))
    return runs


def pads_once(runs: Sequence[PadRun]) -> list[Pad]:
    """Every pad once, also where lines meet on it."""
    return list({pad.key: pad for run in runs for pad in run.pads}.values())


def _whole(pieces: Sequence[Piece]) -> tuple[XY, XY]:
    spots = [spot for piece in pieces for spot in piece[:2]]
    return min(spots), max(spots)


def _run(
    key: str, letter: str, ends: tuple[XY, XY], pieces: Sequence[Piece], most_mm: float, known: Sequence[Pad]
) -> PadRun:
    """A line with its pads. known: those of lines before it, one of which may lie on this one too."""
    start, end = ends
    size = math.dist(start, end) or 1.0
    ux, uy = (end[0] - start[0]) / size, (end[1] - start[1]) / size
    stations: list[tuple[float, float]] = []
    for a, b, low, high in pieces:
        s, t = ((spot[0] - start[0]) * ux + (spot[1] - start[1]) * uy for spot in (a, b))
        count = max(1, math.ceil(abs(t - s) / most_mm - 1e-6))
        for i in range(count + 1):
            at = s + (t - s) * i / count
            if all(abs(at - had) > SAME_MM for had, _ in stations):
                stations.append((at, low + (high - low) * i / count))
    pads: list[Pad] = []
    own = 0
    for at, level in sorted(stations):
        spot = start[0] + ux * at, start[1] + uy * at
        met = next((pad for pad in known if math.dist(pad.spot, spot) < SAME_MM), None)
        own += met is None
        pads.append(met or Pad(key, round(at, 1) + 0.0, f"{letter}{own}", spot, level))
    return PadRun(key, letter, start, end, pads)
