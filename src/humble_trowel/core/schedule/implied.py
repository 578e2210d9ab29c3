"""The tasks that a job implies, in the order of the work, with what each waits for and what weather it bears."""

from __future__ import annotations

import math
from collections.abc import Iterator
from dataclasses import dataclass

from humble_trowel.core.plan.schedule_ways import ScheduleWays
from humble_trowel.core.schedule.project import NO_LIMITS, Limits, Link

LANES = ("locators", "crew", "plumber", "county", "heating", "steel", "plant", "after", "own")
POUR = "pour"


@dataclass(frozen=True)
class Sizes:
    """What a job has of each work; 0 where it has none. m2, m, kg. done: keys of tasks that its records say are done."""

    area_m2: float = 0.0
    perimeter_m: float = 0.0
    digs: bool = True
    pipes: int = 0
    stone_m2: float = 0.0
    foam_m2: float = 0.0
    barrier_m2: float = 0.0
    tubes_m2: float = 0.0
    steel_kg: float = 0.0
    bolts: int = 0
    joints: bool = False
    done: frozenset[str] = frozenset()


@dataclass(frozen=True)
class Implied:
    """A task before anybody said anything of it. lane: whose it is. visit: a milestone that an inspector keeps."""

    key: str
    name: str
    lane: str
    days: int
    hands: int
    links: tuple[Link, ...]
    limits: Limits = NO_LIMITS
    visit: bool = False
    lead_days: int = 0
    calendar: bool = False


def _days(amount: float, rate: float) -> int:
    return max(1, math.ceil(amount / rate - 1e-9))


def implied(sizes: Sizes, ways: ScheduleWays) -> list[Implied]:
    """All of them, each after what it waits for."""
    return [*_before(sizes, ways), *_laid(sizes, ways), *_poured(sizes, ways)]


def _before(sizes: Sizes, ways: ScheduleWays) -> Iterator[Implied]:
    """Out of the ground, and what is buried."""
    forms = Implied("forms", "boards", "crew", _days(sizes.perimeter_m, ways.forms_m_day), 2, ())
    stone = Implied(
        "stone",
        "stone",
        "crew",
        _days(sizes.stone_m2, ways.stone_m2_day),
        3,
        (),
        Limits(most_rain_mm=ways.stone_rain_mm),
    )
    yield Implied("mark", "set out", "crew", 1, 2, ())
    ground = "mark"
    if sizes.digs:
        yield Implied("locate", "lines marked", "locators", 0, 0, (), lead_days=ways.locate_notice_days)
        yield Implied(
            "dig",
            "dig",
            "crew",
            _days(sizes.area_m2, ways.dig_m2_day),
            3,
            (Link("mark"), Link("locate")),
            Limits(most_rain_mm=ways.dig_rain_mm),
        )
        ground = "dig"
    buried = ground
    if sizes.pipes:
        yield Implied("pipes", "pipes", "plumber", max(1, math.ceil(sizes.pipes / 6)), 0, (Link(ground),))
        yield Implied(
            "test", "water test", "county", 0, 0, (Link("pipes"),), visit=True, lead_days=ways.visit_notice_days
        )
        buried = "test"
    first = Link(ground)
    if not sizes.stone_m2:
        yield _after(forms, first, Link(buried))
    elif ways.forms_when == "forms-first":
        yield _after(forms, first)
        yield _after(stone, Link("forms"), Link(buried))
    else:
        yield _after(stone, first, Link(buried))
        yield _after(forms, Link("stone"))


def _after(row: Implied, *links: Link) -> Implied:
    seen = {link.after: link for link in links}
    return Implied(row.key, row.name, row.lane, row.days, row.hands, tuple(seen.values()), row.limits)


def _laid(sizes: Sizes, ways: ScheduleWays) -> Iterator[Implied]:
    """Foam, barrier, tubes, steel, bolts."""
    before = ("stone", "forms") if sizes.stone_m2 else ("forms",)
    if sizes.foam_m2:
        yield Implied(
            "foam",
            "foam",
            "crew",
            _days(sizes.foam_m2, ways.foam_m2_day),
            2,
            tuple(Link(one) for one in before),
            Limits(most_wind_ms=ways.barrier_wind_ms),
        )
        before = ("foam",)
    if sizes.barrier_m2:
        limits = Limits(
            most_rain_mm=ways.barrier_rain_mm, most_wind_ms=ways.barrier_wind_ms, dry_until=(POUR, ways.barrier_dry_mm)
        )
        yield Implied(
            "barrier",
            "plastic",
            "crew",
            _days(sizes.barrier_m2, ways.barrier_m2_day),
            2,
            tuple(Link(one) for one in before),
            limits,
        )
        before = ("barrier",)
    if sizes.tubes_m2:
        yield Implied(
            "tubes", "tubes", "heating", _days(sizes.tubes_m2, ways.tubes_m2_day), 0, tuple(Link(one) for one in before)
        )
        before = ("tubes",)
    if sizes.steel_kg:
        yield Implied(
            "steel", "steel", "steel", _days(sizes.steel_kg, ways.steel_kg_day), 2, tuple(Link(one) for one in before)
        )
        before = ("steel",)
    if sizes.bolts:
        yield Implied("bolts", "bolts", "crew", 1, 1, tuple(Link(one, same_day=True) for one in before))


def _poured(sizes: Sizes, ways: ScheduleWays) -> Iterator[Implied]:
    """The inspector, the plant, the pour and what follows."""
    deep = next(
        key
        for key, has in (
            ("bolts", sizes.bolts),
            ("steel", sizes.steel_kg),
            ("tubes", sizes.tubes_m2),
            ("barrier", sizes.barrier_m2),
            ("foam", sizes.foam_m2),
            ("forms", True),
        )
        if has
    )
    ends = {deep, "forms", *(("stone",) if sizes.stone_m2 else ())}
    yield Implied(
        "visit",
        "county looks",
        "county",
        0,
        0,
        tuple(Link(one) for one in sorted(ends)),
        visit=True,
        lead_days=ways.visit_notice_days,
    )
    yield Implied("plant", "call the plant", "plant", 0, 0, (), lead_days=ways.plant_notice_days)
    limits = Limits(ways.pour_rain_mm, None, ways.pour_least_c, ways.pour_most_c, None, (1, ways.dry_after_mm))
    yield Implied(POUR, "pour", "crew", 1, ways.pour_hands, (Link("visit"), Link("plant", same_day=True)), limits)
    if sizes.joints:
        yield Implied("saw", "saw", "after", 1, 1, (Link(POUR),), calendar=True)
    yield Implied("strip", "boards off", "after", 1, 2, (Link(POUR, lag_days=1),))
    if ways.wet_cure_days:
        yield Implied("cure", "kept wet", "after", ways.wet_cure_days, 0, (Link(POUR),), calendar=True)
        yield Implied("build", "build", "after", 0, 0, (Link("cure"),))
