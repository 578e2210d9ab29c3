"""What is in the drum, as a job file says it. Null where nobody said it."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field, StrictBool

from humble_trowel.core.plan.model import Id, Model
from humble_trowel.core.plan.values import Note, Number, Small, Strength, When

Freeze = Literal["F0", "F1", "F2", "F3"]
Sulphate = Literal["S0", "S1", "S2", "S3"]
Finish = Literal["trowelled", "broomed", "floated", "exposed"]
Reducer = Literal["none", "low", "mid", "high"]
Setting = Literal["as it comes", "retarded", "accelerated"]
Share = Annotated[Number, Field(ge=0, le=0.9)]


class Settled(Model):
    """What was decided where two rules pull apart, and by whom."""

    answer: Note
    by: Note = ""
    at: When | None = None


class Mix(Model):
    """strength_by: engineer or code, who set it. freeze, sulphate: exposure class of the outside, of the soil; salt: it is salted.
    outside: zones in the weather, by id. water_share: water to cement at most. line_mm: the pump's hose. settled: by the name of the line."""

    strength_mpa: Strength | None = Field(default=None, gt=0, le=150)
    strength_by: Note = ""
    slump_mm: Small | None = None
    stone_mm: Small | None = None
    air_percent: Number | None = Field(default=None, ge=0, le=15)
    fibre: Note | bool | None = None
    notes: Note = ""
    water_share: Number | None = Field(default=None, ge=0.25, le=0.9)
    cement_kg_m3: Number | None = Field(default=None, ge=150, le=700)
    ash_share: Share | None = None
    slag_share: Share | None = None
    reducer: Reducer | None = None
    setting: Setting | None = None
    finish: Finish | None = None
    stained: StrictBool = False
    freeze: Freeze | None = None
    salt: StrictBool = False
    sulphate: Sulphate | None = None
    outside: Annotated[list[Id], Field(max_length=100)] = []
    line_mm: Small | None = None
    air_c: Number | None = Field(default=None, ge=-40, le=55)
    noon_c: Number | None = Field(default=None, ge=-40, le=55)
    cement_c: Number | None = Field(default=None, ge=-20, le=90)
    stone_c: Number | None = Field(default=None, ge=-20, le=70)
    water_c: Number | None = Field(default=None, ge=0, le=95)
    wanted_c: Number | None = Field(default=None, ge=4, le=38)
    settled: dict[str, Settled] = {}
