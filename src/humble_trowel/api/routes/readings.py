"""Files on their way in: how far one is, and letting it go. The sender makes the name under which it is read."""

from __future__ import annotations

from typing import Annotated

from fastapi import APIRouter, Path, Query, Request
from pydantic import BaseModel

from humble_trowel.api.routes.jobs import service_of
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.errors import InputError

router = APIRouter(route_class=StrictRoute, prefix="/api/readings", tags=["readings"])
ReadingKey = Annotated[str, Query(max_length=64)]


class ReadingState(BaseModel):
    """share: how much of the file is read, from 0 to 1."""

    share: float


@router.get("/{key}")
def reading(request: Request, key: Annotated[str, Path(max_length=64)]) -> ReadingState:
    """How far a file is."""
    found = service_of(request).reader.known(key)
    if found is None:
        raise InputError("No file of that name is being read.", "key")
    return ReadingState(share=found.share)


@router.delete("/{key}", status_code=204)
def let_go(request: Request, key: Annotated[str, Path(max_length=64)]) -> None:
    """Read it no further."""
    found = service_of(request).reader.known(key)
    if found is not None:
        found.stopped.set()
