"""How this crew reads a day: which formula, what helps how much, when plant and crew work. Hours on the clock, C, shares. House figures until
its own days say better."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.plan.way_values import Reason

Formula = Literal["menzel", "uno"]
Saw = Literal["early", "conventional"]
Share = Annotated[float, Field(ge=0, le=1)]
Clock = Annotated[float, Field(ge=0, le=24)]
Spread = Annotated[float, Field(ge=0.01, le=0.6)]


class DayWays(BaseModel):
    """dries_by: the formula. saw: which saw. plant_opens_h, plant_shuts_h: it loads between. earliest_h: no truck stands there sooner.
    windbreak_share: of the wind left behind one; fog_humid_share: of the air over the slab; film_share: of the drying left; cooler_c: a mix
    with ice or cold water. pour_order_min: a part may set so long before one that was poured sooner. set_ratio: how much faster mixes set
    than their model; set_sd_share: its spread, zone_sd_share, truck_sd_share: of a place and of a load by themselves, print_sd_share: of a
    print. walk_mpa, strip_mpa, build_mpa: strengths; load_share: of what is specified."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    dries_by: Formula = "menzel"
    saw: Saw = "conventional"
    plant_opens_h: Clock = 5.5
    plant_shuts_h: Clock = 17.0
    earliest_h: Clock = 5.0
    windbreak_share: Share = 0.5
    fog_humid_share: Share = 0.8
    film_share: Share = 0.5
    cooler_c: Annotated[float, Field(gt=0, le=20)] = 5.5
    pour_order_min: Annotated[float, Field(ge=0, le=240)] = 20.0
    set_ratio: Annotated[float, Field(ge=0.3, le=3)] = 1.0
    set_sd_share: Spread = 0.18
    zone_sd_share: Spread = 0.06
    truck_sd_share: Spread = 0.08
    print_sd_share: Spread = 0.08
    walk_mpa: Annotated[float, Field(gt=0, le=40)] = 3.5
    strip_mpa: Annotated[float, Field(gt=0, le=40)] = 3.5
    build_mpa: Annotated[float, Field(gt=0, le=60)] = 10.0
    load_share: Annotated[float, Field(gt=0, le=1)] = 0.7
    reason: Reason = "House figures until prints and tickets of the crew's own days say better."


DRIES_SCHOOLS: tuple[tuple[Formula, str, str], ...] = (
    ("menzel", "The formula behind the chart that most specifications print.", "It wants the vapour pressure right and reads the lower of the two in the heat."),
    ("uno", "Temperatures, humidity and wind alone: anybody can check it with a pocket calculator.", "A fit to the chart, not valid in hard frost."),
)  # fmt: skip
SAW_SCHOOLS: tuple[tuple[Saw, str, str], ...] = (
    ("conventional", "The saw that every crew has; it cuts deep.", "It must wait until the joint does not ravel, and on some days the crack is faster."),
    ("early", "Cuts hours sooner, the same day, before the slab pulls.", "It cuts shallow, needs its own blade and skid plate, and somebody who stays."),
)  # fmt: skip
