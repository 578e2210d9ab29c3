"""The square that a phone's camera reads (ISO/IEC 18004, made by segno)."""

from __future__ import annotations

import io

import segno


def square_svg(text: str, border: int = 4) -> str:
    """A text as a square in SVG, as large as what it is put in. border: modules of white round it (four, unless it stands on white paper)."""
    made = segno.make(text, error="m", micro=False)
    out = io.BytesIO()
    made.save(out, kind="svg", border=border, xmldecl=False, svgns=True, omitsize=True, light="#fff", dark="#000")
    return out.getvalue().decode()
