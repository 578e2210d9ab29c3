"""The form of each side: height, boards in courses, stakes, kickers, lean."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import NamedTuple

from humble_trowel.core.forms.exposed import LEAST_MM, Holds, Reach, Station, above_ground, reaches, stations
from humble_trowel.core.forms.heights import SLACK_MM, Stack, choose
from humble_trowel.core.forms.kickers import FULL, between_kickers, whole_inches
from humble_trowel.core.forms.runs import corner_extra_mm
from humble_trowel.core.forms.span import Span, board_span, top_push_n_per_m
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.geometry.rounds import Arc
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import FormRow, Plan, side_name
from humble_trowel.core.plan.form_ways import FormBoard, FormWays
from humble_trowel.core.units import say_depth, say_length

TALL_MM = 24 * 25.4
INCH = 25.4


@dataclass(frozen=True)
class Course:
    """One board high along a part of a side. from_mm, to_mm along it; run_mm: board needed; top_mm: under the form's top."""

    board: str
    from_mm: float
    to_mm: float
    run_mm: float
    top_mm: float
    deep_mm: float
    span: Span


@dataclass(frozen=True)
class SideForm:
    """formed: False where something stands or the user says so (why). height_mm: greatest; least_mm: least.

    over_mm: form above what is needed (negative: gap to pack). push_n_per_m: at the form's top. lean_mm: kicked in.
    kicker_every: stakes from kicker to kicker, 0 for none. kicker_load_n: on each.
    """

    side: int
    name: str
    formed: bool
    why: str
    height_mm: float
    least_mm: float
    ground_known: bool
    build: str
    boards: list[str]
    over_mm: float
    courses: list[Course]
    length_mm: float
    stake_spacing_mm: float
    stakes: int
    push_n_per_m: float
    kickers: int
    kicker_every: int
    kicker_load_n: float
    lean_mm: float
    backfilled: bool
    left_out: bool
    stations: list[Station]
    stake_at_mm: list[float]
    governs: str
    panels: int
    foam_m2: float
    fits: bool
    height_text: str
    spacing_text: str
    lean_text: str
    push_words: str


def side_form(
    plan: Plan, cells: Sequence[Cell], side: int, ways: FormWays, edge_mm: float, arc: Arc | None,
    standing: Sequence[Holds] | None = None,
) -> SideForm:  # fmt: skip
    """How one side is formed. edge_mm: depth of concrete at its edge. standing: `holding(plan)`, where all are asked for."""
    ring = list(plan.outline or [])
    row = next((row for row in plan.forms if side in row.sides), None)
    parts = reaches(plan, side, standing)
    spots = stations(plan, cells, side, row, edge_mm)
    free = [part for part in parts if not part.against]
    open_parts = [
        Reach(start, end, "")
        for part in free
        for start, end in above_ground(part, spots, 0.0)
        if end - start > LEAST_MM
    ]
    name = side_name(side, len(ring))
    mark = next((edge.type for edge in plan.edges if side in (edge.sides or ())), None)
    kind = next((row.kind for row in plan.edge_types if row.mark == mark), "plain")
    against = ", ".join(dict.fromkeys(part.against for part in parts if part.against))
    if row is not None and row.build == "none":
        return _bare(side, name, "No form, by your word.", spots, row)
    if free and not open_parts:
        return _bare(side, name, "The ground outside comes up to the slab's top.", spots, row)
    if not open_parts or (kind in ("against-wall", "dowelled") and not against):
        return _bare(side, name, f"Against {against}." if against else "Against what stands there.", spots, row)
    return _formed(plan, side, row or FormRow(sides=[side]), Open(open_parts, against, spots), ways, arc)


def _bare(side: int, name: str, why: str, spots: list[Station], row: FormRow | None) -> SideForm:
    high = max((spot.height_mm for spot in spots), default=0.0)
    return SideForm(
        side=side, name=name, formed=False, why=why, height_mm=high,
        least_mm=min((s.height_mm for s in spots), default=0.0), ground_known=bool(row and row.ground), build="none",
        boards=[], over_mm=0.0, courses=[], length_mm=0.0, stake_spacing_mm=0.0, stakes=0, push_n_per_m=0.0, kickers=0,
        kicker_every=0, kicker_load_n=0.0, lean_mm=0.0, backfilled=False, left_out=False, stations=spots,
        stake_at_mm=[], governs="", panels=0, foam_m2=0.0, fits=True, height_text="", spacing_text="", lean_text="",
        push_words="",
    )  # fmt: skip


class Open(NamedTuple):
    """What of a side is to be formed: its parts, what stands against the others, and how high it is where."""

    parts: list[Reach]
    against: str
    spots: list[Station]


def _formed(plan: Plan, side: int, row: FormRow, what: Open, ways: FormWays, arc: Arc | None) -> SideForm:
    parts, against, spots = what
    name = side_name(side, len(plan.outline or ()))
    high = max(spot.height_mm for spot in spots)
    stack = _stack(high, row, ways, arc is not None)
    panel = row.build == "panel" or (stack is None and arc is None)
    kit = {board.mark: board for board in ways.boards}
    length = sum(part.length_mm for part in parts)
    courses = [] if panel or stack is None else _courses(plan, side, parts, spots, stack, kit, ways)
    spacing, governs = _spacing(courses, ways, high if panel or stack is None else 0.0)
    push = top_push_n_per_m(high)
    spacing, every, load = between_kickers(
        spacing, push, kit.get(stack.boards[0]) if courses and stack else None, ways, row.backfilled
    )
    stakes_at = [at for part in parts for at in _evenly(part, spacing)]
    foam = length * high / 1e6 if row.build == "foam-faced" else 0.0
    return SideForm(
        side=side, name=name, formed=True, why=f"Partly against {against}." if against else "", height_mm=high,
        least_mm=min(spot.height_mm for spot in spots), ground_known=bool(row.ground),
        build="panel" if panel else row.build, boards=list(stack.boards) if stack and not panel else [],
        over_mm=stack.over_mm if stack and not panel else ways.panel_deep_mm - high, courses=courses, length_mm=length,
        stake_spacing_mm=spacing, stakes=len(stakes_at), push_n_per_m=push,
        kickers=math.ceil(len(stakes_at) / every) if every else 0, kicker_every=every, kicker_load_n=load,
        lean_mm=ways.lean_mm if high > ways.lean_over_mm and not row.backfilled else 0.0, backfilled=row.backfilled,
        left_out=row.left_out, stations=spots, stake_at_mm=stakes_at, governs=governs,
        panels=math.ceil(length / ways.panel_length_mm) if panel else 0, foam_m2=foam,
        fits=stack is not None or (panel and high <= ways.panel_deep_mm), height_text=say_depth(high, plan.units),
        spacing_text=say_length(spacing, plan.units), lean_text=say_depth(ways.lean_mm, plan.units),
        push_words=_push_words(plan, high, push, spacing, load, governs, ways),
    )  # fmt: skip


def _push_words(plan: Plan, high: float, push: float, spacing: float, load: float, governs: str, ways: FormWays) -> str:
    """Why the stakes and kickers stand as they do, in a sentence or two."""
    metric = plan.units == "mm"
    each = f"{push:.0f} N on each metre" if metric else f"{push / 4.4482216 * 0.3048:.0f} lb on each foot"
    held = f"{load:.0f} N" if metric else f"{load / 4.4482216:.0f} lb"
    why = {
        "cap": "the cap for knocks and boots",
        "bulge": "the bulge limit",
        "L/360": "the bulge limit, span / 360",
    }.get(governs, "the board's bending")
    words = f"{say_depth(high, plan.units)} of wet concrete pushes the top out with {each}. Stakes at {say_length(spacing, plan.units)} by {why}."
    full = " That is all it carries." if load > FULL * ways.kicker_holds_n else ""
    return words + (f" A kicker holds {held}.{full}" if load else " No kicker needed.")


def _stack(high: float, row: FormRow, ways: FormWays, bends: bool) -> Stack | None:
    kit = [(board.mark, board.deep_mm) for board in ways.boards if board.bends == bends]
    if row.boards:
        depth = {board.mark: board.deep_mm for board in ways.boards}
        if all(mark in depth for mark in row.boards):
            deep = sum(depth[mark] for mark in row.boards)
            return Stack(tuple(row.boards), deep, deep - high) if deep >= high * 0.75 else None
    return choose(high, kit, ways.stack)


def _courses(
    plan: Plan,
    side: int,
    parts: Sequence[Reach],
    spots: Sequence[Station],
    stack: Stack,
    kit: dict[str, FormBoard],
    ways: FormWays,
) -> list[Course]:
    """From the top down, shallow boards first; a lower course runs only where the ground is that low."""
    ring = list(plan.outline or [])
    size = math.dist(*side_of(ring, side))
    rows: list[Course] = []
    above = 0.0
    for mark in stack.boards:
        board = kit[mark]
        span = board_span(
            board.thick_mm, board.deep_mm, above, wood=ways.wood, several=ways.spans == "several",
            bulge_limit_mm=ways.bulge_mm, all_bottom=ways.pressure == "all-bottom", cap_mm=board.cap_mm,
        )  # fmt: skip
        for part in parts:
            for start, end in _where_needed(part, spots, above, ways.min_piece_mm):
                whole = end >= size - 1
                extra = corner_extra_mm(ring, (side + 1) % len(ring), board.thick_mm, ways.corner) if whole else 0.0
                rows.append(Course(mark, start, end, end - start + extra, above, board.deep_mm, span))
        above += board.deep_mm
    return rows


def _where_needed(part: Reach, spots: Sequence[Station], above: float, least: float) -> list[tuple[float, float]]:
    """Stretches of a part where the form is higher than the boards above; never shorter than a least piece."""
    found: list[list[float]] = []
    for start, end in above_ground(part, spots, above + SLACK_MM if above > 0 else 0.0):
        if found and start - found[-1][1] < least:
            found[-1][1] = end
        else:
            found.append([start, end])
    return [_long_enough(start, end, part, least) for start, end in found]


def _long_enough(start: float, end: float, part: Reach, least: float) -> tuple[float, float]:
    short = least - (end - start)
    if short <= 0 or part.length_mm <= least:
        return (start, end) if short <= 0 else (part.from_mm, part.to_mm)
    start = max(part.from_mm, start - short)
    return start, min(part.to_mm, max(end, start + least))


def _spacing(courses: Sequence[Course], ways: FormWays, panel_head: float) -> tuple[float, str]:
    """Stakes as far apart as the weakest course allows, in whole inches. Panels: as a 1.5 in wall of one depth."""
    if courses:
        worst = min(courses, key=lambda course: course.span.spacing_mm)
        return whole_inches(
            worst.span.spacing_mm
        ), worst.span.governs if worst.span.limit_mm < worst.span.cap_mm else "cap"
    return whole_inches(min(24 * INCH, ways.panel_length_mm)) if panel_head <= TALL_MM else 16 * INCH, "cap"


def _evenly(part: Reach, spacing: float) -> list[float]:
    """Stakes from end to end of a reach, evenly, no farther apart than `spacing`."""
    gaps = max(1, math.ceil(part.length_mm / spacing - 1e-6))
    return [part.from_mm + part.length_mm * k / gaps for k in range(gaps + 1)]
