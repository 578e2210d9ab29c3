"""A strip plan made by rule: the fewest pad lines that a crew's boards can do, their order, and where trucks may stand. Lengths mm.

Each part of one plane is cut along one of its directions through the inside corners that need it, then into equal lanes where
no board spans it; the direction with the fewest and then shortest lines is taken. The checker judges what comes out.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations

import numpy as np
import shapely
from shapely.geometry import Point

from humble_trowel.core.forms.exposed import holding, reaches
from humble_trowel.core.geometry.chords import chords
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import point_along, side_of
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.top_faces import Face, Top, faces_of, tops_of
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import with_ids
from humble_trowel.core.plan.screed_parts import PadLine, ScreedStrip, TruckStand
from humble_trowel.core.plan.screed_ways import ScreedWays
from humble_trowel.core.screed.borders import Along, border_of, things_along
from humble_trowel.core.screed.order import best_order
from humble_trowel.core.screed.pulls import ALONG, asked_mm, best_pull, boards_of, pulls_of, rules_of
from humble_trowel.core.screed.site import ScreedRules
from humble_trowel.core.screed.strip_faces import strip_faces
from humble_trowel.core.screed.strips import BRINGS, guided, minutes_of, site_of

Line = tuple[XY, XY]
MOST_LANES = 40
STAND_OFF_MM = 1500.0
STAND_STEP_MM = 1500.0
MOST_STANDS = 6


@dataclass(frozen=True)
class Proposed:
    """Pad lines, strips in their order, and places of the truck. in_order: whether an order was found that walls nobody in."""

    pads: list[Line]
    strips: list[ScreedStrip]
    stands: list[XY]
    in_order: bool

    def on(self, plan: Plan) -> Plan:
        """A plan with it, and with its places of the truck where that has none."""
        screed = plan.screed.model_copy(
            update={
                "pads": [PadLine(start=a, end=b) for a, b in self.pads],
                "strips": self.strips,
                "standing": plan.screed.standing or [TruckStand(at=spot) for spot in self.stands],
            }
        )
        return with_ids(plan.model_copy(update={"screed": screed}))


def proposed(plan: Plan, solid: Solid, ways: ScreedWays) -> Proposed:
    """A whole plan."""
    tops, rules = tops_of(solid.cells), rules_of(ways)
    bare = plan.model_copy(update={"screed": plan.screed.model_copy(update={"pads": [], "strips": []})})
    along = things_along(bare)
    lines: list[Line] = []
    for top in tops:
        lines += _lines(bare, top, tops, along, ways, rules)
    lines = in_one(lines)
    pads = [PadLine(id=f"p{i}", start=a, end=b) for i, (a, b) in enumerate(lines)]
    laid = bare.model_copy(update={"screed": bare.screed.model_copy(update={"pads": pads})})
    _, faces = strip_faces(laid, solid, ways)
    strips, guides, _ = guided(laid, ways, faces, (), rules)
    site = site_of(laid, ways, tops, guides, ())
    _, minutes = minutes_of(solid, faces, ways)
    order = best_order(site, strips, minutes, [False] * len(strips), rules)
    rows = [faces[at] for at in (order if order is not None else range(len(faces)))]
    return Proposed(
        lines, [ScreedStrip(at=one.face.spot) for one in rows], stands_for(plan, tops, ways), order is not None
    )


def in_one(lines: Sequence[Line]) -> list[Line]:
    """Lines that run on into each other, joined."""
    rows = list(lines)
    for i, j in combinations(range(len(rows)), 2):
        met = [(p, q) for p in (0, 1) for q in (0, 1) if math.dist(rows[i][p], rows[j][q]) < 2.0]
        if met:
            start, end, middle = rows[i][1 - met[0][0]], rows[j][1 - met[0][1]], rows[i][met[0][0]]
            if abs(math.dist(start, middle) + math.dist(middle, end) - math.dist(start, end)) < 0.01:
                return in_one([(start, end), *(row for at, row in enumerate(rows) if at not in (i, j))])
    return rows


def _lines(
    plan: Plan, top: Top, tops: Sequence[Top], along: Sequence[Along], ways: ScreedWays, rules: ScreedRules
) -> list[Line]:
    """The fewest lines that make a part of one plane fit the boards."""
    ring = [(x, y) for x, y, *_ in shapely.orient_polygons(top.area).exterior.coords[:-1]]
    best: tuple[tuple[int, int, float], list[Line]] | None = None
    for way in _directions(ring):
        lines, failed = _cut(plan, top, tops, along, way, ways, rules)
        size = math.fsum(math.dist(a, b) for a, b in lines)
        key = failed, len(lines), round(size, 0)
        if best is None or key < best[0]:
            best = key, lines
    return best[1] if best else []


def _directions(ring: Sequence[XY]) -> list[XY]:
    """Directions of its longer sides, each once."""
    sides = sorted(zip(ring, [*ring[1:], ring[0]], strict=True), key=lambda side: -math.dist(*side))
    longest = math.dist(*sides[0]) if sides else 0.0
    rows: list[XY] = []
    for a, b in sides:
        size = math.dist(a, b)
        if size < longest / 3 or size < 1.0:
            break
        way = (b[0] - a[0]) / size, (b[1] - a[1]) / size
        if all(abs(way[0] * had[1] - way[1] * had[0]) > 0.02 for had in rows):
            rows.append(way)
    return rows


def _cut(
    plan: Plan, top: Top, tops: Sequence[Top], along: Sequence[Along], way: XY, ways: ScreedWays, rules: ScreedRules
) -> tuple[list[Line], int]:
    """(lines along a way, faces that no board can do even so)."""
    lines: list[Line] = []
    for spot in _inside_corners(top, way):
        lines += [line for line in chords(top.area, spot, way, 50.0) if _touches(line, spot) and _new(line, lines)]
    failed = 0
    for face in faces_of([top], lines):
        pulls = pulls_of(face, border_of(face, tops, along), rules)
        best = best_pull(plan, ways, pulls, rules)
        longest = max(boards_of(ways), default=0.0)
        if best is not None and asked_mm(plan, ways, best, rules) <= longest + 1.0:
            continue
        lanes = _lanes(face, way, longest - 2 * rules.on_wet_mm)
        lines += lanes
        failed += not lanes
    return lines, failed


def _inside_corners(top: Top, way: XY) -> list[XY]:
    """Corners where the concrete turns in, or an opening's, that a board pulled along a way cannot pass."""
    found: list[XY] = []
    whole = shapely.orient_polygons(top.area)
    for ring in (whole.exterior, *whole.interiors):
        spots = [(x, y) for x, y, *_ in ring.coords[:-1]]
        for i, here in enumerate(spots):
            before, after = spots[i - 1], spots[(i + 1) % len(spots)]
            ax, ay = here[0] - before[0], here[1] - before[1]
            bx, by = after[0] - here[0], after[1] - here[1]
            if ax * by - ay * bx < -1e-3 * math.hypot(ax, ay) * math.hypot(bx, by):
                alongs = [(x * way[0] + y * way[1]) / math.hypot(x, y) for x, y in ((ax, ay), (bx, by))]
                if min(abs(along) for along in alongs) < ALONG or alongs[0] * alongs[1] < 0:
                    found.append(here)
    return found


def _touches(line: Line, spot: XY) -> bool:
    return shapely.LineString(line).distance(Point(spot)) < 5.0


def _new(line: Line, lines: Sequence[Line]) -> bool:
    made = shapely.LineString(line)
    return all(made.hausdorff_distance(shapely.LineString(had)) > 25.0 for had in lines)


def _lanes(face: Face, way: XY, most_mm: float) -> list[Line]:
    """Lines that part a face into equal lanes along a way, none wider than most."""
    across = np.array([-x * way[1] + y * way[0] for x, y in face.ring])
    low, high = float(across.min()), float(across.max())
    count = math.ceil((high - low) / max(most_mm, 300.0) - 1e-6)
    if count < 2 or count > MOST_LANES:
        return []
    middle = face.area.centroid
    at = middle.x * way[0] + middle.y * way[1]
    rows = []
    for i in range(1, count):
        off = low + (high - low) * i / count
        rows += chords(face.area, (way[0] * at - way[1] * off, way[1] * at + way[0] * off), way, 50.0)
    return rows


def stands_for(plan: Plan, tops: Sequence[Top], ways: ScreedWays) -> list[XY]:
    """Places beside the sides where nothing stands, from which a chute reaches as much as it can, the best first."""
    ring = list(plan.outline or [])
    standing = holding(plan)
    blocked = shapely.union_all([shape for _, shape, _ in standing]) if standing else Point(0, 0).buffer(0)
    slab = shapely.union_all([top.area for top in tops], grid_size=0.01)
    brings = BRINGS.get(plan.order.method or "chute", "chute")
    reach = {"chute": ways.chute_mm, "hose": ways.hose_mm, "barrow": ways.barrow_mm}[brings]
    spots: list[XY] = []
    for side in range(len(ring)):
        a, b = side_of(ring, side)
        size = math.dist(a, b)
        if any(row.against for row in reaches(plan, side, standing)) or size < 1.0:
            continue
        out = (b[1] - a[1]) / size, -(b[0] - a[0]) / size
        for i in range(1, max(2, round(size / STAND_STEP_MM))):
            x, y = point_along(a, b, size * i / max(2, round(size / STAND_STEP_MM)))
            spot = round(x + out[0] * STAND_OFF_MM, 0), round(y + out[1] * STAND_OFF_MM, 0)
            if not slab.contains(Point(spot)) and blocked.distance(Point(spot)) > STAND_OFF_MM / 2:
                spots.append(spot)
    rows: list[XY] = []
    rest = slab
    while spots and rest.area > 0.005 * slab.area and len(rows) < MOST_STANDS:
        gain = [rest.intersection(Point(spot).buffer(reach, 16)).area for spot in spots]
        at = int(np.argmax(gain))
        if gain[at] < 0.003 * slab.area:
            break
        rows.append(spots[at])
        rest = rest.difference(Point(spots[at]).buffer(reach, 64))
    return rows
