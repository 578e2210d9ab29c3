"""The hand-over for the owner of the slab: what was built, how to treat it, when to load it, what was tested, what is open, photos."""

from __future__ import annotations

from collections.abc import Sequence

from humble_trowel.core.built.hand_over import HandOver
from humble_trowel.core.plan.document import Plan
from humble_trowel.papers.frame import drawing, room_for, sheet
from humble_trowel.papers.pack import PackPhoto
from humble_trowel.papers.pages import Paper, quoted, set_pdf
from humble_trowel.papers.svg import INK, Bounds, PlanPage, draw_bar, draw_sizes

MOST_PHOTOS = 4


def hand_over_pdf(plan: Plan, firm: str, told: HandOver, photos: Sequence[PackPhoto], paper: Paper, on: str) -> bytes:
    """Two pages as a rule. firm: who built it; on: the day, in words; photos: the newest of them are shown, so many at most."""
    ring = list(plan.outline or [])
    xs, ys = [x for x, _ in ring], [y for _, y in ring]
    bounds = Bounds(min(xs) - 900, min(ys) - 900, max(xs) + 900, max(ys) + 900)
    scale = room_for(bounds.wide, bounds.high, paper, plan.units == "ft-in", 0.32, turn=False).scale
    page = PlanPage(bounds, scale)
    page.path(ring, True, f'fill="#f4f4f1" stroke="{INK}" stroke-width="0.6"')
    for row in plan.joints.lines:
        page.path(
            [row.start, row.end], False, f'fill="none" stroke="{INK}" stroke-width="0.3" stroke-dasharray="1.6 1"'
        )
    draw_sizes(page, plan, ring)
    draw_bar(page, plan)
    shown = list(photos)[-MOST_PHOTOS:]
    pictures = {"plan.svg": page.svg()} | {f"p{n}.jpg": one.picture for n, one in enumerate(shown)}
    grid = ", ".join(
        f'block(breakable: false)[#image("p{n}.jpg", width: 100%, height: 62mm, fit: "contain") #{quoted(one.title)} {f"#{quoted(one.note)}" if one.note else ""}]'
        for n, one in enumerate(shown)
    )

    def part(title: str, rows: Sequence[str]) -> str:
        return f"#part({quoted(title)})\n" + "\n".join(f"- #{quoted(row)}" for row in rows) if rows else ""

    whom = ", ".join(bit for bit in (f"For {plan.client}" if plan.client else "", plan.site.address, on, firm) if bit)
    body = f"""
{_open(told)}
{drawing(scale, bounds.wide / scale.one_to)}
{part("What was built", told.built)}
{_use(told)}
{part("How to treat it", told.treat)}
{part("Not as drawn", told.differs)}
{part("What was tested", told.tested)}
{part("Take care", told.warnings)}
{f"#part({quoted('Photos')})" + chr(10) + f"#grid(columns: (1fr, 1fr), gutter: 6mm, {grid})" if grid else ""}
"""
    source = sheet("Hand-over", plan.name, body, paper=paper, under=[f"#{quoted(whom)}"])
    return set_pdf(source, pictures)


def _open(told: HandOver) -> str:
    if not told.open:
        return ""
    rows = "\n".join(f"- #{quoted(row)}" for row in told.open)
    return (
        f"#block(stroke: 1.4pt, inset: 8pt, width: 100%)[#text(13pt, weight: 700)[#{quoted('Still open')}]\n{rows}\n]"
    )


def _use(told: HandOver) -> str:
    if not told.use:
        return ""
    cells = ", ".join(f"[#{quoted(head)}]" for head in ("", *told.heads))
    for row in told.use:
        cells += ", " + ", ".join(f"[#{quoted(text)}]" for text in (row.zone, *row.texts))
    columns = ", ".join(["1fr", *["auto"] * len(told.heads)])
    return f"#block(breakable: false)[#part({quoted('From when on')})\n#table(columns: ({columns}), {cells})]"
