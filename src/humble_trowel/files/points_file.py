"""What a file of points shows: loops in mm by layer, and every doubt about it. DXF and CSV come to this."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, field
from typing import Literal

from shapely.geometry import Polygon

from humble_trowel.core.errors import InputError
from humble_trowel.core.units import Units, format_area, say_length
from humble_trowel.files.loop import Loop, area

LengthUnit = Literal["mm", "cm", "m", "in", "ft"]
MM_OF: dict[LengthUnit, float] = {"mm": 1.0, "cm": 10.0, "m": 1000.0, "in": 25.4, "ft": 304.8}
NAME_OF: dict[LengthUnit, str] = {"mm": "millimetres", "cm": "centimetres", "m": "metres", "in": "inches", "ft": "feet"}
LIKELY_M = (1.0, 90.0)
MOST_LOOPS = 400


class PointsError(InputError):
    """A file of points that cannot be used; the words say why."""


@dataclass(frozen=True)
class FoundLoop:
    """ring: corners in mm. inside: index of the loop that it lies in, None for an outer one."""

    layer: str
    ring: list[tuple[float, float]]
    across: str
    area: str
    corners: int
    inside: int | None


@dataclass(frozen=True)
class PointsFile:
    """units: what the numbers were taken as; asked: nobody said, so ask. likely: units that give a slab's size.

    remarks: what was left out or is doubtful, in plain words.
    """

    kind: str
    units: LengthUnit
    asked: bool
    likely: list[LengthUnit]
    layers: list[str]
    loops: list[FoundLoop]
    remarks: list[str] = field(default_factory=list)


def told(
    kind: str,
    loops: Sequence[Loop],
    units: LengthUnit | None,
    said: LengthUnit | None,
    job: Units,
    remarks: Sequence[str],
) -> PointsFile:
    """Loops in drawing units as found loops in mm. units: as the user says; said: as the file says. Raises PointsError."""
    if not loops:
        raise PointsError("There is no closed loop in that file, so no outline. Close the lines, or call the sides.")
    size = _extent(loops[0]) if len(loops) == 1 else max(_extent(loop) for loop in loops)
    likely = [name for name, mm in MM_OF.items() if LIKELY_M[0] <= size * mm / 1000 <= LIKELY_M[1]]
    used = units or said or _guess(likely, job)
    notes = list(remarks)
    metres = size * MM_OF[used] / 1000
    doubtful = not LIKELY_M[0] <= metres <= LIKELY_M[1]
    if doubtful:
        notes.append(
            f"In {NAME_OF[used]} the largest loop is {metres:,.4g} m across. Is it in other units?"
            if likely
            else f"The largest loop is {metres:,.4g} m across in {NAME_OF[used]}: no slab in any units."
        )
    asked = units is None and (said is None or doubtful)
    found = _found(loops, MM_OF[used], job)
    nested = sum(loop.inside is not None for loop in found)
    if nested:
        notes.append(f"{nested} {'loop lies' if nested == 1 else 'loops lie'} inside another. Say what each is.")
    return PointsFile(kind, used, asked, likely, sorted({loop.layer for loop in loops}), found, notes)


def _extent(loop: Loop) -> float:
    xs, ys = [x for x, _ in loop.ring], [y for _, y in loop.ring]
    return max(max(xs) - min(xs), max(ys) - min(ys))


def _guess(likely: Sequence[LengthUnit], job: Units) -> LengthUnit:
    for name in ("ft", "in", "m", "mm") if job == "ft-in" else ("mm", "m", "ft", "in"):
        if name in likely:
            return name
    return "mm"


def _found(loops: Sequence[Loop], mm: float, job: Units) -> list[FoundLoop]:
    ordered = sorted(loops, key=lambda loop: -abs(area(loop.ring)))[:MOST_LOOPS]
    shapes = [Polygon(loop.ring) for loop in ordered]
    x0 = min(x for loop in ordered for x, _ in loop.ring) if _far_away(ordered) else 0.0
    y0 = min(y for loop in ordered for _, y in loop.ring) if _far_away(ordered) else 0.0
    rows = []
    for index, loop in enumerate(ordered):
        ring = [(round((x - x0) * mm, 3), round((y - y0) * mm, 3)) for x, y in loop.ring]
        holder = next(
            (i for i in range(index - 1, -1, -1) if shapes[i].is_valid and shapes[i].contains(shapes[index].representative_point())
             and shapes[i].area > shapes[index].area), None,
        )  # fmt: skip
        xs, ys = [x for x, _ in ring], [y for _, y in ring]
        across = f"{say_length(max(xs) - min(xs), job)} by {say_length(max(ys) - min(ys), job)}"
        rows.append(FoundLoop(loop.layer, ring, across, format_area(abs(area(ring)) / 1e6, job), len(ring), holder))
    return rows


def _far_away(loops: Sequence[Loop]) -> bool:
    """Survey coordinates far from 0, 0 are brought near; a drawing near its origin keeps its own axes."""
    size = max(_extent(loop) for loop in loops)
    spot = loops[0].ring[0]
    return math.hypot(*spot) > 20 * size
