"""What screens show of how much is left."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True)
class CauseTold:
    """Why it takes more or less than drawn, before the pour and now. Spreads are one standard deviation."""

    key: str
    name: str
    before_m3: float
    before_sd_m3: float
    now_m3: float
    now_sd_m3: float
    before_text: str
    now_text: str
    learnt: bool


@dataclass(frozen=True)
class ChoiceTold:
    """A last load that may be called. short_of: of twenty pours. rest_mm: how deep the rest may be on the average with it."""

    m3: float
    text: str
    short_of: int
    short_share: float
    left_text: str
    over_text: str
    best: bool
    rest_mm: float | None
    rest_text: str


@dataclass(frozen=True)
class LeftTold:
    """How much is left. needs_m3: what the last truck must bring in each of twenty pours. depth_*: on the average, as placed and as drawn.
    answer: held, refused, lost or down; number: the plant's for it; due_text: when it is to stand here; wrong: how it was read back otherwise."""

    drawn_text: str
    placed_m3: float
    placed_text: str
    total_m3: float
    total_sd_m3: float
    total_text: str
    sd_text: str
    left_m3: float
    left_text: str
    firm_text: str
    area_text: str
    done_area_text: str
    depth_text: str
    depth_drawn_text: str
    needs_m3: list[float]
    step_m3: float
    least_m3: float
    most_m3: float
    choices: list[ChoiceTold]
    best_m3: float
    best_text: str
    short_of: int
    say_by_min: float
    say_by_text: str
    stands_min: float
    said_m3: float | None
    said_text: str
    said_by: str
    heard_by: str
    said_at_text: str
    answer: str
    number: str
    due_text: str
    late_min: float
    wrong: str
    record: str
    causes: list[CauseTold]
    held: bool
