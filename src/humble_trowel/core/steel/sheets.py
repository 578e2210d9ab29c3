"""Mesh by the sheet over any region: rows that lap, as few sheets as a rule of rows takes. Lengths mm."""

from __future__ import annotations

import math

SNAP = 1e-9


def sheets_over(long: float, wide: float, sheet_long: float, sheet_wide: float, lap: float) -> int:
    """Sheets over a rectangle whose length lies along the sheets: each way ceil((X - lap) / (sheet - lap)).

    Raises ValueError for a sheet no larger than its lap. Source: 'mesh-lap' in sources/."""
    if min(sheet_long, sheet_wide) <= lap:
        raise ValueError("A sheet is no larger than its lap.")
    across = (
        max(1, math.ceil((size - lap) / (sheet - lap) - SNAP))
        for size, sheet in ((long, sheet_long), (wide, sheet_wide))
    )
    return math.prod(across)
