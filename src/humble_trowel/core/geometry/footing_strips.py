"""A strip footing as prisms: along its centreline, stepped where it is said, each between a bottom and a top.

Rule: the strip is the centreline swept by its width, mitred at bends (mitre limit 4 half widths, then bevelled), with
flat ends. At a step the upper strip comes down on the lower one: over a length of its own thickness, on the lower side of
the step, there is concrete from the lower top to the upper top.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

import shapely
from shapely.geometry import LineString, Polygon
from shapely.ops import substring

from humble_trowel.core.geometry.beams import is_closed
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.footing_parts import Footing


@dataclass(frozen=True)
class Piece:
    """A stretch of one level. start_mm, end_mm: along the centreline; of a closed footing the last may run on past its
    start. path: its centreline, mm. closed: it comes back to where it began."""

    start_mm: float
    end_mm: float
    top_mm: float
    path: tuple[XY, ...]
    closed: bool = False


@dataclass(frozen=True)
class Prism:
    """Concrete between two levels over a region of the plan, mm."""

    region: Polygon
    bottom_mm: float
    top_mm: float


def length_mm(footing: Footing) -> float:
    """Length of the centreline."""
    return math.fsum(math.dist(a, b) for a, b in pairwise(footing.path))


def pieces(footing: Footing) -> list[Piece]:
    """Its stretches of one level, in the order of the centreline; of a closed footing the last goes on through its start."""
    size, closed = length_mm(footing), is_closed(footing.path)
    steps = sorted(footing.steps, key=lambda step: step.at_mm)
    if not steps:
        return [Piece(0.0, size, footing.top_mm, tuple(footing.path), closed)]
    line = LineString(footing.path)
    top, start, found = footing.top_mm, 0.0, []
    for step in steps:
        found.append(Piece(start, step.at_mm, top, _between(line, start, step.at_mm)))
        top, start = top + step.rise_mm, step.at_mm
    last = _between(line, start, size)
    if not closed:
        return [*found, Piece(start, size, top, last)]
    first = found.pop(0)
    return [*found, Piece(start, size + first.end_mm, first.top_mm, (*last, *first.path[1:]))]


def _between(line: LineString, start: float, end: float) -> tuple[XY, ...]:
    return tuple((float(x), float(y)) for x, y in substring(line, start, end).coords)


def swept(path: Sequence[XY], width_mm: float, *, closed: bool = False) -> Polygon:
    """The region of a strip along a centreline."""
    line = shapely.LinearRing(path) if closed else LineString(path)
    return line.buffer(width_mm / 2, cap_style="flat", join_style="mitre", mitre_limit=4)


def prisms(footing: Footing, width_mm: float | None = None) -> list[Prism]:
    """The footing as concrete, as wide as planned or as `width_mm` says. Prisms of one footing may overlap."""
    width, thick = width_mm or footing.width_mm, footing.thickness_mm
    rows = [Prism(swept(p.path, width, closed=p.closed), p.top_mm - thick, p.top_mm) for p in pieces(footing)]
    for leg in legs(footing):
        rows.append(Prism(swept(leg.path, width), leg.low_mm, leg.high_mm))
    return rows


@dataclass(frozen=True)
class Leg:
    """Where a step comes down: the stretch on its lower side, and the two tops."""

    path: tuple[XY, ...]
    low_mm: float
    high_mm: float


def legs(footing: Footing) -> list[Leg]:
    """The legs of its steps, in the order of the centreline."""
    line, top, found = LineString(footing.path), footing.top_mm, []
    for step in sorted(footing.steps, key=lambda step: step.at_mm):
        low, high = sorted((top, top + step.rise_mm))
        start = step.at_mm - (footing.thickness_mm if step.rise_mm > 0 else 0.0)
        found.append(Leg(_between(line, start, start + footing.thickness_mm), low, high))
        top += step.rise_mm
    return found
