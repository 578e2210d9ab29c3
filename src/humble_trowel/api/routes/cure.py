"""The weeks after the pour: the cure at an hour, blankets tried, the probe."""

from __future__ import annotations

import zlib
from datetime import datetime

import numpy as np
from fastapi import APIRouter, Request

from humble_trowel.api.cure_schemas import CureAsk, CureState, ProbeAsk, ProbeReading, ProbeRows
from humble_trowel.api.routes.jobs import JobId, service_of
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.errors import InputError
from humble_trowel.standins.probe import StandInProbe

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}/cure", tags=["cure"])
SOON_S, MOST_H = 0.0, 31 * 24


@router.post("")
def cure(request: Request, job_id: JobId, body: CureAsk) -> CureState:
    """The cure at an hour."""
    service = service_of(request)
    job = service.laid_out(job_id)
    clock = job.cure_clock
    if clock is None:
        return CureState(missing="day", findings=job.place_findings)
    if not job.day_asked:
        return CureState(missing="weather")
    service.counting(job, job_id, ("day", "day_run") if job.came_late else ("day",), SOON_S)
    now = None if body.at is None else clock.hour_at(body.at)
    there = {zone.id for zone in job.plan.zones}
    if any(zone not in there for zone in body.blankets):
        raise InputError("That zone is not on the plan any more. Press another one.", "blankets")
    at_h = now if now is not None else job.cure_now_h
    told = job.cure_told(now, (list(body.blankets), at_h) if body.blankets and at_h is not None else None)
    return CureState(told=told, missing="" if told else "loads", trying=bool(body.blankets), findings=job.cure_findings)


@router.post("/read-probe")
def read_probe(request: Request, job_id: JobId, body: ProbeAsk) -> ProbeRows:
    """What the probe of a zone kept. Raises InputError for a zone without concrete, or a span that is none."""
    job = service_of(request).laid_out(job_id)
    clock, warmth = job.cure_clock, job.warmth
    own = next((one for one in warmth.zones if one.zone == body.zone), None) if warmth else None
    if clock is None or warmth is None or own is None:
        raise InputError("Nothing lies there yet that a probe could read.", "zone")
    begin, end = clock.hour_at(body.since), clock.hour_at(body.until)
    if not 0 <= end - begin <= MOST_H:
        raise InputError("Say from when until when, a month at most.", "until")
    air_h, air_c = [row.hour_h for row in warmth.hours], [row.air_c for row in warmth.hours]

    def truth(at: datetime) -> float:
        return float(np.interp(clock.hour_of(at), own.hours_h, own.temp_c))

    def air(at: datetime) -> float:
        return float(np.interp(clock.hour_of(at), air_h, air_c))

    since = clock.at(max(begin, float(own.hours_h[0]))).isoformat()
    until = clock.at(end).isoformat()
    number = [one.zone for one in warmth.zones].index(own.zone) + 1
    probe = StandInProbe(truth, air, zlib.crc32(f"{job_id} {own.zone}".encode()), body.fault)
    rows = probe.read(since, until) if end > float(own.hours_h[0]) else []
    return ProbeRows(probe=f"probe {number}", rows=[ProbeReading(at=row.at, temp_c=row.temp_c) for row in rows])
