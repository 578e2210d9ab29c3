"""The set-out sheet on paper: the drawing at a stated scale, then the tables a crew sets out by."""

from __future__ import annotations

from collections.abc import Sequence

from humble_trowel.core.forms.form_plan import FormPlan, say_boards
from humble_trowel.core.lines.setting_out import SetOutSheet
from humble_trowel.core.lines.strings import Nail
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.units import Units, say_length
from humble_trowel.papers.pages import PAPER_MM, PAPER_NAME, Paper, Scale, quoted, scale_for, set_pdf
from humble_trowel.papers.svg import bounds_of, set_out_svg

MARGIN_MM = 14.0
HEAD_MM = 40.0
CAUTION = "Locate buried services before digging. Check sides and both diagonals again after the machines have been in."


def set_out_pdf(plan: Plan, sheet: SetOutSheet, forms: FormPlan, paper: Paper) -> tuple[bytes, Scale]:
    """(the PDF, the drawing's scale). The drawing turns the page on its side where that makes it larger."""
    bounds = bounds_of(plan, sheet)
    wide, high = PAPER_MM[paper]
    inches = plan.units == "ft-in"
    room = (wide - 2 * MARGIN_MM, high - 2 * MARGIN_MM - HEAD_MM)
    aside = (high - 2 * MARGIN_MM, wide - 2 * MARGIN_MM - HEAD_MM)
    upright, flat = (scale_for(bounds.wide, bounds.high, *space, inches) for space in (room, aside))
    flipped = flat.one_to < upright.one_to
    scale = flat if flipped else upright
    source = _source(plan, sheet, forms, paper, scale, flipped, bounds.wide / scale.one_to)
    return set_pdf(source, {"plan.svg": set_out_svg(plan, sheet, forms, bounds, scale)}), scale


def _source(
    plan: Plan, sheet: SetOutSheet, forms: FormPlan, paper: Paper, scale: Scale, flipped: bool, wide_mm: float
) -> str:
    place = ", ".join(bit for bit in (plan.client, plan.site.address) if bit)
    return f"""
#set document(title: {quoted("Set-out, " + plan.name)}, date: none)
#set page(paper: "{PAPER_NAME[paper]}", margin: {MARGIN_MM}mm, flipped: {str(flipped).lower()},
  footer: context [#set text(8pt); {_esc(plan.name)} #h(1fr) {_esc(CAUTION)} #h(1fr) #counter(page).display("1 of 1", both: true)])
#set text(font: "Trowel Sheet", size: 9.5pt, number-width: "tabular")
#set table(stroke: (x, y) => (bottom: if y == 0 {{ 1pt }} else {{ 0.3pt + luma(150) }}), inset: (x: 4pt, y: 3.2pt))
#show table.cell.where(y: 0): strong
#let part(body) = block(above: 14pt, below: 6pt, text(12pt, weight: 700, body))
#text(17pt, weight: 700)[#{quoted(plan.name)}] #h(1fr) #text(11pt)[Set-out sheet]
#v(-3pt)
#{quoted(place)} #h(1fr) Scale #text(weight: 700)[#{quoted(scale.words)}] on {_esc(paper.upper() if paper == "a4" else "US Letter")}, print at 100 %
#v(-2pt)
Held: #text(weight: 700)[#{quoted(sheet.baseline)}], #{quoted(sheet.baseline_text)}. Profile boards #{quoted(sheet.profile_text)} outside. Base runs #{quoted(sheet.margin_text)} past the forms.
#v(2pt)
#align(center, image("plan.svg", width: {wide_mm:.3f}mm))
#pagebreak()
#columns(2, gutter: 10mm)[
{_tables(plan, sheet, forms)}
]
"""


def _esc(text: str) -> str:
    return f"#{quoted(text)}"


def _tables(plan: Plan, sheet: SetOutSheet, forms: FormPlan) -> str:
    near, far = "A tape", "B tape"
    units = plan.units
    rows = [
        _table("Corners from the held line", ("Corner", "Along", "Left of it"),
               [(c.name, c.x_text, c.y_text) for c in sheet.corners]),
        _table("Two tapes to each corner", ("Corner", near, "", far, ""),
               [(s.name + (" (flat)" if s.weak else ""), s.a_name, s.a_text, s.b_name, s.b_text) for s in sheet.swing]),
        _table("Diagonals that must agree", ("Rectangle", "From", "To", "Both"),
               [(f"{q.long_text} by {q.short_text}", e["from"], e["to"], q.diagonal_text) for q in sheet.squares for e in q.ends]),
        _table("3-4-5 at each corner", ("Corner", "Back along, on along, across"), [(t.name, t.words) for t in sheet.three_four_five]),
        _table("Strings and their nails", ("String", "Near end", "Far end"),
               [(s.name, _nail(s.start, units), _nail(s.end, units)) for s in sheet.strings]),
        _table("Offset stakes", ("Past", "In line with", "Along", "Left of it"),
               [(s.name, s.in_line_with, s.along_text, s.left_text) for s in sheet.stakes]),
        _table("Forms", ("Side", "Boards", "Stakes", "Kickers"),
               [(f.name, say_boards(f, units), f"{f.stakes} at {say_length(f.stake_spacing_mm, units)}" if f.stakes else "", str(f.kickers or "")) for f in forms.sides]),
    ]  # fmt: skip
    return "\n".join(rows)


def _nail(nail: Nail, units: Units) -> str:
    on = "" if nail.board else f", on {nail.on}"
    return f"{say_length(nail.beyond_mm, units)} past {nail.beyond}{on}"


def _table(title: str, head: Sequence[str], rows: Sequence[Sequence[str]]) -> str:
    if not rows:
        return ""
    cells = ", ".join(quoted(cell) for row in (head, *rows) for cell in row)
    return f"#part[#{quoted(title)}]\n#table(columns: {len(head)}, {cells})"
