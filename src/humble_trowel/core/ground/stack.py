"""The stack of layers of each zone, from floor finish to native soil, with levels and what makes no sense about it."""

from __future__ import annotations

import re
from collections.abc import Sequence
from dataclasses import dataclass, replace

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.tops import Facet, Plane, least_of
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ground_parts import LAYER_WORDS, BuildUp, Layer
from humble_trowel.core.plan.ground_ways import GroundWays, Stone
from humble_trowel.core.plan.local_rules import Local, limit, limit_text
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import Units, say_depth

SLACK_MM = 0.5
BASE_KINDS = ("blinding", "stone", "graded", "fill")


@dataclass(frozen=True)
class StackRow:
    """A layer of a zone. layer: its key ('foam', 'stone', 'stone 2'). Levels where the zone's top is highest."""

    zone: str
    layer: str
    kind: str
    name: str
    thickness_mm: float
    top_mm: float
    bottom_mm: float
    thickness_text: str
    slab: str


def build_up_of(plan: Plan, mark: str) -> BuildUp:
    """The build-up of a slab type; slab on native soil where the plan gives none."""
    plain = BuildUp(slab=mark, layers=[Layer(kind="slab"), Layer(kind="native")])
    return next((row for row in plan.build_ups if row.slab == mark), plain)


def layer_keys(layers: Sequence[Layer]) -> list[str]:
    """A key for each layer: its kind, numbered from the second of a kind on."""
    keys: list[str] = []
    for layer in layers:
        again = sum(1 for key in keys if key.split(" ")[0] == layer.kind)
        keys.append(f"{layer.kind} {again + 1}" if again else layer.kind)
    return keys


def layer_name(layer: Layer) -> str:
    """What a crew calls the layer."""
    return layer.name or layer.stone or LAYER_WORDS[layer.kind]


def high_top(cell: Cell, plan: Plan) -> float:
    """Level of a zone's top where it is highest: its drop."""
    return -plan.zones[cell.index].drop_mm


def underside_mm(cell: Cell, plan: Plan) -> float:
    """Level of the slab's underside below the highest top; of all of it where the underside is level."""
    zone = plan.zones[cell.index]
    level = zone.underside == "level" and zone.fall is not None
    return (least_of(cell.tops) if level else high_top(cell, plan)) - cell.thickness_mm


def stack_rows(plan: Plan, cell: Cell) -> list[StackRow]:
    """The zone's layers, top to bottom. Native soil has no thickness and no bottom of its own."""
    layers = build_up_of(plan, cell.mark).layers
    at = next(i for i, layer in enumerate(layers) if layer.kind == "slab")
    top = high_top(cell, plan) + sum(layer.thickness_mm or 0.0 for layer in layers[:at])
    rows = []
    for layer, key in zip(layers, layer_keys(layers), strict=True):
        thick = cell.thickness_mm if layer.kind == "slab" else layer.thickness_mm or 0.0
        bottom = underside_mm(cell, plan) if layer.kind == "slab" else top - thick
        text = say_depth(thick, plan.units) if thick else ""
        rows.append(StackRow(cell.name, key, layer.kind, layer_name(layer), thick, top, bottom, text, cell.mark))
        top = bottom
    return rows


def resolve(plan: Plan, cell: Cell, name: str) -> StackRow | None:
    """The row that a name means: a layer's key, base, dig, foam, underside, or 'graded lift 1 of 2'; None where the zone
    has none."""
    rows = stack_rows(plan, cell)
    at = next(i for i, row in enumerate(rows) if row.kind == "slab")
    under = rows[at + 1 :]
    if name in ("dig", "native", "subgrade"):
        return rows[-1]
    if name == "base":
        return next((row for row in under if row.kind in BASE_KINDS), rows[-1])
    if name == "underside":
        return under[0]
    if name == "foam":
        return next((row for row in under if row.kind == "foam"), None)
    lift = re.fullmatch(r"(.+) lift (\d+) of (\d+)", name)
    if lift:
        whole = next((row for row in rows if row.layer == lift[1]), None)
        share = int(lift[2]) / max(1, int(lift[3]))
        if whole is None or whole.kind not in BASE_KINDS or not 0 < share <= 1:
            return None
        return replace(whole, layer=name, top_mm=whole.bottom_mm + share * whole.thickness_mm)
    return next((row for row in rows if row.layer == name), None)


def below_slab_mm(plan: Plan, cell: Cell, row: StackRow) -> float:
    """How far the top of a layer lies under the slab's underside; negative over the slab."""
    return underside_mm(cell, plan) - row.top_mm


def surface_of(plan: Plan, cell: Cell, row: StackRow) -> tuple[Facet, ...]:
    """Level of the top of a layer over a zone: with the slab's top over the slab, with its underside below it."""
    if row.top_mm >= high_top(cell, plan) - 1e-9:
        return tuple(Facet(f.region, f.plane.plus_mm(row.top_mm - high_top(cell, plan))) for f in cell.tops)
    zone = plan.zones[cell.index]
    if zone.underside == "level" or zone.fall is None:
        return (Facet(cell.region, cell.tops[0].plane._replace(at_0=row.top_mm, per_x=0.0, per_y=0.0)),)
    return tuple(Facet(f.region, f.plane.plus_mm(row.top_mm - high_top(cell, plan))) for f in cell.tops)


def native_of(plan: Plan, cell: Cell) -> tuple[tuple[Facet, ...], tuple[Facet, ...]]:
    """The bottom of the dig under a zone, and beside it: outside a dish, its rim."""
    row = stack_rows(plan, cell)[-1]
    native = surface_of(plan, cell, row)
    return native, native if len(native) == 1 else (Facet(cell.whole, Plane(row.top_mm)),)


def undersides(plan: Plan, cell: Cell) -> tuple[tuple[Facet, ...], tuple[Facet, ...]]:
    """The slab's underside over a zone, and beside it, as planes."""
    deep = below_slab_mm(plan, cell, stack_rows(plan, cell)[-1])
    under, beside = native_of(plan, cell)
    return tuple(f._replace(plane=f.plane.plus_mm(deep)) for f in under), tuple(
        f._replace(plane=f.plane.plus_mm(deep)) for f in beside
    )


def stone_for(ways: GroundWays, layer: Layer) -> Stone:
    """The stone of the kit that a layer is made of: the one it names, else the first of its kind."""
    named = next((row for row in ways.stones if row.mark == layer.stone), None)
    kind = layer.kind if layer.kind in BASE_KINDS else "stone"
    return named or next((row for row in ways.stones if row.kind == kind), Stone(mark=LAYER_WORDS[kind], kind=kind))


def stack_findings(plan: Plan, cells: Sequence[Cell], ways: JobWays) -> list[Finding]:
    """What makes little sense about the build-ups in use."""
    rows: list[Finding] = []
    used = {cell.mark for cell in cells}
    for index, build in enumerate(plan.build_ups):
        path = f"build_ups[{index}]"
        if build.slab not in used:
            continue
        rows += (
            _foam(plan.units, build, path, ways.local_rules)
            + _barrier(plan, build, path)
            + _stone(plan.units, build, path, ways.ground)
        )
        rows += _fill(plan.units, build, path, ways) + _below_grade(plan, cells, build, path, ways.local_rules)
    return rows


def _foam(units: Units, build: BuildUp, path: str, local: Local) -> list[Finding]:
    asked = limit(local, "foam-strength", units)
    rows = []
    for at, layer in enumerate(build.layers):
        if layer.kind != "foam" or (layer.strength_kpa or 0.0) >= asked.value:
            continue
        least, own = limit_text(asked.value, "kpa", units), limit_text(layer.strength_kpa or 0.0, "kpa", units)
        said = f"is {own} foam" if layer.strength_kpa else "says no strength"
        words = f"The foam of {build.slab} {said}; under a slab crews use {least} or more.{asked.note}"
        rows.append(
            finding("foam-soft", f"{path}.layers[{at}]", words, "Take a stronger foam, or ask the engineer.", "foam")
        )
    return rows


def _barrier(plan: Plan, build: BuildUp, path: str) -> list[Finding]:
    """A barrier under heated slabs and living space; garages and unheated outbuildings may go without."""
    if any(layer.kind == "barrier" for layer in build.layers):
        return []
    living = build.space == "living" or (build.space is None and plan.site.building == "house")
    if build.heated or living:
        why = "is heated" if build.heated else "has living space on it"
        words = f"{build.slab} {why} and no barrier lies anywhere under it."
        remedy = "Lay a barrier under the slab, over or under the foam; only the official may waive it."
        return [finding("no-barrier", path, words, remedy, "barrier")]
    if build.space is None and plan.site.building is None:
        words = f"No barrier lies under {build.slab}, and nobody said what stands on it."
        remedy = (
            "Say under Build-up whether it is living space, a garage, unheated or outside; living space gets a barrier."
        )
        return [finding("barrier-ask", path, words, remedy, "barrier")]
    return []


def _fill(units: Units, build: BuildUp, path: str, ways: JobWays) -> list[Finding]:
    """Clean sand and gravel up to 24 in, earth up to 8 in."""
    clean = earth = 0.0
    for layer in build.layers:
        if layer.kind in BASE_KINDS:
            is_earth = stone_for(ways.ground, layer).kind == "fill"
            clean, earth = (
                clean + (0.0 if is_earth else layer.thickness_mm or 0.0),
                earth + (layer.thickness_mm or 0.0 if is_earth else 0.0),
            )
    rows = []
    for has, key, name in ((clean, "fill-clean", "sand and gravel"), (earth, "fill-earth", "earth")):
        most = limit(ways.local_rules, key, units)
        if has > most.value + SLACK_MM:
            words = f"{say_depth(has, units)} of {name} under {build.slab}, over the {say_depth(most.value, units)} that needs no approval.{most.note}"
            remedy = "Have the fill approved and tested, found deeper, or dig less."
            rows.append(finding("fill-deep", path, words, remedy, "fill-depth"))
    return rows


def _below_grade(plan: Plan, cells: Sequence[Cell], build: BuildUp, path: str, local: Local) -> list[Finding]:
    """A 4 in base under a slab that lies below the ground outside."""
    least = limit(local, "base", plan.units)
    base = sum(layer.thickness_mm or 0.0 for layer in build.layers if layer.kind in ("blinding", "stone", "graded"))
    own = [cell for cell in cells if cell.mark == build.slab]
    grounds = [spot.level_mm for row in plan.forms for spot in row.ground]
    highest = max(grounds, default=plan.ground.found_mm)
    if highest is None or not own or base >= least.value - SLACK_MM:
        return []
    low = min(high_top(cell, plan) for cell in own)
    if highest <= low + SLACK_MM:
        return []
    words = f"{build.slab} lies {say_depth(highest - low, plan.units)} below the ground outside on {say_depth(base, plan.units)} of base; {say_depth(least.value, plan.units)} is asked there.{least.note}"
    remedy = f"Lay {say_depth(least.value, plan.units)} of clean stone, or have the ground shown to drain well."
    return [finding("base-thin", path, words, remedy, "base-below-grade")]


def _stone(units: Units, build: BuildUp, path: str, ways: GroundWays) -> list[Finding]:
    rows = []
    for at, layer in enumerate(build.layers):
        if layer.kind not in ("stone", "graded", "fill"):
            continue
        size = stone_for(ways, layer).size_mm
        if (layer.thickness_mm or 0.0) < 2 * size:
            words = f"{say_depth(layer.thickness_mm or 0, units)} of {layer_name(layer)} under {build.slab}, and its stones are up to {say_depth(size, units)}. It will not lie flat."
            rows.append(
                finding(
                    "stone-thin",
                    f"{path}.layers[{at}]",
                    words,
                    "Lay it at least two stones thick, or take a finer one.",
                    "stone-lift",
                )
            )
    return rows
