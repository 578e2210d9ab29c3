"""Insulation by itself: foam for an R-value, the table of the shallow edge in foam."""

from __future__ import annotations

from humble_trowel.core.edges.foam import OUTSIDE_TABLE, ShallowRow, foam_for, shallow_between, shallow_row
from humble_trowel.core.rules.case import Answer, Given, by_kind


def insulation(given: Given) -> Answer:
    """Foam for an R-value, and the table of the shallow edge in foam."""
    return by_kind({"thickness": _thickness, "fpsf": _fpsf}, given)


def _thickness(given: Given) -> Answer:
    board = foam_for(given["R"], given["type"], given["table"])
    return {"exact_in": board.exact_in, "stock_in": board.stock_in, "R_of_stock": board.r_of_stock, "RSI": board.rsi}


def _fpsf(given: Given) -> Answer:
    def told(row: ShallowRow | None) -> Answer:
        if row is None:
            return {"message": OUTSIDE_TABLE}
        return {
            "AFI": row.index_f_days, "depth_in": row.depth_in, "vertical_R": row.vertical_r,
            "horizontal_R_walls": row.walls_r, "horizontal_R_corners": row.corners_r, "A_in": row.wing_in,
            "B_in": row.corner_wing_in, "C_in": row.corner_length_in,
        }  # fmt: skip

    return {"next_row": told(shallow_row(given["AFI"])), "interpolated": told(shallow_between(given["AFI"]))}
