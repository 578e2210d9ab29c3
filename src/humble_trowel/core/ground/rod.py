"""The rod card: what the rod reads on every surface that matters, for where the laser stands now."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from itertools import pairwise

import shapely

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.tops import Facet, at_spot, fall_lines, spots_of
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.ground.rod_parts import below_levels, beside_levels, buried_levels, part_levels
from humble_trowel.core.ground.stack import high_top, stack_rows, surface_of
from humble_trowel.core.plan.document import Plan, corner_name, side_name
from humble_trowel.core.plan.ground_ways import RodReads
from humble_trowel.core.plan.ids import made_id
from humble_trowel.core.plan.levels import benchmark_mm, floor_mm
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import MM_PER_FT, Units, format_length, round_half_away, say_depth

SAME_MM = 0.05


@dataclass(frozen=True)
class RodRow:
    """A surface at a place. reading_mm: None while no laser stands. pole_text: mark on a story pole, up from the
    floor's mark (down where it starts with a minus). key: of the layer. heavy: the base, which crews shoot most.
    level_text: against the finished floor. slab_text: against the slab's top, '' where both are one. id: of its surface,
    zone and place, so that a card of before still means the same row."""

    surface: str
    at: str
    key: str
    zone: str
    spot: XY | None
    level_mm: float
    level_text: str
    reading_mm: float | None
    reading_text: str
    pole_text: str
    heavy: bool
    slab_text: str = ""
    id: str = ""


def rod_reads(plan: Plan, ways: JobWays) -> RodReads:
    """How this job's rod is read."""
    return ways.ground.rod_reads or ("mm" if plan.units == "mm" else "sixteenths")


def say_reading(mm: float, reads: RodReads) -> str:
    """A rod reading: 4′-10 1/4″, 4.85 ft or 1480 mm. Rounded once."""
    if reads == "mm":
        return f"{round_half_away(mm)} mm"
    if reads == "tenths":
        return f"{round_half_away(mm / MM_PER_FT * 100) / 100:.2f} ft"
    return format_length(mm, "ft-in", 16)


def say_level(mm: float, units: Units, floor_mm: float = 0.0) -> str:
    """A level of the plan (0 = the main slab's top) against the finished floor: '4 in below', 'floor'. floor_mm: how
    far that floor lies over the slab's top."""
    return _against(mm - floor_mm, units, "floor")


def level_words(mm: float, plan: Plan) -> str:
    """A level of the plan against both surfaces, where they are two: '415 mm below floor, 285 mm below slab top'."""
    floor = floor_mm(plan)
    if not floor:
        return say_level(mm, plan.units)
    words = []
    for size, name in ((mm - floor, "floor"), (mm, "slab top")):
        text = _against(size, plan.units, name)
        words.append(text if text == name else f"{text} {name}")
    return ", ".join(words)


def _against(mm: float, units: Units, name: str) -> str:
    size = say_depth(abs(mm), units)
    return name if size in ("0″", "0 mm") else f"{size} {'over' if mm > 0 else 'below'}"


def say_off(off_mm: float, plan_units: Units, reads: RodReads) -> str:
    """What to do with a surface that is `off_mm` over its design: 'down 1 3/8', 'up 1/4' or 'on grade'."""
    if reads == "tenths":
        size = f"{round_half_away(abs(off_mm) / MM_PER_FT * 100) / 100:.2f} ft"
        return "on grade" if size == "0.00 ft" else f"{'down' if off_mm > 0 else 'up'} {size}"
    size = say_depth(abs(off_mm), "mm" if reads == "mm" else "ft-in")
    return "on grade" if size in ("0″", "0 mm") else f"{'down' if off_mm > 0 else 'up'} {size}"


class _Card:
    def __init__(self, plan: Plan, ways: JobWays, instrument_mm: float | None) -> None:
        self.plan, self.instrument_mm, self.reads = plan, instrument_mm, rod_reads(plan, ways)
        self.floor_mm = floor_mm(plan)
        self.rows: list[RodRow] = []

    def add(
        self, surface: str, at: str, key: str, zone: str, spot: XY | None, level: float, heavy: bool = False
    ) -> None:
        reading = None if self.instrument_mm is None else self.instrument_mm - level
        size = say_depth(abs(level - self.floor_mm), self.plan.units)
        pole = (
            "at the floor's mark" if size in ("0″", "0 mm") else f"{size} {'up' if level < self.floor_mm else 'down'}"
        )
        slab = f"{_against(level, self.plan.units, 'slab top')}{'' if abs(level) < SAME_MM else ' slab top'}"
        self.rows.append(
            RodRow(
                surface=surface, at=at, key=key, zone=zone, spot=spot, level_mm=level,
                level_text=say_level(level, self.plan.units, self.floor_mm), reading_mm=reading,
                reading_text="" if reading is None else say_reading(reading, self.reads), pole_text=pole, heavy=heavy,
                slab_text=slab if self.floor_mm else "",
            )
        )  # fmt: skip


def rod_card(
    plan: Plan, solid: Solid, ways: JobWays, instrument_mm: float | None, stripped_mm: float | None
) -> list[RodRow]:
    """Every surface: zone by zone from the top down, trench bottoms, form tops, sod stripped, what stands there.

    instrument_mm: level of the laser's line, None without a set-up. stripped_mm: level with the sod off, if known."""
    card = _Card(plan, ways, instrument_mm)
    if card.floor_mm:
        card.add("finished floor", "the top of the stack", "floor", "", None, card.floor_mm)
    for cell in solid.cells:
        _zone(card, cell)
    _trenches(card, solid)
    for row in (*part_levels(plan, solid), *below_levels(plan), *beside_levels(plan), *buried_levels(plan)):
        card.add(row.surface, row.at, row.key, "", row.spot, row.level_mm)
    _form_tops(card, solid)
    if stripped_mm is not None:
        card.add("sod stripped", "all over", "strip", "", None, stripped_mm)
    for thing in plan.existing:
        if thing.what in ("slab", "kerb"):
            card.add(thing.name, "its top", "existing", "", None, thing.level_mm)
    for mark in plan.ground.benchmarks:
        of = "finished floor" if mark.of == "floor" else "slab's top"
        card.add(
            mark.name,
            f"benchmark, from the {of}" if card.floor_mm else "benchmark",
            "benchmark",
            "",
            mark.at,
            benchmark_mm(plan, mark),
        )
    taken: set[str] = set()
    return [replace(row, id=made_id("rod", [row.key, row.zone, row.surface, row.at], taken)) for row in card.rows]


def _zone(card: _Card, cell: Cell) -> None:
    base_done = False
    for row in stack_rows(card.plan, cell):
        if row.kind == "barrier":
            continue
        name = "dig" if row.kind == "native" else "top of slab" if row.kind == "slab" else f"top of {row.name}"
        heavy = not base_done and row.kind in ("blinding", "stone", "graded", "fill", "native")
        base_done = base_done or heavy
        facets = surface_of(card.plan, cell, row)
        _surface(card, cell, name, row.layer, facets, heavy, row.top_mm >= high_top(cell, card.plan) - 1e-9)


def _surface(card: _Card, cell: Cell, name: str, key: str, facets: Sequence[Facet], heavy: bool, corners: bool) -> None:
    """A level surface once; a falling one at both ends of its fall, a top also at every corner of its zone."""
    if len(facets) == 1 and facets[0].plane[1:] == (0.0, 0.0):
        card.add(name, cell.name, key, cell.name, None, facets[0].plane.at_0, heavy)
        return
    lines = fall_lines(card.plan.zones[cell.index], facets, cell.whole)
    if len(facets) > 1 and lines:
        drain = lines[0][1]
        card.add(name, f"{cell.name}, rim", key, cell.name, lines[0][0], at_spot(facets, lines[0][0]), heavy)
        card.add(name, f"{cell.name}, drain", key, cell.name, drain, at_spot(facets, drain), heavy)
        return
    for high, low in lines:
        card.add(name, f"{cell.name}, high end", key, cell.name, high, at_spot(facets, high), heavy)
        card.add(name, f"{cell.name}, low end", key, cell.name, low, at_spot(facets, low), heavy)
    if corners:
        for spot in spots_of(cell.whole.simplify(0.1))[:-1]:
            card.add(name, f"{cell.name}, {_where(card.plan, spot)}", key, cell.name, spot, at_spot(facets, spot))


def _where(plan: Plan, spot: XY) -> str:
    for i, (x, y) in enumerate(plan.outline or []):
        if abs(x - spot[0]) < 2 and abs(y - spot[1]) < 2:
            return f"corner {corner_name(i)}"
    return f"at {format_length(spot[0], plan.units)}, {format_length(spot[1], plan.units)}"


def _near(solid: Solid, a: XY, b: XY, at: XY) -> Cell:
    """The zone just inside a side at one of its spots."""
    size = math.dist(a, b)
    to_middle = 0.02
    x = at[0] + to_middle * ((a[0] + b[0]) / 2 - at[0]) - 2 * (b[1] - a[1]) / size
    y = at[1] + to_middle * ((a[1] + b[1]) / 2 - at[1]) + 2 * (b[0] - a[0]) / size
    point = shapely.Point(x, y)
    return min(solid.cells, key=lambda cell: cell.region.distance(point))


def _trenches(card: _Card, solid: Solid) -> None:
    plan, ring = card.plan, list(card.plan.outline or [])
    depth = {row.mark: row.depth_mm or 0.0 for row in plan.edge_types if row.kind == "thickened"}
    groups: dict[tuple[str, float], list[tuple[str, XY]]] = {}
    for edge in plan.edges:
        if edge.type not in depth:
            continue
        runs = [(ring[s], ring[(s + 1) % len(ring)], side_name(s, len(ring))) for s in edge.sides or ()]
        if edge.along is not None:
            path = list(edge.along) if edge.grow == "left" else list(edge.along)[::-1]
            runs += [(a, b, f"{edge.type} line inside") for a, b in pairwise(path)]
        for a, b, name in runs:
            levels = [_near(solid, a, b, spot).top_at(spot) - depth[edge.type] for spot in (a, b)]
            if abs(levels[0] - levels[1]) < SAME_MM:
                groups.setdefault((edge.type, round(levels[0], 1)), []).append((name, a))
                continue
            for end, spot, level in zip(name.split(" to "), (a, b), levels, strict=False):
                groups.setdefault((edge.type, round(level, 1)), []).append((f"{name}, at {end}", spot))
    for (mark, level), names in groups.items():
        where = names[0][0] if len(names) == 1 else f"{names[0][0]} and {len(names) - 1} more"
        card.add(f"{mark} trench bottom", where, "trench", "", names[0][1], level)


def _form_tops(card: _Card, solid: Solid) -> None:
    """At every corner, on the zone of the side that leaves it; and of the one that comes, where that differs."""
    ring = list(card.plan.outline or [])
    n = len(ring)
    for i, spot in enumerate(ring):
        leaving = _near(solid, spot, ring[(i + 1) % n], spot)
        coming = _near(solid, ring[i - 1], spot, spot)
        level = leaving.top_at(spot)
        card.add("form top", f"corner {corner_name(i)}", "form", leaving.name, spot, level)
        if abs(coming.top_at(spot) - level) > SAME_MM:
            card.add(
                "form top", f"corner {corner_name(i)}, {coming.name}", "form", coming.name, spot, coming.top_at(spot)
            )


def rod_findings(rows: Sequence[RodRow], ways: JobWays, reads: RodReads) -> list[Finding]:
    """A laser that stands too low or too high for the rod."""
    found = []
    low = [row for row in rows if row.reading_mm is not None and row.reading_mm < 0]
    if low:
        words = f"The laser's line runs under {low[0].surface} of {low[0].at} by {say_reading(-(low[0].reading_mm or 0), reads)}. No rod reads that."
        found.append(finding("laser-low", "ground.rod", words, "Raise the laser, or set it up again higher."))
    rod = ways.ground.laser.rod_mm
    deep = [row for row in rows if row.reading_mm is not None and row.reading_mm > rod]
    if deep:
        words = f"{deep[0].surface} of {deep[0].at} would read {say_reading(deep[0].reading_mm or 0, reads)}, longer than the rod of {say_reading(rod, reads)}."
        found.append(finding("rod-short", "ground.rod", words, "Set the laser lower, or take a longer rod."))
    return found
