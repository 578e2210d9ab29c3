"""A walk round a slab: corners from call-outs, where it misses, and what would close it."""

from __future__ import annotations

import math
import re
from dataclasses import dataclass

from humble_trowel.core.calls.call_outs import DIRECTIONS, SAID, Choice, Heard, Leg, call_of, hear
from humble_trowel.core.errors import CallError
from humble_trowel.core.plan.document import corner_name
from humble_trowel.core.units import Units, parse_length, say_length

XY = tuple[float, float]
CLOSE_MM = 1.0


@dataclass(frozen=True)
class Walked:
    """points: the start and every corner reached. miss: end minus start in mm. closed: the walk is back at its start.

    verdict: one sentence. fixes: whole texts that would close it.
    """

    heard: Heard
    points: list[XY]
    miss_mm: XY
    closed: bool
    verdict: str
    fixes: list[Choice]


def walk_points(legs: list[Leg], start: XY) -> list[XY]:
    """Start and the end of every leg."""
    points = [start]
    for leg in legs:
        points.append((points[-1][0] + leg.dx_mm, points[-1][1] + leg.dy_mm))
    return points


def walk(text: str, units: Units, start: XY = (0.0, 0.0)) -> Walked:
    """Hear a text and walk it from `start`; says how far it misses its start and offers what would close it."""
    heard = hear(text, units)
    points = walk_points(heard.legs, start)
    mx, my = points[-1][0] - start[0], points[-1][1] - start[1]
    closed = len(heard.legs) >= 3 and math.hypot(mx, my) <= CLOSE_MM
    verdict, fixes = "", []
    if heard.legs and not closed and not heard.problem:
        fixes = _fixes(text, heard.legs, (mx, my), units)
        verdict = _verdict(heard.legs, (mx, my), units)
    elif closed:
        verdict = "Back on A. It closes."
    return Walked(heard, points, (mx, my), closed, verdict, fixes)


def _verdict(legs: list[Leg], miss: XY, units: Units) -> str:
    size = math.hypot(*miss)
    suspects = _suspects(legs, miss)
    if len(legs) < 3 or size > 0.34 * sum(leg.length_mm for leg in legs) / len(legs):
        return f"At {corner_name(len(legs))}, {_where(miss, units)} of A. Not closed yet."
    words = f"Misses A by {say_length(size, units)}, to the {_toward(miss)}."
    if suspects:
        names = [_side(at, legs) for at in suspects]
        listed = names[0] if len(names) == 1 else f"{', '.join(names[:-1])} or {names[-1]}"
        words += f" A side is {say_length(size, units)} out: check {listed}."
    return words


def _side(at: int, legs: list[Leg]) -> str:
    return f"{corner_name(at)} to {corner_name((at + 1) % len(legs))}"


def _where(miss: XY, units: Units) -> str:
    bits = []
    if abs(miss[0]) > 0.5:
        bits.append(f"{say_length(abs(miss[0]), units)} {'east' if miss[0] > 0 else 'west'}")
    if abs(miss[1]) > 0.5:
        bits.append(f"{say_length(abs(miss[1]), units)} {'north' if miss[1] > 0 else 'south'}")
    return " and ".join(bits) or "Not a step"


def _toward(vector: XY) -> str:
    angle = math.atan2(vector[1], vector[0])
    best = min(DIRECTIONS, key=lambda key: abs(math.remainder(math.atan2(*DIRECTIONS[key][::-1]) - angle, math.tau)))
    return SAID[best]


def _along(leg: Leg, miss: XY) -> float:
    return (leg.dx_mm * miss[0] + leg.dy_mm * miss[1]) / leg.length_mm


def _suspects(legs: list[Leg], miss: XY) -> list[int]:
    """Legs parallel to the miss, so that the length of one alone would close the walk; the latest first."""
    size = math.hypot(*miss)
    return [
        at for at, leg in reversed(list(enumerate(legs)))
        if abs(abs(_along(leg, miss)) - size) <= CLOSE_MM and leg.length_mm - _along(leg, miss) > CLOSE_MM
    ][:3]  # fmt: skip


def _fixes(text: str, legs: list[Leg], miss: XY, units: Units) -> list[Choice]:
    """Close with a last side; or change the one side that would do it; or spread a small miss over all."""
    fixes: list[Choice] = []
    if len(legs) >= 2:
        last = call_of(-miss[0], -miss[1], units)
        fixes.append(Choice(f"Close with {last}", f"{text.rstrip().rstrip(',')} {last}"))
    if len(legs) < 3:
        return fixes
    size = math.hypot(*miss)
    around = sum(leg.length_mm for leg in legs)
    origin = re.match(r"\s*from[^,;:\n]*[,;:\n]\s*", text, re.IGNORECASE)
    lead = origin[0] if origin else ""
    if size <= 0.34 * around / len(legs):
        sides = [Choice(*_one_side(legs, at, miss, lead, units)) for at in _suspects(legs, miss)]
        fixes = [*sides, *fixes]
    if size <= 0.02 * around:
        share_x, share_y = miss[0] / around, miss[1] / around
        calls = [call_of(g.dx_mm - share_x * g.length_mm, g.dy_mm - share_y * g.length_mm, units) for g in legs[:-1]]
        fixes.append(Choice("Spread it over all sides", lead + _closed_text(calls, units)))
    return fixes


def _one_side(legs: list[Leg], at: int, miss: XY, lead: str, units: Units) -> tuple[str, str]:
    leg = legs[at]
    share = 1 - _along(leg, miss) / leg.length_mm
    changed = call_of(leg.dx_mm * share, leg.dy_mm * share, units)
    calls = [changed if index == at else other.call for index, other in enumerate(legs)]
    return f"Make {_side(at, legs)} {changed}", lead + " ".join(calls)


def _closed_text(calls: list[str], units: Units) -> str:
    """Calls as rounded for the tape, and a last one that closes exactly on them."""
    legs = hear(" ".join(calls), units).legs
    dx, dy = sum(leg.dx_mm for leg in legs), sum(leg.dy_mm for leg in legs)
    return " ".join([*calls, call_of(-dx, -dy, units)])


def origin_point(origin: str, ring: list[XY], units: Units) -> XY:
    """Where 'from ...' stands: 'B', 'B 3' n', 'B 3' n 2' e' or 'C 2' toward D'. Raises CallError."""
    match = re.match(r"^(?P<c>[a-z]{1,2})(?![a-z])\s*(?P<rest>.*)$", origin.strip(), re.IGNORECASE | re.DOTALL)
    names = [corner_name(index) for index in range(len(ring))]
    if not match or match["c"].upper() not in names:
        known = f"{names[0]} to {names[-1]}" if names else "none yet"
        raise CallError(f"From which corner? '{origin.strip()}' names none (corners here: {known}).")
    spot = ring[names.index(match["c"].upper())]
    rest = match["rest"].strip()
    toward = re.match(r"^(?P<l>.+?)\s+(?:toward|towards|to)\s+(?P<d>[a-z]{1,2})$", rest, re.IGNORECASE)
    if toward and toward["d"].upper() in names:
        far = ring[names.index(toward["d"].upper())]
        size = math.dist(spot, far)
        share = parse_length(toward["l"], units) / size if size else 0.0
        return (spot[0] + share * (far[0] - spot[0]), spot[1] + share * (far[1] - spot[1]))
    if rest:
        heard = hear(rest, units)
        if heard.problem:
            raise CallError(heard.problem, tuple(choice.text for choice in heard.choices))
        spot = walk_points(heard.legs, spot)[-1]
    return spot
