"""The shape of a job: the solid, counted a second way, and its outline."""

from __future__ import annotations

from humble_trowel.core.built.records import BUILT_RECORDS_OF
from humble_trowel.core.cure.records import CURE_KINDS
from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.slices import Slices, count_by_slices
from humble_trowel.core.geometry.solid import Solid, build_solid
from humble_trowel.core.ground.records import Shots
from humble_trowel.core.guard import answers
from humble_trowel.core.kept import Keeper, kept
from humble_trowel.core.lessons.records import LESSON_RECORDS_OF
from humble_trowel.core.lines.outline import Outline, outline_figure
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays, Ways, ways_for
from humble_trowel.core.pour.records import DAY_KINDS
from humble_trowel.core.reading.site_records import NO_RECORDS, SiteRecords

SHAPE = (
    "plan.outline", "plan.openings", "plan.zones", "plan.slab_types", "plan.edge_types", "plan.edges", "plan.beam_types",
    "plan.beams", "plan.pad_types", "plan.pads", "plan.recesses",
)  # fmt: skip


AFTER_KINDS = (
    DAY_KINDS | CURE_KINDS | BUILT_RECORDS_OF | LESSON_RECORDS_OF
)  # what the day of the pour and the weeks after it write down


class ShapeAnswers(Keeper):
    """The slab as it is drawn. records: all; earlier: without those that only the day of the pour reads."""

    def __init__(
        self,
        plan: Plan,
        crew: Ways | None = None,
        records: SiteRecords = NO_RECORDS,
        line_mm: float | None = None,
        before: ShapeAnswers | None = None,
    ) -> None:
        self.plan, self.line_mm = plan, line_mm
        self.crew = crew or Ways()
        self.ways: JobWays = ways_for(self.crew, plan.ways)
        if before is not None and before.crew is self.crew and before.plan.ways is plan.ways:
            self.ways = before.ways
        self.records = records
        self.earlier: SiteRecords = records.without(AFTER_KINDS, before.earlier if before is not None else None)
        super().__init__(before)

    @property
    def size_bytes(self) -> int:
        """About how much memory its answers take, for whoever keeps many jobs."""
        plan = self.plan
        parts = len(plan.outline or ()) + len(plan.beams) + len(plan.pads) + len(plan.zones)
        shots = sum(len(row.shots) for row in self.earlier.of(Shots))
        return 300_000 + 15_000 * parts + 1_500 * shots

    @kept(*SHAPE)
    def solid(self) -> Solid | None:
        """The slab as one exact solid; None without an outline or where it cannot be worked out."""
        if self.plan.outline is None:
            return None
        return self.guarded("solid", "The shape of the slab", lambda: build_solid(self.plan), None)

    @property
    def shape(self) -> Solid:
        """The solid. Raises InputError without an outline, and the stumble where it cannot be worked out."""
        if self.plan.outline is None:
            raise InputError("There is no outline yet. Call the first side.", "outline")
        found = self.solid
        return found if found is not None else answers("The shape of the slab")(build_solid)(self.plan)

    @kept(*SHAPE, "plan.units")
    def second_way(self) -> Slices | None:
        """The concrete counted by slices."""
        return None if self.solid is None else count_by_slices(self.plan)

    @kept("plan", "ways.reading")
    def outline(self) -> Outline | None:
        """Sides, diagonals, area and perimeter."""
        return self.outline_with()

    def outline_with(self, *, every_diagonal: bool = False, diagonals: bool = True) -> Outline | None:
        """The outline, with every diagonal also where there are very many, or with none."""
        if self.plan.outline is None:
            return None
        return outline_figure(self.plan, self.ways.reading.nearest, every_diagonal, diagonals)
