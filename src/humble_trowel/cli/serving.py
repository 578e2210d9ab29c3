"""Serve it, with demo data or your own."""

from __future__ import annotations

import socket
from contextlib import closing
from dataclasses import replace
from datetime import UTC, datetime
from typing import Annotated

import typer

from humble_trowel.cli.keeping import copy_when_due, require_sound
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

    if not (WEB / "index.html").exists():
        stop("The front end is not built. Start with ./trowel, which builds it.")
    with closing(socket.socket(socket.AF_INET, socket.SOCK_STREAM)) as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind(("127.0.0.1", settings.port))
        except OSError:
            stop(f"Port {settings.port} is taken. Give another: ./trowel {command} --port {_another(settings.port)}")
    typer.echo(f"Humble Trowel is at http://127.0.0.1:{settings.port}   (Ctrl-C stops it)")
    config = uvicorn.Config(
        make_app(replace(settings, background=True, copies=True)),
        host="127.0.0.1",
        port=settings.port,
        log_level="warning",
        access_log=False,
    )
    calm_memory()
    uvicorn.Server(config).run()


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
