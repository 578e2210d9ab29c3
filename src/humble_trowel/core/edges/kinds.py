"""Kinds of edges, beams and pads as small cuts to scale, hung from the floor, with how much of each there is; and what
goes deeper in one sentence."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

from shapely.geometry import LineString

from humble_trowel.core.edges.section_sizes import SectionSize
from humble_trowel.core.geometry.bays import beam_crossings, feet
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.order.ledger_part import LedgerPart
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import BeamType, EdgeType, PadType
from humble_trowel.core.units import format_volume, say_depth, say_length, volume_unit

STUB_MM = 260.0  # of plain slab beside the thing, before the break


@dataclass(frozen=True)
class KindCut:
    """A kind, cut across. kind: edge, beam or pad. says: how much of it the job has. ring: (s_mm, z_mm), 0 the floor.
    breaks: (s_mm, top, bottom) where the slab is broken off. middle: whether it has a centre line (round pads)."""

    kind: str
    mark: str
    says: str
    count: int
    ring: list[XY]
    breaks: list[tuple[float, float, float]]
    sizes: list[SectionSize]
    middle: bool


@dataclass(frozen=True)
class Bay:
    """A bay along a wall, from one foot of a beam to the next. side: its first corner's place and id. beam: the one that
    ends it, or the one that begins it (behind), by id. a, b: its ends on the wall."""

    side: int
    side_id: str
    beam: str
    behind: bool
    text: str
    a: XY
    b: XY


@dataclass(frozen=True)
class Deeper:
    """What goes deeper than the slab. m3: concrete of beams and pads; crossings: where beams cross, counted once."""

    verdict: str
    why: str
    beams: int
    pads: int
    kinds: list[KindCut]
    bays: list[Bay]
    crossings: list[XY]


def deeper(plan: Plan, cells: Sequence[Cell], parts: Sequence[LedgerPart]) -> Deeper:
    """Everything of the tab that lays beams and pads."""
    slab = next((cell.thickness_mm for cell in cells), 100.0)
    kinds = [_edge(plan, row, slab) for row in plan.edge_types if row.kind == "thickened"]
    kinds += [_beam(plan, row, slab) for row in plan.beam_types]
    kinds += [_pad(plan, row, slab) for row in plan.pad_types]
    beams, pads = len(plan.beams), len(plan.pads)
    names = [f"{n} {name if n == 1 else name + 's'}" for n, name in ((beams, "beam"), (pads, "pad")) if n]
    verdict = " and ".join(names) or ("Only the edges" if any(one.count for one in kinds) else "Nowhere yet")
    return Deeper(verdict, _why(plan, parts), beams, pads, kinds, _bays(plan), beam_crossings(plan))


def _why(plan: Plan, parts: Sequence[LedgerPart]) -> str:
    m3 = math.fsum(part.m3 for part in parts if part.kind in ("beam", "pad"))
    if not plan.beams and not plan.pads:
        return "Press a wall, a corner or a spot on the plan, and call what goes there."
    long_mm = math.fsum(LineString(beam.path).length for beam in plan.beams)
    trench = f" and {say_length(long_mm, plan.units)} of trench" if long_mm else ""
    return f"They add {format_volume(m3, plan.units)} {volume_unit(plan.units)}{trench}."


def _bays(plan: Plan) -> list[Bay]:
    ring = list(plan.outline or [])
    rows = []
    for side, stand in feet(plan).items():
        a, b = side_of(ring, side)
        long_mm = math.dist(a, b)
        stops = [0.0, *[foot.along_mm for foot in stand], long_mm]
        for at, (start, end) in enumerate(pairwise(stops)):
            behind = at == len(stand)
            beam = plan.beams[stand[at - 1 if behind else at].row].id
            spots = [(a[0] + mm / long_mm * (b[0] - a[0]), a[1] + mm / long_mm * (b[1] - a[1])) for mm in (start, end)]
            text = say_length(end - start, plan.units)
            rows.append(Bay(side, plan.corner_ids[side], beam, behind, text, spots[0], spots[1]))
    return rows


def _size(plan: Plan, what: tuple[str, str, str], value: float, one: XY, two: XY) -> SectionSize:
    kind, key, mark = what
    return SectionSize(kind, key, mark, -1, value, say_depth(value, plan.units), *one, *two, True)


def _degrees(kind: str, mark: str, run: float, foot: XY, end: XY) -> list[SectionSize]:
    if not run:
        return []
    degrees = math.degrees(math.atan(1 / run))
    text = f"{degrees:.1f}".rstrip("0").rstrip(".") + "°"
    return [SectionSize(kind, "degrees", mark, -1, degrees, text, *foot, *end, True)]


def _edge(plan: Plan, row: EdgeType, slab: float) -> KindCut:
    deep, wide, run = row.depth_mm or slab, row.bottom_width_mm or 0.0, row.haunch_run_per_rise or 0.0
    end = (wide + run * max(0.0, deep - slab), -min(slab, deep))
    far = end[0] + STUB_MM
    ring = [(0.0, 0.0), (0.0, -deep), (wide, -deep), end, (far, -slab), (far, 0.0)]
    sizes = [
        _size(plan, ("edge", "depth", row.mark), deep, (0.0, 0.0), (0.0, -deep)),
        _size(plan, ("edge", "bottom_width", row.mark), wide, (0.0, -deep), (wide, -deep)),
        *_degrees("edge", row.mark, run, (wide, -deep), end),
    ]
    sides = [side for edge in plan.edges if edge.type == row.mark for side in edge.sides or ()]
    lines = [edge.along for edge in plan.edges if edge.type == row.mark and edge.along]
    long_mm = math.fsum(
        [
            *(math.dist(*side_of(list(plan.outline or []), side)) for side in sides),
            *(LineString(line).length for line in lines),
        ]
    )
    count = len(sides) + len(lines)
    says = f"{say_length(long_mm, plan.units)} of edge" if count else "not used yet"
    return KindCut("edge", row.mark, says, count, ring, [(far, 0.0, -slab)], sizes, False)


def _beam(plan: Plan, row: BeamType, slab: float) -> KindCut:
    deep, wide, run = row.depth_mm, row.width_mm, row.haunch_run_per_rise or 0.0
    low, half = -min(slab, deep), wide / 2
    end = half + run * max(0.0, deep - slab)
    far = end + STUB_MM
    ring = [(-far, 0.0), (-far, low), (-end, low), (-half, -deep), (half, -deep), (end, low), (far, low), (far, 0.0)]
    sizes = [
        _size(plan, ("beam", "depth", row.mark), deep, (-far, 0.0), (-far, -deep)),
        _size(plan, ("beam", "width", row.mark), wide, (-half, -deep), (half, -deep)),
        *_degrees("beam", row.mark, run, (half, -deep), (end, low)),
    ]
    own = [beam for beam in plan.beams if beam.type == row.mark]
    total = say_length(math.fsum(LineString(beam.path).length for beam in own), plan.units)
    says = "not laid yet" if not own else f"one, {total}" if len(own) == 1 else f"{len(own)}, {total} in all"
    return KindCut("beam", row.mark, says, len(own), ring, [(-far, 0.0, low), (far, 0.0, low)], sizes, False)


def _pad(plan: Plan, row: PadType, slab: float) -> KindCut:
    key, wide = ("diameter", row.diameter_mm) if row.shape == "round" else ("width", row.width_mm)
    half, deep, low = (wide or 0.0) / 2, row.depth_mm, -min(slab, row.depth_mm)
    far = half + STUB_MM
    ring = [(-far, 0.0), (-far, low), (-half, low), (-half, -deep), (half, -deep), (half, low), (far, low), (far, 0.0)]
    sizes = [
        _size(plan, ("pad", "depth", row.mark), deep, (-far, 0.0), (-far, -deep)),
        _size(plan, ("pad", key, row.mark), wide or 0.0, (-half, -deep), (half, -deep)),
    ]
    shape = (
        "round"
        if row.shape == "round"
        else "square"
        if row.width_mm == row.length_mm
        else f"{say_depth(row.length_mm or 0.0, plan.units)} long"
    )
    count = sum(1 for pad in plan.pads if pad.type == row.mark)
    says = f"{'one' if count == 1 else count}, {shape}" if count else f"{shape}, none set yet"
    return KindCut("pad", row.mark, says, count, ring, [(-far, 0.0, low), (far, 0.0, low)], sizes, row.shape == "round")
