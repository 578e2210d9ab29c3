"""Cold, heat, mix and delivery by themselves. Cases give F, lb, in, psi, gal, yd3."""

from __future__ import annotations

from typing import Any

from humble_trowel.core.errors import InputError
from humble_trowel.core.mix.durability import air_for, asked_by
from humble_trowel.core.mix.heat import HOT_WATER_C, Batch, Part, cold_row, ice_kg_for, lost_c, mixed_c, water_c_for
from humble_trowel.core.mix.slump import slump_passes, watered
from humble_trowel.core.mix.stone import largest
from humble_trowel.core.rules.case import Answer, Given

IN, LB = 25.4, 0.45359237
YD3 = 0.764554857984
GAL_L = 8.345 * LB  # a gallon of water weighs 8.345 lb, a litre a kg


def _c(degrees_f: Any) -> float:
    return (float(degrees_f) - 32) / 1.8


def _f(degrees_c: float) -> float:
    return degrees_c * 1.8 + 32


def cold_hot(given: Given) -> Answer:
    """What a rule says, by its `op`."""
    rule = OPS.get(str(given["op"]))
    if rule is None:
        raise InputError(f"There is no {given['op']} here. Known: {', '.join(OPS)}.", "op")
    return rule(given)


def _cold_table(given: Given) -> Answer:
    row = cold_row(float(given["section_in"]) * IN, _c(given["air_F"]))
    return {
        "as_placed_F": _f(row.placed_c),
        "as_mixed_F": _f(row.mixed_c),
        "max_drop_24h_F": row.drop_c * 1.8,
    }


def _heat_balance(given: Given) -> Answer:
    rows = given["materials_lb_F"]

    def part(name: str) -> Part:
        pounds, degrees = rows[name]
        return Part(float(pounds) * LB, _c(degrees))

    batch = Batch(
        [part("cement"), part("sand"), part("coarse")], part("water"), [part("sand_free"), part("coarse_free")], float(rows["ice"]) * LB
    )  # fmt: skip
    mixed, target = mixed_c(batch), _c(given["target_F"])
    answer: Answer = {"mix_F": _f(mixed)}
    if mixed > target:
        return answer | {"ice_lb_replacing_water_for_target": ice_kg_for(batch, target) / LB}
    water = water_c_for(batch, target)
    if water is None:
        raise InputError("There is no water in it.", "water")
    return answer | {"water_F_for_target": _f(water), "water_over_140_F": water > HOT_WATER_C + 1e-9}


def _transit(given: Given) -> Answer:
    lost = lost_c(_c(given["t_del_F"]), _c(given["air_F"]), float(given["hours"]), str(given["kind"])) * 1.8
    return {"loss_F": lost, "plant_F_needed": float(given["t_del_F"]) + lost}


def _slump(given: Given) -> Answer:
    said, measured = float(given["spec_in"]) * IN, float(given["measured_in"]) * IN
    return {"ok": slump_passes(said, measured, most=given["kind"] == "max")}


def _air(given: Given) -> Answer:
    found = air_for(float(given["nmsa_in"]) * IN, str(given["class"]), float(given["fc_psi"]))
    if found is None:
        return {"target": 0.0}
    return {"target": found.target_percent, "low": found.low_percent, "high": found.high_percent}


def _exposure(given: Given) -> Answer:
    found = asked_by([str(name) for name in given["classes"]])
    return {"max_wcm": found.water_share, "min_fc_psi": found.least_psi}


def _nmsa(given: Given) -> Answer:
    def mm(key: str) -> float | None:
        return None if given[key] is None else float(given[key]) * IN

    slab = mm("slab_in") or 0.0
    found = largest(slab, mm("clear_bar_in"), mm("form_in"), mm("pump_line_in"), crushed=bool(given["crushed"]))
    return {"max_in": found.most_mm / IN, "standard_size_in": found.size_mm / IN, "governs": found.by}


def _water(given: Given) -> Answer:
    per = LB / YD3
    found = watered(
        float(given["cm_lb_per_yd"]) * per, float(given["water_lb_per_yd"]) * per, float(given["gal"]) * GAL_L,
        float(given["yards"]) * YD3, float(given["max_wcm"]),
    )  # fmt: skip
    return {"wcm": found.water_share, "gallons_left": found.room_l / GAL_L}


OPS = {
    "cold_table": _cold_table, "heat_balance": _heat_balance, "transit": _transit, "slump": _slump, "air": _air,
    "exposure": _exposure, "nmsa": _nmsa, "water": _water,
}  # fmt: skip
