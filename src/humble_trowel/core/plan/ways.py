"""The ways: how this crew works and what its plant does. Company-wide; a job may override parts.

Lengths in mm, volumes in m3. House defaults: base lies low 1/4 in, trench 1/2 in wider than drawn, 1/4 yd3
left in drum and chute; the order goes up to the plant's increment after a slack of 0.005 yd3.
"""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import AfterValidator, BaseModel, ConfigDict, Field, StrictBool, field_validator

from humble_trowel.core.plan.cure_ways import CureWays
from humble_trowel.core.plan.day_ways import DayWays
from humble_trowel.core.plan.doubt_ways import DoubtWays, RiskWays
from humble_trowel.core.plan.embed_ways import EmbedWays
from humble_trowel.core.plan.form_ways import BuyWay, CornerWay, FormWays, SetOutWays, StackWay, Tape
from humble_trowel.core.plan.ground_ways import GroundWays, RodReads
from humble_trowel.core.plan.joint_ways import JointWays
from humble_trowel.core.plan.lesson_ways import Learnt
from humble_trowel.core.plan.local_rules import LIMIT_OF, LocalRule
from humble_trowel.core.plan.pour_ways import PourWays
from humble_trowel.core.plan.price_ways import PriceWays
from humble_trowel.core.plan.schedule_ways import ScheduleWays
from humble_trowel.core.plan.screed_ways import ScreedWays
from humble_trowel.core.plan.steel_ways import SteelWays
from humble_trowel.core.plan.underslab_ways import UnderslabWays
from humble_trowel.core.plan.way_values import Reason, SmallLength, Text, Volume, WayLength
from humble_trowel.core.units import M3_PER_YD3, Units

SLACK_M3 = 0.005 * M3_PER_YD3


def _increment(value: float) -> float:
    if value not in (0.25, 0.5):
        raise ValueError("must be a quarter or a half: 0.25 or 0.5.")
    return value


Increment = Annotated[float, AfterValidator(_increment)]


class WaysPart(BaseModel):
    model_config = ConfigDict(extra="forbid", frozen=True)


class Allowances(WaysPart):
    """Each with its reason; 0 switches one off."""

    base_low_mm: SmallLength = 6.35
    base_low_reason: Reason = "A base set by hand lies a little low all over."
    trench_wide_mm: SmallLength = 12.7
    trench_wide_reason: Reason = "Trench sides break out wider than drawn."
    left_behind_m3: Volume = 0.25 * M3_PER_YD3
    left_behind_reason: Reason = "Some stays in the drum and the chute."


class Plant(WaysPart):
    """The plant as the crew knows it. `confirmed`: somebody asked the plant."""

    name: Text = ""
    phone: Text = ""
    account: Text = ""
    increment_yd3: Increment = 0.5
    increment_m3: Increment = 0.5
    increment_reason: Reason = "The plant batches in halves."
    truck_yd3: Annotated[float, Field(ge=1, le=40)] = 9.0
    truck_m3: Annotated[float, Field(ge=0.5, le=30)] = 7.0
    truck_reason: Reason = "What most trucks carry on a level road."
    short_load_yd3: Annotated[float, Field(ge=0, le=40)] = 4.0
    short_load_m3: Annotated[float, Field(ge=0, le=30)] = 3.0
    confirmed: StrictBool = False


class Reading(WaysPart):
    """How lengths are shown."""

    nearest: Literal[4, 8, 16] = 16
    reason: Reason = "Tapes are read to the sixteenth."
    new_job_units: Units = "ft-in"


class Person(WaysPart):
    name: Annotated[str, Field(min_length=1, max_length=60)]
    phone: Text = ""


class Ways(WaysPart):
    """The whole crew's ways. local_rules: where the county says otherwise, by the key of the limit. learnt: middles that jobs moved, by their lesson."""

    firm: Text = ""
    crew: Annotated[list[Person], Field(max_length=60)] = []
    allowances: Allowances = Allowances()
    plant: Plant = Plant()
    reading: Reading = Reading()
    tape: Tape = Tape()
    set_out: SetOutWays = SetOutWays()
    forms: FormWays = FormWays()
    ground: GroundWays = GroundWays()
    underslab: UnderslabWays = UnderslabWays()
    steel: SteelWays = SteelWays()
    embeds: EmbedWays = EmbedWays()
    joints: JointWays = JointWays()
    screed: ScreedWays = ScreedWays()
    doubt: DoubtWays = DoubtWays()
    risk: RiskWays = RiskWays()
    pour: PourWays = PourWays()
    prices: PriceWays = PriceWays()
    day: DayWays = DayWays()
    cure: CureWays = CureWays()
    schedule: ScheduleWays = ScheduleWays()
    local_rules: dict[str, LocalRule] = {}
    learnt: dict[str, Learnt] = {}

    @field_validator("local_rules")
    @classmethod
    def _limits_that_are_there(cls, value: dict[str, LocalRule]) -> dict[str, LocalRule]:
        unknown = [key for key in value if key not in LIMIT_OF]
        if unknown:
            raise ValueError(f"{unknown[0]} is no limit of a rule. Known: {', '.join(LIMIT_OF)}.")
        return value


class WaysOverride(WaysPart):
    """What one job does differently: null means as the crew does. `reason` says why."""

    base_low_mm: SmallLength | None = None
    trench_wide_mm: SmallLength | None = None
    left_behind_m3: Volume | None = None
    increment_yd3: Increment | None = None
    increment_m3: Increment | None = None
    truck_yd3: Annotated[float, Field(ge=1, le=40)] | None = None
    truck_m3: Annotated[float, Field(ge=0.5, le=30)] | None = None
    short_load_yd3: Annotated[float, Field(ge=0, le=40)] | None = None
    short_load_m3: Annotated[float, Field(ge=0, le=30)] | None = None
    tolerance_mm: SmallLength | None = None
    profile_mm: WayLength | None = None
    corner: CornerWay | None = None
    stack: StackWay | None = None
    buy: BuyWay | None = None
    rod_reads: RodReads | None = None
    high_mm: SmallLength | None = None
    low_mm: SmallLength | None = None
    base_sd_mm: SmallLength | None = None
    trench_wide_sd_mm: SmallLength | None = None
    bow_sd_mm: SmallLength | None = None
    yield_sd_share: Annotated[float, Field(ge=0, le=0.1)] | None = None
    left_sd_m3: Volume | None = None
    plant_opens_h: Annotated[float, Field(ge=0, le=24)] | None = None
    set_ratio: Annotated[float, Field(ge=0.3, le=3)] | None = None
    reason: Reason = ""


class JobWays(Ways):
    """The ways of one job: the crew's, with that job's differences laid over them. What every answer is worked out by."""


# Which section each key of a job's own ways stands in; its field there has the same name.
SECTION_OF = {
    "base_low_mm": "allowances", "trench_wide_mm": "allowances", "left_behind_m3": "allowances",
    "increment_yd3": "plant", "increment_m3": "plant", "truck_yd3": "plant", "truck_m3": "plant",
    "short_load_yd3": "plant", "short_load_m3": "plant",
    "tolerance_mm": "tape",
    "profile_mm": "set_out",
    "corner": "forms", "stack": "forms", "buy": "forms",
    "rod_reads": "ground", "high_mm": "ground", "low_mm": "ground",
    "base_sd_mm": "doubt", "trench_wide_sd_mm": "doubt", "bow_sd_mm": "doubt", "yield_sd_share": "doubt", "left_sd_m3": "doubt",
    "plant_opens_h": "day", "set_ratio": "day",
}  # fmt: skip


def ways_for(crew: Ways, override: WaysOverride) -> JobWays:
    """The crew's ways with one job's differences laid over them; untouched sections are the very objects."""
    sections: dict[str, dict[str, object]] = {}
    for key, section in SECTION_OF.items():
        value = getattr(override, key)
        if value is not None:
            sections.setdefault(section, {})[key] = value
    values = {name: getattr(crew, name) for name in Ways.model_fields}
    values |= {name: getattr(crew, name).model_copy(update=changes) for name, changes in sections.items()}
    return JobWays.model_construct(**values)
