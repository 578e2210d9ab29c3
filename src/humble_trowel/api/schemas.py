"""Bodies of requests and answers. The front end's types are generated from these."""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, StrictBool

from humble_trowel.core.calls.walk import Walked
from humble_trowel.core.edits.registry import Edit
from humble_trowel.core.figures import Concrete, Figure
from humble_trowel.core.findings import Finding
from humble_trowel.core.forms.cut_boards import CutPlanOfJob
from humble_trowel.core.ground.standing import Graded
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.units import Units
from humble_trowel.core.yard import YardDay

MOST_REVISION = 2**31
Author = Annotated[str, Field(max_length=60)]
RevisionNumber = Annotated[int, Field(ge=1, le=MOST_REVISION)]
VersionNumber = Annotated[int, Field(ge=0, le=MOST_REVISION)]
EditId = Annotated[str, Field(min_length=8, max_length=64)]
Edits = Annotated[list[Edit], Field(min_length=1, max_length=50)]


class Body(BaseModel):
    model_config = ConfigDict(extra="forbid")


class NewJob(Body):
    name: Annotated[str, Field(max_length=120)]
    units: Units
    author: Author = ""


class Keep(Body):
    """Keep edits on top of `revision`. edit_id: made by the client; the same id sent twice counts once."""

    revision: RevisionNumber
    edits: Edits
    edit_id: EditId
    author: Author = ""


class Draft(Body):
    """Compute edits without keeping them. revision: what the screen shows. every_diagonal: beyond 12 corners too.
    quick: without the second way of counting, while something is dragged. numbers: outline and ledger alone, at once.
    """

    revision: RevisionNumber
    edits: Annotated[list[Edit], Field(max_length=50)] = []
    every_diagonal: StrictBool = False
    quick: StrictBool = False
    numbers: StrictBool = False


class Step(Body):
    """Undo, redo, or go back (with n). record: the record that is taken back or brought again, where it is one."""

    revision: RevisionNumber
    author: Author = ""
    n: RevisionNumber | None = None
    record: str | None = Field(None, min_length=1, max_length=64)


class Who(Body):
    author: Author = ""


class Call(Body):
    text: Annotated[str, Field(max_length=4000)]


class KeepWays(Body):
    version: VersionNumber
    ways: Ways
    author: Author = ""


class Before(BaseModel):
    """The board's numbers before the last kept change."""

    order: str | None
    trucks: int | None
    area: str | None
    perimeter: str | None


class RecordStep(BaseModel):
    """A record that undo would take back, or redo bring again. shown: its readings as a crew reads them."""

    id: str
    kind: str
    shown: list[str]


class JobState(BaseModel):
    """A job as it stands at its newest revision. records: changes with every record. undo_record, redo_record: what comes
    before the edits. The figure is without its second way: that
    follows as JobDoubts, with how lines and ground stand."""

    id: str
    revision: int
    author: str
    at: str
    summary: str
    archived: bool
    undo: str | None
    redo: str | None
    undo_record: RecordStep | None
    redo_record: RecordStep | None
    before: Before | None
    records: str
    document: Plan
    figure: Figure


class StageKnot(BaseModel):
    """How a stage stands, for its knot on the string."""

    id: str
    state: Literal["tight", "loop", "flagged"]
    words: str


class JobDoubts(BaseModel):
    """What follows after the numbers: every finding in one list, those that stop the call to the plant, how each stage
    stands, and the concrete counted a second way. records: changes with every record, as in JobState. counting: how much
    of what takes long is done, from 0 to 1; all but graded, how the ground stands, is empty until it is None, so ask again. later: doubts of
    the day are still to come, so ask again for them too."""

    counting: float | None
    later: bool
    graded: Graded
    revision: int
    records: str
    concrete: Concrete | None
    findings: list[Finding]
    stops: list[Finding]
    stages: list[StageKnot]


class CutPlanState(BaseModel):
    """The cut plan of a job, or how much of it is worked out, from 0 to 1: then ask again."""

    counting: float | None
    cuts: CutPlanOfJob | None


class Drafted(BaseModel):
    document: Plan
    figure: Figure
    summary: str


class HeardWalk(BaseModel):
    """A typed walk as heard. start: where it begins. lands: where its end meets the outline, in words."""

    walked: Walked
    start: tuple[float, float]
    lands: str


class YardJob(BaseModel):
    """fault: the job cannot be worked out; `stops` says why. counting: its numbers are still to be worked out: ask again."""

    id: str
    name: str
    units: Units
    revision: int
    archived: bool
    at: str
    author: str
    summary: str
    outline: list[tuple[float, float]] | None
    openings: list[list[tuple[float, float]]]
    area: str | None
    order: str | None
    order_unit: str
    trucks: int
    order_m3: float
    also: list[str] = []
    stops: str
    pour_at: str | None = None
    holds: int = 0
    next_act: str = ""
    next_who: str = ""
    days: list[YardDay] = []
    fault: bool = False
    counting: bool = False


class RevisionRow(BaseModel):
    n: int
    kind: str
    author: str
    at: str
    summary: str


class School(BaseModel):
    """One of several ways that good crews have, with a sentence for it and one against."""

    key: str
    pro: str
    con: str


class WaysState(BaseModel):
    """schools: by the key of the choice under `forms`. unread: why the newest ways are not those in use, '' where they are."""

    unread: str = ""
    version: int
    ways: Ways
    schools: dict[str, list[School]]


class Choice(BaseModel):
    label: str
    text: str


class Problem(BaseModel):
    """Problem details (RFC 9457). detail: plain words. path: the field. choices: texts to offer instead.

    head: the newest state, when a save was stale.
    """

    type: str = "about:blank"
    code: str
    title: str
    status: int
    detail: str
    path: str = ""
    choices: list[Choice] = []
    head: JobState | None = None


def file_body(kind: str) -> dict[str, Any]:
    """What a route says of a body that is a file. kind: its media type."""
    content = {kind: {"schema": {"type": "string", "format": "binary"}}}
    return {"requestBody": {"required": True, "content": content}}


def file_answer(*kinds: str) -> dict[int | str, dict[str, Any]]:
    """What a route says of an answer that is a file. kinds: its media types."""
    content = {kind: {"schema": {"type": "string", "format": "binary"}} for kind in kinds}
    return {200: {"description": "The file.", "content": content}}


def plain(model: BaseModel) -> Any:
    """JSON-ready data of a model."""
    return model.model_dump(mode="json")
