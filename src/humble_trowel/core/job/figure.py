"""The figure of a job: what every screen shows of it."""

from __future__ import annotations

from dataclasses import replace

from humble_trowel.core.drawing.plan_view import PlanView, plan_view
from humble_trowel.core.edges.corner_levels import CornerLevel, corner_levels
from humble_trowel.core.edges.edge_checks import edge_findings
from humble_trowel.core.edges.kinds import Deeper, deeper
from humble_trowel.core.edges.section_places import SectionPlace, section_places
from humble_trowel.core.edges.top_view import TopView, top_view
from humble_trowel.core.figures import (
    NO_OUTLINE,
    Figure,
    passing,
    second_way_findings,
    walk_findings,
)
from humble_trowel.core.footings.footings import Footings, footings
from humble_trowel.core.footings.records import PegShot
from humble_trowel.core.job.screed import ScreedAnswers
from humble_trowel.core.kept import kept
from humble_trowel.core.order.call_in import call_in
from humble_trowel.core.order.quantity import order_findings
from humble_trowel.core.plan.refs import by_id
from humble_trowel.core.walls.walls import Walls, poured_with, walls


class FigureAnswers(ScreedAnswers):
    """The answers of all stages put together for the screens."""

    @kept("plan", "numbers", "second_pours")
    def drawing(self) -> PlanView | None:
        """The plan as it is drawn."""
        return self.guarded("drawing", "The drawing", self._drawing, None)

    def _drawing(self) -> PlanView:
        return plan_view(self.plan, self.shape, self.numbers.parts if self.numbers else [], self.second_pours)

    @kept("plan", "drawing")
    def section_places(self) -> list[SectionPlace]:
        """Lines along which a section is ready."""
        return self.guarded("section_places", "The list of cuts", self._section_places, [])

    def _section_places(self) -> list[SectionPlace]:
        return section_places(self.plan, self.shape.cells, self.drawing.steps if self.drawing else [])

    @kept("plan", "solid")
    def corner_levels(self) -> list[CornerLevel]:
        """Levels of the top at the corners of every zone."""
        return self.guarded(
            "corner_levels", "Levels of the corners", lambda: corner_levels(self.plan, self.shape.cells), []
        )

    @kept("plan", "numbers")
    def deeper(self) -> Deeper | None:
        """What goes deeper than the slab, kind by kind."""
        parts = self.numbers.parts if self.numbers else []
        return self.guarded("deeper", "Beams and pads", lambda: deeper(self.plan, self.shape.cells, parts), None)

    @kept("plan", "solid")
    def top(self) -> TopView | None:
        """How the top lies."""
        return self.guarded("top", "The top", lambda: top_view(self.plan, self.shape.cells), None)

    @kept("plan", "ways", "earlier", "setups", "solid")
    def footings(self) -> Footings | None:
        """The footings, counted two ways."""
        return self.guarded("footings", "The footings", lambda: self._footings(quick=False), None)

    def _footings(self, *, quick: bool) -> Footings | None:
        if not self.plan.footings:
            return None
        shots = [by_id(row, self.plan) for row in self.earlier.of(PegShot)]
        also = poured_with(self.plan, self.walls if not quick else self._walls(quick=True))
        return footings(self.plan, self.ways, shots, self.setups, also, self.solid, quick=quick)

    @kept("plan", "ways", "earlier", "setups", "solid")
    def walls(self) -> Walls | None:
        """The walls on the footings, counted two ways."""
        return self.guarded("walls", "The walls", lambda: self._walls(quick=False), None)

    def _walls(self, *, quick: bool) -> Walls | None:
        if not self.plan.walls:
            return None
        cells = self.solid.cells if self.solid else []
        return walls(self.plan, self.ways, self.standing_walls, cells, self.setups, quick=quick)

    def _as_before(self, before: FigureAnswers, *names: str) -> None:
        """While something is dragged, take these answers as they were; what is taken off the order too, where it is far from
        the limit at which anything is."""
        if self.solid is None or before.solid is None:
            return
        for name in (*names, *(("off_the_order",) if before.far_from_off(self.plan) else ())):
            self.take(name, getattr(before, name))

    def number_figure(self, before: FigureAnswers) -> Figure:
        """The numbers alone, for a drag that the drawing cannot keep up with: outline, ledger, order and trucks, without
        workings. What the site measured counts as it did before."""
        self._as_before(before, "measured")
        found, outline = self.numbers, self.outline_with(diagonals=False)
        doubts = self.stumbles("solid", "numbers")
        concrete, ordered = (passing(found), found.ordered) if found else (None, None)
        lines = call_in(self.plan, ordered, self.ways)
        if outline is not None:
            outline = replace(outline, area=outline.area.bare, perimeter=outline.perimeter.bare)
        return Figure(
            outline=outline, concrete=concrete, trucks=ordered.trucks if ordered else [], findings=doubts,
            call_in=lines, drawing=None, section_places=[], levels=[], checks=[], second_pours=[],
        )  # fmt: skip

    def draft_figure(self, before: FigureAnswers) -> Figure:
        """The figure while something is dragged: numbers, drawing and places anew; doubts about the shape, the rules at
        the edge and what the site measured as they were before, until it is let go."""
        self._as_before(before, "measured", "shape_doubts", "edge_checks")
        return self.figure_with(quick=True)

    @kept("plan", "ways", "earlier")
    def figure(self) -> Figure:
        """What every screen shows, with the second way."""
        return self.figure_with(quick=False, every_diagonal=False)

    def figure_with(self, *, quick: bool, every_diagonal: bool = False) -> Figure:
        """The figure. quick: without the second way, while something is dragged."""
        plan = self.plan
        outline = self.outline_with(every_diagonal=True) if every_diagonal else self.outline
        doubts = walk_findings(plan)
        under = (
            self.guarded("footings", "The footings", lambda: self._footings(quick=True), None)
            if quick
            else self.footings
        )
        stood = self.guarded("walls", "The walls", lambda: self._walls(quick=True), None) if quick else self.walls
        under_doubts = [*self.stumbles("footings", "walls"), *(under.findings if under else [])]
        under_doubts += stood.findings if stood else []
        if plan.outline is None:
            return Figure(
                outline=None, concrete=None, trucks=[], findings=[*doubts, *under_doubts, NO_OUTLINE],
                call_in=call_in(plan, None, self.ways), drawing=None, section_places=[], levels=[], checks=[],
                second_pours=[], footings=under, walls=stood,
            )  # fmt: skip
        doubts += [*under_doubts, *self.stumbles("solid")]
        if self.solid is None:
            return Figure(
                outline=outline, concrete=None, trucks=[], findings=doubts, call_in=call_in(plan, None, self.ways),
                drawing=None, section_places=[], levels=[], checks=[], second_pours=[],
            )  # fmt: skip
        concrete = self.numbers if quick else self.concrete
        doubts += self.stumbles("numbers", *(() if quick else ("concrete",)))
        doubts += [*self.shape_doubts, *self.stumbles("shape_doubts")]
        doubts += [*self.stumbles("edge_checks"), *edge_findings(self.edge_checks)]
        if concrete:
            doubts += second_way_findings(concrete) + order_findings(plan, concrete.ordered, self.ways)
        doubts += self.stumbles("drawing", "section_places", "corner_levels", "deeper", "top", "beside")
        ordered = concrete.ordered if concrete else None
        return Figure(
            outline=outline, concrete=concrete, trucks=ordered.trucks if ordered else [], findings=doubts,
            call_in=call_in(plan, ordered, self.ways), drawing=self.drawing, section_places=self.section_places,
            levels=self.corner_levels, checks=self.edge_checks, second_pours=self.second_pours, deeper=self.deeper,
            top=self.top, beside=self.beside, footings=under, walls=stood,
        )  # fmt: skip
