"""Insulation by itself: foam for an R-value, its tables, and the boards, strips and rolls that cover a slab."""

from __future__ import annotations

from collections.abc import Callable
from typing import TypeVar

from humble_trowel.core.edges.foam import OUTSIDE_TABLE, ShallowRow, foam_for, shallow_between, shallow_row
from humble_trowel.core.errors import InputError
from humble_trowel.core.rules.case import Answer, Given, by_kind
from humble_trowel.core.sheets.counts import boards, rolls, strips
from humble_trowel.core.underslab.insulation import slab_edge
from humble_trowel.core.units import MM_PER_FT

T = TypeVar("T")


def insulation(given: Given) -> Answer:
    """Foam for an R-value, the tables of the shallow edge and of the slab's edge, boards, strips and rolls."""
    return by_kind(
        {
            "thickness": _thickness,
            "fpsf": _fpsf,
            "slab_edge": _slab_edge,
            "strips": _strips,
            "field": _field,
            "rolls": _rolls,
        },
        given,
    )


def _asked(work: Callable[[], T]) -> T:
    try:
        return work()
    except ValueError as error:
        raise InputError(str(error), "input") from None


def _slab_edge(given: Given) -> Answer:
    asked, sure = _asked(lambda: slab_edge(str(given["edition"]), str(given["zone"])))
    return {"R_and_depth_ft": None if asked is None else list(asked), "confidence": sure}


def _strips(given: Given) -> Answer:
    long, wide = given["sheet_ft"]
    found = _asked(lambda: strips(given["total_ft"] * 12, given["height_in"], long * 12, wide * 12, given["kerf_in"]))
    return {"strips_per_sheet": found.per_sheet, "strips": found.strips, "sheets": found.sheets}


def _field(given: Given) -> Answer:
    long, wide = given["sheet_ft"]
    found = boards(given["X_ft"], given["Y_ft"], long, wide, given["waste"])
    return {"by_grid": found.by_grid, "by_area_with_waste": found.by_area_with_waste, "bare_area": found.bare_area}


def _rolls(given: Given) -> Answer:
    keys = ("L_ft", "W_ft", "roll_width_ft", "roll_length_ft", "lap_ft", "turn_up_ft")
    found = _asked(lambda: rolls(*(given[key] * MM_PER_FT for key in keys)))
    return {
        "turn": f"rows along {found.along}", "rows": found.rows, "row_length_ft": found.row_mm / MM_PER_FT,
        "total_ft": found.total_mm / MM_PER_FT, "rolls": found.rolls,
    }  # fmt: skip


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
