"""Spots along a side of the outline as they are called: every so far, in bays, at some places, and so far in."""

from __future__ import annotations

import math
import re

from humble_trowel.core.edits.beams import MOST
from humble_trowel.core.edits.called_here import Pressed, Said
from humble_trowel.core.errors import CallError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import side_of, unit
from humble_trowel.core.plan.document import Plan, side_name

_BAY = re.compile(r"(?:(?P<count>\d{1,2})\s*[x×]\s*)?(?P<size>.+)")


def bays_mm(plan: Plan, said: Said, sizes: str) -> list[float]:
    """'9', 14', 3 x 12' as mm, one after another. Raises CallError."""
    rows: list[float] = []
    for bit in re.split(r"\s*[,;]\s*", sizes.strip(" ,;")):
        match = _BAY.fullmatch(bit)
        if match:
            rows += [said.length_mm(match["size"], plan)] * int(match["count"] or 1)
    if len(rows) > MOST:
        raise CallError(f"That makes {len(rows)} bays; a job holds {MOST}.", path="text")
    return rows


def spots_along(plan: Plan, here: Pressed, said: Said) -> list[XY]:
    """Spots along the wall: every so far, in bays, or at some places, from its first corner, and so far in."""
    a, b = side_of(list(plan.outline or []), here.side or 0)
    long_mm, (ux, uy) = math.dist(a, b), unit(a, b)
    match = re.fullmatch(r"(?:(?P<how>every|bays|at)\s+(?P<sizes>.+?))?(?:\s*\bin\s+(?P<inward>\d.*))?", said.rest)
    if match is None or (not match["sizes"] and here.along_mm is None):
        raise CallError(f"Where along the wall? {here.offers(plan)}", path="text")
    inward_mm = said.length_mm(match["inward"], plan, "in") if match["inward"] else 0.0
    rows = bays_mm(plan, said, match["sizes"]) if match["sizes"] else [here.along_mm or 0.0]
    if match["how"] == "every":
        if rows[0] < 1.0 or long_mm / rows[0] > MOST:
            raise CallError("That is no spacing for pads.", path="text")
        rows = [rows[0] * k for k in range(int((long_mm + 1.0) / rows[0]) + 1)]
    elif match["how"] == "bays":
        rows = [sum(rows[:k]) for k in range(len(rows) + 1)]
    if max(rows) > long_mm + 1.0:
        name = side_name(here.side or 0, len(plan.outline or []))
        raise CallError(f"That runs past the end of {name}.", path="text")
    return [(a[0] + row * ux - inward_mm * uy, a[1] + row * uy + inward_mm * ux) for row in rows]
