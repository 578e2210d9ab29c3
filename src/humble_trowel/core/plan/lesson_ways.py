"""What the crew's ways rest on where jobs taught them."""

from __future__ import annotations

from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field


class Learnt(BaseModel):
    """A middle of the ways that jobs moved. jobs: so many stand behind it, the first guess counting as one. sd: its spread, where no other key of
    the ways holds one. along: how what is doubtful about it goes along with another middle, by its lesson: a correlation."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    jobs: Annotated[float, Field(ge=0.5, le=100_000)]
    sd: Annotated[float, Field(gt=0, le=10)] | None = None
    along: dict[str, Annotated[float, Field(ge=-1, le=1)]] = {}
