"""A figure as plain text for a terminal."""

from __future__ import annotations

from humble_trowel.core.job import Job
from humble_trowel.core.stages import findings


def as_text(found: Job) -> str:
    """Outline, ledger, order, trucks, rod readings where a laser stands, and every finding, one line each."""
    rows: list[str] = []
    result = found.figure
    o, c = result.outline, result.concrete
    if o is None or c is None:
        rows.append("Nothing on this sheet.")
    else:
        rows += [f"Area       {o.area_text}", f"Perimeter  {o.perimeter_text}"]
        rows += [f"Side       {side.name:8} {side.text}" for side in o.sides]
        rows += [f"Diagonal   {row['name']:8} {row['text']}" for row in o.diagonals]
        unit = c.ordered.unit
        rows += [f"{part.letter:>2} {part.part:32} {part.text:>8} {unit}   {part.working.shown}" for part in c.parts]
        rows.append(f"   {'As drawn':32} {c.net_text:>8} {unit}   second way {c.second_way_text}: {c.agree}")
        rows += [f" 2 {row.name:32} {row.text:>8} {unit}   {row.how}  (a second pour)" for row in result.second_pours]
        rows += [f" + {row.name:32} {row.text:>8} {unit}   {row.how}  ({row.reason})" for row in c.allowances]
        rows.append(f"   {'Likely need':32} {c.need_text:>8} {unit}")
        rows.append(f"   {'ORDER':32} {c.ordered.text:>8} {unit}   {c.ordered.order.note}")
        rows.append(f"Trucks     {', '.join(truck.text for truck in result.trucks)}. {c.ordered.last_load}")
    under = result.footings
    if under is not None:
        unit = under.ordered.unit
        rows += [f" F {row.name:32} {row.text:>8} {unit}   {row.working.shown}" for row in under.rows]
        rows += [f" + {row.name:32} {row.text:>8} {unit}   ({row.reason})" for row in under.extras]
        rows.append(f"   {under.pour_name + ', ORDER':32} {under.ordered.text:>8} {unit}   {under.ordered.order.note}")
    stood = result.walls
    if stood is not None:
        unit = "m³" if found.plan.units == "mm" else "yd³"
        rows += [f" W {row.name:32} {row.text or '-':>8} {unit}   {row.how}" for row in stood.rows]
        if stood.ordered is not None:
            rows.append(
                f"   {stood.pour_name + ', ORDER':32} {stood.ordered.text:>8} {unit}   {stood.ordered.order.note}"
            )
    for spot in found.ground.rod if found.ground else []:
        if spot.reading_mm is not None:
            rows.append(
                f"Rod        {spot.reading_text:>12}   {spot.surface}, {spot.at} ({spot.level_text}{f', {spot.slab_text}' if spot.slab_text else ''})"
            )
    rows += [f"{doubt.severity.upper():6} {doubt.code}: {doubt.words} {doubt.remedy}" for doubt in findings(found)]
    return "\n".join(rows) + "\n"
