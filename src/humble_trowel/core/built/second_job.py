"""A second pour as a small job of its own: a kerb, a knee wall or a pad beside, with its forms, its yards, its starters, its day."""

from __future__ import annotations

import shapely
from shapely.geometry import LineString, Polygon

from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.order.second_pours import starters, stretches
from humble_trowel.core.plan.document import Existing, Plan, Site
from humble_trowel.core.plan.order_parts import OrderNotes
from humble_trowel.core.plan.shape_parts import Kerb, Pad, SidePad, SlabType, Zone
from humble_trowel.core.plan.values import MAX_CORNERS
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.units import say_length

MARK = "S1"


def second_plans(plan: Plan, part: str, pour_at: str | None) -> list[Plan]:
    """A plan for each piece of a second pour, by its id. pour_at: when its first truck should stand there. Raises InputError for a part that is none, or that
    comes with the slab."""
    kerb = next((row for row in plan.kerbs if row.id == part), None)
    pad = next((row for row in plan.side_pads if row.id == part), None)
    own = kerb or pad
    if own is None:
        raise InputError("That is no second pour of this job any more.", "part")
    if own.pour == "with":
        raise InputError(
            "That comes with the slab, from the same trucks. Say in Edges that it is poured apart.", "part"
        )
    plans = (
        _of_kerb(plan, kerb, pour_at) if kerb is not None else [_of_pad(plan, pad, pour_at)] if pad is not None else []
    )
    return [read_plan(one.model_dump(mode="json")) for one in plans]


def _of_pad(plan: Plan, pad: SidePad, pour_at: str | None) -> Plan:
    piers = [Pad(type=row.type, at=row.at, turn_deg=row.turn_deg) for row in pad.piers]
    made = _bare(plan, pad.name, list(pad.polygon), pad.thickness_mm, -pad.top_mm, pour_at, [])
    kinds = [row for row in plan.pad_types if row.mark in {one.type for one in piers}]
    return made.model_copy(update={"pads": piers, "pad_types": kinds})


def _of_kerb(plan: Plan, kerb: Kerb, pour_at: str | None) -> list[Plan]:
    parts = stretches(kerb)
    name = kerb.name or f"Kerb {plan.kerbs.index(kerb) + 1}"
    rows = []
    for n, path in enumerate(parts, 1):
        closed = len(parts) == 1 and not kerb.leave_outs and kerb.path[0] == kerb.path[-1]
        line = shapely.LinearRing(path) if closed else LineString(path)
        shape = line.buffer(kerb.width_mm / 2, cap_style="flat", join_style="mitre", mitre_limit=4)
        ring, holes = _rings(shape)
        if not 3 <= len(ring) <= MAX_CORNERS:
            raise InputError(f"{name} has more corners than a job of its own can have.", "part")
        notes = []
        stand = [spot for spot in starters(kerb) if shape.covers(shapely.Point(spot))]
        if stand:
            notes.append(f"{len(stand)} starters, no farther apart than {say_length(kerb.starter_mm or 0.0, plan.units)}: clean them before the forms close.")  # fmt: skip
        own = f"{name} {n} of {len(parts)}" if len(parts) > 1 else name
        made = _bare(plan, own, ring, kerb.height_mm, -kerb.height_mm, pour_at, notes)
        rows.append(made.model_copy(update={"openings": holes}))
    return rows


def _rings(shape: Polygon) -> tuple[list[XY], list[list[XY]]]:
    shape = shapely.geometry.polygon.orient(shape)
    rings = [[(round(x, 2), round(y, 2)) for x, y in ring.coords[:-1]] for ring in (shape.exterior, *shape.interiors)]
    return rings[0], rings[1:]


def _bare(
    plan: Plan, name: str, ring: list[XY], thick_mm: float, slab_mm: float, pour_at: str | None, notes: list[str]
) -> Plan:
    """slab_mm: top of the slab that stands, over the top of this pour."""

    stands = Existing(
        name=f"Slab of {plan.name}"[:120], what="slab", polygon=list(plan.outline or ring), level_mm=slab_mm
    )
    text = "\n".join([f"Second pour of {plan.name}.", *notes])
    site: Site = plan.site.model_copy(update={"notes": text})
    order = OrderNotes(pour_at=pour_at, ring=plan.order.ring, travel_min=plan.order.travel_min)

    return Plan(
        name=f"{name}, {plan.name}"[:120], client=plan.client, contact=plan.contact, site=site, units=plan.units, outline=ring,
        slab_types=[SlabType(mark=MARK, thickness_mm=thick_mm)], zones=[Zone(name=name[:120], slab=MARK)], mix=plan.mix, order=order, ways=plan.ways,
        existing=[stands] if plan.outline else [],
    )  # fmt: skip
