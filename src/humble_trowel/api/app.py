"""The application: routes, errors, the guard, and the built front end."""

from __future__ import annotations

import asyncio
import sqlite3
import time
from collections.abc import AsyncIterator
from contextlib import asynccontextmanager, suppress
from functools import partial
from pathlib import Path
from typing import Any

from fastapi import FastAPI
from fastapi.responses import FileResponse, Response
from fastapi.routing import APIRoute
from starlette.concurrency import run_in_threadpool
from starlette.exceptions import HTTPException

from humble_trowel.api import errors
from humble_trowel.api.gatekeeper import Gatekeeper
from humble_trowel.api.guard import Guard
from humble_trowel.api.lan import Lan, opened_words
from humble_trowel.api.routes import (
    bound,
    built,
    cure,
    day,
    edges,
    embeds,
    gate,
    gauge,
    ground,
    jobs,
    joints,
    laser,
    lessons,
    lines,
    order,
    papers,
    photos,
    plant,
    pour,
    practice,
    readings,
    records,
    rules,
    safe,
    screed,
    site,
    steel,
    underslab,
    ways,
)
from humble_trowel.api.schemas import Problem
from humble_trowel.api.service import Service
from humble_trowel.core.errors import InputError
from humble_trowel.settings import Settings
from humble_trowel.store.copies import BadCopy, copy_of_day
from humble_trowel.store.db import connect

REFUSALS = {
    400: "The host has another name.",
    401: "This device has not joined.",
    403: "Another site may not talk to this program, or that is not this device's to do.",
    404: "There is no such job, revision or address.",
    409: "Somebody was faster, there is nothing to do, or the record is there and says something else.",
    413: "The body is too large.",
    415: "The body is not JSON.",
    422: "It cannot be used as it stands.",
    429: "A wrong number; wait.",
    500: "A part cannot be worked out, or the data cannot be read.",
    503: "The data are busy, or gone.",
    507: "The disk takes no more.",
}
ROUTERS = (
    jobs.router, lines.router, records.router, edges.router, underslab.router, steel.router, embeds.router, joints.router, screed.router, order.router, day.router, gate.router, pour.router, plant.router, cure.router, built.router, lessons.router, bound.router, ground.router, laser.router, gauge.router, photos.router, papers.router, ways.router,
    rules.router, practice.router, readings.router, site.router, safe.router,
)  # fmt: skip
TITLE = "Humble Trowel"
HOUR_S = 3600
WATCH_S = 0.5
WEB = Path(__file__).resolve().parent.parent / "web"


def make_app(settings: Settings, web: Path = WEB) -> FastAPI:
    """The whole application over a database that is already migrated."""
    app = FastAPI(title=TITLE, version="1", openapi_url="/api/openapi.json", docs_url=None, redoc_url=None, lifespan=_running)  # fmt: skip
    app.state.service = Service(settings)
    site_of = app.state.service.site
    site_of.lan = Lan(app, settings, site_of.hub.end_phones, partial(_firm, app.state.service))
    app.openapi = partial(described, app)  # type: ignore[method-assign]
    errors.install(app)
    app.router.routes.extend(
        route for one in ROUTERS for route in one.routes
    )  # as they are: including builds each anew
    app.state.addresses = [
        (route.path, route.path_regex, route.methods or set())
        for one in ROUTERS
        for route in one.routes
        if isinstance(route, APIRoute)
    ]
    app.add_api_route("/{path:path}", _page(web), methods=["GET"], include_in_schema=False)
    app.add_middleware(Gatekeeper, site=app.state.service.site)
    app.add_middleware(Guard, settings=settings, index=web / "index.html")
    return app


def described(app: FastAPI) -> dict[str, Any]:
    """The interface's description; every refusal is a problem document."""
    if app.openapi_schema is None:
        refused = {"application/problem+json": {"schema": {"$ref": "#/components/schemas/Problem"}}}
        said: dict[int | str, dict[str, Any]] = {
            code: {"description": words, "content": refused} for code, words in REFUSALS.items()
        }
        told = FastAPI(title=TITLE, version="1", separate_input_output_schemas=False, responses=said)
        for one in ROUTERS:
            told.include_router(one)
        told.add_api_route("/problem", lambda: None, responses={400: {"model": Problem}})  # brings the model in, once
        app.openapi_schema = told.openapi()
        del app.openapi_schema["paths"]["/problem"]
    return app.openapi_schema


def _firm(service: Service) -> str:
    with service.open() as db:
        return service.ways(db)[1].firm


@asynccontextmanager
async def _running(app: FastAPI) -> AsyncIterator[None]:
    service: Service = app.state.service
    daily = asyncio.create_task(_copy_daily(service)) if service.settings.copies else None
    watch = asyncio.create_task(_watch(service)) if service.settings.background else None
    if service.settings.opens and service.site.lan is not None:
        await _open(service)
    yield
    for task in (daily, watch):
        if task is not None:
            task.cancel()
    if service.site.lan is not None:
        await service.site.lan.close()
    service.reader.close()
    if service.background is not None:
        service.background.close()


async def _open(service: Service) -> None:
    """Open to the local network from the start; what stands in the way is said where the program was started."""
    site = service.site
    assert site.lan is not None
    try:
        opened = await site.lan.open()
    except InputError as error:
        service.settings.tell(error.words)
        return
    number = site.code.renew(time.monotonic())
    site.devices.note("laptop", "opened to the local network", service.now())
    service.settings.tell(opened_words(opened, number))


async def _watch(service: Service) -> None:
    """Tell what another program changed in the same data, while somebody listens."""
    db, version, stamp = None, -1, 0
    while True:
        await asyncio.sleep(WATCH_S)
        try:
            if db is None:
                db = connect(service.settings.database, readonly=True)
            now = int(db.execute("pragma data_version").fetchone()[0])
            if not service.site.hub.count:
                version = -1
                service.site.watched = False
            elif now != version:
                await run_in_threadpool(service.site.look_for_changes, db)
                put_back = int(db.execute("pragma application_id").fetchone()[0])
                if stamp not in (0, put_back):
                    service.site.hub.publish("hello", {"all": True})
                version, stamp = now, put_back
        except sqlite3.Error:
            db = None


async def _copy_daily(service: Service) -> None:
    """A program that runs for days saves a copy on each, here and in the second place; where it cannot, it tries again an hour later."""
    while True:
        await asyncio.sleep(HOUR_S)
        with suppress(BadCopy, OSError, sqlite3.Error):
            await run_in_threadpool(copy_of_day, service.settings.database, service.now()[:10])
        with suppress(OSError, sqlite3.Error):
            await run_in_threadpool(service.site.copy_second)


def _file(root: Path, path: str) -> Path | None:
    """A built file, None where there is none of that name (also of a name that no file may have)."""
    try:
        target = (root / path).resolve()
        return target if path and target.is_relative_to(root) and target.is_file() else None
    except (OSError, ValueError):
        return None


def _page(web: Path):  # type: ignore[no-untyped-def]
    root = web.resolve()

    def page(path: str) -> Response:
        """A built file, or the one page for every path of the application."""
        if path.startswith("api/"):
            raise HTTPException(404, "There is nothing at that address.")
        target = _file(root, path)
        if target is not None:
            cache = "public, max-age=31536000, immutable" if "/immutable/" in path else "no-cache"
            return FileResponse(target, headers={"cache-control": cache})
        if "." in path.rsplit("/", 1)[-1]:
            raise HTTPException(404, "There is nothing at that address.")
        return FileResponse(root / "index.html", headers={"cache-control": "no-cache"})

    return page
