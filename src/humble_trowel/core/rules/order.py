"""The order by itself: how much under doubt, what to call last, the textbook check, loads. Cases give feet, inches, yd3, dollars."""

from __future__ import annotations

import math
from typing import Any

from humble_trowel.core.order.risk import (
    Costs,
    Ordered,
    Term,
    Volume,
    best_order,
    last_load,
    loads_of,
    plain_order,
    total,
)
from humble_trowel.core.order.update import Piece, Site, after, prior, remaining
from humble_trowel.core.rules.case import Answer, Given

YD3 = 0.764554857984
FT, IN, FT2 = 0.3048, 25.4, 0.09290304
CENTS = 100.0


def order(given: Given) -> Answer:
    """What an order comes to, by its `op`."""
    if given["op"] == "newsvendor":
        return {"Q": plain_order(float(given["mean"]), float(given["sd"]), float(given["cu"]), float(given["co"]))}
    if given["op"] == "loads":
        return {"loads": loads_of(float(given["order"]), float(given["cap"]), float(given["min_load"]))}
    if given["op"] == "update":
        return _update(given)
    job, costs = given["job"], _costs(given["cost"])
    drawn, terms = _terms(job)
    y, y_sd = (float(value) for value in job["yld"])
    volume = total(terms, y, y_sd)
    best = best_order(volume, costs)
    return {
        "geometric_yd3": drawn / YD3, "mean_yd3": volume.mean_m3 / YD3, "sd_yd3": volume.sd_m3 / YD3, "best_order_yd3": best.order_m3 / YD3,
        "loads": [load / YD3 for load in best.loads_m3], **_told(best),
    }  # fmt: skip


def _told(found: Ordered) -> Answer:
    return {"exp_cost": found.cost_cents / CENTS, "p_short": found.short_share, "exp_leftover": found.left_m3 / YD3}


def _costs(row: Any) -> Costs:
    def m3(key: str) -> float:
        return float(row[key]) * YD3

    def each(key: str) -> float:
        return float(row[key]) * CENTS / YD3

    return Costs(
        each("price"), each("disposal"), m3("w_free"), m3("cap"), m3("min_load"), m3("inc"), m3("margin"), float(row["wait_cost"]) * CENTS,
        float(row["q_cj"]), float(row["c_cj"]) * CENTS, m3("fee_thr"), each("fee_per"),
    )  # fmt: skip


def _drawn(job: Any) -> tuple[float, float, float, float]:
    """(area ft2, slab yd3, length of trench ft, trench yd3)."""
    area = math.fsum(float(a) for a, _ in job["zones"])
    slab = math.fsum(float(a) * float(t) / 324 for a, t in job["zones"])
    run = math.fsum(float(long) for long, _, _ in job["trench"])
    trench = math.fsum(float(long) * float(w) * float(d) / (144 * 27) for long, w, d in job["trench"])
    return area, slab, run, trench


def _dug(job: Any) -> tuple[float, float]:
    """yd3 for an inch of width, and of depth."""
    wide = math.fsum(float(long) * float(d) for long, _, d in job["trench"]) / (144 * 27)
    return wide, math.fsum(float(long) * float(w) for long, w, _ in job["trench"]) / (144 * 27)


def _bow(job: Any) -> float:
    """yd3 for an inch of bow in the middle of a bay."""
    return float(job["form_perim"]) * float(job["form_h"]) / 12 * 2 / 3 / 12 / 27


def _both(pair: Any, each: float) -> tuple[float, float]:
    """A middle and a spread, so much for each of their unit."""
    return each * float(pair[0]), each * float(pair[1])


def _terms(job: Any) -> tuple[float, list[Term]]:
    area, slab, _, trench = _drawn(job)
    drawn = slab + trench
    wide, deep = _dug(job)
    rough = float(job["sd_local"]) * math.sqrt(min(1.0, float(job["a_corr"]) / area)) if area else 0.0
    rows: list[tuple[str, float, float]] = [
        ("drawn", drawn, 0.0), ("base", area * float(job["b_mu"]) / 324, area * float(job["b_sd"]) / 324), ("waviness", 0.0, area * rough / 324),
        ("width dug", *_both(job["ow"], wide)), ("depth dug", *_both(job["od"], deep)),
        ("bow", *_both(job["bow_mid"], _bow(job))), ("spill", *_both(job["spill"], drawn)),
        ("prime", float(job["prime"]), 0.0),
    ]  # fmt: skip
    return drawn * YD3, [Term(name, mean * YD3, sd * YD3) for name, mean, sd in rows]


def _update(given: Given) -> Answer:
    job, costs = given["job"], _costs(given["cost"])
    area, slab, run, trench = _drawn(job)
    wide, deep = _dug(job)
    site = Site(
        area * FT2, slab * YD3, run * FT, trench * YD3, _bow(job) * float(job["bow_mid"][0]) * YD3, float(job["spill"][0]),
        float(job["sd_local"]) * IN, float(job["a_corr"]) * FT2, float(given["meter_sd_frac"]), float(given["eye_sd_frac_of_geometric"]),
        float(given["sd_extra_yd3"]) * YD3,
    )  # fmt: skip
    litres = 1000 * YD3 / (run * FT) if run else 0.0
    dug = Volume(
        litres * (wide * float(job["ow"][0]) + deep * float(job["od"][0])),
        litres * math.hypot(wide * float(job["ow"][1]), deep * float(job["od"][1])),
    )
    belief = prior(
        Volume(float(job["b_mu"]) * IN, float(job["b_sd"]) * IN),
        dug,
        Volume(1 - float(job["yld"][0]), float(job["yld"][1])),
    )
    pieces = [Piece(float(a), float(t), float(v) * YD3) for a, t, v in given["steps_fracArea_fracTrench_ticketYd3"]]
    for piece in pieces:
        belief = after(site, belief, piece)
    rest = remaining(site, belief, pieces)
    call = last_load(rest, costs, float(given["firm_yd3_still_to_come"]) * YD3)
    return {
        "bias_in": float(belief.middle[0]) / IN, "remaining_mean_yd3": rest.mean_m3 / YD3, "remaining_sd_yd3": rest.sd_m3 / YD3,
        "last_load_yd3": call.order_m3 / YD3, "p_short": call.short_share,
    }  # fmt: skip
