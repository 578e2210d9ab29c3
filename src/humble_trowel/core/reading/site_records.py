"""What a site has written down about a job so far, by kind of record. Superseded records are not in it."""

from __future__ import annotations

import json
from collections.abc import Iterable
from typing import TypeVar

from humble_trowel.core.plan.model import Model

V = TypeVar("V", bound=Model)


class SiteRecords:
    """Records in the order they were made; asked by the class of their values. Never changes."""

    def __init__(self, rows: Iterable[tuple[str, Model]] = ()) -> None:
        """rows: (id of the record, its values), oldest first."""
        by_kind: dict[type[Model], list[tuple[str, Model]]] = {}
        for name, values in rows:
            by_kind.setdefault(type(values), []).append((name, values))
        self._rows = {kind: tuple(own) for kind, own in by_kind.items()}
        self._unread: dict[type[Model], list[tuple[str, str]]] = {}

    @classmethod
    def unread(cls, rows: Iterable[tuple[str, type[Model], str]]) -> SiteRecords:
        """The same from rows of (id, class of the values, values as JSON text), each kind read when it is asked for."""
        made = cls()
        for name, kind, text in rows:
            made._unread.setdefault(kind, []).append((name, text))
        return made

    def named(self, kind: type[V]) -> tuple[tuple[str, V], ...]:
        """(id, values) of every record of a kind."""
        waiting = self._unread.get(kind)
        if waiting and kind not in self._rows:
            self._rows[kind] = tuple([(name, kind.model_validate(json.loads(text))) for name, text in waiting])
        return self._rows.get(kind, ())  # type: ignore[return-value]

    def of(self, kind: type[V]) -> tuple[V, ...]:
        """Values of every record of a kind."""
        return tuple(values for _, values in self.named(kind))

    def newest(self, kind: type[V]) -> V | None:
        """Values of the last record of a kind, None without one."""
        rows = self.of(kind)
        return rows[-1] if rows else None

    def plus(self, name: str, values: Model) -> SiteRecords:
        """These records and one more."""
        kinds = list(dict.fromkeys([*self._rows, *self._unread]))
        return SiteRecords([*(row for kind in kinds for row in self.named(kind)), (name, values)])


NO_RECORDS = SiteRecords()
