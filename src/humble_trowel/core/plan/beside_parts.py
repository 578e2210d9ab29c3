"""What is poured along the outline beside the slab, as it stands in a job file: laps over old concrete, saw cuts filled to
the true line, sidewalks, ramps. Lengths are mm.

Each lies to the right of its path as the path runs, which is outside of an outline that runs anticlockwise.
"""

from __future__ import annotations

from typing import Literal

from humble_trowel.core.plan.model import Row
from humble_trowel.core.plan.shape_parts import With
from humble_trowel.core.plan.values import Length, Name, Number, Path, Position, Size

Gap = Literal["filled", "kept"]
Broom = Literal["across", "along"]


class Lap(Row):
    """Concrete of the slab beyond its outline. lap: over an old slab or walk; saw-cut: up to where an old slab was cut.
    width_mm: at the start of the path; end_width_mm: at its end where it is another. gap: what is under it, down to the old
    concrete, is filled with the same pour or kept open."""

    name: Name
    kind: Literal["lap", "saw-cut"] = "lap"
    path: Path
    width_mm: Length
    end_width_mm: Length | None = None
    thickness_mm: Size
    gap: Gap = "kept"


class Sidewalk(Row):
    """A walk along a path, its edge on the path. top_mm: level of its top at the path, 0 is the finished top of the main slab.
    fall: away from the path, rise over run."""

    name: Name
    path: Path
    width_mm: Size
    thickness_mm: Size
    top_mm: Position = 0.0
    fall: Number = 0.0208
    broom: Broom = "across"
    pour: With = "apart"


class Ramp(Row):
    """A ramp down from a straight path, its upper edge. run_mm: on plan, square to it. high_mm, low_mm: levels of its top there
    and at its foot. thickness_mm, foot_mm: at its upper edge and at its foot. flare_mm: how wide its sides fan out at the upper
    edge; kerb_mm, kerb_wide_mm: kerbs on both sides instead."""

    name: Name
    path: Path
    run_mm: Size
    high_mm: Position = 0.0
    low_mm: Position
    thickness_mm: Size
    foot_mm: Size
    flare_mm: Length = 0.0
    kerb_mm: Length = 0.0
    kerb_wide_mm: Size = 152.4
    broom: Broom = "across"
    pour: With = "apart"
