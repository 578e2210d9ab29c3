"""What covers the ground under a slab: barrier, foam and treatments, laid out and doubted, with what must hold till the pour."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.underslab_parts import TreatmentKind
from humble_trowel.core.plan.underslab_ways import UnderslabWays
from humble_trowel.core.underslab.barrier import BarrierLaid, barrier_doubts, barrier_laid, no_roll
from humble_trowel.core.underslab.foam_laid import FoamLaid, foam_doubts, foam_laid

TREATMENT_WORDS: dict[TreatmentKind, str] = {
    "termite": "Termite treatment",
    "radon": "Radon pipe",
    "gas": "Gas barrier",
}
PAPERS: dict[TreatmentKind, str] = {
    "termite": "Treatment certificate with product, area and date",
    "radon": "Photo of pipe, tee and label, and the place of the fan box",
    "gas": "Test and photo record of the sheet's welds",
}
TREATMENT_DO: dict[TreatmentKind, str] = {
    "termite": "Spray the finished base just before the barrier. Who sprays holds the licence; rain or raking after it undoes it.",
    "radon": "Lay the pipe in clean stone under the barrier, bring it up where it can go through the roof, cap and label it, "
    "leave a fan box with power.",
    "gas": "Weld or tape every seam, seal every riser, and keep feet off until it is covered.",
}  # fmt: skip


@dataclass(frozen=True)
class SiteHold:
    """Something that must be so before the pour, for the gate. code: its kind. where: what it is about. paper: what is kept."""

    code: str
    where: str
    words: str
    paper: str
    open: bool


@dataclass(frozen=True)
class TreatmentRow:
    """A treatment that the site asks for. do: how it is done."""

    id: str
    kind: TreatmentKind
    name: str
    do: str
    paper: str
    note: str
    done_on: date | None


@dataclass(frozen=True)
class Covered:
    """Barrier, foam and treatments. holds: what the gate asks before the pour."""

    barrier: BarrierLaid | None
    foam: list[FoamLaid]
    treatments: list[TreatmentRow]
    holds: list[SiteHold]
    findings: list[Finding]


def covered(plan: Plan, solid: Solid | None, ways: UnderslabWays) -> Covered | None:
    """What covers the ground; None without a slab. Raises ValueError for rolls or boards that cannot be laid."""
    if solid is None:
        return None
    narrow = no_roll(plan, ways)
    barrier, foam = None if narrow else barrier_laid(plan, solid, ways), foam_laid(plan, solid, ways)
    rows = [
        TreatmentRow(one.id, one.kind, TREATMENT_WORDS[one.kind], TREATMENT_DO[one.kind], one.paper or PAPERS[one.kind], one.note, one.done_on)
        for one in plan.underslab.treatments
    ]  # fmt: skip
    holds = [SiteHold(f"treat-{row.kind}", row.id, row.name, row.paper, row.done_on is None) for row in rows]
    doubts = narrow if barrier is None else barrier_doubts(plan, barrier, ways)
    if barrier is not None:
        words = f"{barrier.hold} Dry from the day it is laid."
        holds.append(SiteHold("barrier-dry", "barrier", words, "", True))
    for row in rows:
        if row.done_on is None:
            words = f"{row.name} is asked and not done."
            doubts.append(
                finding(
                    "treatment-open", f"underslab/{row.id}", words, "Say when it was done; keep its paper.", "house"
                )
            )
    return Covered(barrier, foam, rows, holds, [*doubts, *foam_doubts(plan, foam)])
