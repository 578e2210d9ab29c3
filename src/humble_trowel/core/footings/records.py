"""What crews write down at a footing: the rod on the trench's bottom beside a grade peg."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from humble_trowel.core.plan.model import Model
from humble_trowel.core.plan.refs import FootingRef
from humble_trowel.core.plan.values import Length, Size


class PegShot(Model):
    """along_mm: of the peg along the footing's centreline. setup: the record of the set-up that was read from."""

    footing: FootingRef
    along_mm: Length
    setup: Annotated[str, Field(min_length=1, max_length=64)]
    reading_mm: Size
