"""Laying boards end to end along runs: which piece of which board goes where, no piece shorter than the least."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

MOST_NODES = 4_000
HAIR_MM = 1e-6


@dataclass(frozen=True)
class Laid:
    """A piece: of board number `board`, for run number `run`, starting `at_mm` along the run."""

    board: int
    run: int
    at_mm: float
    mm: float


class _Search:
    """Depth first: the longest run and the longest board first, what is left of a board used up where it may be."""

    def __init__(self, runs: Sequence[float], boards: Sequence[float], kerf: float, least: float) -> None:
        self.runs, self.boards, self.kerf, self.least = runs, boards, kerf, least
        self.nodes = 0
        self.laid: list[Laid] = []

    def run_through(self) -> list[Laid] | None:
        runs = tuple(sorted(range(len(self.runs)), key=lambda i: -self.runs[i]))
        boards = tuple(sorted(range(len(self.boards)), key=lambda i: -self.boards[i]))
        return self.laid if self._next_run(runs, boards, None, 0.0) else None

    def _next_run(self, runs: tuple[int, ...], boards: tuple[int, ...], board: int | None, left: float) -> bool:
        if not runs:
            return True
        seen: set[float] = set()
        for run in runs:
            if self.runs[run] in seen:
                continue
            seen.add(self.runs[run])
            if self._along(run, 0.0, tuple(r for r in runs if r != run), boards, board, left):
                return True
        return False

    def _along(
        self, run: int, done: float, runs: tuple[int, ...], boards: tuple[int, ...], board: int | None, left: float
    ) -> bool:
        self.nodes += 1
        if self.nodes > MOST_NODES or not self._enough(run, done, runs, boards, left):
            return False
        need = self.runs[run] - done
        if board is not None:
            for piece in self._pieces(need, left, done > 0):
                self.laid.append(Laid(board, run, done, piece))
                rest = left - piece - self.kerf
                if piece >= need - HAIR_MM:
                    if self._next_run(runs, boards, board if rest >= self.least else None, max(rest, 0.0)):
                        return True
                elif self._along(run, done + piece, runs, boards, None, 0.0):
                    return True
                self.laid.pop()
        seen: set[float] = set()
        for new in boards:
            if self.boards[new] in seen:
                continue
            seen.add(self.boards[new])
            if self._along(run, done, runs, tuple(b for b in boards if b != new), new, self.boards[new]):
                return True
        return False

    def _pieces(self, need: float, left: float, spliced: bool) -> list[float]:
        """Lengths worth cutting from what is left of a board, the longest first."""
        if need <= left + HAIR_MM:
            return [need] if not spliced or need >= self.least - HAIR_MM else []
        piece = min(left, need - self.least)
        return [piece] if piece >= self.least - HAIR_MM else []

    def _enough(self, run: int, done: float, runs: tuple[int, ...], boards: tuple[int, ...], left: float) -> bool:
        need = self.runs[run] - done + sum(self.runs[r] for r in runs)
        return left + sum(self.boards[b] for b in boards) >= need - HAIR_MM


def lay_chain(runs: Sequence[float], boards: Sequence[float], kerf_mm: float, least_mm: float) -> list[Laid] | None:
    """Pieces for all runs from these boards, None where no order was found. All lengths in mm."""
    return _Search(runs, boards, kerf_mm, least_mm).run_through()
