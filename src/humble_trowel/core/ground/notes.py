"""What the site has written down so far, sorted for the ground stage. Superseded records are not in it."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, field
from typing import Any

from humble_trowel.core.ground.records import (
    AsDug,
    BenchShot,
    GroundTest,
    LiftSigned,
    SetUp,
    Shots,
    SoftSpot,
    TurningPoint,
)
from humble_trowel.core.plan.model import Model


@dataclass(frozen=True)
class SiteNotes:
    """Records by kind, oldest first; those that others point to come with their id."""

    setups: tuple[tuple[str, SetUp], ...] = ()
    bench_shots: tuple[BenchShot, ...] = ()
    turning: tuple[TurningPoint, ...] = ()
    shots: tuple[tuple[str, Shots], ...] = ()
    dug: tuple[AsDug, ...] = ()
    tests: tuple[tuple[str, GroundTest], ...] = ()
    soft: tuple[tuple[str, SoftSpot], ...] = ()
    signed: tuple[tuple[str, LiftSigned], ...] = ()
    worked: dict[str, Any] = field(
        default_factory=dict, compare=False, repr=False
    )  # shots as worked out last, by layer


NO_NOTES = SiteNotes()


def sort_notes(rows: Iterable[tuple[str, Model]]) -> SiteNotes:
    """(record id, its values), oldest first."""
    rows = list(rows)
    return SiteNotes(
        setups=tuple((key, row) for key, row in rows if isinstance(row, SetUp)),
        bench_shots=tuple(row for _, row in rows if isinstance(row, BenchShot)),
        turning=tuple(row for _, row in rows if isinstance(row, TurningPoint)),
        shots=tuple((key, row) for key, row in rows if isinstance(row, Shots)),
        dug=tuple(row for _, row in rows if isinstance(row, AsDug)),
        tests=tuple((key, row) for key, row in rows if isinstance(row, GroundTest)),
        soft=tuple((key, row) for key, row in rows if isinstance(row, SoftSpot)),
        signed=tuple((key, row) for key, row in rows if isinstance(row, LiftSigned)),
    )
