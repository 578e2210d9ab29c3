"""Bodies of the routes of the order."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.cost.cost import Costed
from humble_trowel.core.edits.registry import Edit
from humble_trowel.core.findings import Finding
from humble_trowel.core.mix.advice import MixFound
from humble_trowel.core.mix.balance import Balance
from humble_trowel.core.order.called import Called
from humble_trowel.core.order.told import SureTold
from humble_trowel.core.plan.values import Day
from humble_trowel.core.pour_sim.told import DeliveryTold


class OrderAsked(BaseModel):
    """edits: not kept yet. tab: whose answer is wanted. spacing_min: tried; late_min: single loads that come late, by their number from 0; seed: of days by chance; today: to tell how old prices are."""

    model_config = ConfigDict(extra="forbid")
    edits: Annotated[list[Edit], Field(max_length=60)] = []
    tab: Literal["ledger", "sure", "mix", "trucks", "cost", "call"] = "sure"
    spacing_min: Annotated[float, Field(gt=0, le=600)] | None = None
    late_min: Annotated[dict[int, Annotated[float, Field(ge=-600, le=600)]], Field(max_length=200)] = {}
    seed: Annotated[int, Field(ge=0, le=10**9)] = 1
    today: Day | None = None


class OrderState(BaseModel):
    """What the tab shows; the others are empty."""

    sure: SureTold | None = None
    mix: MixFound | None = None
    heat: Balance | None = None
    air_from: str = ""
    delivery: DeliveryTold | None = None
    cost: Costed | None = None
    called: Called | None = None
    findings: list[Finding]
