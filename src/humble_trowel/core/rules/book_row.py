"""A row of the book of rules, and what its calculator asks."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from typing import Literal

from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.sources import SOURCES
from humble_trowel.core.units import Units
from humble_trowel.core.working import Working

Kind = Literal["long", "thin", "number"]
Table = tuple[tuple[str, ...], ...]


@dataclass(frozen=True)
class Ask:
    """What a calculator asks. kind: a long length (a bare number is feet), a thin one (inches), or a plain number.
    example: in a ft-in job, then in a mm job."""

    key: str
    label: str
    kind: Kind
    example: tuple[str, str]


@dataclass(frozen=True)
class Rule:
    """name: 'forms/stakes'. what: in a sentence. table: first row its heads. limits: keys of local_rules.LIMITS."""

    name: str
    title: str
    what: str
    formula: str
    source: str
    table: Table = ()
    asks: tuple[Ask, ...] = ()
    work_out: Callable[[Mapping[str, float], Units, Ways], list[Working]] | None = None
    limits: tuple[str, ...] = ()

    @property
    def standing(self) -> str:
        return SOURCES[self.source].standing

    @property
    def edition(self) -> str:
        return SOURCES[self.source].edition


def long_ask(key: str, label: str, feet: str, mm: str) -> Ask:
    """A long length: a bare number is feet."""
    return Ask(key, label, "long", (feet, mm))


def thin_ask(key: str, label: str, inches: str, mm: str) -> Ask:
    """A thin one: a bare number is inches."""
    return Ask(key, label, "thin", (inches, mm))


def number_ask(key: str, label: str, example: str) -> Ask:
    """A plain number."""
    return Ask(key, label, "number", (example, example))
