"""Cutting by itself: a list of pieces from stock."""

from __future__ import annotations

import math
from itertools import groupby

from humble_trowel.core.cutting.cut import Clock, cut
from humble_trowel.core.cutting.fill import first_fit
from humble_trowel.core.cutting.stock import Piece, Stock, make_task
from humble_trowel.core.rules.case import Answer, Given
from humble_trowel.core.units import MM_PER_IN


def cutting(given: Given, clock: Clock | None = None) -> Answer:
    """A list of pieces from stock: the plan found, and a bound that no plan is under. clock: to stop after 8 s."""
    unit_mm = 1.0 if given["unit"] == "mm" else MM_PER_IN / 16
    bars_only = given["objective"] == "bars"
    stock = [Stock(size * unit_mm, None, 100 if bars_only else size) for size in given["stocks"]]
    pieces = [Piece(item["length"] * unit_mm, item["count"]) for item in given["items"]]
    plan = cut(stock, pieces, given["kerf"] * unit_mm, clock=clock)
    by_hand = first_fit(make_task(stock, pieces, given["kerf"] * unit_mm))
    got = len(plan.bars) if bars_only else plan.cost_cents
    rows = [
        {"times": len(list(alike)), "stock": round(bar / unit_mm), "pieces": [round(mm / unit_mm) for mm in cuts]}
        for (bar, cuts), alike in groupby(plan.bars, key=lambda row: (row.stock_mm, row.pieces_mm))
    ]
    return {
        "best_known": got, "accept_at_most": got, "column_generation_found": got, "proven_optimal": plan.proven,
        "lower_bound": math.ceil(plan.bound_cents / 100 - 1e-9) if bars_only else plan.bound_cents,
        "optimum_known_by_construction": plan.proven,
        "first_fit_decreasing_bars": len(by_hand) if by_hand is not None else None, "a_best_plan": rows,
    }  # fmt: skip
