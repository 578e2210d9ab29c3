"""Trouble: a short plan of acts for each kind, the first one first, what can hurt, and where the pour may stop."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import shapely
from shapely.geometry import LineString
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.pour.clock import PourClock
from humble_trowel.core.pour.floor import Floor
from humble_trowel.core.pour.records import Incident

LEAST_JOINT_MM = 300.0
DOWEL_EVERY_MM = 304.8
LEAST_SHARE, SQUARE_SHARE = 0.02, 0.2


@dataclass(frozen=True)
class Plan:
    """What is done about a kind of trouble. acts: the first in the largest type. decides: whose it is."""

    name: str
    acts: tuple[str, ...]
    caution: str
    decides: str
    stops: bool = False


PLANS: Mapping[str, Plan] = {
    "blowout": Plan("A form gives way", (
        "Stop the chute, everybody out of its way", "Brace it from outside, kicker and stake", "Dig the spill back while it is wet",
        "String along it again, then fill slowly, in lifts",
    ), "Nobody stands below a form that moves.", "the foreman"),
    "rain": Plan("Rain", (
        "Cover what is placed, nothing else first", "Hold the trucks that are not batched", "Let water run off, never trowel it in",
        "Go on when it stops, or stop at a joint",
    ), "Lightning: everybody off, no chute or boom up.", "the foreman; a floor that was rained on, the engineer", True),
    "late": Plan("A truck is late", (
        "Ring the plant: where is it, how long", "Vibrate the edge that waits, keep it wet and covered", "Strike and float what lies there",
        "Over the limit of the edge: stop at a joint",
    ), "Nobody climbs on a truck to look.", "the foreman", True),
    "pump": Plan("The pump is plugged", (
        "Pump off and pressure off before anybody opens a clamp", "Its operator clears it, nobody else", "Chute or barrows meanwhile to the edge that waits",
        "Over the limit of the edge: stop at a joint",
    ), "A hose that lets go whips: nobody beside it, nobody holds its end.", "the pump's operator", True),
    "plant": Plan("The plant is down", (
        "Ring the next plant: same mix, how soon", "Stop at the next joint that may be", "Dowels and board in while it is wet", "Order the rest for tomorrow",
    ), "", "engineer, for a joint that is not drawn", True),
    "gauge": Plan("The gauge falls", (
        "Stop placing there", "Listen and look for a wet spot", "Dig it out while it can be dug, couple it, test again", "Else shut that loop off and draw where it lies",
    ), "Pressure in a line can throw a fitting.", "who laid the line"),
    "cold-joint": Plan("An edge grows old", (
        "Vibrate deep into it now", "Turn the next truck to that edge first", "If the vibrator leaves a hole: it is a joint, square it and dowel it",
        "Write down where, the engineer may ask",
    ), "", "the engineer", True),
    "alone": Plan("Alone on a hot day", (
        "Ring somebody, say where you are", "Water and shade, now", "Hold the next truck until two are here", "Dizzy or cold skin: stop, call for help",
    ), "Heat kills people who work alone. No yard is worth it.", "yourself", True),
    "other": Plan("Something else", ("Make it safe first", "Say what it is, take a photo", "Then go on"), "", "the foreman"),
}  # fmt: skip


@dataclass(frozen=True)
class Open:
    """Trouble that is not over."""

    record: str
    what: str
    at_min: float
    spot: XY | None
    minutes: float | None
    words: str
    by: str


def open_trouble(clock: PourClock, said: Sequence[tuple[str, Incident]]) -> list[Open]:
    """The newest word of each kind, where it is not over; the newest first."""
    rows: dict[str, tuple[str, Incident]] = {}
    for record, one in sorted(said, key=lambda row: (clock.minute(row[1].at), row[0])):
        rows[one.what] = (record, one)
    found = [
        Open(record, one.what, clock.minute(one.at), one.spot, one.minutes, one.words, one.by)
        for record, one in rows.values()
        if not one.over
    ]
    return sorted(found, key=lambda one: -one.at_min)


@dataclass(frozen=True)
class Stop:
    """Where the pour may stop. line: the joint; drawn: it lies on a joint of the plan. dowels: that cross it. to_it_m3: still to be placed up to it, less
    than nothing where it lies behind the front; rest_m3: for another day."""

    line: tuple[XY, XY]
    length_mm: float
    drawn: bool
    name: str
    dowels: int
    to_it_m3: float
    rest_m3: float


def stops(floor: Floor, shares: Sequence[float], joints: Sequence[tuple[XY, XY]], scale: float) -> list[Stop]:
    """Where it may stop, the nearest first: along the borders of strips that come next, square across the front, on drawn joints before all others. shares: of each part that
    is full. scale: what concrete takes over what is drawn."""
    rows: list[Stop] = []
    need = [one.slab_m3 + one.trench_m3 for one in floor.parts]
    placed = math.fsum(share * m3 for share, m3 in zip(shares, need, strict=True))
    for count in range(1, len(floor.parts)):
        before = shapely.union_all([one.region for one in floor.parts[:count]], grid_size=0.01)
        after = shapely.union_all([one.region for one in floor.parts[count:]], grid_size=0.01)
        line = _border(before.buffer(2.0), after)
        if line is None:
            continue
        behind = math.fsum(need[:count])
        drawn = any(_along(line, joint) for joint in joints)
        size = math.dist(*line)
        name = f"between {floor.parts[count - 1].name} and {floor.parts[count].name}"
        rest = math.fsum(need[count:]) * scale
        rows.append(Stop(line, size, drawn, name, max(1, int(size / DOWEL_EVERY_MM)), (behind - placed) * scale, rest))
    rows += _across(floor, shares, joints, (placed, scale))
    ahead = [one for one in rows if one.to_it_m3 >= -0.02 * floor.drawn_m3]
    return sorted(ahead, key=lambda one: (one.to_it_m3 - (0.5 if one.drawn else 0.0), one.name))


def _across(
    floor: Floor, shares: Sequence[float], joints: Sequence[tuple[XY, XY]], so_far: tuple[float, float]
) -> list[Stop]:
    """Square across a strip: where its front stands, and along drawn joints that cross it farther on. so_far: (placed m3, scale)."""
    placed, scale = so_far
    whole = math.fsum(one.slab_m3 + one.trench_m3 for one in floor.parts)
    rows, before = [], 0.0
    for at, (share, part) in enumerate(zip(shares, floor.parts, strict=True)):
        need = part.slab_m3 + part.trench_m3
        here = [(share, None)] if LEAST_SHARE < share < 1 - LEAST_SHARE else []
        for cut, joint in [*here, *_crossing(floor, at, share, joints)]:
            lines = [[*joint]] if joint is not None else floor.line(at, floor.spot_at(at, cut))
            line = max(lines, key=lambda one: math.dist(one[0], one[-1]), default=None)
            if line is None or math.dist(line[0], line[-1]) < LEAST_JOINT_MM:
                continue
            size, full = math.dist(line[0], line[-1]), before + need * cut
            name = f"across {part.name}, {'on its joint' if joint is not None else 'where the front stands'}"
            rows.append(Stop((line[0], line[-1]), size, joint is not None, name, max(1, int(size / DOWEL_EVERY_MM)), (full - placed) * scale, (whole - full) * scale))  # fmt: skip
        before += need
    return rows


def _crossing(
    floor: Floor, at: int, share: float, joints: Sequence[tuple[XY, XY]]
) -> list[tuple[float, tuple[XY, XY]]]:
    """(share of a strip that is full up to it, what of it lies in the strip) of joints that cross it square, before its front."""
    if share > 1 - LEAST_SHARE:
        return []
    rows, (x, y) = [], floor.parts[at].part.way
    for (ax, ay), (bx, by) in joints:
        size = math.dist((ax, ay), (bx, by))
        if size <= 0 or abs((bx - ax) * x + (by - ay) * y) > SQUARE_SHARE * size:
            continue
        inside = floor.parts[at].region.intersection(LineString([(ax, ay), (bx, by)]))
        own = max(getattr(inside, "geoms", [inside]), key=lambda one: float(one.length))
        if own.geom_type != "LineString" or own.length < LEAST_JOINT_MM:
            continue
        ends = [(float(px), float(py)) for px, py, *_ in own.coords]
        middle = ((ends[0][0] + ends[-1][0]) / 2, (ends[0][1] + ends[-1][1]) / 2)
        cut = floor.behind(at, middle)
        if max(share, LEAST_SHARE) < cut < 1 - LEAST_SHARE:
            rows.append((cut, (ends[0], ends[-1])))
    return rows


def _border(before: BaseGeometry, after: BaseGeometry) -> tuple[XY, XY] | None:
    """The longest straight run of what they share."""
    shared = shapely.intersection(after.boundary, before)
    lines = [one for one in (getattr(shared, "geoms", None) or [shared]) if one.geom_type == "LineString"]
    merged = shapely.line_merge(shapely.MultiLineString(lines)) if lines else None
    best: LineString | None = None
    for line in getattr(merged, "geoms", [merged] if merged is not None else []):
        for start, end in zip(line.coords[:-1], line.coords[1:], strict=True):
            own = LineString([start, end])
            if own.length > LEAST_JOINT_MM and (best is None or own.length > best.length):
                best = own
    if best is None:
        return None
    (ax, ay), (bx, by) = best.coords[0][:2], best.coords[-1][:2]
    return (float(ax), float(ay)), (float(bx), float(by))


def _along(line: tuple[XY, XY], joint: tuple[XY, XY]) -> bool:
    """Whether a joint runs along a line for most of it."""
    own = LineString(line)
    return float(own.intersection(LineString(joint).buffer(50.0)).length) > 0.5 * own.length
