"""What a site has written down about a job so far, by kind of record. Superseded records are not in it."""

from __future__ import annotations

import json
from collections.abc import Iterable
from dataclasses import dataclass
from typing import TypeVar

from pydantic import ValidationError

from humble_trowel.core.plan.model import Model
from humble_trowel.core.reading.plain_errors import plan_error

V = TypeVar("V", bound=Model)


@dataclass(frozen=True)
class UnreadRecord:
    """A record that cannot be read and counts for nothing. kind: as it is stored. why: in plain words."""

    id: str
    kind: str
    why: str


def why_unread(text: str) -> str:
    """Why a text is no record's values whatever their kind, '' where it may be."""
    if not text:
        return "it was made on a revision that this job does not have"
    try:
        return "" if isinstance(json.loads(text), dict) else "what is stored of it is damaged"
    except (ValueError, RecursionError):
        return "what is stored of it is damaged"


class SiteRecords:
    """Records in the order they were made; asked by the class of their values. Never changes. One that cannot be read is
    read past: it is in `unread_rows` and counts for nothing."""

    def __init__(self, rows: Iterable[tuple[str, Model]] = ()) -> None:
        """rows: (id of the record, its values), oldest first."""
        by_kind: dict[type[Model], list[tuple[str, Model]]] = {}
        for name, values in rows:
            by_kind.setdefault(type(values), []).append((name, values))
        self._rows = {kind: tuple(own) for kind, own in by_kind.items()}
        self._unread: dict[type[Model], list[tuple[str, str, str]]] = {}
        self._spoilt: list[UnreadRecord] = []
        self._left_out: frozenset[type[Model]] = frozenset()

    @classmethod
    def unread(cls, rows: Iterable[tuple[str, str, type[Model] | None, str]]) -> SiteRecords:
        """The same from rows of (id, kind, class of the values or None where the kind is not known, values as JSON text),
        each kind read when it is asked for."""
        made = cls()
        for name, said, kind, text in rows:
            if kind is None:
                made._spoilt.append(UnreadRecord(name, said, "this program does not know its kind"))
            else:
                made._unread.setdefault(kind, []).append((name, said, text))
        return made

    @property
    def unread_rows(self) -> list[UnreadRecord]:
        """Every record that cannot be read. Reads all of them for it."""
        for kind in list(self._unread):
            self.named(kind)
        return list(self._spoilt)

    def named(self, kind: type[V]) -> tuple[tuple[str, V], ...]:
        """(id, values) of every record of a kind."""
        if kind in self._left_out:
            return ()
        waiting = self._unread.get(kind)
        if waiting and kind not in self._rows:
            self._rows[kind] = tuple(
                [(name, values) for name, said, text in waiting if (values := self._read(kind, name, said, text))]
            )
        return self._rows.get(kind, ())  # type: ignore[return-value]

    def _read(self, kind: type[V], name: str, said: str, text: str) -> V | None:
        why = why_unread(text)
        if not why:
            try:
                return kind.model_validate(json.loads(text))
            except ValidationError as error:
                why = plan_error(error).words.rstrip(".")
        self._spoilt.append(UnreadRecord(name, said, why))
        return None

    def of(self, kind: type[V]) -> tuple[V, ...]:
        """Values of every record of a kind."""
        return tuple(values for _, values in self.named(kind))

    def newest(self, kind: type[V]) -> V | None:
        """Values of the last record of a kind, None without one."""
        rows = self.of(kind)
        return rows[-1] if rows else None

    def without(self, kinds: frozenset[type[Model]], before: SiteRecords | None = None) -> SiteRecords:
        """The same without some kinds. before: such ones of a job's state before; that very object where nothing else is in these."""
        made = SiteRecords()
        made._rows, made._unread, made._spoilt, made._left_out = self._rows, self._unread, self._spoilt, kinds
        return before if before is not None and before._ids() == made._ids() else made

    def _ids(self) -> dict[type[Model], tuple[str, ...]]:
        """Ids of every kind that counts here, oldest first. A record never changes."""
        told = {kind: tuple(name for name, *_ in rows) for kind, rows in self._unread.items()}
        rows = {kind: tuple(name for name, _ in own) for kind, own in self._rows.items() if kind not in told}
        return {kind: ids for kind, ids in (told | rows).items() if kind not in self._left_out}

    def plus(self, name: str, values: Model) -> SiteRecords:
        """These records and one more."""
        kinds = list(dict.fromkeys([*self._rows, *self._unread]))
        made = SiteRecords([*(row for kind in kinds for row in self.named(kind)), (name, values)])
        made._spoilt = list(self._spoilt)
        return made


NO_RECORDS = SiteRecords()
