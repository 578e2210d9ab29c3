"""Limits of the code that a county may set otherwise, and what this crew was told: by whom, and when.

A limit is one row here. Wherever its rule speaks it asks `limit`, which gives the county's value where the ways hold
one, with the words that say so.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.units import M2_PER_FT2, MM_PER_IN, Units, format_area, say_depth

LimitUnit = Literal["mm", "m2", "kpa"]


@dataclass(frozen=True)
class Limit:
    """A row of the table. value: in mm, m2 or kPa, as the source has it."""

    key: str
    name: str
    value: float
    unit: LimitUnit
    source: str


LIMITS = (
    Limit("bury", "Edge in undisturbed ground, at least", 12 * MM_PER_IN, "mm", "bury"),
    Limit("above-grade", "Top over the ground outside, at least", 6 * MM_PER_IN, "mm", "above-grade"),
    Limit("veneer", "The same under masonry veneer", 4 * MM_PER_IN, "mm", "above-grade"),
    Limit("exempt-area", "Accessory building without frost depth, at most", 600 * M2_PER_FT2, "m2", "frost-exempt"),
    Limit("fill-clean", "Sand and gravel under a slab, at most", 24 * MM_PER_IN, "mm", "fill-depth"),
    Limit("fill-earth", "Earth under a slab, at most", 8 * MM_PER_IN, "mm", "fill-depth"),
    Limit("base", "Base under a slab below grade, at least", 4 * MM_PER_IN, "mm", "base-below-grade"),
    Limit("least-slab", "Slab on ground, at least", 3.5 * MM_PER_IN, "mm", "least-slab"),
    Limit("foam-strength", "Foam under a slab holds, at least", 100.0, "kpa", "foam"),
)
LIMIT_OF = {row.key: row for row in LIMITS}


class LocalRule(BaseModel):
    """What the county says instead: value in the limit's unit, who said so, the day (YYYY-MM-DD)."""

    model_config = ConfigDict(extra="forbid", frozen=True)

    value: Annotated[float, Field(gt=0, le=1e6, allow_inf_nan=False)]
    who: Annotated[str, Field(min_length=1, max_length=120)]
    at: Annotated[str, Field(pattern=r"^\d{4}-\d{2}-\d{2}$")]


@dataclass(frozen=True)
class Said:
    """A limit as it counts here. note: ' Your county: ...' or ''."""

    value: float
    note: str


Local = Mapping[str, LocalRule]
NO_LOCAL: Local = {}


def limit(local: Local, key: str, units: Units) -> Said:
    """The limit `key` for this crew: the county's where it is known, else the table's."""
    row, own = LIMIT_OF[key], local.get(key)
    if own is None:
        return Said(row.value, "")
    return Said(own.value, f" Your county says {limit_text(own.value, row.unit, units)}: {own.who}, {own.at}.")


def limit_text(value: float, unit: LimitUnit, units: Units) -> str:
    """A limit as a crew reads it."""
    if unit == "mm":
        return say_depth(value, units)
    if unit == "m2":
        return format_area(value, units)
    return f"{value:g} kPa" if units == "mm" else f"{value / 6.894757:.0f} psi"
