"""How this crew grades: laser and rod, stones of the kit, compactor, how flat is flat, spoil.

Lengths in mm, volumes in m3, densities in t/m3, money in cents. Loose factors and densities are thumb figures until
the crew takes the quarry's own; a lift for a compactor is a thumb figure too (ask the maker or the soils engineer).
"""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.plan.way_values import Reason, SmallLength, Text, WayLength, WayName

IN = 25.4
RodReads = Literal["sixteenths", "tenths", "mm"]
BaseWay = Literal["clean", "graded"]
PegWay = Literal["laser", "pegs"]
LiftWay = Literal["thin", "thick"]


class GroundPart(BaseModel):
    model_config = ConfigDict(extra="forbid", frozen=True)


class Laser(GroundPart):
    """accuracy_mm: at accuracy_at_mm from the tripod, as its maker states it; it grows in proportion beyond."""

    name: Text = ""
    accuracy_mm: Annotated[SmallLength, Field(gt=0)] = 1.5
    accuracy_at_mm: WayLength = 30_000
    rod_mm: WayLength = 16 * 12 * IN


class Stone(GroundPart):
    """A stone of the kit. loose_factor: loose over compacted volume. density_t_m3: loose. size_mm: the largest."""

    mark: WayName
    kind: Literal["stone", "graded", "blinding", "fill"] = "stone"
    loose_factor: Annotated[float, Field(ge=1, le=2)] = 1.08
    density_t_m3: Annotated[float, Field(gt=0.3, le=4)] = 1.55
    size_mm: SmallLength = 0.75 * IN
    price_per_t_cents: Annotated[float, Field(ge=0, le=1e6)] = 0


STONES = [
    Stone(mark="3/4 clean", kind="stone", loose_factor=1.08, density_t_m3=1.55, size_mm=0.75 * IN, price_per_t_cents=3400),
    Stone(mark="crusher run", kind="graded", loose_factor=1.2, density_t_m3=1.55, size_mm=1.5 * IN, price_per_t_cents=2600),
    Stone(mark="sand", kind="blinding", loose_factor=1.1, density_t_m3=1.5, size_mm=5, price_per_t_cents=2200),
    Stone(mark="bank run", kind="fill", loose_factor=1.2, density_t_m3=1.5, size_mm=2 * IN, price_per_t_cents=1700),
]  # fmt: skip


class GroundWays(GroundPart):
    """rod_reads: null = sixteenths, mm in a mm job. high_mm, low_mm: how far a shot may be off and still pass.

    lift_mm: greatest lift for the compactor. truck_t: payload. swell: dug over undug volume. bucket_mm: of the digger.
    """

    rod_reads: RodReads | None = None
    laser: Laser = Laser()
    stones: Annotated[list[Stone], Field(max_length=40)] = STONES
    base: BaseWay = "graded"
    grading: PegWay = "laser"
    lifts: LiftWay = "thin"
    high_mm: Annotated[SmallLength, Field(gt=0)] = IN / 4
    low_mm: Annotated[SmallLength, Field(gt=0)] = IN / 4
    compactor: Text = "Plate compactor"
    lift_mm: Annotated[SmallLength, Field(gt=0)] = 4 * IN
    lift_is: Literal["compacted", "loose"] = "compacted"
    truck_t: Annotated[float, Field(gt=0, le=60)] = 15.0
    swell: Annotated[float, Field(ge=1, le=2)] = 1.25
    strip_mm: SmallLength = 6 * IN
    bucket_mm: SmallLength = 12 * IN
    peg_spacing_mm: WayLength = 8 * 12 * IN
    haul_cents_per_m3: Annotated[int, Field(ge=0, le=10**6)] = 1800
    concrete_cents_per_m3: Annotated[int, Field(ge=0, le=10**6)] = 21600
    foam_cents_per_m2_inch: Annotated[int, Field(ge=0, le=10**5)] = 1150
    reason: Reason = "House figures until the crew writes its own."


BASE_SCHOOLS: tuple[tuple[BaseWay, str, str], ...] = (
    ("clean", "Drains and breaks the rise of damp, and hardly needs packing.", "Rolls underfoot, and fines wash into it."),
    ("graded", "Packs hard and can be fine-graded to a quarter inch.", "Holds water and wicks it up unless a barrier lies over it."),
)  # fmt: skip
GRADING_SCHOOLS: tuple[tuple[PegWay, str, str], ...] = (
    ("laser", "Any spot can be checked at any time, and nothing stands in the way.", "One bumped tripod spoils all of it, unless the benchmark is shot again."),
    ("pegs", "Everyone rakes to the same tops without waiting for the rod.", "Pegs get knocked, and must be pulled before the pour."),
)  # fmt: skip
LIFT_SCHOOLS: tuple[tuple[LiftWay, str, str], ...] = (
    ("thin", "Every machine reaches through, so it is dense all the way down.", "More passes, more time."),
    ("thick", "Fewer lifts under a heavy roller or an excavator plate.", "A light plate leaves the bottom loose."),
)  # fmt: skip
