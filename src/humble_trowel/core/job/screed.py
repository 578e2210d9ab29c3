"""The strips of a job, and its pads as they are struck."""

from __future__ import annotations

from humble_trowel.core.embeds.told import EmbedsTold
from humble_trowel.core.findings import Finding
from humble_trowel.core.ground.rod import rod_reads
from humble_trowel.core.job.joints import JointAnswers
from humble_trowel.core.joints.told import JointsTold
from humble_trowel.core.kept import kept
from humble_trowel.core.screed.afterwards import cut_in_order, set_in_order
from humble_trowel.core.screed.doubts import doubts, pad_doubts
from humble_trowel.core.screed.records import PadSet
from humble_trowel.core.screed.strips import StripsLaid, strips_laid
from humble_trowel.core.screed.struck import PadDone, struck
from humble_trowel.core.screed.told import screed_told
from humble_trowel.core.screed.told_parts import ScreedTold


class ScreedAnswers(JointAnswers):
    """What boards are pulled to."""

    @kept(
        "plan.screed", "plan.joints", "plan.units", "plan.outline", "plan.corner_ids", "plan.openings", "plan.existing", "plan.laps", "plan.walls",
        "plan.footings", "plan.zones", "plan.forms", "plan.underslab", "plan.embeds", "plan.order", "solid", "ways.screed",
    )  # fmt: skip
    def screed(self) -> StripsLaid | None:
        """Strips with boards, pads, order and times; None where nothing is said of them."""
        return self.guarded("screed", "The strips", self._screed, None)

    def _screed(self) -> StripsLaid | None:
        if not (self.plan.screed.strips or self.plan.screed.pads) or self.solid is None:
            return None
        return strips_laid(self.plan, self.solid, self.ways.screed)

    @kept("screed", "setups", "earlier", "ways.screed")
    def pads_struck(self) -> tuple[list[PadDone], list[PadSet]]:
        """Every pad as it stands, and records of pads that are not there any more."""
        if self.screed is None:
            return [], []
        return struck(self.screed.runs, self.setups, self.earlier.of(PadSet), self.ways.screed.pad_high_mm)

    @property
    def screed_findings(self) -> list[Finding]:
        """Doubts about strips, then about pads."""
        if self.screed is None:
            return []
        done, strays = self.pads_struck
        reads = rod_reads(self.plan, self.ways)
        rows = doubts(self.plan, self.ways.screed, self.screed)
        return rows + pad_doubts(self.screed, done, strays, self.ways.screed.pad_high_mm, reads, self.plan.units)

    @property
    def screed_told(self) -> ScreedTold | None:
        """The strips in words and drawings."""
        if self.screed is None:
            return None
        last = self.setups[-1] if self.setups else None
        laser = (last.id, last.name) if last else ("", "")
        return screed_told(
            self.plan, self.ways.screed, self.screed, self.pads_struck[0], rod_reads(self.plan, self.ways), laser
        )

    @property
    def embeds_told(self) -> EmbedsTold | None:
        """What sticks up, set strip by strip where there are strips."""
        told = super().embeds_told
        return set_in_order(self.plan, told, self.screed) if told and self.screed else told

    @property
    def joints_told(self) -> JointsTold | None:
        """The joints, the oldest concrete first where there are strips."""
        told = super().joints_told
        return cut_in_order(told, self.screed) if told and self.screed else told
