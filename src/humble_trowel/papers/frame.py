"""What every sheet has: its page, type large enough for a tailgate in the rain, head, foot with the revision and its hour, the drawing."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from contextlib import contextmanager
from contextvars import ContextVar
from dataclasses import dataclass
from datetime import datetime

from humble_trowel.papers.pages import PAPER_MM, PAPER_NAME, Paper, Scale, quoted, scale_for

MARGIN_MM = 12.0
FOOT_MM = 20.0
HEAD_MM = 26.0
TEXT_PT, SIZE_PT = 11.0, 13.0
MM_PER_PT = 25.4 / 72
NAME_MM, SIZE_MM = 11.2 * MM_PER_PT, SIZE_PT * MM_PER_PT  # as type in a drawing, mm

STAMP: ContextVar[str] = ContextVar("stamp", default="")


@contextmanager
def stamped(words: str) -> Iterator[None]:
    """Sheets that are made meanwhile carry these words in their foot: the revision and its hour."""
    token = STAMP.set(words)
    try:
        yield
    finally:
        STAMP.reset(token)


def revision_words(n: int, at: str) -> str:
    """'Revision 7, 17 June 2027 14:20', on this machine's clock. at: ISO with its offset."""
    when = datetime.fromisoformat(at).astimezone()
    return f"Revision {n}, {when.day} {when:%B %Y %H:%M}"


@dataclass(frozen=True)
class Room:
    """What a drawing may take of a page, mm, and whether the page lies on its side for it."""

    scale: Scale
    flipped: bool


def room_for(wide_mm: float, high_mm: float, paper: Paper, inches: bool, share: float = 1.0, *, turn: bool = True) -> Room:  # fmt: skip
    """The largest scale for a drawing of so many mm on site. share: of the page's height; turn: the page may lie on its side."""
    wide, high = PAPER_MM[paper]
    upright = scale_for(wide_mm, high_mm, wide - 2 * MARGIN_MM, (high - MARGIN_MM - FOOT_MM - HEAD_MM) * share, inches)
    flat = scale_for(wide_mm, high_mm, high - 2 * MARGIN_MM, (wide - MARGIN_MM - FOOT_MM - HEAD_MM) * share, inches)
    flipped = turn and flat.one_to < upright.one_to
    return Room(flat if flipped else upright, flipped)


def sheet(
    title: str, name: str, body: str, *, paper: Paper, flipped: bool = False, caution: str = "", under: Sequence[str] = (), table: str = "ruled",
) -> str:  # fmt: skip
    """A whole document. title: what the sheet is for; name: of the job; under: lines under the head, typst; table: 'ruled' has a strong head."""
    foot = f"#linebreak() #{quoted(caution)}" if caution else ""
    head_row = "#show table.cell.where(y: 0): strong" if table == "ruled" else ""
    stroke = (
        "(bottom: if y == 0 { 1pt } else { 0.4pt + luma(130) })" if table == "ruled" else "(bottom: 0.4pt + luma(130))"
    )
    lines = "\n".join(f"#block(above: 4pt, below: 4pt)[{line}]" for line in under)
    return f"""
#set document(title: {quoted(f"{title}, {name}")}, date: none)
#set page(paper: "{PAPER_NAME[paper]}", margin: (x: {MARGIN_MM}mm, top: {MARGIN_MM}mm, bottom: {FOOT_MM}mm), flipped: {str(flipped).lower()},
  footer: context [#set text({TEXT_PT}pt); #{quoted(name)} #h(1fr) #{quoted(STAMP.get())} #h(1fr) #counter(page).display("1 of 1", both: true) {foot}])
#set text(font: "Trowel Sheet", size: {TEXT_PT + 0.5}pt, number-width: "tabular")
#show regex("\\d{{1,2}}/\\d{{1,2}}"): set text(features: ("frac",), number-width: "proportional")
#set table(stroke: (x, y) => {stroke}, inset: (x: 3pt, y: 5pt))
{head_row}
#let tick = box(width: 4.6mm, height: 4.6mm, stroke: 0.8pt)
#let part(body) = block(above: 14pt, below: 6pt, sticky: true, text(13.5pt, weight: 700, body))
#block(below: 6pt, inset: (right: 6mm))[#text(20pt, weight: 700)[#{quoted(name)}] #h(1fr) #text(14pt)[#{quoted(title)}]]
{lines}
{body}
"""


def drawing(scale: Scale, wide_mm: float, words: str = "") -> str:
    """The picture plan.svg at its scale, with the scale over it. wide_mm: on paper."""
    said = f"Scale #text(weight: 700)[#{quoted(scale.words)}], print at 100 %{' #h(1fr) #' + quoted(words) if words else ''}"
    return f'#block(above: 4pt, below: 4pt)[{said}]\n#align(center, image("plan.svg", width: {wide_mm:.3f}mm))'


def table_of(
    title: str, head: Sequence[str], rows: Sequence[Sequence[str]], columns: str = "", *, raw: bool = False
) -> str:
    """A part with its table; '' without rows. columns: their widths, as typst has them. raw: cells are typst already."""
    if not rows:
        return ""
    cells = ", ".join(cell if raw else quoted(cell) for row in (head, *rows) for cell in row)
    return f"#part[#{quoted(title)}]\n#table(columns: {columns or len(head)}, {cells})"
