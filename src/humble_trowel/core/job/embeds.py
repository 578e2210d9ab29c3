"""What sticks up out of a job's slab."""

from __future__ import annotations

from dataclasses import replace

from humble_trowel.core.edges.section import Section
from humble_trowel.core.embeds.embeds import EmbedsLaid, embeds_laid
from humble_trowel.core.embeds.others import OtherTold, others_of
from humble_trowel.core.embeds.records import EmbedSet
from humble_trowel.core.embeds.seen import seen_in_cut
from humble_trowel.core.embeds.setting import SettingDone, setting
from humble_trowel.core.embeds.told import EmbedsTold, embeds_told
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.job.steel import SteelAnswers
from humble_trowel.core.kept import kept


class EmbedAnswers(SteelAnswers):
    """Walls, bolts, straps, and how far they are set."""

    @kept(
        "plan.embeds",
        "plan.units",
        "plan.outline",
        "plan.corner_ids",
        "solid",
        "steel",
        "plan.underslab",
        "tubing",
        "setups",
        "earlier",
        "ways.embeds",
        "ways.ground",
        "ways.steel",
    )
    def embeds(self) -> EmbedsLaid | None:
        """All that sticks up; None where nothing is said."""
        return self.guarded("embeds", "What sticks up", self._embeds, None)

    def _embeds(self) -> EmbedsLaid | None:
        if not (self.plan.embeds.walls or self.plan.embeds.straps or self.plan.embeds.groups):
            return None
        return embeds_laid(self.plan, self.solid, self.ways.embeds, self.within)

    @kept("embeds", "earlier")
    def setting(self) -> SettingDone:
        """Every thing to set, with what was written down."""
        found = self.embeds
        if found is None:
            return SettingDone([], [])
        return setting(found.walls, found.straps, found.groups, self.earlier.of(EmbedSet))

    @property
    def embeds_told(self) -> EmbedsTold | None:
        """All of it in words and drawings."""
        found = self.embeds
        return embeds_told(self.plan, self.ways.embeds, found, self.setting) if found else None

    @property
    def stands_up(self) -> list[OtherTold]:
        """What else stands up, of other stages."""
        return others_of(self.plan, self.steel.bars if self.steel else ())

    @property
    def bolt_spots(self) -> list[XY]:
        """The middle of every bolt, of plates and of templates."""
        if self.embeds is None:
            return []
        rows = [bolt.spot for wall in self.embeds.walls for bolt in wall.bolts]
        return rows + [spot for group in self.embeds.groups for spot in group.spots]

    def section(self, start: XY, end: XY, moving: bool = False) -> Section:
        """The section along a line, with plates and bolts in it where nothing moves. Raises InputError, PlanError."""
        cut = super().section(start, end, moving)
        if moving or self.embeds is None or self.solid is None:
            return cut
        more = seen_in_cut(self.embeds, self.solid, self.ways.embeds, self.plan.units, start, end)
        return replace(cut, blocks=[*cut.blocks, *more])
