"""The joints of a job."""

from __future__ import annotations

from humble_trowel.core.job.embeds import EmbedAnswers
from humble_trowel.core.joints.joints import JointsLaid, joints_laid
from humble_trowel.core.joints.told import JointsTold, joints_told
from humble_trowel.core.kept import kept


class JointAnswers(EmbedAnswers):
    """Where the slab may crack."""

    @kept(
        "plan.joints", "plan.units", "plan.outline", "plan.corner_ids", "plan.openings", "plan.opening_ids", "plan.existing", "plan.laps", "plan.walls",
        "plan.footings", "plan.zones", "plan.underslab", "plan.embeds", "tubing", "solid", "steel", "setups", "earlier", "ways.joints", "ways.ground", "ways.steel",
    )  # fmt: skip
    def joints(self) -> JointsLaid | None:
        """Panels, cracks and cuts; None where no joint is said."""
        return self.guarded("joints", "The joints", self._joints, None)

    def _joints(self) -> JointsLaid | None:
        if not self.plan.joints.lines or self.solid is None:
            return None
        return joints_laid(self.plan, self.solid, self.ways.joints, self.within)

    @property
    def joints_told(self) -> JointsTold | None:
        """The joints in words and drawings."""
        return joints_told(self.plan, self.ways.joints, self.joints) if self.joints else None
