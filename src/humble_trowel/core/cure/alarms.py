"""Cold and heat that threaten a slab while it is young, and what a blanket would gain. Hours on the clock, C."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.cure.rounds import Drying
from humble_trowel.core.cure.strength import Strong
from humble_trowel.core.weather.hours import HourRow

COLD_C, FROST_C, KEEP_C = 4.4, 0.0, 12.8
PROTECT_DAYS = 3.0
SOON_H = 1.5


@dataclass(frozen=True)
class Alarm:
    """kind: frost (ice before it is strong, by the model), cold (air under what the rule says), dry (water of a round is gone within an hour and a half).
    from_h, until_h: the hours of it; least_c: the coldest air; dries_kg_m2_h: the fastest drying. zones: ids of those that it is about."""

    kind: str
    from_h: float
    until_h: float
    least_c: float
    dries_kg_m2_h: float
    zones: tuple[str, ...]


def alarms_of(
    strong: Sequence[Strong],
    hours: Sequence[HourRow],
    drying: Sequence[Drying],
    cover: str,
    film_kg_m2: float,
    covered: frozenset[str],
) -> list[Alarm]:
    """film_kg_m2: that a round leaves. covered: zones under a blanket already. The first that comes stands first."""
    rows: list[Alarm] = []
    iced = [one for one in strong if one.freezes_h is not None]
    if iced:
        first = min(one.freezes_h for one in iced if one.freezes_h is not None)
        rows.append(Alarm("frost", first, first + 1, min(float(one.temp_c.min()) for one in iced), 0.0, tuple(one.heat.zone for one in iced)))  # fmt: skip
    open_zones = tuple(one.heat.zone for one in strong if one.heat.zone not in covered)
    begin = min((float(one.hours_h[0]) for one in strong), default=0.0)
    young = [row for row in hours if begin <= row.hour_h <= begin + PROTECT_DAYS * 24]
    if open_zones:
        for span in _spans([row.hour_h for row in young if row.air_c < COLD_C]):
            least = min(row.air_c for row in young if span[0] <= row.hour_h <= span[1])
            rows.append(Alarm("cold", *span, least, 0.0, open_zones))
    if cover == "wet":
        for span in _spans(
            [row.hour_h for row in drying if row.kg_m2_h * SOON_H > film_kg_m2 and row.hour_h >= begin + 6]
        ):
            most = max(row.kg_m2_h for row in drying if span[0] <= row.hour_h <= span[1])
            rows.append(Alarm("dry", *span, 0.0, most, tuple(one.heat.zone for one in strong)))
    return sorted(rows, key=lambda one: (one.from_h, one.kind))


def _spans(hours: Sequence[float]) -> list[tuple[float, float]]:
    """Runs of hours, a gap of three between them ends one."""
    rows: list[tuple[float, float]] = []
    for hour in sorted(hours):
        if rows and hour - rows[-1][1] <= 3.01:
            rows[-1] = (rows[-1][0], hour)
        else:
            rows.append((hour, hour))
    return rows
