"""Every kind of record there is, written out once: routes, schemas, lists and the demo read it."""

from __future__ import annotations

from collections.abc import Iterable
from typing import Any

from humble_trowel.core.built.record_kinds import BUILT_RECORDS
from humble_trowel.core.cure.record_kinds import CURE_RECORDS
from humble_trowel.core.embeds.record_kinds import EMBED_RECORDS
from humble_trowel.core.footings.record_kinds import FOOTING_RECORDS
from humble_trowel.core.gate.record_kinds import GATE_RECORDS
from humble_trowel.core.ground.record_kinds import GROUND_RECORDS
from humble_trowel.core.lessons.record_kinds import LESSON_RECORDS
from humble_trowel.core.lines.record_kinds import LINES_RECORDS
from humble_trowel.core.lines.records import Struck
from humble_trowel.core.order.record_kinds import ORDER_RECORDS
from humble_trowel.core.photos.record_kinds import PHOTO_RECORDS
from humble_trowel.core.pour.record_kinds import POUR_RECORDS
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.screed.record_kinds import SCREED_RECORDS
from humble_trowel.core.steel.record_kinds import STEEL_RECORDS
from humble_trowel.core.underslab.record_kinds import UNDERSLAB_RECORDS
from humble_trowel.core.weather.record_kinds import WEATHER_RECORDS


class StruckKind(RecordKind[Struck]):
    """The record that this one supersedes does not count any more, and why."""

    name = "struck"
    values = Struck

    def sentence(self, job: JobSoFar, values: Struck) -> str:
        return "Struck out."


RECORD_KINDS: tuple[RecordKind[Any], ...] = (
    *LINES_RECORDS,
    *GROUND_RECORDS,
    *FOOTING_RECORDS,
    *UNDERSLAB_RECORDS,
    *STEEL_RECORDS,
    *EMBED_RECORDS,
    *SCREED_RECORDS,
    *ORDER_RECORDS,
    *WEATHER_RECORDS,
    *GATE_RECORDS,
    *POUR_RECORDS,
    *CURE_RECORDS,
    *BUILT_RECORDS,
    *LESSON_RECORDS,
    *PHOTO_RECORDS,
    StruckKind(),
)
KIND_OF: dict[str, RecordKind[Any]] = {kind.name: kind for kind in RECORD_KINDS}


def read_records(rows: Iterable[tuple[str, str, str]]) -> SiteRecords:
    """Site records from stored ones as (id, kind, values as JSON text), oldest first; superseded ones are left out by the
    caller."""
    known = ((name, kind, KIND_OF.get(kind), text) for name, kind, text in rows)
    return SiteRecords.unread((name, kind, own.values if own else None, text) for name, kind, own, text in known)
