"""Serving to the local network: opened on purpose, on the machine's own addresses, in the clear and locked."""

from __future__ import annotations

import asyncio
import socket
from collections.abc import Callable, Iterator
from contextlib import contextmanager, suppress
from dataclasses import dataclass
from datetime import UTC, datetime

import uvicorn
from starlette.types import ASGIApp

from humble_trowel.api.listener import Listener, Through
from humble_trowel.core.errors import InputError
from humble_trowel.settings import Settings
from humble_trowel.site.addresses import is_local, local_addresses
from humble_trowel.site.line import Line

GRACE_S = 1


class Server(uvicorn.Server):
    """One that ends the streams before it waits for what is open: they never end by themselves."""

    def __init__(self, config: uvicorn.Config, end: Callable[[], None]) -> None:
        super().__init__(config)
        self.end = end

    async def shutdown(self, sockets: list[socket.socket] | None = None) -> None:
        self.end()
        await asyncio.sleep(0)
        await super().shutdown(sockets)


class _Line(Server):
    """One that leaves signals to the first."""

    @contextmanager
    def capture_signals(self) -> Iterator[None]:
        yield


@dataclass(frozen=True)
class Opened:
    """addresses: where it is served. plain_port, locked_port. line: its certificates; None where none of the addresses is a
    local one, for which alone the firm's own authority may sign."""

    addresses: tuple[str, ...]
    plain_port: int
    locked_port: int
    line: Line | None

    @property
    def url(self) -> str:
        """The address that the square holds."""
        return f"http://{self.addresses[0]}:{self.plain_port}"

    def locked(self, address: str) -> str:
        """The same over a locked line."""
        return f"https://{address}:{self.locked_port}"


class Lan:
    """Opens and closes the lines; one for each running program."""

    def __init__(self, app: ASGIApp, settings: Settings, end: Callable[[], None], firm: Callable[[], str]) -> None:
        self.app, self.settings, self.end, self.firm = app, settings, end, firm
        self.opened: Opened | None = None
        self._servers: list[tuple[_Line, asyncio.Task[None]]] = []

    async def open(self) -> Opened:
        """Serve to the local network. Raises InputError where there is no network, or a port is taken."""
        from humble_trowel.site.certificates import line_for

        if self.opened is not None:
            await self.close()
        addresses = tuple(self.settings.addresses) or tuple(local_addresses())
        if not addresses:
            raise InputError(
                "This machine is in no network. Make a hotspot on a phone, join it with this machine, then press again."
            )
        plain_port, locked_port = self.settings.site_port, self.settings.site_port + 1
        plain = _bound(addresses, plain_port)
        try:
            locked = _bound(addresses, locked_port)
        except InputError:
            _close(plain)
            raise
        try:
            local = [one for one in addresses if is_local(one)]
            line = (
                line_for(self.settings.data / "site", local, self.firm() or "Humble Trowel", datetime.now(UTC))
                if local
                else None
            )
        except OSError as error:
            _close([*plain, *locked])
            raise InputError(f"The keys of this line cannot be written ({error.strerror or error}).") from None
        self.opened = Opened(addresses, plain_port, locked_port, line)
        pages = frozenset(
            f"{scheme}://{one}:{port}"
            for one in addresses
            for scheme, port in (("http", plain_port), ("https", locked_port))
        )
        also = tuple(self.opened.locked(one) for one in addresses)
        await self._serve(Listener("plain", addresses, pages, also), plain, None)
        if line is not None:
            await self._serve(Listener("locked", addresses, pages), locked, line)
        else:
            _close(locked)
        return self.opened

    async def _serve(self, listener: Listener, sockets: list[socket.socket], line: Line | None) -> None:
        keys = {"ssl_keyfile": str(line.key), "ssl_certfile": str(line.certificate)} if line else {}
        config = uvicorn.Config(
            Through(self.app, listener), lifespan="off", log_level="warning", access_log=False,
            timeout_graceful_shutdown=GRACE_S, **keys,  # type: ignore[arg-type]
        )  # fmt: skip
        server = _Line(config, self.end)
        task = asyncio.create_task(server.serve(sockets=sockets))
        while not server.started and not task.done():
            await asyncio.sleep(0.01)
        if task.done():
            task.result()
        self._servers.append((server, task))

    async def close(self) -> None:
        """Serve to this machine alone again."""
        self.opened = None
        for server, _ in self._servers:
            server.should_exit = True
        for _, task in self._servers:
            with suppress(asyncio.CancelledError):
                await task
        self._servers = []


def _bound(addresses: tuple[str, ...], port: int) -> list[socket.socket]:
    made: list[socket.socket] = []
    for one in addresses:
        own = socket.socket(socket.AF_INET, socket.SOCK_STREAM)
        made.append(own)
        own.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        own.setsockopt(
            socket.IPPROTO_TCP, socket.TCP_NODELAY, 1
        )  # taken over by each connection; asyncio sets it on its own sockets alone
        try:
            own.bind((one, port))
        except OSError as error:
            _close(made)
            raise InputError(f"{one}:{port} cannot be served ({error.strerror}). Give another port: ./trowel site --port {port + 10}") from None  # fmt: skip
    return made


def _close(sockets: list[socket.socket]) -> None:
    for one in sockets:
        one.close()


def opened_words(opened: Opened, number: str) -> str:
    """What the one who started the program reads: addresses, the square, the number."""
    import io

    import segno

    out = io.StringIO()
    segno.make(f"{opened.url}/in", error="m", micro=False).terminal(out, border=2, compact=True)
    lines = [f"Phones come in at {one}:{opened.plain_port}" for one in opened.addresses]
    mark = f"Mark of this firm's own certificates: {opened.line.mark}" if opened.line else ""
    return "\n".join(
        [*lines, mark, out.getvalue(), f"The number for the first phone: {number[:3]} {number[3:]}   (ten minutes)"]
    )
