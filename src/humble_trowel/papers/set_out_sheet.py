"""The set-out sheet on paper: the drawing at a stated scale, then the tables a crew sets out by."""

from __future__ import annotations

from humble_trowel.core.forms.form_plan import FormPlan
from humble_trowel.core.lines.setting_out import SetOutSheet
from humble_trowel.core.lines.strings import Nail
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.units import Units, say_length
from humble_trowel.papers.frame import drawing, room_for, sheet, table_of
from humble_trowel.papers.pages import Paper, Scale, quoted, set_pdf
from humble_trowel.papers.svg import bounds_of, set_out_svg

CAUTION = "Locate buried services before digging. Check sides and both diagonals again after the machines have been in."


def set_out_pdf(plan: Plan, found: SetOutSheet, forms: FormPlan, paper: Paper) -> tuple[bytes, Scale]:
    """(the PDF, the drawing's scale). The drawing turns the page on its side where that makes it larger."""
    bounds = bounds_of(plan, found)
    room = room_for(bounds.wide, bounds.high, paper, plan.units == "ft-in", 0.93)
    place = ", ".join(bit for bit in (plan.client, plan.site.address) if bit)
    held = f"Held: #text(weight: 700)[#{quoted(found.baseline)}], #{quoted(found.baseline_text)}. Profile boards #{quoted(found.profile_text)} outside. Base runs #{quoted(found.margin_text)} past the forms."
    body = f"""
{drawing(room.scale, bounds.wide / room.scale.one_to, place)}
#pagebreak()
#columns(2, gutter: 9mm)[
{_tables(plan, found)}
]
"""
    source = sheet("Set-out", plan.name, body, paper=paper, flipped=room.flipped, caution=CAUTION, under=[held])
    return set_pdf(source, {"plan.svg": set_out_svg(plan, found, forms, bounds, room.scale)}), room.scale


def _tables(plan: Plan, found: SetOutSheet) -> str:
    near, far = "A tape", "B tape"
    units = plan.units
    rows = [
        table_of("Corners from the held line", ("Corner", "Along", "Left of it"),
               [(c.name, c.x_text, c.y_text) for c in found.corners]),
        table_of("Two tapes to each corner", ("Corner", near, "", far, ""),
               [(s.name + (" (flat)" if s.weak else ""), s.a_name, s.a_text, s.b_name, s.b_text) for s in found.swing]),
        table_of("Diagonals that must agree", ("Rectangle", "From", "To", "Both"),
               [(f"{q.long_text} by {q.short_text}", e["from"], e["to"], q.diagonal_text) for q in found.squares for e in q.ends]),
        table_of("3-4-5 at each corner", ("Corner", "Back along, on along, across"), [(t.name, t.words) for t in found.three_four_five]),
        table_of("Strings and their nails", ("String", "Near end", "Far end"),
               [(s.name, _nail(s.start, units), _nail(s.end, units)) for s in found.strings]),
        table_of("Offset stakes", ("Past", "In line with", "Along", "Left of it"),
               [(s.name, s.in_line_with, s.along_text, s.left_text) for s in found.stakes]),
    ]  # fmt: skip
    return "\n".join(rows)


def _nail(nail: Nail, units: Units) -> str:
    on = "" if nail.board else f", on {nail.on}"
    return f"{say_length(nail.beyond_mm, units)} past {nail.beyond}{on}"
