"""What each truck brings to each zone, as a slab that is placed at its minute, on its own layers, in its own sun."""

from __future__ import annotations

import functools
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

import shapely
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.ground.stack import build_up_of
from humble_trowel.core.heat.hydration import Paste
from humble_trowel.core.heat.slab import Cover, Layer, Poured, Sky, Stuff
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.pour_sim.of_job import paste_of, placed_c
from humble_trowel.core.pour_sim.told import DeliveryTold, PartTold

CONCRETE, GRAVEL = Stuff(2.0, 2350, 1000), Stuff(0.9, 1800, 900)
FOAM, SOIL = Stuff(0.034, 32, 1450), Stuff(1.3, 1800, 1280)
STUFF_OF: Mapping[str, Stuff] = {"foam": FOAM, "stone": GRAVEL, "graded": GRAVEL, "fill": GRAVEL, "blinding": GRAVEL}
SOIL_M, DEEP_C = 2.5, 10.0
USUAL_MPA, USUAL_BINDER_KG_M3, SLOW_DAYS = 27.6, 335.0, 4.0
LEAST_SHARE = 0.08  # of a zone; a load that brings less to it has no clock of its own there


@dataclass(frozen=True)
class Cast:
    """What a truck brings to a zone; minutes after the first truck should stand there. at: of the zone among all."""

    zone: str
    name: str
    at: int
    mark: str
    truck: int
    batch_min: float
    from_min: float
    to_min: float
    area_m2: float
    thick_m: float

    @property
    def placed_min(self) -> float:
        """The middle of its filling."""
        return (self.from_min + self.to_min) / 2


def casts_of(plan: Plan, solid: Solid, pour: DeliveryTold) -> list[Cast]:
    """Every load in every zone where it brings enough, in the order in which they are filled."""
    rows: dict[tuple[int, int], Cast] = {}
    for part in pour.parts:
        if part.start_min is None or part.end_min is None or part.end_min <= part.start_min:
            continue
        area = _region(part)
        for at, cell in enumerate(solid.cells):
            shared = float(shapely.intersection(area, cell.region).area) / 1e6
            if shared <= 0:
                continue
            for truck in pour.trucks:
                begin, end = max(part.start_min, truck.unload_min), min(part.end_min, truck.end_min)
                if end - begin <= 0:
                    continue
                took = shared * (end - begin) / (part.end_min - part.start_min)
                _add(rows, plan, cell, at, truck.n, (truck.batch_min, begin, end, took))
    most = {at: max(row.area_m2 for key, row in rows.items() if key[0] == at) for at in {key[0] for key in rows}}
    kept = [
        row
        for (at, _), row in rows.items()
        if row.area_m2 >= LEAST_SHARE * solid.cells[at].area_m2 or row.area_m2 == most[at]
    ]
    return sorted(kept, key=lambda row: (row.from_min, row.to_min))


def _add(
    rows: dict[tuple[int, int], Cast], plan: Plan, cell: Cell, at: int, truck: int, took: tuple[float, float, float, float]
) -> None:  # fmt: skip
    batch, begin, end, area = took
    had = rows.get((at, truck))
    if had is None:
        zone = plan.zones[cell.index]
        rows[at, truck] = Cast(
            zone.id, cell.name, at, cell.mark, truck, batch, begin, end, area, cell.thickness_mm / 1000
        )
    else:
        rows[at, truck] = replace(
            had, from_min=min(had.from_min, begin), to_min=max(had.to_min, end), area_m2=had.area_m2 + area
        )


def _region(part: PartTold) -> BaseGeometry:
    """Its rings, even-odd."""
    area: BaseGeometry = Polygon()
    return functools.reduce(
        lambda one, other: one.symmetric_difference(other), (Polygon(ring) for ring in part.rings), area
    )


def layers_under(plan: Plan, mark: str) -> list[Layer]:
    """What lies under a slab down to native soil."""
    layers = build_up_of(plan, mark).layers
    at = next(i for i, layer in enumerate(layers) if layer.kind == "slab")
    return [
        Layer(STUFF_OF[layer.kind], layer.thickness_mm / 1000)
        for layer in layers[at + 1 :]
        if layer.kind in STUFF_OF and layer.thickness_mm
    ]


@dataclass(frozen=True)
class Concrete:
    """The concrete of the day."""

    paste: Paste
    binder_kg_m3: float
    at_28_mpa: float
    placed_c: float


def concrete_of(plan: Plan, ways: JobWays, cooler_c: float = 0.0) -> Concrete:
    """As the job and the crew say it."""
    mix = plan.mix
    return Concrete(
        paste_of(mix), mix.cement_kg_m3 or USUAL_BINDER_KG_M3, mix.strength_mpa or USUAL_MPA, placed_c(plan, ways.pour) - cooler_c
    )  # fmt: skip


@dataclass(frozen=True)
class Lies:
    """What a cast is placed into. skies: by zone. base_c, deep_c: of the ground. start_h: when the first truck should stand there."""

    skies: Sequence[Sky]
    base_c: float
    deep_c: float
    start_h: float
    dry_share: float = 1.0


def poured_of(
    plan: Plan, cast: Cast, concrete: Concrete, lies: Lies, ratio: float = 1.0, *, edge_m: float | None = None
) -> Poured:
    """A cast as a slab of its own. edge_m: as deep as the edge beside it, dug into the soil."""
    blanket = plan.day.blanket
    under = layers_under(plan, cast.mark) if edge_m is None else []
    return Poured(
        concrete.paste, concrete.binder_kg_m3, concrete.at_28_mpa, SLOW_DAYS,
        (Layer(CONCRETE, edge_m or cast.thick_m), *under), SOIL, SOIL_M, concrete.placed_c, lies.base_c, lies.deep_c,
        max(0.05, (cast.placed_min - cast.batch_min) / 60), lies.start_h + cast.placed_min / 60, lies.skies[cast.at],
        None if blanket is None else Cover(blanket.r_m2_k_w, blanket.after_h), ratio, lies.dry_share,
    )  # fmt: skip
