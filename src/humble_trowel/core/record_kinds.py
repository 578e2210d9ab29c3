"""Every kind of record there is, written out once: routes, schemas, lists and the demo read it."""

from __future__ import annotations

from collections.abc import Iterable
from typing import Any

from humble_trowel.core.ground.notes import SiteNotes, sort_notes
from humble_trowel.core.ground.record_kinds import GROUND_RECORDS
from humble_trowel.core.lines.record_kinds import LINES_RECORDS
from humble_trowel.core.lines.records import Struck
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.record_kind import RecordKind


class StruckKind(RecordKind[Struck]):
    """The record that this one supersedes does not count any more, and why."""

    name = "struck"
    values = Struck

    def sentence(self, plan: Plan, crew: Ways, notes: Any, values: Struck) -> str:
        return "Struck out."


RECORD_KINDS: tuple[RecordKind[Any], ...] = (*LINES_RECORDS, *GROUND_RECORDS, StruckKind())
KIND_OF: dict[str, RecordKind[Any]] = {kind.name: kind for kind in RECORD_KINDS}


def read_notes(rows: Iterable[tuple[str, str, dict[str, Any]]]) -> SiteNotes:
    """Site notes from stored records as (id, kind, values), oldest first; superseded ones left out by the caller."""
    return sort_notes((name, KIND_OF[kind].values.model_validate(values)) for name, kind, values in rows)
