"""What `figure --json` says under `steel`."""

from __future__ import annotations

from humble_trowel.core.report import Report
from humble_trowel.core.steel.schedule import SizeCut
from humble_trowel.core.steel.steel import SteelLaid


class BarReport(Report):
    """Bars of one mark and length. length_mm: legs added, as it is measured out to out; cut_mm: as it is cut."""

    mark: str
    size: str
    shape: str
    count: int
    length_mm: float
    cut_mm: float
    mass_kg: float


class TotalsReport(Report):
    """All bars. by_size: kg."""

    mass_kg: float
    by_size: dict[str, float]


class MeshReport(Report):
    """Sheets or rolls of mesh to buy, and what they cover."""

    sheets: int
    area_m2: float


class ChairsReport(Report):
    """Chairs of one height."""

    height_mm: float
    count: int


class DowelsReport(Report):
    """A row of dowels; epoxy with what is lost."""

    count: int
    hole_mm: float
    depth_mm: float
    epoxy_ml: float


class CutPlanReport(Report):
    """What is bought. stock: bars by size; bound: no plan buys fewer of them; waste_ratio: by length."""

    stock: dict[str, int]
    bound: dict[str, int]
    waste_ratio: float


class SteelReport(Report):
    """All steel of a job."""

    bars: list[BarReport]
    totals: TotalsReport
    mesh: MeshReport
    chairs: list[ChairsReport]
    dowels: list[DowelsReport]
    cut_plan: CutPlanReport
    findings: dict[str, int]

    @classmethod
    def of(cls, found: SteelLaid, cuts: list[SizeCut]) -> SteelReport:
        """Under its fixed names."""
        bought = sum(row.stock_mm * row.count for one in cuts for row in one.rows)
        used = sum(length * row.count for one in cuts for row in one.rows for _, length in row.pieces)
        codes = [row.code for row in found.findings]
        return cls(
            bars=[
                BarReport(
                    mark=row.mark, size=row.bar.name, shape=row.shape, count=count, length_mm=_out_to_out(row.shape, row.legs_mm, cut),
                    cut_mm=cut, mass_kg=cut * count / 1000 * row.bar.kg_m,
                )
                for row in found.bars
                for cut, count in row.pieces
            ],
            totals=TotalsReport(mass_kg=found.mass_kg, by_size={row.bar.name: row.mass_kg for row in found.sizes}),
            mesh=MeshReport(sheets=sum(row.sheets for row in found.mesh), area_m2=sum(row.area_m2 for row in found.mesh)),
            chairs=[ChairsReport(height_mm=row.height_mm, count=row.count) for row in found.chairs],
            dowels=[
                DowelsReport(count=row.count, hole_mm=row.hole_mm, depth_mm=row.depth_mm, epoxy_ml=row.epoxy_ml) for row in found.dowels
            ],
            cut_plan=CutPlanReport(
                stock={one.bar.name: one.bars for one in cuts}, bound={one.bar.name: one.least for one in cuts},
                waste_ratio=1 - used / bought if bought else 0.0,
            ),
            findings={code: codes.count(code) for code in dict.fromkeys(codes)},
        )  # fmt: skip


def _out_to_out(shape: str, legs: tuple[float, ...], cut: float) -> float:
    return 2 * sum(legs) if shape == "stirrup" else sum(legs) or cut
