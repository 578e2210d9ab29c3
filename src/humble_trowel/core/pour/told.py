"""The day of the pour in words and drawings, at a minute."""

from __future__ import annotations

from collections.abc import Sequence

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.mix.lines import degrees_text, size_text
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.pour.act_kinds import ACT_KINDS
from humble_trowel.core.pour.acts import Act
from humble_trowel.core.pour.after import after_told
from humble_trowel.core.pour.day import PourDay, Said
from humble_trowel.core.pour.loads import Load
from humble_trowel.core.pour.running import Running
from humble_trowel.core.pour.sizes import about, amount, dollars
from humble_trowel.core.pour.sun_now import SunNow
from humble_trowel.core.pour.ticket_doubts import age_min, charge_cents, over_min
from humble_trowel.core.pour.told_finish import cuts_told, sun_told, zones_told
from humble_trowel.core.pour.told_left import left_told
from humble_trowel.core.pour.told_parts import (
    ActTold,
    FrontTold,
    LoadDoubtTold,
    PourTold,
    ReasonTold,
    SentBack,
    StopTold,
    StripNow,
    TroubleTold,
    TruckNow,
)
from humble_trowel.core.pour.trouble import PLANS, stops
from humble_trowel.core.sources import words_in
from humble_trowel.core.units import say_length

NEXT, PAST, STOPS = 60, 40, 3
LATE_MIN = 2.0


def pour_told(day: PourDay, said: Said, weather: str, mix_text: str, sun: SunNow | None) -> PourTold:
    """All of it. weather: in a line; mix_text: as it was ordered. sun: None where nobody knows where it stands."""
    clock, plan = day.planned.clock, day.planned.plan
    late = day.run.late_min
    ring = plan.order.ring
    read = sorted(((clock.minute(one.at), one) for _, one in said.gauges), key=lambda row: row[0])
    start = clock.start
    return PourTold(
        now_min=day.now_min, now_text=clock.text(day.now_min), now_at=clock.iso(day.now_min), start_at=clock.iso(0.0),
        day=f"{start:%a} {start.day} {start:%b}", late_text=f"{late:.0f} min late" if late >= LATE_MIN else "",
        acts=[act_told(day, one) for one in day.turn[:NEXT]],
        past=[act_told(day, one) for one in reversed(day.acts) if not one.open and one.said_min is not None][:PAST],
        strips=_strips(day), fronts=_fronts(day), trucks=_trucks(day), sent_back=_sent(day), left=left_told(day), zones=zones_told(day, sun), cuts=cuts_told(day),
        sun=sun_told(sun, plan.site.north_deg) if sun else None, crew=_crew(day, said),
        trouble=_trouble(day), stops=_stops(day), after=after_told(day, said, weather),
        gauge=[(minute, clock.text(minute), _pressure(one.pressure_kpa, plan.units)) for minute, one in read], gauged=day.planned.gauged,
        mix_text=mix_text, ring=ring.name if ring else "", phone=ring.phone if ring else "",
    )  # fmt: skip


def _crew(day: PourDay, said: Said) -> list[str]:
    """Everybody who said something, or was given something."""
    return sorted({name for name in (*said.people, *day.given.values()) if name})


def _pressure(kpa: float, units: str) -> str:
    return f"{kpa:.0f} kPa" if units == "mm" else f"{kpa / 6.894757:.0f} psi"


def act_told(day: PourDay, one: Act) -> ActTold:
    """One act."""
    clock, kind = day.planned.clock, ACT_KINDS[one.kind]
    return ActTold(
        one.key, one.kind, one.title, one.at_min, clock.text(one.at_min), day.now_min - one.at_min, one.why, kind.done, kind.waits, kind.cost,
        kind.caution, kind.says, one.of, list(one.spots), list(one.parts), one.state, clock.text(one.was_min) if one.was_min is not None else "",
        clock.text(one.said_min) if one.said_min is not None else "", one.by, one.reason, one.record, day.given.get(one.key, ""),
        [ReasonTold(row.key, row.words, row.follows) for row in kind.reasons],
    )  # fmt: skip


def _strips(day: PourDay) -> list[StripNow]:
    clock, rows = day.planned.clock, []
    scale = day.forecast.left.mean_m3 / max(1e-9, day.forecast.drawn_m3 - day.forecast.done_m3)
    for n, (part, own) in enumerate(zip(day.planned.floor.parts, day.fillings, strict=True), 1):
        left = (part.slab_m3 + part.trench_m3) * (1 - own.full_share) * scale
        rows.append(
            StripNow(
                part.part.id, n, part.name, part.part.rings, part.part.at, part.part.way, own.full_share, day.planned.floor.wet(n - 1, own.full_share), own.full,
                "" if own.start_min is None else clock.text(own.start_min), "" if own.end_min is None else clock.text(own.end_min), own.end_min,
                "" if own.full else about(left, day.planned.plan.units),
            )
        )  # fmt: skip
    return rows


def _fronts(day: PourDay) -> list[FrontTold]:
    floor, clock = day.planned.floor, day.planned.clock
    counts = {one.record for one in day.counts}
    place = {one.load: one.n for one in day.run.loads if one.load}
    rows = []
    for one in day.stands:
        lines = (
            floor.line(one.part, one.spot) if not one.struck and one.part is not None and one.spot is not None else []
        )
        words = "struck" if one.struck else "the front" if one.spot is not None else "all edges full"
        rows.append(
            FrontTold(
                one.record, one.at_min, clock.text(one.at_min), one.by, place.get(one.load, 0), words, lines,
                should_stand(day, day.run.placed_m3(one.at_min)) if one.record in counts else [], one.record in counts, one.back,
            )
        )  # fmt: skip
    return rows


def should_stand(day: PourDay, placed_m3: float) -> list[list[XY]]:
    """Where the front should stand with so much placed, at what was ordered for."""
    floor = day.planned.floor
    scale = max(1.0, day.planned.order.mean_m3 / floor.drawn_m3) if floor.drawn_m3 else 1.0
    left = placed_m3 / scale
    for at, part in enumerate(floor.parts):
        takes = part.slab_m3 + part.trench_m3
        if left < takes:
            return floor.line(at, floor.spot_at(at, left / takes))
        left -= takes
    return []


def _trucks(day: PourDay) -> list[TruckNow]:
    by_id = {one.id: one for one in day.loads}
    return [_truck(day, one, by_id.get(one.load)) for one in day.run.loads]


def _truck(day: PourDay, one: Running, load: Load | None) -> TruckNow:
    planned, clock, now = day.planned, day.planned.clock, day.now_min
    units = planned.plan.units
    age = age_min(load, one, now) if load else max(0.0, now - one.batch_min)
    over = over_min(planned.ways, load, one, now) if load else 0.0
    free = planned.ways.pour.free_min_m3 * one.m3
    stood = max(0.0, min(now, one.leave_min if one.empty else now) - one.arrive_min) if load else 0.0
    doubts = [
        LoadDoubtTold(
            row.code, row.words, row.decides, row.remedy, words_in(row.source, units), row.send_back, row.other
        )
        for row in day.load_doubts
        if load and row.load == load.id
    ]
    held = planned.held and not load and one is day.run.loads[-1] and (day.called is None or day.called.m3 is None)
    return TruckNow(
        one.n, one.load, one.m3, amount(one.m3, units), one.said, held, one.here, one.empty, one.batch_min, one.arrive_min, one.unload_min,
        one.end_min, clock.text(one.arrive_min), clock.text(one.batch_min), clock.text(one.end_min), load.batch_guessed if load else True, age,
        planned.ways.pour.load_min, free - stood, dollars(charge_cents(planned.ways, over)) if over > 0 else "",
        load.number if load else "", load.by if load else "", _tests(planned.plan, load) if load else [],
        [_struck(row.key, row.was) for row in load.struck] if load else [], load.photo if load else "", doubts,
    )  # fmt: skip


def _tests(plan: Plan, load: Load) -> list[str]:
    rows, units = [], plan.units
    if load.slump_mm is not None:
        rows.append(f"slump {size_text(plan, load.slump_mm)}")
    if load.temp_c is not None:
        rows.append(degrees_text(plan, load.temp_c))
    if load.air_percent is not None:
        rows.append(f"air {load.air_percent:g} %")
    if load.water_l:
        rows.append(f"water {load.water_l:.0f} l" if units == "mm" else f"water {load.water_l / 3.785412:.0f} gal")
    if load.cylinders:
        rows.append(f"{load.cylinders} cylinders")
    return rows


def _struck(key: str, was: str) -> str:
    names = {"m3": "yards", "arrived_at": "here", "batched_at": "stamp", "empty_at": "empty", "number": "number"}
    return f"{names.get(key, key.split('_')[0])} {was[11:16] if key.endswith('_at') else was}"


def _sent(day: PourDay) -> list[SentBack]:
    clock, units = day.planned.clock, day.planned.plan.units
    return [
        SentBack(one.id, clock.text(one.arrived_min), "" if one.said_m3 is None else amount(one.said_m3, units), one.sent_back, one.number)
        for one in day.loads
        if not one.taken
    ]  # fmt: skip


def _trouble(day: PourDay) -> list[TroubleTold]:
    clock = day.planned.clock
    there = {one.what: one for one in day.trouble}
    rows = []
    for key, plan in PLANS.items():
        one = there.get(key)
        rows.append(
            TroubleTold(
                key, plan.name, list(plan.acts), plan.caution, plan.decides, clock.text(one.at_min) if one else "", one.record if one else "",
                one.words if one else "", one.by if one else "", plan.stops,
            )
        )  # fmt: skip
    return sorted(rows, key=lambda row: not row.since_text)


def _stops(day: PourDay) -> list[StopTold]:
    units, floor = day.planned.plan.units, day.planned.floor
    if all(one.full for one in day.fillings):
        return []
    shares: Sequence[float] = [one.full_share for one in day.fillings]
    left = floor.drawn_m3 - day.forecast.done_m3
    scale = day.forecast.left.mean_m3 / left if left > 1e-9 else 1.0
    return [
        StopTold(row.line, row.name, row.drawn, say_length(row.length_mm, units), row.dowels, about(max(0.0, row.to_it_m3), units), about(row.rest_m3, units), row.rest_m3)
        for row in stops(floor, shares, day.planned.joints, scale)[:STOPS]
    ]  # fmt: skip
