"""The walk before the pour, on paper: the plan with its places numbered, each question with its limit and a box, signatures; the inspector's
own list apart, with a place to sign."""

from __future__ import annotations

from collections.abc import Sequence

from humble_trowel.core.gate.records import Signature
from humble_trowel.core.gate.walk import GateWalk, PlaceTold
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.papers.frame import NAME_MM, SIZE_MM, drawing, room_for, sheet
from humble_trowel.papers.pages import Paper, quoted, set_pdf
from humble_trowel.papers.svg import INK, Bounds, PlanPage, draw_bar, draw_sizes, off_corner

CAUTION = "Limits are this house's; the drawing, the code adopted there and the inspector win."
STATES = {"pass": "passed", "mend": "to mend", "absent": "not here", "second": "one looked", "open": ""}
SIGN_WIDE, SIGN_HIGH = 62.0, 16.0


def walk_pdf(plan: Plan, walk: GateWalk, signatures: Sequence[Signature], paper: Paper) -> bytes:
    """The whole walk, then what the inspector looks at too."""
    ring = list(plan.outline or [])
    xs, ys = [x for x, _ in ring], [y for _, y in ring]
    bounds = Bounds(min(xs) - 1100, min(ys) - 1100, max(xs) + 1100, max(ys) + 1100)
    scale = room_for(bounds.wide, bounds.high, paper, plan.units == "ft-in", 0.45, turn=False).scale
    page = PlanPage(bounds, scale)
    page.path(ring, True, f'fill="#f4f4f1" stroke="{INK}" stroke-width="0.5"')
    draw_sizes(page, plan, ring)
    for i in range(len(ring)):
        page.text(off_corner(ring, i, 5 * page.one_to), corner_name(i), SIZE_MM, 500)
    for place in walk.places:
        if place.at is not None:
            x, y = page.at(place.at)
            page.parts.append(
                f'<circle cx="{x:.2f}" cy="{y:.2f}" r="3.6" fill="#fff" stroke="{INK}" stroke-width="0.4"/>'
            )
            page.text(place.at, str(place.n), NAME_MM, 700)
    draw_bar(page, plan)
    own = [sign for sign in signatures if sign.of == "walk"]
    pictures = {"plan.svg": page.svg()} | {f"sign{i}.svg": _strokes(sign) for i, sign in enumerate(own)}
    signed = " ".join(f'#box(image("sign{i}.svg", height: 12mm)) #{quoted(sign.name)}' for i, sign in enumerate(own))
    inspector = _table([place for place in walk.places if any("I" in row.who for row in place.rows)], inspector=True)
    picture = drawing(scale, bounds.wide / scale.one_to, f"{walk.passed} of {len(walk.places)} places passed")
    body = f"""
{picture}
{_table(walk.places, inspector=False)}
#v(8pt)
Walked by #h(4pt) {signed or "#box(width: 60mm, stroke: (bottom: 0.6pt))[]"} #h(1fr) on #box(width: 34mm, stroke: (bottom: 0.6pt))[]
#pagebreak()
#part[The inspector's list]
{inspector}
#v(14pt)
Passed #tick #h(10pt) Not passed #tick #h(1fr) Inspector #box(width: 62mm, stroke: (bottom: 0.6pt))[] #h(8pt) Date #box(width: 30mm, stroke: (bottom: 0.6pt))[]
"""
    source = sheet("The walk before the pour", plan.name, body, paper=paper, caution=CAUTION)
    return set_pdf(source, pictures)


def _table(places: Sequence[PlaceTold], *, inspector: bool) -> str:
    cells = ", ".join(f"[#{quoted(head)}]" for head in ("", "Place", "Look", "Limit", "Read", ""))
    for place in places:
        rows = [row for row in place.rows if not inspector or "I" in row.who]
        for i, row in enumerate(rows):
            limit = f"no less than {row.least_text}" if row.least_text else row.words if row.need == "steel" else ""
            said = " ".join(part for part in (row.read_text, STATES[row.state]) if part)
            texts = (str(place.n) if i == 0 else "", place.name if i == 0 else "", row.ask, limit, said)
            cells += ", " + ", ".join(f"[#{quoted(text)}]" for text in texts) + ", [#tick]"
    return f"#table(columns: (auto, 26mm, 1fr, 43mm, 22mm, auto), {cells})"


def _strokes(sign: Signature) -> bytes:
    lines = [
        " ".join(f"{x * SIGN_WIDE:.2f},{y * SIGN_HIGH:.2f}" for x, y in [*stroke, stroke[-1]])
        for stroke in sign.strokes
    ]
    paths = "".join(f'<polyline points="{line}" fill="none" stroke="#1c2a55" stroke-width="0.5"/>' for line in lines)
    return f'<svg xmlns="http://www.w3.org/2000/svg" width="{SIGN_WIDE}mm" height="{SIGN_HIGH}mm" viewBox="0 0 {SIGN_WIDE} {SIGN_HIGH}">{paths}</svg>'.encode()
