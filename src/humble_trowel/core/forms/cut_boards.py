"""The cut plan of a whole job: each board mark on its own, from boards on hand first, then bought lengths."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from functools import partial

from shapely.geometry import LineString, Polygon

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.forms.board_plan import BoardPlan, plan_boards
from humble_trowel.core.forms.cover import Buy, UsedBoard
from humble_trowel.core.forms.crew_boards import plan_by_crew, reason_of
from humble_trowel.core.forms.form_plan import FormPlan
from humble_trowel.core.geometry.polygon import XY, corner_angle_rad
from humble_trowel.core.guard import answers
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.core.plan.form_ways import BuyWay, FormWays
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
class BoardWay:
    """A way to choose boards, as the job would come out by it. says: splices and boards; money and what is left over.
    on: the crew goes by it. None where a length of board is missing for it."""

    way: BuyWay
    name: str
    says: list[str]
    on: bool


@dataclass(frozen=True)
class CutPlanOfJob:
    """why: what the verdict rests on. how: how near to a corner a splice may stand. ways: both ways to choose boards, with what each comes to. bound_mm: no plan buys less length. cost, bound in cents. buy: what to fetch, in words."""

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
    why: str
    how: str
    ways: list[BoardWay]
    findings: list[Finding]


@dataclass(frozen=True)
class _Run:
    side: int
    course: int
    from_mm: float
    mm: float
    name: str


@dataclass
class _Sums:
    """What all boards of a job come to, mark by mark."""

    cost_cents: int = 0
    bound_cents: int = 0
    bought_mm: float = 0.0
    bound_mm: float = 0.0
    splices: int = 0
    boards: int = 0
    left_mm: float = 0.0

    def add(self, taken: BoardPlan) -> None:
        self.boards += len(taken.boards)
        self.left_mm += math.fsum(board.mm for board in taken.boards) - math.fsum(
            mm for board in taken.boards for *_, mm in board.pieces
        )
        self.cost_cents += taken.cost_cents
        self.bound_cents += taken.bound_cents
        self.bought_mm += taken.bought_mm
        self.bound_mm += taken.bound_mm
        self.splices += taken.splices


@answers("The cut plan")
def cut_boards(plan: Plan, forms: FormPlan, ways: JobWays) -> CutPlanOfJob:
    """Boards and their cuts for all forms of a job."""
    own, sums, both = ways.forms, _Sums(), {"crew": _Sums(), "money": _Sums()}
    boards: list[CutBoard] = []
    doubts: list[Finding] = []
    counts: dict[str, int] = {}
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
        crew = plan_by_crew(lengths, stock, have, own.kerf_mm, own.min_piece_mm)
        found = (crew or money) if own.buy == "crew" else money
        if found is None:
            words = f"No boards of {mark} make these runs with pieces of {say_length(own.min_piece_mm, plan.units)} or more."
            remedy = "Add a stock length in Ways, or allow shorter pieces."
            doubts.append(finding("no-cut-plan", "forms", words, remedy, "ways"))
            continue
        names = _keys(runs, [piece for board in found.boards for piece in board.pieces], counts)
        why = [_reason(plan, found, run, row.mm, found is crew) for run, row in enumerate(runs)]
        piece = partial(_piece, plan, runs, names, own, why)
        boards += [_board(plan, own, mark, board, piece) for board in found.boards]
        sums.add(found)
        both["crew"].add(crew or found)
        both["money"].add(money or found)
    proven = sums.cost_cents <= sums.bound_cents
    return CutPlanOfJob(
        boards=boards, buy=_shopping(boards), waste_mm=math.fsum(board.left_mm for board in boards),
        bought_mm=sums.bought_mm, bound_mm=sums.bound_mm, cost_cents=sums.cost_cents, bound_cents=sums.bound_cents,
        cost_text=f"{sums.cost_cents / 100:,.2f}", splices=sums.splices, cleats=sums.splices, proven=proven,
        verdict=_verdict(boards, sums), why=_why(sums, proven, own.buy, len(boards)),
        how=f"No piece is shorter than {say_length(own.min_piece_mm, plan.units)}, so no splice stands nearer to a corner.",
        ways=[_way(plan, way, both[way], own.buy) for way in ("crew", "money")] if boards else [], findings=doubts,
    )  # fmt: skip


Piecing = Callable[[tuple[int, float, float], float], CutPiece]


def _board(plan: Plan, own: FormWays, mark: str, board: UsedBoard, piece: Piecing) -> CutBoard:
    used = math.fsum(mm for _, _, mm in board.pieces) + own.kerf_mm * (len(board.pieces) - 1)
    left = max(0.0, board.mm - used)
    pieces = [piece(one, left if one is board.pieces[-1] else 0.0) for one in board.pieces]
    return CutBoard(
        mark=mark, mm=board.mm, text=say_length(board.mm, plan.units), on_hand=board.on_hand,
        price_cents=board.price_cents, pieces=pieces, left_mm=left, left_text=say_length(left, plan.units),
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
                rows.setdefault(mark, []).append(_Run(-1, 0, 0.0, step.length_mm, step.name))
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
    plan: Plan, runs: Sequence[_Run], keys: dict[tuple[int, float], str], ways: FormWays, why: Sequence[str],
    piece: tuple[int, float, float], left: float,
) -> CutPiece:  # fmt: skip
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


def _count(n: int, name: str) -> str:
    return f"{n} {name if n == 1 else name + 's'}"


def _verdict(boards: Sequence[CutBoard], sums: _Sums) -> str:
    bought = sum(not board.on_hand for board in boards)
    spliced = {0: "no splice", 1: "splice once"}.get(sums.splices, f"splice {sums.splices} times")
    return f"Buy {_count(bought, 'board')}, {spliced}" if bought else f"All from boards on hand, {spliced}"


def _why(sums: _Sums, proven: bool, way: BuyWay, boards: int) -> str:
    money = f"{sums.cost_cents / 100:,.2f} for what is bought; " if sums.cost_cents else ""
    if way == "crew":
        return f"{_count(boards, 'board')} in all, {money}one size a side, fewest splices, then money."
    if not sums.cost_cents:
        return f"{_count(boards, 'board')} in all."
    return f"{_count(boards, 'board')} in all, {money}no plan costs less{'' if proven else f' than {sums.bound_cents / 100:,.2f}'}."


def _way(plan: Plan, way: BuyWay, sums: _Sums, taken: BuyWay) -> BoardWay:
    name = {"crew": "One size a side, fewest splices", "money": "Least money"}[way]
    left = f"{say_length(sums.left_mm, plan.units, 1)} left over"
    bought = f"{sums.cost_cents / 100:,.2f} to buy" if sums.cost_cents else "Nothing to buy"
    says = [f"{_count(sums.splices, 'splice')}, {_count(sums.boards, 'board')}", f"{bought}, {left}"]
    return BoardWay(way, name, says, way == taken)
