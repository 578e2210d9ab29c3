"""Bodies of the underslab routes."""

from __future__ import annotations

from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.edits.registry import Edit
from humble_trowel.core.findings import Finding
from humble_trowel.core.underslab.covered import Covered
from humble_trowel.core.underslab.line_tests import Tested
from humble_trowel.core.underslab.tubing import TubingLaid
from humble_trowel.core.underslab.underslab import Buried


class UnderslabAsked(BaseModel):
    """edits: not kept yet."""

    model_config = ConfigDict(extra="forbid")
    edits: Annotated[list[Edit], Field(max_length=60)] = []


class UnderslabState(BaseModel):
    """buried: None where nothing is. covered: barrier, foam and treatments; tested: lines with their tests; tubing: loops
    of the heated rooms; displaced: what of the concrete they take up, in words; bites: sleeves that pass where bars
    of a cage lie, as Steel says it. setup: where the
    laser stands, None without one."""

    buried: Buried | None
    covered: Covered | None
    tested: Tested | None
    tubing: TubingLaid | None
    displaced: str
    bites: list[Finding]
    setup: str | None
