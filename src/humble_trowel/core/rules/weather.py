"""Drying, sun and hydration by themselves. Cases give F, mph, lb/ft2/h, degrees, metres."""

from __future__ import annotations

from datetime import datetime
from typing import Any

from humble_trowel.core.errors import InputError
from humble_trowel.core.heat.events import warmed
from humble_trowel.core.heat.hydration import activation_j_mol, set_times, shape, tau_h, ultimate_share
from humble_trowel.core.heat.slab import PSI_MPA, Cover, Layer, Poured, Stuff
from humble_trowel.core.heat.strength import equivalent_h, heat_j_g, hours_to, kept_warm, nurse_saul_c_h
from humble_trowel.core.rules.case import Answer, Given
from humble_trowel.core.rules.pour import paste_of
from humble_trowel.core.weather.daily import LikeAny, sky_of
from humble_trowel.core.weather.drying import (
    KMH_PER_MPH,
    least_humid_share,
    menzel_kg_m2_h,
    most_concrete_c,
    most_wind_kmh,
    uno_kg_m2_h,
    wind_at,
)
from humble_trowel.core.weather.sun import (
    Blocker,
    Sun,
    global_w_m2,
    haurwitz_w_m2,
    shadow,
    sun_at,
    sunny_share,
    zone_w_m2,
)

LB_FT2 = 4.88242763638  # kg/m2
LB, YD3 = 0.45359237, 0.764554857984


def _c(degrees_f: Any) -> float:
    return (float(degrees_f) - 32) / 1.8


def _by_op(ops: Any, given: Given) -> Answer:
    rule = ops.get(str(given["op"]))
    if rule is None:
        raise InputError(f"There is no {given['op']} here. Known: {', '.join(ops)}.", "op")
    answer: Answer = rule(given)
    return answer


def evaporation(given: Given) -> Answer:
    """What drying comes to, by its `op`."""
    return _by_op(EVAPORATION, given)


def _us_menzel(air: float, humid: float, concrete: float, wind_mph: float) -> float:
    """lb/ft2/h by the US form: its own rounded figures."""
    gap_psi = menzel_kg_m2_h(air, humid, concrete, 0.0) / (0.315 * 0.253) / 6.894757
    return 0.44 * gap_psi * (0.253 + 0.096 * wind_mph)


def _us_limit(limit: float, wind_mph: float) -> float:
    """The metric limit at which the US form meets its own, at a wind."""
    us = 0.44 / 6.894757 * (0.253 + 0.096 * wind_mph)
    return limit / us * 0.315 * (0.253 + 0.060 * wind_mph * KMH_PER_MPH)


def _rate(given: Given) -> Answer:
    air, humid, concrete, wind = (
        _c(given["air_F"]),
        float(given["rh"]),
        _c(given["concrete_F"]),
        float(given["wind_mph"]),
    )
    us = _us_menzel(air, humid, concrete, wind)
    uno = (
        (max(0.0, float(given["concrete_F"])) ** 2.5 - humid * max(0.0, float(given["air_F"])) ** 2.5)
        * (1 + 0.4 * wind)
        * 1e-6
    )
    said = "stop-or-protect" if us >= 0.2 else "caution" if us >= 0.1 else "ok"
    return {
        "menzel_lbft2h": us, "menzel_kgm2h": menzel_kg_m2_h(air, humid, concrete, wind * KMH_PER_MPH), "uno_us_lbft2h": uno,
        "uno_kgm2h": uno_kg_m2_h(air, humid, concrete, wind * KMH_PER_MPH), "class_limit_0.2": said,
    }  # fmt: skip


def _max_wind(given: Given) -> Answer:
    air, humid, concrete, limit = _c(given["air_F"]), float(given["rh"]), _c(given["concrete_F"]), float(given["limit"])
    if most_wind_kmh(air, humid, concrete, limit * LB_FT2) is None:
        return {"mph": None}
    calm = _us_menzel(air, humid, concrete, 0.0) / 0.253
    return {"mph": max(0.0, (limit / calm - 0.253) / 0.096)}


def _max_concrete(given: Given) -> Answer:
    wind = float(given["wind_mph"])
    warm = most_concrete_c(
        _c(given["air_F"]), float(given["rh"]), wind * KMH_PER_MPH, _us_limit(float(given["limit"]), wind)
    )
    return {"F": warm * 1.8 + 32}


def _rh_needed(given: Given) -> Answer:
    wind = float(given["wind_mph"])
    limit = _us_limit(float(given["limit"]), wind)
    return {"rh": least_humid_share(_c(given["air_F"]), _c(given["concrete_F"]), wind * KMH_PER_MPH, limit)}


def _wind_down(given: Given) -> Answer:
    return {"v": wind_at(float(given["v10"]), float(given["z0"]))}


EVAPORATION = {
    "rate": _rate, "max_wind": _max_wind, "max_concrete": _max_concrete, "rh_needed": _rh_needed, "wind_down": _wind_down,
}  # fmt: skip


def sun(given: Given) -> Answer:
    """Where the sun stands and what it falls on, by its `op`."""
    return _by_op(SUN, given)


def _stands(given: Given) -> Sun:
    return sun_at(float(given["lat"]), float(given["lon"]), datetime.fromisoformat(str(given["time"])))


def _position(given: Given) -> Answer:
    found = _stands(given)
    return {
        "elev_deg": found.elevation_deg, "azim_deg": found.azimuth_deg, "kc_clear_W_m2": global_w_m2(found.elevation_deg),
        "haurwitz_W_m2": haurwitz_w_m2(found.elevation_deg),
    }  # fmt: skip


def _blocker(row: Any) -> Blocker:
    return Blocker([(float(x), float(y)) for x, y in row["footprint"]], float(row["top"]), float(row.get("base", 0)))


def _zones(given: Given) -> Answer:
    found, north, okta = _stands(given), float(given["north_deg"]), float(given["okta"])
    blockers = [_blocker(row) for row in given["blockers"]]
    shares = {
        name: sunny_share([(float(x), float(y)) for x, y in ring], blockers, found, north)
        for name, ring in given["zones"].items()
    }
    watts = {name: zone_w_m2(share, found.elevation_deg, okta) for name, share in shares.items()}
    return {"elev_deg": found.elevation_deg, "azim_deg": found.azimuth_deg, "sun_fraction": shares, "zone_W_m2": watts}


def _shadow(given: Given) -> Answer:
    area = shadow(_blocker(given), Sun(float(given["elev"]), float(given["azim"])), float(given["north_deg"]))
    return {"area_m2": float(area.area), "bounds": [float(one) for one in area.bounds]}


SUN = {"position": _position, "zones": _zones, "shadow": _shadow}


def hydration(given: Given) -> Answer:
    """Set, warmth without loss and maturity, by its `op`."""
    return _by_op(HYDRATION, given)


def _set(given: Given) -> Answer:
    paste = paste_of(given["mix"], given["cement"], float(given["initial_set_shift_h_at_73F"]))
    temp = _c(given["temp_F"])
    found = set_times(paste, temp)
    strong = hours_to(paste, 500 * PSI_MPA, float(given["mix"]["fc_psi"]) * PSI_MPA, float(given["mix"]["a"]), temp)
    return {
        "alpha_u": ultimate_share(paste), "tau_h": tau_h(paste), "beta": shape(paste), "Hu_J_g": heat_j_g(paste),
        "Ea_J_mol": activation_j_mol(paste), "initial_set_h": found.initial_h, "final_set_h": found.final_h,
        "footprint_PR100_h": found.footprint_h, "hours_to_500psi": strong,
    }  # fmt: skip


def _adiabatic(given: Given) -> Answer:
    binder = float(given["mix"]["cm_lb"]) * LB / YD3
    paste = paste_of(given["mix"], given["cement"])
    temp, age = kept_warm(paste, binder, float(given["start_C"]), float(given["hours"]), float(given["rho_c_J_m3K"]))
    return {"T_C": temp, "te_h": age}


def _maturity(given: Given) -> Answer:
    temps, step = [float(one) for one in given["temps_C"]], float(given["dt_h"])
    return {
        "nurse_saul_Ch": nurse_saul_c_h(temps, step, float(given["datum_C"])),
        "equivalent_age_h": equivalent_h(temps, step, float(given["Q_K"]), float(given["ref_C"])),
    }


HYDRATION = {"set": _set, "adiabatic": _adiabatic, "maturity": _maturity}


def slab_heat(given: Given) -> Answer:
    """Heat in a slab through its thickness: when it sets, may be sawn, is safe from frost."""
    stuffs = {name: Stuff(*(float(one) for one in row)) for name, row in given["materials"].items()}
    layers = [Layer(stuffs[name], float(thick)) for name, thick in given["layers"]]
    sky, mix = given["weather"], given["mix"]
    month, day = (int(one) for one in sky["doy_month"])
    like = LikeAny(
        float(sky["mean_c"]), float(sky["amp_c"]), float(sky["rh_mean"]), float(sky["wind_ms"]), float(sky["okta"]), float(sky["lat"]),
        month, day, bool(sky["shade"]),
    )  # fmt: skip
    cover = Cover(float(given["blanket_R"]), float(given["blanket_from_h"])) if "blanket_R" in given else None
    poured = Poured(
        paste_of(mix, given["cement"], float(given["initial_set_shift_h"])), float(mix["cm_lb"]) * LB / YD3,
        float(mix["fc_psi"]) * PSI_MPA, float(mix["a"]), layers, stuffs["soil"], float(given["soil_m"]), float(given["t_conc_C"]),
        float(given["t_base_C"]), float(given["t_deep_C"]), float(given["age_place_h"]), float(given["clock_place"]), sky_of(like), cover,
    )  # fmt: skip
    found = warmed(poured, float(given["hours"]))
    return {
        "init_set_surface": found.initial_h, "final_set_surface": found.final_h, "init_set_bottom": found.initial_below_h,
        "footprint_6mm(float_start)": found.float_h, "early_entry_open": found.early_saw_h, "conventional_saw_open": found.saw_from_h,
        "conventional_saw_close": found.saw_until_h, "saw_window_negative": found.no_saw, "frost_safe_500psi": found.safe_h,
        "peak_mean": found.peak_c, "surface_at_24h": found.surface_day_c, "bottom_at_24h": found.below_day_c,
        "min_any_node_before_500psi": found.least_c, "froze_before_500psi": found.froze,
    }  # fmt: skip
