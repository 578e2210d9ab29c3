"""How this crew screeds. Lengths mm, times minutes; house figures until the crew writes its own."""

from __future__ import annotations

from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field, StrictBool

from humble_trowel.core.plan.screed_parts import Rides
from humble_trowel.core.plan.way_values import Reason, SmallLength, WayLength

IN, FT = 25.4, 304.8
Boards = Annotated[list[WayLength], Field(max_length=20)]


class ScreedWays(BaseModel):
    """boards_mm, vibrating_mm: on the truck. on_*_mm: how much of a board lies on what it rides on. pad_less_mm: pads are so much closer
    than the longest board. pad_high_mm: a pad may be left so high. limit_min: how old an edge may be when its neighbour comes.
    rate_m2_h: struck in an hour. chute_mm, hose_mm, barrow_mm: how far each brings concrete. edges_first: trenches are filled first."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    boards_mm: Boards = [7 * FT, 14 * FT, 16 * FT]
    vibrating_mm: Boards = [12 * FT]
    rides: Rides = "wet"
    on_form_mm: SmallLength = 3 * IN
    on_wet_mm: SmallLength = 6 * IN
    on_edge_mm: SmallLength = 12 * IN
    pad_less_mm: WayLength = FT
    pad_high_mm: SmallLength = IN / 8
    limit_min: Annotated[float, Field(ge=10, le=600)] = 120.0
    rate_m2_h: Annotated[float, Field(ge=5, le=1000)] = 44.6
    chute_mm: WayLength = 18 * FT
    hose_mm: WayLength = 90 * FT
    barrow_mm: WayLength = 60 * FT
    edges_first: StrictBool = False
    reason: Reason = "House figures until the crew writes its own."


RIDES_SCHOOLS: tuple[tuple[Rides, str, str], ...] = (
    ("wet", "Nothing to fetch or pull: struck by the laser just ahead of the board.", "Less exact than a rail, and gone soft if the board comes late."),
    ("rail", "The straightest floor; set dry, checked before the first truck.", "Every rail is pulled and its trench filled while the strip is wet."),
    ("stakes", "A height anybody can see, set the day before.", "One forgotten stake is a rotten hole: each is pulled and counted."),
    ("pegs", "Small and exact, driven to the laser.", "Driven under or pulled out before the float, or it shows."),
    ("edge", "No pads for the second strip: it rides on the first one's fresh edge.", "A foot of the board lies on soft concrete; late, it digs in."),
)  # fmt: skip
EDGES_SCHOOLS: tuple[tuple[str, str, str], ...] = (
    ("with the strip", "One load, one lift: trench and slab are one, no seam between.", "The pull waits where a deep trench takes the load."),
    ("edges first", "Trenches vibrated in peace, forms watched while they take the weight.", "Their tops stiffen in the sun before the slab reaches them."),
)  # fmt: skip
