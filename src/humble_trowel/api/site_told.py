"""What screens are told of who is in and who could come in."""

from __future__ import annotations

import time
from collections import Counter

from humble_trowel.api.lan import Opened
from humble_trowel.api.listener import Listener
from humble_trowel.api.presence import LAPTOP
from humble_trowel.api.service import Service
from humble_trowel.api.site import Site
from humble_trowel.api.site_schemas import AddressShown, CameIn, DeviceRow, HereTold, Me, SiteState
from humble_trowel.core.errors import TrowelError
from humble_trowel.core.record_kinds import KIND_OF
from humble_trowel.site.addresses import is_local, local_addresses
from humble_trowel.site.devices import Device
from humble_trowel.site.square import square_svg
from humble_trowel.store import jobs, records
from humble_trowel.store.jobs import NoSuchJob, Unreadable

CAME = 12


def me_of(service: Service, listener: Listener | None, device: Device | None, host: str) -> Me:
    """Who asks. What there is to choose from is told while a number is taken, and to nobody else."""
    site = service.site
    if listener is None:
        return Me(line="own", device="", name="", role="owner")
    opened = site.lan.opened if site.lan is not None else None
    locked = opened.locked(host) if opened is not None and opened.line is not None else ""
    own = Me(
        line=listener.kind, device=device.id if device else "", name=device.name if device else "",
        role=device.role if device else None, job=device.job_id if device else None, until=device.until if device else None,
        locked_url=locked, mark=opened.line.mark if opened is not None and opened.line is not None else "",
    )  # fmt: skip
    if device is not None or site.code.left_s(time.monotonic()) <= 0:
        return own
    with service.open() as db:
        _, crew = service.ways(db)
        shown = next((one.job for one in site.presence.every() if one.device == LAPTOP), "")
        try:
            plan = service.job(db, jobs.head(db, shown), passing=True).plan if shown else None
        except (NoSuchJob, Unreadable, TrowelError):
            plan = None
    own.open, own.names = True, [person.name for person in crew.crew]
    own.busy = [one.name for one in site.devices.every() if one.thrown_at is None and one.role != "looker"]
    if plan is not None:
        own.showing, own.outline = plan.name, [(x, y) for x, y in plan.outline or []]
    return own


def marks_of(devices: list[Device]) -> dict[str, str]:
    """What tells two of one name apart: 1, 2 in the order they came; '' for a name that is there once."""
    named = Counter(one.name for one in devices)
    seen: Counter[str] = Counter()
    marks = {}
    for one in devices:
        seen[one.name] += 1
        marks[one.id] = f"{seen[one.name]}" if named[one.name] > 1 else ""
    return marks


def here_rows(site: Site, own: str) -> list[HereTold]:
    """Where everybody is who is in."""
    marks = marks_of([one for one in site.devices.every() if one.thrown_at is None])
    return [
        HereTold(
            device=one.device, name=one.name, mark=marks.get(one.device, ""), job=one.job, lens=one.lens, tab=one.tab,
            part=one.part, spot_mm=one.spot_mm, waits=one.waits, reach=site.reachable(one.device), line=one.line,
            own=one.device == own,
        )
        for one in site.presence.every()
        if one.device == LAPTOP or one.device in marks
    ]  # fmt: skip


def site_state(service: Service) -> SiteState:
    """Everything about who comes in."""
    site = service.site
    opened, now_s = site.lan.opened if site.lan is not None else None, time.monotonic()
    devices = site.devices.every()
    marks, here = (
        marks_of([one for one in devices if one.thrown_at is None]),
        {row.device: row for row in here_rows(site, LAPTOP)},
    )
    rows = [
        DeviceRow(
            id=one.id, name=one.name, mark=marks.get(one.id, ""), role=one.role, job=one.job_id, until=one.until,
            joined_at=one.joined_at, thrown_at=one.thrown_at, line=site.line_of(one.id), here=here.get(one.id),
        )
        for one in devices
    ]  # fmt: skip
    addresses = [_address(opened, one) for one in opened.addresses] if opened is not None else []
    return SiteState(
        open=opened is not None, addresses=addresses, square=square_svg(f"{opened.url}/in") if opened else "",
        number=site.code.number if site.code.left_s(now_s) > 0 else "", left_s=site.code.left_s(now_s), wrong=site.code.wrong,
        ended_by_tries=site.code.ended_by_tries, mark=opened.line.mark if opened is not None and opened.line else "",
        devices=rows, came=_came(service), moved=_moved(site),
    )  # fmt: skip


def _address(opened: Opened, address: str) -> AddressShown:
    typed = f"{address}:{opened.plain_port}"
    locked = opened.locked(address) if opened.line is not None and is_local(address) else ""
    return AddressShown(typed=typed, plain_url=f"http://{typed}", locked_url=locked)


def _moved(site: Site) -> bool:
    """Whether this machine has other addresses than those that it was opened on."""
    opened = site.lan.opened if site.lan is not None else None
    if opened is None or site.settings.addresses:
        return False
    return set(local_addresses()) != set(opened.addresses)


def _came(service: Service) -> list[CameIn]:
    """Who came and what came of them, the newest first."""
    rows = [
        CameIn(at=one.at, who=one.who, kind="", what=one.what, job="") for one in service.site.devices.happened(CAME)
    ]
    with service.open() as db:
        units: dict[str, str] = {}
        for row in records.last(db, CAME):
            try:
                if row.job_id not in units:
                    units[row.job_id] = service.job(db, jobs.head(db, row.job_id), passing=True).plan.units
                own = KIND_OF[row.kind]
                shown = " ".join(own.shown(own.read(row.document, units[row.job_id]), units[row.job_id])[:3])  # type: ignore[arg-type]
            except (TrowelError, NoSuchJob, Unreadable, KeyError):
                continue
            rows.append(CameIn(at=row.at, who=row.who, kind=row.kind, what=shown, job=row.job_id))
    return sorted(rows, key=lambda one: one.at, reverse=True)[:CAME]
