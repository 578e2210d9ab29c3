"""The set-out sheet: corner coordinates from the baseline, two-tape swings, strings and profiles, offset stakes,
diagonals of the maximal rectangles, and the largest 3-4-5 of each corner."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations
from typing import Any

from typing_extensions import TypedDict

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import angle_at, distance_to_side, side_of
from humble_trowel.core.guard import answers
from humble_trowel.core.lines.baseline import Baseline, baseline_of
from humble_trowel.core.lines.outline import across_working
from humble_trowel.core.lines.rectangles import Rectangle, maximal_rectangles
from humble_trowel.core.lines.stakes import OffsetStake, offset_stakes
from humble_trowel.core.lines.strings import StringLine, string_lines
from humble_trowel.core.plan.document import Plan, corner_name, side_name
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import MM_PER_FT, Units, say_length
from humble_trowel.core.working import Working

FLAT_DEG = 30.0
SQUARE_RAD = 1e-4
SPOT_MM = 1.5
ENDS = TypedDict("ENDS", {"from": str, "to": str})


@dataclass(frozen=True)
class Corner:
    """x_mm along the baseline, y_mm to its left; plan_x_mm, plan_y_mm in the plan. inner_deg: the corner's inner angle."""

    corner: int
    name: str
    x_mm: float
    y_mm: float
    plan_x_mm: float
    plan_y_mm: float
    inner_deg: float
    x_text: str
    y_text: str


@dataclass(frozen=True)
class Swing:
    """A corner by two tapes. from_a, from_b: corners, -1 and -2 for the near and the far pin of a lot line.

    meet_deg: the angle at which the tapes cross; flat ones are weak.
    """

    corner: int
    name: str
    from_a: int
    from_b: int
    a_name: str
    b_name: str
    a_mm: float
    b_mm: float
    a_text: str
    b_text: str
    meet_deg: float
    weak: bool
    a: Working
    b: Working


@dataclass(frozen=True)
class Square:
    """A maximal rectangle: its sizes and the diagonal. ends: the names of both diagonals' ends; measures: to tape."""

    corners: list[XY]
    long_text: str
    short_text: str
    diagonal_mm: float
    diagonal_text: str
    diagonal: Working
    ends: list[ENDS]
    measures: list[dict[str, Any]]


@dataclass(frozen=True)
class ThreeFourFive:
    """The largest 3-4-5 of a square corner, or a checked chord of another. along_a: the leg on the side before it."""

    corner: int
    name: str
    square: bool
    along_a_mm: float
    along_b_mm: float
    across_mm: float
    words: str


@dataclass(frozen=True)
class SetOutSheet:
    baseline: str
    baseline_line: list[XY]
    baseline_text: str
    profile_mm: float
    profile_text: str
    base_margin_mm: float
    margin_text: str
    base_ring: list[XY]
    corners: list[Corner]
    swing: list[Swing]
    strings: list[StringLine]
    stakes: list[OffsetStake]
    squares: list[Square]
    three_four_five: list[ThreeFourFive]
    string_mm: float


@answers("The set-out sheet")
def set_out(plan: Plan, ways: JobWays) -> SetOutSheet:
    """The whole sheet of a plan with an outline, under the crew's ways."""
    ring = list(plan.outline or [])
    base = baseline_of(plan)
    profile = ways.set_out.profile_mm
    margin = plan.set_out.base_margin_mm if plan.set_out.base_margin_mm is not None else ways.set_out.base_margin_mm
    strings = string_lines(plan, base, profile)
    units = plan.units
    return SetOutSheet(
        baseline=base.name,
        baseline_line=[base.start, base.end],
        baseline_text=say_length(base.length_mm, units),
        profile_mm=profile,
        profile_text=say_length(profile, units),
        base_margin_mm=margin,
        margin_text=say_length(margin, units),
        base_ring=_grown(ring, margin),
        corners=[_corner(ring, i, base, units) for i in range(len(ring))],
        swing=swings(ring, base, units),
        strings=strings,
        stakes=offset_stakes(plan, base, profile),
        squares=[_square(ring, found, units) for found in maximal_rectangles(ring)],
        three_four_five=[_three_four_five(ring, i, units) for i in range(len(ring))],
        string_mm=math.fsum(line.length_mm for line in strings),
    )


def _grown(ring: Sequence[XY], margin_mm: float) -> list[XY]:
    from shapely.geometry import Polygon

    grown = Polygon(ring).buffer(margin_mm, join_style="mitre")
    if grown.geom_type != "Polygon":
        return []
    return [(round(x, 2), round(y, 2)) for x, y in list(grown.exterior.coords)[:-1]]


def _corner(ring: Sequence[XY], i: int, base: Baseline, units: Units) -> Corner:
    x, y = base.local(ring[i])
    deg = math.degrees(angle_at(ring, i))
    return Corner(
        i, corner_name(i), x, y, ring[i][0], ring[i][1], deg, say_length(x, units), say_length(y, units)
    )  # fmt: skip


def swings(ring: Sequence[XY], base: Baseline, units: Units) -> list[Swing]:
    """Two tapes for every corner that is no end of the baseline; where they cross flat, from corners set just before."""
    known: list[tuple[int, str, XY]] = [
        (base.corners[0] if base.corners else -1, base.end_names[0], base.start),
        (base.corners[1] if base.corners else -2, base.end_names[1], base.end),
    ]
    rows = []
    for i, spot in enumerate(ring):
        if base.corners and i in base.corners:
            continue
        pair = known[:2]
        if _meet_deg(pair[0][2], pair[1][2], spot) < FLAT_DEG:
            two = max(
                combinations([*known[:2], *known[2:][-10:]], 2), key=lambda two: _meet_deg(two[0][2], two[1][2], spot)
            )
            pair = [two[0], two[1]]
        a, b = pair
        meet = _meet_deg(a[2], b[2], spot)
        to_a, to_b = math.dist(a[2], spot), math.dist(b[2], spot)
        rows.append(
            Swing(
                corner=i, name=corner_name(i), from_a=a[0], from_b=b[0], a_name=a[1], b_name=b[1], a_mm=to_a,
                b_mm=to_b, a_text=say_length(to_a, units), b_text=say_length(to_b, units), meet_deg=meet,
                weak=meet < FLAT_DEG, a=across_working(f"{corner_name(i)} from {a[1]}", a[2], spot, units),
                b=across_working(f"{corner_name(i)} from {b[1]}", b[2], spot, units),
            )
        )  # fmt: skip
        known.append((i, corner_name(i), spot))
    return rows


def _meet_deg(a: XY, b: XY, spot: XY) -> float:
    """Angle between two tapes at a spot, 0 to 90: near 0 they cross too flat to trust."""
    one = math.atan2(a[1] - spot[1], a[0] - spot[0])
    other = math.atan2(b[1] - spot[1], b[0] - spot[0])
    turn = abs(math.degrees(math.remainder(one - other, math.tau)))
    return min(turn, 180 - turn)


def _square(ring: Sequence[XY], found: Rectangle, units: Units) -> Square:
    c = found.corners
    sizes = sorted((math.dist(c[0], c[1]), math.dist(c[1], c[2])), reverse=True)
    ends = [spot_of(ring, spot, units) for spot in c]
    names: list[ENDS] = [{"from": ends[a][0], "to": ends[b][0]} for a, b in ((0, 2), (1, 3))]
    measures = [
        {"from": ends[a][1], "to": ends[b][1]}
        for a, b in ((0, 2), (1, 3))
        if ends[a][1] is not None and ends[b][1] is not None
    ]
    return Square(
        list(c), say_length(sizes[0], units), say_length(sizes[1], units), found.diagonal_mm,
        say_length(found.diagonal_mm, units), across_working(f"Diagonal {ends[0][0]} to {ends[2][0]}", c[0], c[2], units),
        names, measures,
    )  # fmt: skip


def spot_of(ring: Sequence[XY], spot: XY, units: Units) -> tuple[str, int | dict[str, float] | None]:
    """(name, end of a measure) of a point on the outline: a corner, or a mark on a side; None inside."""
    for i, corner in enumerate(ring):
        if math.dist(corner, spot) <= SPOT_MM:
            return corner_name(i), i
    for i, a in enumerate(ring):
        b = ring[(i + 1) % len(ring)]
        if distance_to_side(spot, a, b) <= SPOT_MM:
            at = math.dist(a, spot)
            return f"{say_length(at, units)} along {side_name(i, len(ring))}", {"side": i, "at_mm": round(at, 3)}
    return "a point inside", None


def _three_four_five(ring: Sequence[XY], i: int, units: Units) -> ThreeFourFive:
    before, after = math.dist(ring[i - 1], ring[i]), math.dist(*side_of(ring, i))
    angle = angle_at(ring, i)
    name = corner_name(i)
    turned = abs(math.remainder(angle, math.tau))
    if abs(turned - math.pi / 2) > SQUARE_RAD:
        legs = min(before, after)
        across = math.sqrt(2 * legs * legs * (1 - math.cos(turned)))
        words = f"{say_length(legs, units)} along both sides, {say_length(across, units)} across."
        return ThreeFourFive(i, name, False, legs, legs, across, words)
    step = _step(before, after, units)
    three_before = math.floor(min(before / 3, after / 4) / step + 1e-9)
    four_before = math.floor(min(before / 4, after / 3) / step + 1e-9)
    k = max(three_before, four_before) * step
    a, b = (4 * k, 3 * k) if four_before >= three_before else (3 * k, 4 * k)
    words = f"{say_length(a, units)} back, {say_length(b, units)} on, {say_length(5 * k, units)} across."
    return ThreeFourFive(i, name, True, a, b, 5 * k, words)


def _step(before: float, after: float, units: Units) -> float:
    """What multiples of 3-4-5 go by: whole feet or 100 mm; inches or 10 mm where the sides are too short for that."""
    fits = max(min(before / 3, after / 4), min(before / 4, after / 3))
    if units == "mm":
        return 100.0 if fits >= 100 else 10.0 if fits >= 10 else fits
    return MM_PER_FT if fits >= MM_PER_FT else 25.4 if fits >= 25.4 else fits
