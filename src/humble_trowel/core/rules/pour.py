"""A pour by itself: played through, and the spacing that costs least. Cases give yards, feet, dollars, minutes."""

from __future__ import annotations

from typing import Any

from humble_trowel.core.heat.hydration import Cement, Paste, set_times
from humble_trowel.core.pour_sim.pour import Crew, Loads, Pour, Poured, Rates, SetsIn, in_rows
from humble_trowel.core.pour_sim.search import Dearer, best, every_spacing
from humble_trowel.core.pour_sim.simulate import simulate
from humble_trowel.core.rules.case import Answer, Given

YD3, FT2, FT, IN = 0.764554857984, 0.09290304, 0.3048, 0.0254
CENTS = 100.0


def pour(given: Given) -> Answer:
    """What a pour comes to, by its `op`."""
    played = _pour(given)
    if given["op"] == "best_spacing":
        dear = Dearer(1500 * CENTS, 3 * CENTS / FT2)
        found = best(every_spacing(played, dear))
        return {
            "spacing": found.spacing_min, "objective": found.objective_cents / CENTS, "total_wait": found.poured.wait_min,
            "crew_idle": found.poured.idle_min,
        }  # fmt: skip
    found_pour = simulate(played)
    return {
        "timeline": [
            {
                "load": one.load, "batch": one.batch_min, "arrive": one.arrive_min, "spot": one.place_min, "unload": one.unload_min,
                "end": one.end_min, "leave": one.leave_min, "screed_end": one.screed_end_min,
            }
            for one in sorted(found_pour.visits, key=lambda one: one.load)
        ],
        **_told(found_pour),
    }  # fmt: skip


def _told(found: Poured) -> Answer:
    return {
        "total_wait_min": found.wait_min, "crew_idle_min": found.idle_min, "charge": found.charge_cents / CENTS,
        "cost": found.cost_cents / CENTS, "cold_joints": found.cold_joints, "limit_min": found.joint_min,
        "late_ft2": found.late_m2 / FT2, "max_age_at_end_min": found.oldest_load_min, "over_90_min": found.over_age,
    }  # fmt: skip


def cement_of(row: Any) -> Cement:
    """A cement as cases write it."""
    return Cement(
        float(row["C3S"]), float(row["C2S"]), float(row["C3A"]), float(row["C4AF"]), float(row["SO3"]), float(row["freeCaO"]),
        float(row["MgO"]), float(row["blaine"]),
    )  # fmt: skip


def paste_of(row: Any, cement: Any, shift_h: float = 0.0) -> Paste:
    """A mix as cases write it."""
    return Paste(
        float(row["wcm"]), float(row["fa"]), float(row["fa_cao"]), float(row["slag"]), shift_h, cement_of(cement)
    )


def _pour(given: Given) -> Pour:
    row = given["pour"]
    sets = set_times(paste_of(given["mix"], given["cement"]), float(row["temp_c"]))
    yards_min = min(float(given["method_rate_yd3_min"][row["method"]]), float(row["crew_rate"]))
    loads = tuple(float(load) * YD3 for load in row["loads"])
    width = int(row["strip_width"])
    return Pour(
        Loads(
            loads, float(row["spacing"]), float(row["t0"]), float(row["batch"]), float(row["travel"]), float(row["travel_back"]),
            int(row["fleet"]), int(row["spots"]), int(row["crews"]), float(row["position"]), float(row["clear"]),
        ),
        Crew(
            yards_min * YD3, 324 / float(row["t_in"]) * FT2 / YD3, float(row["screed_rate"]) * FT2, int(row["finishers"]),
            float(row["fin_rate"]) * FT2,
        ),
        SetsIn(sets.footprint_h * 60, sets.final_h * 60, float(row["lim_frac"]) * sets.initial_h * 60),
        Rates(
            float(row["wait_rate"]) * CENTS, float(row["allowed"]) / YD3, float(row["crew_cost"]) * CENTS, float(row["pump_cost"]) * CENTS,
            float(row["pump_min_h"]), 0.75, float(row["overtime_after_h"]), float(row["overtime_factor"]),
        ),
        in_rows(loads, width, bool(row["serpentine"])) if width else (),
    )  # fmt: skip
