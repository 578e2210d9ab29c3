"""The bases of every model of the document and of every record."""

from __future__ import annotations

from typing import Annotated, Any

from pydantic import BaseModel, BeforeValidator, ConfigDict, Field

Id = Annotated[
    str,
    BeforeValidator(lambda value: "" if value is None else value),
    Field(pattern=r"^[A-Za-z0-9_.-]{0,24}$", description="Short and stable; made on reading where it is missing."),
]


class Model(BaseModel):
    """Unknown keys are errors; a model does not change."""

    model_config = ConfigDict(extra="forbid", validate_assignment=False, frozen=True)


class Row(Model):
    """A row of a list that people point at. id: stable while the row lives, '' until it is read (ids.py)."""

    id: Id = ""

    def without_id(self) -> dict[str, Any]:
        """Its content alone."""
        return self.model_dump(mode="json", exclude={"id"})
