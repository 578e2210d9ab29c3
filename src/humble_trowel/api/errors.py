"""The only place with HTTP codes: what goes wrong, as problem details (RFC 9457)."""

from __future__ import annotations

import sqlite3
from typing import Any

from fastapi import FastAPI, Request
from fastapi.exceptions import RequestValidationError
from fastapi.responses import JSONResponse
from starlette.exceptions import HTTPException
from starlette.middleware.body_limit import MAX_BODY_SIZE_SCOPE_KEY

from humble_trowel.core.errors import BareNumber, CallError, ComputeError, TrowelError
from humble_trowel.core.reading.plain_errors import key_path, plain_words
from humble_trowel.settings import MAX_BODY_BYTES, MAX_EVERYTHING_BYTES, MAX_PHOTO_BYTES
from humble_trowel.store.jobs import NoSuchJob, NothingToDo, Stale, Unreadable
from humble_trowel.store.records import NoSuchRevision, OtherRecord


class StaleJob(Exception):
    """A stale save, with the newest state to show beside it."""

    def __init__(self, head: dict[str, Any]) -> None:
        super().__init__("stale")
        self.head = head


class NotYours(Exception):
    """Somebody asks for what only another role may. role: who may."""

    def __init__(self, role: str) -> None:
        super().__init__(role)


def problem(status: int, code: str, title: str, detail: str, **more: Any) -> JSONResponse:
    """One problem as application/problem+json."""
    body = {
        "type": f"/problems/{code}", "code": code, "title": title, "status": status, "detail": detail,
        "path": "", "choices": [], "head": None, **more,
    }  # fmt: skip
    return JSONResponse(body, status_code=status, media_type="application/problem+json")


def too_large(most: int) -> JSONResponse:
    """413 in plain words. most: bytes."""
    what = {
        MAX_BODY_BYTES: "A job file has",
        MAX_PHOTO_BYTES: "A picture has",
        MAX_EVERYTHING_BYTES: "An archive has",
    }.get(most, "A drawing has")
    words = f"That is over {most // 1_000_000} MB. {what} {most // 1_000_000} MB at most."
    return problem(413, "too-large", words, words)


async def _trowel(_: Request, error: Exception) -> JSONResponse:
    assert isinstance(error, TrowelError)
    if isinstance(error, ComputeError):
        return problem(500, "cannot-compute", "One part cannot be worked out.", error.words)
    choices = getattr(error, "choices", ()) if isinstance(error, BareNumber | CallError) else ()
    offers = [{"label": text, "text": text} for text in choices]
    return problem(422, "cannot-use", "That cannot be used as it stands.", error.words, path=error.path, choices=offers)


async def _no_job(_: Request, error: Exception) -> JSONResponse:
    return problem(404, "no-such-job", "No such job.", "That job is not here. It may have been deleted.")


async def _unreadable(_: Request, error: Exception) -> JSONResponse:
    return problem(422, "unreadable", "That cannot be read.", str(error))


async def _no_revision(_: Request, error: Exception) -> JSONResponse:
    return problem(422, "cannot-use", "That cannot be used as it stands.", str(error), path="revision")


async def _stale_job(_: Request, error: Exception) -> JSONResponse:
    assert isinstance(error, StaleJob)
    head = error.head
    who = head["author"] or "Somebody"
    detail = f"{who} changed this slab meanwhile: {head['summary']}."
    return problem(409, "stale", "The slab has changed since.", detail, head=head)


async def _stale_ways(_: Request, error: Exception) -> JSONResponse:
    return problem(
        409, "stale", "The ways have changed since.", "Somebody changed the ways meanwhile. Load them again."
    )


async def _not_yours(_: Request, error: Exception) -> JSONResponse:
    words = (
        "Prices, ways and who comes in are the owner's."
        if str(error) == "prices"
        else "That is done on the laptop itself."
    )
    return problem(403, "not-yours", "That is not yours to do.", words)


async def _nothing(_: Request, error: Exception) -> JSONResponse:
    return problem(409, "nothing-to-do", "Nothing to do.", str(error))


async def _other_record(_: Request, error: Exception) -> JSONResponse:
    return problem(409, "other-record", "That record is kept already.", str(error))


# What a screen is told by the code of the database's error: (status, code, title, words).
HELD = "What you said is still on your screen and is sent again by itself."
_FULL = (507, "disk-full", "The disk is full.", f"The disk is full, or takes no more. {HELD} Free some space.")
_BUSY = (503, "locked", "The data are busy.", f"The data are being written at this moment. {HELD}")
_GONE = (503, "data-gone", "The data are gone.",
         f"The data are not where they were when the program started. {HELD} Put them back, or start the program anew.")  # fmt: skip
_READ_ONLY = (507, "read-only", "The data cannot be written.",
              f"The folder of the data cannot be written. {HELD} Allow writing there.")  # fmt: skip
_DAMAGED = (500, "damaged", "The data are damaged.",
            f"The data are damaged. {HELD} Stop the program and run ./trowel doctor: it says how to put a copy back.")  # fmt: skip
_OTHER = (500, "database", "The data cannot be reached.", f"The data cannot be read or written. {HELD}")
_BY_CODE = {
    sqlite3.SQLITE_FULL: _FULL, sqlite3.SQLITE_IOERR: _FULL, sqlite3.SQLITE_BUSY: _BUSY, sqlite3.SQLITE_LOCKED: _BUSY,
    sqlite3.SQLITE_CANTOPEN: _GONE, sqlite3.SQLITE_READONLY: _READ_ONLY, sqlite3.SQLITE_PERM: _READ_ONLY,
    sqlite3.SQLITE_CORRUPT: _DAMAGED, sqlite3.SQLITE_NOTADB: _DAMAGED,
}  # fmt: skip
_READING = {
    sqlite3.SQLITE_IOERR_READ, sqlite3.SQLITE_IOERR_SHORT_READ, sqlite3.SQLITE_IOERR_CORRUPTFS,
}  # fmt: skip


async def _database(_: Request, error: Exception) -> JSONResponse:
    code = int(getattr(error, "sqlite_errorcode", 0) or 0)
    return problem(*(_OTHER if code in _READING else _BY_CODE.get(code & 0xFF, _OTHER)))


async def _request(_: Request, error: Exception) -> JSONResponse:
    assert isinstance(error, RequestValidationError)
    rows = sorted(error.errors(), key=lambda row: row["type"] != "extra_forbidden")
    first = rows[0]
    path = key_path(tuple(first["loc"])[1:])
    words = plain_words(first["type"], str(first["msg"]), path, first.get("ctx") or {})
    return problem(422, "cannot-use", "That cannot be used as it stands.", _sentence(words), path=path)


def _sentence(words: str) -> str:
    return words[:1].upper() + words[1:].rstrip(".?") + ("?" if words.endswith("?") else ".")


async def _http(request: Request, error: Exception) -> JSONResponse:
    assert isinstance(error, HTTPException)
    if error.status_code == 413:
        return too_large(request.scope[MAX_BODY_SIZE_SCOPE_KEY])
    if error.status_code == 405:
        return not_allowed(request)
    detail = _sentence(str(error.detail))
    if error.status_code == 422:
        return problem(422, "cannot-use", "That cannot be used as it stands.", detail)
    return problem(error.status_code, "http", detail, detail)


def not_allowed(request: Request) -> JSONResponse:
    """405 with what the address takes; 404 where there is no such address but the page's."""
    path = request.url.path
    here = [(name, methods) for name, taken, methods in request.app.state.addresses if taken.match(path)]
    named = [row for row in here if row[0] == path] or here  # an address that is meant by name comes before a pattern
    takes = {method for _, methods in named for method in methods}
    if not takes and path.startswith("/api"):
        words = "There is nothing at that address."
        return problem(404, "http", words, words)
    words = f"This address does not take {request.method}."
    answer = problem(405, "not-allowed", words, words)
    answer.headers["allow"] = ", ".join(sorted(takes or {"GET"}))
    return answer


def stumbled() -> JSONResponse:
    """500 in plain words, for what nobody foresaw."""
    words = f"The program stumbled over this. {HELD}"
    return problem(500, "stumbled", "The program stumbled.", words)


def install(app: FastAPI) -> None:
    """Teach the application every error above."""
    app.add_exception_handler(TrowelError, _trowel)
    app.add_exception_handler(NoSuchJob, _no_job)
    app.add_exception_handler(Unreadable, _unreadable)
    app.add_exception_handler(NoSuchRevision, _no_revision)
    app.add_exception_handler(StaleJob, _stale_job)
    app.add_exception_handler(NotYours, _not_yours)
    app.add_exception_handler(Stale, _stale_ways)
    app.add_exception_handler(NothingToDo, _nothing)
    app.add_exception_handler(OtherRecord, _other_record)
    app.add_exception_handler(sqlite3.Error, _database)
    app.add_exception_handler(RequestValidationError, _request)
    app.add_exception_handler(HTTPException, _http)
