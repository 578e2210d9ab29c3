"""Papers that a site is asked for: which of the usual ones apply here, those of its own, and how each stands."""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass

from humble_trowel.core.gate.records import PaperKept
from humble_trowel.core.plan.schedule_parts import PaperRow

AFTER = ("tickets",)


@dataclass(frozen=True)
class UsualPaper:
    """key: of its record. gives: who gives it. why: why it applies."""

    key: str
    name: str
    gives: str


USUAL = (
    UsualPaper("permit", "Building permit", "the county"),
    UsualPaper("drawings", "Approved drawings", "the county"),
    UsualPaper("locate", "Ticket of the locators", "the locators"),
    UsualPaper("compaction", "Compaction report", "the soils engineer"),
    UsualPaper("termite", "Termite treatment", "the treater"),
    UsualPaper("tests", "Test sheets of the lines", "the plumber"),
    UsualPaper("energy", "Foam: what it is", "the supplier"),
    UsualPaper("mix", "Mix design", "the plant"),
    UsualPaper("forms", "Form sheet, signed", "the crew"),
    UsualPaper("changes", "Approved changes", "the engineer"),
    UsualPaper("tickets", "Tickets of the trucks", "the plant"),
)


@dataclass(frozen=True)
class Paper:
    """A paper as it stands. state: missing, asked, here. after: only after the pour. row: of the plan, '' for a usual one that nobody
    changed; record: the newest that says how it stands."""

    key: str
    name: str
    gives: str
    state: str
    from_whom: str
    by: str
    at: str
    note: str
    photo: str | None
    file_name: str
    after: bool
    row: str
    record: str
    own: bool


def papers_of(
    applies: Iterable[str], rows: Sequence[PaperRow], records: Sequence[tuple[str, PaperKept]]
) -> list[Paper]:
    """Every paper that is asked here. applies: keys of usual ones that this job needs; rows: what the plan says of papers."""
    newest = {values.paper: (name, values) for name, values in records}
    said = {row.key: row for row in rows if row.key}
    wanted = set(applies)
    found = [
        _paper(one.key, one.name, one.gives, said[one.key].id if one.key in said else "", newest, own=False)
        for one in USUAL
        if (said[one.key].needed if one.key in said else one.key in wanted)
    ]
    return found + [
        _paper(row.id, row.name, "", row.id, newest, own=True) for row in rows if not row.key and row.needed
    ]


def _paper(
    key: str, name: str, gives: str, row: str, newest: Mapping[str, tuple[str, PaperKept]], *, own: bool
) -> Paper:
    record, values = newest.get(key, ("", None))
    if values is None:
        return Paper(key, name, gives, "missing", "", "", "", "", None, "", key in AFTER, row, "", own)
    return Paper(
        key, name, gives, values.state, values.from_whom, values.by, values.at, values.note, values.photo, values.file_name,
        key in AFTER, row, record, own,
    )  # fmt: skip
