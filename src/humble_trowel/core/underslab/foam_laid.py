"""Foam as it is laid: under the slab board by board, on its edges in strips, round columns; its R and what it carries.

Boards under a slab end where concrete goes deeper. Sprayed foam is a volume and strays: what it may lie low is concrete.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import shapely
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.edges.foam import R_PER_INCH, RSI_PER_R
from humble_trowel.core.edges.frost_sides import weather_sides
from humble_trowel.core.edges.wings import wings
from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.foam_faces import foam_faces
from humble_trowel.core.geometry.overlay import GRID_MM, outlines
from humble_trowel.core.geometry.polygon import XY, sides_mm
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.ground.regions import where_it_is
from humble_trowel.core.ground.stack import below_slab_mm, build_up_of, stack_rows
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import EdgeType
from humble_trowel.core.plan.underslab_parts import FoamBoards, FoamKind, FoamPlace
from humble_trowel.core.plan.underslab_ways import UnderslabWays
from humble_trowel.core.sheets.boards import BoardLayout, best_boards
from humble_trowel.core.sheets.counts import strips
from humble_trowel.core.sheets.rows import long_ways
from humble_trowel.core.underslab.insulation import slab_edge
from humble_trowel.core.units import MM_PER_IN, format_area, say_depth, say_length

KIND_WORDS: dict[FoamKind, str] = {
    "XPS": "XPS",
    "EPS_II": "EPS type II",
    "EPS_IX": "EPS type IX",
    "SPRAY": "sprayed foam",
}
SPRAY_R = 6.0
PLY_MM = 101.6
WING_MM = 50.8  # thickness of foam lying flat, where none is said
CREEP = 3.0
CONCRETE_KPA_PER_MM = 0.0236


@dataclass(frozen=True)
class FoamLaid:
    """Foam of one place and thickness. zones: where, in words. boards: to buy, 0 of sprayed foam. layout: of one ply under
    the slab. asked: what the energy code asks, '' where it asks nothing or nobody said where the job is. within_mm: how far
    sprayed foam strays, low_m3: what concrete that may take."""

    what: FoamPlace
    kind: FoamKind
    kind_text: str
    zones: list[str]
    mm: float
    text: str
    plies: int
    area_m2: float
    area_text: str
    region: list[list[XY]]
    layout: BoardLayout | None
    board_text: str
    boards: int
    cut_text: str
    r_us: float
    rsi: float
    asked: str
    enough: bool
    strength_kpa: float | None
    carries_kpa: float | None
    load_kpa: float | None
    within_mm: float
    low_m3: float


def foam_laid(plan: Plan, solid: Solid, ways: UnderslabWays) -> list[FoamLaid]:
    """All foam of a job, under the slab first. Raises ValueError for boards that cannot be laid."""
    return [*_under(plan, solid, ways), *_edges(plan, ways), *_wings(plan, ways), *_rings(plan, ways)]


def _said(plan: Plan, what: FoamPlace) -> FoamBoards:
    return next((row for row in plan.underslab.foam if row.what == what), FoamBoards(what=what))


def _under(plan: Plan, solid: Solid, ways: UnderslabWays) -> list[FoamLaid]:
    """By thickness and strength: zones that share both are laid as one."""
    groups: dict[tuple[float, float | None], list[tuple[str, BaseGeometry, float, bool]]] = {}
    for cell in solid.cells:
        build = build_up_of(plan, cell.mark)
        at = next(i for i, layer in enumerate(build.layers) if layer.kind == "slab")
        for layer, row in list(zip(build.layers, stack_rows(plan, cell), strict=True))[at + 1 :]:
            if layer.kind == "foam":
                region = where_it_is(solid, cell, below_slab_mm(plan, cell, row))
                found = groups.setdefault((row.thickness_mm, layer.strength_kpa), [])
                found.append((cell.name, region, cell.thickness_mm, build.heated))
    rows = []
    for (mm, strength), zones in groups.items():
        region = shapely.union_all([one for _, one, _, _ in zones], grid_size=GRID_MM)
        if region.area > 1.0:
            slab_mm, heated = max(one[2] for one in zones), any(one[3] for one in zones)
            rows.append(_flat(plan, ways, region, mm, strength, [name for name, *_ in zones], slab_mm, heated))
    return rows


def _flat(
    plan: Plan, ways: UnderslabWays, region: BaseGeometry, mm: float, strength: float | None, zones: list[str],
    slab_mm: float, heated: bool,
) -> FoamLaid:  # fmt: skip
    said = _said(plan, "under")
    kind = said.kind or ways.foam
    long, wide = said.board_long_mm or ways.board_long_mm, said.board_wide_mm or ways.board_wide_mm
    plies = max(1, math.ceil(mm / (said.ply_mm or PLY_MM) - 1e-9))
    sprayed = kind == "SPRAY"
    layout = None if sprayed else best_boards(region, long, wide, min(ways.stagger_mm, long / 2), long_ways(region))
    r = mm / MM_PER_IN * _per_inch(kind)
    asked = 5.0 if heated and plan.underslab.energy_code in ("2021", "2024") else 0.0
    within = (ways.within_mm if said.within_mm is None else said.within_mm) if sprayed else 0.0
    load = None if plan.underslab.load_kpa is None else plan.underslab.load_kpa + slab_mm * CONCRETE_KPA_PER_MM
    return FoamLaid(
        "under", kind, KIND_WORDS[kind], zones, mm, say_depth(mm, plan.units), plies, region.area / 1e6,
        format_area(region.area / 1e6, plan.units), outlines(region), layout,
        "" if sprayed else f"{say_length(long, plan.units)} × {say_length(wide, plan.units)}",
        0 if layout is None else layout.bought * plies, _cut_text(layout, plies), r, r * RSI_PER_R,
        f"R-{asked:g} under all of a heated slab" if asked else "", r >= asked - 1e-6, strength,
        None if strength is None else strength / CREEP, load, within, region.area * within / 1e9,
    )  # fmt: skip


def _edges(plan: Plan, ways: UnderslabWays) -> list[FoamLaid]:
    """Boards on the outline's faces, in strips as high as the edge."""
    said = _said(plan, "edge")
    kind = said.kind or ways.foam
    long, wide = said.board_long_mm or ways.board_long_mm, said.board_wide_mm or ways.board_wide_mm
    ring = list(plan.outline or [])
    sizes = sides_mm(ring) if ring else []
    rows = []
    for face in foam_faces(plan):
        run, high = math.fsum(sizes[side] for side in face.sides), _high(plan, face.kind)
        mm = face.kind.foam_mm or 0.0
        r = mm / MM_PER_IN * _per_inch(kind)
        asked, enough = _asked(plan, r, high, any(row.heated for row in plan.build_ups))
        made = None if kind == "SPRAY" else _strips(run, high, long, wide)
        rows.append(
            FoamLaid(
                "edge", kind, KIND_WORDS[kind], [face.kind.mark], mm, say_depth(mm, plan.units), 1, run * high / 1e6,
                format_area(run * high / 1e6, plan.units), outlines(face.region), None,
                "" if made is None else f"{say_length(long, plan.units)} × {say_length(wide, plan.units)}",
                0 if made is None else made[0],
                f"{say_length(run, plan.units)} of strips {say_depth(high, plan.units)} high"
                + ("" if made is None else f", {made[1]} from a board"),
                r, r * RSI_PER_R, asked, enough, None, None, None, 0.0, 0.0,
            )
        )  # fmt: skip
    return rows


def _high(plan: Plan, kind: EdgeType) -> float:
    slab = max((row.thickness_mm for row in plan.slab_types), default=0.0)
    return (kind.depth_mm or slab) + (kind.foam_past_mm or 0.0)


def _strips(run: float, high: float, long: float, wide: float) -> tuple[int, int]:
    """(boards, strips from one). Strips higher than a board is wide are laid upright, end to end over its length."""
    if high <= wide:
        found = strips(run, high, long, wide)
        return found.sheets, found.per_sheet
    up = strips(run, high, wide, long) if high <= long else None
    return (up.sheets, up.per_sheet) if up else (math.ceil(run * high / (long * wide)), 1)


def _asked(plan: Plan, r: float, high_mm: float, heated: bool) -> tuple[str, bool]:
    """What the energy code asks of the slab's edge, and whether this is it."""
    zone, edition = plan.underslab.climate_zone, plan.underslab.energy_code
    if zone is None or edition is None:
        return "", True
    row, _sure = slab_edge(edition, zone)
    if row is None:
        return f"IECC {edition} asks nothing at the edge in zone {zone}", True
    want = row[0] + (5 if heated else 0)
    deep = row[1] * 304.8
    text = f"IECC {edition} in zone {zone} asks R-{want} for {say_length(deep, plan.units)}"
    return text, r >= want - 1e-6 and high_mm >= deep - 1.0


def _wings(plan: Plan, ways: UnderslabWays) -> list[FoamLaid]:
    """Boards lying flat outside the sides that are open to the weather."""
    said = _said(plan, "wing")
    if said.wing_mm is None or not plan.outline:
        return []
    kind = said.kind or ways.foam
    long, wide = said.board_long_mm or ways.board_long_mm, said.board_wide_mm or ways.board_wide_mm
    mm = said.ply_mm or WING_MM
    sides = weather_sides(plan)
    flat = wings(list(plan.outline), sides, said.wing_mm, said.wing_mm, said.wing_mm)
    region = shapely.union_all([Polygon(ring) for ring in (*flat.wall_rings, *flat.corner_rings)], grid_size=GRID_MM)
    if region.area < 1.0:
        return []
    layout = (
        None if kind == "SPRAY" else best_boards(region, long, wide, min(ways.stagger_mm, long / 2), long_ways(region))
    )
    r, names = (
        mm / MM_PER_IN * _per_inch(kind),
        [f"{say_length(said.wing_mm, plan.units)} wide along {len(sides)} sides"],
    )
    return [
        FoamLaid(
            "wing", kind, KIND_WORDS[kind], names, mm, say_depth(mm, plan.units), 1, region.area / 1e6,
            format_area(region.area / 1e6, plan.units), outlines(region), layout,
            "" if layout is None else f"{say_length(long, plan.units)} × {say_length(wide, plan.units)}",
            0 if layout is None else layout.bought, _cut_text(layout, 1), r, r * RSI_PER_R, "", True, None, None, None, 0.0, 0.0,
        )
    ]  # fmt: skip


def _rings(plan: Plan, ways: UnderslabWays) -> list[FoamLaid]:
    """Foam wrapped round columns: strips as high as the slab is not known here, so a length round each."""
    kind = _said(plan, "ring").kind or ways.foam
    rows = [row for row in plan.underslab.risers if row.kind == "column" and row.ring_mm > 0]
    if not rows:
        return []
    mm = max(row.ring_mm for row in rows)
    deep = max((row.thickness_mm for row in plan.slab_types), default=0.0)
    round_mm = math.fsum(4 * (row.size_mm + 2 * row.ring_mm) for row in rows)
    r = mm / MM_PER_IN * _per_inch(kind)
    return [
        FoamLaid(
            "ring", kind, KIND_WORDS[kind], [row.name for row in rows], mm, say_depth(mm, plan.units), 1,
            round_mm * deep / 1e6, format_area(round_mm * deep / 1e6, plan.units), [], None, "", 0,
            f"{say_length(round_mm, plan.units)} round {len(rows)} columns" if len(rows) > 1 else f"{say_length(round_mm, plan.units)} round {rows[0].name}",
            r, r * RSI_PER_R, "", True, None, None, None, 0.0, 0.0,
        )
    ]  # fmt: skip


def foam_doubts(plan: Plan, rows: Sequence[FoamLaid]) -> list[Finding]:
    """What the foam does not carry, or does not insulate."""
    found = []
    for row in rows:
        if not row.enough:
            words = f"{row.text} of {row.kind_text} give R-{row.r_us:.1f}. {row.asked}."
            remedy = "Take thicker foam, or deeper, or ask the official what holds there."
            found.append(finding("foam-thin", f"underslab/foam/{row.what}", words, remedy, "slab-edge-r"))
        if row.load_kpa is not None and row.carries_kpa is not None and row.load_kpa > row.carries_kpa + 1e-9:
            words = f"The foam carries {_kpa(plan, row.carries_kpa)} for years; floor and load are {_kpa(plan, row.load_kpa)}."
            found.append(
                finding(
                    "foam-load",
                    f"underslab/foam/{row.what}",
                    words,
                    "Take a stronger foam, or ask the engineer.",
                    "foam-load",
                )
            )
    return found


def _kpa(plan: Plan, value: float) -> str:
    return f"{value:.1f} kPa" if plan.units == "mm" else f"{value / 6.894757:.1f} psi"


def _per_inch(kind: FoamKind) -> float:
    return SPRAY_R if kind == "SPRAY" else R_PER_INCH["label"][kind]


def _cut_text(layout: BoardLayout | None, plies: int) -> str:
    if layout is None:
        return ""
    cut = sum(1 for piece in layout.pieces if not piece.whole)
    reused = sum(1 for piece in layout.pieces if piece.offcut)
    each = " in each layer" if plies > 1 else ""
    used = f", {reused} of them from offcuts" if reused else ""
    return f"{len(layout.pieces) - cut} whole and {cut} cut{used}{each}" if cut else f"{len(layout.pieces)} whole{each}"
