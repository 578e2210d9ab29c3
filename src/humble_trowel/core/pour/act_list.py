"""Every act that a plan and its day imply, each at its minute. Minutes after the first truck should stand there."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import shapely

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.pour.acts import Act
from humble_trowel.core.pour.clock import PourClock
from humble_trowel.core.pour.floor import Floor, FloorPart
from humble_trowel.core.pour.loads import Load
from humble_trowel.core.pour.running import Filling, Run

MESH_MIN, STOP_MIN, SAY_MIN, SET_MIN = 3.0, 6.0, 3.0, 1.0
GAUGE_EVERY_MIN = 30.0


@dataclass(frozen=True)
class Standing:
    """Something that is set in wet concrete. part: the strip with which."""

    part: str
    what: str
    n: int
    spot: XY


@dataclass(frozen=True)
class Tall:
    """A form that is watched. spot: the middle of it."""

    id: str
    name: str
    height_text: str
    spot: XY


@dataclass(frozen=True)
class Sets:
    """When a zone is worked: minutes of its first load. None: nobody knows, or it does not come about. saw: None where nothing is sawn."""

    zone: str
    name: str
    float_min: float | None
    second_min: float | None
    final_min: float | None
    saw_min: float | None
    saw_until_min: float | None
    dries_from_min: float | None
    parts: tuple[str, ...]
    spot: XY
    printed: bool
    trowelled: bool
    cuts: tuple[str, ...] = ()


@dataclass(frozen=True)
class Site:
    """What the list is made of. mesh: ids of parts with mesh. say_by_min: of the last truck, None where none is held; say_text: how much; more: the last one is here, so it is
    one more. gauged: something is under pressure; read_min: looks at its gauge.
    sawn: zones in which every joint is."""

    clock: PourClock
    floor: Floor
    run: Run
    fillings: Sequence[Filling]
    loads: Sequence[Load]
    mesh: frozenset[str]
    set_in: Sequence[Standing]
    tall: Sequence[Tall]
    sets: Sequence[Sets]
    edges_full: bool
    say_by_min: float | None
    say_text: str
    said: bool
    more: bool
    gauged: bool
    read_min: Sequence[float]
    sawn: frozenset[str] = frozenset()


def act_list(site: Site) -> list[Act]:
    """All of them."""
    by_id = {one.id: one for one in site.fillings}
    rows = [*_trucks(site), *_edges(site)]
    for part in site.floor.parts:
        rows += _part(site, part, by_id[part.part.id])
    return [*rows, *_tall(site), *_gauge(site), *_last(site), *_finish(site)]


def _trucks(site: Site) -> list[Act]:
    rows = []
    for one in site.run.loads:
        state = "done" if one.here else "open"
        why = "as planned" if abs(site.run.late_min) < 1 else f"the day is {site.run.late_min:.0f} min late"
        rows.append(Act(f"truck/{one.n}", "truck", f"Truck {one.n} in", one.arrive_min, why, str(one.n), state=state, said_min=one.arrive_min if one.here else None))  # fmt: skip
    return rows


def _edges(site: Site) -> list[Act]:
    if site.floor.trench_m3 <= 0 or not site.run.loads:
        return []
    first = site.fillings[0] if site.fillings else None
    done = site.edges_full or (first is not None and first.full)
    lit = tuple(one.part.id for one in site.floor.parts if one.trench_m3 > 0)
    return [Act("edges/fill", "edges", "Fill the edges first, vibrate", site.run.loads[0].unload_min, "the deepest concrete needs the vibrator most", "edges", parts=lit, state="done" if done else "open")]  # fmt: skip


def _part(site: Site, part: FloorPart, filling: Filling) -> list[Act]:
    rows: list[Act] = []
    begin, end, name, own = filling.start_min, filling.end_min, part.name, part.part.id
    full, lit = filling.full, (part.part.id,)
    if begin is None:
        return []
    if own in site.mesh:
        rows.append(Act(f"mesh/{own}", "mesh", f"Pull the mesh up, {name}", begin + MESH_MIN, "before the next load lies on it", own, parts=lit, state="gone" if full else "open"))  # fmt: skip
    rows.append(Act(f"strike/{own}", "strike", f"Strike {name}", begin if end is None else end, "in its turn, as the strips lie", own, (part.part.at,), lit, "done" if full else "open"))  # fmt: skip
    things = [one for one in site.set_in if one.part == own]
    if things and end is not None:
        title, spots = _things(things), tuple(one.spot for one in things)
        rows.append(Act(f"set/{own}", "set", f"{title}, {name}", end if full else end + SET_MIN, "while the strip is wet, straight behind the board", own, spots, lit))  # fmt: skip
    return rows


def _things(things: Sequence[Standing]) -> str:
    """'Set bolts 9 to 12' or 'Set 6 bolts and 2 straps'."""
    counts: dict[str, int] = {}
    for one in things:
        counts[one.what] = counts.get(one.what, 0) + 1
    said = [f"{count} {what}{'s' if count != 1 else ''}" for what, count in counts.items()]
    return "Set " + (" and ".join(said) if len(said) < 3 else f"{', '.join(said[:-1])} and {said[-1]}")


def _tall(site: Site) -> list[Act]:
    rows = []
    for one in site.tall:
        far = [float(part.region.distance(shapely.Point(one.spot))) for part in site.floor.parts]
        part = far.index(min(far))
        when = site.fillings[part].end_min
        if when is None:
            continue
        lit = (site.floor.parts[part].part.id,)
        rows.append(Act(f"string/{one.id}", "string", f"Look along the string, {one.name}", when, f"{one.height_text} of wet concrete leans on it", one.id, (one.spot,), lit, gone_min=when))  # fmt: skip
    return rows


def _gauge(site: Site) -> list[Act]:
    if not site.gauged or not site.run.loads:
        return []
    rows, at, n = [], site.run.loads[0].unload_min, 1
    while at < site.run.dry_min:
        read = any(at - GAUGE_EVERY_MIN / 2 <= minute for minute in site.read_min)
        rows.append(Act(f"gauge/{n}", "gauge", "Read the gauge", at, "a leak shows while it can still be dug out", "gauge", state="done" if read else "open", gone_min=at - GAUGE_EVERY_MIN / 2))  # fmt: skip
        at, n = at + GAUGE_EVERY_MIN, n + 1
    return rows


def _last(site: Site) -> list[Act]:
    rows = []
    if site.say_by_min is not None:
        title = f"Say {'one more' if site.more else 'the last'} truck: {site.say_text}"
        rows.append(Act("say/more" if site.more else "say/last", "say", title, site.say_by_min - SAY_MIN, "the later it is said the surer, but its road takes so long", "last", state="done" if site.said else "open"))  # fmt: skip
        rows.append(Act("stop/short", "stop", "Stop short, strike, look what is missing", max(site.say_by_min - STOP_MIN - SAY_MIN, 0.0), "what lies struck is counted exactly", "last", state="done" if site.said else "open"))  # fmt: skip
    if site.run.loads:
        rows.append(Act("wash/out", "wash", "Wash out in its place", site.run.loads[-1].end_min, "before it sets in the chute", "wash"))  # fmt: skip
    return rows


def _finish(site: Site) -> list[Act]:
    rows = []
    for one in site.sets:
        why = "by a footprint" if one.printed else "by the clock of its load; a footprint says it better"
        spots = (one.spot,)
        if one.dries_from_min is not None:
            rows.append(Act(f"cover/{one.zone}", "cover", f"Cover or fog {one.name}", one.dries_from_min, "it dries faster than water rises", one.zone, spots, one.parts))  # fmt: skip
        if one.float_min is not None:
            rows.append(Act(f"float/{one.zone}", "float", f"Start floating {one.name}", one.float_min, why, one.zone, spots, one.parts))  # fmt: skip
        if one.second_min is not None:
            title = f"{'Trowel' if one.trowelled else 'Second pass,'} {one.name}"
            rows.append(Act(f"second/{one.zone}", "second", title, one.second_min, why, one.zone, spots, one.parts))
        if one.saw_min is not None:
            until = f"until {site.clock.text(one.saw_until_min)}" if one.saw_until_min is not None else "before it cracks"  # fmt: skip
            rows.append(Act(f"saw/{one.zone}", "saw", f"Saw {one.name}", one.saw_min, until, one.zone, spots, one.parts, "done" if one.zone in site.sawn else "open"))  # fmt: skip
    return rows
