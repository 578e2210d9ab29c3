"""How this crew's pours go: plant, road, hands and what waiting costs. Minutes, hours, m3, m2, C, cents. House figures until it says."""

from __future__ import annotations

from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.plan.way_values import Reason

YD3, FT2 = 0.764554857984, 0.09290304
Minutes = Annotated[float, Field(ge=0, le=600)]
Rate = Annotated[float, Field(gt=0, le=1000)]
Some = Annotated[int, Field(ge=1, le=40)]
Cents = Annotated[int, Field(ge=0, le=10**8)]


class PourWays(BaseModel):
    """batch_min: to load a truck. line_min: a call waits so long at the plant. fleet: trucks it sends. places: where one can stand and unload.
    crew_m3_h: what the crew places; chute, pump, barrow, conveyor: what each brings. strike_m2_h, finish_m2_h: board, and each float.
    load_min: batching to the last yard. joint_share: of initial set, until an edge is too old. free_min_m3: a truck may stand so long.
    travel_sd_min, pace_sd_share: how roads and unloading vary. day_h: a crew's day."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    batch_min: Minutes = 9.0
    line_min: Minutes = 12.0
    travel_min: Minutes = 25.0
    back_min: Minutes = 25.0
    fleet: Some = 4
    places: Some = 1
    position_min: Minutes = 3.0
    clear_min: Minutes = 4.0
    crew_m3_h: Rate = 15 * YD3
    chute_m3_h: Rate = 42 * YD3
    pump_m3_h: Rate = 45 * YD3
    barrow_m3_h: Rate = 12 * YD3
    conveyor_m3_h: Rate = 48 * YD3
    strike_m2_h: Rate = 900 * FT2
    finishers: Some = 1
    finish_m2_h: Rate = 1080 * FT2
    temp_c: Annotated[float, Field(ge=5, le=40)] = 21.0
    load_min: Annotated[float, Field(ge=30, le=300)] = 90.0
    joint_share: Annotated[float, Field(ge=0.2, le=1.0)] = 0.75
    free_min_m3: Annotated[float, Field(ge=0, le=60)] = 6 / YD3
    wait_cents_h: Cents = 18000
    crew_cents_h: Cents = 32000
    pump_cents_h: Cents = 22000
    pump_least_h: Annotated[float, Field(ge=0, le=24)] = 4.0
    overtime_after_h: Annotated[float, Field(ge=1, le=24)] = 8.0
    overtime_ratio: Annotated[float, Field(ge=1, le=4)] = 1.5
    day_h: Annotated[float, Field(ge=2, le=24)] = 10.0
    travel_sd_min: Minutes = 6.0
    pace_sd_share: Annotated[float, Field(ge=0, le=0.5)] = 0.15
    reason: Reason = "House figures until the plant and the crew say their own."
