"""Stands before every address for those who come over the local network: who is it, and may they? And tells everybody
what changed once a request has changed it."""

from __future__ import annotations

import re
from http.cookies import CookieError, SimpleCookie

from starlette.concurrency import run_in_threadpool
from starlette.datastructures import Headers
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from humble_trowel.api.errors import problem
from humble_trowel.api.listener import DEVICE, Listener, device_of, listener_of
from humble_trowel.api.presence import LAPTOP
from humble_trowel.api.site import Site
from humble_trowel.papers.pages import linked
from humble_trowel.site.devices import Device
from humble_trowel.site.roles import OPEN, READING, may

COOKIE = "trowel"
NOT_IN = "This phone has not joined. Point it at the square on the laptop, and type the number the owner reads out."
NOT_YOURS = {
    "crew": "That is for the owner, on the laptop: prices, ways, who comes in, and what is put away.",
    "looker": "You came to look at one job: nothing can be changed from here.",
    "owner": "That is done on the laptop itself: who comes in, and copies.",
}
_JOB = re.compile(r"/api/jobs/([^/]+)(?:/([^/]+))?")
_PAPER = re.compile(r"/api/jobs/([^/]+)/(?:.+/)?[a-z-]+\.pdf")
_KEEPS_NOTHING = {
    "figure",
    "walk",
    "section",
    "order",
    "day",
    "steel",
    "screed",
    "joints",
    "embeds",
    "underslab",
    "gate",
}


def token_of(headers: Headers) -> str:
    """The token that a browser sent, '' where there is none."""
    jar: SimpleCookie = SimpleCookie()
    try:
        jar.load(headers.get("cookie", ""))
    except CookieError:
        return ""
    found = jar.get(COOKIE)
    return found.value if found else ""


class Gatekeeper:
    """ASGI layer between the guard and the routes."""

    def __init__(self, app: ASGIApp, site: Site) -> None:
        self.app, self.site = app, site

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] not in ("http", "websocket"):
            await self.app(scope, receive, send)
            return
        listener, headers = listener_of(scope), Headers(scope=scope)
        if listener is not None and not await self._let_in(scope, headers, listener, receive, send):
            return
        if scope["type"] == "http" and scope["method"] not in READING and scope["path"].startswith("/api/"):
            send = self._telling(scope, headers, send)
        of_job = _PAPER.fullmatch(str(scope["path"]))
        opened = self.site.lan.opened if of_job is not None and self.site.lan is not None else None
        with linked(f"{opened.url}/job/{of_job[1]}" if opened is not None and of_job is not None else ""):
            await self.app(scope, receive, send)

    async def _let_in(self, scope: Scope, headers: Headers, listener: Listener, receive: Receive, send: Send) -> bool:
        path, method = str(scope["path"]), str(scope.get("method", "GET"))
        token = token_of(headers)
        device = await run_in_threadpool(self.site.known, token) if token else None
        scope[DEVICE] = device
        if device is not None:
            self.site.came_by(device, listener.kind)
        if not path.startswith("/api/") or OPEN.fullmatch(path):
            return True
        if device is not None and may(device, method, path):
            return True
        if scope["type"] == "websocket":
            await send({"type": "websocket.close", "code": 4403})
        elif device is None:
            await problem(401, "not-in", "This phone has not joined.", NOT_IN)(scope, receive, send)
        else:
            await problem(403, "not-yours", "That is not yours to do.", NOT_YOURS[device.role])(scope, receive, send)
        return False

    def _telling(self, scope: Scope, headers: Headers, send: Send) -> Send:
        """Sends an answer, and then tells every device where it changed a job."""
        found = _JOB.match(str(scope["path"]))
        of_all = str(scope["path"]) in ("/api/jobs", "/api/ways") or str(scope["path"]).startswith("/api/rules/limits/")
        quiet = found[2] in _KEEPS_NOTHING if found is not None else not of_all
        device: Device | None = device_of(scope)
        good = False

        async def tell(message: Message) -> None:
            nonlocal good
            if message["type"] == "http.response.start":
                good = 200 <= message["status"] < 300
                if good and not quiet:
                    by, tab = device.id if device else LAPTOP, headers.get("x-tab", "")[:64]
                    await run_in_threadpool(self.site.changed, found[1] if found else "", by, tab)
            await send(message)

        return tell
