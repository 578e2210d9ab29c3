"""The base of every part of the document and of every record."""

from __future__ import annotations

from pydantic import BaseModel, ConfigDict


class Part(BaseModel):
    """Unknown keys are errors; a part does not change."""

    model_config = ConfigDict(extra="forbid", validate_assignment=False, frozen=True)
