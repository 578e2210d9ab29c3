"""Pictures in: read with care, turned upright, made small enough to keep, and rid of everything but the picture itself."""

from __future__ import annotations

import io
import warnings
from dataclasses import dataclass

from PIL import Image, ImageOps, UnidentifiedImageError

from humble_trowel.core.errors import InputError

LONGEST_PX = 2000
SMALL_PX = 320
MOST_PX = 50_000_000
_KINDS = ("JPEG", "PNG", "WEBP")
_QUALITY = 85


@dataclass(frozen=True)
class Picture:
    """picture: JPEG, no side over LONGEST_PX, without place, camera or any other note. small: the same, for lists."""

    picture: bytes
    small: bytes
    width_px: int
    height_px: int


def read_picture(sent: bytes) -> Picture:
    """A picture as it is kept. Raises InputError for what is none, is cut off, or is too large to be opened."""
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("ignore")  # a picture's notes may be odd: they are dropped
            with Image.open(io.BytesIO(sent), formats=_KINDS) as opened:
                if opened.width * opened.height > MOST_PX:
                    raise InputError(
                        f"That picture has {opened.width} x {opened.height} points; {MOST_PX // 1_000_000} million are the most.",
                        "photo",
                    )
                opened.draft("RGB", (LONGEST_PX, LONGEST_PX))
                plain = ImageOps.exif_transpose(opened).convert("RGB")
    except UnidentifiedImageError:
        raise InputError("That is no picture: a JPEG, PNG or WebP is.", "photo") from None
    except (OSError, ValueError, SyntaxError, Image.DecompressionBombError):
        raise InputError("That picture is damaged or cut off.", "photo") from None
    plain.thumbnail((LONGEST_PX, LONGEST_PX))
    small = plain.copy()
    small.thumbnail((SMALL_PX, SMALL_PX))
    return Picture(_jpeg(plain), _jpeg(small), plain.width, plain.height)


def _jpeg(image: Image.Image) -> bytes:
    out = io.BytesIO()
    image.save(out, "JPEG", quality=_QUALITY, exif=b"")
    return out.getvalue()
