"""Squaring and cutting as plain text for a terminal."""

from __future__ import annotations

from itertools import groupby

from humble_trowel.core.cutting.cut import CutPlan
from humble_trowel.core.lines.squaring import Squared
from humble_trowel.core.units import Units, say_depth


def squared_text(answer: Squared, units: Units) -> str:
    """Verdict, acts, doubt, every corner and every reading."""
    rows = [answer.verdict, *answer.acts, *([answer.doubt] if answer.doubt else []), ""]
    rows += [f"  {move.words}" for move in answer.moves]
    rows += ["", f"Misfit {say_depth(answer.misfit_mm, units)} over {len(answer.residuals)} readings:"]
    rows += [f"  {row.name:42} {row.text}" for row in answer.residuals]
    return "\n".join(rows)


def cut_text(plan: CutPlan) -> str:
    """Alike bars in one row, the cost and the bound."""
    rows = []
    for (stock_mm, pieces), alike in groupby(plan.bars, key=lambda bar: (bar.stock_mm, bar.pieces_mm)):
        rows.append(f"{len(list(alike)):4} x {stock_mm:g} mm: {', '.join(f'{piece:g}' for piece in pieces)}")
    proven = "no plan costs less" if plan.proven else f"no plan costs less than {plan.bound_cents / 100:.2f}"
    rows.append(f"{len(plan.bars)} bars, {plan.cost_cents / 100:.2f}; {proven}; {plan.waste_mm:g} mm left over")
    return "\n".join(rows)
