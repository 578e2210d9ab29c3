"""The checker of contraction joints: panels made by outline, openings and joints, measured by their smallest enclosing rectangle.

Rules: J1 no side over the limit; J2 near square; J3 a joint through every inside corner of the outline and every corner of an opening,
unless it is isolated; J4 deep enough; J5 joints run edge to edge; J6 no L or T; J7 no sliver. Lengths mm. Sources: 'joint-spacing' and
its like.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import shapely
from shapely.geometry import LineString, MultiLineString, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import angle_at

Line = tuple[XY, XY]
SNAP_MM = 0.01
BENT_RAD = math.pi + math.radians(3.0)  # a corner that turns in by more makes an L or T of a panel
SQUARE_SLACK = 1e-3


@dataclass(frozen=True)
class JointRules:
    """ratio: sides at most so many thicknesses; cap_mm: and never over that. aspect: long over short. depth_share: of the thickness,
    depth_min_mm at least. sliver_mm: no panel narrower. tol_mm: what counts as through, and as too long."""

    ratio_n: float = 30.0
    cap_mm: float = 4572.0
    aspect_ratio: float = 1.5
    depth_share: float = 0.25
    depth_min_mm: float = 25.0
    sliver_mm: float = 600.0
    tol_mm: float = 2.0

    def limit_mm(self, thick_mm: float) -> float:
        """The longest side of a panel."""
        return min(self.ratio_n * thick_mm, self.cap_mm)

    def needed_mm(self, thick_mm: float) -> float:
        """How deep a cut is at least."""
        return max(self.depth_share * thick_mm, self.depth_min_mm)


@dataclass(frozen=True)
class Panel:
    """A panel with its sides (long, short) and the rules that it breaks."""

    ring: list[XY]
    long_mm: float
    short_mm: float
    rules: tuple[str, ...]


@dataclass(frozen=True)
class Crack:
    """A rule that is broken at a spot. rule: J1 to J7; size_mm: what is there (J3: how far the nearest joint is, inf where none)."""

    rule: str
    at: XY
    size_mm: float


@dataclass(frozen=True)
class JointsChecked:
    """Panels, everything broken, and what is sawn, overlapping cuts once."""

    panels: list[Panel]
    cracks: list[Crack]
    limit_mm: float
    needed_mm: float
    saw_mm: float

    @property
    def rules(self) -> list[str]:
        """Rules that are broken, once each."""
        return sorted({one.rule for one in self.cracks})


def corners_of(outline: Sequence[XY], openings: Sequence[Sequence[XY]]) -> list[XY]:
    """Where a slab cracks first: inside corners of its outline, every corner of an opening."""
    inside = [spot for i, spot in enumerate(outline) if angle_at(outline, i) > BENT_RAD]
    return [*inside, *(tuple(spot) for ring in openings for spot in ring)]  # type: ignore[list-item]


def checked(
    outline: Sequence[XY],
    openings: Sequence[Sequence[XY]],
    joints: Sequence[Line],
    thick_mm: float,
    rules: JointRules,
    depth_mm: float | None = None,
    isolated: Sequence[XY] = (),
) -> JointsChecked:
    """Every rule that a layout breaks. depth_mm: of the cuts, None where none is said. isolated: corners with a joint of their own
    all round. Raises ValueError for an outline that is no area."""  # fmt: skip
    region = Polygon(outline, [list(ring) for ring in openings])
    lines = [LineString(line) for line in joints if math.dist(*line) > rules.tol_mm]
    cut = _noded([region.boundary, *lines])
    found = [
        part for part in shapely.get_parts(shapely.polygonize([cut])) if region.contains(part.representative_point())
    ]
    limit = rules.limit_mm(thick_mm)
    panels = [_panel(part, limit, rules) for part in found]
    cracks = [
        Crack(rule, _middle(panel.ring), panel.long_mm if rule == "J1" else panel.short_mm)
        for panel in panels
        for rule in panel.rules
    ]
    cracks += _corners(corners_of(outline, openings), lines, isolated, rules)
    needed = rules.needed_mm(thick_mm)
    if depth_mm is not None and lines and depth_mm < needed - 1e-6:
        cracks.append(Crack("J4", _middle(list(joints[0])), depth_mm))
    cracks += _ends(region, lines, rules)
    return JointsChecked(panels, cracks, limit, needed, sawn_mm(region, lines))


def _noded(parts: Sequence[BaseGeometry]) -> BaseGeometry:
    return shapely.union_all(list(parts), grid_size=SNAP_MM)


def sawn_mm(region: BaseGeometry, lines: Sequence[LineString]) -> float:
    """Length of joints in the slab, what lies over another once, what lies along the edge not at all."""
    if not lines:
        return 0.0
    inner = region.buffer(-0.5, join_style="mitre")
    every = shapely.union_all(list(lines), grid_size=SNAP_MM)
    return float(every.intersection(region).length) if not inner.is_empty else 0.0


def sides_of(panel: BaseGeometry) -> tuple[float, float]:
    """(long, short) of the smallest rectangle round a panel."""
    box = shapely.minimum_rotated_rectangle(panel)
    ring = list(box.exterior.coords) if isinstance(box, Polygon) else []
    if len(ring) < 4:
        return 0.0, 0.0
    one, other = math.dist(ring[0], ring[1]), math.dist(ring[1], ring[2])
    return max(one, other), min(one, other)


def _panel(part: BaseGeometry, limit: float, rules: JointRules) -> Panel:
    long, short = sides_of(part)
    plain = shapely.normalize(shapely.simplify(part, rules.tol_mm))
    ring = [(x, y) for x, y, *_ in plain.exterior.coords[:-1]] if isinstance(plain, Polygon) else []
    broken = []
    if long > limit + rules.tol_mm:
        broken.append("J1")
    if short > 0 and long / short > rules.aspect_ratio + SQUARE_SLACK:
        broken.append("J2")
    if _bent(ring):
        broken.append("J6")
    if short < rules.sliver_mm - rules.tol_mm:
        broken.append("J7")
    return Panel(ring, long, short, tuple(broken))


def _bent(ring: Sequence[XY]) -> bool:
    """Whether a panel turns in anywhere."""
    area = sum(a[0] * b[1] - b[0] * a[1] for a, b in zip(ring, [*ring[1:], ring[0]], strict=True))
    own = list(ring) if area > 0 else list(reversed(ring))
    return any(angle_at(own, i) > BENT_RAD for i in range(len(own)))


def _middle(ring: Sequence[XY]) -> XY:
    if len(ring) < 3:
        return ring[0]
    spot = Polygon(ring).representative_point()
    return spot.x, spot.y


def _corners(
    corners: Sequence[XY], lines: Sequence[LineString], isolated: Sequence[XY], rules: JointRules
) -> list[Crack]:
    rows = []
    for corner in corners:
        if any(math.dist(corner, one) <= rules.tol_mm for one in isolated):
            continue
        spot = shapely.Point(corner)
        near = min((line.distance(spot) for line in lines), default=math.inf)
        if near > rules.tol_mm:
            rows.append(Crack("J3", corner, near))
    return rows


def _ends(region: Polygon, lines: Sequence[LineString], rules: JointRules) -> list[Crack]:
    """Ends inside of a panel: neither on the slab's border nor on another joint."""
    rows = []
    border = region.boundary
    for i, line in enumerate(lines):
        others = MultiLineString([one for j, one in enumerate(lines) if j != i])
        for x, y in (line.coords[0], line.coords[-1]):
            spot = shapely.Point(x, y)
            if not region.contains(spot) or border.distance(spot) <= rules.tol_mm:
                continue
            if others.is_empty or others.distance(spot) > rules.tol_mm:
                rows.append(Crack("J5", (x, y), 0.0))
    return rows
