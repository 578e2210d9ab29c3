"""Rules of joints in the book, with their calculators. Lengths come in mm."""

from __future__ import annotations

from collections.abc import Mapping

from humble_trowel.core.joints.check import JointRules
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.rules.book_row import Rule, number_ask, thin_ask
from humble_trowel.core.units import Units, say_depth, say_length
from humble_trowel.core.working import Working, leaf


def _apart(values: Mapping[str, float], units: Units, ways: Ways) -> list[Working]:
    limit = JointRules(values["ratio"], ways.joints.cap_mm).limit_mm(values["thick"])
    return [leaf("Joints apart, at most", limit, "mm", say_length(limit, units), "joint-spacing")]


def _deep(values: Mapping[str, float], units: Units, ways: Ways) -> list[Working]:
    own = ways.joints
    needed = JointRules(depth_share=own.depth_share, depth_min_mm=own.depth_min_mm).needed_mm(values["thick"])
    return [leaf("Cut, at least", needed, "mm", say_depth(needed, units), "joint-depth")]


THICK = thin_ask("thick", "Slab", '4"', "100")
JOINT_RULES = (
    Rule("joints/apart", "How far apart joints are", "Twenty-four to thirty-six thicknesses, and never over fifteen feet.", "min(ratio × t, 15 ft)", "joint-spacing",
         (("t", "24 t", "30 t", "36 t"), ("4 in", "8 ft", "10 ft", "12 ft"), ("5 in", "10 ft", "12.5 ft", "15 ft"), ("6 in", "12 ft", "15 ft", "15 ft"), ("8 in", "15 ft", "15 ft", "15 ft")),
         asks=(THICK, number_ask("ratio", "Thicknesses", "30")), work_out=_apart),
    Rule("joints/shape", "Near square", "A long panel cracks across its middle.", "long ÷ short ≤ 1.5", "joint-shape"),
    Rule("joints/corner", "Inside corners", "A slab cracks from an inside corner; a joint through it, or a strip round it, says where.", "a joint through each", "joint-corner"),
    Rule("joints/depth", "How deep a cut goes", "A quarter of the slab, an inch at least, so that it cracks below the cut.", "max(t ÷ 4, 1 in)", "joint-depth", asks=(THICK,), work_out=_deep),
    Rule("joints/sliver", "No slivers", "Narrow strips break up under traffic.", "short ≥ 2 ft", "joint-sliver"),
    Rule("joints/dust", "Dust", "Cut wet, or with a shroud and a mask that fits.", "", "saw-dust"),
)  # fmt: skip
