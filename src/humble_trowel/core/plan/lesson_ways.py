"""What the crew's ways rest on where jobs taught them."""

from __future__ import annotations

from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field


class Learnt(BaseModel):
    """A middle of the ways that jobs moved. jobs: so many stand behind it, the first guess counting as one. sd: its spread, where no other key of
    the ways holds one."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    jobs: Annotated[float, Field(ge=0.5, le=100_000)]
    sd: Annotated[float, Field(gt=0, le=10)] | None = None
