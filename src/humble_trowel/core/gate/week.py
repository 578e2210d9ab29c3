"""All jobs and every person on one week: who is where, who is in two places, a crew too small for its pour, pours that want the same plant at once."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from datetime import date, timedelta

from humble_trowel.core.gate.week_parts import LaneJob, PersonTold, Stop, WayOut, WeekClash, WeekJob, WeekTask, WeekTold
from humble_trowel.core.units import number_word

SHOWN_DAYS = 7
PLANT_APART_MIN = 60.0
AHEAD_DAYS = 10


def letters_of(names: Sequence[str]) -> dict[str, str]:
    """A letter a person; two where the first is taken."""
    taken: dict[str, str] = {}
    for name in names:
        short = name[:1].upper()
        for more in (name[:2].capitalize(), name[:3].capitalize(), name):
            if short not in taken.values():
                break
            short = more
        taken[name] = short
    return taken


def week_of(jobs: Sequence[WeekJob], crew: Sequence[str], start: date) -> WeekTold:
    """The week from a day on. crew: everybody."""
    days = [start + timedelta(days=at) for at in range(SHOWN_DAYS)]
    names = list(dict.fromkeys([*crew, *(who for job in jobs for task in job.tasks for who in task.people)]))
    stops = [stop for job in jobs for stop in _stops(job, jobs, crew, days)]
    lanes = [job for job in jobs if any(stop.job == job.id for stop in stops)]
    letters = letters_of(names)
    people = [_person(name, letters[name], stops) for name in names]
    clashes = [*_twice(people, lanes, days), *_short(stops, lanes, days), *_plant(jobs, days)]
    clashes.sort(key=lambda one: one.day)
    verdict, beside = _words(clashes, stops)
    pours = {stop.job for stop in stops if stop.pour}
    return WeekTold(
        [day.isoformat() for day in days], [LaneJob(job.id, job.name, job.outline, job.openings, job.order_text) for job in lanes], stops,
        [one for one in people if one.stops or one.name in crew], clashes, _ways_out(jobs, crew, clashes, days),
        [[one for one in crew if all(at != day for at, _ in _stops_of(one, stops))] for day in range(SHOWN_DAYS)], verdict, beside,
        sum(job.order_m3 for job in jobs if job.id in pours),
    )  # fmt: skip


def _on(job: WeekJob, day: date) -> list[WeekTask]:
    return [task for task in job.tasks if task.first <= day <= task.last]


def _free(jobs: Sequence[WeekJob], crew: Sequence[str], day: date, but: str) -> int:
    """Hands of the crew that no other job has on a day."""
    busy = {who for job in jobs if job.id != but for task in _on(job, day) for who in task.people}
    return sum(1 for who in crew if who not in busy)


def _stops(job: WeekJob, jobs: Sequence[WeekJob], crew: Sequence[str], days: Sequence[date]) -> list[Stop]:
    rows = []
    for at, day in enumerate(days):
        own = _on(job, day)
        if not own:
            continue
        pour = next((task for task in own if task.at_h is not None), None)
        people = list(dict.fromkeys(who for task in own for who in task.people))
        needed = max((task.hands for task in own), default=0)
        have = len(people) if people else _free(jobs, crew, day, job.id) if crew else needed
        clock = "" if pour is None or pour.at_h is None else clock_text(pour.at_h)
        words = f"pour {clock}" if pour else " and ".join(dict.fromkeys(task.name for task in own))
        rows.append(
            Stop(job.id, at, words, people, pour is not None, max(0, needed - have) if pour else 0, needed, clock)
        )
    return rows


def clock_text(hour: float) -> str:
    """'6:30'."""
    minutes = round(hour * 60)
    return f"{minutes // 60}:{minutes % 60:02d}"


def _stops_of(name: str, stops: Sequence[Stop]) -> list[tuple[int, str]]:
    return sorted((stop.day, stop.job) for stop in stops if name in stop.people)


def _person(name: str, letter: str, stops: Sequence[Stop]) -> PersonTold:
    own = _stops_of(name, stops)
    days = [day for day, _ in own]
    return PersonTold(name, letter, own, sorted({day for day in days if days.count(day) > 1}))


def _twice(people: Sequence[PersonTold], lanes: Sequence[WeekJob], days: Sequence[date]) -> list[WeekClash]:
    names = {job.id: job.name for job in lanes}
    return [
        WeekClash(
            "twice", day, f"{one.name} is called to {' and '.join(names[job] for at, job in one.stops if at == day)} on {_day(days[day])}.",
            [job for at, job in one.stops if at == day], one.name,
        )
        for one in people
        for day in one.twice
    ]  # fmt: skip


def _short(stops: Sequence[Stop], lanes: Sequence[WeekJob], days: Sequence[date]) -> list[WeekClash]:
    names = {job.id: job.name for job in lanes}
    return [
        WeekClash("short", stop.day, f"{names[stop.job]} pours on {_day(days[stop.day])} with {stop.needed - stop.short} hands and needs {stop.needed}.", [stop.job], "")
        for stop in stops
        if stop.short
    ]  # fmt: skip


def _plant(jobs: Sequence[WeekJob], days: Sequence[date]) -> list[WeekClash]:
    pours = [(task.first, task.at_h, job) for job in jobs for task in job.tasks if task.at_h is not None]
    rows = []
    for i, (day, at_h, job) in enumerate(pours):
        for other_day, other_h, other in pours[i + 1 :]:
            if day != other_day or day not in days or abs(at_h - other_h) * 60 >= PLANT_APART_MIN:
                continue
            words = (
                f"{job.name} at {clock_text(at_h)} and {other.name} at {clock_text(other_h)} on {_day(day)}: one plant."
            )
            rows.append(WeekClash("plant", days.index(day), words, [job.id, other.id], ""))
    return rows


def _day(day: date) -> str:
    return f"{day:%a} {day.day} {day:%b}"


def _words(clashes: Sequence[WeekClash], stops: Sequence[Stop]) -> tuple[str, str]:
    twice = [one for one in clashes if one.kind == "twice"]
    beside = " ".join(one.words for one in clashes[:2])
    if twice:
        return f"{twice[0].person} is in two places.", beside
    if clashes:
        return {"short": "Too few hands.", "plant": "One plant, two pours."}[clashes[0].kind], beside
    if not stops:
        return "Nothing is booked.", "Book a task of a job, and say who comes."
    pours = sum(1 for stop in stops if stop.pour)
    return (
        "It goes together.",
        f"{number_word(pours).capitalize()} {'pour' if pours == 1 else 'pours'}, nobody in two places.",
    )


def _ways_out(
    jobs: Sequence[WeekJob], crew: Sequence[str], clashes: Sequence[WeekClash], days: Sequence[date]
) -> list[WayOut]:
    """For the later pour of each clash, the next day on which its hands are free and the plant has no other."""
    rows: dict[str, WayOut] = {}
    by_id: Mapping[str, WeekJob] = {job.id: job for job in jobs}
    for clash in clashes:
        pours = [
            (task, by_id[name])
            for name in clash.jobs
            for task in by_id[name].tasks
            if task.at_h is not None and task.first == days[clash.day]
        ]
        if not pours:
            continue
        task, job = max(pours, key=lambda one: one[0].at_h or 0.0)
        if job.id in rows:
            continue
        for ahead in range(1, AHEAD_DAYS):
            day = task.first + timedelta(days=ahead)
            others = any(
                one.at_h is not None and one.first == day for other in jobs if other.id != job.id for one in other.tasks
            )
            if day.weekday() < 6 and not others and _free(jobs, crew, day, job.id) >= task.hands:
                rows[job.id] = WayOut(job.id, job.name, day.isoformat(), f"{job.name}, {_day(day)}?")
                break
    return list(rows.values())
