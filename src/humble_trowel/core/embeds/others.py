"""What else stands up out of the slab, of other stages: starters under kerbs from Steel, conduits and boxes from Underslab."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.plan.document import Plan
from humble_trowel.core.steel.laid import Laid

STANDS_UP = {
    "conduit": "conduit", "box": "floor box", "supply": "supply", "gas": "gas", "ground": "ground", "air": "air",
    "manifold": "manifold", "column": "column",
}  # fmt: skip


@dataclass(frozen=True)
class OtherTold:
    """Something of another stage. lens, tab: where it is set out and looked at."""

    name: str
    what: str
    count: int
    lens: str
    tab: str


def others_of(plan: Plan, bars: Sequence[Laid]) -> list[OtherTold]:
    """Starters together, then everything that comes up through the slab by its name."""
    starters = sum(len(row.lines) for row in bars if row.key == "starter")
    rows = [OtherTold("Kerbs", "starters", starters, "steel", "dowels")] if starters else []
    return rows + [
        OtherTold(riser.name, STANDS_UP[riser.kind], 1, "underslab", "check")
        for riser in plan.underslab.risers
        if riser.kind in STANDS_UP
    ]
