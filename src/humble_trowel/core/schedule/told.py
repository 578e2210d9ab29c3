"""The days in words: why a task is on its day, what drives the pour, what clashes, why there is no plan."""

from __future__ import annotations

from datetime import date

from humble_trowel.core.schedule.implied import POUR
from humble_trowel.core.schedule.project import Project
from humble_trowel.core.schedule.rules import Break
from humble_trowel.core.schedule.scheduled import Placed, Scheduled
from humble_trowel.core.units import Units

DAYS = ("Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday")
WET = ("rain", "wet", "wet after")


def day_text(day: date) -> str:
    """'Thu 17 Jun'."""
    return f"{day:%a} {day.day} {day:%b}"


def rain_text(mm: float, units: Units) -> str:
    """Rain of a day, '0.6 in' or '15 mm'."""
    return f"{mm:.0f} mm" if units == "mm" else f"{mm / 25.4:.1f} in"


def temp_text(temp_c: float, units: Units) -> str:
    """'25 °F' or '-4 °C'."""
    return f"{temp_c:.0f} °C" if units == "mm" else f"{temp_c * 1.8 + 32:.0f} °F"


def wind_text(wind_ms: float, units: Units) -> str:
    """'22 mph' or '35 km/h'."""
    return f"{wind_ms * 3.6:.0f} km/h" if units == "mm" else f"{wind_ms / 0.44704:.0f} mph"


def weekday(project: Project, day: int) -> str:
    """'Friday'."""
    return DAYS[project.weekday(day)]


def why_text(row: Break, told: Scheduled, units: Units) -> str:
    """Why a task is not a day sooner."""
    project, name = told.project, told.job.named
    on = weekday(project, row.day)
    words = {
        "after": f"waits for {name(row.other)}",
        "rain": f"waits for {on}'s rain, {rain_text(row.value, units)}",
        "wet": f"waits for {on}'s rain: {rain_text(row.value, units)} would get under it",
        "wet after": f"waits for a dry day after it; {on} brings {rain_text(row.value, units)}",
        "wind": f"waits for {on}'s wind, {wind_text(row.value, units)}",
        "cold": f"waits for {on}'s frost, {temp_text(row.value, units)}",
        "hot": f"waits for {on}'s heat, {temp_text(row.value, units)}",
        "weekday": f"the inspector comes {_on(told, row.task)}",
        "lead": f"{row.value:.0f} working days' notice",
        "early": "not before that day",
        "crew": f"{row.value:.0f} hands that day, {project.crew} are there",
        "off": "nobody works that day",
        "booked": "booked",
        "beyond": "beyond the days looked at",
    }
    return words[row.kind]


def _on(told: Scheduled, key: str) -> str:
    days = told.project.task(key).weekdays or frozenset()
    return "only on " + " and ".join(DAYS[day] for day in sorted(days))


def driver_text(told: Scheduled, units: Units) -> tuple[str, str]:
    """(what drives the pour day, in two or three words; the sentence beside it)."""
    cause = next((row for row in told.drives if row.kind != "after"), None)
    project = told.project
    if told.none is not None:
        return none_text(told, units)
    if cause is None:
        short = "The work itself."
    elif cause.kind == "weekday":
        start = next(one.start for one in told.tasks if one.task.key == cause.task)
        short = f"The county's {weekday(project, start)}."
    elif cause.kind in WET:
        short = f"{weekday(project, cause.day)}'s rain."
    elif cause.kind == "lead":
        short = {"plant": "The plant's notice.", "locate": "The locators' notice."}.get(
            cause.task, "The county's notice."
        )
    else:
        short = {
            "wind": f"{weekday(project, cause.day)}'s wind.",
            "cold": f"{weekday(project, cause.day)}'s frost.",
            "hot": f"{weekday(project, cause.day)}'s heat.",
            "crew": "Too few hands.",
        }.get(cause.kind, "The work itself.")
    return short, " ".join(part for part in (_rain_words(told, units), _pour_words(told), _wet_words(told)) if part)


def _rain_words(told: Scheduled, units: Units) -> str:
    for placed in told.tasks:
        if placed.refused and placed.task.key != POUR:
            day = told.project.date_of(placed.start)
            kind = {"wind": "Wind", "cold": "Frost", "hot": "Heat"}.get(placed.refused[0].kind, "Rain")
            return f"{kind} holds the {placed.task.name} till {day_text(day)}."
    return ""


def _pour_words(told: Scheduled) -> str:
    first, pour = told.date_of(told.first_pour), told.placed(POUR)
    if first is None or pour is None:
        return ""
    if pour.task.on is None:
        return f"The first day to pour is {day_text(first)}; none is booked."
    if pour.task.on < told.project.start:
        return "The day that is booked has gone by. Which day?"
    if pour.clash is not None or pour.start != (pour.task.on - told.project.start).days:
        return f"{day_text(pour.task.on)} is booked; {day_text(first)} is the first it can be."
    spare = sum(1 for day in range(told.first_pour or 0, pour.start) if told.project.works(day))
    if spare > 0:
        return f"{day_text(pour.task.on)} is booked, {spare} {'day' if spare == 1 else 'days'} after the first it can be, {day_text(first)}."
    return f"{day_text(pour.task.on)} is booked, and no day to spare."


def _wet_words(told: Scheduled) -> str:
    wet, first = told.date_of(told.wet_pour), told.date_of(told.first_pour)
    if wet is None or first is None or wet == first or told.wet_day is None:
        return ""
    return f"Rain on {weekday(told.project, told.wet_day)} as well: {day_text(wet)}."


def clash_text(placed: Placed, told: Scheduled, units: Units) -> str:
    """What a booking breaks, with who booked it."""
    assert placed.clash is not None
    task, row = placed.task, placed.clash
    name = task.name[0].upper() + task.name[1:]
    on = task.on or told.project.date_of(row.day)
    by = f" by {task.booked_by}" if task.booked_by else ""
    if row.task != task.key:
        other = told.job.named(row.task)
        return f"{name} is booked for {day_text(on)}{by}; {other} cannot be done by then."
    if row.kind == "after":
        return f"{name} is booked for {day_text(on)}{by}, before {told.job.named(row.other)} is done."
    said = why_text(row, told, units).removeprefix("waits for ").removeprefix("a dry day after it; ")
    return f"{name} is booked for {day_text(on)}{by}: {said}."


def none_text(told: Scheduled, units: Units) -> tuple[str, str]:
    """Why there is no plan."""
    row = told.none
    assert row is not None
    name, project = told.job.named(row.task), told.project
    if row.kind == "crew":
        return (
            "No day will do.",
            f"The crew is {project.crew}, the {name} needs {row.value:.0f}. Hire hands, or say who comes.",
        )
    if row.kind == "weekday":
        return (
            "No day will do.",
            f"Nobody comes for the {name} on any day that anybody works. Say other days of the week.",
        )
    if row.kind == "rain":
        return (
            "No dry day.",
            f"Within {project.horizon_days} days the weather leaves none. Look farther ahead, or wait for another forecast.",
        )
    return (
        "No day will do.",
        f"Nothing fits for the {name} within {project.horizon_days} days. Look farther ahead, or take a wait out.",
    )
