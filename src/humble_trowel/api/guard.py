"""What stands in front of every request: same origin only, bodies of limited size, strict headers."""

from __future__ import annotations

import base64
import hashlib
import logging
import re
from pathlib import Path

from starlette.datastructures import Headers, MutableHeaders
from starlette.middleware.body_limit import RequestBodyLimitMiddleware
from starlette.middleware.trustedhost import TrustedHostMiddleware
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from humble_trowel.api.errors import problem, stumbled, too_large
from humble_trowel.api.listener import Listener, listener_of, own_listener
from humble_trowel.settings import MAX_BODY_BYTES, MAX_DRAWING_BYTES, MAX_EVERYTHING_BYTES, MAX_PHOTO_BYTES, Settings

log = logging.getLogger("humble_trowel")
_INLINE = re.compile(rb"<script(?![^>]*\bsrc=)[^>]*>(.*?)</script>", re.DOTALL)


def policy(index: Path, also: tuple[str, ...] = ()) -> str:
    """Content security policy: own files only, plus the hashes of the built page's own start script. also: where the page may
    ask besides."""
    hashes = ""
    if index.exists():
        for body in _INLINE.findall(index.read_bytes()):
            hashes += f" 'sha256-{base64.b64encode(hashlib.sha256(body).digest()).decode()}'"
    return (
        f"default-src 'none'; script-src 'self'{hashes}; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; "
        f"font-src 'self'; connect-src 'self' {' '.join(also) or 'ws://127.0.0.1:* ws://localhost:*'}; worker-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'"
    )


_MOST = (MAX_BODY_BYTES, MAX_DRAWING_BYTES, MAX_PHOTO_BYTES, MAX_EVERYTHING_BYTES)


def _most(path: str) -> int:
    """Bytes that a body may have at an address."""
    if path.endswith(("/read-points", "/shots-file", "/weather-file")):
        return MAX_DRAWING_BYTES
    if path == "/api/site/everything":
        return MAX_EVERYTHING_BYTES
    return MAX_PHOTO_BYTES if "/photos/" in path else MAX_BODY_BYTES


HELLO = "/api/site/hello"  # asked by the page of the plain line, to see whether the locked one is trusted


class Door:
    """What stands before the application for one listener: hosts and counting are the framework's."""

    def __init__(self, app: ASGIApp, listener: Listener, index: Path) -> None:
        self.origins = listener.origins
        hosts = TrustedHostMiddleware(app, allowed_hosts=list(listener.hosts), www_redirect=False)
        self.app: ASGIApp = hosts
        self.limited = {most: RequestBodyLimitMiddleware(hosts, most) for most in _MOST}
        self.headers = {
            "content-security-policy": policy(index, listener.also),
            "x-content-type-options": "nosniff",
            "x-frame-options": "DENY",
            "referrer-policy": "no-referrer",
            "cross-origin-opener-policy": "same-origin",
            "cross-origin-resource-policy": "same-origin",
        }


class Guard:
    """ASGI layer: own origin only, the body's limit by address, the headers; for each listener its own hosts and origins."""

    def __init__(self, app: ASGIApp, settings: Settings, index: Path) -> None:
        self.app, self.index = app, index
        self.doors: dict[Listener, Door] = {}
        self.own = own_listener(settings)

    def door(self, scope: Scope) -> Door:
        """The door of the listener by which a request came in."""
        listener = listener_of(scope) or self.own
        if listener not in self.doors:
            self.doors[listener] = Door(self.app, listener, self.index)
        return self.doors[listener]

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] not in ("http", "websocket"):
            await self.app(scope, receive, send)
            return
        headers, door = Headers(scope=scope), self.door(scope)
        foreign = headers.get("origin") not in (None, *door.origins)
        if scope["type"] == "websocket":
            if foreign:
                await send({"type": "websocket.close", "code": 4403})
            else:
                await door.app(scope, receive, send)
            return
        dressed = Dressed(send, door.headers)
        most = _most(str(scope["path"]))
        length = headers.get("content-length", "")
        asks_hello = scope["path"] == HELLO and scope["method"] == "GET" and not foreign
        if foreign or (_from_elsewhere(scope, headers) and not asks_hello):
            words = "Another site may not talk to this program."
            await problem(403, "foreign-origin", words, words)(scope, receive, dressed)
        elif length.isdigit() and int(length) > most:
            await too_large(most)(scope, receive, dressed)
        else:
            await self._answer(door.limited[most], scope, receive, dressed)

    async def _answer(self, app: ASGIApp, scope: Scope, receive: Receive, send: Dressed) -> None:
        """What the program answers; what it stumbles over is written down and said in plain words."""
        try:
            await app(scope, receive, send)
        except Exception:
            if send.begun:
                raise
            log.exception("Stumbled over %s %s", scope["method"], scope["path"])
            await stumbled()(scope, receive, send)


def _from_elsewhere(scope: Scope, headers: Headers) -> bool:
    """Whether another site's page sent it. A person who follows a link to a page of ours may."""
    if headers.get("sec-fetch-site") != "cross-site":
        return False
    follows = headers.get("sec-fetch-mode") == "navigate" and headers.get("sec-fetch-dest") == "document"
    return not (follows and scope["method"] == "GET" and not str(scope["path"]).startswith("/api"))


class Dressed:
    """Sends an answer with the headers that every one has; a refusal in a framework's own words becomes a problem."""

    def __init__(self, send: Send, headers: dict[str, str]) -> None:
        self.send, self.headers = send, headers
        self.begun = self.instead = False

    async def __call__(self, message: Message) -> None:
        if message["type"] == "http.response.start":
            self.begun = True
            MutableHeaders(scope=message).update(self.headers)
            kind = Headers(scope=message).get("content-type", "")
            if message["status"] >= 400 and kind.startswith("text/plain"):
                self.instead = True
                await self._plain(message["status"])
                return
        if not self.instead:
            await self.send(message)

    async def _plain(self, status: int) -> None:
        words = "This program is not served under that name." if status == 400 else "That cannot be answered."
        answer = problem(status, "http", words, words)
        MutableHeaders(raw=answer.raw_headers).update(self.headers)
        await self.send({"type": "http.response.start", "status": status, "headers": answer.raw_headers})
        await self.send({"type": "http.response.body", "body": answer.body})
