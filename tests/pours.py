"""The demo's pour with what phones would write down of it."""

from functools import cache

from humble_trowel.core.job import Job
from humble_trowel.core.pour.day import Said
from humble_trowel.core.pour.records import (
    ActDone,
    ActGiven,
    Front,
    GaugeRead,
    Incident,
    LoadCalled,
    PlantSaid,
    Sawn,
    Ticket,
)
from humble_trowel.core.reading.site_records import NO_RECORDS
from tests.days import day_job, pour

YD = 0.764554857984
KINDS = {
    Ticket: "tickets",
    Front: "fronts",
    ActDone: "acts",
    GaugeRead: "gauges",
    Incident: "incidents",
    LoadCalled: "calls",
    PlantSaid: "plant",
    Sawn: "sawn",
    ActGiven: "given",
}


@cache
def planned():
    """What is known before the first truck."""
    return Job(pour()).pour_planned


def at(minute, zone="-04:00"):
    """A time as a phone writes it, minutes after the first truck should stand there."""
    return planned().clock.iso(minute)[:16] + zone


def ticket(load, minute, **said):
    return Ticket(load=load, at=at(minute), **said)


def here(load, minute, yards=9.0, road=34, **said):
    return ticket(load, minute, arrived_at=at(minute), batched_at=at(minute - road), m3=yards * YD, **said)


def empty(load, minute):
    return ticket(load, minute, empty_at=at(minute))


def tap(minute, part, share, load=None, by=""):
    return Front(at=at(minute), spot=planned().floor.spot_at(part, share), load=load, by=by)


def struck(minute, part, by=""):
    return Front(at=at(minute), strip=planned().floor.parts[part].part.id, by=by)


def said(*rows):
    """Records with ids, by kind."""
    by_kind = {}
    for n, row in enumerate(rows):
        by_kind.setdefault(KINDS[type(row)], []).append((f"r{n}", row))
    return Said(**by_kind)


def job_with(*rows, plan=None):
    """A job with these records on it."""
    job = day_job(plan) if plan is None else Job(plan)
    records = job.records if plan is None else NO_RECORDS
    for n, row in enumerate(rows):
        records = records.plus(f"day{n}", row)
    return Job(job.plan, job.crew, records, before=job)
