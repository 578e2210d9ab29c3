"""Kickers: how many stakes stand between two of them, so that neither kicker, nor stake, nor board gives way."""

from __future__ import annotations

import math

from humble_trowel.core.forms.span import flat_limits
from humble_trowel.core.plan.form_ways import FormBoard, FormWays

INCH = 25.4
FULL = 0.95  # of what a kicker carries: from there on it is said


def whole_inches(mm: float) -> float:
    """Down to a whole inch, one at least, mm."""
    return max(1, math.floor(mm / INCH + 1e-6)) * INCH


def between_kickers(
    spacing_mm: float, push_n_per_m: float, board: FormBoard | None, ways: FormWays, backfilled: bool
) -> tuple[float, int, float]:
    """(stake spacing in mm, stakes from kicker to kicker, load of one kicker in N); 0 stakes where none is needed.

    Earth packed behind holds by itself. A stake alone holds `stake_holds_n`; what the push leaves over, the top board
    carries to the kickers on either side, and is checked for it in bending and bulge as it is between two stakes.
    """
    per_stake = push_n_per_m * spacing_mm / 1000
    if backfilled or per_stake <= ways.stake_holds_n:
        return spacing_mm, 0, 0.0
    every = math.floor(ways.kicker_holds_n / per_stake)
    if every < 1:
        spacing_mm = whole_inches(ways.kicker_holds_n / push_n_per_m * 1000)
        every = 1
    while every > 1 and not _carries(
        board, push_n_per_m / 1000 - ways.stake_holds_n / spacing_mm, spacing_mm * every, ways
    ):
        every -= 1
    return spacing_mm, every, push_n_per_m * spacing_mm * every / 1000


def _carries(board: FormBoard | None, over_n_per_mm: float, far_mm: float, ways: FormWays) -> bool:
    """Whether a board carries what the stakes leave over from kicker to kicker; a panel's wall plate counts as one."""
    if board is None or over_n_per_mm <= 0:
        return True
    limits = flat_limits(
        board.thick_mm, board.deep_mm, over_n_per_mm, wood=ways.wood, several=ways.spans == "several",
        bulge_limit_mm=ways.bulge_mm,
    )  # fmt: skip
    return far_mm <= min(limits)
