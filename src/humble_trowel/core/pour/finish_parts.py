"""What screens show of the finish: zones, joints to saw, sun and shade. *_text: on the clock, or as crews say it."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY


@dataclass(frozen=True)
class ZoneNow:
    """A zone and when it is worked; '' where it does not come about, or nobody knows. sun_text: in the sun or the shade now, and until when. to: who floats it."""

    zone: str
    name: str
    at: XY
    float_text: str
    second_text: str
    final_text: str
    saw_text: str
    saw_until_text: str
    saw_left_min: float | None
    dries_text: str
    float_min: float | None
    final_min: float | None
    printed: bool
    full: bool
    sun_text: str
    sunny: bool
    to: str


@dataclass(frozen=True)
class CutNow:
    """A joint that is sawn. n: in the order in which they open. state: soon, open, late, sawn or cracked; left_min: until the first of its zones cracks."""

    joint: str
    n: int
    line: tuple[XY, XY]
    where: str
    length_text: str
    from_text: str
    until_text: str
    left_min: float | None
    state: str
    done_text: str
    by: str
    record: str


@dataclass(frozen=True)
class SunTold:
    """The sun now. shade: rings about the slab, even-odd. toward: from where it shines, of length one on the plan's axes."""

    text: str
    shade: list[list[XY]]
    toward: XY
    up: bool
