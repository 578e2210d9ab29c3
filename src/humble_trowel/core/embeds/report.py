"""What `figure --json` says under `embeds`."""

from __future__ import annotations

from humble_trowel.core.embeds.embeds import EmbedsLaid
from humble_trowel.core.report import Report


class WallBoltReport(Report):
    """A bolt of a plate: from the side's first corner, and its middle from the concrete's edge."""

    station_mm: float
    edge_mm: float


class PlatePieceReport(Report):
    """A piece of plate, from the side's first corner."""

    from_mm: float
    to_mm: float


class StudWallReport(Report):
    """A wall on the slab."""

    name: str
    pieces: list[PlatePieceReport]
    bolts: list[WallBoltReport]


class EmbedsReport(Report):
    """All that sticks up. counts: by kind."""

    walls: list[StudWallReport]
    counts: dict[str, int]
    findings: dict[str, int]

    @classmethod
    def of(cls, found: EmbedsLaid) -> EmbedsReport:
        """Under its fixed names."""
        codes = [row.code for row in found.findings]
        return cls(
            walls=[
                StudWallReport(
                    name=wall.name,
                    pieces=[PlatePieceReport(from_mm=one.start_mm, to_mm=one.end_mm) for one in wall.pieces],
                    bolts=[WallBoltReport(station_mm=one.at_mm, edge_mm=wall.edge_mm) for one in wall.bolts],
                )
                for wall in found.walls
            ],
            counts=found.counts,
            findings={code: codes.count(code) for code in dict.fromkeys(codes)},
        )
