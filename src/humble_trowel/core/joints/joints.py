"""All joints of a slab: regions by thickness and level, each checked by itself; isolation, steps, and what is sawn. Lengths mm."""

from __future__ import annotations

import itertools
import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass

import shapely
from shapely.geometry import LineString, Polygon

from humble_trowel.core.edges.section_blocks import Within
from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.forms.exposed import reaches
from humble_trowel.core.geometry.alike import parts_alike
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.joints.check import Crack, JointRules, JointsChecked, Line, checked
from humble_trowel.core.joints.columns import cut_out, isolation_rings, perimeter_mm
from humble_trowel.core.joints.lay import lay_joints
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.core.plan.joint_ways import JointWays
from humble_trowel.core.units import Units, say_depth, say_length

OTHER_RATIOS = (24.0, 30.0, 36.0)
OVER_MM = 12.7  # concrete that stays between a cut and what lies under it
NEAR_MM = 300.0
CODES = {
    "J1": "joint-long",
    "J2": "joint-shape",
    "J3": "joint-missing",
    "J5": "joint-ends",
    "J6": "joint-bent",
    "J7": "joint-sliver",
}


@dataclass(frozen=True)
class Region:
    """Concrete of one thickness at one level: its outline and openings."""

    thick_mm: float
    ring: list[XY]
    holes: list[list[XY]]

    @property
    def area(self) -> Polygon:
        return Polygon(self.ring, self.holes)


@dataclass(frozen=True)
class RegionJoints:
    """A region with its joints as they lie in it, checked."""

    region: Region
    lines: list[Line]
    found: JointsChecked


@dataclass(frozen=True)
class JointsLaid:
    """All of it. steps: borders of regions, which are joints themselves; isolation_mm: against what stands there and round openings;
    fails: panels that fail by other ratios."""

    regions: list[RegionJoints]
    saw_mm: float
    depth_mm: float
    steps: list[Line]
    isolation_mm: float
    fails: dict[float, int]
    findings: list[Finding]


def rules_of(plan: Plan, ways: JointWays, ratio_n: float | None = None) -> JointRules:
    """What this job's joints keep to. ratio_n: another than its own."""
    return JointRules(
        ratio_n or plan.joints.ratio_n or ways.ratio_n, ways.cap_mm, ways.aspect_ratio, ways.depth_share, ways.depth_min_mm, ways.sliver_mm,
    )  # fmt: skip


def regions_of(solid: Solid, rings: Sequence[list[XY]] = ()) -> list[Region]:
    """The slab by thickness and level, the largest first. rings: of columns with a joint of their own, which are out of it."""
    return [
        Region(
            thick,
            [(x, y) for x, y, *_ in area.exterior.coords[:-1]],
            [[(x, y) for x, y, *_ in ring.coords[:-1]] for ring in area.interiors],
        )
        for thick, area in ((thick, cut_out(whole, list(rings))) for thick, whole in parts_alike(solid.cells))
    ]


def isolated_corners(plan: Plan, rings: Sequence[list[XY]] = ()) -> list[XY]:
    """Corners of openings and round columns with a joint of their own."""
    named = dict(zip(plan.opening_ids, plan.openings, strict=False))
    spots = [tuple(spot) for name in plan.joints.isolated for spot in named.get(name, ())]
    return [*spots, *(spot for ring in rings for spot in ring)]  # type: ignore[list-item]


def proposal(
    plan: Plan, solid: Solid, ways: JointWays, ratio_n: float | None, tick: Callable[[], None] = lambda: None
) -> list[Line]:
    """A layout for the whole slab by a ratio, region by region."""
    rings = [ring for _, _, ring in isolation_rings(plan, ways)]
    rules, free = rules_of(plan, ways, ratio_n), isolated_corners(plan, rings)
    return [
        line
        for region in regions_of(solid, rings)
        for line in lay_joints(
            region.ring, region.holes, region.thick_mm, rules, free, tick, 10.0 if plan.units == "mm" else 25.4
        )
    ]


def joints_checked(
    plan: Plan, solid: Solid, ways: JointWays, lines: Sequence[Line], ratio_n: float | None = None
) -> list[RegionJoints]:
    """Joints region by region. ratio_n: by another than the job's own."""
    rings = [ring for _, _, ring in isolation_rings(plan, ways)]
    rules, free = rules_of(plan, ways, ratio_n), isolated_corners(plan, rings)
    rows = []
    for region in regions_of(solid, rings):
        area = region.area.buffer(1.0, join_style="mitre")
        own: list[Line] = []
        for line in lines:
            for part in shapely.get_parts(LineString(line).intersection(area)):
                if part.geom_type == "LineString" and part.length > 3.0:
                    (ax, ay), (bx, by) = part.coords[0], part.coords[-1]
                    own.append(((ax, ay), (bx, by)))
        rows.append(
            RegionJoints(region, own, checked(region.ring, region.holes, own, region.thick_mm, rules, None, free))
        )
    return rows


def joints_laid(plan: Plan, solid: Solid, ways: JointWays, within: Sequence[Within] = ()) -> JointsLaid | None:
    """All joints of a job; None where none is said."""
    if not plan.joints.lines:
        return None
    lines: list[Line] = [(row.start, row.end) for row in plan.joints.lines]
    regions = joints_checked(plan, solid, ways, lines)
    depth = max((one.found.needed_mm for one in regions), default=0.0)
    fails = {
        ratio: sum(
            1 for one in joints_checked(plan, solid, ways, lines, ratio) for panel in one.found.panels if panel.rules
        )
        for ratio in OTHER_RATIOS
    }
    found = [row for one in regions for row in _told(plan, one)]
    found += _under(plan, solid, lines, depth, within)
    return JointsLaid(
        regions,
        math.fsum(one.found.saw_mm for one in regions)
        - math.fsum(math.dist(row.start, row.end) for row in plan.joints.lines if row.how == "construction"),
        depth,
        _steps(regions),
        _isolation_mm(plan, ways),
        fails,
        found,
    )


def _steps(regions: Sequence[RegionJoints]) -> list[Line]:
    rows: list[Line] = []
    for i, one in enumerate(regions):
        for other in regions[i + 1 :]:
            met = one.region.area.buffer(1.0, join_style="mitre").intersection(other.region.area.boundary)
            for part in shapely.get_parts(shapely.line_merge(met) if met.geom_type != "Point" else met):
                if part.geom_type == "LineString" and part.length > 50.0:
                    spots = [(x, y) for x, y, *_ in part.coords]
                    rows += [(a, b) for a, b in itertools.pairwise(spots) if math.dist(a, b) > 10.0]
    return rows


def _isolation_mm(plan: Plan, ways: JointWays) -> float:
    """Against what stands at the sides, and round openings and columns that have a joint of their own."""
    ring = plan.outline or []
    against = math.fsum(
        reach.to_mm - reach.from_mm for side in range(len(ring)) for reach in reaches(plan, side) if reach.against
    )
    named = dict(zip(plan.opening_ids, plan.openings, strict=False))
    round_openings = math.fsum(Polygon(named[name]).length for name in plan.joints.isolated if name in named)
    return against + round_openings + math.fsum(perimeter_mm(ring) for _, _, ring in isolation_rings(plan, ways))


def _told(plan: Plan, one: RegionJoints) -> list[Finding]:
    """Findings of a region: each corner and end by itself, panels together by their rule."""
    rows: list[Finding] = []
    units = plan.units
    for rule in ("J1", "J2", "J6", "J7"):
        own = [panel for panel in one.found.panels if rule in panel.rules]
        if own:
            worst = max(own, key=lambda panel: panel.long_mm if rule != "J7" else -panel.short_mm)
            many = "One panel" if len(own) == 1 else f"{len(own)} panels"
            size = f"{say_length(worst.long_mm, units)} by {say_length(worst.short_mm, units)}"
            words, remedy = {
                "J1": (f"{many} over {say_length(one.found.limit_mm, units)} long: {size}.", "Lay a joint between."),
                "J2": (f"{many} not near square: {size}.", "Move a joint, or lay one across."),
                "J6": (f"{many} turning round a corner.", "Lay a joint through that corner."),
                "J7": (f"{many} too narrow: {size}.", "Move or leave out a joint."),
            }[rule]
            source = {"J1": "joint-spacing", "J2": "joint-shape", "J6": "joint-corner", "J7": "joint-sliver"}[rule]
            rows.append(finding(CODES[rule], f"joints/{rule}", words, remedy, source))
    rows += [_at(plan, crack) for crack in one.found.cracks if crack.rule in ("J3", "J5")]
    return rows


def _at(plan: Plan, crack: Crack) -> Finding:
    units = plan.units
    if crack.rule == "J5":
        return finding(
            "joint-ends",
            "joints/end",
            "A joint ends inside a panel.",
            "Run it on to an edge or another joint.",
            "joint-corner",
        )
    name = next((corner_name(i) for i, spot in enumerate(plan.outline or []) if math.dist(spot, crack.at) < 5.0), "")
    where = f"corner {name}" if name else "a corner of an opening"
    if crack.size_mm < NEAR_MM:
        words = f"A joint passes {say_depth(crack.size_mm, units)} beside {where}: the crack will find the corner."
        return finding("joint-missing", f"joints/{name}", words, "Move it to the corner.", "joint-corner")
    return finding(
        "joint-missing",
        f"joints/{name}",
        f"No joint goes through {where}.",
        "Lay one through it, or isolate it.",
        "joint-corner",
    )


def _under(plan: Plan, solid: Solid, lines: Sequence[Line], depth: float, within: Sequence[Within]) -> list[Finding]:
    """Tube and bars that a cut would reach."""
    rows: list[Finding] = []
    cuts = shapely.union_all([LineString(line) for line in lines])
    thick = min((cell.thickness_mm for cell in solid.cells), default=0.0)
    bars: list[str] = []
    for one in within:
        level = one.level_mm if one.high_mm is None else -(thick - one.high_mm)
        over = -level - one.outside_mm / 2
        if over >= depth + OVER_MM or not any(
            len(path) > 1 and cuts.intersects(LineString(path)) for path in one.paths
        ):
            continue
        if one.kind == "tube":
            rows.append(
                _deep(
                    "joint-tube",
                    f"A cut of {say_depth(depth, plan.units)} reaches the tube, {say_depth(max(0.0, over), plan.units)} down.",
                    "Sleeve it there, cut shallower early, or move the joint.",
                )
            )
        else:
            bars.append(one.name)
    if bars:
        names = ", ".join(sorted(dict.fromkeys(bars)))
        rows.append(
            _deep(
                "joint-bar",
                f"A cut of {say_depth(depth, plan.units)} reaches bar {names}.",
                "Cut every other bar there, or lay them lower; ask the engineer.",
            )
        )
    return rows


def _deep(code: str, words: str, remedy: str) -> Finding:
    return finding(code, "joints/under", words, remedy, "joint-under")


def panel_words(long_mm: float, short_mm: float, units: Units) -> str:
    """12' by 10', or 3600 by 3200."""
    if units == "mm":
        return f"{long_mm:.0f} × {short_mm:.0f}"
    return f"{say_length(long_mm, units)} × {say_length(short_mm, units)}"
