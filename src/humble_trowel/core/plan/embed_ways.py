"""How this crew sets what sticks up: bolts, plates, studs, straps. Lengths mm; house figures until the crew writes its own."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.plan.way_values import Reason, RollLength, SmallLength, WayLength

IN, FT = 25.4, 304.8
Setting = Literal["wet", "tied", "drilled"]


class EmbedWays(BaseModel):
    """bolt_mm: diameter; embed_mm: in the concrete; most_mm: widest gap; end_min_mm, end_max_mm: from a piece's end, end_like_mm:
    where they are liked; clear_mm: from a stud's middle. plate_*: width, thickness, stock; washer, nut, past: what stands over
    the plate. straps: at each outside corner, strap_in_mm from it. *_min: minutes a bolt. spare: share that goes along."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    setting: Setting = "wet"
    bolt_mm: SmallLength = IN / 2
    embed_mm: SmallLength = 7 * IN
    most_mm: WayLength = 6 * FT
    end_min_mm: SmallLength = 3.5 * IN
    end_max_mm: WayLength = 12 * IN
    end_like_mm: WayLength = 9 * IN
    clear_mm: SmallLength = 2.25 * IN
    between_mm: SmallLength = 3 * IN
    plate_mm: SmallLength = 5.5 * IN
    plate_thick_mm: SmallLength = 1.5 * IN
    washer_mm: SmallLength = 0.25 * IN
    nut_mm: SmallLength = 0.5 * IN
    past_mm: SmallLength = 0.5 * IN
    stock_mm: RollLength = 16 * FT
    stud_mm: WayLength = 16 * IN
    post_mm: WayLength = 8 * FT
    straps: Annotated[int, Field(ge=0, le=8)] = 2
    strap_in_mm: WayLength = 12 * IN
    wet_min: Annotated[float, Field(ge=0, le=60)] = 1.5
    tied_min: Annotated[float, Field(ge=0, le=60)] = 5.0
    drilled_min: Annotated[float, Field(ge=0, le=60)] = 9.0
    spare: Annotated[float, Field(ge=0, le=1)] = 0.05
    reason: Reason = "House figures until the crew writes its own."


SETTING_SCHOOLS: tuple[tuple[Setting, str, str], ...] = (
    ("wet", "Pushed in behind the screed, each where its mark on the board says; nothing in the screed's way.", "It must be done before the concrete stiffens, and one pushed too late stands in a hole."),
    ("tied", "Hung from a bar across the form before the pour: they stand where the drawing says.", "They stand in the way of screed and float, and a boot moves them."),
    ("drilled", "Set by the framer where the wall really stands, days later.", "It costs drill, epoxy or wedges and a clean hole; many officials want to see each one."),
)  # fmt: skip
