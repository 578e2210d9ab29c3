"""Mesh laid over slabs: sheets or rolls in rows that lap, ends joined, what is left of one used on. Lengths mm."""

from __future__ import annotations

import math
from dataclasses import dataclass

from humble_trowel.core.geometry.overlay import outlines
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.sheets.rows import SheetPiece, lay_rows
from humble_trowel.core.steel.frame import Frame
from humble_trowel.core.steel.slabs import SlabLaid

ROLL_WIDE_MM = 1524.0


@dataclass(frozen=True)
class MeshLaid:
    """Mesh of one slab type. sheets: to buy, or rolls. pieces: as they lie. regions: rings that it covers."""

    slab: str
    zones: list[str]
    rolls: bool
    sheets: int
    area_m2: float
    long_mm: float
    wide_mm: float
    lap_mm: float
    pieces: list[SheetPiece]
    region: list[list[XY]]


def mesh_laid(frame: Frame, found: SlabLaid, angle: float) -> MeshLaid | None:
    """Mesh of a slab type, the better way round; None where it holds none. Raises ValueError for a sheet no larger than its lap."""
    row, ways = found.row, frame.ways
    if row.way not in ("mesh", "rolls", "mesh-tied") or found.region.is_empty:
        return None
    rolls = row.way == "rolls"
    long = row.sheet_long_mm or (ways.roll_long_mm if rolls else ways.sheet_long_mm)
    wide = row.sheet_wide_mm or (ROLL_WIDE_MM if rolls else ways.sheet_wide_mm)
    lap = row.lap_mm or ways.mesh_lap_mm
    laid = min(
        (lay_rows(found.region, wide, long, lap, 0.0, angle + turn) for turn in (0.0, 90.0)), key=lambda one: one.rolls
    )
    return MeshLaid(
        row.slab,
        found.zones,
        rolls,
        laid.rolls,
        found.region.area / 1e6,
        long,
        wide,
        lap,
        laid.pieces,
        outlines(found.region),
    )


def least_sheets(found: MeshLaid) -> int:
    """By bare area: no fewer cover it."""
    return math.ceil(found.area_m2 * 1e6 / (found.long_mm * found.wide_mm) - 1e-9)
