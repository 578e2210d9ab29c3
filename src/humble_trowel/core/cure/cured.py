"""The weeks after a pour at an hour: how strong each zone is, what lies on it, rounds, alarms, boards and levels. Hours on the clock of the pour's day.

The order in which records arrive changes nothing.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from statistics import median

from shapely.geometry.base import BaseGeometry

from humble_trowel.core.cure.alarms import Alarm, alarms_of
from humble_trowel.core.cure.events import Event, Rule, events_of, rules_of
from humble_trowel.core.cure.heat import Blanketed, Warmth, ZoneHeat
from humble_trowel.core.cure.level import Levels, levels_of
from humble_trowel.core.cure.probes import Track, tracks_of
from humble_trowel.core.cure.records import CoverLaid, CylinderBroken, FloorShot, ProbeRead, Stripped, WetRound
from humble_trowel.core.cure.rounds import Drying, Round, drying_of, rounds_of
from humble_trowel.core.cure.strength import Broken, Reached, Strong, in_the_bath_mpa, reached_of, strong_of
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.weather.hours import Clock

SET_H = 10.0  # after placing, where nothing else is known: water does no harm any more


@dataclass(frozen=True)
class SaidAfter:
    """What was written down, with the ids of its records, in any order."""

    covers: Sequence[tuple[str, CoverLaid]] = ()
    rounds: Sequence[tuple[str, WetRound]] = ()
    probes: Sequence[tuple[str, ProbeRead]] = ()
    cylinders: Sequence[tuple[str, CylinderBroken]] = ()
    shots: Sequence[tuple[str, FloorShot]] = ()
    stripped: Sequence[tuple[str, Stripped]] = ()

    @property
    def any(self) -> bool:
        """Whether anything was."""
        return any((self.covers, self.rounds, self.probes, self.cylinders, self.shots, self.stripped))

    @property
    def shots_values(self) -> list[FloorShot]:
        """Levels without their ids."""
        return [one for _, one in self.shots]

    def newest_h(self, clock: Clock) -> float | None:
        """The hour of the last word; None where nothing was said."""
        stamps = [one.at for own in (self.covers, self.cylinders, self.shots, self.stripped) for _, one in own]
        stamps += [one.at for _, one in self.rounds if one.at] + [row.at for _, one in self.probes for row in one.rows]
        return max((clock.hour_at(at) for at in stamps), default=None)


@dataclass(frozen=True)
class Lying:
    """What lies on a zone now, and since when; what is '' where nothing does."""

    zone: str
    what: str
    since_h: float | None
    record: str


@dataclass(frozen=True)
class CureDay:
    """All of it at an hour. events: by zone, in the order of rules. reached: after cylinders."""

    now_h: float
    plan: Plan
    ways: JobWays
    clock: Clock
    warmth: Warmth
    strong: list[Strong]
    rules: list[Rule]
    events: dict[str, list[Event]]
    reached: Reached
    broken: list[Broken]
    tracks: dict[str, Track]
    lying: list[Lying]
    cover: str
    drying: list[Drying]
    rounds: list[Round]
    alarms: list[Alarm]
    levels: Levels
    stripped: dict[str, tuple[str, Stripped]]

    def latest_h(self, key: str) -> float | None:
        """When something may be all over the slab, at the late end; None where some zone does not come to it in four weeks."""
        ends = [next(one.high_h for one in self.events[row.heat.zone] if one.rule.key == key) for row in self.strong]
        known = [one for one in ends if one is not None]
        return max(known) if known and len(known) == len(ends) else None


def blankets_of(
    plan: Plan, ways: JobWays, clock: Clock, covers: Sequence[tuple[str, CoverLaid]]
) -> dict[str, Blanketed]:
    """Zones that were under a blanket, the newest word of each."""
    found: dict[str, Blanketed] = {}
    for _, one in sorted(covers, key=lambda row: (clock.hour_at(row[1].at), row[0])):
        if one.what != "blankets":
            continue
        hour = clock.hour_at(one.at)
        for zone in one.zones or [row.id for row in plan.zones]:
            if not one.off:
                found[zone] = Blanketed(one.r_m2_k_w or ways.cure.blanket_r_m2_k_w, hour)
            elif zone in found:
                found[zone] = Blanketed(found[zone].r_m2_k_w, found[zone].from_h, hour)
    return found


def lying_of(plan: Plan, clock: Clock, covers: Sequence[tuple[str, CoverLaid]], now_h: float) -> list[Lying]:
    """What lies on each zone at an hour."""
    rows = {zone.id: Lying(zone.id, "", None, "") for zone in plan.zones}
    for record, one in sorted(covers, key=lambda row: (clock.hour_at(row[1].at), row[0])):
        hour = clock.hour_at(one.at)
        if hour > now_h + 1e-6:
            continue
        for zone in one.zones or list(rows):
            if zone in rows:
                rows[zone] = Lying(zone, "", None, record) if one.off else Lying(zone, one.what, hour, record)
    return list(rows.values())


def cure_day(
    plan: Plan, ways: JobWays, clock: Clock, warmth: Warmth, pace_sd: Mapping[str, float], usual_sd: float, said: SaidAfter, floor: BaseGeometry,
    now_h: float,
) -> CureDay:  # fmt: skip
    """pace_sd: of the log of how fast each zone sets against its model, usual_sd: where nobody knows better. floor: the slab on the plan, mm."""
    tracks = tracks_of(clock, said.probes)

    def all_zones(reached: Reached) -> list[Strong]:
        return [strong_of(one, tracks.get(one.zone), pace_sd.get(one.zone, usual_sd), reached) for one in warmth.zones]

    first = all_zones(Reached())
    broken = _broken(clock, said.cylinders, first, warmth.zones)
    reached = reached_of(broken)
    strong = all_zones(reached) if reached.count else first
    top = warmth.zones[0].at_28_mpa if warmth.zones else 0.0
    rules = rules_of(ways, top)
    lying = lying_of(plan, clock, said.covers, now_h)
    cover = next((one.what for one in lying if one.what), ways.cure.cover)
    drying = drying_of(warmth, ways.day.dries_by)
    from_h = max((float(one.hours_h[0]) + SET_H for one in warmth.zones), default=now_h)
    blanketed = frozenset(one.zone for one in lying if one.what == "blankets")
    shots = [(record, one.spot, one.off_mm) for record, one in said.shots]
    words = sorted(said.stripped, key=lambda row: (clock.hour_at(row[1].at), row[0]))
    return CureDay(
        now_h, plan, ways, clock, warmth, strong, rules, {one.heat.zone: events_of(one, rules) for one in strong}, reached, broken, tracks,
        lying, cover, drying, rounds_of(clock, ways.cure, cover, drying, from_h, now_h, said.rounds),
        alarms_of(strong, warmth.hours, drying, cover, ways.cure.film_kg_m2, blanketed), levels_of(shots, floor, ways.cure, _tolerance(shots)),
        {one.side: (record, one) for record, one in words},
    )  # fmt: skip


def _tolerance(shots: Sequence[tuple[str, tuple[float, float], float]]) -> float:
    """A shot stands out that lies farther off than the rod scatters: a quarter inch, or what most of them do."""
    if len(shots) < 4:
        return 6.35
    middle = median(off for _, _, off in shots)
    return max(6.35, 2.5 * median(abs(off - middle) for _, _, off in shots))


def _broken(
    clock: Clock, cylinders: Sequence[tuple[str, CylinderBroken]], strong: Sequence[Strong], heats: Sequence[ZoneHeat]
) -> list[Broken]:  # fmt: skip
    """Each against what it should have had: of the bath at 23 C, or beside its zone; beside nobody knows which, the weakest."""
    rows = []
    for record, one in sorted(cylinders, key=lambda row: (clock.hour_at(row[1].at), row[0])):
        hour = clock.hour_at(one.at)
        own = [row for row in strong if row.heat.zone == one.zone] or list(strong)
        if not own:
            continue
        if one.kept == "lab":
            should = in_the_bath_mpa(own[0].heat, hour)
        else:
            should = min(row.at_hour(hour, row.at_mpa) for row in own)
        rows.append(Broken(record, one.number, hour, one.mpa, should, one.kept == "lab"))
    return rows
