"""What the day's tab shows: everything in words with what its drawings need, and where the weather is from."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from itertools import groupby

from humble_trowel.core.day.day import DayFound, PrintTold, sunset_h
from humble_trowel.core.day.drying import FORMULA_WORDS
from humble_trowel.core.day.sizes import degrees, drying, wind
from humble_trowel.core.day.told import (
    BuysTold,
    DryTold,
    RibbonTold,
    StartTold,
    buys_told,
    dry_told,
    ribbon_told,
    sets_words,
    start_told,
    verdict,
)
from humble_trowel.core.findings import said_together
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.weather.hours import Clock, HourRow, clock_of
from humble_trowel.core.weather.shade import Moment, SunDay, side_words

FULL, HALF = 0.95, 0.05
OLD_H = 24.0
HOUR_H = 1.0


@dataclass(frozen=True)
class HourTold:
    """An hour of the weather. from_index: of its source among those told."""

    hour_h: float
    air_text: str
    humid_text: str
    wind_text: str
    rain: bool
    usual: bool
    source: int


@dataclass(frozen=True)
class SourceTold:
    """Hours that came from one place. text: who, when, how far; old: it should be asked again."""

    name: str
    text: str
    from_h: float
    until_h: float
    usual: bool
    old: bool


@dataclass(frozen=True)
class SunMoment:
    """The sun at ten minutes past the last. shade: rings on the plan, mm, even-odd."""

    hour_h: float
    elevation_deg: float
    azimuth_deg: float
    shade: list[list[tuple[float, float]]]
    text: str
    words: str


@dataclass(frozen=True)
class ZoneSun:
    """A zone under the sun of the day, and when it sets. at: where its words stand, mm."""

    zone: str
    name: str
    at: tuple[float, float]
    sun_text: str
    sets_text: str


@dataclass(frozen=True)
class Blocking:
    """Something that shades, as it is drawn. id: '' where it stands elsewhere in the plan and is changed there."""

    id: str
    name: str
    what: str
    ring: list[tuple[float, float]]
    top_mm: float
    base_mm: float


@dataclass(frozen=True)
class PaceTold:
    """What the prints say of the whole day."""

    pace_ratio: float
    sd_share: float
    words: str
    kept: bool


@dataclass(frozen=True)
class DaySheet:
    """All of it. start_local: as the job says it. place, zone_known: False where nobody said.
    jumps: from which hour on the clock on the wall is how far ahead of the count."""

    verdict: str
    words: str
    day: str
    start_h: float
    start_local: str
    place: bool
    zone_known: bool
    jumps: list[tuple[float, float]]
    moments: list[SunMoment]
    sunset_h: float | None
    zones: list[ZoneSun]
    sets: str
    formula: str
    limit_kg_m2_h: float
    limit_text: str
    limit_why: str
    drying: list[DryTold]
    ribbons: list[RibbonTold]
    starts: list[StartTold]
    best_h: float | None
    buys: list[BuysTold]
    hours: list[HourTold]
    sources: list[SourceTold]
    prints: list[PrintTold]
    pace: PaceTold


def sheet_of(
    plan: Plan, ways: JobWays, found: DayFound, spots: Sequence[tuple[float, float]], now: datetime, lessons: int
) -> DaySheet:
    """The day as it is shown at `now`. spots: where each zone's words stand. lessons: how many of the day are kept."""
    assert plan.order.pour_at is not None
    clock = clock_of(plan.site, plan.order.pour_at)
    text, words = verdict(found, clock)
    names = [zone.name for zone in plan.zones]
    sources = _sources(found.hours, clock, now)
    return DaySheet(
        verdict=text, words=words, day=f"{clock.midnight:%a} {clock.midnight.day} {clock.midnight:%b}", start_h=found.start_h,
        start_local=plan.order.pour_at, place=found.sun is not None, zone_known=not clock.guessed, jumps=clock.jumps(-24, 96),
        moments=[] if found.sun is None else [_moment(one, names, clock) for one in found.sun.moments], sunset_h=sunset_h(found.sun),
        zones=_zones(plan, found, spots, clock), sets=sets_words(found, clock), formula=FORMULA_WORDS[ways.day.dries_by],
        limit_kg_m2_h=found.limit.kg_m2_h, limit_text=drying(found.limit.kg_m2_h, plan.units), limit_why=found.limit.why,
        drying=[dry_told(plan, ways, clock, row) for row in found.drying],
        ribbons=[ribbon_told(plan, ways, found, clock, row) for row in found.clock], starts=[start_told(clock, row) for row in found.starts],
        best_h=found.best_h, buys=buys_told(plan, found, clock), hours=_hours(plan, found.hours, sources), sources=sources,
        prints=found.prints, pace=_pace(found, lessons),
    )  # fmt: skip


def _moment(one: Moment, names: Sequence[str], clock: Clock) -> SunMoment:
    text = clock.text(one.hour_h)
    if one.elevation_deg <= 0:
        return SunMoment(one.hour_h, one.elevation_deg, one.azimuth_deg, [], text, "The sun is down.")
    whole = [name for name, share in zip(names, one.shares, strict=False) if share <= HALF]
    part = [f"{1 - share:.0%} of {name}" for name, share in zip(names, one.shares, strict=False) if HALF < share < FULL]
    lies = [f"{said_together(whole)} {'lies' if len(whole) == 1 else 'lie'} wholly in shade"] if whole else []
    lies += [f"{said_together(part)} in shade"] if part else []
    said = "; ".join(lies) if lies else "all of the slab in the sun"
    words = f"Sun in the {side_words(one.azimuth_deg)}, {one.elevation_deg:.0f}° up. {said[0].upper()}{said[1:]}."
    return SunMoment(one.hour_h, one.elevation_deg, one.azimuth_deg, one.shade, text, words)


def _zones(plan: Plan, found: DayFound, spots: Sequence[tuple[float, float]], clock: Clock) -> list[ZoneSun]:
    rows = []
    for at, (zone, spot) in enumerate(zip(plan.zones, spots, strict=False)):
        own = [row for row in found.clock if row.zone == zone.id and row.final is not None]
        sets = min(own, key=lambda row: row.from_h, default=None)
        ice = next(
            (
                row.freezes
                for row in found.clock
                if row.zone == zone.id and row.freezes is not None and not row.may_freeze
            ),
            None,
        )
        text = f"sets {clock.text(sets.final.at_h)}" if sets is not None and sets.final is not None else ""
        if ice is not None:
            text = f"freezes {clock.text(ice.at_h)}"
        rows.append(ZoneSun(zone.id, zone.name, spot, _sun_text(found.sun, at), text))
    return rows


def _sun_text(sun: SunDay | None, at: int) -> str:
    return "" if sun is None or at >= len(sun.sun_h) else f"sun {sun.sun_h[at]:.1f} h"


def _sources(hours: Sequence[HourRow], clock: Clock, now: datetime) -> list[SourceTold]:
    rows = []
    for (name, made, usual), own in groupby(hours, key=lambda row: (row.from_name, row.made_at, row.usual)):
        kept = list(own)
        when = datetime.fromisoformat(made)
        made_at = when if when.tzinfo is not None else when.replace(tzinfo=clock.zone)
        age = (now - made_at).total_seconds() / 3600
        told = made_at.astimezone(clock.zone)
        said = f"{told:%a} {told.day} {told:%b} {told.hour}:{told.minute:02d}"
        old = not usual and kept[0].source == "forecast" and age > OLD_H
        text = (
            f"{name}: what this time of year usually does, no forecast" if usual
            else f"{name}, said {said}{f', {age:.0f} h ago: ask again' if old else ''}"
        )  # fmt: skip
        rows.append(SourceTold(name, text, kept[0].hour_h, kept[-1].hour_h, usual, old))
    return rows


def _hours(plan: Plan, hours: Sequence[HourRow], sources: Sequence[SourceTold]) -> list[HourTold]:
    def source(hour: float) -> int:
        return next((i for i, one in enumerate(sources) if one.from_h <= hour <= one.until_h), 0)

    return [
        HourTold(
            row.hour_h, degrees(row.air_c, plan.units), f"{row.humid_share:.0%}", wind(row.wind_ms, plan.units), row.rain_mm > 0, row.usual,
            source(row.hour_h),
        )
        for row in hours
    ]  # fmt: skip


def _pace(found: DayFound, lessons: int) -> PaceTold:
    shared = found.shared
    if not found.prints:
        return PaceTold(
            shared.pace_ratio, shared.sd_share, "No print yet: the clock runs on the mix's model alone.", False
        )
    far = shared.pace_ratio - 1
    how = (
        "as its model says" if abs(far) < 0.02 else f"{abs(far):.0%} {'faster' if far > 0 else 'slower'} than its model"
    )
    count = len(found.prints)
    return PaceTold(
        shared.pace_ratio, shared.sd_share, f"Today's concrete sets {how}, by {count} print{'s' if count != 1 else ''}.", lessons > 0
    )  # fmt: skip


def blocking_of(plan: Plan) -> list[Blocking]:
    """What stands about, as it is drawn."""
    rows = [Blocking(one.id, one.name, one.what, list(one.polygon), one.top_mm, one.base_mm) for one in plan.day.around]
    rows += [
        Blocking("", one.name, "wall", list(one.polygon), one.level_mm, 0.0)
        for one in plan.existing
        if one.what in ("wall", "other") and one.level_mm > 0
    ]
    return rows
