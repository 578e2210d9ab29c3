"""Steel by itself: laps, hooks, bends, stirrups, mats, splices, sheets, least steel. Cases give inches for inch bars, mm for mats."""

from __future__ import annotations

import math

from shapely.geometry import Polygon

from humble_trowel.core.plan.bars import IN, Bar, bar_of
from humble_trowel.core.rules.case import Answer, Given, by_kind
from humble_trowel.core.steel.bends import bent_mm, hook, stirrup_mm
from humble_trowel.core.steel.chairs import chairs_by_rows
from humble_trowel.core.steel.laps import class_b_mm, development_mm, forty_d_mm, spliced
from humble_trowel.core.steel.least import drag_in2_ft, shrinkage
from humble_trowel.core.steel.mats import layer, mat_region
from humble_trowel.core.steel.sheets import sheets_over

IN2, LB = IN * IN, 0.45359237
CASE_CHAIR_MM = 1200.0


def steel(given: Given) -> Answer:
    """Laps, hooks, bends, stirrups, mats, splices, sheets, least steel."""
    return by_kind(
        {
            "lap": _lap,
            "hook": _hook,
            "bent_bar": _bent,
            "stirrup": _stirrup,
            "mat": _mat,
            "splice": _splice,
            "sheets_rect": _sheets,
            "shrinkage": _shrinkage,
            "drag": _drag,
        },
        given,
    )


def _bar(given: Given) -> Bar:
    said = given["bar"]
    return bar_of(f"#{said}" if isinstance(said, int) else str(said))


def _lap(given: Given) -> Answer:
    bar, fc = _bar(given), float(given["fc_psi"])
    top, good = bool(given.get("top", False)), bool(given.get("good", True))
    return {
        "ld_in": development_mm(bar, fc, top, good) / IN,
        "class_b_in": class_b_mm(bar, fc, top, good) / IN,
        "lap_40db_in": forty_d_mm(bar) / IN,
    }


def _hook(given: Given) -> Answer:
    found = hook(_bar(given), given["angle"], bool(given["stirrup"]))
    told = {
        "bend_inside_dia_in": found.inside_mm, "extension_in": found.extension_mm, "arc_centreline_in": found.arc_mm,
        "hook_steel_from_tangent_in": found.steel_mm, "added_to_out_to_out_length_in": found.added_mm,
        "leg_out_to_out_in": found.leg_mm, "width_J_in": found.across_mm,
    }  # fmt: skip
    return {key: value / IN for key, value in told.items() if value is not None}


def _bent(given: Given) -> Answer:
    legs = [leg * IN for leg in given["legs_out_to_out_in"]]
    return {"cut_length_in": bent_mm(_bar(given), legs, given["bends_deg"]) / IN}


def _stirrup(given: Given) -> Answer:
    return {"cut_length_in": stirrup_mm(_bar(given), given["A_in"] * IN, given["B_in"] * IN, given["hook_deg"]) / IN}


def _mat(given: Given) -> Answer:
    bar, stock = _bar(given), float(given["stock"])
    lap = forty_d_mm(bar)
    region = mat_region(Polygon(given["outline"]), [Polygon(hole) for hole in given["openings"]], given["cover"])
    rows = []
    for along in (0.0, 90.0):
        one = layer(region, given["spacing"], along, stock, lap)
        longs = [row.long_mm for row in one.bars]
        rows.append({
            "along_deg": along, "lines": one.lines, "actual_spacing_mm": one.apart_mm, "clipped_pieces": len(one.bars),
            "net_length_m": math.fsum(longs) / 1000, "bars_after_splicing": one.pieces, "laps": one.pieces - len(one.bars),
            "length_with_laps_m": one.steel_mm / 1000, "longest_piece_mm": max(longs, default=0.0),
            "shortest_piece_mm": min(longs, default=0.0),
        })  # fmt: skip
    total = math.fsum(row["length_with_laps_m"] for row in rows)
    x0, y0, x1, y1 = region.bounds
    return {
        "bar": bar.name, "lap_mm": lap, "directions": rows, "total_length_m": total, "mass_kg": total * bar.kg_m,
        "mass_lb": total * bar.kg_m / LB, "chairs_by_rows": chairs_by_rows(x1 - x0, y1 - y0, CASE_CHAIR_MM),
        "chairs_by_area": math.ceil(region.area / CASE_CHAIR_MM**2 - 1e-9),
    }  # fmt: skip


def _splice(given: Given) -> Answer:
    pieces, steel_mm = spliced(given["length_mm"], given["stock_mm"], given["lap_mm"])
    return {"pieces": pieces, "steel_mm": steel_mm}


def _sheets(given: Given) -> Answer:
    size = given["sheet_length"], given["sheet_width"], given["lap"]
    along, across = sheets_over(given["X"], given["Y"], *size), sheets_over(given["Y"], given["X"], *size)
    return {"long_side_along_x": along, "long_side_along_y": across, "least": min(along, across)}


def _shrinkage(given: Given) -> Answer:
    found = shrinkage(given["t_in"] * IN, _bar(given), given["ratio"])
    return {
        "As_in2_ft": found.area_mm2_m / IN2 * 0.3048, "As_mm2_m": found.area_mm2_m, "spacing_for_area_in": found.for_area_mm / IN,
        "spacing_cap_in": found.cap_mm / IN, "spacing_to_use_in": found.use_mm / IN,
    }  # fmt: skip


def _drag(given: Given) -> Answer:
    return {"As_in2_ft": drag_in2_ft(given["L_ft"], given["t_in"], given["F"], given["fs_psi"], given["w_pcf"])}
