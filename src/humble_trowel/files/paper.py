"""Papers in: a PDF read with care before it is kept."""

from __future__ import annotations

import io

from pypdf import PdfReader
from pypdf.errors import PyPdfError

from humble_trowel.core.errors import InputError
from humble_trowel.files.picture import Picture

MOST_PAGES = 400


def read_paper(sent: bytes) -> Picture:
    """A PDF as it is kept: as it came. Raises InputError for what is none, is locked, empty or far too long."""
    try:
        read = PdfReader(io.BytesIO(sent))
        if read.is_encrypted and not read.decrypt(""):
            raise InputError("That PDF is locked: save it without a password.", "photo")
        pages = len(read.pages)
    except (PyPdfError, OSError, ValueError, KeyError, TypeError, AttributeError, RecursionError, NotImplementedError):
        raise InputError("That PDF is damaged or cut off.", "photo") from None
    if not pages:
        raise InputError("That PDF has no page.", "photo")
    if pages > MOST_PAGES:
        raise InputError(f"That PDF has {pages} pages; {MOST_PAGES} are the most.", "photo")
    return Picture(sent, b"", 0, 0)
