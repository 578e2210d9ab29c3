"""How this crew covers and tests what lies under a slab: barrier, foam, tests of lines. Lengths mm, pressures kPa.

Sizes of rolls and boards are what a yard sells most; the crew writes its own.
"""

from __future__ import annotations

from typing import Annotated, Literal, Self

from pydantic import BaseModel, ConfigDict, Field, model_validator

from humble_trowel.core.plan.underslab_parts import BarrierEdge, FoamKind
from humble_trowel.core.plan.way_values import Reason, RollLength, SmallLength, WayLength

IN, FT = 25.4, 304.8
BarrierPlace = Literal["under-slab", "under-sand", "under-foam", "none"]
DrainTest = Literal["water", "air"]


class UnderslabWays(BaseModel):
    """edge: what becomes of the barrier at the slab's edge. stagger_mm: joints of foam boards stand apart at least that
    much. within_mm: how far sprayed foam strays. head_mm: of water over the highest joint. hold_min: how long a test stands."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    roll_wide_mm: WayLength = 12 * FT
    roll_long_mm: RollLength = 100 * FT
    lap_mm: Annotated[SmallLength, Field(gt=0)] = 6 * IN
    edge: BarrierEdge = "up"
    turn_up_mm: SmallLength = 6 * IN
    tape_mm: RollLength = 60 * FT
    foam: FoamKind = "XPS"
    board_long_mm: WayLength = 8 * FT
    board_wide_mm: WayLength = 4 * FT
    stagger_mm: SmallLength = 12 * IN
    within_mm: SmallLength = IN / 4
    drains: DrainTest = "water"
    head_mm: WayLength = 5 * FT
    hold_min: Annotated[int, Field(ge=1, le=1440)] = 15
    reason: Reason = "House figures until the crew writes its own."

    @model_validator(mode="after")
    def _rolls_that_lap(self) -> Self:
        if min(self.roll_wide_mm, self.roll_long_mm) <= self.lap_mm:
            raise ValueError("roll_wide_mm: the roll is no wider than its lap.")
        if self.stagger_mm > self.board_long_mm / 2:
            raise ValueError("stagger_mm: joints cannot stand farther apart than half a board.")
        return self


PLACE_SCHOOLS: tuple[tuple[BarrierPlace, str, str], ...] = (
    ("under-slab", "Right under the concrete: the floor stays dry whatever gets wet below it.", "Bleed water leaves by the top alone, so finish later and cure well."),
    ("under-sand", "Sand over it takes up bleed water, and shields it from boots and bars.", "Rain before the pour fills the sand, and that water comes up through the floor for years."),
    ("under-foam", "The foam shields it, and the concrete sees a clean flat board.", "Water that gets between foam and plastic before the pour stays there."),
    ("none", "Bleed water drains down and the slab dries from both sides.", "Damp rises for good; living space and glued floors must not go without."),
)  # fmt: skip
EDGE_SCHOOLS: tuple[tuple[BarrierEdge, str, str], ...] = (
    ("up", "Turned up at the form or wall and cut off at the floor: the edge is closed too.", "It gets in the way of the screed and tears at the stakes."),
    ("taped", "Taped to wall or form low down: clean to screed over.", "The tape must stick to a dusty face, and somebody must look."),
    ("flat", "Ends at the edge of the dig: quick, nothing sticks up.", "Damp gets in round the rim; some officials do not take it."),
)  # fmt: skip
TEST_SCHOOLS: tuple[tuple[DrainTest, str, str], ...] = (
    ("water", "A leak shows as a wet spot, and nothing can burst.", "It cannot be done in frost, and air locked in hides a leak."),
    ("air", "Quick, dry and possible in frost.", "Plastic under air can burst and hurt; makers of plastic pipe warn of it."),
)  # fmt: skip
