"""Courses of block: how many make a height, how far they miss it, how many blocks, and what their cores hold."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.geometry.wall_strips import Stretch
from humble_trowel.core.plan.wall_parts import Wall
from humble_trowel.core.units import Units, round_half_away, say_depth

EVEN_MM = 1.6
NUMBERS = ("no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve")


@dataclass(frozen=True)
class Courses:
    """count: whole courses nearest to the height, each with one joint. over_mm: how far they stand above the wall's top;
    less than nothing below it. words: plainly."""

    count: int
    over_mm: float
    words: str

    @property
    def even(self) -> bool:
        """Whether they come out as planned."""
        return abs(self.over_mm) < EVEN_MM


def course_mm(wall: Wall) -> float:
    """A block and its joint, upright."""
    return wall.block.height_mm + wall.block.joint_mm


def courses(wall: Wall, height_mm: float, units: Units) -> Courses:
    """The courses of a height."""
    count = max(1, round_half_away(height_mm / course_mm(wall)))
    over = count * course_mm(wall) - height_mm
    plain = count - 1 if wall.meets == "header" else count
    number = NUMBERS[plain] if plain < len(NUMBERS) else str(plain)
    said = f"{number.capitalize()} {'course' if plain == 1 else 'courses'}"
    if wall.meets == "header":
        said = f"{said} and a header" if plain else "A header alone"
    one = count == 1
    if abs(over) < EVEN_MM:
        return Courses(count, over, f"{said} {'comes' if one else 'come'} out even.")
    way = "high" if over > 0 else "low"
    return Courses(count, over, f"{said} {'stands' if one else 'stand'} {say_depth(abs(over), units)} {way}.")


def block_count(wall: Wall, rows: Sequence[Stretch]) -> int:
    """Whole blocks, course by course, halves and cuts as whole ones."""
    long = wall.block.length_mm + wall.block.joint_mm
    total = 0
    for row in rows:
        high = max(1, round_half_away((row.top_mm - row.bottom_mm) / course_mm(wall)))
        total += high * math.ceil(row.length_mm / long - 1e-6)
    return total


@dataclass(frozen=True)
class Fill:
    """Cores filled. cores_n: how many; core_m2: the hollow of one on plan; height_mm: their height, on average."""

    cores_n: float
    core_m2: float
    height_mm: float

    @property
    def m3(self) -> float:
        """What they hold."""
        return self.cores_n * self.core_m2 * self.height_mm / 1000


def core_fill(wall: Wall, rows: Sequence[Stretch], *, closed: bool) -> Fill:
    """Cores stand two to a block. All: as many as the length holds; every n-th and at bars: whole ones, a first one at the
    start, and of a wall that does not close one at its end too where it falls on it."""
    long = math.fsum(row.length_mm for row in rows)
    pitch = (wall.block.length_mm + wall.block.joint_mm) / 2
    hollow = wall.block.length_mm * wall.thickness_mm * wall.block.void_share / 2 / 1e6
    high = math.fsum(row.length_mm * (row.top_mm - row.bottom_mm) for row in rows) / long if long else 0.0
    if wall.cores == "all":
        count: float = long / pitch
    elif wall.cores == "nth":
        count = math.ceil(math.floor(long / pitch + 1e-6) / wall.every)
    elif wall.cores == "bars":
        count = math.ceil(long / wall.bars_mm - 1e-6) if closed else math.floor(long / wall.bars_mm + 1e-6) + 1
    else:
        count = 0
    return Fill(count, hollow, high)
