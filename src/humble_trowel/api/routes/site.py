"""Several devices: joining, who may what, the stream of changes, who is where; opening to the local network."""

from __future__ import annotations

import time
from collections.abc import AsyncIterator
from datetime import UTC, date, datetime, timedelta

from fastapi import APIRouter, HTTPException, Request, Response
from fastapi.responses import JSONResponse
from fastapi.sse import EventSourceResponse, ServerSentEvent
from starlette.concurrency import run_in_threadpool

from humble_trowel.api.errors import NotYours, problem
from humble_trowel.api.gatekeeper import COOKIE
from humble_trowel.api.lan import Lan
from humble_trowel.api.listener import device_of, listener_of
from humble_trowel.api.presence import LAPTOP, Here
from humble_trowel.api.routes.jobs import service_of
from humble_trowel.api.site import Site
from humble_trowel.api.site_schemas import (
    HereSaid,
    HereTold,
    Joined,
    Joining,
    LinkMade,
    Looking,
    Me,
    NewLink,
    SetRole,
    SiteState,
)
from humble_trowel.api.site_told import here_rows, me_of, site_state
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.errors import InputError
from humble_trowel.site.devices import Device
from humble_trowel.site.join_code import WAIT_S
from humble_trowel.site.names import person_name
from humble_trowel.site.square import square_svg
from humble_trowel.store import jobs

router = APIRouter(route_class=StrictRoute, prefix="/api/site", tags=["site"])
YEAR_S = 365 * 24 * 3600


def site_of(request: Request) -> Site:
    """The site of the running program."""
    return service_of(request).site


def only_here(request: Request) -> Site:
    """The site, for what is done on the laptop alone. Raises NotYours for anybody else."""
    if listener_of(request.scope) is not None:
        raise NotYours("owner")
    return site_of(request)


def _lan(request: Request) -> Lan:
    lan = only_here(request).lan
    assert lan is not None
    return lan


@router.get("/hello")
def hello(request: Request) -> Response:
    """A sign that this line can be used, for the page of the other line of this machine."""
    origin = request.headers.get("origin", "")
    headers = {"access-control-allow-origin": origin, "cross-origin-resource-policy": "cross-origin"} if origin else {}
    return JSONResponse({"humble_trowel": "up"}, headers=headers)


@router.get("/me")
def me(request: Request) -> Me:
    """Who asks, and whether somebody can join."""
    return me_of(service_of(request), listener_of(request.scope), device_of(request.scope), request.url.hostname or "")


@router.get("/authority.crt", response_class=Response)
def authority(request: Request) -> Response:
    """The firm's own certificate authority, for a phone to trust."""
    from humble_trowel.site.certificates import as_der

    lan = site_of(request).lan
    line = lan.opened.line if lan is not None and lan.opened is not None else None
    if line is None:
        raise HTTPException(404, "There is no locked line.")
    headers = {"content-disposition": 'attachment; filename="humble-trowel.crt"'}
    return Response(as_der(line.authority), media_type="application/x-x509-ca-cert", headers=headers)


@router.post("/join", response_model=Joined)
def join(request: Request, body: Joining) -> Response:
    """Come in with a name and the number that the owner reads out."""
    site, address = site_of(request), request.client.host if request.client else ""
    waits = site.code.wait_s(address, time.monotonic())
    if waits > 0:
        return _wait(waits)
    person_name(body.name)
    found = site.join(body.name, body.number, address)
    return _wait(WAIT_S) if found is None else _came_in(request, *found)


def _wait(seconds: float) -> Response:
    words = f"Not that one. Wait {max(1, round(seconds))} s, and ask for the number again."
    answer = problem(429, "wrong-number", "That is not the number.", words, path="number")
    answer.headers["retry-after"] = f"{max(1, round(seconds))}"
    return answer


@router.post("/look", response_model=Joined)
def look(request: Request, body: Looking) -> Response:
    """Come in by a link, to look at one job until its last day."""
    found = site_of(request).follow(body.token)
    if found is None:
        words = "This link is over. Ask for a new one."
        return problem(403, "link-over", words, words)
    return _came_in(request, *found)


def _came_in(request: Request, device: Device, token: str) -> Response:
    listener = listener_of(request.scope)
    answer = JSONResponse(Joined(name=device.name, role=device.role, job=device.job_id).model_dump())
    answer.set_cookie(
        COOKIE, token, max_age=YEAR_S, httponly=True, samesite="strict", path="/",
        secure=listener is not None and listener.kind == "locked",
    )  # fmt: skip
    return answer


@router.post("/leave", status_code=204)
def leave(request: Request) -> Response:
    """Leave: this device is known no more."""
    device = device_of(request.scope)
    if device is not None:
        site_of(request).leave(device)
    answer = Response(status_code=204)
    answer.delete_cookie(COOKIE, path="/")
    return answer


@router.get("/stream", include_in_schema=False, response_class=EventSourceResponse)
async def stream(request: Request, last: str = "") -> AsyncIterator[ServerSentEvent]:
    """What changes, as it changes; from where this device was when it comes back."""
    site, device = site_of(request), device_of(request.scope)
    key = device.id if device else LAPTOP
    async for event in site.hub.stream(key, request.headers.get("last-event-id", last)):
        if event is None:
            yield ServerSentEvent(comment="here")
        else:
            yield ServerSentEvent(event=event.kind, id=event.id, data=event.data, retry=1000)
            if event.kind == "hello":
                site.hub.publish("here", {"device": key})


@router.post("/here", status_code=204)
def here(request: Request, body: HereSaid) -> Response:
    """Say where this screen is."""
    site, device = site_of(request), device_of(request.scope)
    name = device.name if device else (person_name(body.name) if body.name.strip() else "")
    kind = listener.kind if (listener := listener_of(request.scope)) else "own"
    said = body.model_dump(exclude={"name"})
    site.here(Here(device=device.id if device else LAPTOP, name=name, line=kind, **said))
    return Response(status_code=204)


@router.get("/who")
def who(request: Request) -> list[HereTold]:
    """Who is where."""
    device = device_of(request.scope)
    rows = here_rows(site_of(request), device.id if device else LAPTOP)
    return [row for row in rows if device is None or device.role != "looker" or row.job == device.job_id]


@router.get("/state")
def state(request: Request) -> SiteState:
    """Everything about who comes in, for the laptop."""
    only_here(request)
    return site_state(service_of(request))


@router.post("/open")
async def open_site(request: Request) -> SiteState:
    """Serve to the local network, and take a phone."""
    lan, site, service = _lan(request), only_here(request), service_of(request)
    await lan.open()
    site.code.renew(time.monotonic())
    await run_in_threadpool(site.devices.note, "laptop", "opened to the local network", service.now())
    site.hub.publish("site", {})
    return await run_in_threadpool(site_state, service)


@router.post("/close")
async def close_site(request: Request) -> SiteState:
    """Serve to this machine alone again."""
    lan, site, service = _lan(request), only_here(request), service_of(request)
    site.code.close()
    await lan.close()
    await run_in_threadpool(site.devices.note, "laptop", "closed to the local network", service.now())
    site.hub.publish("site", {})
    return await run_in_threadpool(site_state, service)


@router.post("/number")
def new_number(request: Request) -> SiteState:
    """A new number, for one phone."""
    only_here(request).code.renew(time.monotonic())
    return site_state(service_of(request))


@router.post("/shut")
def shut(request: Request) -> SiteState:
    """Take no more phones; those that are in stay in."""
    only_here(request).code.close()
    return site_state(service_of(request))


@router.post("/devices/{device_id}/role")
def set_role(request: Request, device_id: str, body: SetRole) -> SiteState:
    """What a device may do."""
    only_here(request).set_role(device_id, body.role)
    return site_state(service_of(request))


@router.post("/devices/{device_id}/throw-out")
def throw_out(request: Request, device_id: str) -> SiteState:
    """Throw a device out; its token counts for nothing from now on."""
    only_here(request).throw_out(device_id)
    return site_state(service_of(request))


@router.post("/links")
def make_link(request: Request, body: NewLink) -> LinkMade:
    """A link for somebody who looks at one job until the end of a day."""
    site, lan, service = only_here(request), _lan(request), service_of(request)
    if lan.opened is None:
        raise InputError("Open to the local network first: the link leads there.", "until")
    name, last = person_name(body.name), date.fromisoformat(body.until)
    with service.open() as db:
        jobs.find(db, body.job)
    until = datetime.combine(last + timedelta(days=1), datetime.min.time()).astimezone().astimezone(UTC)
    if until <= datetime.now(UTC):
        raise InputError("That day is over.", "until")
    if last > date.today() + timedelta(days=366):
        raise InputError("A year is the longest.", "until")
    told = until.isoformat(timespec="seconds")
    token = site.devices.link(name, body.job, told, service.now())
    site.devices.note(name, f"may look until {body.until}", service.now())
    site.hub.publish("site", {})
    url = f"{lan.opened.url}/in#look={token}"  # behind the #: a browser keeps that to itself, so no log holds it
    return LinkMade(url=url, until=body.until, square=square_svg(url))
