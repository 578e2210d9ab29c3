"""Which layers of a job can be shot with the rod, and how many shots stand on each."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.ground.earthwork import layer_volume
from humble_trowel.core.ground.records import Shots
from humble_trowel.core.ground.stack import BASE_KINDS, stack_rows
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.reading.site_records import SiteRecords


@dataclass(frozen=True)
class LayerChoice:
    """A layer that can be shot. shots: how many stand on it."""

    key: str
    name: str
    shots: int


def layer_choices(plan: Plan, solid: Solid, ways: JobWays, records: SiteRecords) -> list[LayerChoice]:
    """Base and dig always; then every layer below the slab of some zone, and the lifts under its top."""
    names = {"base": "base top", "dig": "dig"}
    for cell in solid.cells:
        rows = stack_rows(plan, cell)
        at = next(i for i, row in enumerate(rows) if row.kind == "slab")
        for row in rows[at + 1 :]:
            if row.kind in ("native", "barrier"):
                continue
            each = (
                layer_volume(0.0, row.thickness_mm, 1.0, 1.0, ways.ground.lift_mm) if row.kind in BASE_KINDS else None
            )
            for i in range(1, each.lifts if each else 1):
                names.setdefault(f"{row.layer} lift {i} of {each.lifts if each else 1}", f"{row.name}, lift {i}")
            names.setdefault(row.layer, f"top of {row.name}")
    counts = {name: sum(len(row.shots) for row in records.of(Shots) if row.layer == name) for name in names}
    return [LayerChoice(key=key, name=name, shots=counts[key]) for key, name in names.items()]
