"""What the set clock says to other stages: until when to wet-set, from when and until when to saw, zone by zone."""

from __future__ import annotations

from humble_trowel.core.day.clock import ClockRow
from humble_trowel.core.day.day import DayFound
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.weather.hours import Clock, clock_of


def _first_of_zones(found: DayFound) -> list[ClockRow]:
    """The load that is placed first in each zone."""
    rows: dict[str, ClockRow] = {}
    for row in found.clock:
        rows.setdefault(row.zone, row)
    return list(rows.values())


def _clock(plan: Plan) -> Clock:
    assert plan.order.pour_at is not None
    return clock_of(plan.site, plan.order.pour_at)


def wet_words(plan: Plan, found: DayFound | None) -> str:
    """By when bolts are wet-set, at the earliest initial set of each zone; '' without a day."""
    if found is None:
        return ""
    clock = _clock(plan)
    said = [
        f"{row.name} by {clock.text(row.initial.low_h)}" for row in _first_of_zones(found) if row.initial is not None
    ]
    return f"Wet-set {', '.join(said)}: initial set as early as it may come." if said else ""


def saw_words(plan: Plan, found: DayFound | None) -> str:
    """From when and until when each zone is sawn; '' without a day."""
    if found is None:
        return ""
    clock, said = _clock(plan), []
    for row in _first_of_zones(found):
        if row.no_saw and row.early_saw is not None:
            said.append(f"{row.name} by early entry from {clock.text(row.early_saw.at_h)}")
        elif row.saw_from is not None and row.saw_until is not None:
            said.append(f"{row.name} {clock.text(row.saw_from.at_h)} to {clock.text(row.saw_until.at_h)}")
    return f"By the day's clock: {', '.join(said)}." if said else ""
