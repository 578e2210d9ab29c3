"""A strip plan by itself: judged, or its best order. Cases give feet, minutes, inches for pipes."""

from __future__ import annotations

import math
from typing import Any

from shapely.geometry import Polygon

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.bars import IN
from humble_trowel.core.rules.case import Answer, Given
from humble_trowel.core.screed.check import checked, orders
from humble_trowel.core.screed.site import FT, Guide, Pipe, Site, Strip


def screed(given: Given) -> Answer:
    """Which rules a strip plan breaks; or the best order of its strips."""
    site, strips = _site(given), [_strip(row) for row in given["strips"]]
    if given["op"] == "best_order":
        found = orders(site, strips, float(given["rate_ft2_min"]) * FT * FT)
        best = found[0] if found else (0.0, [])
        return {
            "feasible_orders": len(found), "best_order": [one.id for one in best[1]], "worst_joint_age": best[0],
            "warnings": len(checked(site, best[1]).warnings) if found else 0,
        }  # fmt: skip
    told = checked(site, strips)
    return {
        "ok": not told.faults,
        "codes": told.codes,
        "warnings": len(told.warnings),
        "worst_joint_age": told.worst_age_min,
    }


def _spot(pair: Any) -> XY:
    return float(pair[0]) * FT, float(pair[1]) * FT


def _site(given: Given) -> Site:
    guides = {
        name: Guide(
            row["kind"], tuple(_spot(pair) for pair in row["line"]), None if row.get("clear") is None else float(row["clear"]) * FT,
            tuple(_spot(pair) for pair in row.get("pads", ())), str(row.get("of", "")), row.get("pull") == "after",
        )
        for name, row in given["guides"].items()
    }  # fmt: skip
    slab = Polygon(
        [_spot(pair) for pair in given["slab"]["outer"]],
        [[_spot(pair) for pair in ring] for ring in given["slab"].get("holes", ())],
    )
    return Site(
        slab, guides, tuple(float(mm) * FT for mm in given["boards"]), tuple((_spot(a), _spot(b)) for a, b in given.get("closed", ())),
        tuple(_spot(pair) for pair in given.get("exits", ())), bool(given.get("open_edges_are_exits", True)),
        tuple(Pipe(str(row["id"]), _spot(row["at"]), float(row["dia_in"]) * IN, float(row["above_in"]) * IN) for row in given.get("pipes", ())),
        tuple((_spot(row["at"]), float(row["r"]) * FT) for row in given.get("pour", {}).get("reach", ())), float(given.get("limit", 120.0)),
    )  # fmt: skip


def _strip(row: Any) -> Strip:
    x, y = (float(value) for value in row["dir"])
    size = math.hypot(x, y)
    return Strip(
        str(row["id"]), tuple(_spot(pair) for pair in row["poly"]), (x / size, y / size), (str(row["guides"][0]), str(row["guides"][1])),
        float(row["board"]) * FT, float(row["t_start"]), float(row["t_end"]), tuple(str(name) for name in row.get("hand", ())),
    )  # fmt: skip
