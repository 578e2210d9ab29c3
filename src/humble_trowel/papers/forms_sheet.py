"""The forms on paper: which board stands where, stakes and kickers, what is fetched and how it is cut."""

from __future__ import annotations

from humble_trowel.core.forms.cut_boards import CutPlanOfJob
from humble_trowel.core.forms.form_plan import FormPlan, say_boards
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.core.units import say_depth, say_length
from humble_trowel.files.dxf_write import form_boards
from humble_trowel.papers.frame import SIZE_MM, drawing, room_for, sheet, table_of
from humble_trowel.papers.pages import Paper, quoted, set_pdf
from humble_trowel.papers.svg import INK, OCHRE, Bounds, PlanPage, draw_bar, draw_sizes, off_corner


def forms_pdf(plan: Plan, forms: FormPlan, cuts: CutPlanOfJob | None, paper: Paper) -> bytes:
    """The drawing with boards and stakes, a row a side, the shopping list, every board with its pieces."""
    ring = list(plan.outline or [])
    xs, ys = [x for x, _ in ring], [y for _, y in ring]
    bounds = Bounds(min(xs) - 900, min(ys) - 900, max(xs) + 900, max(ys) + 900)
    scale = room_for(bounds.wide, bounds.high, paper, plan.units == "ft-in", 0.55, turn=False).scale
    page = PlanPage(bounds, scale)
    page.path(ring, True, f'fill="#f4f4f1" stroke="{INK}" stroke-width="0.4"')
    for board in form_boards(ring, forms, max(38.1, 0.9 * scale.one_to)):
        page.path(board, True, f'fill="{OCHRE}" stroke="{INK}" stroke-width="0.15"')
    for side in forms.sides:
        a, b = ring[side.side], ring[(side.side + 1) % len(ring)]
        for at in side.stake_at_mm:
            share = min(1.0, at / side.length_mm) if side.length_mm else 0.0
            x, y = page.at((a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share))
            page.parts.append(
                f'<rect x="{x - 0.5:.2f}" y="{y - 0.5:.2f}" width="1" height="1" fill="#fff" stroke="{INK}" stroke-width="0.25"/>'
            )
    draw_sizes(page, plan, ring)
    for i in range(len(ring)):
        page.text(off_corner(ring, i, 5 * page.one_to), corner_name(i), SIZE_MM, 700)
    draw_bar(page, plan)
    body = "\n".join([drawing(scale, bounds.wide / scale.one_to), _sides(plan, forms), *_cuts(cuts)])
    source = sheet("Forms", plan.name, body, paper=paper, caution=forms.caution)
    return set_pdf(source, {"plan.svg": page.svg()})


def _sides(plan: Plan, forms: FormPlan) -> str:
    units = plan.units
    rows = []
    for side in forms.sides:
        stakes = f"{side.stakes} at {say_length(side.stake_spacing_mm, units)}" if side.stakes else ""
        high = say_depth(side.height_mm, units) if side.formed else "not formed"
        rows.append((side.name, say_boards(side, units), high, stakes, str(side.kickers or "")))
    return table_of("Side by side", ("Side", "Boards", "High", "Stakes", "Kickers"), rows, "(auto, 1fr, auto, auto, auto)")  # fmt: skip


def _cuts(cuts: CutPlanOfJob | None) -> list[str]:
    if cuts is None:
        return []
    rows = [
        (
            f"{board.mark}, {board.text}",
            ", ".join(f"{piece.key} {piece.text}" for piece in board.pieces),
            board.left_text,
        )
        for board in cuts.boards
    ]
    fetch = "\n".join(f"- #{quoted(row)}" for row in cuts.buy)
    return [
        f"#part[Fetch]\n{fetch}\n#block[#{quoted(cuts.why)}]" if fetch else "",
        table_of("Each board", ("Board", "Cut", "Left"), rows, "(auto, 1fr, auto)"),
    ]
