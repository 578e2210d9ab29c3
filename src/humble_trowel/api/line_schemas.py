"""Bodies of the lines stage: squaring, straight and level, records."""

from __future__ import annotations

from typing import TYPE_CHECKING, Annotated, Any, Literal

from pydantic import BaseModel, Field

from humble_trowel.api.schemas import Author, Body, RevisionNumber
from humble_trowel.core.findings import Finding
from humble_trowel.core.forms.form_plan import FormPlan
from humble_trowel.core.lines.squaring import Squared
from humble_trowel.core.lines.straight import SideChecked
from humble_trowel.core.record_kinds import RECORD_KINDS

if TYPE_CHECKING:
    Kind = str
else:
    Kind = Literal[tuple(kind.name for kind in RECORD_KINDS)]
Values = Annotated[dict[str, Any], Field(max_length=20)]
RecordId = Annotated[str, Field(min_length=8, max_length=64)]


class Round(Body):
    """Values of one record kind as typed; lengths may be text."""

    values: Values


class NewRecord(Body):
    """A record to append. id: made by the client, so that a resend counts once."""

    id: RecordId
    kind: Kind
    revision: RevisionNumber
    values: Values
    who: Author = ""
    at_device: Annotated[str, Field(max_length=40)] = ""
    supersedes: RecordId | None = None


class RecordRow(BaseModel):
    """A record as it stands. verdict: what it came to, against the plan of its own revision.

    shown: its readings as a crew reads them. unread: why it cannot be read and counts for nothing, '' where it can."""

    unread: str = ""
    id: str
    kind: str
    revision: int
    who: str
    at_device: str
    at: str
    supersedes: str | None
    superseded: bool
    values: dict[str, Any]
    verdict: str
    shown: list[str]


class FormsState(BaseModel):
    """Forms with the findings that records have not settled."""

    forms: FormPlan
    findings: list[Finding]
    back: list[int]


class SquareAnswer(BaseModel):
    """tolerance_text: the crew's tolerance as shown."""

    squared: Squared
    tolerance_text: str


class CheckedAnswer(BaseModel):
    checked: SideChecked
