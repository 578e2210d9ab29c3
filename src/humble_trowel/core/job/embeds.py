"""What sticks up out of a job's slab."""

from __future__ import annotations

from humble_trowel.core.embeds.embeds import EmbedsLaid, embeds_laid
from humble_trowel.core.embeds.records import EmbedSet
from humble_trowel.core.embeds.setting import SettingDone, setting
from humble_trowel.core.embeds.told import EmbedsTold, embeds_told
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
        "records",
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

    @kept("embeds", "records")
    def setting(self) -> SettingDone:
        """Every thing to set, with what was written down."""
        found = self.embeds
        if found is None:
            return SettingDone([], [])
        return setting(found.walls, found.straps, found.groups, self.records.of(EmbedSet))

    @property
    def embeds_told(self) -> EmbedsTold | None:
        """All of it in words and drawings."""
        found = self.embeds
        return embeds_told(self.plan, self.ways.embeds, found, self.setting) if found else None
