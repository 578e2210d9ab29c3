"""How this crew lays steel: laps, cover, stock, chairs, corners. Lengths mm.

Sizes are what a yard sells most; the crew writes its own.
"""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.plan.steel_parts import BarName, Corners, SteelWay
from humble_trowel.core.plan.way_values import Reason, RollLength, SmallLength, WayLength

IN, FT = 25.4, 304.8
LapRule = Literal["40d", "class-b"]
Held = Literal["chairs", "pulled"]


class SteelWays(BaseModel):
    """earth_mm: cover where concrete is cast against the ground; side_mm: against forms; top_mm: under the finished floor.
    stock_*: lengths that a yard sells, for inch and metric bars. keep_mm: an offcut as long as this is kept. hook_out_mm: dowels
    into the slab. waste: share of epoxy that is lost; cartridge_ml: what one holds."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    bar: BarName = "#4"
    metric_bar: BarName = "10 mm"
    spacing_mm: WayLength = 18 * IN
    lap: LapRule = "40d"
    earth_mm: SmallLength = 3 * IN
    side_mm: SmallLength = 2 * IN
    top_mm: SmallLength = 1.5 * IN
    stock_mm: Annotated[list[RollLength], Field(min_length=1, max_length=6)] = [20 * FT]
    stock_metric_mm: Annotated[list[RollLength], Field(min_length=1, max_length=6)] = [6000.0, 12_000.0]
    keep_mm: WayLength = 4 * FT
    held: Held = "chairs"
    chair_mm: WayLength = 4 * FT
    corners: Corners = "bent"
    leg_mm: WayLength = 30 * IN
    diagonal_mm: WayLength = 4 * FT
    sheet_long_mm: WayLength = 10 * FT
    sheet_wide_mm: WayLength = 5 * FT
    roll_long_mm: RollLength = 150 * FT
    mesh_lap_mm: SmallLength = 6 * IN
    tie_kg_t: Annotated[float, Field(ge=0, le=50)] = 6.0
    hole_over_mm: SmallLength = IN / 8
    dowel_out_mm: WayLength = 18 * IN
    waste: Annotated[float, Field(ge=0, le=1)] = 0.25
    cartridge_ml: Annotated[float, Field(ge=10, le=5000)] = 650.0
    reason: Reason = "House figures until the crew writes its own."


WAY_SCHOOLS: tuple[tuple[SteelWay, str, str], ...] = (
    ("bars", "A mat of bars stays where its chairs put it, and can be counted from the edge.", "It costs the most hours of tying."),
    ("mesh", "Flat sheets go down fast and come with their spacing.", "Left on the ground it does nothing, and boots push it there."),
    ("rolls", "The cheapest cover of all, and one truck brings it.", "It never lies flat: it curls up into the saw's way or lies in the dirt."),
    ("mesh-tied", "Mesh in the field, and a double row tied to the edge bars where the walls stand.", "The tying takes as long as a light mat would."),
    ("fibre", "It comes with the concrete and cannot be laid too low.", "It does not hold a crack once it is open, and some finishes show it."),
    ("fibre-edges", "Fibre in the field, bars where the walls stand and the edge carries.", "Two crews' habits in one pour; the inspector asks for both papers."),
    ("none", "A small pad on good ground, cut into squares, often needs none.", "A crack that opens stays open, and its sides rise and sink by themselves."),
)  # fmt: skip
BAR_CORNER_SCHOOLS: tuple[tuple[Corners, str, str], ...] = (
    ("bent", "Bars turn the corner with legs: the edge is one ring.", "Each corner needs bars bent and tied, and the legs get in the way of bolts."),
    ("crossed", "Straight bars run through and cross: nothing to bend.", "The corner is not tied round; some officials do not take it."),
)  # fmt: skip
HELD_SCHOOLS: tuple[tuple[Held, str, str], ...] = (
    ("chairs", "Steel stands at its height before the truck comes, and can be looked at.", "Somebody steps on every one of them; they must be close."),
    ("pulled", "Nothing in the way of barrows and boots.", "Pulled up with a hook while it is wet, nobody knows where it stays."),
)  # fmt: skip
LAP_SCHOOLS: tuple[tuple[LapRule, str, str], ...] = (
    ("40d", "Forty diameters: everybody knows it, and it is quick to tape.", "It is shorter than the code's class B lap for most bars."),
    ("class-b", "By the code for tension, from the strength of the concrete.", "Longer, so more steel; a plain slab on ground is not asked for it."),
)  # fmt: skip
