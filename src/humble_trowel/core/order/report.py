"""What `figure --json` says of the outline, the parts of the ledger, second pours, allowances and trucks."""

from __future__ import annotations

from pydantic import Field

from humble_trowel.core.report import Report


class DiagonalReport(Report):
    """A diagonal of the outline, from corner to corner."""

    start: int = Field(validation_alias="from", serialization_alias="from")
    to: int
    mm: float


class OutlineReport(Report):
    """The outline. The area is net of openings."""

    area_m2: float
    perimeter_m: float
    sides_mm: list[float]
    diagonals: list[DiagonalReport]


class PartReport(Report):
    """A part of the ledger."""

    part: str
    kind: str
    """slab, edge, beam, pad or recess."""
    mark: str
    """Of its type."""
    zone: str | None
    m3: float


class SecondPourReport(Report):
    """A kerb or a pad beside the slab. with_slab: the order of the slab holds it."""

    name: str
    kind: str
    m3: float
    with_slab: bool


class AllowanceReport(Report):
    """What is ordered over what is drawn, with the crew's reason."""

    name: str
    m3: float
    reason: str


class TruckReport(Report):
    """A truck and what it carries."""

    load_m3: float
    load_yd3: float
