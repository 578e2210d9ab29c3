"""The steel of a job."""

from __future__ import annotations

from humble_trowel.core.edges.section_blocks import Within
from humble_trowel.core.job.underslab import UnderslabAnswers
from humble_trowel.core.kept import kept
from humble_trowel.core.progress import tick
from humble_trowel.core.steel.frame import Frame
from humble_trowel.core.steel.looks import Place, places_of
from humble_trowel.core.steel.records import SteelCheck
from humble_trowel.core.steel.schedule import SizeCut, size_cut
from humble_trowel.core.steel.steel import SteelLaid, steel_laid
from humble_trowel.core.steel.told import SteelTold, steel_told


class SteelAnswers(UnderslabAnswers):
    """Bars, mesh, cages, dowels and how they are cut."""

    @kept(
        "plan.steel", "plan.units", "plan.outline", "plan.corner_ids", "plan.edges", "plan.edge_types", "plan.beams", "plan.beam_types",
        "plan.pads", "plan.pad_types", "plan.openings", "plan.kerbs", "plan.mix", "plan.build_ups", "plan.existing", "plan.laps",
        "plan.walls", "plan.footings", "plan.zones", "plan.underslab", "solid", "setups", "earlier", "ways.steel", "ways.ground", "plan.recesses", "plan.piles",
    )  # fmt: skip
    def steel(self) -> SteelLaid | None:
        """All steel; None where none is said."""
        return self.guarded("steel", "Steel", self._steel, None)

    def _steel(self) -> SteelLaid | None:
        runs = self.underslab.runs if self.underslab else []
        return steel_laid(self.plan, self.solid, self.ways.steel, runs)

    @kept("plan", "solid", "setups", "earlier", "ways.steel", "ways.ground")
    def steel_places(self) -> list[Place]:
        """Where somebody looks before the pour, with what was found there."""
        if self.steel is None or self.solid is None:
            return []
        return places_of(Frame(self.plan, self.solid, self.ways.steel), self.steel, self.earlier.of(SteelCheck))

    @property
    def within(self) -> list[Within]:
        """Tube and straight bars as they lie."""
        rows = self.steel.bars if self.steel else []
        bars = [
            Within("bar", row.mark, row.lines, row.bar.d_mm, row.level_mm)
            for row in rows
            if row.level_mm is not None and row.shape == "straight"
        ]
        return [*super().within, *bars]

    @property
    def steel_told(self) -> SteelTold | None:
        """The steel in words and drawings; None where none is said."""
        if self.steel is None or self.solid is None:
            return None
        return steel_told(Frame(self.plan, self.solid, self.ways.steel), self.steel)

    @property
    def steel_unsaid(self) -> list[str]:
        """Slab types in use of which nobody said how they are held together."""
        said = {row.slab for row in self.plan.steel.ways}
        cells = self.solid.cells if self.solid else []
        return [mark for mark in dict.fromkeys(cell.mark for cell in cells) if mark not in said]

    @property
    def steel_bare(self) -> list[tuple[str, str]]:
        """Edge, beam and pad types in use without a cage."""
        plan, caged = self.plan, {(row.of, row.mark) for row in self.plan.steel.cages}
        thick = {row.mark for row in plan.edge_types if row.kind == "thickened"}
        used = [("edge", row.type) for row in plan.edges if row.type in thick]
        used += [("beam", row.type) for row in plan.beams] + [("pad", row.type) for row in plan.pads]
        used += [("pile", row.id) for row in plan.piles]
        return [one for one in dict.fromkeys(used) if one not in caged]

    @kept("plan", "solid", "setups", "earlier", "ways.steel", "ways.ground")
    def steel_cuts(self) -> list[SizeCut]:
        """How every size is cut from stock."""
        return self.guarded("steel_cuts", "The cuts of the steel", self._steel_cuts, [])

    def _steel_cuts(self) -> list[SizeCut]:
        laid = self.steel
        if laid is None or self.solid is None:
            return []
        frame, found = Frame(self.plan, self.solid, self.ways.steel), []
        for at, row in enumerate(laid.sizes):
            tick(at / len(laid.sizes))
            found.append(size_cut(frame, laid.bars, row.bar))
        return found
