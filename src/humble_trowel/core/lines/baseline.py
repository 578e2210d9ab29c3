"""The baseline: the held side or lot line that everything is set out from, as axes of its own."""

from __future__ import annotations

import math
from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan, corner_name, side_name


@dataclass(frozen=True)
class Baseline:
    """Origin at `start`; x along the line, y to its left. corners: of the outline at its ends, None on a lot line."""

    name: str
    start: XY
    end: XY
    corners: tuple[int, int] | None

    @property
    def length_mm(self) -> float:
        return math.dist(self.start, self.end)

    @property
    def end_names(self) -> tuple[str, str]:
        if self.corners:
            return corner_name(self.corners[0]), corner_name(self.corners[1])
        return f"{self.name}, near pin", f"{self.name}, far pin"

    def local(self, spot: XY) -> XY:
        """(along, left of it) in mm of a plan point."""
        ux, uy = self._unit()
        dx, dy = spot[0] - self.start[0], spot[1] - self.start[1]
        return (dx * ux + dy * uy, dy * ux - dx * uy)

    def plan(self, spot: XY) -> XY:
        """The plan point of (along, left of it)."""
        ux, uy = self._unit()
        return (self.start[0] + spot[0] * ux - spot[1] * uy, self.start[1] + spot[0] * uy + spot[1] * ux)

    def _unit(self) -> XY:
        size = self.length_mm
        return ((self.end[0] - self.start[0]) / size, (self.end[1] - self.start[1]) / size)


def baseline_of(plan: Plan) -> Baseline:
    """The plan's baseline: its lot line, else its held side, else side A to B. The plan must have an outline."""
    ring = list(plan.outline or [])
    line = plan.set_out.lot_line
    if line is not None:
        return Baseline(line.name, line.start, line.end, None)
    side = plan.set_out.hold_side or 0
    after = (side + 1) % len(ring)
    return Baseline(side_name(side, len(ring)), ring[side], ring[after], (side, after))
