"""What sticks up, on paper: the plan with every bolt, each wall's stations to mark on the board and tick; and templates at 1:1."""

from __future__ import annotations

import math

from humble_trowel.core.embeds.told import EmbedsTold, ItemTold
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.core.plan.embed_parts import BoltGroup
from humble_trowel.core.units import say_depth
from humble_trowel.papers.frame import SIZE_MM, drawing, room_for, sheet
from humble_trowel.papers.pages import Paper, quoted, set_pdf
from humble_trowel.papers.svg import INK, Bounds, PlanPage, draw_bar, draw_sizes, off_corner

MARGIN_MM = 14.0  # of a template's own page
CAUTION = (
    "Bolts, hold-downs and straps are for the drawing, the engineer and the official to settle. Caps on what sticks up."
)
CHECK_FT_MM, CHECK_MM = 101.6, 100.0
BORDER_MM = 40.0


def embeds_pdf(plan: Plan, told: EmbedsTold | None, paper: Paper) -> bytes:
    """The setting sheet as PDF. Parts that the job has nothing of are left out."""
    ring = list(plan.outline or [])
    xs, ys = [x for x, _ in ring], [y for _, y in ring]
    bounds = Bounds(min(xs) - 900, min(ys) - 900, max(xs) + 900, max(ys) + 900)
    scale = room_for(bounds.wide, bounds.high, paper, plan.units == "ft-in", 0.6, turn=False).scale
    page = PlanPage(bounds, scale)
    page.path(ring, True, f'fill="#f4f4f1" stroke="{INK}" stroke-width="0.5"')
    for wall in told.walls if told else []:
        page.path(wall.outline, True, f'fill="#fff" stroke="{INK}" stroke-width="0.25"')
        for bolt in wall.bolts:
            x, y = page.at(bolt.spot)
            page.parts.append(f'<rect x="{x - 0.8:.3f}" y="{y - 0.8:.3f}" width="1.6" height="1.6" fill="{INK}"/>')
    for spot in [one.spot for one in told.straps] if told else []:
        x, y = page.at(spot)
        page.parts.append(
            f'<rect x="{x - 0.6:.3f}" y="{y - 1.6:.3f}" width="1.2" height="3.2" fill="#fff" stroke="{INK}" stroke-width="0.3"/>'
        )
    draw_sizes(page, plan, ring)
    for i in range(len(ring)):
        page.text(off_corner(ring, i, 5 * page.one_to), corner_name(i), SIZE_MM, 700)
    draw_bar(page, plan)
    body = "\n".join(_walls(told)) if told else f"#{quoted('Nothing is said that sticks up.')}"
    stands = (
        f"Bolts {told.bolt_text}, {told.stick_up_text} up, {told.embed_text} in; {told.spare} spare" if told else ""
    )
    picture = drawing(scale, bounds.wide / scale.one_to, stands)
    source = sheet("Setting", plan.name, f"{picture}\n{body}", paper=paper, caution=CAUTION)
    return set_pdf(source, {"plan.svg": page.svg()})


def _walls(told: EmbedsTold) -> list[str]:
    """A table a wall: what, its station from the named corner, what stands beside it, a box to tick."""
    parts = []
    groups: dict[str, list[ItemTold]] = {}
    for item in told.items:
        name = f"{item.name}, tape from {item.corner}" if item.corner else item.name
        strip = f"Strip {item.strip}: " if item.strip else ""
        groups.setdefault(f"{strip}{name}", []).append(item)
    for name, items in groups.items():
        cells = ", ".join(f"[#{quoted(head)}]" for head in ("", "From the corner", "Off the board", "Beside", "Set"))
        for item in items:
            what = f"bolt {item.n}" if item.kind == "bolt" else item.kind
            row = (what, item.at_text, item.edge_text, item.beside)
            cells += ", " + ", ".join(f"[#{quoted(text)}]" for text in row) + ", [#tick]"
        parts.append(f"#part({quoted(name)})\n#table(columns: (auto, auto, auto, 1fr, auto), {cells})")
    return parts


def template_pdf(plan: Plan, group: BoltGroup) -> bytes:
    """The template of a group at 1:1 on a page as large as it needs, with a bar to measure it by."""
    inches = plan.units == "ft-in"
    wide, high = (group.across - 1) * group.across_mm, (group.along - 1) * group.along_mm
    check = CHECK_FT_MM if inches else CHECK_MM
    side = (max(wide, check) + 2 * BORDER_MM, high + 2 * BORDER_MM)
    left, top = (side[0] - wide) / 2, BORDER_MM
    spots = [
        (left + i * group.across_mm, top + j * group.along_mm) for j in range(group.along) for i in range(group.across)
    ]
    marks = "".join(_hole(spot, group.bolt_mm) for spot in spots)
    mid = (left + wide / 2, top + high / 2)
    cross = f'<path d="M{mid[0]} {top - 25}V{top + high + 25}M{left - 25} {mid[1]}H{left + wide + 25}" stroke="{INK}" stroke-width="0.25" stroke-dasharray="6 1.5 1 1.5"/>'
    svg = f'<svg xmlns="http://www.w3.org/2000/svg" width="{side[0]}mm" height="{side[1]}mm" viewBox="0 0 {side[0]} {side[1]}">{cross}{marks}</svg>'
    words = f"{len(spots)} bolts {say_depth(group.bolt_mm, plan.units)}, {say_depth(group.embed_mm, plan.units)} deep, {say_depth(group.stick_up_mm, plan.units)} up"
    apart = f"{say_depth(group.across_mm, plan.units)} by {say_depth(group.along_mm, plan.units)} middle to middle"
    source = f"""
#set document(title: {quoted("Template, " + group.name)}, date: none)
#set page(width: {side[0] + 2 * MARGIN_MM:.2f}mm, height: {side[1] + 2 * MARGIN_MM + 52:.2f}mm, margin: {MARGIN_MM}mm)
#set text(font: "Trowel Sheet", size: 11.5pt)
#text(15pt, weight: 700)[#{quoted(group.name)}] #h(1fr) #{quoted(plan.name)} \\
#{quoted(words)} \\
#{quoted(apart)}. Print at 100 %, on one sheet.
#v(2mm)
#box(width: {check}mm, height: 6mm, stroke: 0.8pt, align(center + horizon, text(11pt)[this bar is #{quoted("4″" if inches else "100 mm")} long: measure it before you drill]))
#v(2mm)
#image("template.svg", width: {side[0]:.3f}mm)
"""
    return set_pdf(source, {"template.svg": svg.encode()})


def _hole(spot: XY, bolt_mm: float) -> str:
    """A hole with its centre: a circle of the bolt, and a cross."""
    x, y = spot
    r = bolt_mm / 2
    arm = r + math.ceil(r / 2) + 2
    return (
        f'<circle cx="{x:.3f}" cy="{y:.3f}" r="{r:.3f}" fill="none" stroke="{INK}" stroke-width="0.4"/>'
        f'<path d="M{x - arm:.3f} {y:.3f}H{x + arm:.3f}M{x:.3f} {y - arm:.3f}V{y + arm:.3f}" stroke="{INK}" stroke-width="0.25"/>'
    )
