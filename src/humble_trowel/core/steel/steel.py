"""All steel of a job: mats, mesh, cages, dowels, chairs, with their marks, weights and doubts."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.errors import InputError, TrowelError
from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import longest_way_deg
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.steel_ways import SteelWays
from humble_trowel.core.steel.cages import cage_laid
from humble_trowel.core.steel.chairs import chair_spots
from humble_trowel.core.steel.dowels import DowelRow, dowel_row, starters
from humble_trowel.core.steel.fits import at_one_height, bitten, cage_doubts, slab_doubts
from humble_trowel.core.steel.frame import Frame
from humble_trowel.core.steel.laid import Laid
from humble_trowel.core.steel.mesh import MeshLaid, mesh_laid
from humble_trowel.core.steel.schedule import SizeSum, by_size, marked, tie_wire_kg
from humble_trowel.core.steel.slabs import SlabLaid, diagonals, slab_laid, trimmers
from humble_trowel.core.underslab.services import Run


@dataclass(frozen=True)
class Chairs:
    """Chairs of one height under one slab type. on: what they stand on."""

    slab: str
    height_mm: float
    count: int
    spots: list[XY]
    on: str


@dataclass(frozen=True)
class SteelLaid:
    """bars: every mark. fibre_kg: by slab type. pulled: steel is pulled up during the pour, so nothing holds it before."""

    slabs: list[SlabLaid]
    bars: list[Laid]
    mesh: list[MeshLaid]
    dowels: list[DowelRow]
    chairs: list[Chairs]
    pulled: bool
    fibre_kg: dict[str, float]
    sizes: list[SizeSum]
    mass_kg: float
    tie_kg: float
    epoxy_ml: float
    findings: list[Finding]


def steel_laid(plan: Plan, solid: Solid | None, ways: SteelWays, runs: Sequence[Run] = ()) -> SteelLaid | None:
    """The steel of a job; None where nothing is said of any, or there is no slab."""
    said = plan.steel
    if solid is None or not (said.ways or said.cages or said.dowels or any(kerb.starter_mm for kerb in plan.kerbs)):
        return None
    frame, found = Frame(plan, solid, ways), []
    angle, slabs, rows = longest_way_deg(list(plan.outline or [])), [], []
    for way in said.ways:
        try:
            slabs.append(slab_laid(frame, way, angle))
        except (TrowelError, ValueError) as error:
            found.append(_cannot(f"steel/slab/{way.slab}", way.slab, error))
    for slab in slabs:
        rows += slab.laid
        found += slab_doubts(frame, slab)
    rows += [*diagonals(frame, slabs), *trimmers(frame, slabs)]
    caged: list[Laid] = []
    for cage in said.cages:
        found += cage_doubts(frame, cage)
        try:
            caged += cage_laid(frame, cage)
        except (TrowelError, ValueError) as error:
            if not any(row.where.endswith(f"/{cage.mark}") for row in found):
                found.append(_cannot(f"steel/cage/{cage.of}/{cage.mark}", cage.mark, error))
    dowels = [row for row in (dowel_row(frame, one) for one in said.dowels) if row is not None]
    found += _dowel_doubts(plan, dowels)
    mesh, more = _mesh(frame, slabs, angle)
    bars = marked([*caged, *rows, *(row.laid for row in dowels), *starters(frame)])
    found += [*more, *bitten(frame, bars, runs), *at_one_height(frame, caged)]
    sizes = by_size(bars)
    mass = math.fsum(row.mass_kg for row in sizes)
    pulled = ways.held == "pulled"
    return SteelLaid(
        slabs, bars, mesh, dowels, [] if pulled else _chairs(frame, slabs), pulled, _fibre(frame, slabs), sizes, mass,
        tie_wire_kg(frame, mass), math.fsum(row.epoxy_ml for row in dowels), found,
    )  # fmt: skip


def _cannot(where: str, what: str, error: Exception) -> Finding:
    words = str(error)
    if isinstance(error, InputError) and "bars one way" in words:
        return finding("steel-too-many", where, f"{what}: {words}", "Say a wider spacing.", "mat")
    return finding(
        "steel-cannot", where, f"Steel of {what} cannot be laid: {words}", "Change its size, lap or stock.", "mat"
    )


def _mesh(frame: Frame, slabs: Sequence[SlabLaid], angle: float) -> tuple[list[MeshLaid], list[Finding]]:
    rows, found = [], []
    for slab in slabs:
        try:
            laid = mesh_laid(frame, slab, angle)
        except ValueError:
            where = f"steel/slab/{slab.row.slab}"
            found.append(
                finding(
                    "steel-cannot",
                    where,
                    f"Mesh of {slab.row.slab} cannot be laid: a sheet is no larger than its lap.",
                    "Change its size or lap.",
                    "mesh-lap",
                )
            )
            continue
        if laid is not None:
            rows.append(laid)
    return rows, found


def _dowel_doubts(plan: Plan, rows: Sequence[DowelRow]) -> list[Finding]:
    found = []
    for row in plan.steel.dowels:
        if row.side not in plan.corner_ids:
            words = f"{row.name}: their side is not on this slab any more."
            found.append(
                finding("dowels-lost", f"steel/dowels/{row.id}", words, "Call them on another side, or take them out.")
            )
    for one in rows:
        if not one.against:
            words = f"{one.name} hang in the air: nothing stands at that side."
            found.append(
                finding(
                    "dowels-in-air",
                    f"steel/dowels/{one.id}",
                    words,
                    "Say what stands there in Beside, or take them out.",
                )
            )
    return found


def _chairs(frame: Frame, slabs: Sequence[SlabLaid]) -> list[Chairs]:
    rows = []
    for slab in slabs:
        if slab.low_mm is None or slab.region.is_empty:
            continue
        layers = next((build.layers for build in frame.plan.build_ups if build.slab == slab.row.slab), [])
        at = next((i for i, layer in enumerate(layers) if layer.kind == "slab"), -1)
        under = next((layer.kind for layer in layers[at + 1 :] if layer.kind not in ("barrier",)), "ground")
        spots = chair_spots(slab.region, frame.ways.chair_mm)
        rows.append(
            Chairs(
                slab.row.slab,
                slab.low_mm,
                len(spots),
                spots,
                "foam" if under == "foam" else "stone" if under in ("stone", "graded") else "ground",
            )
        )
    return rows


def _fibre(frame: Frame, slabs: Sequence[SlabLaid]) -> dict[str, float]:
    """Fibre by slab type, kg, where its dose is said."""
    rows = {}
    for slab in slabs:
        if slab.row.way in ("fibre", "fibre-edges") and slab.row.fibre_kg_m3:
            m3 = math.fsum(frame.solid.slab_m3(cell) for cell in frame.solid.cells if cell.mark == slab.row.slab)
            rows[slab.row.slab] = m3 * slab.row.fibre_kg_m3
    return rows
