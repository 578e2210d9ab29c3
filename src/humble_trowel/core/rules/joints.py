"""Contraction joints by themselves: a layout checked. Cases give mm."""

from __future__ import annotations

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.joints.check import JointRules, checked
from humble_trowel.core.rules.case import Answer, Given


def _spot(pair: list[float]) -> XY:
    return float(pair[0]), float(pair[1])


def joints(given: Given) -> Answer:
    """Panels, rules that are broken, and what is sawn."""
    said = given.get("settings", {})
    rules = JointRules(
        float(said.get("ratio", 30.0)), float(said.get("cap_mm", 4572.0)), float(said.get("aspect", 1.5)),
        float(said.get("depth_fraction", 0.25)), float(said.get("depth_min_mm", 25.0)), float(said.get("sliver_mm", 600.0)), float(said.get("tol", 2.0)),
    )  # fmt: skip
    outline = [_spot(pair) for pair in given["outline"]]
    openings = [[_spot(pair) for pair in ring] for ring in given.get("openings", ())]
    lines = [(_spot(line[0]), _spot(line[-1])) for line in given.get("joints", ())]
    depth = given.get("depth_mm")
    found = checked(
        outline, openings, lines, float(given["thickness_mm"]), rules, None if depth is None else float(depth)
    )
    return {
        "panels": len(found.panels), "limit_mm": found.limit_mm, "needed_depth_mm": found.needed_mm, "saw_length_m": found.saw_mm / 1000,
        "ok": not found.cracks, "rules": found.rules, "violations": len(found.cracks),
        "longest_mm": max((one.long_mm for one in found.panels), default=0.0),
        "worst_aspect": max((one.long_mm / one.short_mm for one in found.panels if one.short_mm), default=0.0),
    }  # fmt: skip
