"""The cure in words and drawings: when each zone may be built on, what lies on it, alarms with what helps."""

from __future__ import annotations

import math
from collections.abc import Mapping

import numpy as np

from humble_trowel.core.cure.alarms import COLD_C, KEEP_C, Alarm
from humble_trowel.core.cure.cured import CureDay, SaidAfter
from humble_trowel.core.cure.events import Event
from humble_trowel.core.cure.record_kinds import COVER_WORDS
from humble_trowel.core.cure.strength import Strong, first_over
from humble_trowel.core.cure.told_parts import (
    AlarmNow,
    CureTold,
    CylinderNow,
    EventNow,
    SchoolNow,
    ZoneCure,
)
from humble_trowel.core.cure.told_work import levels_told, rounds_told, sides_told
from humble_trowel.core.day.sizes import degrees, drying
from humble_trowel.core.day.told import clock_text, day_text
from humble_trowel.core.findings import said_together
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.cure_ways import COVER_SCHOOLS
from humble_trowel.core.pour.finish_parts import CutNow
from humble_trowel.core.pour.sizes import strength
from humble_trowel.core.sources import words_in
from humble_trowel.core.units import say_depth

RIBBON = 90
MOVED_H = 6.0
GAL_L = 3.785411784


def when_text(day: CureDay, hour: float | None) -> str:
    """'Mon 21 Jun 14:00'; where it does not come about in four weeks, that."""
    return "not in four weeks" if hour is None else f"{day_text(day.clock, hour)} {clock_text(day.clock, hour)}"


def short_text(day: CureDay, hour: float | None) -> str:
    """'Mon 21 Jun'."""
    return "not in four weeks" if hour is None else day_text(day.clock, hour)


def knot_text(day: CureDay, hour: float) -> str:
    """'Mon 21'."""
    at = day.clock.at(hour)
    return f"{at:%a} {at.day}"


def cure_told(
    day: CureDay, said: SaidAfter, spots: Mapping[str, XY], thick_mm: Mapping[str, float], was_h: float | None, moved_by: str, gain: tuple[str, str], sides: list[tuple[str, str, str, tuple[XY, XY], str]],
    cuts: list[CutNow],
) -> CureTold:  # fmt: skip
    """spots, thick_mm: by zone. was_h: when it was to be built on as it was planned; moved_by: what moved it since. gain: (key of the first alarm, what blankets bring).
    sides: (id, name, boards, line, zone beside it)."""
    units, clock = day.plan.units, day.clock
    first = min(float(one.hours_h[0]) for one in day.strong)
    build_h = day.latest_h("build")
    froze = [one for one in day.strong if one.freezes_h is not None]
    verdict = (
        f"Build from {short_text(day, build_h)}" if not froze else f"{froze[0].heat.name} freezes before it is strong"
    )
    moved = was_h is not None and build_h is not None and abs(build_h - was_h) > MOVED_H
    litres = math.fsum(cell / day.ways.cure.compound_m2_l * day.ways.cure.coats for cell in _areas(day))
    was = (
        short_text(day, was_h)
        if moved and was_h is not None and short_text(day, was_h) != short_text(day, build_h)
        else ""
    )
    rows = rounds_told(day)
    worst = max((one.kg_m2_h for one in day.drying if one.hour_h >= day.now_h), default=0.0)
    return CureTold(
        now_h=day.now_h, now_text=f"{day_text(clock, day.now_h)} {clock_text(clock, day.now_h)}", now_at=clock.at(day.now_h + 1e-6).isoformat(timespec="seconds"),
        age_text=_age(day.now_h - first), verdict=verdict, was_text=was, why_text=moved_by if was else "", zones=[_zone(day, one, spots, thick_mm) for one in day.strong],
        placed_h=first, set_h=max(float(one.hours_h[0]) for one in day.strong) + 10.0, rounds=rows,
        rounds_left=sum(1 for one in rows if one.state in ("open", "due")), drying=[(one.hour_h, one.kg_m2_h) for one in day.drying],
        drying_text=drying(worst, units), alarms=[_alarm(day, one, gain) for one in day.alarms], cover=day.cover, schools=_schools(day),
        litres_text=f"{litres:.0f} l" if units == "mm" else f"{litres / GAL_L:.1f} gal", cylinders=_cylinders(day), reached_text=_reached(day), cuts=cuts,
        sides=sides_told(day, sides), levels=levels_told(day), crew=_crew(said), days=_days(day, first), nights=_nights(day),
    )  # fmt: skip


def _areas(day: CureDay) -> list[float]:
    return [one.area_m2 for one in day.warmth.zones]


def _age(hours: float) -> str:
    if hours < 0:
        return "not poured yet"
    return f"{hours:.0f} hours old" if hours < 72 else f"{hours / 24:.0f} days old"


def _crew(said: SaidAfter) -> list[str]:
    own = (said.covers, said.rounds, said.probes, said.cylinders, said.shots, said.stripped)
    return sorted({one.by for rows in own for _, one in rows if one.by} | {one.to for _, one in said.rounds if one.to})


def event_now(day: CureDay, one: Event) -> EventNow:
    """An event of a zone."""
    units = day.plan.units
    if one.high_h is None or one.low_h is None:
        text = "not in four weeks" if one.at_h is None else f"from {when_text(day, one.low_h)} at the earliest"
    else:
        same = day_text(day.clock, one.low_h) == day_text(day.clock, one.high_h)
        end = clock_text(day.clock, one.high_h) if same else when_text(day, one.high_h)
        text = f"{when_text(day, one.low_h)} to {end}"
    passed = one.high_h is not None and one.high_h <= day.now_h
    late = "" if one.high_h is None else when_text(day, one.high_h)
    return EventNow(one.rule.key, one.rule.name, one.low_h, one.at_h, one.high_h, text, late, passed, strength(one.rule.needs_mpa, units), words_in(one.rule.source, units))  # fmt: skip


def _zone(day: CureDay, one: Strong, spots: Mapping[str, XY], thick_mm: Mapping[str, float]) -> ZoneCure:
    units, heat, hours = day.plan.units, one.heat, one.hours_h
    track, lies = day.tracks.get(heat.zone), next(row for row in day.lying if row.zone == heat.zone)
    now = float(np.clip(day.now_h, hours[0], hours[-1]))
    read = track is not None and bool(np.interp(now, hours, one.known.astype(float)) > 0.5)
    by = "by the model" if not read or track is None else "by hand" if track.by_hand else track.probe
    top = heat.at_28_mpa
    grid = hours[0] + (hours[-1] - hours[0]) * (np.arange(RIBBON + 1) / RIBBON) ** 2
    rows = [np.interp(grid, hours, row) / top for row in (one.low_mpa, one.at_mpa, one.high_mpa)]
    build = next(row for row in day.events[heat.zone] if row.rule.key == "build")
    other = first_over(hours, one.other_mpa, build.rule.needs_mpa)
    low, at, high = (one.at_hour(now, row) for row in (one.low_mpa, one.at_mpa, one.high_mpa))
    froze = "" if one.freezes_h is None else f"freezes {when_text(day, one.freezes_h)}: no strength counts after that"
    return ZoneCure(
        heat.zone, heat.name, spots.get(heat.zone, (0.0, 0.0)), say_depth(thick_mm.get(heat.zone, 0.0), units), lies.what,
        "nothing lies on it" if not lies.what else f"{COVER_WORDS[lies.what]} since {when_text(day, lies.since_h)}",
        degrees(one.at_hour(now, one.temp_c), units), by, read, f"{strength(low, units)} to {strength(high, units)}" if high > 0.05 else "",
        [event_now(day, row) for row in day.events[heat.zone]],
        [(float(h), float(a), float(b), float(c)) for h, a, b, c in zip(grid, *rows, strict=True)], _spans(hours, one.known), froze,
        short_text(day, build.high_h), "" if other is None else when_text(day, other), _why(day, one, at),
    )  # fmt: skip


def _spans(hours: np.ndarray, known: np.ndarray) -> list[tuple[float, float]]:
    rows: list[tuple[float, float]] = []
    for hour in hours[known]:
        if rows and hour - rows[-1][1] <= 1.01:
            rows[-1] = (rows[-1][0], float(hour))
        else:
            rows.append((float(hour), float(hour)))
    return rows


def _why(day: CureDay, one: Strong, at_mpa: float) -> list[str]:
    units, heat = day.plan.units, one.heat
    track = day.tracks.get(heat.zone)
    rows = [
        f"Its youngest load is truck {heat.truck}; equivalent age {one.at_hour(day.now_h, one.age_eq_h):.0f} h at {degrees(21.1, units)}."
    ]
    rows.append(
        f"Likely {strength(at_mpa, units)} now; by degree hours {strength(one.at_hour(day.now_h, one.other_mpa), units)}."
    )
    if track is not None and track.jumps_h:
        rows.append(f"{len(track.jumps_h)} readings jumped and do not count.")
    if track is not None and track.last_h < day.now_h - 3:
        rows.append(
            f"By the model since {when_text(day, track.last_h)}: {track.probe} says nothing any more, so the range is wider."
        )
    return rows


def _alarm(day: CureDay, one: Alarm, gain: tuple[str, str]) -> AlarmNow:
    units = day.plan.units
    names = [row.heat.name for row in day.strong if row.heat.zone in one.zones]
    span = f"{when_text(day, one.from_h)} to {clock_text(day.clock, one.until_h)}"
    if one.kind == "dry":
        return AlarmNow(one.kind, one.from_h, one.until_h, f"A round dries off in an hour and a half, {span}: {drying(one.dries_kg_m2_h, units)}", words_in("cure-wet", units),
                        "Hang sheets, or spray compound.", "", "", list(one.zones))  # fmt: skip
    by = f"by {when_text(day, one.from_h - 4)}"
    title = (
        f"Freezes before it is strong, {when_text(day, one.from_h)}"
        if one.kind == "frost"
        else f"Cold night, {span}: {degrees(one.least_c, units)}"
    )
    rule = f"{words_in('cure-frost', units)} Keep it at {degrees(KEEP_C, units)} for three days where air falls under {degrees(COLD_C, units)}."
    key = f"{one.kind}/{one.from_h:.1f}"
    return AlarmNow(one.kind, one.from_h, one.until_h, title, rule, f"Blankets over {said_together(names)} {by}.", gain[1] if gain[0] == key else "", by, list(one.zones))  # fmt: skip


def _schools(day: CureDay) -> list[SchoolNow]:
    """What floor finish, stain and frost say of each way, now."""
    mix, frosty = day.plan.mix, any(one.kind in ("cold", "frost") for one in day.alarms)
    rows = []
    for key, good, bad in COVER_SCHOOLS:
        words = [good, bad]
        if frosty:
            words.append("Frost: this one helps." if key == "blankets" else "Frost: not enough alone; water freezes on it." if key == "wet" else "Frost: not enough alone.")  # fmt: skip
        if mix.finish == "trowelled" and key == "sheets":
            words.append("This floor is trowelled: wrinkles will show.")
        if mix.finish == "trowelled" and key == "compound":
            words.append("This floor is trowelled: ask first whether paint, stain or glue comes on it.")
        rows.append(SchoolNow(key, words))
    return rows


def _cylinders(day: CureDay) -> list[CylinderNow]:
    units = day.plan.units
    return [
        CylinderNow(one.record, one.number, when_text(day, one.at_h), strength(one.broke_mpa, units), strength(one.curve_mpa, units), "bath" if one.lab else "beside the slab")
        for one in day.broken
    ]  # fmt: skip


def _reached(day: CureDay) -> str:
    if not day.reached.count:
        return ""
    part = day.reached.mix_ratio
    return f"{day.reached.count} {'cylinders say' if day.reached.count > 1 else 'cylinder says'}: this mix reaches {part:.0%} of what it is specified to, {day.reached.sd_share:.0%} either way."


def _days(day: CureDay, first: float) -> list[tuple[float, str]]:
    """Midnights for the tape."""
    begin = math.floor(first / 24) * 24
    return [(float(begin + n * 24), day_text(day.clock, begin + n * 24 + 1)) for n in range(29)]


def _nights(day: CureDay) -> list[tuple[float, float, str]]:
    return [
        (one.from_h, one.until_h, degrees(one.least_c, day.plan.units))
        for one in day.alarms
        if one.kind in ("cold", "frost")
    ]
