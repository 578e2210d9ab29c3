"""What stands in front of every request: same origin only, bodies of limited size, strict headers."""

from __future__ import annotations

import base64
import hashlib
import json
import re
from pathlib import Path

from starlette.types import ASGIApp, Message, Receive, Scope, Send

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


class TooLarge(Exception):
    """The body passed the limit while being read."""


class Guard:
    """ASGI layer: checks Host and Origin, limits the body, adds the headers."""

    def __init__(self, app: ASGIApp, settings: Settings, index: Path) -> None:
        self.app = app
        self.settings = settings
        self.headers = [
            (b"content-security-policy", policy(index).encode()),
            (b"x-content-type-options", b"nosniff"),
            (b"referrer-policy", b"no-referrer"),
            (b"cross-origin-opener-policy", b"same-origin"),
            (b"cross-origin-resource-policy", b"same-origin"),
        ]

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] == "websocket":
            if self._refused(dict(scope["headers"]), 0):
                await send({"type": "websocket.close", "code": 4403})
                return
            await self.app(scope, receive, send)
            return
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return
        headers = dict(scope["headers"])
        most = MAX_DRAWING_BYTES if str(scope["path"]).endswith(("/read-points", "/shots-file")) else MAX_BODY_BYTES
        refused = self._refused(headers, most)
        if refused:
            await _answer(send, *refused)
            return
        seen = 0
        started = False

        async def limited() -> Message:
            nonlocal seen
            message = await receive()
            seen += len(message.get("body", b""))
            if seen > most:
                raise TooLarge
            return message

        async def dressed(message: Message) -> None:
            nonlocal started
            if message["type"] == "http.response.start":
                started = True
                message["headers"] = [*message["headers"], *self.headers]
            await send(message)

        try:
            await self.app(scope, limited, dressed)
        except TooLarge:
            if not started:
                await _answer(send, 413, "too-large", _too_large(most))

    def _refused(self, headers: dict[bytes, bytes], most: int) -> tuple[int, str, str] | None:
        host = headers.get(b"host", b"").decode("latin-1")
        if host not in self.settings.hosts:
            return 403, "foreign-host", "This address is not served here."
        origin = headers.get(b"origin")
        if origin is not None and origin.decode("latin-1") not in self.settings.allowed_origins:
            return 403, "foreign-origin", "Another site may not talk to this program."
        if int(headers.get(b"content-length", b"0") or 0) > most:
            return 413, "too-large", _too_large(most)
        return None


def _too_large(most: int) -> str:
    what = "A job file has" if most == MAX_BODY_BYTES else "A drawing has"
    return f"That is over {most // 1_000_000} MB. {what} {most // 1_000_000} MB at most."


async def _answer(send: Send, status: int, code: str, detail: str) -> None:
    body = json.dumps(
        {"type": f"/problems/{code}", "code": code, "title": detail, "status": status, "detail": detail, "path": "",
         "choices": [], "head": None}
    ).encode()  # fmt: skip
    start: Message = {
        "type": "http.response.start",
        "status": status,
        "headers": [
            (b"content-type", b"application/problem+json"),
            (b"content-length", str(len(body)).encode()),
        ],
    }
    await send(start)
    await send({"type": "http.response.body", "body": body})
