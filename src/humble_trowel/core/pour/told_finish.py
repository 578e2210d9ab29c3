"""The finish in words and drawings: zones with the sun on them, joints one by one."""

from __future__ import annotations

import math

from humble_trowel.core.findings import said_together
from humble_trowel.core.pour.cuts import Cut
from humble_trowel.core.pour.day import PourDay
from humble_trowel.core.pour.finish_parts import CutNow, SunTold, ZoneNow
from humble_trowel.core.pour.sun_now import SunNow, ZoneSun
from humble_trowel.core.units import say_length


def zones_told(day: PourDay, sun: SunNow | None) -> list[ZoneNow]:
    """Every zone, in the order of the sets, which is that of the sun's zones too."""
    clock = day.planned.clock
    full = {one.id for one in day.fillings if one.full}

    def text(minute: float | None) -> str:
        return "" if minute is None else clock.text(minute)

    rows = []
    for at, one in enumerate(day.sets):
        left = None if one.saw_until_min is None else one.saw_until_min - day.now_min
        light = sun.zones[at] if sun is not None and sun.up and at < len(sun.zones) else None
        rows.append(
            ZoneNow(
                one.zone, one.name, one.spot, text(one.float_min), text(one.second_min), text(one.final_min), text(one.saw_min),
                text(one.saw_until_min), left, text(one.dries_from_min), one.float_min, one.final_min, one.printed,
                bool(one.parts) and all(part in full for part in one.parts), _light(day, light), light is not None and light.sunny,
                day.given.get(f"float/{one.zone}", ""),
            )
        )  # fmt: skip
    return rows


def _light(day: PourDay, light: ZoneSun | None) -> str:
    if light is None:
        return ""
    words = "in the sun" if light.sunny else "in the shade"
    return words if light.turns_min is None else f"{words} until {day.planned.clock.text(light.turns_min)}"


def sun_told(sun: SunNow, north_deg: float) -> SunTold:
    """north_deg: of the plan's y axis, from true north."""
    words = f"sun from the {sun.side}, {sun.elevation_deg:.0f}° up" if sun.up else "no sun"
    turned = math.radians(sun.azimuth_deg - north_deg)
    return SunTold(words, sun.shade, (math.sin(turned), math.cos(turned)), sun.up)


def cuts_told(day: PourDay) -> list[CutNow]:
    """Every joint that is sawn, the one that opens first at the head."""
    return [_cut(day, n, one) for n, one in enumerate(day.cuts, 1)]


def _cut(day: PourDay, n: int, one: Cut) -> CutNow:
    clock, now = day.planned.clock, day.now_min
    left = None if one.until_min is None else one.until_min - now
    if one.sawn_min is not None:
        state = "cracked" if one.cracked else "sawn"
    elif left is not None and left < 0:
        state = "late"
    else:
        state = "open" if one.from_min is not None and one.from_min <= now else "soon"
    return CutNow(
        one.line.id, n, (one.line.start, one.line.end), said_together(list(one.zones)), say_length(one.length_mm, day.planned.plan.units),
        "" if one.from_min is None else clock.text(one.from_min), "" if one.until_min is None else clock.text(one.until_min), left, state,
        "" if one.sawn_min is None else clock.text(one.sawn_min), one.by, one.record,
    )  # fmt: skip
