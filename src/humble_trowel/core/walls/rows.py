"""Walls of a job with their concrete, each with its working: what is formed, what fills cores, what a header takes."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from shapely.geometry import Polygon

from humble_trowel.core.footings.volume import increments
from humble_trowel.core.geometry.footing_strips import Prism
from humble_trowel.core.geometry.overlay import less, together
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.wall_strips import Stretch, goes_round, inside_left, stretches
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.lines.outline import length_leaf
from humble_trowel.core.order.leaves import area_leaf, area_times_depth, short_sum, thin_leaf, volume_unit
from humble_trowel.core.order.second_pours import SecondPour, panels_of
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.footing_parts import Footing
from humble_trowel.core.plan.wall_parts import Wall
from humble_trowel.core.units import format_volume, say_depth
from humble_trowel.core.walls.courses import Courses, block_count, core_fill, courses
from humble_trowel.core.working import Working, leaf, work

SHARED_M3 = 1e-9


@dataclass(frozen=True)
class Standing:
    """A wall on its footing, as worked out. inner: for each stretch the two points of its inner face."""

    wall: Wall
    at: int
    footing: Footing
    rows: list[Stretch]
    closed: bool
    left: bool

    @property
    def length_mm(self) -> float:
        """Along its middle."""
        return math.fsum(row.length_mm for row in self.rows)

    @property
    def face_m2(self) -> float:
        """Its face along the middle."""
        return math.fsum(row.length_mm * (row.top_mm - row.bottom_mm) for row in self.rows) / 1e6

    def inner(self, row: Stretch) -> tuple[XY, XY]:
        """The inner face of a stretch on plan."""
        p, q, r, s = row.ring
        return (s, r) if self.left else (p, q)

    def outer(self, row: Stretch) -> tuple[XY, XY]:
        """The outer face of a stretch on plan."""
        p, q, r, s = row.ring
        return (p, q) if self.left else (s, r)


@dataclass(frozen=True)
class WallRow:
    """A wall in the list. m3: its own concrete, of the walls' pour; 0 where it is block with nothing in its cores or where
    another pour fills them. foam_m2: all boards on and in it. forms_m2: both faces of one that is formed, panels: its panels and fillers. blocks: whole ones. courses: of each height that it has, first
    along the footing first."""

    wall: int
    id: str
    name: str
    kind: str
    footing: str
    length_mm: float
    face_m2: float
    m3: float
    text: str
    how: str
    working: Working | None
    blocks: int
    foam_m2: float
    forms_m2: float
    panels: str
    courses: list[Courses]


def standing_walls(plan: Plan) -> list[Standing]:
    """Every wall on its footing, in the order of the plan."""
    by_id = {row.id: row for row in plan.footings}
    found = []
    for at, wall in enumerate(plan.walls):
        footing = by_id[wall.footing]
        closed = goes_round(wall, footing)
        found.append(Standing(wall, at, footing, stretches(wall, footing), closed, inside_left(footing)))
    return found


def prisms_of(stood: Standing) -> list[Prism]:
    """A wall as prisms."""
    return [Prism(Polygon(row.ring), row.bottom_mm, row.top_mm) for row in stood.rows]


def formed_m3(stood: Sequence[Standing]) -> dict[int, float]:
    """Concrete of formed walls and of those between foam, m3 by wall: what two share counts with the first; a board between
    is no concrete."""
    formed = [one for one in stood if one.wall.kind != "block"]
    adds = increments([prisms_of(one) for one in formed])
    return {
        one.at: add - one.face_m2 * (one.wall.foam_between_mm or 0.0) / 1000
        for one, add in zip(formed, adds, strict=True)
    }


def wall_rows(plan: Plan, stood: Sequence[Standing]) -> list[WallRow]:
    """Every wall with what its own pour takes."""
    formed = formed_m3(stood)
    return [_row(plan, one, formed.get(one.at)) for one in stood]


def _row(plan: Plan, one: Standing, formed: float | None) -> WallRow:
    wall = one.wall
    if formed is not None:
        m3, working = formed, _formed(plan, one, formed)
    elif wall.cores != "none" and wall.cores_with == "walls":
        m3, working = core_fill(wall, one.rows, closed=one.closed).m3, cores_working(plan, one)
    else:
        m3, working = 0.0, None
    heights = dict.fromkeys(round(row.top_mm - row.bottom_mm, 3) for row in one.rows if row.set_down is None)
    block = wall.kind == "block"
    return WallRow(
        one.at, wall.id, wall.name, wall.kind, one.footing.name, one.length_mm, one.face_m2, m3,
        format_volume(m3, plan.units) if working else "", short_sum(working) if working else "", working,
        block_count(wall, one.rows) if block else 0, foam_m2(one), forms_m2(one), panel_words(plan, one),
        [courses(wall, high, plan.units) for high in heights] if block else [],
    )  # fmt: skip


def foam_m2(one: Standing) -> float:
    """Foam boards on its faces and in its middle, m2, each as high as the wall there."""
    wall = one.wall

    def face(points: Sequence[tuple[XY, XY]]) -> float:
        ends = zip(points, one.rows, strict=True)
        return math.fsum(math.dist(*pair) * (row.top_mm - row.bottom_mm) for pair, row in ends) / 1e6

    total = 0.0
    if wall.foam_inside_mm:
        total += face([one.inner(row) for row in one.rows])
    if wall.foam_outside_mm:
        total += face([one.outer(row) for row in one.rows])
    return total + (one.face_m2 if wall.foam_between_mm else 0.0)


def panel_words(plan: Plan, one: Standing) -> str:
    """Panels and fillers of a formed wall, face by face of every straight leg."""
    if one.wall.kind != "formed" or not one.wall.panel_mm:
        return ""
    faces: dict[tuple[int, int, int], float] = {}
    for row in one.rows:  # stretches of one leg, parted by steps and set-downs, are one face
        for side, (a, b) in enumerate((one.inner(row), one.outer(row))):
            turn = round(math.degrees(math.atan2(b[1] - a[1], b[0] - a[0])))
            across = round(-a[0] * math.sin(math.radians(turn)) + a[1] * math.cos(math.radians(turn)))
            faces[side, turn, across] = faces.get((side, turn, across), 0.0) + math.dist(a, b)
    return panels_of(list(faces.values()), one.wall.panel_mm, plan.units)


def forms_m2(one: Standing) -> float:
    """Both faces of a wall between forms; foam that stays is its own form."""
    if one.wall.kind != "formed":
        return 0.0
    faces = [*(one.inner(row) for row in one.rows), *(one.outer(row) for row in one.rows)]
    ends = zip(faces, [*one.rows, *one.rows], strict=True)
    return math.fsum(math.dist(*pair) * (row.top_mm - row.bottom_mm) for pair, row in ends) / 1e6


def _formed(plan: Plan, one: Standing, m3: float) -> Working:
    unit, per_unit = volume_unit(plan)
    wall, at = one.wall, f"edges/wall/{one.at}"
    inputs: dict[str, Working] = {
        "face": area_leaf(f"{wall.name}, length along its middle times its height", one.face_m2, plan, at),
        "thick": thin_leaf(
            f"{wall.name}, thickness of concrete", wall.thickness_mm - (wall.foam_between_mm or 0.0), plan, at
        ),
    }
    formula = area_times_depth(plan, "face", "thick")
    shared = one.face_m2 * (wall.thickness_mm - (wall.foam_between_mm or 0.0)) / 1000 - m3
    if abs(shared) > SHARED_M3:
        text = f"{format_volume(shared, plan.units)} {unit}"
        inputs["shared"] = leaf("Counted already, where walls meet", shared / per_unit, unit, text, "greatest-depth")
        formula += " - shared"
    return work(wall.name, unit, formula, inputs, source="wall", text=f"{format_volume(m3, plan.units)} {unit}")


def cores_working(plan: Plan, one: Standing) -> Working:
    """The working of what fills the cores of a wall."""
    unit, _ = volume_unit(plan)
    wall, at = one.wall, f"edges/wall/{one.at}"
    fill = core_fill(wall, one.rows, closed=one.closed)
    count = f"{fill.cores_n:.1f}".rstrip("0").rstrip(".")
    inputs: dict[str, Working] = {
        "cores": leaf(f"{wall.name}, cores filled", fill.cores_n, "", count, "wall-cores", at),
        "long": thin_leaf("A block, long", wall.block.length_mm, plan, at),
        "wide": thin_leaf("A block, wide", wall.thickness_mm, plan, at),
        "hollow": leaf(
            "Hollow of a block, its two cores",
            wall.block.void_share,
            "",
            f"{wall.block.void_share:g}",
            "block-void",
            at,
        ),
    }
    if plan.units == "mm":
        inputs["high"] = leaf(
            "Height of the cores, on average",
            fill.height_mm / 1000,
            "m",
            f"{fill.height_mm / 1000:.3f} m",
            "geometry",
            at,
        )
        formula = "cores * long * wide * hollow / 2 * high / 1000000"
    else:
        inputs["high"] = length_leaf("Height of the cores, on average", fill.height_mm, plan.units, at, "geometry")
        formula = "cores * long * wide * hollow / 2 * high / 3888"
    text = f"{format_volume(fill.m3, plan.units)} {unit}"
    return work(f"{wall.name}, core fill", unit, formula, inputs, source="wall-cores", text=text)


def with_the_slab(plan: Plan, stood: Sequence[Standing], cells: Sequence[Cell]) -> list[SecondPour]:
    """What the slab's pour puts into walls: cores that it fills, and the ledge of a header as far as the outline does not
    cover it."""
    found = []
    for one in stood:
        wall = one.wall
        if wall.kind == "block" and wall.cores != "none" and wall.cores_with == "slab":
            m3 = core_fill(wall, one.rows, closed=one.closed).m3
            working = cores_working(plan, one)
            name = f"{wall.name}, cores"
            found.append(_pour(name, "core fill", one, m3, plan, working))
        if wall.kind == "block" and wall.meets == "header" and cells:
            area, thick = ledge(one, cells)
            if area > 1e-6:
                found.append(_header(plan, one, area, thick))
    return found


def ledge(one: Standing, cells: Sequence[Cell]) -> tuple[float, float]:
    """(m2 of a header's ledge that the outline leaves, mm of the slab over it)."""
    bands = []
    for row in one.rows:
        a, b = one.inner(row)
        c, d = one.outer(row)
        share = min(1.0, one.wall.ledge_mm / one.wall.thickness_mm)
        bands.append(Polygon([a, b, _between(b, d, share), _between(a, c, share)]))
    band = together(bands)
    near = min(cells, key=lambda cell: cell.region.distance(band))
    slab = together([cell.region for cell in cells])
    return float(less(band, slab).area) / 1e6, near.thickness_mm


def _between(a: XY, b: XY, share: float) -> XY:
    return a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share


def _header(plan: Plan, one: Standing, area_m2: float, thick_mm: float) -> SecondPour:
    unit, _ = volume_unit(plan)
    at = f"edges/wall/{one.at}"
    inputs = {
        "area": area_leaf(f"{one.wall.name}, ledge of {say_depth(one.wall.ledge_mm, plan.units)}", area_m2, plan, at),
        "thick": thin_leaf("Slab over it", thick_mm, plan, "edges/top"),
    }
    m3 = area_m2 * thick_mm / 1000
    name = f"{one.wall.name}, header"
    text = f"{format_volume(m3, plan.units)} {unit}"
    working = work(name, unit, area_times_depth(plan, "area", "thick"), inputs, source="wall-header", text=text)
    return _pour(name, "header", one, m3, plan, working)


def _pour(name: str, kind: str, one: Standing, m3: float, plan: Plan, working: Working) -> SecondPour:
    text = format_volume(m3, plan.units)
    return SecondPour(name, kind, one.at, m3, text, short_sum(working), one.length_mm, [], working, with_slab=True)
