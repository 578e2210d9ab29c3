"""How this crew joints a slab. Lengths mm; house figures until the crew writes its own."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.plan.joint_parts import How
from humble_trowel.core.plan.way_values import Reason, SmallLength, WayLength

IN, FT = 25.4, 304.8


class JointWays(BaseModel):
    """ratio_n: a panel's side in thicknesses, cap_mm at most; aspect_ratio: long over short; depth_share: of the thickness, depth_min_mm
    at least; sliver_mm: no panel narrower; column_mm: how far a joint round a column lies past its face; saw_m_h: metres that one saw cuts in an hour; blade_m: metres of a blade."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    how: Literal["sawn", "tooled", "inserted"] = "sawn"
    ratio_n: Annotated[float, Field(ge=12, le=60)] = 30.0
    cap_mm: WayLength = 15 * FT
    aspect_ratio: Annotated[float, Field(ge=1.0, le=4.0)] = 1.5
    depth_share: Annotated[float, Field(gt=0, le=0.5)] = 0.25
    depth_min_mm: SmallLength = IN
    sliver_mm: WayLength = 2 * FT
    column_mm: WayLength = FT
    saw_m_h: Annotated[float, Field(ge=1, le=1000)] = 45.0
    blade_m: Annotated[float, Field(ge=10, le=20_000)] = 600.0
    reason: Reason = "House figures until the crew writes its own."


HOW_SCHOOLS: tuple[tuple[How, str, str], ...] = (
    ("sawn", "Straight and clean, cut where it must be once the concrete bears a saw.", "The hour is short: early it ravels, late it has cracked; and it makes dust."),
    ("tooled", "Done with the finish, nothing to come back for; its edges are round.", "A day's finishing slower, and a wheel or a broom catches in it."),
    ("inserted", "A strip pushed in while it is wet: no saw, no dust, no waiting.", "It leans if nobody looks, and then the crack runs beside it."),
)  # fmt: skip
