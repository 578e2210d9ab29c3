"""Which way a face can be pulled: what its board rides on left and right, and what it asks for. Lengths mm."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.top_faces import Face
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.screed_parts import Rides
from humble_trowel.core.plan.screed_ways import ScreedWays
from humble_trowel.core.screed.borders import Stretch
from humble_trowel.core.screed.check import chords_of, on_mm
from humble_trowel.core.screed.site import Guide, GuideKind, ScreedRules, Strip

ALONG = 0.05  # a border that runs across the pull, but for 3 degrees, is its start or end
ROOM_MM = 12.7  # a board passes between walls with so much on either hand
PLAIN: dict[str, GuideKind] = {"form": "form", "step": "form", "slab": "hard", "wall": "wall", "hip": "wet"}
SOFT: tuple[GuideKind, ...] = ("wet", "edge", "rail", "wall", "form", "hard")  # the first of them is what counts


@dataclass(frozen=True)
class Pull:
    """A way to pull a face. way: unit vector, either of its two senses; left, right: of the way, along it; wide_mm: the widest place."""

    way: XY
    left: tuple[Stretch, ...]
    right: tuple[Stretch, ...]
    wide_mm: float
    narrow_mm: float

    @property
    def turned(self) -> Pull:
        """The same, pulled the other way."""
        x, y = self.way
        return Pull((-x, -y), turned(self.right), turned(self.left), self.wide_mm, self.narrow_mm)


def rules_of(ways: ScreedWays) -> ScreedRules:
    """What the checker keeps to, as this crew has it."""
    return ScreedRules(
        on_mm=ways.on_form_mm, on_wet_mm=ways.on_wet_mm, on_edge_mm=ways.on_edge_mm, pad_less_mm=ways.pad_less_mm
    )


def boards_of(ways: ScreedWays) -> list[float]:
    """Every board on the truck, the shortest first."""
    return sorted({*ways.boards_mm, *ways.vibrating_mm})


def rides_of(plan: Plan, ways: ScreedWays, key: str) -> Rides:
    """How a pad line is ridden on."""
    return next((row.rides for row in plan.screed.pads if row.id == key and row.rides), ways.rides)


def kind_of(plan: Plan, ways: ScreedWays, stretch: Stretch) -> GuideKind:
    """What a stretch is to a board, before its neighbour is struck."""
    if stretch.on != "pad":
        return PLAIN[stretch.on]
    return "rail" if rides_of(plan, ways, stretch.key) == "rail" else "wet"


def guide_kind(kinds: Sequence[GuideKind]) -> GuideKind:
    """Of several along one side: the one that asks for most."""
    return min(kinds, key=SOFT.index)


def pulls_of(face: Face, border: Sequence[Stretch], rules: ScreedRules) -> list[Pull]:
    """Every way that a face can be pulled, by the directions of its borders; each once, in one of its senses."""
    longest = max((row.length_mm for row in border), default=0.0)
    ways: list[XY] = []
    for row in sorted(border, key=lambda one: -one.length_mm):
        if row.length_mm < longest / 5:
            break
        way = (row.end[0] - row.start[0]) / row.length_mm, (row.end[1] - row.start[1]) / row.length_mm
        if way[0] < -1e-6 or (abs(way[0]) <= 1e-6 and way[1] < 0):
            way = -way[0], -way[1]
        if all(abs(way[0] * had[1] - way[1] * had[0]) > 0.02 for had in ways):
            ways.append(way)
    found = [_pull(face, border, way, rules) for way in ways]
    return [one for one in found if one is not None]


def _pull(face: Face, border: Sequence[Stretch], way: XY, rules: ScreedRules) -> Pull | None:
    """A pull along a way; None where a border across it stands in between."""
    signs = [_sign(row, way) for row in border]
    right, left = _block(border, signs, 1), _block(border, signs, -1)
    if right is None or left is None:
        return None
    chords = chords_of(Strip("", face.ring, way, ("", ""), 0.0, 0.0, 0.0), rules)
    sizes = [math.dist(*chord) for chord in chords]
    if not sizes:
        return None
    return Pull(way, turned(left), tuple(right), max(sizes), min(sizes))


def turned(stretches: Sequence[Stretch]) -> tuple[Stretch, ...]:
    """Stretches the other way along."""
    return tuple(row.turned for row in reversed(stretches))


def _sign(row: Stretch, way: XY) -> int:
    along = ((row.end[0] - row.start[0]) * way[0] + (row.end[1] - row.start[1]) * way[1]) / row.length_mm
    return 1 if along > ALONG else -1 if along < -ALONG else 0


def _block(border: Sequence[Stretch], signs: Sequence[int], sign: int) -> list[Stretch] | None:
    """The stretches of one sign, in their order round; None where there are none or they stand apart."""
    count = len(border)
    starts = [i for i in range(count) if signs[i] == sign and signs[i - 1] != sign]
    if len(starts) != 1:
        return None
    rows: list[Stretch] = []
    at = starts[0]
    while signs[at % count] == sign and len(rows) < count:
        rows.append(border[at % count])
        at += 1
    return rows


def line_of(stretches: Sequence[Stretch]) -> tuple[XY, ...]:
    """The stretches as one line."""
    spots: list[XY] = []
    for row in stretches:
        for spot in (row.start, row.end):
            if not spots or math.dist(spots[-1], spot) > 0.5:
                spots.append(spot)
    return tuple(spots)


def asked_mm(plan: Plan, ways: ScreedWays, pull: Pull, rules: ScreedRules) -> float:
    """The board that a pull asks for."""
    guides = [Guide(guide_kind([kind_of(plan, ways, row) for row in side]), ()) for side in (pull.left, pull.right)]
    return pull.wide_mm + sum(on_mm(guide, rules) for guide in guides)


def room_mm(pull: Pull) -> float | None:
    """The longest board that passes; None where it may stick out on a side."""
    if any(all(row.on != "wall" for row in side) for side in (pull.left, pull.right)):
        return None
    return pull.narrow_mm - 2 * ROOM_MM


def best_pull(plan: Plan, ways: ScreedWays, pulls: Sequence[Pull], rules: ScreedRules) -> Pull | None:
    """The pull that a board on the truck can do, then the one with the shortest board."""
    longest = max(boards_of(ways), default=0.0)
    rows = [(asked_mm(plan, ways, one, rules), i, one) for i, one in enumerate(pulls)]
    return min(rows, key=lambda row: (row[0] > longest + 1.0, round(row[0], 0), row[1]))[2] if rows else None


def board_for(ways: ScreedWays, needed: float, room: float | None) -> float | None:
    """The shortest board that reaches and passes; None where there is none on the truck."""
    return next((mm for mm in boards_of(ways) if mm >= needed - 1.0 and (room is None or mm <= room + 1.0)), None)
