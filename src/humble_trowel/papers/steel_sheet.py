"""Steel on paper: the plan with its marks at a stated scale, the bend list with every shape drawn, the cut plan, and tags for
the bundles."""

from __future__ import annotations

import math
from collections.abc import Sequence

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.core.steel.cuts_told import SizeCutTold
from humble_trowel.core.steel.told import MarkTold, SteelTold
from humble_trowel.papers.frame import SIZE_MM, drawing, room_for, sheet
from humble_trowel.papers.pages import Paper, quoted, set_pdf
from humble_trowel.papers.svg import GREY, INK, Bounds, PlanPage, built, draw_bar, draw_sizes, off_corner

RUST = "#84340f"
SHAPE_MM = 26.0
CAUTION = "Sizes, laps and cover are for the engineer and the official to settle. Caps on what sticks up."


def steel_pdf(plan: Plan, told: SteelTold | None, cuts: Sequence[SizeCutTold], paper: Paper) -> bytes:
    """The sheets as PDF. Parts that the job has nothing of are left out."""
    ring = list(plan.outline or [])
    xs, ys = [x for x, _ in ring], [y for _, y in ring]
    bounds = Bounds(min(xs) - 900, min(ys) - 900, max(xs) + 900, max(ys) + 900)
    scale = room_for(bounds.wide, bounds.high, paper, plan.units == "ft-in", 0.7, turn=False).scale
    page = PlanPage(bounds, scale)
    page.path(ring, True, f'fill="#f4f4f1" stroke="{INK}" stroke-width="0.5"')
    for mesh in told.mesh if told else []:
        for piece in mesh.pieces:
            page.path(piece.corners, True, f'fill="none" stroke="{GREY}" stroke-width="0.25"')
    for row in told.marks if told else []:
        for line in row.lines:
            page.path(
                line, False, f'fill="none" stroke="{RUST}" stroke-width="{0.2 if row.shape == "stirrup" else 0.35}"'
            )
    for row in told.marks if told else []:
        if row.lines:
            line = row.lines[len(row.lines) // 2]
            page.text(((line[0][0] + line[-1][0]) / 2, (line[0][1] + line[-1][1]) / 2), row.mark, SIZE_MM, 700)
    draw_sizes(page, plan, ring)
    for i in range(len(ring)):
        page.text(off_corner(ring, i, 5 * page.one_to), corner_name(i), SIZE_MM, 700)
    draw_bar(page, plan)
    pictures = {"plan.svg": page.svg()}
    parts = [*_marks(told, pictures), *_cuts(cuts), *_rest(told), *_tags(plan, told)]
    body = "\n".join(parts) or f"#{quoted('No steel is said of this slab.')}"
    every = max((row.every for row in told.marks), default=1) if told else 1
    thin = f", one bar in {every} of a mat drawn" if every > 1 else ""
    picture = drawing(scale, bounds.wide / scale.one_to, (told.mass_text if told else "") + thin)
    source = sheet("Steel", plan.name, f"{picture}\n{body}", paper=paper, caution=CAUTION)
    return set_pdf(source, pictures)


def _marks(told: SteelTold | None, pictures: dict[str, bytes]) -> list[str]:
    """The schedule, bent marks with their shape drawn."""
    if told is None or not told.marks:
        return []
    cells = [quoted(head) for head in ("", "Bars", "Size", "Cut", "Shape, out to out", "Weight")]
    for row in told.marks:
        cuts = ", ".join(f"{count} × {text}" for text, count in row.cuts)
        shape = quoted("straight")
        if row.shape != "straight":
            name = f"bend-{row.mark}.svg"
            pictures[name] = _shape(row)
            hooks = f" #block(above: 2pt, {quoted(f'hooks {row.turns[0]:g}°')})" if row.shape == "stirrup" else ""
            shape = f'[#block(below: 2pt, image("{name}", width: {SHAPE_MM + 24:.0f}mm)){hooks}]'
        cells += [
            f"text(12pt, weight: 700)[#{quoted(row.mark)}]",
            quoted(row.words),
            quoted(row.bar),
            quoted(cuts),
            shape,
            quoted(row.mass_text),
        ]
    return [f"#part[Bars by mark]\n#table(columns: (auto, 1.6fr, auto, 1.1fr, auto, auto), {', '.join(cells)})"]


def _shape(row: MarkTold) -> bytes:
    """A bend as a small drawing, legs in its longest at one size."""
    a, b = (row.legs_mm[0], row.legs_mm[1])
    per = max(a, b) / (SHAPE_MM - 8)
    if row.shape == "stirrup":
        w, h = a / per, b / per
        body = f'<rect x="20" y="7" width="{w:.2f}" height="{h:.2f}" rx="1.2" fill="none" stroke="{RUST}" stroke-width="0.8"/>'
        body += f'<path d="M21.2 8.2l2.4 2.4M22.2 7.4l2.4 2.4" stroke="{RUST}" stroke-width="0.6"/>'
        spots: list[tuple[float, float, str, str]] = [
            (20 + w / 2, 5.4, row.legs[0], "middle"),
            (18.6, 7 + h / 2 + 1.6, row.legs[1], "end"),
        ]
        deep = h + 10
    else:
        turn = math.radians(row.turns[0])
        foot: XY = (21.0, 4 + a / per)
        end: XY = (foot[0] + b / per * math.sin(turn), foot[1] - b / per * math.cos(turn))
        low = max(0.0, end[1] - foot[1])
        body = f'<path d="M{foot[0]} 4L{foot[0]} {foot[1]:.2f}L{end[0]:.2f} {end[1]:.2f}" fill="none" stroke="{RUST}" stroke-width="0.9" stroke-linejoin="round"/>'
        spots = [
            (19.4, 4 + a / per / 2 + 1.6, row.legs[0], "end"),
            ((foot[0] + end[0]) / 2, foot[1] - 1.4, row.legs[1], "middle"),
        ]
        deep = foot[1] + low + 3
    for x, y, text, anchor in spots:
        body += f'<text x="{x:.2f}" y="{y:.2f}" font-family="Trowel Sheet" font-size="{SIZE_MM:.2f}" font-weight="700" text-anchor="{anchor}">{built(text)}</text>'
    wide = SHAPE_MM + 24
    return f'<svg xmlns="http://www.w3.org/2000/svg" width="{wide}mm" height="{deep:.2f}mm" viewBox="0 0 {wide} {deep:.2f}">{body}</svg>'.encode()


def _cuts(cuts: Sequence[SizeCutTold]) -> list[str]:
    """The cut plan, longest pieces first."""
    found = []
    for size in cuts:
        if not size.rows:
            continue
        cells = [quoted(head) for head in ("", "From", "Cut", "Left")]
        for row in size.rows:
            pieces = " + ".join(f"{mark} {text}" for mark, text, _ in row.pieces)
            cells += [
                quoted(f"{row.count} ×"),
                quoted(row.stock_text),
                quoted(pieces),
                quoted(f"{row.left_text}, keep" if row.keep else row.left_text),
            ]
        title = f"Cut {size.bars} bars of {size.bar}; {size.least} is the least there can be"
        found.append(f"#part[#{quoted(title)}]\n#table(columns: (auto, auto, 1fr, auto), {', '.join(cells)})")
    return found


def _rest(told: SteelTold | None) -> list[str]:
    """Mesh, chairs, dowels, fibre."""
    if told is None:
        return []
    rows = [
        f"{row.slab}: {row.sheets} {'rolls' if row.rolls else 'sheets'} of {row.words}, laps {row.lap_text}"
        for row in told.mesh
    ]
    rows += [f"{row.slab}: {row.count} chairs, {row.height_text} high" for row in told.chairs]
    rows += [
        f"{row.name}: {row.count}, hole {row.hole_text}, {row.deep_text} deep, {row.out_text} out. {row.words}"
        for row in told.dowels
    ]
    rows += [
        *told.fibre,
        *([f"{told.epoxy_ml:.0f} ml of epoxy, {told.cartridges} cartridges"] if told.epoxy_ml else []),
    ]
    if told.pulled:
        rows.append("Steel is pulled up during the pour: say so strip by strip.")
    return ["#part[Beside the bars]\n" + "\n".join(f"- #{quoted(row)}" for row in rows)] if rows else []


def _tags(plan: Plan, told: SteelTold | None) -> list[str]:
    """A tag for each mark, to cut out and tie to its bundle."""
    if told is None or not told.marks:
        return []
    cells = [
        f"box(width: 100%, inset: 7pt, stroke: 0.8pt)[#circle(radius: 1.6mm, stroke: 0.6pt) #h(1fr) #text(26pt, weight: 700)[#{quoted(row.mark)}] #h(1fr) #text(11pt)[#{quoted(f'{row.count} of {row.bar}')} #linebreak() #{quoted(row.words)} #linebreak() #{quoted(plan.name)}]]"
        for row in told.marks
    ]
    return [f"#pagebreak()\n#part[Tags, one to a bundle]\n#grid(columns: (1fr, 1fr), gutter: 6pt, {', '.join(cells)})"]
