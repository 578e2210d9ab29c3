"""How this crew cures: under what, for how long, how wet, and when wheels may stand on it. Days, kg/m2, m2/l, m2K/W, MPa, hours on the clock, cents.
House figures until the maker's label and the crew's own slabs say better."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.plan.way_values import Reason

CoverWay = Literal["wet", "sheets", "blankets", "compound"]
Clock = Annotated[float, Field(ge=0, le=24)]
Cents = Annotated[int, Field(ge=0, le=10**7)]
FT2_M2 = 0.09290304


class CureWays(BaseModel):
    """cover: what usually lies on it. days: so long it is kept. film_kg_m2: water that one round leaves. round_from_h, round_until_h: somebody is there
    between. compound_m2_l: one litre covers, by the maker; coats. blanket_r_m2_k_w: how well a blanket insulates. drive_mpa: wheels may stand on it.
    edge_mm: of the straightedge; grind_cents_m2, fill_cents_m2: to mend what stands up or lies low."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    cover: CoverWay = "wet"
    days: Annotated[float, Field(ge=1, le=28)] = 7.0
    film_kg_m2: Annotated[float, Field(gt=0.05, le=10)] = 1.8
    round_from_h: Clock = 6.5
    round_until_h: Clock = 19.5
    compound_m2_l: Annotated[float, Field(gt=0.5, le=30)] = 4.9
    coats: Annotated[int, Field(ge=1, le=4)] = 1
    blanket_r_m2_k_w: Annotated[float, Field(gt=0, le=10)] = 0.7
    drive_mpa: Annotated[float, Field(gt=0, le=60)] = 17.2
    edge_mm: Annotated[float, Field(ge=1000, le=6000)] = 3048.0
    grind_cents_m2: Cents = round(400 / FT2_M2)
    fill_cents_m2: Cents = round(650 / FT2_M2)
    reason: Reason = "House figures until the maker's label and the crew's own slabs say better."


COVER_SCHOOLS: tuple[tuple[CoverWay, str, str], ...] = (
    ("wet", "Water on it for a week makes the hardest top, and it cools a hot slab.", "Somebody has to come back every few hours, and it must not run dry between."),
    ("sheets", "Plastic laid the same evening holds the water that is there, with one look a day.", "Where it wrinkles it leaves marks that show on a bare or stained floor."),
    ("blankets", "They hold warmth and water both: the only one that helps against frost.", "They are heavy, they cost, and in the sun they make a slab too warm."),
    ("compound", "Sprayed on once, and nobody has to come back.", "Paint, tile glue and stain do not hold on it until it is ground off."),
)  # fmt: skip
