"""What lies under the slab, on paper: the plan, each riser to tick with its two sizes, tests in their order, loops leg by leg."""

from __future__ import annotations

from collections.abc import Sequence

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.core.underslab.covered import Covered
from humble_trowel.core.underslab.line_tests import Tested
from humble_trowel.core.underslab.tubing import TubingLaid
from humble_trowel.core.underslab.underslab import Buried
from humble_trowel.core.units import say_depth
from humble_trowel.papers.frame import NAME_MM, SIZE_MM, drawing, room_for, sheet
from humble_trowel.papers.pages import Paper, quoted, set_pdf
from humble_trowel.papers.svg import CHALK, GREY, INK, Bounds, PlanPage, draw_bar, draw_sizes, off_corner

CAUTION = "Tape it the day before the pour. Plumbing, gas and electric work is for licensed trades and the inspector."
BOX = "□"


def underslab_pdf(
    plan: Plan,
    buried: Buried | None,
    tested: Tested | None,
    covered: Covered | None,
    tubing: TubingLaid | None,
    paper: Paper,
) -> bytes:
    """The sheet as PDF. Parts that the job has nothing of are left out."""
    ring = list(plan.outline or [])
    spots = [*ring, *(at for run in (buried.runs if buried else []) for at in run.path)]
    xs, ys = [x for x, _ in spots], [y for _, y in spots]
    bounds = Bounds(min(xs) - 600, min(ys) - 600, max(xs) + 600, max(ys) + 600)
    scale = room_for(bounds.wide, bounds.high, paper, plan.units == "ft-in", 0.62, turn=False).scale
    page = PlanPage(bounds, scale)
    _draw(page, plan, ring, buried, tubing)
    tables = "\n".join([*_risers(plan, buried), *_tests(tested), *_cover(covered), *_loops(tubing)])
    picture = drawing(scale, bounds.wide / scale.one_to)
    taped = "Taped by #box(width: 40mm, line(length: 40mm, stroke: 0.5pt)) on #box(width: 30mm, line(length: 30mm, stroke: 0.5pt))"
    source = sheet("Under the slab", plan.name, f"{picture}\n{tables}", paper=paper, caution=CAUTION, under=[taped])
    return set_pdf(source, {"plan.svg": page.svg()})


def _draw(page: PlanPage, plan: Plan, ring: list[XY], buried: Buried | None, tubing: TubingLaid | None) -> None:
    page.path(ring, True, f'fill="#f4f4f1" stroke="{INK}" stroke-width="0.5"')
    for loop in tubing.loops if tubing else []:
        page.path(loop.points, False, f'fill="none" stroke="{GREY}" stroke-width="0.25"')
    for run in buried.runs if buried else []:
        page.path(run.path, False, f'fill="none" stroke="{CHALK}" stroke-width="0.5"')
        a, b = run.path[0], run.path[1]
        page.text(((a[0] + b[0]) / 2, (a[1] + b[1]) / 2), run.name, NAME_MM, 700)
    for n, row in enumerate(buried.risers if buried else [], 1):
        x, y = page.at(row.at)
        page.parts.append(f'<circle cx="{x:.3f}" cy="{y:.3f}" r="3" fill="#fff" stroke="{INK}" stroke-width="0.35"/>')
        page.text(row.at, str(n), NAME_MM, 700, halo=False)
    draw_sizes(page, plan, ring)
    for i in range(len(ring)):
        page.text(off_corner(ring, i, 5 * page.one_to), corner_name(i), SIZE_MM, 700)
    draw_bar(page, plan)


def _table(title: str, head: Sequence[str], rows: Sequence[Sequence[str]], columns: str) -> list[str]:
    if not rows:
        return []
    cells = ", ".join("tick" if cell == BOX else quoted(cell) for row in (head, *rows) for cell in row)
    return [f"#part[#{quoted(title)}]\n#table(columns: {columns}, {cells})"]


def _risers(plan: Plan, buried: Buried | None) -> list[str]:
    rows = []
    for n, row in enumerate(buried.risers if buried else [], 1):
        faces = [(f"{face.name} {face.face_text}", "") for face in row.faces[:2]] + [("", "")] * (
            2 - len(row.faces[:2])
        )
        taped = row.check.taped if row.check else ["", ""]
        (one, _), (two, _) = faces[0], faces[1]
        allowed = say_depth(row.allowed_mm, plan.units)
        state = "" if row.check is None else "on" if row.check.on else "off"
        rows.append(
            (str(n), row.name, one, taped[0], two, taped[1] if len(taped) > 1 else "", allowed, row.mends, state or BOX)
        )
    head = ("", "Riser", "From face", "taped", "From face", "taped", "Allowed", "Who mends", "On")
    return _table(
        "Each riser, from two finished faces", head, rows, "(auto, 1.2fr, 1.2fr, 0.8fr, 1.2fr, 0.8fr, auto, 1fr, auto)"
    )


def _tests(tested: Tested | None) -> list[str]:
    rows = []
    for line in tested.lines if tested else []:
        holds = f"{line.need_text}" + (f", or water {line.head_text}" if line.head_text else "")
        said = line.told.words if line.told else BOX
        order = " ".join(step.words for step in line.steps)
        rows.append((line.name, f"{line.fill} {order}".strip(), f"{holds}, {line.hold_min} min", said))
    return _table(
        "Tests before it is covered", ("Line", "Filled and capped", "Holds", "Held"), rows, "(1fr, 2.4fr, 1.4fr, 0.8fr)"
    )


def _cover(covered: Covered | None) -> list[str]:
    rows: list[tuple[str, ...]] = []
    if covered and covered.barrier:
        laid = covered.barrier
        rows.append(
            (
                "Barrier",
                f"{laid.rolls.text} {laid.roll_text}, laps {laid.lap_text}",
                f"{laid.tape.text} of tape, {len(laid.boots)} boots",
            )
        )
    for foam in covered.foam if covered else []:
        many = f"{foam.boards} boards of {foam.board_text}" if foam.boards else foam.cut_text
        rows.append((f"Foam, {', '.join(foam.zones)}", f"{foam.text} {foam.kind_text}", many))
    for row in covered.treatments if covered else []:
        rows.append((row.name, row.paper, f"done {row.done_on}" if row.done_on else BOX))
    return _table("Barrier, foam, treatments", ("", "What", "How much"), rows, "(1.2fr, 2fr, 1.6fr)")


def _loops(tubing: TubingLaid | None) -> list[str]:
    if tubing is None or not tubing.loops:
        return []
    rows = [(str(loop.n), loop.room, loop.text, str(loop.coil or "-"), ",  ".join(loop.calls)) for loop in tubing.loops]
    return _table("Loops, leg by leg from the manifold", ("", "Room", "Long", "Coil", "Legs"), rows, "(auto, auto, auto, auto, 1fr)")  # fmt: skip
