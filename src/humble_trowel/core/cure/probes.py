"""Temperatures that were read in the concrete, zone by zone: jumps left out, gaps told. Hours on the clock, C."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

import numpy as np

from humble_trowel.core.cure.records import ProbeRead
from humble_trowel.core.heat.slab import Array
from humble_trowel.core.weather.hours import Clock

JUMP_C_H, LEAST_JUMP_C = 12.0, 10.0  # faster than that no slab cools
GAP_H = 3.0
STALE_H = 2.0


@dataclass(frozen=True)
class Track:
    """What was read in a zone, in order. jumps_h: readings that are not believed. gaps_h: hours without one, before and after which there are some.
    probe: of its newest reading; by_hand: nobody but hands read it."""

    zone: str
    hours_h: Array
    temp_c: Array
    jumps_h: list[float]
    gaps_h: list[tuple[float, float]]
    probe: str
    by_hand: bool

    @property
    def last_h(self) -> float:
        """When it was read last."""
        return float(self.hours_h[-1])

    def over(self, hours: Array) -> tuple[Array, Array]:
        """(temperature at each hour, whether it is known there)."""
        temps = np.interp(hours, self.hours_h, self.temp_c)
        known = (hours >= self.hours_h[0] - GAP_H / 2) & (hours <= self.hours_h[-1] + GAP_H / 2)
        for begin, end in self.gaps_h:
            known &= ~((hours > begin) & (hours < end))
        return temps, known


def tracks_of(clock: Clock, said: Sequence[tuple[str, ProbeRead]]) -> dict[str, Track]:
    """Of every zone that was read. said: with the ids of their records, in any order; of two readings at one hour the newer record counts."""
    rows: dict[str, dict[float, tuple[float, str, str]]] = {}
    for _, one in sorted(said, key=lambda row: row[0]):
        own = rows.setdefault(one.zone, {})
        for row in one.rows:
            own[clock.hour_at(row.at)] = (row.temp_c, one.probe, one.source)
    return {zone: _track(zone, own) for zone, own in rows.items()}


def _track(zone: str, own: dict[float, tuple[float, str, str]]) -> Track:
    kept: list[tuple[float, float]] = []
    jumps: list[float] = []
    for hour in sorted(own):
        temp = own[hour][0]
        if kept and abs(temp - kept[-1][1]) > max(LEAST_JUMP_C, JUMP_C_H * (hour - kept[-1][0])):
            jumps.append(hour)
            continue
        kept.append((hour, temp))
    hours, temps = np.array([one for one, _ in kept]), np.array([one for _, one in kept])
    gaps = [(float(a), float(b)) for a, b in pairwise(hours) if b - a > GAP_H]
    newest = own[kept[-1][0]]
    return Track(zone, hours, temps, jumps, gaps, newest[1], all(one[2] == "hand" for one in own.values()))
