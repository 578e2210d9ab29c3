"""The edges of a job: doubts about parts, rules at the edge, frost, sections."""

from __future__ import annotations

from humble_trowel.core.beside.beside import Beside, beside_findings, besides_told
from humble_trowel.core.edges.edge_checks import EdgeCheck, edge_checks, foam_doubts
from humble_trowel.core.edges.frost_options import EdgeOption, edge_options
from humble_trowel.core.edges.part_doubts import part_findings
from humble_trowel.core.edges.section import Section, section
from humble_trowel.core.edges.section_blocks import Within
from humble_trowel.core.edges.shape_doubts import shape_findings
from humble_trowel.core.errors import InputError
from humble_trowel.core.figures import (
    step_findings,
)
from humble_trowel.core.findings import Finding
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.redo import alone_m3
from humble_trowel.core.job.order import OrderAnswers
from humble_trowel.core.kept import kept


class EdgesAnswers(OrderAnswers):
    """How it is thickened, and whether that will do."""

    @kept("plan", "solid", "ways.local_rules", "ways.forms")
    def shape_doubts(self) -> list[Finding]:
        """Doubts about zones and parts."""
        return self.guarded("shape_doubts", "The list of doubts about the shape", self._shape_doubts, [])

    def _shape_doubts(self) -> list[Finding]:
        plan, solid = self.plan, self.shape
        doubts = [*step_findings(plan, solid), *part_findings(plan, solid, self.ways.local_rules)]
        return [*doubts, *shape_findings(plan, solid, self.ways), *beside_findings(plan, solid), *foam_doubts(plan)]

    @kept("plan", "solid")
    def beside(self) -> list[Beside]:
        """Laps, sidewalks and ramps in words and cut across."""
        return self.guarded("beside", "What lies beside", lambda: besides_told(self.plan, self.solid), [])

    @kept("plan", "solid", "ways.local_rules")
    def edge_checks(self) -> list[EdgeCheck]:
        """The rules at the edge, side by side with what is drawn."""
        return self.guarded(
            "edge_checks", "The rules at the edge",
            lambda: edge_checks(self.plan, self.shape.cells, self.ways.local_rules), [],
        )  # fmt: skip

    @kept("plan", "solid", "ways")
    def frost_options(self) -> list[EdgeOption] | None:
        """Ways to meet frost."""
        if self.solid is None:
            return None
        solid = self.solid
        return self.guarded(
            "frost_options", "Ways to meet frost", lambda: edge_options(self.plan, solid, self.ways), None
        )

    def section(self, start: XY, end: XY, moving: bool = False) -> Section:
        """The section along a line; without tube and bars while something moves. Raises InputError, PlanError."""
        return section(self.plan, self.shape, self.ways, start, end, () if moving else self.within)

    @property
    def within(self) -> list[Within]:
        """Tube and bars as they lie; those who know of them say it."""
        return []

    def part_alone_m3(self, number: int) -> float:
        """What would go if one part were taken out, m3. Raises InputError for a number that is none."""
        parts = self.shape.parts
        if not 0 <= number < len(parts) or parts[number].kind == "recess":
            raise InputError("There is no such part.", "number")
        return alone_m3(self.plan, self.shape, number)
