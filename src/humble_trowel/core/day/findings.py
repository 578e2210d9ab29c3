"""Doubts about the day."""

from __future__ import annotations

from collections.abc import Sequence

from humble_trowel.core.day.clock import ClockRow
from humble_trowel.core.day.day import DayFound
from humble_trowel.core.errors import InputError
from humble_trowel.core.findings import Finding, finding, said_together
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.weather.hours import Clock, clock_of, zone_of


def day_doubts(plan: Plan, found: DayFound | None) -> list[Finding]:
    """What goes wrong on a day whose weather is known, and what is missing for it."""
    rows = place_doubts(plan)
    if plan.order.pour_at is None or found is None:
        return [row for row in rows if row.severity != "note"]
    clock = clock_of(plan.site, plan.order.pour_at)
    rows += _known(found)
    for dry in found.drying:
        if dry.spans_h:
            words = f"{dry.name} dries too fast from {clock.text(dry.spans_h[0][0])} on."
            remedy = "Start earlier, break the wind, fog, spray a film, or cool the mix."
            rows.append(finding("drying-fast", f"zones.{dry.zone}", words, remedy, "evaporation"))
    for name in dict.fromkeys(row.name for row in found.clock):
        rows += _ice(name, [row for row in found.clock if row.name == name], clock)
    late = list(dict.fromkeys(row.name for row in found.clock if row.no_saw and row.freezes is None))
    if late:
        words = f"{said_together(late)}: a conventional saw would come too late."
        rows.append(finding("saw-late", "day", words, "Take an early-entry saw.", "slab-heat"))
    return rows


def _known(found: DayFound) -> list[Finding]:
    if not found.covered:
        words = "The weather is not known until the last of it has set."
        return [finding("weather-short", "day", words, "Ask the forecast again nearer to the day.", "evaporation")]
    if found.usual:
        words = "No forecast reaches the pour: only what that time of year usually does."
        return [finding("weather-usual", "day", words, "Ask the forecast within a week of the day.", "evaporation")]
    return []


def _ice(name: str, own: Sequence[ClockRow], clock: Clock) -> list[Finding]:
    """A zone that freezes, or may."""
    for row in own:
        if row.freezes is not None and not row.may_freeze:
            words = f"{name} freezes at {clock.text(row.freezes.at_h)}, before it is strong."
            remedy = "Blankets, an accelerator, warmer concrete, or another day."
            return [finding("slab-freezes", f"zones.{row.zone}", words, remedy, "cold-mix")]
    for row in own:
        if row.freezes is not None:
            words = f"{name} may freeze at {clock.text(row.freezes.at_h)} if it sets slowly."
            return [finding("slab-may-freeze", f"zones.{row.zone}", words, "Have blankets there.", "cold-mix")]
    return []


def place_doubts(plan: Plan) -> list[Finding]:
    """Where it lies and on which clock, as far as nobody said."""
    rows = []
    if plan.site.latitude is None or plan.site.longitude is None:
        rows.append(
            finding(
                "no-place",
                "site.latitude",
                "Where the slab lies is not said: no sun is counted.",
                "Say its latitude and longitude.",
                "sun",
            )
        )
    try:
        guessed = zone_of(plan.site)[1]
    except InputError as error:
        return [
            *rows,
            finding("zone-unknown", "site.time_zone", str(error), "Say its time zone like America/New_York.", "sun"),
        ]
    if guessed:
        rows.append(
            finding(
                "zone-guessed",
                "site.time_zone",
                "The time zone is not said: hours are taken from the longitude, without summer time.",
                "Say its time zone.",
                "sun",
            )
        )
    return rows
