"""The box of papers as one PDF: a cover that says what is in it and what holds the pour, every sheet, photos, and the papers themselves."""

from __future__ import annotations

import io
from collections.abc import Callable, Sequence
from dataclasses import dataclass

from pypdf import PdfReader, PdfWriter
from pypdf.errors import PyPdfError

from humble_trowel.core.errors import TrowelError
from humble_trowel.core.gate.changes import ChangeTold
from humble_trowel.core.gate.holds import GateHold, GateTold, when_text
from humble_trowel.core.gate.papers import Paper as SitePaper
from humble_trowel.core.progress import tick
from humble_trowel.papers.frame import sheet
from humble_trowel.papers.pages import PAPER_NAME, Paper, quoted, set_pdf

PHOTOS_A_PAGE = 4
MARGIN_MM = 14.0


@dataclass(frozen=True)
class PackPhoto:
    """A picture with its words. picture: JPEG."""

    picture: bytes
    title: str
    note: str


@dataclass(frozen=True)
class PackFile:
    """A paper that was brought in: a PDF, or a picture."""

    name: str
    data: bytes

    @property
    def is_pdf(self) -> bool:
        """Whether it is a PDF."""
        return self.data[:5] == b"%PDF-"


@dataclass(frozen=True)
class PackOf:
    """What goes into the box. sheets: (title, how it is made), in order; one that cannot be made is left out and named on the cover."""

    name: str
    gate: GateTold
    papers: Sequence[SitePaper]
    changes: Sequence[ChangeTold]
    tests: Sequence[str]
    sheets: Sequence[tuple[str, Callable[[], bytes]]]
    photos: Sequence[PackPhoto]
    files: Sequence[PackFile]
    made_on: str


def pack_pdf(of: PackOf, paper: Paper) -> bytes:
    """The box, bound. Says how far it is while it works."""
    parts: list[tuple[str, bytes]] = []
    left_out: list[str] = []
    steps = len(of.sheets) + len(of.files) + 3
    for at, (title, make) in enumerate(of.sheets):
        tick(at / steps)
        try:
            parts.append((title, make()))
        except TrowelError:
            left_out.append(title)
    for at in range(0, len(of.photos), PHOTOS_A_PAGE * 5):
        tick((len(of.sheets) + at / max(1, len(of.photos))) / steps)
        more = " (more)" if at else ""
        parts.append((f"Photos{more}", _photo_pages(of.photos[at : at + PHOTOS_A_PAGE * 5], paper)))
    for at, file in enumerate(of.files):
        tick((len(of.sheets) + 1 + at) / steps)
        parts.append(
            (file.name, file.data if file.is_pdf else _photo_pages([PackPhoto(file.data, file.name, "")], paper))
        )
    tick((steps - 1) / steps)
    return _bound(of, parts, left_out, paper)


def pages_of(data: bytes) -> int:
    """How many pages a PDF has. Raises PyPdfError or ValueError for what is none."""
    return len(PdfReader(io.BytesIO(data)).pages)


def _bound(of: PackOf, parts: Sequence[tuple[str, bytes]], left_out: list[str], paper: Paper) -> bytes:
    read: list[tuple[str, PdfReader]] = []
    for title, data in parts:
        try:
            found = PdfReader(io.BytesIO(data))
            if len(found.pages):
                read.append((title, found))
        except (PyPdfError, ValueError, KeyError, TypeError, AttributeError, RecursionError):
            left_out.append(title)
    cover = PdfReader(io.BytesIO(_cover(of, [(title, len(one.pages)) for title, one in read], left_out, paper)))
    writer = PdfWriter()
    for title, one in [(of.name, cover), *read]:
        writer.append(one, outline_item=title, import_outline=False)
    writer.add_metadata({"/Title": of.name})
    out = io.BytesIO()
    writer.write(out)
    return out.getvalue()


def _cover(of: PackOf, parts: Sequence[tuple[str, int]], left_out: Sequence[str], paper: Paper) -> bytes:
    """What is in it and from which page on, what holds the pour, papers, changes, tests."""
    page, rows = 2, []
    for title, count in parts:
        rows.append(f"[#{quoted(title)}], [{page}]")
        page += count
    holds = [f"- #{quoted(_hold(row))}" for row in of.gate.holds]
    taken = [f"- #{quoted(f'{row.title}: taken on by {row.overruled_by}, {row.reason}')}" for row in of.gate.overruled]
    papers = [f"[#{quoted(row.name)}], [#{quoted(row.state)}], [#{quoted(row.from_whom)}]" for row in of.papers]
    changes = [f"- #{quoted(_change(row))}" for row in of.changes]
    tests = [f"- #{quoted(text)}" for text in of.tests]

    def part(title: str, body: str) -> str:
        return f"#part({quoted(title)})\n{body}" if body else ""

    body = f"""
#text(15pt, weight: 700)[#{quoted(of.gate.verdict)}] #h(1fr) #{quoted(of.made_on)}

#{quoted(of.gate.beside)}
{part("In this box", f"#table(columns: (1fr, auto), {', '.join(rows)})" if rows else "")}
{part("Left out: it cannot be made", "".join(f"- #{quoted(one)}" + chr(10) for one in left_out))}
{part("What holds the pour", chr(10).join([*holds, *taken]))}
{part("Papers", f"#table(columns: (1fr, auto, auto), {', '.join(papers)})" if papers else "")}
{part("Changes on site", chr(10).join(changes))}
{part("Tests", chr(10).join(tests))}
"""
    source = sheet("The box", of.name, body, paper=paper, table="plain")
    return set_pdf(source, {})


def _hold(row: GateHold) -> str:
    return ", ".join(
        part for part in (f"{row.title}: {row.who}", when_text(row.lifts_at) if row.lifts_at else "") if part
    )


def _change(row: ChangeTold) -> str:
    does = f"{row.effect.concrete_text} of concrete, steel {row.effect.steel_text}, price {row.effect.price_text}"
    return f"{row.n}. {row.words}: {does}; {row.agreed_by or 'not agreed'}"


def _photo_pages(photos: Sequence[PackPhoto], paper: Paper) -> bytes:
    cells = ", ".join(
        f'block(breakable: false)[#image("p{i}.jpg", width: 100%, height: {108 if len(photos) > 1 else 220}mm, fit: "contain") #{quoted(one.title)} #linebreak() #{quoted(one.note)}]'
        for i, one in enumerate(photos)
    )
    columns = "(1fr, 1fr)" if len(photos) > 1 else "(1fr,)"
    source = f"""
#set page(paper: "{PAPER_NAME[paper]}", margin: {MARGIN_MM}mm)
#set text(font: "Trowel Sheet", size: 11pt)
#grid(columns: {columns}, gutter: 8mm, {cells})
"""
    return set_pdf(source, {f"p{i}.jpg": one.picture for i, one in enumerate(photos)})
