"""What is taped again before the pour, with room to write it down: sides, diagonals, levels of the form tops."""

from __future__ import annotations

import math

from humble_trowel.core.ground.rod import RodRow
from humble_trowel.core.lines.setting_out import SetOutSheet
from humble_trowel.core.plan.document import Plan, corner_name, side_name
from humble_trowel.core.units import say_length
from humble_trowel.papers.frame import SIZE_MM, drawing, room_for, sheet, table_of
from humble_trowel.papers.pages import Paper, quoted, set_pdf
from humble_trowel.papers.svg import INK, Bounds, PlanPage, draw_bar, draw_sizes, off_corner

NOTE = "Write what the tape says, not what it should say. Two tapes that differ: tape a third time."
LINE = "#box(width: 100%, height: 5mm)[]"


def check_pdf(plan: Plan, found: SetOutSheet, card: list[RodRow], paper: Paper) -> bytes:
    """One purpose: is it square, is it the size, is it level? card: rows of the rod card."""
    ring = list(plan.outline or [])
    xs, ys = [x for x, _ in ring], [y for _, y in ring]
    bounds = Bounds(min(xs) - 900, min(ys) - 900, max(xs) + 900, max(ys) + 900)
    scale = room_for(bounds.wide, bounds.high, paper, plan.units == "ft-in", 0.42, turn=False).scale
    page = PlanPage(bounds, scale)
    page.path(ring, True, f'fill="#f4f4f1" stroke="{INK}" stroke-width="0.5"')
    for square in found.squares[:2]:
        for a, b in ((0, 2), (1, 3)):
            page.path([square.corners[a], square.corners[b]], False, f'fill="none" stroke="{INK}" stroke-width="0.22" stroke-dasharray="0.9 0.9"')  # fmt: skip
    draw_sizes(page, plan, ring)
    for i in range(len(ring)):
        page.text(off_corner(ring, i, 5 * page.one_to), corner_name(i), SIZE_MM, 700)
    draw_bar(page, plan)
    n = len(ring)
    sides = [(quoted(side_name(i, n)), quoted(say_length(math.dist(ring[i], ring[(i + 1) % n]), plan.units)), f"[{LINE}]") for i in range(n)]  # fmt: skip
    across = [
        (quoted(f"{end['from']} to {end['to']}"), quoted(square.diagonal_text), f"[{LINE}]")
        for square in found.squares[:3]
        for end in square.ends
    ]
    tops = [
        (quoted(row.at), quoted(row.reading_text or row.level_text), f"[{LINE}]")
        for row in card
        if row.surface == "form top"
    ]
    head = (quoted(""), quoted("Should be"), quoted("Taped"))
    read = (quoted(""), quoted("Should read"), quoted("Reads"))
    body = f"""
{drawing(scale, bounds.wide / scale.one_to)}
#{quoted(NOTE)}
#grid(columns: (1fr, 1fr), gutter: 8mm, [
{table_of("Diagonals", head, across, "(1fr, auto, 30mm)", raw=True)}
{table_of("Tops of the forms", read, tops, "(1fr, auto, 26mm)", raw=True)}
], [
{table_of("Sides", head, sides, "(1fr, auto, 30mm)", raw=True)}
])
#v(10pt)
Taped by #box(width: 60mm, stroke: (bottom: 0.6pt))[] #h(1fr) on #box(width: 34mm, stroke: (bottom: 0.6pt))[]
"""
    return set_pdf(sheet("Check", plan.name, body, paper=paper), {"plan.svg": page.svg()})
