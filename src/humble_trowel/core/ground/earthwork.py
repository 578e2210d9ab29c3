"""Stone, fill and spoil: compacted and loose volumes, tonnes, truckloads and lifts, from the plan and from shots."""

from __future__ import annotations

import math
from dataclasses import dataclass

from humble_trowel.core.geometry.below import stood_below
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.ground.before import margin_mm, margins
from humble_trowel.core.ground.displaced import displaced_m3, stood_in_m3
from humble_trowel.core.ground.stack import (
    BASE_KINDS,
    build_up_of,
    layer_name,
    stack_rows,
    stone_for,
    undersides,
)
from humble_trowel.core.order.leaves import area_leaf, area_times_depth, thin_leaf, volume_unit
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import M3_PER_YD3, say_depth
from humble_trowel.core.working import Working, leaf, number_text, work

T_PER_SHORT_TON = 0.90718474


@dataclass(frozen=True)
class LayerVolume:
    """A layer packed and loose. lift_compacted_mm, lift_loose_mm: of each lift."""

    compacted_m3: float
    loose_m3: float
    tonnes: float
    short_tons: float
    lifts: int
    lift_compacted_mm: float
    lift_loose_mm: float


def layer_volume(
    area_m2: float, thick_mm: float, factor: float, density_t_m3: float, max_lift_mm: float, lift_is: str = "compacted"
) -> LayerVolume:
    """What a layer takes: loose = factor x compacted; mass = loose x loose density; lifts rounded up to whole.

    area_m2, thick_mm: as compacted. factor: loose over compacted. density_t_m3: of the loose stone. max_lift_mm: the
    greatest lift, measured as `lift_is` says. Volumes in m3, mass in tonnes and short tons. Source: 'stone-lift' in sources/.
    """
    compacted = area_m2 * thick_mm / 1000
    loose = compacted * factor
    own = thick_mm * (factor if lift_is == "loose" else 1.0)
    lifts = max(1, math.ceil(own / max_lift_mm - 1e-9)) if thick_mm else 0
    each = thick_mm / lifts if lifts else 0.0
    tonnes = loose * density_t_m3
    return LayerVolume(compacted, loose, tonnes, tonnes / T_PER_SHORT_TON, lifts, each, each * factor)


@dataclass(frozen=True)
class StoneRow:
    """One stone of the job: all its layers. trucks: truckloads. Workings lead from areas to tonnes.

    lifts: words for each thickness. cost_cents: at the price in Ways. to_buy_m3: loose, less what is on hand."""

    mark: str
    name: str
    compacted_m3: float
    loose_m3: float
    tonnes: float
    short_tons: float
    to_buy_m3: float
    trucks: int
    cost_cents: int
    lifts: list[str]
    from_shots: bool
    compacted: Working
    loose: Working
    mass: Working


Take = tuple[Cell, str, float, float, float]  # zone, layer, area m2, thickness mm, concrete standing in it m3


def stones(plan: Plan, solid: Solid, ways: JobWays, dig_extra_m3: float | None = None) -> list[StoneRow]:
    """Every stone, blinding and fill of the build-ups. dig_extra_m3: what the dig, as shot, takes beyond the plan;
    it goes to the lowest layer."""
    kit = ways.ground
    out = margins(plan, solid.cells, margin_mm(plan, ways))
    stood = stood_below(plan)
    takes: dict[str, list[Take]] = {}
    kinds: dict[str, tuple[object, str]] = {}
    lowest = ""
    for cell in solid.cells:
        layers = build_up_of(plan, cell.mark).layers
        for layer, row in zip(layers, stack_rows(plan, cell), strict=True):
            if layer.kind not in BASE_KINDS:
                continue
            below = stack_rows_underside(plan, cell) - row.top_mm
            area = float(cell.region.area + out[cell.index].area) / 1e6
            taken = displaced_m3(solid, cell, below, row.thickness_mm)
            under, beside = undersides(plan, cell)
            taken += stood_in_m3(stood, cell.region, under, below, row.thickness_mm)
            taken += stood_in_m3(stood, out[cell.index], beside, below, row.thickness_mm)
            stone = stone_for(kit, layer)
            takes.setdefault(stone.mark, []).append((cell, layer_name(layer), area, row.thickness_mm, taken))
            kinds[stone.mark] = (stone, layer.kind)
            lowest = stone.mark
    left = plan.ground.on_hand_m3
    rows = []
    for mark, own in takes.items():
        extra = dig_extra_m3 if mark == lowest else None
        stone_row = _stone_row(plan, ways, mark, own, extra, left if mark == lowest else 0.0)
        rows.append(stone_row)
    return rows


def stack_rows_underside(plan: Plan, cell: Cell) -> float:
    """Level of the slab's underside in the stack, mm, where the zone's top is highest."""
    return next(row.bottom_mm for row in stack_rows(plan, cell) if row.kind == "slab")


def _stone_row(
    plan: Plan, ways: JobWays, mark: str, own: list[Take], extra_m3: float | None, hand_m3: float
) -> StoneRow:
    kit = ways.ground
    stone = next((row for row in kit.stones if row.mark == mark), None)
    factor = stone.loose_factor if stone else 1.1
    density = stone.density_t_m3 if stone else 1.55
    unit, per = volume_unit(plan)
    inputs: dict[str, Working] = {}
    terms, lifts = [], []
    for i, (cell, name, area, thick, taken) in enumerate(own):
        inputs[f"a{i}"] = area_leaf(f"{cell.name} with its margin", area, plan, "lines")
        inputs[f"t{i}"] = thin_leaf(f"{name} under {cell.mark}", thick, plan, f"ground/stack/{cell.mark}")
        terms.append(area_times_depth(plan, f"a{i}", f"t{i}"))
        if taken > 1e-6:
            said = f"Concrete that stands in {name} under {cell.name}"
            inputs[f"d{i}"] = leaf(said, taken / per, unit, f"{taken / per:.3f} {unit}", "greatest-depth", "edges")
            terms[-1] += f" - d{i}"
        each = layer_volume(area, thick, factor, density, kit.lift_mm, kit.lift_is)
        said = f"{cell.name}: {each.lifts} lift{'' if each.lifts == 1 else 's'} of {say_depth(each.lift_compacted_mm, plan.units)} packed, {say_depth(each.lift_loose_mm, plan.units)} loose"
        lifts.append(said)
    if extra_m3 is not None:
        inputs["dig"] = leaf(
            "What the dig, as shot, takes beyond the plan", extra_m3 / per, unit, f"{extra_m3 / per:.2f} {unit}", "shot"
        )
        terms.append("dig")
    packed = work(f"{mark}, packed", unit, " + ".join(terms), inputs, source="ways")
    pack_factor = leaf("Loose over packed", factor, "", number_text(factor, 3), "stone-lift", "ways/ground")
    loose = work(
        f"{mark}, loose", unit, "packed * factor", {"packed": packed, "factor": pack_factor}, source="stone-lift"
    )
    mass = _mass(plan, mark, loose, density)
    loose_m3 = loose.value * per
    buy = max(0.0, loose_m3 - hand_m3)
    tonnes = loose_m3 * density
    return StoneRow(
        mark=mark, name=own[0][1], compacted_m3=packed.value * per, loose_m3=loose_m3, tonnes=tonnes,
        short_tons=tonnes / T_PER_SHORT_TON, to_buy_m3=buy, trucks=math.ceil(buy * density / kit.truck_t - 1e-9),
        cost_cents=round(buy * density * (stone.price_per_t_cents if stone else 0)), lifts=lifts,
        from_shots=extra_m3 is not None, compacted=packed, loose=loose, mass=mass,
    )  # fmt: skip


def _mass(plan: Plan, mark: str, loose: Working, density: float) -> Working:
    if plan.units == "mm":
        heavy = leaf("Loose density", density, "t/m³", f"{density:g} t/m³", "stone-lift", "ways/ground")
        return work(
            f"{mark}, to order", "t", "loose * heavy", {"loose": loose, "heavy": heavy}, source="stone-lift", digits=1
        )
    per_yd = density * M3_PER_YD3 / T_PER_SHORT_TON
    heavy = leaf("Loose density", per_yd, "short ton/yd³", f"{per_yd:.4f} short ton/yd³", "stone-lift", "ways/ground")
    return work(
        f"{mark}, to order",
        "short tons",
        "loose * heavy",
        {"loose": loose, "heavy": heavy},
        source="stone-lift",
        digits=1,
    )
