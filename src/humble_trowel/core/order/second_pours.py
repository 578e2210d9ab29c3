"""What is poured on its own, another day or from the same truck's end: kerbs, knee walls, pads beside the slab.

Not in the net volume of the slab; in its order where it is said to come with it. A mitred kerb with upright faces is width times height times the length of its
centreline, exactly; leave-outs are measured along it.
"""

from __future__ import annotations

import math
from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass, field
from itertools import pairwise

import shapely
from shapely.geometry import LineString, Polygon
from shapely.geometry.base import BaseGeometry
from shapely.ops import substring

from humble_trowel.core.geometry.overlay import common, less, together
from humble_trowel.core.geometry.pads import pad_ring
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.lines.outline import length_leaf
from humble_trowel.core.order.leaves import area_leaf, area_times_depth, short_sum, thin_leaf, volume_unit
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import Kerb, Pad, SidePad
from humble_trowel.core.units import Units, format_volume, say_depth
from humble_trowel.core.working import Working, leaf, work

STARTER_END_MM = 76.2


@dataclass(frozen=True)
class SecondPour:
    """kind: kerb or side pad; row: of `kerbs` or `side_pads`. rings: on plan, mm. with_slab: from the same trucks as the
    slab, so that the order holds it. panels: what forms it, where it is formed in panels. starters: places of the
    bars that tie it to the slab."""

    name: str
    kind: str
    row: int
    m3: float
    text: str
    how: str
    length_mm: float
    rings: list[list[XY]]
    working: Working
    with_slab: bool = False
    panels: str = ""
    starters: list[XY] = field(default_factory=list)


def second_pours(plan: Plan) -> list[SecondPour]:
    """All kerbs, then all side pads."""
    rows = [_kerb(plan, row, kerb) for row, kerb in enumerate(plan.kerbs)]
    return rows + [_side_pad(plan, row, pad) for row, pad in enumerate(plan.side_pads)]


def stretches(kerb: Kerb) -> list[list[XY]]:
    """Centrelines of a kerb between its leave-outs."""
    size = sum(math.dist(a, b) for a, b in pairwise(kerb.path))
    gaps = sorted((row.from_mm, min(size, row.to_mm)) for row in kerb.leave_outs)
    line, at = LineString(kerb.path), 0.0
    found = []
    for start, end in [*gaps, (size, size)]:
        if start > at + 1e-6:
            part = substring(line, at, start)
            found.append([(float(x), float(y)) for x, y in part.coords])
        at = max(at, end)
    whole = len(found) > 1 and kerb.path[0] == kerb.path[-1]
    if whole and found[0][0] == kerb.path[0] and found[-1][-1] == kerb.path[-1]:
        found = [[*found[-1], *found[0][1:]], *found[1:-1]]  # goes on round the corner where the path closes
    return found


def _kerb(plan: Plan, row: int, kerb: Kerb) -> SecondPour:
    unit, _ = volume_unit(plan)
    parts = stretches(kerb)
    length = sum(math.dist(a, b) for part in parts for a, b in pairwise(part))
    closed = not kerb.leave_outs and kerb.path[0] == kerb.path[-1]
    name = kerb.name or f"Kerb {row + 1}"
    at = f"edges/kerb/{row}"
    inputs = {
        "long": leaf(f"{name} length, leave-outs off", length / 1000, "m", f"{length / 1000:.3f} m", "geometry", at)
        if plan.units == "mm"
        else length_leaf(f"{name} length, leave-outs off", length, plan.units, at, "geometry"),
        "wide": thin_leaf(f"{name} width", kerb.width_mm, plan, at),
        "high": thin_leaf(f"{name} height", kerb.height_mm, plan, at),
    }
    m3 = length * kerb.width_mm * kerb.height_mm / 1e9
    text = format_volume(m3, plan.units)
    formula = "long * wide * high / " + ("1000000" if plan.units == "mm" else "3888")
    working = work(name, unit, formula, inputs, source="second-pour", text=f"{text} {unit}")
    rings = [ring for part in parts for ring in _rings(part, kerb.width_mm, closed)]
    return SecondPour(
        name,
        "kerb",
        row,
        m3,
        text,
        short_sum(working),
        length,
        rings,
        working,
        kerb.pour == "with",
        panel_words(plan, kerb),
        starters(kerb),
    )


def panel_words(plan: Plan, kerb: Kerb) -> str:
    """'18 panels of 24 in, fillers 3 in, 7 in (4 of each)': whole panels on both faces, and what each straight leg leaves."""
    if not kerb.panel_mm:
        return ""
    faces = [math.dist(a, b) for part in stretches(kerb) for a, b in pairwise(part) for _ in (0, 1)]
    return panels_of(faces, kerb.panel_mm, plan.units)


def panels_of(faces_mm: Sequence[float], panel_mm: float, units: Units) -> str:
    """Whole panels and fillers of straight faces, both faces of a wall counted."""
    whole, left = 0, Counter[str]()
    for face in faces_mm:
        count = math.floor(face / panel_mm + 1e-6)
        whole += count
        if face - count * panel_mm > 1.0:
            left[say_depth(face - count * panel_mm, units)] += 1
    fillers = ", ".join(f"{count} of {size}" for size, count in sorted(left.items()))
    said = f"{whole} panels of {say_depth(panel_mm, units)}, both faces"
    return f"{said}; fillers: {fillers}." if fillers else f"{said}, no filler."


def starters(kerb: Kerb) -> list[XY]:
    """Places of starters along a kerb's middle: near both ends of every stretch, 3 in from them, and evenly between, no farther
    apart than it says. They go along when the kerb moves or a leave-out comes. Rule of this house."""
    if not kerb.starter_mm:
        return []
    found: list[XY] = []
    for part in stretches(kerb):
        line = LineString(part)
        inward = min(STARTER_END_MM, line.length / 2)
        gaps = max(1, math.ceil((line.length - 2 * inward) / kerb.starter_mm - 1e-9))
        count = 1 if line.length <= 2 * STARTER_END_MM else gaps + 1
        for k in range(count):
            spot = line.interpolate(inward + (line.length - 2 * inward) * (k / gaps if count > 1 else 0.0))
            found.append((round(spot.x, 2), round(spot.y, 2)))
    return found


def _rings(path: Sequence[XY], width_mm: float, closed: bool) -> list[list[XY]]:
    line = shapely.LinearRing(path) if closed else LineString(path)
    shape = line.buffer(width_mm / 2, cap_style="flat", join_style="mitre", mitre_limit=4)
    return [[(round(x, 2), round(y, 2)) for x, y in ring.coords[:-1]] for ring in (shape.exterior, *shape.interiors)]


def piers_m2(plan: Plan, pad: SidePad) -> list[tuple[float, float]]:
    """(depth from the pad's top, m2) of the piers under a pad beside the slab, deepest first; where two stand in one another
    the deeper one counts."""
    kinds, whole = {row.mark: row for row in plan.pad_types}, Polygon(pad.polygon)
    by_depth: dict[float, list[BaseGeometry]] = {}
    for pier in pad.piers:
        ring = pad_ring(kinds[pier.type], Pad(type=pier.type, at=pier.at, turn_deg=pier.turn_deg))
        by_depth.setdefault(kinds[pier.type].depth_mm, []).append(common(Polygon(ring), whole))
    found = []
    taken: BaseGeometry = Polygon()
    for deep in sorted((deep for deep in by_depth if deep > pad.thickness_mm), reverse=True):
        region = less(together(by_depth[deep]), taken)
        taken = together([taken, region])
        found.append((deep, float(region.area) / 1e6))
    return found


def _side_pad(plan: Plan, row: int, pad: SidePad) -> SecondPour:
    unit, _ = volume_unit(plan)
    at = f"edges/side_pad/{row}"
    area = Polygon(pad.polygon).area / 1e6
    inputs = {
        "area": area_leaf(f"{pad.name}, area", area, plan, at),
        "thick": thin_leaf(f"{pad.name}, thickness", pad.thickness_mm, plan, at),
    }
    m3, formula = area * pad.thickness_mm / 1000, area_times_depth(plan, "area", "thick")
    for deep_mm, pier_m2 in piers_m2(plan, pad):
        key = f"pier{len(inputs)}"
        inputs[key] = area_leaf(f"Piers {say_depth(deep_mm, plan.units)} deep, area", pier_m2, plan, at)
        inputs[f"{key}d"] = thin_leaf("Deeper than the pad by", deep_mm - pad.thickness_mm, plan, at)
        formula += f" + {area_times_depth(plan, key, f'{key}d')}"
        m3 += pier_m2 * (deep_mm - pad.thickness_mm) / 1000
    text = format_volume(m3, plan.units)
    working = work(pad.name, unit, formula, inputs, source="second-pour", text=f"{text} {unit}")
    return SecondPour(
        pad.name, "side pad", row, m3, text, short_sum(working), 0.0,
        [[(round(x, 2), round(y, 2)) for x, y in pad.polygon]], working, pad.pour == "with",
    )  # fmt: skip
