"""Made-up jobs for exercises: a plain slab with what an exercise wants of it."""

from __future__ import annotations

from typing import Any

from humble_trowel.core.plan.document import Plan
from humble_trowel.core.reading.job_file import FORMAT, read_plan
from humble_trowel.core.units import Units


def slab_plan(
    units: Units,
    long_mm: float,
    wide_mm: float,
    thick_mm: float,
    edge_mm: tuple[float, float] | None = None,
    **more: Any,
) -> Plan:
    """A rectangle. edge_mm: depth and bottom width of a thickened edge all round. more: other keys of a job file."""
    said: dict[str, Any] = {
        "format": FORMAT, "version": 1, "name": "Practice", "client": "", "units": units,
        "outline": [[0, 0], [long_mm, 0], [long_mm, wide_mm], [0, wide_mm]],
        "slab_types": [{"mark": "S1", "thickness_mm": thick_mm}], "zones": [{"name": "Slab", "slab": "S1", "polygon": None}],
    }  # fmt: skip
    if edge_mm is not None:
        said["edge_types"] = [
            {"mark": "E1", "kind": "thickened", "depth_mm": edge_mm[0], "bottom_width_mm": edge_mm[1], "haunch_run_per_rise": 1}
        ]  # fmt: skip
        said["edges"] = [{"type": "E1", "sides": [0, 1, 2, 3]}]
    return read_plan(said | more)
