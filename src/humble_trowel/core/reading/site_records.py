"""What a site has written down about a job so far, by kind of record. Superseded records are not in it."""

from __future__ import annotations

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

    def named(self, kind: type[V]) -> tuple[tuple[str, V], ...]:
        """(id, values) of every record of a kind."""
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
        return SiteRecords([*(row for rows in self._rows.values() for row in rows), (name, values)])


NO_RECORDS = SiteRecords()
