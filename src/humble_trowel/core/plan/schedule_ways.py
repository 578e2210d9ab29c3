"""How this crew's trades follow one another: what a day brings, notices, what weather each work bears. m2, m, kg a day; mm of rain, m/s, C.
House figures until the crew writes its own; the inspector, the plant and the code adopted there say their own."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.plan.schedule_parts import Hands, Weekdays
from humble_trowel.core.plan.way_values import Reason

Rate = Annotated[float, Field(gt=0, le=100_000)]
Notice = Annotated[int, Field(ge=0, le=60)]
Rain = Annotated[float, Field(ge=0, le=500)]
FormsWhen = Literal["stone-first", "forms-first"]


class ScheduleWays(BaseModel):
    """forms_when: whether boards stand before the stone. workdays: Monday 0. hands: on a day where no crew is named. *_notice_days: working days
    ahead that plant, inspector and locators want. dig, stone, barrier, foam, tubes: m2 a day; forms: m; steel: kg. wet_cure_days: kept wet.
    barrier_dry_mm: so much rain in a day gets under or onto the barrier until it is poured. dry_after_mm: spoils a fresh slab the day after."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    forms_when: FormsWhen = "forms-first"
    workdays: Weekdays = [0, 1, 2, 3, 4]
    hands: Hands = 4
    pour_hands: Hands = 4
    plant_notice_days: Notice = 2
    visit_notice_days: Notice = 1
    visit_weekdays: Weekdays = [0, 1, 2, 3, 4]
    locate_notice_days: Notice = 3
    dig_m2_day: Rate = 120.0
    stone_m2_day: Rate = 150.0
    forms_m_day: Rate = 40.0
    barrier_m2_day: Rate = 250.0
    foam_m2_day: Rate = 150.0
    tubes_m2_day: Rate = 150.0
    steel_kg_day: Rate = 900.0
    wet_cure_days: Notice = 7
    dig_rain_mm: Rain = 12.7
    stone_rain_mm: Rain = 6.35
    barrier_rain_mm: Rain = 2.54
    barrier_dry_mm: Rain = 12.7
    barrier_wind_ms: Annotated[float, Field(gt=0, le=60)] = 8.94
    pour_rain_mm: Rain = 1.27
    pour_least_c: Annotated[float, Field(ge=-40, le=30)] = -1.1
    pour_most_c: Annotated[float, Field(ge=10, le=60)] = 35.0
    dry_after_mm: Rain = 6.35
    reason: Reason = "House figures until the crew writes its own."


FORMS_WHEN_SCHOOLS: tuple[tuple[FormsWhen, str, str], ...] = (
    ("forms-first", "Boards hold the stone and give the screed its height while it is spread.", "The machine that spreads it cannot drive over them."),
    ("stone-first", "Stone goes in and is rolled with the machine, right out past the edge.", "It is dug again along the sides to stand the boards."),
)  # fmt: skip
