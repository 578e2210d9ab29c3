"""Mats of bars in slabs, with bars along the edge where a way asks for them, diagonals in inside corners, trimmers round openings."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

import shapely
from shapely.geometry import LineString, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.overlay import GRID_MM, outlines
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.bars import Bar, bar_of
from humble_trowel.core.plan.steel_parts import SlabSteel
from humble_trowel.core.steel.frame import Frame
from humble_trowel.core.steel.laid import Laid, along, counted, lines_of, shifted, spliced_lengths
from humble_trowel.core.steel.mats import STUB_MM, Layer, layer, pieces_of

ROW_APART_MM = 150.0
DIAGONAL_APART_MM = 75.0


@dataclass(frozen=True)
class SlabLaid:
    """What one slab type holds. region: of all its zones, mm. thick_mm: the thinnest of them. low_mm: from the underside to the
    lowest bar or sheet; None where nothing is held up."""

    row: SlabSteel
    zones: list[str]
    region: BaseGeometry
    thick_mm: float
    layers: list[Layer]
    bars: tuple[Bar, Bar] | None
    laid: list[Laid]
    low_mm: float | None


def slab_cells(frame: Frame, row: SlabSteel) -> list[Cell]:
    """The zones that a way holds together."""
    return [cell for cell in frame.solid.cells if cell.mark == row.slab]


def slab_laid(frame: Frame, row: SlabSteel, angle: float) -> SlabLaid:
    """The steel of one slab type. angle: the way of the longest side, from east. Raises InputError for far too many bars,
    ValueError for a lap longer than a bar."""
    cells = slab_cells(frame, row)
    region = shapely.union_all([cell.region for cell in cells], grid_size=GRID_MM) if cells else Polygon()
    thick = min((cell.thickness_mm for cell in cells), default=0.0)
    names = [cell.name for cell in cells]
    cover = frame.ways.side_mm
    inner = region.intersection(frame.inset(cover)) if cells else region
    for recess in frame.solid.recesses:
        inner = inner.difference(Polygon(recess.polygon).buffer(cover, join_style="mitre"))
    empty = SlabLaid(row, names, inner, thick, [], None, [], None)
    if row.way == "bars":
        return _mat(frame, row, inner, thick, names, angle)
    laid = _edge_rows(frame, row, region) if row.way in ("mesh-tied", "fibre-edges") else []
    low = _low(frame, row, thick, 5.0, 5.0) if row.way in ("mesh", "rolls", "mesh-tied") else None
    return SlabLaid(empty.row, names, inner, thick, [], None, laid, low)


def sizes_of(frame: Frame, row: SlabSteel) -> tuple[tuple[Bar, float], tuple[Bar, float]]:
    """(bar, spacing) one way and the other."""
    bar = bar_of(row.bar) if row.bar else frame.usual
    spacing = row.spacing_mm or frame.ways.spacing_mm
    return (bar, spacing), (bar_of(row.other_bar) if row.other_bar else bar, row.other_mm or spacing)


def _mat(frame: Frame, row: SlabSteel, inner: BaseGeometry, thick: float, names: list[str], angle: float) -> SlabLaid:
    (one, one_mm), (other, other_mm) = sizes_of(frame, row)
    layers, laid = [], []
    low = _low(frame, row, thick, one.d_mm, other.d_mm)
    levels = (low + one.d_mm / 2 - thick, low + one.d_mm + other.d_mm / 2 - thick)
    for at, (bar, spacing, turn) in enumerate(((one, one_mm, 0.0), (other, other_mm, 90.0))):
        stock, lap = frame.stock_mm(bar), frame.lap(bar, row.lap_mm)
        found = layer(inner, spacing, angle + turn, stock, lap)
        layers.append(found)
        if found.bars:
            words = f"{bar.name} mat in {row.slab}, {_ways(angle + turn)}"
            pieces = counted(piece for one_bar in found.bars for piece in pieces_of(one_bar, stock, lap))
            laid.append(
                Laid(
                    f"mat/{row.slab}/{at}",
                    words,
                    bar,
                    "straight",
                    pieces,
                    lines_of([b.ends for b in found.bars]),
                    levels[at],
                    lap_mm=lap,
                )
            )
    return SlabLaid(row, names, inner, thick, layers, (one, other), laid, low)


def _ways(deg: float) -> str:
    names = ("east to west", "north-east to south-west", "north to south", "north-west to south-east")
    return names[round((deg % 180) / 45) % 4]


def _low(frame: Frame, row: SlabSteel, thick: float, lower: float, upper: float) -> float:
    """From the slab's underside to the lower bar's underside."""
    if row.level == "middle":
        return max(0.0, thick / 2 - lower)
    if row.level == "bottom":
        return frame.ways.earth_mm if row.clear_mm is None else row.clear_mm
    return max(0.0, thick - (frame.ways.top_mm if row.clear_mm is None else row.clear_mm) - lower - upper)


def _edge_rows(frame: Frame, row: SlabSteel, region: BaseGeometry) -> list[Laid]:
    """Two bars along every outer edge of these zones."""
    bar = bar_of(row.bar) if row.bar else frame.usual
    stock, lap = frame.stock_mm(bar), frame.lap(bar, row.lap_mm)
    lines: list[tuple[XY, XY]] = []
    for off in (frame.ways.side_mm, frame.ways.side_mm + ROW_APART_MM):
        for ring in outlines(frame.inset(off)):
            for a, b in pairwise([*ring, ring[0]]):
                part = LineString([a, b]).intersection(region)
                lines += [
                    (p.coords[0], p.coords[-1])
                    for p in shapely.get_parts(part)
                    if p.geom_type == "LineString" and p.length >= STUB_MM
                ]
    if not lines:
        return []
    pieces = counted(
        piece for i, (a, b) in enumerate(lines) for piece in spliced_lengths(math.dist(a, b), stock, lap, bool(i % 2))
    )
    words = f"{bar.name} along the edge of {row.slab}"
    return [Laid(f"rim/{row.slab}", words, bar, "straight", pieces, lines_of(lines), lap_mm=lap)]


def inside_corners(frame: Frame) -> list[tuple[XY, XY]]:
    """(corner, the way into the concrete) of every inside corner: of the outline, of openings and recesses."""
    found = []
    rings: list[list[XY]] = [[(x, y) for x, y in ring] for ring in outlines(frame.concrete)]
    holes: list[list[XY]] = [list(row.polygon) for row in frame.solid.recesses]
    for ring in (*rings, *holes):
        for i, at in enumerate(ring):
            before, after = ring[i - 1], ring[(i + 1) % len(ring)]
            (ux, uy), one = along(at, before)
            (vx, vy), two = along(at, after)
            bx, by = -(ux + vx), -(uy + vy)
            size = math.hypot(bx, by)
            if min(one, two) < 50.0 or size < 0.2:
                continue
            spot = (at[0] + bx / size * 20, at[1] + by / size * 20)
            other = (at[0] - bx / size * 20, at[1] - by / size * 20)
            inside = frame.concrete.contains(shapely.Point(spot))
            hole = ring in holes or not frame.concrete.contains(shapely.Point(other))
            if inside and hole:
                found.append((at, (bx / size, by / size)))
    return found


def diagonals(frame: Frame, rows: Sequence[SlabLaid]) -> list[Laid]:
    """Two bars across every inside corner of slabs that hold bars or mesh."""
    held = [row for row in rows if row.row.way in ("bars", "mesh", "rolls", "mesh-tied")]
    if not frame.plan.steel.diagonals or not held:
        return []
    bar = held[0].bars[0] if held[0].bars else frame.usual
    region = shapely.union_all([cell.region for row in held for cell in slab_cells(frame, row.row)], grid_size=GRID_MM)
    room = frame.inset(frame.ways.side_mm).intersection(region)
    lines = []
    for at, (bx, by) in inside_corners(frame):
        for k in range(2):
            mid = shifted(at, (bx, by), frame.ways.side_mm * math.sqrt(2) + bar.d_mm + DIAGONAL_APART_MM * k)
            half = frame.ways.diagonal_mm / 2
            a, b = shifted(mid, (-by, bx), half), shifted(mid, (by, -bx), half)
            lines += _longest(LineString([a, b]).intersection(room), mid)
    return _one_mark("diagonal", f"{bar.name} across inside corners", bar, lines)


def trimmers(frame: Frame, rows: Sequence[SlabLaid]) -> list[Laid]:
    """A bar along each side of an opening, past its corners by a lap."""
    held = [row for row in rows if row.row.way in ("bars", "mesh", "rolls", "mesh-tied")]
    if not frame.plan.steel.trimmers or not held or not frame.plan.openings:
        return []
    bar = held[0].bars[0] if held[0].bars else frame.usual
    lap, cover = frame.lap(bar), frame.ways.side_mm
    room = frame.inset(cover - 1.0)
    lines = []
    for ring in frame.plan.openings:
        grown = Polygon(ring).buffer(cover, join_style="mitre")
        spots: list[XY] = [(c[0], c[1]) for c in grown.exterior.coords]
        for a, b in pairwise(spots):
            way, size = along(a, b)
            line = LineString([shifted(a, way, -lap), shifted(b, way, lap)])
            lines += _longest(line.intersection(room), shifted(a, way, size / 2))
    return _one_mark("trimmer", f"{bar.name} round openings", bar, lines)


def _longest(shape: BaseGeometry, near: XY) -> list[tuple[XY, XY]]:
    """The straight part that lies at a spot, where it is worth laying."""
    parts = [one for one in shapely.get_parts(shape) if one.geom_type == "LineString" and one.length >= STUB_MM]
    if not parts:
        return []
    best = min(parts, key=lambda one: one.distance(shapely.Point(near)))
    return [(best.coords[0], best.coords[-1])]


def _one_mark(key: str, words: str, bar: Bar, lines: list[tuple[XY, XY]]) -> list[Laid]:
    if not lines:
        return []
    return [Laid(key, words, bar, "straight", counted(math.dist(a, b) for a, b in lines), lines_of(lines))]
