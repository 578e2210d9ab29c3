"""Keep it safe: copies of the data, the second place, one put back; everything in one archive, out and in."""

from __future__ import annotations

import tempfile
from contextlib import closing
from datetime import UTC, datetime
from pathlib import Path

from fastapi import APIRouter, Request, Response
from fastapi.responses import FileResponse
from starlette.background import BackgroundTask
from starlette.concurrency import run_in_threadpool

from humble_trowel.api.routes.jobs import service_of
from humble_trowel.api.routes.site import only_here
from humble_trowel.api.schemas import file_answer, file_body
from humble_trowel.api.service import Service
from humble_trowel.api.site_schemas import CopiesState, CopyRow, PutBack, PutBackTold, SecondPlace
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.errors import InputError
from humble_trowel.store import copies
from humble_trowel.store.copies import BadCopy, kept_copies
from humble_trowel.store.db import connect
from humble_trowel.store.everything import take_everything, write_everything
from humble_trowel.store.migrate import NewerDatabase
from humble_trowel.store.second_place import NoPlace, copies_in, usable

router = APIRouter(route_class=StrictRoute, prefix="/api/site", tags=["safe"])
ZIP = "application/zip"


def _state(service: Service) -> CopiesState:
    folder = service.site.second_place
    there = copies_in(folder) if folder is not None else []
    rows = [_row(path, False) for path in kept_copies(service.settings.database)] + [_row(path, True) for path in there]
    with closing(connect(service.settings.database, readonly=True)) as db:
        held = copies.counts(db).words
    found = [row for row in rows if row is not None]
    return CopiesState(
        copies=found, second=str(folder or ""), second_at=next((row.at for row in found if row.second), ""),
        trouble=service.site.second_trouble, held=held,
    )  # fmt: skip


def _row(path: Path, second: bool) -> CopyRow | None:
    try:
        stat = path.stat()
    except OSError:
        return None
    at = datetime.fromtimestamp(stat.st_mtime, UTC).isoformat(timespec="seconds")
    return CopyRow(name=path.name, at=at, size_bytes=stat.st_size, second=second)


@router.get("/copies")
def all_copies(request: Request) -> CopiesState:
    """Copies of the data, here and in the second place."""
    only_here(request)
    return _state(service_of(request))


@router.post("/copies")
def copy_now(request: Request) -> CopiesState:
    """Save a copy now: here, and in the second place where there is one."""
    only_here(request)
    service = service_of(request)
    stamp = datetime.now(UTC).strftime("%Y-%m-%d-%H%M%S")
    target = copies.folder_of(service.settings.database) / f"asked-{stamp}.sqlite3"
    target.parent.mkdir(exist_ok=True)
    try:
        if not target.exists():  # pressed twice within a second
            copies.backup(service.settings.database, target)
    except (BadCopy, OSError) as error:
        raise InputError(f"No copy could be saved ({error}).", "copy") from None
    service.site.copy_second(again=True)
    return _state(service)


@router.put("/second")
def set_second(request: Request, body: SecondPlace) -> CopiesState:
    """Name the second place, or none; a copy goes there at once."""
    only_here(request)
    service = service_of(request)
    if not body.folder.strip():
        service.site.set_second("")
        return _state(service)
    try:
        place = usable(body.folder, service.settings.data)
    except NoPlace as error:
        raise InputError(str(error), "folder") from None
    service.site.set_second(str(place))
    service.site.copy_second()
    return _state(service)


@router.post("/copies/put-back")
def put_back(request: Request, body: PutBack) -> PutBackTold:
    """Put a copy in place of the data; those before it are kept."""
    only_here(request)
    service = service_of(request)
    place = service.site.second_place if body.second else None
    rows = copies_in(place) if place is not None else [] if body.second else kept_copies(service.settings.database)
    file = next((path for path in rows if path.name == body.name), None)  # never a path that is sent
    if file is None:
        raise InputError("That copy is not there any more.", "name")
    try:
        found, before = copies.restore(service.settings.database, file, datetime.now(UTC).strftime("%Y%m%d-%H%M%S"))
    except (BadCopy, NewerDatabase) as error:
        raise InputError(f"That copy is not good: {error}. Nothing was changed.", "name") from None
    service.site.hub.publish("hello", {"all": True})
    kept = f" What was here before is kept as {before.name}." if before else ""
    return PutBackTold(words=f"Put back: {found.words}.{kept}")


@router.get("/everything.zip", response_class=Response, responses=file_answer(ZIP))
async def everything(request: Request) -> Response:
    """All jobs, records, pictures and ways as one archive."""
    only_here(request)
    service = service_of(request)
    folder = tempfile.TemporaryDirectory(prefix="trowel-everything-")
    target = Path(folder.name) / "everything.zip"
    await run_in_threadpool(write_everything, service.settings.database, target)
    name = f"humble-trowel-{service.now()[:10]}.zip"
    return FileResponse(target, media_type=ZIP, filename=name, background=BackgroundTask(folder.cleanup))


@router.post("/everything", response_model=PutBackTold, openapi_extra=file_body(ZIP))
async def bring_everything(request: Request) -> PutBackTold:
    """Bring in an archive: jobs that are not here yet. Nothing that is here is changed."""
    only_here(request)
    service = service_of(request)
    with tempfile.TemporaryDirectory(prefix="trowel-everything-") as folder:
        file = Path(folder) / "sent.zip"
        with file.open("wb") as out:
            async for piece in request.stream():
                out.write(piece)
        try:
            taken = await run_in_threadpool(take_everything, service.settings.database, file)
        except BadCopy as error:
            raise InputError(f"Nothing came in: {error}.", "file") from None
    service.site.hub.publish("hello", {"all": True})
    return PutBackTold(words=taken.words)
