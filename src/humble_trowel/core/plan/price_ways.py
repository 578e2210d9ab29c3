"""What things cost, beside boards, stone and concrete, which stand with their matter. Cents by unit. House figures until they are asked."""

from __future__ import annotations

from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.plan.values import Day
from humble_trowel.core.plan.way_values import Reason

Cents = Annotated[int, Field(ge=0, le=10**8)]
Rate = Annotated[float, Field(gt=0, le=10000)]


class PriceWays(BaseModel):
    """asked_on: the day when prices were last asked for. old_days: after so many they are old. form_uses: a board serves so many pours.
    margin_share: of what is charged. due_days: so long a bill may wait."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    asked_on: Day | None = None
    old_days: Annotated[int, Field(ge=1, le=2000)] = 90
    steel_cents_kg: Cents = 210
    barrier_cents_m2: Cents = 130
    foam_cents_m3: Cents = 45000
    tube_cents_m: Cents = 190
    bolt_cents: Cents = 320
    strap_cents: Cents = 950
    saw_cents_m: Cents = 330
    cure_cents_m2: Cents = 90
    form_uses: Annotated[int, Field(ge=1, le=50)] = 4
    hour_cents: Cents = 5200
    dig_m3_h: Rate = 2.3
    stone_m3_h: Rate = 2.3
    cover_m2_h: Rate = 28.0
    steel_kg_h: Rate = 45.0
    bolts_h: Rate = 12.0
    saw_m_h: Rate = 30.0
    margin_share: Annotated[float, Field(ge=0, lt=0.9)] = 0.18
    due_days: Annotated[int, Field(ge=0, le=365)] = 30
    reason: Reason = "House figures until the suppliers are asked."
