"""Grade pegs of footings: where they stand, what the rod reads on their tops, how long each is cut, how the bottom lies."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise
from typing import Literal

from shapely.geometry import LineString

from humble_trowel.core.footings.records import PegShot
from humble_trowel.core.geometry.beams import is_closed
from humble_trowel.core.geometry.footing_strips import length_mm, pieces
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.ground.levels import Stand
from humble_trowel.core.ground.rod import say_reading
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.footing_parts import Footing
from humble_trowel.core.plan.ground_ways import RodReads
from humble_trowel.core.units import say_depth

DRIVE_MM = 304.8
INSET_MM = 150.0
SAME_PEG_MM = 50.0
DEEP_MM = 12.7
AS_PLANNED_MM = 3.2


@dataclass(frozen=True)
class FootingPeg:
    """number: over all footings. top_mm: level of its top, the concrete's. reading_text: of the rod on it, '' without a
    laser. stands_mm: out of the trench's bottom, as planned or as read. over_mm: how far the bottom lies below plan (less
    than nothing: above), None where nobody read it. cut_text: what to cut it to. verdict, words:
    what the reading means."""

    number: int
    footing: int
    along_mm: float
    at: XY
    top_mm: float
    reading_text: str
    bottom_text: str
    stands_mm: float
    over_mm: float | None
    cut_text: str
    verdict: Literal["", "inside", "deep", "high"]
    words: str


def stations(footing: Footing) -> list[tuple[float, float]]:
    """(along, level of the top) of its pegs, mm: near both ends of every level stretch and no farther apart than its spacing;
    round a closed footing of one level they stand evenly."""
    if is_closed(footing.path) and not footing.steps:
        size = length_mm(footing)
        count = max(3, math.ceil(size / footing.peg_spacing_mm - 1e-9))
        return [(size * k / count, footing.top_mm) for k in range(count)]
    found, size = [], length_mm(footing)
    for piece in pieces(footing):
        inset = min(INSET_MM, (piece.end_mm - piece.start_mm) / 4)
        start, end = piece.start_mm + inset, piece.end_mm - inset
        gaps = max(1, math.ceil((end - start) / footing.peg_spacing_mm - 1e-9))
        found += [((start + (end - start) * k / gaps) % size, piece.top_mm) for k in range(gaps + 1)]
    return sorted(found)


def footing_pegs(plan: Plan, shots: Sequence[PegShot], stands: Sequence[Stand], reads: RodReads) -> list[FootingPeg]:
    """Every peg, in the order of the footings. shots: that name footings by id, oldest first; the newest of a peg counts."""
    line_mm = stands[-1].instrument_mm if stands else None
    rows: list[FootingPeg] = []
    for at, footing in enumerate(plan.footings):
        line = LineString(footing.path)
        own = [shot for shot in shots if shot.footing == footing.id]
        for along, top in stations(footing):
            spot = line.interpolate(along)
            shot = next((one for one in reversed(own) if abs(one.along_mm - along) < SAME_PEG_MM), None)
            rows.append(_peg(plan, len(rows) + 1, at, along, (float(spot.x), float(spot.y)), top, shot, stands, line_mm, reads))  # fmt: skip
    return rows


def _peg(
    plan: Plan, number: int, at: int, along: float, spot: XY, top: float, shot: PegShot | None,
    stands: Sequence[Stand], line_mm: float | None, reads: RodReads,
) -> FootingPeg:  # fmt: skip
    footing = plan.footings[at]
    stand = next((one for one in stands if shot is not None and one.id == shot.setup), None)
    over = None
    if shot is not None and stand is not None:
        over = top - footing.thickness_mm - (stand.instrument_mm - shot.reading_mm)
    stands_mm = footing.thickness_mm + (over or 0.0)
    verdict: Literal["", "inside", "deep", "high"] = ""
    words = ""
    if over is not None:
        verdict = "inside" if abs(over) < AS_PLANNED_MM else "deep" if over > 0 else "high"
        how = {"inside": "as planned", "deep": "too deep", "high": "too high: dig"}[verdict]
        words = f"Bottom {how}." if verdict == "inside" else f"Bottom {say_depth(abs(over), plan.units)} {how}."
    return FootingPeg(
        number, at, along, spot, top,
        say_reading(line_mm - top, reads) if line_mm is not None else "",
        say_reading(line_mm - top + footing.thickness_mm, reads) if line_mm is not None else "",
        stands_mm, over, say_depth(stands_mm + DRIVE_MM, plan.units), verdict, words,
    )  # fmt: skip


def over_dug_m3(footing: Footing, pegs: Sequence[FootingPeg], width_mm: float) -> float:
    """Concrete below the planned bottom, m3: straight between pegs that were read, as at the nearest beyond them; less than
    nothing where the bottom lies high. Along the centreline, round a closed one."""
    read = sorted((peg.along_mm, peg.over_mm) for peg in pegs if peg.over_mm is not None)
    if not read:
        return 0.0
    size = length_mm(footing)
    if is_closed(footing.path):
        read = [*read, (read[0][0] + size, read[0][1])]
    else:
        read = [(0.0, read[0][1]), *read, (size, read[-1][1])]
    area = math.fsum((b[0] - a[0]) * (a[1] + b[1]) / 2 for a, b in pairwise(read))
    return area * width_mm / 1e9
