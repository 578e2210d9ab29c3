"""Pictures: kept under an id that who took them made, before the record that says what they show."""

from __future__ import annotations

import hashlib
from typing import Annotated

from fastapi import APIRouter, Path, Request
from fastapi.responses import Response
from pydantic import BaseModel
from starlette.concurrency import run_in_threadpool
from starlette.exceptions import HTTPException

from humble_trowel.api.routes.jobs import JobId, service_of
from humble_trowel.api.schemas import file_answer, file_body
from humble_trowel.api.service import Service
from humble_trowel.files.picture import read_picture
from humble_trowel.store import photos

router = APIRouter(prefix="/api/jobs/{job_id}/photos", tags=["photos"])
PhotoId = Annotated[str, Path(pattern=r"^[A-Za-z0-9-]{8,64}$")]


class PhotoKept(BaseModel):
    """A picture as it is kept. size_bytes: of the kept one."""

    id: str
    width_px: int
    height_px: int
    size_bytes: int


@router.put("/{photo_id}", response_model=PhotoKept, openapi_extra=file_body("application/octet-stream"))
async def keep_photo(request: Request, job_id: JobId, photo_id: PhotoId) -> PhotoKept:
    """Keep a picture (a JPEG, PNG or WebP) or a paper (a PDF). The same one sent twice counts once."""
    return await run_in_threadpool(_keep, service_of(request), job_id, photo_id, await request.body())


def _keep(service: Service, job_id: str, photo_id: str, sent: bytes) -> PhotoKept:
    from humble_trowel.files.paper import read_paper

    read = read_paper(sent) if sent[:5] == b"%PDF-" else read_picture(sent)
    made = photos.Photo(
        job_id=job_id, id=photo_id, sent=hashlib.sha256(sent).hexdigest(), at=service.now(), **read.__dict__
    )  # fmt: skip
    with service.open() as db:
        photos.add(db, made)
    return PhotoKept(id=photo_id, width_px=read.width_px, height_px=read.height_px, size_bytes=len(read.picture))


@router.get("/{photo_id}", response_class=Response, responses=file_answer("image/jpeg"))
def photo(request: Request, job_id: JobId, photo_id: PhotoId, small: bool = False) -> Response:
    """A picture. small: as lists show it."""
    with service_of(request).open() as db:
        found = photos.find(db, job_id, photo_id)
    if found is None:
        raise HTTPException(404, "There is no such picture.")
    headers = {"cache-control": "private, max-age=31536000, immutable"}
    if found.picture[:5] == b"%PDF-":
        return Response(found.picture, media_type="application/pdf", headers=headers)
    return Response(found.small if small else found.picture, media_type="image/jpeg", headers=headers)
