"""Serve it, with demo data or your own."""

from __future__ import annotations

import ipaddress
import socket
from contextlib import closing
from dataclasses import replace
from datetime import UTC, datetime
from typing import Annotated

import typer

from humble_trowel.cli.keeping import DemoOption, copy_when_due, require_sound
from humble_trowel.cli.shared import DataOption, app, settings_of, stop
from humble_trowel.settings import Settings, calm_memory

MOST_PORT = 65535
PortOption = Annotated[int, typer.Option("--port", metavar="N", help="Where it is served.")]


def prepare(settings: Settings, demo: bool) -> None:
    """The data checked, a copy made where it is time, and brought up to date; stops in plain words where that cannot be."""
    import sqlite3

    from humble_trowel.demo.load import load_demo
    from humble_trowel.store.db import connect
    from humble_trowel.store.migrate import NewerDatabase, migrate

    now = datetime.now(UTC).isoformat(timespec="seconds")
    if settings.database.exists():
        require_sound(settings)
        copy_when_due(settings, now[:10])
    try:
        with closing(connect(settings.database)) as db:
            migrate(db)
            if demo and db.execute("select count(*) from jobs").fetchone()[0] == 0:
                load_demo(db, now)
    except NewerDatabase as error:
        stop(f"{settings.database}: {error}")
    except sqlite3.Error as error:
        stop(f"{settings.database}: the data cannot be opened ({error}).")


def _port(port: int) -> int:
    if not 1 <= port <= MOST_PORT:
        stop(f"There is no port {port}. Give one from 1024 to {MOST_PORT}.")
    return port


def _another(port: int) -> int:
    return port + 1 if port < MOST_PORT else port - 1


def _serve(settings: Settings, command: str) -> None:
    import uvicorn

    from humble_trowel.api.app import WEB, make_app
    from humble_trowel.api.lan import Server

    if not (WEB / "index.html").exists():
        stop("The front end is not built. Start with ./trowel, which builds it.")
    with closing(socket.socket(socket.AF_INET, socket.SOCK_STREAM)) as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind(("127.0.0.1", settings.port))
        except OSError:
            stop(f"Port {settings.port} is taken. Give another: ./trowel {command} --port {_another(settings.port)}")
    typer.echo(f"Humble Trowel is at http://127.0.0.1:{settings.port}   (Ctrl-C stops it)")
    app = make_app(replace(settings, background=True, copies=True))
    config = uvicorn.Config(
        app,
        host="127.0.0.1",
        port=settings.port,
        log_level="warning",
        access_log=False,
        timeout_graceful_shutdown=2,  # streams stay open by themselves
    )
    calm_memory()
    Server(config, app.state.service.site.hub.end).run()


@app.command()
def demo(
    port: PortOption = 8710,
    fresh: Annotated[bool, typer.Option("--fresh", help="Reset the demo data.")] = False,
    data: DataOption = None,
) -> None:
    """Serve with demo data of its own."""
    settings = settings_of(data, _port(port), True)
    if fresh:
        for path in settings.data.glob(settings.database.name + "*"):
            path.unlink()
    prepare(settings, True)
    _serve(settings, "demo")


@app.command()
def serve(port: PortOption = 8710, data: DataOption = None) -> None:
    """Serve with your own data."""
    settings = settings_of(data, _port(port), False)
    prepare(settings, False)
    _serve(settings, "serve")


@app.command()
def site(
    port: PortOption = 8710,
    site_port: Annotated[
        int,
        typer.Option("--site-port", metavar="N", help="Where phones come in; the locked line is the port after it."),
    ] = 8743,
    address: Annotated[
        list[str] | None, typer.Option("--address", metavar="IP", help="Serve on this address of the machine alone.")
    ] = None,
    demo: DemoOption = False,
    data: DataOption = None,
) -> None:
    """Serve with your own data, to phones on the local network too."""
    settings = settings_of(data, _port(port), demo)
    if _port(site_port) >= MOST_PORT or port in (site_port, site_port + 1):
        stop(f"Port {site_port} and the one after it cannot be used beside {port}. Give another: --site-port 8743")
    for one in address or []:
        _address(one)
    prepare(settings, demo)
    given = replace(settings, site_port=site_port, addresses=tuple(address or ()), opens=True, tell=_tell)
    _serve(given, "site")


def _tell(words: str) -> None:
    """Say it; without the square where a terminal cannot show it."""
    try:
        typer.echo(words)
    except UnicodeEncodeError:
        typer.echo("\n".join(line for line in words.encode("ascii", "ignore").decode().splitlines() if line.strip()))


def _address(typed: str) -> None:
    try:
        ipaddress.IPv4Address(typed)
    except ValueError:
        stop(f"{typed} is no address of this machine. It looks like 192.168.1.20")
