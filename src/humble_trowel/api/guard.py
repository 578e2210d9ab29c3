"""What stands in front of every request: same origin only, bodies of limited size, strict headers."""

from __future__ import annotations

import base64
import hashlib
import logging
import re
from pathlib import Path

from starlette.datastructures import Headers, MutableHeaders
from starlette.middleware.body_limit import RequestBodyLimitMiddleware
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from humble_trowel.api.errors import problem, stumbled, too_large
from humble_trowel.settings import MAX_BODY_BYTES, MAX_DRAWING_BYTES, MAX_PHOTO_BYTES, Settings

log = logging.getLogger("humble_trowel")
_INLINE = re.compile(rb"<script(?![^>]*\bsrc=)[^>]*>(.*?)</script>", re.DOTALL)


def policy(index: Path) -> str:
    """Content security policy: own files only, plus the hashes of the built page's own start script."""
    hashes = ""
    if index.exists():
        for body in _INLINE.findall(index.read_bytes()):
            hashes += f" 'sha256-{base64.b64encode(hashlib.sha256(body).digest()).decode()}'"
    return (
        f"default-src 'none'; script-src 'self'{hashes}; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; "
        "font-src 'self'; connect-src 'self' ws://127.0.0.1:* ws://localhost:*; manifest-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'"
    )


_MOST = (MAX_BODY_BYTES, MAX_DRAWING_BYTES, MAX_PHOTO_BYTES)


def _most(path: str) -> int:
    """Bytes that a body may have at an address."""
    if path.endswith(("/read-points", "/shots-file", "/weather-file")):
        return MAX_DRAWING_BYTES
    return MAX_PHOTO_BYTES if "/photos/" in path else MAX_BODY_BYTES


class Guard:
    """ASGI layer: own origin only, the body's limit by address, the headers. Hosts and counting are the framework's."""

    def __init__(self, app: ASGIApp, settings: Settings, index: Path) -> None:
        self.app = app
        self.settings = settings
        self.limited = {most: RequestBodyLimitMiddleware(app, most) for most in _MOST}
        self.headers = {
            "content-security-policy": policy(index),
            "x-content-type-options": "nosniff",
            "referrer-policy": "no-referrer",
            "cross-origin-opener-policy": "same-origin",
            "cross-origin-resource-policy": "same-origin",
        }

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] not in ("http", "websocket"):
            await self.app(scope, receive, send)
            return
        headers = Headers(scope=scope)
        foreign = headers.get("origin") not in (None, *self.settings.allowed_origins)
        if scope["type"] == "websocket":
            if foreign:
                await send({"type": "websocket.close", "code": 4403})
            else:
                await self.app(scope, receive, send)
            return
        dressed = Dressed(send, self.headers)
        most = _most(str(scope["path"]))
        length = headers.get("content-length", "")
        if foreign or _from_elsewhere(scope, headers):
            words = "Another site may not talk to this program."
            await problem(403, "foreign-origin", words, words)(scope, receive, dressed)
        elif length.isdigit() and int(length) > most:
            await too_large(most)(scope, receive, dressed)
        else:
            await self._answer(self.limited[most], scope, receive, dressed)

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
