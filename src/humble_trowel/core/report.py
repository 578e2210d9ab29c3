"""What commands answer as JSON: parts of an answer as models, so that every fixed name is written down once."""

from __future__ import annotations

from collections.abc import Iterable
from typing import Any, Self

from pydantic import BaseModel, ConfigDict

from humble_trowel.core.findings import Finding


class Report(BaseModel):
    """A part of an answer under its fixed names. Reads the like-named attributes of what a matter found; units stand in
    the names, what else one means in its sentence. Lengths in mm and m, volumes in m3, money in whole cents."""

    model_config = ConfigDict(frozen=True, from_attributes=True, populate_by_name=True, use_attribute_docstrings=True)

    @classmethod
    def rows(cls, found: Iterable[Any]) -> list[Self]:
        """One for each thing found."""
        return [cls.model_validate(row) for row in found]

    def told(self) -> dict[str, Any]:
        """As JSON-ready data under the fixed names."""
        return self.model_dump(mode="json", by_alias=True)


class FindingReport(Report):
    """A doubt: what is so, and what to do about it."""

    code: str
    """Stable name of its kind."""
    severity: str
    """note, check or stop; a stop ends the call to the plant."""
    where: str
    """Key path, or a name on the plan."""
    words: str
    remedy: str
    source: str
    """Row of the list of sources."""

    @classmethod
    def of(cls, findings: Iterable[Finding]) -> list[Self]:
        """Doubts under their fixed names."""
        return cls.rows(findings)
