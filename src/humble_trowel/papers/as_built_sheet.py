"""The slab as it stands, on paper: the plan as drawn, what is otherwise drawn over it and numbered, levels, and a list with its words."""

from __future__ import annotations

from collections.abc import Sequence

from humble_trowel.core.built.built import Built
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.files.dxf_built import level_words
from humble_trowel.papers.frame import NAME_MM, SIZE_MM, drawing, room_for, sheet
from humble_trowel.papers.pages import Paper, quoted, set_pdf
from humble_trowel.papers.svg import CHALK, GREY, INK, Bounds, PlanPage, draw_bar, draw_sizes, off_corner

EXAGGERATED = 12.0  # a side that bows is drawn so many times as far out
NOTE = "Blue is how it stands, black how it was drawn. A side that bows is drawn twelve times as far out as it is."


def as_built_pdf(plan: Plan, built: Built, shots: Sequence[tuple[XY, float]], paper: Paper, on: str) -> bytes:
    """One page, and more where the list needs it. shots: (spot, over what is drawn in mm). on: when it was made, in words."""
    ring = list(plan.outline or [])
    xs, ys = [x for x, _ in ring], [y for _, y in ring]
    bounds = Bounds(min(xs) - 1100, min(ys) - 1100, max(xs) + 1100, max(ys) + 1100)
    scale = room_for(bounds.wide, bounds.high, paper, plan.units == "ft-in", 0.58, turn=False).scale
    picture = _drawing(plan, built, shots, PlanPage(bounds, scale))
    cells = ", ".join(f"[#{quoted(head)}]" for head in ("", "What", "How it stands", "Written down"))
    for n, row in enumerate(built.rows, 1):
        texts = (str(n), row.name, row.words, ", ".join(bit for bit in (row.when_text, row.by) if bit))
        cells += ", " + ", ".join(f"[#{quoted(text)}]" for text in texts)
    table = f"#table(columns: (auto, 34mm, 1fr, 42mm), {cells})" if built.rows else f"#{quoted('Nothing stands otherwise than drawn, as far as anybody wrote down.')}"  # fmt: skip
    same = "\n".join(f"- #{quoted(one)}" for one in built.same)
    under = [f"#{quoted(', '.join(bit for bit in (on, plan.site.address) if bit))}"]
    body = f"{drawing(scale, bounds.wide / scale.one_to)}\n#{quoted(NOTE)}\n{table}\n{same}"
    source = sheet("As built", plan.name, body, paper=paper, under=under)
    return set_pdf(source, {"plan.svg": picture})


def _drawing(plan: Plan, built: Built, shots: Sequence[tuple[XY, float]], page: PlanPage) -> bytes:
    ring = list(plan.outline or [])
    page.path(ring, True, f'fill="#f4f4f1" stroke="{INK}" stroke-width="0.5"')
    for hole in plan.openings:
        page.path(hole, True, f'fill="#fff" stroke="{INK}" stroke-width="0.35"')
    for one in built.things:
        if one.thing == "joint" and one.line is not None:
            dash = "" if one.state == "cut" else ' stroke-dasharray="1.6 1"'
            page.path(list(one.line), False, f'fill="none" stroke="{INK}" stroke-width="0.35"{dash}')
        elif one.thing == "bolt":
            x, y = page.at(one.spot)
            page.parts.append(f'<rect x="{x - 0.6:.3f}" y="{y - 0.6:.3f}" width="1.2" height="1.2" fill="{GREY}"/>')
    draw_sizes(page, plan, ring)
    for i in range(len(ring)):
        page.text(off_corner(ring, i, 5 * page.one_to), corner_name(i), SIZE_MM, 700)
    for spot, off_mm in shots:
        x, y = page.at(spot)
        page.parts.append(f'<path d="M{x - 1:.2f} {y:.2f}h2M{x:.2f} {y - 1:.2f}v2" stroke="{INK}" stroke-width="0.3"/>')
        page.text((spot[0], spot[1] - 2.6 * page.one_to), level_words(off_mm, plan.units), SIZE_MM)
    for n, row in enumerate(built.rows, 1):
        _stands(page, row.stands, row.thing, row.drawn)
        x, y = page.at(row.spot)
        page.parts.append(
            f'<circle cx="{x:.2f}" cy="{y:.2f}" r="2.9" fill="#fff" stroke="{CHALK}" stroke-width="0.5"/>'
        )
        page.text(row.spot, str(n), NAME_MM, 700, halo=False)
    draw_bar(page, plan)
    return page.svg()


def _stands(page: PlanPage, stands: Sequence[XY], thing: str, drawn: tuple[XY, XY] | None) -> None:
    style = f'fill="none" stroke="{CHALK}" stroke-width="0.7"'
    if thing == "side" and drawn is not None and len(stands) == 3:
        (ax, ay), (bx, by) = drawn
        mx, my = (ax + bx) / 2, (ay + by) / 2
        x, y = stands[1]
        far = (mx + (x - mx) * EXAGGERATED, my + (y - my) * EXAGGERATED)
        points = [_bend(drawn[0], far, drawn[1], n / 12) for n in range(13)]
        page.path(points, False, style)
    elif len(stands) > 1:
        page.path(stands, thing == "added", style)
    elif stands:
        x, y = page.at(stands[0])
        page.parts.append(f'<circle cx="{x:.2f}" cy="{y:.2f}" r="1.1" fill="{CHALK}"/>')


def _bend(a: XY, top: XY, b: XY, share: float) -> XY:
    """A parabola through three points."""
    one, mid, two = (1 - share) * (1 - 2 * share), 4 * share * (1 - share), share * (2 * share - 1)
    return (one * a[0] + mid * top[0] + two * b[0], one * a[1] + mid * top[1] + two * b[1])
