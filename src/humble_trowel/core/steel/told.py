"""The steel as screens and papers show it: marks with their sizes in words, cages cut across, least steel, chairs, dowels."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.bars import bar_of
from humble_trowel.core.plan.steel_parts import Cage
from humble_trowel.core.sheets.rows import SheetPiece
from humble_trowel.core.steel.bends import extension_mm, inside_mm
from humble_trowel.core.steel.cages import box_of
from humble_trowel.core.steel.dowels import cartridges
from humble_trowel.core.steel.frame import Frame
from humble_trowel.core.steel.heads import offsets_of, piles_of
from humble_trowel.core.steel.laid import Laid, evenly
from humble_trowel.core.steel.least import drag_mm2_m, shrinkage
from humble_trowel.core.steel.mesh import least_sheets
from humble_trowel.core.steel.slabs import SlabLaid, sizes_of
from humble_trowel.core.steel.steel import SteelLaid
from humble_trowel.core.units import Units, say_depth, say_length

KG_PER_LB = 0.45359237
THIN_LINES = 60
MAT_KEYS = ("mat", "rim", "diagonal", "trimmer")


def say_mass(kg: float, units: Units) -> str:
    """A weight as the trade says it."""
    return f"{kg:,.0f} kg" if units == "mm" else f"{kg / KG_PER_LB:,.0f} lb"


@dataclass(frozen=True)
class MarkTold:
    """A mark. lines: as it lies, each `every`-th of them; all_lines: how many there are. legs: of one bent, out to out, in words; bend_*: for
    its drawing, mm. cuts: (length, how many)."""

    mark: str
    key: str
    words: str
    bar: str
    d_mm: float
    shape: str
    count: int
    mass_text: str
    cuts: list[tuple[str, int]]
    legs: list[str]
    legs_mm: list[float]
    turns: list[float]
    inside_mm: float
    hook_mm: float
    lap_text: str
    lines: list[list[XY]]
    every: int
    all_lines: int


@dataclass(frozen=True)
class CageBar:
    """A bar of a cage cut across: from its face, level under the top of the part, diameter, mark."""

    off_mm: float
    level_mm: float
    d_mm: float
    mark: str


@dataclass(frozen=True)
class CageTold:
    """A cage cut across. stirrup: (from its face, level of its top, width, height) or None. cover: words by place. head_mm:
    of the pile under it, name: of those piles; 0 and '' elsewhere."""

    of: str
    mark: str
    drawn: str
    wide_mm: float
    deep_mm: float
    run_per_rise: float
    one_sided: bool
    slab_mm: float
    stirrup: tuple[float, float, float, float] | None
    stirrup_mark: str
    stirrup_d_mm: float
    bars: list[CageBar]
    side_text: str
    bottom_text: str
    top_text: str
    head_mm: float
    name: str
    fits: bool


@dataclass(frozen=True)
class WayTold:
    """How a slab type is held together. steel: what goes in, in words; least: what shrinkage and drag ask of it."""

    slab: str
    zones: list[str]
    thick_text: str
    way: str
    said: bool
    drawn: str
    steel: str
    shrinkage_text: str
    drag_text: str
    region: list[list[XY]]
    at: XY | None


@dataclass(frozen=True)
class MeshTold:
    """Mesh of a slab type. least: no fewer by bare area."""

    slab: str
    words: str
    rolls: bool
    sheets: int
    least: int
    lap_text: str
    pieces: list[SheetPiece]
    region: list[list[XY]]


@dataclass(frozen=True)
class DowelTold:
    """A row of dowels. at: texts of the first few positions from the side's first corner."""

    id: str
    side: int
    name: str
    mark: str
    against: str
    count: int
    hole_text: str
    deep_text: str
    out_text: str
    words: str
    at: list[str]
    spots: list[XY]
    epoxy_ml: float


@dataclass(frozen=True)
class ChairsTold:
    """Chairs under one slab type."""

    slab: str
    height_text: str
    count: int
    on: str
    spots: list[XY]


@dataclass(frozen=True)
class SizeTold:
    """A size: pieces as cut and what they weigh."""

    bar: str
    d_mm: float
    pieces: int
    mass_text: str


@dataclass(frozen=True)
class SteelTold:
    """Everything the lens shows."""

    ways: list[WayTold]
    marks: list[MarkTold]
    cages: list[CageTold]
    mesh: list[MeshTold]
    dowels: list[DowelTold]
    chairs: list[ChairsTold]
    pulled: bool
    fibre: list[str]
    sizes: list[SizeTold]
    mass_text: str
    mat_text: str
    tie_text: str
    epoxy_ml: float
    cartridges: int
    bars: int


def steel_told(frame: Frame, found: SteelLaid) -> SteelTold:
    """The steel of a job in words and drawings."""
    units = frame.plan.units
    marks = [_mark(row, units) for row in found.bars]
    mark_of = {row.key: row.mark for row in found.bars}
    return SteelTold(
        ways=[_way(frame, row) for row in found.slabs],
        marks=marks,
        cages=[one for one in (_cage(frame, cage, mark_of, found) for cage in frame.plan.steel.cages) if one is not None],
        mesh=[
            MeshTold(
                row.slab, f"{say_length(row.wide_mm, units)} × {say_length(row.long_mm, units)}", row.rolls, row.sheets,
                least_sheets(row), say_depth(row.lap_mm, units), row.pieces, row.region,
            )
            for row in found.mesh
        ],
        dowels=[
            DowelTold(
                row.id, row.side, row.name, mark_of.get(row.laid.key, ""), row.against, row.count, say_depth(row.hole_mm, units),
                say_depth(row.depth_mm, units), say_depth(row.out_mm, units), row.words, [say_length(s, units) for s in row.at_mm[:12]],
                row.spots, row.epoxy_ml,
            )
            for row in found.dowels
        ],
        chairs=[ChairsTold(row.slab, say_depth(row.height_mm, units), row.count, row.on, row.spots) for row in found.chairs],
        pulled=found.pulled,
        fibre=[f"{say_mass(kg, units)} of fibre in {slab}" for slab, kg in found.fibre_kg.items()],
        sizes=[SizeTold(row.bar.name, row.bar.d_mm, row.pieces, say_mass(row.mass_kg, units)) for row in found.sizes],
        mass_text=say_mass(found.mass_kg, units),
        mat_text=say_mass(sum(row.mass_kg for row in found.bars if row.key.split("/")[0] in MAT_KEYS), units),
        tie_text=say_mass(found.tie_kg, units),
        epoxy_ml=found.epoxy_ml,
        cartridges=cartridges(found.epoxy_ml, frame.ways.cartridge_ml),
        bars=sum(row.count for row in found.bars),
    )  # fmt: skip


def _mark(row: Laid, units: Units) -> MarkTold:
    every = max(1, -(-len(row.lines) // THIN_LINES))
    stirrup = row.shape == "stirrup"
    return MarkTold(
        row.mark, row.key, row.words, row.bar.name, row.bar.d_mm, row.shape, row.count, say_mass(row.mass_kg, units),
        [(say_length(length, units), count) for length, count in row.pieces], [say_depth(leg, units) for leg in row.legs_mm],
        list(row.legs_mm), list(row.turns), inside_mm(row.bar, stirrup),
        extension_mm(row.bar, row.turns[0], True) if stirrup and row.turns else 0.0,
        say_depth(row.lap_mm, units) if row.lap_mm else "", [list(line) for line in row.lines[::every]], every, len(row.lines),
    )  # fmt: skip


def _cage(frame: Frame, cage: Cage, marks: dict[str, str], found: SteelLaid) -> CageTold | None:
    box = box_of(frame, cage)
    if box is None:
        return None
    units = frame.plan.units
    bars = [
        CageBar(off, box.level(row), bar_of(row.bar).d_mm, marks.get(f"{cage.of}/{cage.mark}/{row.level}/{at}", ""))
        for at, row in enumerate(cage.bars)
        for off in box.offsets(row)
    ]
    wide, high = box.stirrup
    piles = piles_of(frame, cage) if cage.of == "pile" else None
    if cage.each_way and wide > 0:
        d = bar_of(cage.each_way).d_mm
        count = max(2, int(wide // (cage.each_mm or wide)) + 1)
        at_mm = (
            [box.wide_mm / 2 + off for off in offsets_of(cage, piles)]
            if piles
            else evenly(count, box.side_mm, box.side_mm + wide)
        )
        mark = marks.get(f"{cage.of}/{cage.mark}/0", "")
        bars += [CageBar(off, -(box.deep_mm - box.bottom_mm - d / 2), d, mark) for off in at_mm]
    edge = next((row for row in frame.plan.edge_types if cage.of == "edge" and row.mark == cage.mark), None)
    beam = next((row for row in frame.plan.beam_types if cage.of == "beam" and row.mark == cage.mark), None)
    haunch = (edge.haunch_run_per_rise if edge else beam.haunch_run_per_rise if beam else 0.0) or 0.0
    where = f"/{cage.of}/{cage.mark}"
    return CageTold(
        cage.of, cage.mark, cage.drawn, box.wide_mm, box.deep_mm, haunch, cage.of == "edge",
        min((cell.thickness_mm for cell in frame.solid.cells), default=0.0),
        (box.side_mm, -box.top_mm, wide, high) if cage.stirrup and min(wide, high) > 0 else None,
        marks.get(f"{cage.of}/{cage.mark}/stirrup", ""), box.tie_mm, bars, say_depth(box.side_mm, units), say_depth(box.bottom_mm, units),
        say_depth(box.top_mm, units), piles.diameter_mm if piles else 0.0, piles.name if piles else "", not any(row.where.endswith(where) for row in found.findings),
    )  # fmt: skip


def _way(frame: Frame, slab: SlabLaid) -> WayTold:
    row, units = slab.row, frame.plan.units
    (one, one_mm), (other, other_mm) = sizes_of(frame, row)
    asked = shrinkage(slab.thick_mm, one) if slab.thick_mm else None
    rings = [ring for ring in getattr(slab.region, "geoms", [slab.region]) if not ring.is_empty]
    x0, y0, x1, y1 = slab.region.bounds if rings else (0.0, 0.0, 0.0, 0.0)
    drag = drag_mm2_m(max(x1 - x0, y1 - y0), slab.thick_mm)
    spot = max(rings, key=lambda ring: ring.area).representative_point() if rings else None
    same = one == other and abs(one_mm - other_mm) < 0.1
    bars = f"{one.name} at {say_depth(one_mm, units)}" + (
        " each way" if same else f", {other.name} at {say_depth(other_mm, units)} across"
    )
    fibre = (
        f"{row.fibre_kg_m3:g} kg/m³"
        if units == "mm" and row.fibre_kg_m3
        else f"{row.fibre_kg_m3 * 0.764554857984 / KG_PER_LB:.1f} lb a yard"
        if row.fibre_kg_m3
        else ""
    )
    steel = {"bars": bars, "fibre": fibre, "fibre-edges": fibre}.get(row.way, "")
    return WayTold(
        row.slab, slab.zones, say_depth(slab.thick_mm, units), row.way, True, row.drawn, steel,
        "" if asked is None else f"{one.name} at {say_depth(asked.use_mm, units)}",
        _area(drag, units), [[(c[0], c[1]) for c in ring.exterior.coords[:-1]] for ring in rings],
        None if spot is None else (spot.x, spot.y),
    )  # fmt: skip


def _area(mm2_m: float, units: Units) -> str:
    return f"{mm2_m:.0f} mm²/m" if units == "mm" else f"{mm2_m / 645.16 * 0.3048:.3f} sq in a foot"
