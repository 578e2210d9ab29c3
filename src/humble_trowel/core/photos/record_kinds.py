"""The record of a picture."""

from __future__ import annotations

from humble_trowel.core.errors import InputError
from humble_trowel.core.photos.records import Photo
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind
from humble_trowel.core.units import Units


class PhotoKind(RecordKind[Photo]):
    """A picture; any number of one thing."""

    name = "photo"
    values = Photo

    def check(self, job: JobSoFar, values: Photo) -> None:
        if (values.latitude_deg is None) != (values.longitude_deg is None):
            raise InputError("A place is a latitude and a longitude, or none.", "latitude_deg")

    def pictures(self, values: Photo) -> tuple[str, ...]:
        return (values.photo,)

    def sentence(self, job: JobSoFar, values: Photo) -> str:
        placed = ", with its place" if values.latitude_deg is not None else ""
        return f"Photo: {values.title or values.of}{placed}."

    def shown(self, values: Photo, units: Units) -> list[str]:
        return [values.title or values.of]


PHOTO_RECORDS = (PhotoKind(),)
