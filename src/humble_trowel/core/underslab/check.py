"""Whether a riser stands where it should: how far off, toward what, what is allowed, and who mends it."""

from __future__ import annotations

import math
from dataclasses import dataclass

from humble_trowel.core.geometry.faces import FromFace, inward_mm, spot_between
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.core.plan.underslab_parts import Riser
from humble_trowel.core.underslab.records import RiserCheck
from humble_trowel.core.units import say_depth, say_length

IN = 25.4
# how far a riser may be off and still be hidden in its wall or under its fixture; this house's figures
ALLOWED_MM = {
    "drain": IN / 2, "floor-drain": IN / 2, "floor-sink": IN / 2, "supply": IN / 2, "conduit": IN, "box": IN / 2,
    "gas": IN / 2, "ground": 2 * IN, "air": IN / 2, "manifold": IN / 2, "column": IN / 4, "other": IN / 2,
}  # fmt: skip


@dataclass(frozen=True)
class Checked:
    """A riser as taped. stands: where that is. off_mm: along each of its faces as it is read now, farther in is more. words:
    'On' or how far off and toward what; mend: what to do, '' where it is on."""

    on: bool
    stands: XY
    off_mm: list[float]
    taped: list[str]
    words: str
    mend: str


def checked(plan: Plan, riser: Riser, faces: list[FromFace], taped: RiserCheck) -> Checked | None:
    """What a check of a riser says; None where its faces are gone."""
    ring = list(plan.outline or [])
    sides = [
        plan.corner_ids.index(one) if isinstance(one, str) and one in plan.corner_ids else one for one in taped.faces
    ]
    if len(faces) < 2 or any(isinstance(one, str) or one >= len(ring) for one in sides):
        return None
    stands = spot_between(plan, sides[0], taped.from_mm[0], sides[1], taped.from_mm[1])
    if stands is None:
        return None
    off = [inward_mm(ring, face.side, stands) - inward_mm(ring, face.side, riser.at) for face in faces]
    far, allowed = math.dist(stands, riser.at), ALLOWED_MM[riser.kind]
    texts = [say_length(inward_mm(ring, face.side, stands) - plan.underslab.face_mm, plan.units) for face in faces]
    allows = say_depth(allowed, plan.units)
    if far <= allowed + 0.05:
        near = f", {say_depth(far, plan.units)} off" if far > 0.8 else ""
        return Checked(True, stands, off, texts, f"On{near}. {allows} allowed.", "")
    rows = sorted(zip(off, faces, reversed(faces), strict=True), key=lambda row: -abs(row[0]))
    said = [
        f"{say_depth(abs(mm), plan.units)} toward {_toward(ring, face, other, mm)}"
        for mm, face, other in rows
        if abs(mm) > allowed / 2 + 0.05
    ] or [f"{say_depth(far, plan.units)} away"]
    who = f" {riser.mends} does it." if riser.mends else ""
    return Checked(
        False,
        stands,
        off,
        texts,
        f"Off {', '.join(said)}. {allows} allowed.",
        f"Move it, or move what stands over it.{who}",
    )


def _toward(ring: list[XY], face: FromFace, other: FromFace, off_mm: float) -> str:
    """The corner of the other face that lies farther the way it is off."""
    ends = [
        (side, spot)
        for side, spot in zip((other.side, (other.side + 1) % len(ring)), side_of(ring, other.side), strict=True)
    ]
    pick = max if off_mm > 0 else min
    return corner_name(pick(ends, key=lambda end: inward_mm(ring, face.side, end[1]))[0])
