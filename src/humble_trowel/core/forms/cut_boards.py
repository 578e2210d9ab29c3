"""The cut plan of a whole job: each board mark on its own, from boards on hand first, then bought lengths."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from shapely.geometry import LineString, Polygon

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.forms.board_plan import BoardPlan, plan_boards
from humble_trowel.core.forms.cover import Buy
from humble_trowel.core.forms.crew_boards import plan_by_crew, reason_of
from humble_trowel.core.forms.form_plan import FormPlan
from humble_trowel.core.geometry.polygon import XY, corner_angle_rad
from humble_trowel.core.guard import answers
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.core.plan.form_ways import FormWays
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.progress import tick
from humble_trowel.core.units import say_length


@dataclass(frozen=True)
class CutPiece:
    """A piece. key: 'D1', side letter and number along it. why: its run is made so. side: -1 for a step form. at_mm: along the side."""

    key: str
    side: int
    course: int
    at_mm: float
    mm: float
    text: str
    where: str
    runs_past_mm: float
    why: str


@dataclass(frozen=True)
class CutBoard:
    mark: str
    mm: float
    text: str
    on_hand: bool
    price_cents: int
    pieces: list[CutPiece]
    left_mm: float
    left_text: str


@dataclass(frozen=True)
class CutPlanOfJob:
    """bound_mm: no plan buys less length. cost, bound in cents. buy: what to fetch, in words."""

    boards: list[CutBoard]
    buy: list[str]
    waste_mm: float
    bought_mm: float
    bound_mm: float
    cost_cents: int
    bound_cents: int
    cost_text: str
    splices: int
    cleats: int
    proven: bool
    verdict: str
    findings: list[Finding]


@dataclass(frozen=True)
class _Run:
    side: int
    course: int
    from_mm: float
    mm: float
    name: str


@answers("The cut plan")
def cut_boards(plan: Plan, forms: FormPlan, ways: JobWays) -> CutPlanOfJob:
    """Boards and their cuts for all forms of a job."""
    own = ways.forms
    boards: list[CutBoard] = []
    doubts: list[Finding] = []
    cost = bound_cents = splices = saved = more = 0
    counts: dict[str, int] = {}
    bought = bound_mm = 0.0
    by_mark = _runs(plan, forms)
    for at, (mark, runs) in enumerate(by_mark.items()):
        tick(at / len(by_mark))
        kind = next((board for board in own.boards if board.mark == mark), None)
        if kind is None:
            continue
        stock = [Buy(mm, round(kind.price_per_m_cents * mm / 1000)) for mm in sorted(own.stock_lengths_mm)]
        have = [row.length_mm for row in own.on_hand if row.board == mark for _ in range(row.count)]
        lengths = [run.mm for run in runs]
        money = plan_boards(lengths, stock, have, own.kerf_mm, own.min_piece_mm, own.splice_cents)
        crew = plan_by_crew(lengths, stock, have, own.kerf_mm, own.min_piece_mm) if own.buy == "crew" else None
        found = crew or money
        if found is None:
            words = f"No boards of {mark} make these runs with pieces of {say_length(own.min_piece_mm, plan.units)} or more."
            doubts.append(
                finding("no-cut-plan", "forms", words, "Add a stock length in Ways, or allow shorter pieces.", "ways")
            )
            continue
        names = _keys(runs, [piece for board in found.boards for piece in board.pieces], counts)
        why = [_reason(plan, found, run, row.mm, found is crew) for run, row in enumerate(runs)]
        saved += found.cost_cents - money.cost_cents if money and crew else 0
        more += money.splices - found.splices if money and crew else 0
        for board in found.boards:
            used = math.fsum(mm for _, _, mm in board.pieces) + own.kerf_mm * (len(board.pieces) - 1)
            left = max(0.0, board.mm - used)
            pieces = [
                _piece(plan, runs, piece, names, own, left if piece is board.pieces[-1] else 0.0, why)
                for piece in board.pieces
            ]
            boards.append(
                CutBoard(mark, board.mm, say_length(board.mm, plan.units), board.on_hand, board.price_cents, pieces, left,
                         say_length(left, plan.units))
            )  # fmt: skip
        cost += found.cost_cents
        bound_cents += found.bound_cents
        bought += found.bought_mm
        bound_mm += found.bound_mm
        splices += found.splices
    proven = cost <= bound_cents
    return CutPlanOfJob(
        boards=boards, buy=_shopping(boards), waste_mm=math.fsum(board.left_mm for board in boards), bought_mm=bought,
        bound_mm=bound_mm, cost_cents=cost, bound_cents=bound_cents, cost_text=f"{cost / 100:,.2f}", splices=splices,
        cleats=splices, proven=proven,
        verdict=_verdict(boards, splices, proven, cost, bound_cents, own.buy, saved, more), findings=doubts,
    )  # fmt: skip


def _runs(plan: Plan, forms: FormPlan) -> dict[str, list[_Run]]:
    rows: dict[str, list[_Run]] = {}
    done: set[int] = set()
    for side in forms.sides:
        arc = next((arc for arc in forms.arcs if side.side in arc.sides), None)
        for number, course in enumerate(side.courses):
            if arc is not None:
                if arc.sides[0] == side.side and side.side not in done:
                    name = f"round {corner_name(arc.sides[0])} to {corner_name((arc.sides[-1] + 1) % len(forms.sides))}"
                    for k, mark in enumerate(side.boards):
                        rows.setdefault(mark, []).append(_Run(side.side, k, 0.0, arc.length_mm, name))
                    done.add(side.side)
                continue
            rows.setdefault(course.board, []).append(_Run(side.side, number, course.from_mm, course.run_mm, side.name))
    for step in forms.steps:
        for mark in step.board.split(" + "):
            if mark:
                rows.setdefault(mark, []).append(_Run(-1, 0, 0.0, step.length_mm, f"step {step.name}"))
    return rows


def _keys(
    runs: Sequence[_Run], pieces: Sequence[tuple[int, float, float]], counts: dict[str, int]
) -> dict[tuple[int, float], str]:
    """A crayon mark for every piece: the side's first letter, then 1, 2, ... along it; S for steps. counts: so far in the job."""
    keys: dict[tuple[int, float], str] = {}
    for run, at, _ in sorted(pieces, key=lambda piece: (runs[piece[0]].side, runs[piece[0]].course, piece[1])):
        letter = corner_name(runs[run].side) if runs[run].side >= 0 else "S"
        counts[letter] = counts.get(letter, 0) + 1
        keys[run, at] = f"{letter}{counts[letter]}"
    return keys


def _piece(
    plan: Plan,
    runs: Sequence[_Run],
    piece: tuple[int, float, float],
    keys: dict[tuple[int, float], str],
    ways: FormWays,
    left: float,
    why: Sequence[str],
) -> CutPiece:
    row, at, mm = piece
    run = runs[row]
    ends = at + mm >= run.mm - 0.5
    past = left if ends and ways.corner == "run-past" and left > 1 and _free_past(plan, run.side, left) else 0.0
    return CutPiece(
        keys[row, at], run.side, run.course, run.from_mm + at, mm, say_length(mm, plan.units), run.name, past, why[row]
    )


def _reason(plan: Plan, found: BoardPlan, run: int, need_mm: float, by_crew: bool) -> str:
    sizes = {board.mm for board in found.boards for piece in board.pieces if piece[0] == run}
    text = say_length(max(sizes), plan.units) if len(sizes) == 1 else "boards"
    return reason_of(found, run, need_mm, text, by_crew)


def _free_past(plan: Plan, side: int, past_mm: float) -> bool:
    """Nothing stands where a board that runs past the side's end would lie."""
    ring = list(plan.outline or [])
    if side < 0:
        return False
    end = (side + 1) % len(ring)
    if corner_angle_rad(ring[side], ring[end], ring[(end + 1) % len(ring)]) > math.pi - 0.02:
        return False
    a, b = ring[side], ring[end]
    size = math.dist(a, b)
    ux, uy = (b[0] - a[0]) / size, (b[1] - a[1]) / size
    start: XY = (b[0] + uy * 20 + ux * 5, b[1] - ux * 20 + uy * 5)
    line = LineString([start, (start[0] + ux * past_mm, start[1] + uy * past_mm)])
    return not line.intersects(Polygon(ring)) and not any(
        line.intersects(Polygon(row.polygon)) for row in plan.existing
    )


def _shopping(boards: Sequence[CutBoard]) -> list[str]:
    counts: dict[tuple[str, float, str], int] = {}
    for board in boards:
        if not board.on_hand:
            key = (board.mark, board.mm, board.text)
            counts[key] = counts.get(key, 0) + 1
    return [
        f"{count} of {mark}, {text}"
        for (mark, _, text), count in sorted(counts.items(), key=lambda row: (row[0][0], -row[0][1]))
    ]


def _verdict(
    boards: Sequence[CutBoard], splices: int, proven: bool, cost: int, bound: int, way: str, saved: int, more: int
) -> str:
    bought = sum(not board.on_hand for board in boards)
    spliced = f"{splices} {'splice' if splices == 1 else 'splices'}"
    if way == "crew":
        other = (
            f" By least money: {saved / 100:,.2f} less and {more} more {'splice' if more == 1 else 'splices'}."
            if saved > 0
            else ""
        )
        bare = (
            f"Buy {bought} boards{f' for {cost / 100:,.2f}' if cost else ''}, {spliced}."
            if bought
            else f"All from boards on hand, {spliced}."
        )
        return f"{bare} One size a side, fewest splices, then money.{other}"
    least = "No plan costs less." if proven else f"No plan costs less than {bound / 100:,.2f}."
    money = f" for {cost / 100:,.2f}" if cost else ""
    return f"Buy {bought} boards{money}, {spliced}. {least}" if bought else f"All from boards on hand, {spliced}."
