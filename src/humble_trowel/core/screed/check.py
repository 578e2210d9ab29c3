"""The checker of a strip plan: it judges, it does not make one. Lengths mm, times minutes.

Rules: COVER, OVERLAP, OUTSIDE the strips are the slab; BOARD, SPAN, CLEAR the board is there, long enough, and fits between walls;
GUIDE both guides run along the whole pull; PADS wet pads close enough; SEQ an edge is there before it guides; TRAP nobody is walled in;
PIPE what sticks up is listed as hand work; JOINT neighbours meet in time; CHUTE all of it is reached. Figures are the
house's, and the crew's to change.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from itertools import pairwise, permutations

import numpy as np
import shapely
from shapely.geometry import LineString, MultiLineString, Point, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.screed.site import Guide, Line, ScreedRules, Site, Strip

MOST_STRIPS = 8  # so many are tried in every order


@dataclass(frozen=True)
class Fault:
    """A rule that is broken. strip: of which, '' where of all; size_mm, limit_mm: what it is and may be; age_min: of a joint."""

    code: str
    strip: str
    size_mm: float = 0.0
    limit_mm: float = 0.0
    age_min: float = 0.0


@dataclass(frozen=True)
class ScreedChecked:
    """Faults; warnings (out of arm's reach, rails that stay); the oldest edge that a neighbour meets, minutes."""

    faults: list[Fault]
    warnings: list[Fault]
    worst_age_min: float

    @property
    def codes(self) -> list[str]:
        """Rules that are broken, once each."""
        return sorted({one.code for one in self.faults})


def checked(site: Site, strips: Sequence[Strip], rules: ScreedRules = ScreedRules()) -> ScreedChecked:
    """Every rule that a strip plan breaks; strips in the order of their starts."""
    own = sorted(strips, key=lambda one: one.start_min)
    faults = [*_lying(site, own, rules), *_order(site, own, rules)]
    ages = _ages(own, rules, site)
    worst = max((age for _, age in ages), default=0.0)
    faults += _old(site, ages)
    return ScreedChecked(faults, _warnings(site, rules), worst)


def _old(site: Site, ages: Sequence[tuple[str, float]]) -> list[Fault]:
    return [Fault("JOINT", name, age_min=age) for name, age in ages if age > site.limit_min + 1e-9]


def _lying(site: Site, own: Sequence[Strip], rules: ScreedRules) -> list[Fault]:
    """What no order mends."""
    faults = _shapes(site, own, rules)
    for strip in own:
        faults += _board(site, strip, rules)
    faults += [*_pads(site, own, rules), *_pipes(site, own, rules)]
    if site.reach:
        there = shapely.union_all([Point(at).buffer(radius, 64) for at, radius in site.reach])
        faults += [
            Fault("CHUTE", one.id) for one in own if one.area.difference(there).area > rules.cover_share * one.area.area
        ]
    return faults


def _shapes(site: Site, strips: Sequence[Strip], rules: ScreedRules) -> list[Fault]:
    least = rules.cover_share * site.slab.area
    joined = shapely.union_all([one.area for one in strips])
    faults = []
    if site.slab.difference(joined).area > least:
        faults.append(Fault("COVER", ""))
    if sum(one.area.area for one in strips) - joined.area > least:
        faults.append(Fault("OVERLAP", ""))
    faults += [Fault("OUTSIDE", one.id) for one in strips if one.area.difference(site.slab).area > least]
    return faults


def chords_of(strip: Strip, rules: ScreedRules) -> list[Line]:
    """Where the board lies along the pull: (left end, right end), the first a little inside the start, the last inside the end."""
    return list(_chords(strip.ring, strip.way, rules.inside_mm, rules.every_mm))


@lru_cache(maxsize=256)
def _chords(ring: tuple[XY, ...], way: XY, inside_mm: float, every_mm: float) -> tuple[Line, ...]:
    ux, uy = way
    along = [x * ux + y * uy for x, y in ring]
    low, high = min(along) + inside_mm, max(along) - inside_mm
    count = max(1, math.ceil((high - low) / every_mm - 1e-9))
    across = [-x * uy + y * ux for x, y in ring]
    s = np.linspace(low, high, count + 1)
    left, right = max(across) + 1.0, min(across) - 1.0
    ends = np.stack(
        [np.stack([ux * s - uy * t, uy * s + ux * t], axis=1) for t in (left, right)], axis=1
    )  # from the left of the pull
    rows: list[Line] = []
    for part in shapely.get_parts(shapely.intersection(Polygon(ring), shapely.linestrings(ends))):
        if part.geom_type == "LineString" and not part.is_empty:
            (x1, y1), (x2, y2) = part.coords[0], part.coords[-1]
            rows.append(((x1, y1), (x2, y2)))
    return tuple(rows)


def on_mm(guide: Guide, rules: ScreedRules) -> float:
    """How much of a board lies on a guide; less than nothing where it ends short of it."""
    other = {"wet": rules.on_wet_mm, "edge": rules.on_edge_mm, "wall": rules.on_wall_mm}
    return other.get(guide.kind, rules.on_mm)


def needed_mm(site: Site, strip: Strip, rules: ScreedRules) -> float:
    """The board that a strip asks for: its width and what lies on either guide."""
    wide = max((math.dist(*chord) for chord in chords_of(strip, rules)), default=0.0)
    return wide + sum(on_mm(site.guides[name], rules) for name in strip.guides if name in site.guides)


def _board(site: Site, strip: Strip, rules: ScreedRules) -> list[Fault]:
    faults: list[Fault] = []
    chords = chords_of(strip, rules)
    if not any(abs(strip.board_mm - have) <= 1.0 for have in site.boards_mm):
        faults.append(Fault("BOARD", strip.id, strip.board_mm))
    needed = needed_mm(site, strip, rules)
    if strip.board_mm < needed - 1.0:
        faults.append(Fault("SPAN", strip.id, strip.board_mm, needed))
    guides = [site.guides.get(name) for name in strip.guides]
    clears = [guide.clear_mm for guide in guides if guide is not None]
    if len(clears) == 2 and None not in clears and chords:
        room = min(math.dist(*chord) for chord in chords) + sum(mm for mm in clears if mm is not None)
        if strip.board_mm > room + 1.0:
            faults.append(Fault("CLEAR", strip.id, strip.board_mm, room))
    for guide, end in zip(guides, (0, 1), strict=True):
        line = LineString(guide.line) if guide is not None else None
        far = shapely.distance(line, shapely.points([chord[end] for chord in chords])) if line is not None else None
        if far is None or bool((far > rules.along_mm).any()):
            faults.append(Fault("GUIDE", strip.id))
            break
    return faults


def _pads(site: Site, strips: Sequence[Strip], rules: ScreedRules) -> list[Fault]:
    most = max(site.boards_mm, default=0.0) - rules.pad_less_mm
    faults = []
    for name in dict.fromkeys(name for one in strips for name in one.guides):
        guide = site.guides.get(name)
        if guide is None or guide.kind != "wet":
            continue
        line = LineString(guide.line)
        at = sorted(line.project(Point(pad)) for pad in guide.pads)
        gaps = [b - a for a, b in pairwise(at)]
        ends = not at or at[0] > rules.along_mm or line.length - at[-1] > rules.along_mm
        if ends or max(gaps, default=0.0) > most + 1.0:
            faults.append(Fault("PADS", name, max(gaps, default=line.length), most))
    return faults


def _order(site: Site, strips: Sequence[Strip], rules: ScreedRules) -> list[Fault]:
    """SEQ and TRAP, strip by strip as the slab fills."""
    faults: list[Fault] = []
    placed: list[str] = []
    rest: BaseGeometry = site.slab
    ways = ways_out(site)
    for strip in strips:
        for name in strip.guides:
            guide = site.guides.get(name)
            if guide is not None and guide.kind == "edge" and guide.of not in placed:
                faults.append(Fault("SEQ", strip.id))
        placed.append(strip.id)
        rest = rest.difference(strip.area.buffer(0.5, join_style="mitre"))
        pieces = [part for part in shapely.get_parts(rest) if part.area > rules.piece_mm2]
        walled = any(not _out(piece, ways, site, rules) for piece in pieces)
        ends = chords_of(strip, rules)
        last = LineString(ends[-1]) if ends else None
        stuck = last is not None and not _stands(last, strip, pieces, ways, site, rules)
        if walled or stuck:
            faults.append(Fault("TRAP", strip.id))
    return faults


def ways_out(site: Site) -> BaseGeometry:
    """The border where one gets out."""
    if not site.open_edges:
        return MultiLineString()
    closed = shapely.union_all([LineString(line).buffer(1.0) for line in site.closed]) if site.closed else Polygon()
    return site.slab.boundary.difference(closed)


def _out(piece: BaseGeometry, ways: BaseGeometry, site: Site, rules: ScreedRules) -> bool:
    if any(piece.distance(Point(at)) <= rules.exit_mm for at in site.exits):
        return True
    return bool(ways.intersection(piece.buffer(rules.touch_mm)).length >= rules.open_mm)


def _stands(
    last: LineString, strip: Strip, pieces: Sequence[BaseGeometry], ways: BaseGeometry, site: Site, rules: ScreedRules
) -> bool:
    """Whether those at the end of a pull stand on something: ground not placed, an exit, an open border."""
    reach = rules.inside_mm + rules.touch_mm
    if any(piece.distance(last) <= reach for piece in pieces):
        return True
    if any(last.distance(Point(at)) <= rules.exit_mm + rules.inside_mm for at in site.exits):
        return True
    return not ways.is_empty and ways.distance(last) <= reach


def _pipes(site: Site, strips: Sequence[Strip], rules: ScreedRules) -> list[Fault]:
    faults = []
    for strip in strips:
        lines = [LineString(site.guides[name].line) for name in strip.guides if name in site.guides]
        for pipe in site.pipes:
            spot, room = Point(pipe.at), pipe.outside_mm / 2 + rules.pipe_mm
            if pipe.above_mm <= 0 or pipe.id in strip.hand or not strip.area.contains(spot):
                continue
            if all(line.distance(spot) >= room for line in lines):
                faults.append(Fault("PIPE", strip.id))
    return faults


def parting(site: Site) -> BaseGeometry:
    """Where bulkheads stand."""
    return shapely.union_all([LineString(line).buffer(5.0) for line in site.parted]) if site.parted else Polygon()


def _ages(strips: Sequence[Strip], rules: ScreedRules, site: Site) -> list[tuple[str, float]]:
    """(later strip, how old the earlier one's edge is by its end) of every two that share a side."""
    rows = []
    parted = parting(site)
    for i, one in enumerate(strips):
        for other in strips[i + 1 :]:
            shared = one.area.buffer(1.0, join_style="mitre").intersection(other.area.boundary).difference(parted)
            if shared.length > rules.side_mm:
                first, later = sorted((one, other), key=lambda strip: strip.start_min)
                rows.append((later.id, later.end_min - first.start_min))
    return rows


def _warnings(site: Site, rules: ScreedRules) -> list[Fault]:
    rows = [
        Fault("REACH", "", site.slab.boundary.distance(Point(pipe.at)), rules.arm_mm)
        for pipe in site.pipes
        if site.slab.boundary.distance(Point(pipe.at)) > rules.arm_mm + 1.0
    ]
    return rows + [
        Fault("RAIL", name) for name, guide in site.guides.items() if guide.kind == "rail" and guide.pulled_after
    ]


def orders(
    site: Site, strips: Sequence[Strip], rate_mm2_min: float, rules: ScreedRules = ScreedRules()
) -> list[tuple[float, list[Strip]]]:
    """Every order in which nothing is broken, the one with the youngest edges first: (worst age in minutes, strips with their
    times). Strips follow each other from 0 at a rate. Raises ValueError for too many to try."""
    if len(strips) > MOST_STRIPS:
        raise ValueError(f"{len(strips)} strips have too many orders to try them all.")
    found: list[tuple[float, list[Strip]]] = []
    if _lying(site, strips, rules):
        return found
    for row in permutations(strips):
        at, timed = 0.0, []
        for strip in row:
            took = strip.area.area / rate_mm2_min
            timed.append(replace(strip, start_min=at, end_min=at + took))
            at += took
        ages = _ages(timed, rules, site)
        if not _old(site, ages) and not _order(site, timed, rules):
            found.append((max((age for _, age in ages), default=0.0), timed))
    return sorted(found, key=lambda row: row[0])
