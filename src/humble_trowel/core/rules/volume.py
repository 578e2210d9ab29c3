"""Volume by itself: a job file in, its concrete out."""

from __future__ import annotations

from humble_trowel.core.errors import InputError
from humble_trowel.core.job import Job
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.rules.case import Answer, Given
from humble_trowel.core.units import M3_PER_YD3


def volume(given: Given) -> Answer:
    """A job file: net concrete, its parts, plan area."""
    plan = read_plan(dict(given))
    found = Job(plan).figure
    if found.concrete is None or found.outline is None:
        raise InputError("The job has no outline.", "outline")
    names = {"slab": "slabs", "edge": "edges_beyond_slabs", "beam": "beams_beyond_those", "pad": "pads_beyond_those", "recess": "recess_change"}  # fmt: skip
    parts = dict.fromkeys(names.values(), 0.0)
    for part in found.concrete.parts:
        parts[names[part.kind]] += part.m3
    net = found.concrete.net_m3
    return {
        "net_m3": net, "net_yd3": net / M3_PER_YD3, "plan_area_m2": found.outline.area_m2, "parts": parts,
        "second_way_m3": found.concrete.second_way_m3,
    }  # fmt: skip
