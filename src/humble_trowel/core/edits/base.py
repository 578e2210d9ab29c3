"""What every edit is: data with `apply`, and how it says which row, corner or side it means."""

from __future__ import annotations

from typing import Annotated, Any

from pydantic import Field

from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import Ref, place_of
from humble_trowel.core.plan.model import Model

Typed = Annotated[str, Field(max_length=200)] | Annotated[float, Field(strict=True)]
Calls = Annotated[str, Field(max_length=4000)]
Title = Annotated[str, Field(max_length=120)]
Short = Annotated[str, Field(max_length=200)]
Coordinate = Annotated[float, Field(gt=-1e6, lt=1e6, allow_inf_nan=False)]
TypeMark = Annotated[str, Field(min_length=1, max_length=12)]
Spot = tuple[Coordinate, Coordinate]
Spots = Annotated[list[Spot], Field(min_length=2, max_length=200)]
Corners = Annotated[list[Spot], Field(min_length=3, max_length=200)]

_Name = Annotated[str, Field(min_length=1, max_length=24)]
CornerId = Annotated[_Name, Ref("corner")]
SideId = Annotated[_Name, Ref("side")]
OpeningId = Annotated[_Name, Ref("opening")]
ZoneId = Annotated[_Name, Ref("zones")]
LineId = Annotated[_Name, Ref("edges")]
BeamId = Annotated[_Name, Ref("beams")]
PadId = Annotated[_Name, Ref("pads")]
RecessId = Annotated[_Name, Ref("recesses")]
SidePadId = Annotated[_Name, Ref("side_pads")]
KerbId = Annotated[_Name, Ref("kerbs")]
PilesId = Annotated[_Name, Ref("piles")]
FootingId = Annotated[_Name, Ref("footings")]
WallId = Annotated[_Name, Ref("walls")]
ServiceId = Annotated[_Name, Ref("services")]
RiserId = Annotated[_Name, Ref("risers")]
TreatmentId = Annotated[_Name, Ref("treatments")]
KeyId = Annotated[_Name, Ref("keys")]
DowelsId = Annotated[_Name, Ref("dowels")]
StudWallId = Annotated[_Name, Ref("stud_walls")]
BoltId = Annotated[_Name, Ref("bolts")]
StrapId = Annotated[_Name, Ref("straps")]
GroupId = Annotated[_Name, Ref("groups")]
JointId = Annotated[_Name, Ref("joints")]
StripId = Annotated[_Name, Ref("strips")]
PadLineId = Annotated[_Name, Ref("pad_lines")]
StandId = Annotated[_Name, Ref("stands")]
SpareId = Annotated[_Name, Ref("spare")]
QuoteLineId = Annotated[_Name, Ref("quote_lines")]
SurroundingId = Annotated[_Name, Ref("around")]
HeatedId = Annotated[_Name, Ref("heated")]
ExistingId = Annotated[_Name, Ref("existing")]
BenchmarkId = Annotated[_Name, Ref("benchmarks")]

Edited = tuple[Plan, str]


class EditBase(Model):
    """An edit: what a screen sends, what a revision keeps, what is applied again after a clash. Things are named by id."""

    def apply(self, plan: Plan) -> Edited:
        """The plan after it, and one line that says what changed. Raises EditError, CallError, LengthError or a
        validation error; never changes `plan`."""
        raise NotImplementedError


def ring_needed(plan: Plan) -> list[XY]:
    """The outline, or EditError where there is none."""
    if plan.outline is None:
        raise EditError("There is no outline yet. Call the first side.")
    return list(plan.outline)


def side_at(plan: Plan, side: str, path: str = "side") -> int:
    """Where a side stands now, by its id. Raises EditError."""
    ring_needed(plan)
    return place_of(plan, "side", side, path)


def corner_at(plan: Plan, corner: str, path: str = "corner") -> int:
    """Where a corner stands now, by its id. Raises EditError."""
    ring_needed(plan)
    return place_of(plan, "corner", corner, path)


def with_row(plan: Plan, key: str, at: int, row: Any) -> Plan:
    """The plan with one row of a list replaced; all other rows are the very objects they were."""
    return plan.model_copy(update={key: [row if i == at else old for i, old in enumerate(getattr(plan, key))]})


def without_row(plan: Plan, key: str, at: int) -> Plan:
    """The plan without one row of a list."""
    return plan.model_copy(update={key: [old for i, old in enumerate(getattr(plan, key)) if i != at]})
