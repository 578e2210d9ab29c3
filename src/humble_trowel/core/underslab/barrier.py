"""The barrier as it is laid: where it lies in the stack, its sheets one by one, rolls, tape and boots to buy.

Rule: the zones whose build-up has a barrier are covered together, grown by what is turned up. Where concrete goes deeper the
sheet goes down its sides: border of what is deeper times its mean depth is bought on top.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

import shapely
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.overlay import GRID_MM, outlines
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.shares import ring_volume_m3
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.ground.regions import trenches
from humble_trowel.core.ground.stack import build_up_of
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ground_parts import BuildUp
from humble_trowel.core.plan.underslab_parts import BarrierEdge
from humble_trowel.core.plan.underslab_ways import BarrierPlace, UnderslabWays
from humble_trowel.core.sheets.rows import Seam, SheetPiece, SheetRows, best_rows, long_ways
from humble_trowel.core.units import MM_PER_FT, format_area, format_length, say_depth, say_length
from humble_trowel.core.working import Working, leaf, work

LEAST_LAP_MM = 152.4
NO_BOOT = ("column", "ground")


@dataclass(frozen=True)
class BarrierZone:
    """Where the barrier of a slab type lies. zones: their names."""

    slab: str
    zones: list[str]
    place: BarrierPlace


@dataclass(frozen=True)
class OpenSheet:
    """A sheet that stays rolled back for the truck."""

    row: int
    until_load: int | None


@dataclass(frozen=True)
class BarrierLaid:
    """The barrier as laid. places: by slab type. region: rings of what it covers, without what is turned up. dip_mm: length
    of sheet that goes down beside deeper concrete. boots: names of the risers that come through."""

    places: list[BarrierZone]
    edge: BarrierEdge
    region: list[list[XY]]
    area_m2: float
    area_text: str
    rows: int
    angle_deg: float
    pieces: list[SheetPiece]
    piece_texts: list[str]
    seams: list[Seam]
    lap_text: str
    roll_text: str
    roll_long_mm: float
    roll_wide_mm: float
    used_mm: list[float]
    left_text: str
    dip_mm: float
    rolls: Working
    tape_m: float
    tape: Working
    tape_rolls: int
    boots: list[str]
    open_sheet: OpenSheet | None
    hold: str


def place_of_barrier(build: BuildUp) -> BarrierPlace:
    """Where the barrier of a build-up lies, as a crew says it."""
    kinds = [layer.kind for layer in build.layers]
    if "barrier" not in kinds:
        return "none"
    over = kinds[kinds.index("slab") + 1 : kinds.index("barrier")]
    if "foam" in over:
        return "under-foam"
    return "under-sand" if over else "under-slab"


def no_roll(plan: Plan, ways: UnderslabWays) -> list[Finding]:
    """A roll of this job that is no wider than the crew's lap: nothing can be laid."""
    said = plan.underslab.barrier
    wide, long, lap = (
        said.roll_wide_mm or ways.roll_wide_mm,
        said.roll_long_mm or ways.roll_long_mm,
        said.lap_mm or ways.lap_mm,
    )
    if min(wide, long) > lap:
        return []
    words = f"The roll is {say_depth(min(wide, long), plan.units)} and its lap {say_depth(lap, plan.units)}: nothing is left of it."
    return [finding("barrier-roll", "underslab/barrier", words, "Say a wider roll, or a smaller lap.", "sheets")]


def barrier_laid(plan: Plan, solid: Solid, ways: UnderslabWays) -> BarrierLaid | None:
    """The barrier of a job; None where no zone has one. Raises ValueError for a roll no wider than its lap."""
    cells = [cell for cell in solid.cells if place_of_barrier(build_up_of(plan, cell.mark)) != "none"]
    if not cells:
        return None
    said = plan.underslab.barrier
    wide, long = said.roll_wide_mm or ways.roll_wide_mm, said.roll_long_mm or ways.roll_long_mm
    lap, edge = said.lap_mm or ways.lap_mm, said.edge or ways.edge
    up = (ways.turn_up_mm if said.turn_up_mm is None else said.turn_up_mm) if edge == "up" else 0.0
    region = shapely.union_all([cell.region for cell in cells], grid_size=GRID_MM)
    ways_round = long_ways(region)
    angles = {"least": ways_round, "along": ways_round[:1], "across": ways_round[1:]}[said.runs]
    laid = best_rows(region, wide, long, lap, up, angles)
    dip = _dips_m2(solid, cells, region, edge == "up") * 1e6 / (wide - lap)
    risers = [row for row in plan.underslab.risers if row.kind not in NO_BOOT]
    boots = [row.name for row in risers if region.buffer(1.0).covers(shapely.Point(row.at))]
    rolls = _rolls(plan, laid, dip, long)
    tape = _tape(plan, laid, region.length if edge == "taped" else 0.0, len(boots))
    tape_mm = tape.value * (1000.0 if plan.units == "mm" else MM_PER_FT)
    used = [math.fsum(piece.long_mm for piece in laid.pieces if piece.roll == roll + 1) for roll in range(laid.rolls)]
    left = rolls.value * long - laid.total_mm - dip
    return BarrierLaid(
        _places(plan, cells), edge, outlines(region), region.area / 1e6, format_area(region.area / 1e6, plan.units),
        laid.rows, laid.angle_deg, laid.pieces, [say_length(one.long_mm, plan.units) for one in laid.pieces], laid.seams,
        say_depth(lap, plan.units), f"{say_length(wide, plan.units)} × {say_length(long, plan.units)}", long, wide, used,
        say_length(max(0.0, left), plan.units), dip, rolls, tape_mm / 1000, tape,
        math.ceil(tape_mm / ways.tape_mm - 1e-9), boots, _open(plan, laid),
        "Lay it when no rain comes before the pour: water that ponds on it, or under it, stays.",
    )  # fmt: skip


def barrier_doubts(plan: Plan, laid: BarrierLaid, ways: UnderslabWays) -> list[Finding]:
    """What is short about the barrier."""
    said, found = plan.underslab.barrier, []
    if (lap := said.lap_mm or ways.lap_mm) < LEAST_LAP_MM - 0.5:
        words = f"Sheets lap {say_depth(lap, plan.units)}; {say_depth(LEAST_LAP_MM, plan.units)} is asked."
        found.append(finding("barrier-lap", "underslab/barrier", words, "Lap more and tape it.", "barrier-lap"))
    if said.open_row is not None and said.open_row > laid.rows:
        words = f"Sheet {said.open_row} should stay open for the truck, and there are {laid.rows}."
        found.append(finding("barrier-open", "underslab/barrier", words, "Say another sheet, or none.", "house"))
    elif said.open_row is not None and said.open_load is None:
        words = f"Sheet {said.open_row} stays open, and nobody said until which load."
        found.append(
            finding(
                "barrier-open", "underslab/barrier", words, "Say after which load it is rolled out and taped.", "house"
            )
        )
    return found


def _places(plan: Plan, cells: Sequence[Cell]) -> list[BarrierZone]:
    marks = list(dict.fromkeys(cell.mark for cell in cells))
    return [
        BarrierZone(mark, [cell.name for cell in cells if cell.mark == mark], place_of_barrier(build_up_of(plan, mark)))
        for mark in marks
    ]


def _open(plan: Plan, laid: SheetRows) -> OpenSheet | None:
    said = plan.underslab.barrier
    if said.open_row is None or said.open_row > laid.rows:
        return None
    return OpenSheet(said.open_row, said.open_load)


def _dips_m2(solid: Solid, cells: Sequence[Cell], region: BaseGeometry, to_edge: bool) -> float:
    """Sheet on the sides of what is deeper: its border inside times its mean depth; with its outer side where it turns up."""
    total = 0.0
    rim = region.boundary.buffer(1.0)
    for cell in cells:
        deep = trenches(solid, cell)
        if deep.is_empty:
            continue
        pieces = [piece for piece in solid.pieces if piece.zone == cell.index]
        depth = math.fsum(ring_volume_m3(one.ring, one.gain) for one in pieces) / deep.area * 1e9
        border = deep.boundary.length if to_edge else shapely.difference(deep.boundary, rim).length
        total += border * depth / 1e6
    return total


def _rolls(plan: Plan, laid: SheetRows, dip: float, roll_long: float) -> Working:
    """Rolls: the layout's, and what goes down beside beams and edges on top where the last roll does not hold it."""

    def long(name: str, mm: float) -> Working:
        value, unit = (mm / 1000, "m") if plan.units == "mm" else (mm / MM_PER_FT, "ft")
        return leaf(
            name, value, unit, format_length(mm, plan.units) if plan.units != "mm" else f"{mm / 1000:.2f}", "sheets"
        )

    inputs = {
        "rows": long("Sheets as laid, with their laps", laid.total_mm),
        "down": long("Down beside beams and edges", dip),
        "roll": long("A roll", roll_long),
        "cut": leaf("Rolls that the layout begins", float(laid.rolls), "", str(laid.rolls), "sheets"),
    }
    made = work("Rolls", "", "max(cut, ceil((rows + down) / roll))", inputs, source="barrier-lap", digits=0)
    many = round(made.value)
    return replace(made, text=f"{many} roll" if many == 1 else f"{many} rolls")


def _tape(plan: Plan, laid: SheetRows, edge_mm: float, boots: int) -> Working:
    metric = plan.units == "mm"
    per, unit = (1000.0, "m") if metric else (MM_PER_FT, "ft")

    def long(name: str, mm: float) -> Working:
        return leaf(name, mm / per, unit, f"{mm / per:.1f}", "sheets")

    inputs = {
        "seams": long("Seams and joins", laid.tape_mm),
        "edge": long("Along the edge", edge_mm),
        "boots": leaf("Boots", float(boots), "", str(boots), "sheets"),
        "each": leaf("Round a boot", 0.6 if metric else 2.0, unit, "0.6" if metric else "2", "sheets"),
    }
    return work("Tape", unit, "seams + edge + boots * each", inputs, source="barrier-lap", digits=0)
