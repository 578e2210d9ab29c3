"""What a crew writes down with a picture."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from humble_trowel.core.plan.model import Model
from humble_trowel.core.plan.values import Note

PhotoId = Annotated[str, Field(pattern=r"^[A-Za-z0-9-]{8,64}$")]


class Photo(Model):
    """A picture of something. photo: id of the picture, made by who took it. of: what it shows, the stage first ('steel/edge/E1/lap',
    'underslab/R2'). title: that in words, as the screen named it. latitude_deg, longitude_deg: where it was taken (WGS 84), both or
    neither; only where a person kept the place on purpose."""

    photo: PhotoId
    of: Annotated[str, Field(pattern=r"^[a-z]+(/[A-Za-z0-9_-][A-Za-z0-9_.-]*){0,4}$", max_length=120)]
    title: Annotated[str, Field(max_length=120)] = ""
    latitude_deg: Annotated[float, Field(ge=-90, le=90)] | None = None
    longitude_deg: Annotated[float, Field(ge=-180, le=180)] | None = None
    note: Note = ""
