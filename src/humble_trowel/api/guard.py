"""What stands in front of every request: same origin only, bodies of limited size, strict headers."""

from __future__ import annotations

import base64
import hashlib
import re
from pathlib import Path

from starlette.datastructures import Headers, MutableHeaders
from starlette.middleware.body_limit import RequestBodyLimitMiddleware
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from humble_trowel.api.errors import problem, too_large
from humble_trowel.settings import MAX_BODY_BYTES, MAX_DRAWING_BYTES, Settings

_INLINE = re.compile(rb"<script(?![^>]*\bsrc=)[^>]*>(.*?)</script>", re.DOTALL)


def policy(index: Path) -> str:
    """Content security policy: own files only, plus the hashes of the built page's own start script."""
    hashes = ""
    if index.exists():
        for body in _INLINE.findall(index.read_bytes()):
            hashes += f" 'sha256-{base64.b64encode(hashlib.sha256(body).digest()).decode()}'"
    return (
        f"default-src 'none'; script-src 'self'{hashes}; style-src 'self' 'unsafe-inline'; img-src 'self' data:; "
        "font-src 'self'; connect-src 'self' ws://127.0.0.1:* ws://localhost:*; manifest-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'"
    )


class Guard:
    """ASGI layer: own origin only, the body's limit by address, the headers. Hosts and counting are the framework's."""

    def __init__(self, app: ASGIApp, settings: Settings, index: Path) -> None:
        self.app = app
        self.settings = settings
        self.limited = {most: RequestBodyLimitMiddleware(app, most) for most in (MAX_BODY_BYTES, MAX_DRAWING_BYTES)}
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
        most = MAX_DRAWING_BYTES if str(scope["path"]).endswith(("/read-points", "/shots-file")) else MAX_BODY_BYTES
        length = headers.get("content-length", "")
        if foreign:
            words = "Another site may not talk to this program."
            await problem(403, "foreign-origin", words, words)(scope, receive, send)
        elif length.isdigit() and int(length) > most:
            await too_large(most)(scope, receive, send)
        else:
            await self.limited[most](scope, receive, self._dressed(send))

    def _dressed(self, send: Send) -> Send:
        async def dressed(message: Message) -> None:
            if message["type"] == "http.response.start":
                MutableHeaders(scope=message).update(self.headers)
            await send(message)

        return dressed
