"""The plan as primitives in mm: what is drawn on the sheet, with no pixel and no SVG in it."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from functools import partial

import numpy as np
import shapely
from numpy.typing import NDArray
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.borders import shared_borders
from humble_trowel.core.geometry.foam_faces import foam_faces
from humble_trowel.core.geometry.overlay import GRID_MM
from humble_trowel.core.geometry.pads import pad_ring
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.shares import Piece, polygons_of
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.memo import ByContent
from humble_trowel.core.order.ledger_part import LedgerPart, label_spot
from humble_trowel.core.order.second_pours import SecondPour
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import PadType
from humble_trowel.core.units import say_depth

Rings = list[list[XY]]
BORDER_MM = 0.05
HIDDEN_MM = 0.2


@dataclass(frozen=True)
class ZoneDrawn:
    """rings: exteriors and holes, even-odd. under: the second line of its label."""

    index: int
    name: str
    under: str
    mark: str
    drop_mm: float
    rings: Rings
    at: XY


@dataclass(frozen=True)
class StripDrawn:
    """An edge, beam or pad as drawn, later ones over earlier: face 'full' or 'haunch'. kind: edge, beam or pad.

    row: of `edges`, `beams` or `pads`. number: of the part. rings: touching convex pieces. borders: the lines where
    the bottom ends (full) or the haunch comes up to the slab; a pad's own outline.
    """

    kind: str
    row: int
    number: int
    mark: str
    face: str
    rings: Rings
    borders: Rings


@dataclass(frozen=True)
class Outlined:
    """A recess, a pile head, or what comes on top or beside: its rings and where its name stands."""

    kind: str
    row: int
    name: str
    rings: Rings
    at: XY


@dataclass(frozen=True)
class PlanView:
    zones: list[ZoneDrawn]
    strips: list[StripDrawn]
    steps: Rings
    outlined: list[Outlined]


def plan_view(plan: Plan, solid: Solid, parts: list[LedgerPart], pours: Sequence[SecondPour] = ()) -> PlanView:
    """Zones with labels (where the ledger has its letters), strips, and the lines along which the top steps."""
    zones = []
    for cell, part in zip(solid.cells, parts, strict=False):
        zone = plan.zones[cell.index]
        drop = f"{say_depth(zone.drop_mm, plan.units)} down, " if zone.drop_mm else ""
        under = f"{drop}{say_depth(cell.thickness_mm, plan.units)} {cell.mark}"
        zones.append(ZoneDrawn(cell.index, cell.name, under, cell.mark, zone.drop_mm, _rings(cell.region), part.at))
    return PlanView(zones, _strips(plan, solid), _steps(plan, solid.cells), _outlined(plan, pours))


Face = tuple[str, Rings, Rings]  # full or haunch, its rings, its borders
_FACES: ByContent[list[Face]] = ByContent(4_000)
_LINES: ByContent[Rings] = ByContent(20_000)
_SEEN: ByContent[Rings] = ByContent(20_000)


def _strips(plan: Plan, solid: Solid) -> list[StripDrawn]:
    drawn = []
    for number, pieces in sorted(solid.by_part.items()):
        part = solid.parts[number]
        bordered = part.kind != "pad"
        content = (bordered, tuple([(tuple(one.ring), one.excess, one.inner, one.face) for one in pieces]))
        for face, rings, borders in _FACES.get(content, partial(_faces, pieces, bordered)):
            if not bordered:
                ring = _rounded(pad_ring(_pad_type(plan, part.mark), plan.pads[part.row]))
                borders = [[*ring, ring[0]]]
            drawn.append(StripDrawn(part.kind, part.row, number, part.mark, face, rings, borders))
    return drawn


def _faces(pieces: Sequence[Piece], bordered: bool) -> list[Face]:
    """The faces of one part as they are drawn; what hides a border is a later piece of the same part."""
    lines = _seen(pieces) if bordered else [[] for _ in pieces]
    by_face: dict[str, tuple[Rings, Rings]] = {}
    for piece, seen in zip(pieces, lines, strict=True):
        rings, borders = by_face.setdefault(piece.face, ([], []))
        rings.append(_rounded(piece.ring))
        borders.extend(seen)
    return [(face, rings, borders) for face, (rings, borders) in sorted(by_face.items())]


def _pad_type(plan: Plan, mark: str) -> PadType:
    return next(row for row in plan.pad_types if row.mark == mark)


def _outlined(plan: Plan, pours: Sequence[SecondPour]) -> list[Outlined]:
    rows = [
        Outlined("recess", at, recess.name, [_rounded(recess.polygon)], label_spot(Polygon(recess.polygon)))
        for at, recess in enumerate(plan.recesses)
    ]
    for at, face in enumerate(foam_faces(plan)):
        parts = [part for part in shapely.get_parts(face.region) if part.geom_type == "Polygon"]
        rings = [ring for part in parts for ring in (part.exterior, *part.interiors)]
        drawn = [_rounded([(x, y) for x, y in ring.coords[:-1]]) for ring in rings]
        rows.append(Outlined("foam", at, face.kind.mark, drawn, (0.0, 0.0)))
    for pour in pours:
        middle = Polygon(pour.rings[0]).representative_point() if pour.rings else None
        if middle is not None:
            rows.append(Outlined(pour.kind, pour.row, pour.name, pour.rings, (middle.x, middle.y)))
    for at, piles in enumerate(plan.piles):
        for spot in piles.at:
            circle = shapely.Point(spot).buffer(piles.diameter_mm / 2, quad_segs=6)
            rows.append(
                Outlined("pile", at, piles.name, [_rounded([(x, y) for x, y in circle.exterior.coords[:-1]])], spot)
            )
    return rows


def _seen(pieces: Sequence[Piece]) -> list[Rings]:
    """Borders of every piece of a part, less what lies under a later one (others are painted over it): by the content of
    the piece and of those later ones that it meets, so that a corner that moves costs only what is near it."""
    shapes = [(tuple(piece.ring), piece.excess) for piece in pieces]
    later: list[list[int]] = [[] for _ in pieces]
    boxes = shapely.box(*np.array([piece.box for piece in pieces]).T)
    for one, two in sorted(shapely.STRtree(boxes).query(boxes).T.tolist()):
        if two > one and pieces[two].excess != pieces[one].excess:  # else of one facet, side by side
            later[one].append(two)
    keys = [
        (shape, piece.inner, tuple([shapes[two] for two in over]))
        for piece, shape, over in zip(pieces, shapes, later, strict=True)
    ]
    held = [_SEEN.find(key) for key in keys]
    new = [at for at, lines in enumerate(held) if lines is None]
    found = dict(zip(new, _uncovered(pieces, new, later), strict=True))
    rows = [found[at] if lines is None else lines for at, lines in enumerate(held)]
    return [_SEEN.get(key, lambda lines=lines: lines) for key, lines in zip(keys, rows, strict=True)]  # type: ignore[misc]


def _uncovered(pieces: Sequence[Piece], wanted: Sequence[int], later: Sequence[Sequence[int]]) -> list[Rings]:
    """Borders of the wanted pieces, less what lies under those later ones."""
    borders = [_borders(pieces[at]) for at in wanted]
    owner = [(row, line) for row, lines in enumerate(borders) for line in lines]
    if not owner:
        return borders
    above = sorted({two for at in wanted for two in later[at]})
    shapes = dict(zip(above, polygons_of([pieces[two].ring for two in above]), strict=True))
    ends = np.array([line for _, line in owner])
    drawn: list[BaseGeometry] = np.asarray(shapely.linestrings(ends)).tolist()
    pairs = [(line, two) for line, (row, _) in enumerate(owner) for two in later[wanted[row]]]
    met = shapely.intersects([drawn[line] for line, _ in pairs], [shapes[two] for _, two in pairs])
    over: dict[int, list[BaseGeometry]] = {}
    for (line, two), meets in zip(pairs, met, strict=True):
        if meets:
            over.setdefault(line, []).append(shapes[two])
    for line in _maybe_hidden(ends, over):
        cover = shapely.union_all(over[line], grid_size=GRID_MM).buffer(-HIDDEN_MM, join_style="mitre")
        drawn[line] = shapely.difference(drawn[line], shapely.make_valid(cover), grid_size=GRID_MM)
    kept: list[Rings] = [[] for _ in wanted]
    for (row, _), left in zip(owner, drawn, strict=True):
        whole = left.geom_type == "LineString"
        for part in (left,) if whole else shapely.get_parts(left):
            if part.length > HIDDEN_MM:
                kept[row].append(_rounded(shapely.get_coordinates(part).tolist()))
    return kept


def _maybe_hidden(ends: NDArray[np.float64], over: Mapping[int, Sequence[BaseGeometry]]) -> list[int]:
    """Lines of which some spot has a later piece on both sides; the others only touch theirs."""
    pairs = [(line, cover) for line, covers in over.items() for cover in covers]
    if not pairs:
        return []
    which = np.array([line for line, _ in pairs])
    start, end = ends[which, 0], ends[which, 1]
    along = end - start
    aside = np.stack([-along[:, 1], along[:, 0]], axis=1)
    aside *= HIDDEN_MM / np.maximum(np.hypot(*along.T), 1e-9)[:, None]
    hidden = np.zeros(len(ends), dtype=bool)
    shapes = np.array([cover for _, cover in pairs], dtype=object)
    for share in (0.05, 0.35, 0.65, 0.95):
        both = np.ones(len(ends), dtype=bool)
        for side in (1.0, -1.0):
            spots = start + share * along + side * aside
            met = shapely.contains_xy(shapes, spots[:, 0], spots[:, 1])
            both &= np.bincount(which, weights=met, minlength=len(ends)) > 0
        hidden |= both
    return [line for line in over if hidden[line]]


def _borders(piece: Piece) -> Rings:
    return _LINES.get((tuple(piece.ring), piece.excess, piece.inner), lambda: _border_lines(piece))


def _border_lines(piece: Piece) -> Rings:
    """Sides of a piece that lie on the inner border of its facet, or where it is no deeper than the slab."""
    on_borders = [[abs(line.at(x, y)) < BORDER_MM for x, y in piece.ring] for line in piece.inner]
    on_slab = [piece.excess.at(x, y) < BORDER_MM for x, y in piece.ring]
    lines: Rings = []
    for at, spot in enumerate(piece.ring):
        if any(on[at - 1] and on[at] for on in (*on_borders, on_slab)):
            lines.append(_rounded([piece.ring[at - 1], spot]))
    return lines


def _rounded(ring: Sequence[XY]) -> list[XY]:
    return [(round(x, 2), round(y, 2)) for x, y in ring]


def _rings(region: BaseGeometry) -> Rings:
    rings: Rings = []
    for part in shapely.get_parts(region):
        if part.geom_type == "Polygon" and part.area > 1.0:
            for ring in (part.exterior, *part.interiors):
                rings.append(_rounded(shapely.get_coordinates(ring)[:-1].tolist()))
    return rings


def _steps(plan: Plan, cells: list[Cell]) -> Rings:
    lines: Rings = []
    for at, one in enumerate(cells):
        for other in cells[at + 1 :]:
            if plan.zones[one.index].drop_mm == plan.zones[other.index].drop_mm:
                continue
            lines += [_rounded(line) for line in shared_borders(one.region, other.region)]
    return lines
