"""How far a guess may be out, and what short and long cost. mm, m3, m2, cents; a spread is one standard deviation: two pours in three
stay within it. House figures until tickets and shots say better."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.plan.way_values import Reason, SmallLength, Volume

IN, YD3, FT2 = 25.4, 0.764554857984, 0.09290304
Cents = Annotated[int, Field(ge=0, le=10**8)]
Decide = Literal["need", "cost"]


class DoubtWays(BaseModel):
    """base_sd_mm: a base set by hand; rough_mm: its bumps, over rough_m2 each; shot_sd_mm: of a rod. trench_wide_sd_mm, trench_deep_sd_mm: a trench
    as it is dug; dug_sd_mm: once it was measured. bow_out_mm, bow_sd_mm: forms, in the middle of a bay. yield_low_share, yield_sd_share: what a load
    lacks of its ticket. left_sd_m3: in drum and chute; prime_m3: pump and hose hold back. decide: how the order is made of all that."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    decide: Decide = "need"
    base_sd_mm: SmallLength = 0.3 * IN
    rough_mm: SmallLength = 0.4 * IN
    rough_m2: Annotated[float, Field(gt=0, le=1000)] = 60 * FT2
    shot_sd_mm: SmallLength = IN / 16
    trench_wide_sd_mm: SmallLength = 0.5 * IN
    trench_deep_sd_mm: SmallLength = 0.5 * IN
    dug_sd_mm: SmallLength = 0.1 * IN
    bow_out_mm: SmallLength = 0.0
    bow_sd_mm: SmallLength = 0.25 * IN
    yield_low_share: Annotated[float, Field(ge=0, le=0.1)] = 0.0
    yield_sd_share: Annotated[float, Field(ge=0, le=0.1)] = 0.01
    left_sd_m3: Volume = 0.1 * YD3
    prime_m3: Volume = 0.25 * YD3
    prime_sd_m3: Volume = 0.1 * YD3
    reason: Reason = "House guesses; tickets and shots of past jobs shrink them."


class RiskWays(BaseModel):
    """least_m3: the smallest load that is sent. margin_m3: a load that is sent for is so much more than is missing. disposal_cents_m3: what
    nobody can use. wait_cents: a crew that stands until it comes. cold_joint: how likely an edge sets meanwhile, and what that costs.
    short_cents_m3: for each m3 under the plant's short load."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    least_m3: Volume = YD3
    margin_m3: Volume = 0.25 * YD3
    disposal_cents_m3: Cents = round(9000 / YD3)
    wait_cents: Cents = 45000
    cold_joint_share: Annotated[float, Field(ge=0, le=1)] = 0.25
    cold_joint_cents: Cents = 150000
    short_cents_m3: Cents = round(6000 / YD3)
    reason: Reason = "House figures until the plant's price list is typed in."


DECIDE_SCHOOLS: tuple[tuple[Decide, str, str], ...] = (
    ("need", "The likely need, up to the plant's next step: a sum anybody can follow.", "It runs short about every other time where the step leaves no room."),
    ("cost", "The order that costs least on the average, short weighed against long.", "It stands on guesses of spread and fees that somebody has to keep true."),
)  # fmt: skip
