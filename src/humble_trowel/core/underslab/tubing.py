"""Radiant tube: loops for the heated rooms from the manifold and back, their lengths, what is cut from which coil, and doubts.

Rule: rooms are laid in cells of twice the spacing and shared out to loops (`tubes/`); a loop is no longer than its size carries,
and a room takes as many loops as that asks. Loops of one room are made near equal. Levels in mm under the floor.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

import shapely
from shapely import affinity
from shapely.geometry import Polygon

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.overlay import GRID_MM, common, less, outlines
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import longest_way_deg
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.underslab_parts import Riser, Tubing
from humble_trowel.core.tubes.laid import LaidLoop, Rooms, lay_loops
from humble_trowel.core.underslab.clashes import Clash
from humble_trowel.core.underslab.heated import kept_out, rooms_of, warm_floor
from humble_trowel.core.underslab.services import say_size
from humble_trowel.core.underslab.tube_coils import Coil, TubeLoop, coils_for, tube_text
from humble_trowel.core.underslab.tube_depth import cover_text, sawn
from humble_trowel.core.units import format_area, say_depth, say_length

# tube as sold: its outside, the longest loop, the bend's radius; a thumb table, the maker's own comes first
SIZES_MM: tuple[tuple[float, float, float, float], ...] = (
    (9.5, 12.7, 60_960, 76.2), (12.7, 15.9, 91_440, 95.25), (15.9, 19.1, 121_920, 114.3), (19.1, 22.2, 152_400, 133.35),
    (16.0, 16.0, 100_000, 96.0), (20.0, 20.0, 120_000, 120.0),
)  # fmt: skip
TIE_MM = 609.6
FAR_MM = 1500.0


@dataclass(frozen=True)
class TubingLaid:
    """All loops. kept_out: rings without tube. manifold_at: None where none stands."""

    loops: list[TubeLoop]
    rooms: list[str]
    room_rings: list[list[list[XY]]]
    kept_out: list[list[XY]]
    manifold: str
    manifold_at: XY | None
    pins: list[XY]
    total_mm: float
    total_text: str
    area_text: str
    area_m2: float
    longest_text: str
    longest_mm: float
    bend_text: str
    ties: int
    coils: list[Coil]
    size_text: str
    cover_text: str
    clashes: list[Clash]
    findings: list[Finding]


def size_of(tubing: Tubing) -> tuple[float, float, float]:
    """(outside, longest loop, radius of a bend) of the tube, mm; what the job says comes first.

    Source: 'tube' in sources/."""
    row = min(SIZES_MM, key=lambda one: abs(one[0] - tubing.size_mm))
    return row[1], tubing.longest_mm or row[2], tubing.bend_mm or row[3]


def tubing_laid(plan: Plan, solid: Solid | None) -> TubingLaid | None:
    """The loops of a job; None where no room is heated."""
    heated, tubing = plan.underslab.heated, plan.underslab.tubing
    if not heated or solid is None:
        return None
    outside, longest, radius = size_of(tubing)
    rooms, gone = rooms_of(plan, solid)
    keep = kept_out(plan, outside)
    manifold = _manifold(plan)
    walls = tubing.walls_mm or tubing.spacing_mm
    warm = warm_floor(plan, solid, rooms)
    inner = warm.buffer(-max(0.0, tubing.keep_mm - walls / 2), join_style="mitre")
    tight = (
        less(warm, warm.buffer(-max(tubing.wall_width_mm, walls), join_style="mitre")) if tubing.walls_mm else Polygon()
    )
    angle = longest_way_deg(list(plan.outline or []))
    found = None
    if manifold is not None and rooms:
        turned = [affinity.rotate(one, -angle, origin=(0, 0)) for one in (keep, tight, inner)]
        own = [affinity.rotate(common(room, inner), -angle, origin=(0, 0)) for room in rooms.values()]
        laid = Rooms(own, turned[0], turned[1], turned[2], _back(manifold.at, -angle), tubing.spacing_mm, walls)
        found = lay_loops(laid, longest, radius, tubing.rise_mm, tubing.pattern)
    names = list(rooms)
    loops = _told(plan, found.loops if found else [], names, angle, longest, tubing)
    saws = sawn(plan, solid, rooms, outside)
    gone = [*gone, *(finding(one.code, f"underslab/{one.where}", one.words, one.remedy, one.source) for one in saws)]
    coils, loops = coils_for(loops, plan.units)
    total = math.fsum(loop.length_mm for loop in loops)
    area = math.fsum(room.area for room in rooms.values())
    pins = [_back(pin, angle) for pin in (found.pins if found else [])]
    doubts = [
        *gone,
        *_doubts(
            plan, manifold, loops, names, found.missed if found else [], found.forced if found else 0, radius, pins
        ),
    ]
    return TubingLaid(
        loops, names, [outlines(room) for room in rooms.values()], outlines(common(keep, shapely.union_all(list(rooms.values()), grid_size=GRID_MM)) if rooms else Polygon()),
        manifold.name if manifold else "", manifold.at if manifold else None,
        pins, total, tube_text(total, plan.units),
        format_area(area / 1e6, plan.units), area / 1e6,
        tube_text(longest, plan.units), longest, say_depth(radius, plan.units), math.ceil(total / TIE_MM), coils,
        say_size(tubing.size_mm, plan.units), cover_text(plan, solid, outside), saws, doubts,
    )  # fmt: skip


def _manifold(plan: Plan) -> Riser | None:
    said = plan.underslab.tubing.manifold
    rows = [row for row in plan.underslab.risers if row.kind == "manifold"]
    return next((row for row in rows if row.id == said), rows[0] if rows else None)


def _back(at: XY, angle: float) -> XY:
    turn = math.radians(angle)
    return at[0] * math.cos(turn) - at[1] * math.sin(turn), at[0] * math.sin(turn) + at[1] * math.cos(turn)


def _told(
    plan: Plan, loops: Sequence[LaidLoop], names: Sequence[str], angle: float, longest: float, tubing: Tubing
) -> list[TubeLoop]:
    ids = {row.name: row.id for row in plan.underslab.heated}
    seen: dict[str, int] = {}
    rows = []
    for n, loop in enumerate(loops, 1):
        room = names[loop.room]
        seen[room] = seen.get(room, 0) + 1
        length = loop.length_mm + 2 * tubing.rise_mm
        rows.append(
            TubeLoop(
                f"{ids[room]}.{seen[room]}", n, room, length, tube_text(length, plan.units), loop.bends, loop.leader_mm,
                tube_text(loop.leader_mm, plan.units), [_back(at, angle) for at in loop.points],
                _calls([_back(at, angle) for at in loop.corners], plan), length > longest + 0.5, 0,
            )
        )  # fmt: skip
    return rows


def _calls(corners: Sequence[XY], plan: Plan) -> list[str]:
    """Legs as they are called: how long, and which way."""
    step = 25.4 if plan.units == "ft-in" else 10.0
    found = []
    for (ax, ay), (bx, by) in pairwise(corners):
        turn = math.degrees(math.atan2(by - ay, bx - ax)) % 360
        way = ("e", "ne", "n", "nw", "w", "sw", "s", "se")[round(turn / 45) % 8]
        found.append(f"{say_length(round(math.dist((ax, ay), (bx, by)) / step) * step, plan.units)} {way}")
    return found


def _doubts(
    plan: Plan, manifold: Riser | None, loops: Sequence[TubeLoop], names: Sequence[str], missed: Sequence[int], forced: int, radius: float, pins: Sequence[XY]
) -> list[Finding]:  # fmt: skip
    if manifold is None:
        words = "Rooms are heated, and no manifold stands anywhere."
        return [
            finding("tube-manifold", "underslab/tubing", words, "Set a riser called manifold under Services.", "tube")
        ]
    found = []
    far = min((math.dist(pin, manifold.at) for pin in pins), default=0.0)
    if far > FAR_MM:
        words = f"Loops begin at a wall {say_length(far, plan.units)} from {manifold.name}: there is no room for them where it stands."
        found.append(finding("tube-far", "underslab/tubing", words, "Move the manifold to that wall.", "tube"))
    for loop in loops:
        if loop.over:
            words = f"Loop {loop.n} in {loop.room} is {loop.text}, longer than its size carries."
            found.append(
                finding(
                    "tube-long",
                    f"underslab/{loop.id}",
                    words,
                    "Take a wider spacing, a larger tube, or a second manifold.",
                    "tube",
                )
            )
    for at in missed:
        words = f"No loop reaches {names[at]}: it is too small to turn the tube in, or the way there is full."
        found.append(
            finding(
                "tube-missed", f"underslab/{names[at]}", words, "Move the manifold, or take a closer spacing.", "tube"
            )
        )
    if forced:
        words = f"{forced} turns are tighter than the tube bends, {say_depth(radius, plan.units)}."
        found.append(
            finding(
                "tube-bend", "underslab/tubing", words, "Open them by hand to a bulb, or take a wider spacing.", "tube"
            )
        )
    return found
