"""What a crew writes down of what is buried: where a riser really stands."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from humble_trowel.core.plan.model import Model
from humble_trowel.core.plan.refs import RiserRef, SideRef
from humble_trowel.core.plan.values import Position


class RiserCheck(Model):
    """A riser as taped the day before. faces: the two sides whose finished faces it was measured from; from_mm: how far from
    each."""

    riser: RiserRef
    faces: Annotated[list[SideRef], Field(min_length=2, max_length=2)]
    from_mm: Annotated[list[Position], Field(min_length=2, max_length=2)]
