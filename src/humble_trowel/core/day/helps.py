"""What helps against drying, each tried on the same day: how fast it dries then, for how long too fast, and until when one may start."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

from humble_trowel.core.day.casts import Lies, concrete_of
from humble_trowel.core.day.skies import cooler_c, dry_share, skies_of
from humble_trowel.core.day.starts import Given, Start, best, tried, until
from humble_trowel.core.plan.day_parts import HELPS, Help
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.weather.shade import SunDay

WORDS: dict[str, str] = {
    "fog": "fog over the slab",
    "windbreak": "a windbreak",
    "cooler": "a cooler mix",
    "film": "a film against drying",
}
EARLIER_H = 1.0


@dataclass(frozen=True)
class HelpTold:
    """A help. on: it is in force. why_text: what stops the booked start all the same, '' where nothing does. latest_h: till when one may start on the pour's day, None where no start passes."""

    key: str
    name: str
    on: bool
    worst_kg_m2_h: float
    why_text: str
    latest_h: float | None
    note: str


def with_helps(given: Given, ways: JobWays, sun: SunDay | None, zones: int, helps: Sequence[Help]) -> Given:
    """The same day with other helps."""
    lies = given.lies
    skies = skies_of(given.plan, ways.day, given.clock, given.forecast, sun, zones, helps)
    return replace(
        given, concrete=concrete_of(given.plan, ways, cooler_c(helps, ways.day)),
        lies=Lies(skies, lies.base_c, lies.deep_c, lies.start_h, dry_share(helps, ways.day)),
    )  # fmt: skip


def compared(given: Given, ways: JobWays, sun: SunDay | None, zones: int, hours: Sequence[float]) -> list[HelpTold]:
    """Each help added to those in force, or taken from them where it is one of them. hours: starts of the pour's day that are tried."""
    on = list(given.plan.day.helps)
    booked = given.lies.start_h
    rows = []
    for key in HELPS:
        helps = [one for one in HELPS if (one in on) != (one == key)]
        other = with_helps(given, ways, sun, zones, helps)
        rows.append(_told(key, WORDS[key], key in on, tried(other, sorted({*hours, booked})), booked, _note(key, ways)))
    early = tried(given, [booked - EARLIER_H])
    rows.append(
        _told("earlier", "an hour earlier", False, early, booked - EARLIER_H, "The same day, begun an hour sooner.")
    )
    return rows


def _told(key: str, name: str, on: bool, starts: Sequence[Start], booked: float, note: str) -> HelpTold:
    own = next(one for one in starts if one.at_h == booked)
    why = own.why_not[0].short if own.why_not else ""
    found = best(starts, booked)
    latest = None if found is None else until(starts, found.at_h)
    return HelpTold(key, name, on, own.worst_kg_m2_h, why, latest, note)


def _note(key: Help, ways: JobWays) -> str:
    """What it is taken to do: a guess until the crew says better."""
    day = ways.day
    return {
        "fog": f"Fog, not spray: the air over the slab at {day.fog_humid_share:.0%}.",
        "windbreak": f"Leaves {day.windbreak_share:.0%} of the wind.",
        "cooler": f"{day.cooler_c:.1f} °C off the mix, by ice or cold water.",
        "film": f"Sprayed after the screed, leaves {day.film_share:.0%} of the drying: a rough guess.",
    }[key]
