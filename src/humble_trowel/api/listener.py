"""How a request came in: from this machine itself, over the local network in the clear, or locked."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from starlette.types import ASGIApp, Receive, Scope, Send

from humble_trowel.settings import Settings
from humble_trowel.site.devices import Device

Kind = Literal["own", "plain", "locked"]
KEY, DEVICE = "trowel.listener", "trowel.device"


@dataclass(frozen=True)
class Listener:
    """hosts: names under which it is served. origins: pages that may talk to it. also: where its page may ask besides (the
    locked line, to see whether it is trusted)."""

    kind: Kind
    hosts: tuple[str, ...]
    origins: frozenset[str]
    also: tuple[str, ...] = ()


def own_listener(settings: Settings) -> Listener:
    """This machine itself."""
    return Listener("own", tuple(settings.host_names), settings.allowed_origins)


class Through:
    """Marks every request that comes in by a listener; nothing a request says can change that."""

    def __init__(self, app: ASGIApp, listener: Listener) -> None:
        self.app, self.listener = app, listener

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] in ("http", "websocket"):
            scope[KEY] = self.listener
        await self.app(scope, receive, send)


def listener_of(scope: Scope) -> Listener | None:
    """Which one a request came in by; None of this machine itself."""
    found = scope.get(KEY)
    return found if isinstance(found, Listener) else None


def device_of(scope: Scope) -> Device | None:
    """The device that a request came from; None of this machine itself."""
    found = scope.get(DEVICE)
    return found if isinstance(found, Device) else None


def owns(scope: Scope) -> bool:
    """Whether a request may see prices."""
    device = device_of(scope)
    return device is None or device.role == "owner"
