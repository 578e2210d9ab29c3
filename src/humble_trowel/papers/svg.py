"""The set-out drawing as SVG at a true scale: slab, forms, strings, profile boards, existing work, diagonals."""

from __future__ import annotations

import math
import re
from collections.abc import Sequence
from dataclasses import dataclass
from html import escape

from humble_trowel.core.forms.form_plan import FormPlan
from humble_trowel.core.geometry.polygon import XY, outward
from humble_trowel.core.lines.setting_out import SetOutSheet
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.core.units import say_length
from humble_trowel.files.dxf_write import form_boards
from humble_trowel.papers.frame import NAME_MM, SIZE_MM
from humble_trowel.papers.pages import Scale

FRACTION = re.compile(r"(?:(?<=\d) )?(?<!\d)(\d{1,2})/(\d{1,2})(?!\d)")
RAISED, LOWERED = str.maketrans("0123456789", "⁰¹²³⁴⁵⁶⁷⁸⁹"), str.maketrans("0123456789", "₀₁₂₃₄₅₆₇₈₉")
INK, CHALK, OCHRE, GREY = "#16191a", "#163fae", "#d9a441", "#7b8281"


@dataclass(frozen=True)
class Bounds:
    """What the drawing covers, plan mm."""

    x1: float
    y1: float
    x2: float
    y2: float

    @property
    def wide(self) -> float:
        return self.x2 - self.x1

    @property
    def high(self) -> float:
        return self.y2 - self.y1


def bounds_of(plan: Plan, sheet: SetOutSheet) -> Bounds:
    """The slab, its strings and what stands beside it."""
    spots = [*(plan.outline or [])]
    for line in sheet.strings:
        for nail in (line.start, line.end):
            spots += [(nail.x_mm, nail.y_mm), *nail.board]
    for thing in plan.existing:
        spots += thing.polygon
    margin = 500.0
    xs, ys = [x for x, _ in spots], [y for _, y in spots]
    return Bounds(min(xs) - margin, min(ys) - margin, max(xs) + margin, max(ys) + margin)


class PlanPage:
    """Plan mm to paper mm, y down."""

    def __init__(self, bounds: Bounds, scale: Scale) -> None:
        self.bounds, self.one_to = bounds, scale.one_to
        self.parts: list[str] = []

    def at(self, spot: XY) -> XY:
        return ((spot[0] - self.bounds.x1) / self.one_to, (self.bounds.y2 - spot[1]) / self.one_to)

    def svg(self) -> bytes:
        """The whole drawing; its width and height in mm are true at the scale."""
        wide, high = self.bounds.wide / self.one_to, self.bounds.high / self.one_to
        head = f'<svg xmlns="http://www.w3.org/2000/svg" width="{wide:.3f}mm" height="{high:.3f}mm" viewBox="0 0 {wide:.3f} {high:.3f}">'
        return (head + "".join(self.parts) + "</svg>").encode()

    def path(self, points: Sequence[XY], closed: bool, style: str) -> None:
        d = " ".join(f"{'M' if i == 0 else 'L'}{x:.3f} {y:.3f}" for i, (x, y) in enumerate(map(self.at, points)))
        self.parts.append(f'<path d="{d}{"Z" if closed else ""}" {style}/>')

    def text(
        self, spot: XY, words: str, size: float, weight: int = 400, turn_deg: float = 0.0, halo: bool = True
    ) -> None:
        x, y = self.at(spot)
        turn = f' transform="rotate({turn_deg:.2f} {x:.3f} {y:.3f})"' if turn_deg else ""
        base = (
            f'x="{x:.3f}" y="{y + size * 0.35:.3f}" font-family="Trowel Sheet" font-size="{size}" font-weight="{weight}" '
            f'text-anchor="middle"{turn}'
        )
        told = built(words)
        if halo:
            self.parts.append(f'<text {base} fill="#fff" stroke="#fff" stroke-width="{size * 0.3}">{told}</text>')
        self.parts.append(f'<text {base} fill="{INK}">{told}</text>')


def built(words: str) -> str:
    """Text with its fractions built: 7/16 is a raised 7 over a lowered 16, whichever way the text is turned."""
    return escape(
        FRACTION.sub(lambda found: f"\u2009{found[1].translate(RAISED)}\u2044{found[2].translate(LOWERED)}", words)
    )


def set_out_svg(plan: Plan, sheet: SetOutSheet, forms: FormPlan, bounds: Bounds, scale: Scale) -> bytes:
    """The drawing; its width and height in mm are true at the scale."""
    page = PlanPage(bounds, scale)
    ring = list(plan.outline or [])
    for thing in plan.existing:
        page.path(thing.polygon, True, f'fill="#ececea" stroke="{GREY}" stroke-width="0.3" stroke-dasharray="2 1"')
        xs, ys = [x for x, _ in thing.polygon], [y for _, y in thing.polygon]
        tall = max(ys) - min(ys) > max(xs) - min(xs)
        page.text(_middle(thing.polygon), thing.name, NAME_MM, turn_deg=-90.0 if tall else 0.0)
    if sheet.base_ring:
        page.path(sheet.base_ring, True, f'fill="none" stroke="{GREY}" stroke-width="0.2" stroke-dasharray="0.6 1.2"')
    page.path(ring, True, f'fill="#f4f4f1" stroke="{INK}" stroke-width="0.5"')
    for hole in plan.openings:
        page.path(hole, True, f'fill="#fff" stroke="{INK}" stroke-width="0.35"')
    for board in form_boards(ring, forms, max(38.1, 0.9 * scale.one_to)):
        page.path(board, True, f'fill="{OCHRE}" stroke="{INK}" stroke-width="0.15"')
    for square in sheet.squares[:2]:
        for a, b in ((0, 2), (1, 3)):
            page.path(
                [square.corners[a], square.corners[b]],
                False,
                f'fill="none" stroke="{INK}" stroke-width="0.22" stroke-dasharray="0.9 0.9"',
            )
    for line in sheet.strings:
        page.path(
            [(line.start.x_mm, line.start.y_mm), (line.end.x_mm, line.end.y_mm)],
            False,
            f'fill="none" stroke="{CHALK}" stroke-width="0.25"',
        )
        for nail in (line.start, line.end):
            if nail.board:
                page.path(nail.board, False, f'fill="none" stroke="{INK}" stroke-width="1.1"')
    for square, share in zip(sheet.squares[:2], (0.36, 0.66), strict=False):
        page.text(_on(square.corners[0], square.corners[2], share), square.diagonal_text, SIZE_MM)
    draw_sizes(page, plan, ring)
    for i in range(len(ring)):
        page.text(off_corner(ring, i, 5 * scale.one_to), corner_name(i), SIZE_MM, 700)
    draw_bar(page, plan)
    return page.svg()


def draw_sizes(page: PlanPage, plan: Plan, ring: Sequence[XY]) -> None:
    """Lengths of the sides, outside of them."""
    for i, a in enumerate(ring):
        b = ring[(i + 1) % len(ring)]
        size = math.dist(a, b)
        if size / page.one_to < 9:
            continue
        ux, uy = (b[0] - a[0]) / size, (b[1] - a[1]) / size
        spot = ((a[0] + b[0]) / 2 - uy * 4.2 * page.one_to, (a[1] + b[1]) / 2 + ux * 4.2 * page.one_to)
        turn = -math.degrees(math.atan2(uy, ux))
        turn = turn + 180 if turn < -90.01 or turn > 90 else turn
        page.text(spot, say_length(size, plan.units), SIZE_MM, 400, turn - 360 if turn > 180 else turn)


def draw_bar(page: PlanPage, plan: Plan) -> None:
    """A bar of 10 ft or 3 m to check the print by."""
    size, words = (3048.0, "10′") if plan.units == "ft-in" else (3000.0, "3 m")
    x, y = page.bounds.x1 + 2 * page.one_to, page.bounds.y1 + 2 * page.one_to
    page.path([(x, y), (x + size, y)], False, f'fill="none" stroke="{INK}" stroke-width="0.9"')
    for share in (0.0, 0.5, 1.0):
        spot = x + size * share
        page.path([(spot, y - page.one_to), (spot, y + page.one_to)], False, f'stroke="{INK}" stroke-width="0.35"')
    page.text((x + size + 7 * page.one_to, y), words, SIZE_MM)


def _middle(ring: Sequence[XY]) -> XY:
    return (sum(x for x, _ in ring) / len(ring), sum(y for _, y in ring) / len(ring))


def _on(a: XY, b: XY, share: float) -> XY:
    return (a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share)


def off_corner(ring: Sequence[XY], i: int, away_mm: float) -> XY:
    """A spot off a corner."""
    nx, ny = outward(ring, i)
    return (ring[i][0] + nx * away_mm, ring[i][1] + ny * away_mm)
