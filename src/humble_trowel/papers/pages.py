"""Sheets of paper as PDF: the page, its fonts, and typst, which sets them. Nothing is fetched; reruns are the same."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from contextvars import ContextVar
from dataclasses import dataclass
from importlib import resources
from typing import Literal

from humble_trowel.site.square import square_svg

Paper = Literal["a4", "letter"]
PAPER_NAME = {"a4": "a4", "letter": "us-letter"}
# (width, height) in mm, upright
PAPER_MM = {"a4": (210.0, 297.0), "letter": (215.9, 279.4)}
SCALES_MM = (10, 15, 20, 25, 30, 40, 50, 60, 75, 80, 100, 125, 150, 175, 200, 250, 300, 400, 500, 1000)
# ft-in: inches to the foot as drawings have them, and feet to the inch as site plans have them, so that a drawing fills its page
SCALES_IN = {8: '1 1/2″ = 1′', 12: '1″ = 1′', 16: '3/4″ = 1′', 24: '1/2″ = 1′', 32: '3/8″ = 1′', 36: '1″ = 3′', 48: '1/4″ = 1′', 60: '1″ = 5′',
             64: '3/16″ = 1′', 72: '1″ = 6′', 84: '1″ = 7′', 96: '1/8″ = 1′', 108: '1″ = 9′', 120: '1″ = 10′', 144: '1″ = 12′', 180: '1″ = 15′',
             192: '1/16″ = 1′', 240: '1″ = 20′', 300: '1″ = 25′', 360: '1″ = 30′', 384: '1/32″ = 1′', 480: '1″ = 40′', 600: '1″ = 50′', 768: '1/64″ = 1′'}  # fmt: skip


@dataclass(frozen=True)
class Scale:
    """A drawing scale: 1 mm on paper is `one_to` mm on site."""

    one_to: int
    words: str


def scale_for(width_mm: float, height_mm: float, paper_wide_mm: float, paper_high_mm: float, inches: bool) -> Scale:
    """The largest usual scale at which a drawing fits the paper given to it."""
    options = SCALES_IN if inches else {one: f"1:{one}" for one in SCALES_MM}
    for one, words in options.items():
        if width_mm / one <= paper_wide_mm and height_mm / one <= paper_high_mm:
            return Scale(one, words)
    one, words = list(options.items())[-1]
    return Scale(one, words)


SQUARE_MM = 13.0
LINK: ContextVar[str] = ContextVar("link", default="")


@contextmanager
def linked(url: str) -> Iterator[None]:
    """Sheets that are set meanwhile carry a square that opens this address on a phone; '' for none."""
    token = LINK.set(url)
    try:
        yield
    finally:
        LINK.reset(token)


def set_pdf(source: str, pictures: dict[str, bytes]) -> bytes:
    """A typst document with its SVG pictures, as PDF bytes; with the square of `linked` in the margin of every page."""
    import tempfile
    from pathlib import Path

    import typst

    if link := LINK.get():
        pictures = {**pictures, "link-square.svg": square_svg(link, border=2).encode()}
        square = f'image("link-square.svg", width: {SQUARE_MM}mm)'
        source = f"#set page(foreground: place(top + right, dx: -3mm, dy: 1mm, {square}))\n{source}"
    fonts = resources.files("humble_trowel.papers") / "fonts"
    with tempfile.TemporaryDirectory(prefix="trowel-paper-") as folder:
        for name, data in pictures.items():
            (Path(folder) / name).write_bytes(data)
        main = Path(folder) / "sheet.typ"
        main.write_text(source, "utf-8")
        made = typst.compile(str(main), root=folder, font_paths=[str(fonts)], ignore_system_fonts=True, timestamp=0)
    assert isinstance(made, bytes)
    return made


def quoted(text: str) -> str:
    """Text as a typst string literal."""
    return '"' + text.replace("\\", "\\\\").replace('"', '\\"').replace("\n", " ") + '"'
