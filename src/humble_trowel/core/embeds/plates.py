"""A wall's plate along its run: pieces between openings and butt joints, studs over it. Stations in mm from the run's start."""

from __future__ import annotations

import itertools
import math
from collections.abc import Sequence
from dataclasses import dataclass

SAME_MM = 1e-6


@dataclass(frozen=True)
class Run:
    """A wall as bolts see it. joints: where two pieces of plate butt; openings: (from, to) to the floor; studs: the middle of each; blocked: (from, to)
    where something lies in a bolt's way."""

    length_mm: float
    joints: tuple[float, ...] = ()
    openings: tuple[tuple[float, float], ...] = ()
    studs: tuple[float, ...] = ()
    blocked: tuple[tuple[float, float], ...] = ()

    @property
    def pieces(self) -> list[tuple[float, float]]:
        """(from, to) of every piece of plate: the run cut at openings and butt joints."""
        rows, at = [], 0.0
        for start, end in sorted(self.openings):
            rows.append((at, min(start, self.length_mm)))
            at = max(at, end)
        rows.append((at, self.length_mm))
        found = []
        for start, end in rows:
            cuts = sorted(mm for mm in self.joints if start + SAME_MM < mm < end - SAME_MM)
            ends = [start, *cuts, end]
            found += [(a, b) for a, b in itertools.pairwise(ends) if b - a > SAME_MM]
        return found


def studs_at(
    length_mm: float,
    origin_mm: float,
    spacing_mm: float | None,
    openings: Sequence[tuple[float, float]],
    extra: Sequence[float] = (),
) -> tuple[float, ...]:
    """Middles of studs: every so far from where they start, none inside an opening, and the extra ones beside openings."""  # fmt: skip
    rows = [float(mm) for mm in extra]
    if spacing_mm:
        first = math.ceil((-origin_mm) / spacing_mm - SAME_MM)
        last = math.floor((length_mm - origin_mm) / spacing_mm + SAME_MM)
        rows += [
            mm
            for mm in (origin_mm + k * spacing_mm for k in range(first, last + 1))
            if not any(start + SAME_MM < mm < end - SAME_MM for start, end in openings)
        ]
    return tuple(sorted(rows))


def stock_joints(
    spans: Sequence[tuple[float, float]], stock_mm: float, studs: Sequence[float], least_mm: float
) -> list[float]:
    """Where plates butt: each piece the longest that the stock gives, ending on a stud where one is within reach, and the last of
    a span never shorter than the least."""
    joints = []
    for start, end in spans:
        at = start
        while end - at > stock_mm + SAME_MM:
            most = min(at + stock_mm, end - least_mm)
            on = [mm for mm in studs if at + least_mm <= mm <= most + SAME_MM]
            at = max(on) if on and max(on) > at + stock_mm / 2 else most
            joints.append(at)
    return joints
