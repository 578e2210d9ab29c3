"""Dowels along a side into what stands there, and starters under kerbs. Lengths mm, volumes ml.

Rule: a hole a little wider than its bar, twelve diameters deep; epoxy fills the ring between them, and some is lost.
Source: 'dowel' in sources/.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

from humble_trowel.core.forms.exposed import reaches
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.order.second_pours import stretches
from humble_trowel.core.plan.bars import bar_of
from humble_trowel.core.plan.document import corner_name, side_name
from humble_trowel.core.plan.steel_parts import Dowels
from humble_trowel.core.steel.bends import bent_mm
from humble_trowel.core.steel.frame import Frame
from humble_trowel.core.steel.laid import Laid, along, counted, evenly, shifted
from humble_trowel.core.units import say_length

DEEP_D = 12.0
STARTER_LEG_MM, STARTER_UP_MM = 254.0, 0.75  # leg in the slab; share of the kerb's height that it reaches up
EDGE_MM = 150.0


@dataclass(frozen=True)
class DowelRow:
    """A row as it is drilled. spots: on the side. at_mm: from the side's first corner. against: what it goes into, '' where
    nothing stands there. epoxy_ml: with what is lost; 0 for dowels that slide."""

    id: str
    name: str
    side: int
    against: str
    count: int
    spacing_mm: float
    hole_mm: float
    depth_mm: float
    out_mm: float
    epoxy_ml: float
    spots: list[XY]
    at_mm: list[float]
    words: str
    laid: Laid


def dowel_row(frame: Frame, row: Dowels) -> DowelRow | None:
    """One row of dowels; None where its side is gone."""
    plan = frame.plan
    if row.side not in plan.corner_ids or plan.outline is None:
        return None
    side = plan.corner_ids.index(row.side)
    a, b = side_of(list(plan.outline), side)
    way, size = along(a, b)
    start, end = row.from_mm or 0.0, min(size, row.to_mm or size)
    met = [reach for reach in reaches(plan, side) if reach.against and reach.to_mm > start and reach.from_mm < end]
    bar = bar_of(row.bar)
    inset = min(EDGE_MM, (end - start) / 2)
    count = max(1, math.ceil((end - start - 2 * inset) / row.spacing_mm - 1e-9) + 1)
    at = evenly(count, start + inset, end - inset)
    at = [s for s in at if not met or any(reach.from_mm <= s <= reach.to_mm for reach in met)]
    deep = row.in_mm or DEEP_D * bar.d_mm
    out = row.out_mm or frame.ways.dowel_out_mm
    hole = row.hole_mm or bar.d_mm + frame.ways.hole_over_mm
    ring = math.pi / 4 * (hole**2 - bar.d_mm**2) * deep / 1000
    epoxy = 0.0 if row.smooth else len(at) * ring * (1 + frame.ways.waste)
    outside = (way[1], -way[0])
    lines = tuple((shifted(a, way, s, outside, deep), shifted(a, way, s, outside, -out)) for s in at)
    laid = Laid(
        f"dowels/{row.id}", f"{bar.name} dowel, {row.name}", bar, "straight", counted([deep + out] * len(at)), lines
    )
    first = say_length(at[0], plan.units) if at else ""
    words = (
        f"First {first} from {corner_name(side)}, then every {say_length(at[1] - at[0], plan.units)}."
        if len(at) > 1
        else ""
    )
    names = ", ".join(dict.fromkeys(reach.against for reach in met))
    return DowelRow(
        row.id, row.name, side, names, len(at), row.spacing_mm, hole, deep, out, epoxy, [shifted(a, way, s) for s in at], at,
        words or f"{side_name(side, len(plan.outline))}", laid,
    )  # fmt: skip


def starters(frame: Frame) -> list[Laid]:
    """Bent bars that tie kerbs to the slab, at their spacing, doors left out."""
    bar = frame.usual
    lines: list[tuple[XY, ...]] = []
    cuts: list[float] = []
    legs: tuple[float, float] = (0.0, 0.0)
    for kerb in frame.plan.kerbs:
        if not kerb.starter_mm:
            continue
        up = min((cell.thickness_mm for cell in frame.solid.cells), default=100.0) / 2 + kerb.height_mm * STARTER_UP_MM
        legs = (up, STARTER_LEG_MM)
        for path in stretches(kerb):
            for spot in _spots(path, kerb.starter_mm):
                lines.append((spot, spot))
                cuts.append(bent_mm(bar, legs, [90.0]))
    if not cuts:
        return []
    return [
        Laid(
            "starter", f"{bar.name} starters under kerbs", bar, "bent", counted(cuts), tuple(lines), None, legs, (90.0,)
        )
    ]


def _spots(path: Sequence[XY], spacing: float) -> list[XY]:
    """Spots along a path no farther apart than asked, its ends kept clear."""
    legs = [(*along(a, b), a) for a, b in pairwise(path)]
    total = math.fsum(size for _, size, _ in legs)
    inset = min(EDGE_MM, total / 2)
    count = max(1, math.ceil((total - 2 * inset) / spacing - 1e-9) + 1)
    found = []
    for s in evenly(count, inset, total - inset):
        for way, size, a in legs:
            if s <= size + 1e-6:
                found.append(shifted(a, way, s))
                break
            s -= size
    return found


def cartridges(ml: float, each: float) -> int:
    """Cartridges to buy."""
    return math.ceil(ml / each - 1e-9)
