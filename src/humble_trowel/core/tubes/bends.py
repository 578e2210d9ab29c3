"""Square corners of a tube's way as it is bent: quarter turns, and bulbs where two legs lie closer than twice the bend.

A bulb swings out by an angle a, round by half a turn and twice that, and back: cos a = (1 + p / 2r) / 2 for legs p apart at radius
r. Two turns that undo each other closer than that become a slant of two arcs. Lengths in mm, angles in radians.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

XY = tuple[float, float]
CHORD_RAD = math.pi / 12
SLACK_MM = 0.5


@dataclass(frozen=True)
class Bent:
    """The tube as it lies: points along it, arcs as chords; its length along the arcs; bends counted as quarter turns or bulbs.
    forced: corners where the radius cannot be kept, drawn tighter."""

    points: list[XY]
    length_mm: float
    bends: int
    forced: list[XY]


def bend(corners: Sequence[XY], radius: float) -> Bent:
    """The way through square corners with no bend under `radius`, but where `forced` says."""
    made = _Bender(list(corners), radius)
    return made.bent()


class _Bender:
    def __init__(self, corners: list[XY], radius: float) -> None:
        self.at, self.r = corners, radius
        self.legs = [math.dist(a, b) for a, b in pairwise(corners)]
        self.turns = [0.0, *(self._turn(i) for i in range(1, len(corners) - 1)), 0.0]
        self.points: list[XY] = [corners[0]] if corners else []
        self.length, self.bends = 0.0, 0
        self.forced: list[XY] = []

    def _turn(self, i: int) -> float:
        (ax, ay), (bx, by), (cx, cy) = self.at[i - 1 : i + 2]
        return math.copysign(1.0, (bx - ax) * (cy - by) - (by - ay) * (cx - bx))

    def bent(self) -> Bent:
        groups = self._groups()
        takes = [self._takes(group, self.r) for group in groups]
        radii = []
        for k, group in enumerate(groups):
            before = self.legs[group[0] - 1] - (takes[k - 1] if k else 0.0)
            after = self.legs[group[-1]] - (takes[k + 1] if k + 1 < len(groups) else 0.0)
            room = min(before, after)
            r = self.r
            if takes[k] > room + SLACK_MM:
                self.forced.append(self.at[group[0]])
                r = self._fits(group, max(room, min(self.legs[group[0] - 1], self.legs[group[-1]]) / 2))
            radii.append(r)
        for group, r in zip(groups, radii, strict=True):
            self._lay(group, r)
            self.bends += 1
        if self.at:
            self._to(self.at[-1])
        return Bent(self.points, self.length, self.bends, self.forced)

    def _groups(self) -> list[tuple[int, ...]]:
        """Corners by themselves, or two that are closer than their quarter turns."""
        found: list[tuple[int, ...]] = []
        i = 1
        while i < len(self.at) - 1:
            if i + 1 < len(self.at) - 1 and self.legs[i] < 2 * self.r - SLACK_MM:
                found.append((i, i + 1))
                i += 2
            else:
                found.append((i,))
                i += 1
        return found

    def _takes(self, group: tuple[int, ...], r: float) -> float:
        """How much of each leg a bend takes up."""
        if len(group) == 1:
            return r
        p = self.legs[group[0]]
        if self.turns[group[0]] == self.turns[group[1]]:
            if p >= 2 * r:
                return r
            a = math.acos(min(1.0, (1 + p / (2 * r)) / 2))
            return r * (1 + 2 * math.sin(a))
        return r * math.sin(math.acos(max(-1.0, 1 - p / (2 * r)))) if p < 2 * r else r

    def _fits(self, group: tuple[int, ...], room: float) -> float:
        low, high = 0.0, self.r
        for _ in range(30):
            mid = (low + high) / 2
            low, high = (mid, high) if self._takes(group, max(mid, 1e-6)) <= room else (low, mid)
        return max(low, 1.0)

    def _lay(self, group: tuple[int, ...], r: float) -> None:
        i, j = group[0], group[-1]
        u = self._unit(self.at[i - 1], self.at[i])
        side = self.turns[i]
        if len(group) == 1:
            self._to(self._back(self.at[i], u, r))
            self._arc(u, side, r, math.pi / 2)
            return
        p, take = self.legs[i], self._takes(group, r)
        self._to(self._back(self.at[i], u, take))
        if side == self.turns[j]:
            if p >= 2 * r:
                u = self._arc(u, side, r, math.pi / 2)
                self._to((self.points[-1][0] + u[0] * (p - 2 * r), self.points[-1][1] + u[1] * (p - 2 * r)))
                self._arc(u, side, r, math.pi / 2)
                return
            a = math.acos(min(1.0, (1 + p / (2 * r)) / 2))
            u = self._arc(u, -side, r, a)
            u = self._arc(u, side, r, math.pi + 2 * a)
            self._arc(u, -side, r, a)
            return
        if p >= 2 * r:
            u = self._arc(u, side, r, math.pi / 2)
            self._to((self.points[-1][0] + u[0] * (p - 2 * r), self.points[-1][1] + u[1] * (p - 2 * r)))
            self._arc(u, -side, r, math.pi / 2)
            return
        a = math.acos(max(-1.0, 1 - p / (2 * r)))
        u = self._arc(u, side, r, a)
        self._arc(u, -side, r, a)

    @staticmethod
    def _unit(a: XY, b: XY) -> XY:
        long = math.dist(a, b) or 1.0
        return (b[0] - a[0]) / long, (b[1] - a[1]) / long

    @staticmethod
    def _back(at: XY, u: XY, by: float) -> XY:
        return at[0] - u[0] * by, at[1] - u[1] * by

    def _to(self, at: XY) -> None:
        self.length += math.dist(self.points[-1], at)
        if math.dist(self.points[-1], at) > 1e-6:
            self.points.append(at)

    def _arc(self, u: XY, side: float, r: float, angle: float) -> XY:
        """Along an arc from the last point; the heading after it. side: 1 to the left."""
        x, y = self.points[-1]
        cx, cy = x - side * u[1] * r, y + side * u[0] * r
        n = max(1, math.ceil(angle / CHORD_RAD))
        for k in range(1, n + 1):
            t = side * angle * k / n
            dx, dy = x - cx, y - cy
            self.points.append((cx + dx * math.cos(t) - dy * math.sin(t), cy + dx * math.sin(t) + dy * math.cos(t)))
        self.length += r * angle
        t = side * angle
        return u[0] * math.cos(t) - u[1] * math.sin(t), u[0] * math.sin(t) + u[1] * math.cos(t)
