"""Lines of JSON on a socket, as devices talk."""

from __future__ import annotations

from typing import Any

from fastapi import WebSocket


async def line_of(socket: WebSocket) -> Any:
    """The next line that was said; None where it is no JSON."""
    try:
        return await socket.receive_json()
    except (ValueError, KeyError):
        return None
