"""What was changed on site, and what a change does to concrete, steel, price and the inspector's visit."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.gate.records import SiteChange
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.units import M3_PER_YD3, Units

KG_LB = 0.45359237


@dataclass(frozen=True)
class Amounts:
    """What a job comes to before or after a change. steps: what the inspector looks at, so that another one is seen."""

    concrete_m3: float
    steel_kg: float
    price_cents: int
    steps: frozenset[str]


@dataclass(frozen=True)
class Effect:
    """What a change does. visit: the inspector has something else to look at."""

    concrete_m3: float
    steel_kg: float
    price_cents: int
    visit: bool
    concrete_text: str
    steel_text: str
    price_text: str


@dataclass(frozen=True)
class ChangeTold:
    """A change as it stands."""

    record: str
    n: int
    words: str
    spot: XY | None
    effect: Effect
    agreed_by: str
    by: str
    at: str
    revision: int | None


def signed(value: float, digits: int, unit: str) -> str:
    """'+1.4 yd', '-20 lb', 'nothing'."""
    shown = f"{value:+.{digits}f}"
    return f"{shown} {unit}" if float(shown) else "nothing"


def effect_told(concrete_m3: float, steel_kg: float, price_cents: int, units: Units, *, visit: bool) -> Effect:
    """An effect in words."""
    metric = units == "mm"
    return Effect(
        concrete_m3, steel_kg, price_cents, visit, signed(concrete_m3 if metric else concrete_m3 / M3_PER_YD3, 2, "m³" if metric else "yd"),
        signed(steel_kg if metric else steel_kg / KG_LB, 0, "kg" if metric else "lb"),
        f"{'+' if price_cents > 0 else '-' if price_cents < 0 else ''}{abs(price_cents) / 100:,.2f}" if price_cents else "nothing",
    )  # fmt: skip


def effect_of(before: Amounts, after: Amounts, units: Units) -> Effect:
    """What lies between two states of a job."""
    return effect_told(
        after.concrete_m3 - before.concrete_m3, after.steel_kg - before.steel_kg, after.price_cents - before.price_cents, units,
        visit=bool(after.steps - before.steps),
    )  # fmt: skip


def changes_told(rows: Sequence[tuple[str, SiteChange]], units: Units) -> list[ChangeTold]:
    """Every change, the oldest first."""
    return [
        ChangeTold(
            name, n, row.words, row.spot, effect_told(row.concrete_m3, row.steel_kg, row.price_cents, units, visit=row.visit),
            row.agreed_by, row.by, row.at, row.revision,
        )
        for n, (name, row) in enumerate(rows, 1)
    ]  # fmt: skip
