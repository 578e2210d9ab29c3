"""What foam on the faces of edges adds to the slab's concrete, or takes of it: tops cut back so that the plate bears, and foam
that stands inside of the outline."""

from __future__ import annotations

from collections.abc import Sequence

from humble_trowel.core.geometry.foam_faces import FoamFace, foam_faces
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.order.leaves import area_leaf, area_times_depth, short_sum, thin_leaf, volume_unit
from humble_trowel.core.order.second_pours import SecondPour
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.units import format_volume
from humble_trowel.core.working import Working, work


def foam_pours(plan: Plan, cells: Sequence[Cell]) -> list[SecondPour]:
    """A row for each run of foam that changes the concrete; less than nothing where it takes room of it."""
    found = []
    for at, face in enumerate(foam_faces(plan)):
        if face.kind.foam_side == "inside":
            deep = face.kind.depth_mm if face.kind.kind == "thickened" else None
            deep = deep or min((cell.thickness_mm for cell in cells), default=0.0)
            found.append(_row(plan, at, f"{face.kind.mark}, foam inside the outline", face, face.region.area, deep, -1))
        if face.back is not None:
            high = face.kind.cut_back_high_mm or 0.0
            found.append(_row(plan, at, f"{face.kind.mark}, foam cut back", face, face.back.area, high, 1))
    return found


def _row(plan: Plan, at: int, name: str, face: FoamFace, area_mm2: float, high_mm: float, sign: int) -> SecondPour:
    unit, _ = volume_unit(plan)
    where = f"edges/type/{face.kind.mark}"
    inputs: dict[str, Working] = {
        "area": area_leaf("Its area on plan", area_mm2 / 1e6, plan, where), "high": thin_leaf("Its height", high_mm, plan, where),
    }  # fmt: skip
    m3 = sign * area_mm2 * high_mm / 1e9
    formula = area_times_depth(plan, "area", "high")
    text = format_volume(m3, plan.units)
    working = work(
        name, unit, formula if sign > 0 else f"0 - {formula}", inputs, source="foam-face", text=f"{text} {unit}"
    )
    return SecondPour(name, "foam edge", at, m3, text, short_sum(working), 0.0, [], working, with_slab=True)
