"""The order of strips: nobody walled in, fresh edges there before they are ridden on, neighbours met as young as can be. Minutes.

The slab is a graph here: which strips touch, which reach an open border, what lies at either end of a pull. The checker
judges what comes out by the geometry.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

import shapely
from shapely.geometry import LineString
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.screed.check import chords_of, parting, ways_out
from humble_trowel.core.screed.site import ScreedRules, Site, Strip

MOST_TRIED = 6000


@dataclass(frozen=True)
class _Graph:
    """touch: who touches whom. share: of those, whose shared side counts for age. open_mm: border where one gets out.
    ends: for each sense of the pull, the strips at its end and whether one gets out there."""

    touch: list[set[int]]
    share: list[set[int]]
    open_mm: list[float]
    ends: list[tuple[tuple[set[int], bool], ...]]
    minutes: list[float]
    first: list[set[int]]


def _graph(site: Site, strips: Sequence[Strip], minutes: Sequence[float], rules: ScreedRules) -> _Graph:
    areas = [one.area for one in strips]
    near = [area.buffer(rules.touch_mm) for area in areas]
    out, parted = ways_out(site), parting(site)
    exits = [shapely.Point(at) for at in site.exits]
    touch: list[set[int]] = [set() for _ in strips]
    share: list[set[int]] = [set() for _ in strips]
    for i, one in enumerate(areas):
        for j in range(i + 1, len(areas)):
            if near[i].intersects(areas[j]):
                between = one.buffer(1.0, join_style="mitre").intersection(areas[j].boundary)
                shared = between.length
                if shared > rules.touch_mm:
                    touch[i].add(j)
                    touch[j].add(i)
                if between.difference(parted).length > rules.side_mm:
                    share[i].add(j)
                    share[j].add(i)
    free = [
        float("inf") if any(area.distance(at) <= rules.exit_mm for at in exits) else out.intersection(wide).length
        for area, wide in zip(areas, near, strict=True)
    ]
    by_id = {one.id: at for at, one in enumerate(strips)}
    first = [
        {by_id[guide.of] for name in one.guides if (guide := site.guides.get(name)) and guide.of in by_id}
        for one in strips
    ]
    ends = [_ends(site, one, at, areas, out, exits, rules) for at, one in enumerate(strips)]
    return _Graph(touch, share, free, ends, list(minutes), first)


def _ends(
    site: Site, strip: Strip, own: int, areas: Sequence[BaseGeometry], out: BaseGeometry, exits: Sequence[BaseGeometry], rules: ScreedRules
) -> tuple[tuple[set[int], bool], ...]:  # fmt: skip
    """What lies at the end of the pull, and at its start."""
    chords = chords_of(strip, rules)
    reach = rules.inside_mm + rules.touch_mm
    rows = []
    for chord in (chords[-1], chords[0]) if chords else ():
        last = LineString(chord)
        there = {at for at, area in enumerate(areas) if at != own and area.distance(last) <= reach}
        free = any(last.distance(at) <= rules.exit_mm + rules.inside_mm for at in exits)
        rows.append((there, free or (not out.is_empty and out.distance(last) <= reach)))
    return tuple(rows)


def _stuck(graph: _Graph, rest: frozenset[int], rules: ScreedRules) -> bool:
    """Whether a piece of what is not struck yet has no way out."""
    left = set(rest)
    while left:
        piece, queue = set(), [left.pop()]
        while queue:
            at = queue.pop()
            piece.add(at)
            queue += [other for other in graph.touch[at] if other in left]
            left -= set(queue)
        if sum(graph.open_mm[at] for at in piece) < rules.open_mm:
            return True
    return False


def sense_of(graph: _Graph, at: int, rest: frozenset[int], fixed: bool) -> int | None:
    """0 where the pull may end where it points, 1 where it must be turned, None where it ends on nothing either way."""
    for sense, (there, free) in enumerate(graph.ends[at][:1] if fixed else graph.ends[at]):
        if free or there & rest:
            return sense
    return None


def in_order(
    site: Site, strips: Sequence[Strip], minutes: Sequence[float], fixed: Sequence[bool], rules: ScreedRules, start_min: float = 0.0
) -> list[Strip]:  # fmt: skip
    """Strips in the order given, with their times, each turned the way that leaves the crew on firm ground. fixed: not to be turned."""
    graph = _graph(site, strips, minutes, rules)
    rest, clock, rows = frozenset(range(len(strips))), start_min, []
    for at, strip in enumerate(strips):
        rest -= {at}
        rows.append(_timed(strip, clock, minutes[at], sense_of(graph, at, rest, fixed[at]) or 0))
        clock += minutes[at]
    return rows


def _timed(strip: Strip, clock: float, minutes: float, sense: int) -> Strip:
    if sense:
        (x, y), (left, right) = strip.way, strip.guides
        strip = replace(strip, way=(-x, -y), guides=(right, left))
    return replace(strip, start_min=clock, end_min=clock + minutes)


def best_order(
    site: Site, strips: Sequence[Strip], minutes: Sequence[float], fixed: Sequence[bool], rules: ScreedRules
) -> list[int] | None:
    """The order whose oldest edge is youngest when its neighbour comes; None where every order walls somebody in. Above a dozen
    strips the best that was found."""
    graph = _graph(site, strips, minutes, rules)
    best: tuple[float, list[int]] | None = None
    tried = 0

    def go(order: list[int], rest: frozenset[int], starts: dict[int, float], clock: float, worst: float) -> None:
        nonlocal best, tried
        tried += 1
        if best is not None and worst >= best[0] - 1e-9:
            return
        if not rest:
            best = worst, list(order)
            return
        last = order[-1] if order else -1
        for at in sorted(rest, key=lambda one: (last >= 0 and one not in graph.touch[last], one)):
            if tried > MOST_TRIED or not graph.first[at] <= set(order):
                continue
            after = rest - {at}
            if sense_of(graph, at, after, fixed[at]) is None or _stuck(graph, after, rules):
                continue
            end = clock + graph.minutes[at]
            age = max((end - starts[other] for other in graph.share[at] if other in starts), default=0.0)
            go([*order, at], after, {**starts, at: clock}, end, max(worst, age))

    go([], frozenset(range(len(strips))), {}, 0.0, 0.0)
    return best[1] if best else None
