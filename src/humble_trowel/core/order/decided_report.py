"""What `figure --json` says under `order`, `delivery`, `mix` and `cost`."""

from __future__ import annotations

from pydantic import Field

from humble_trowel.core.report import Report


class HoldReport(Report):
    """The last load. say_by: on the clock of the pour, or minutes after the first truck."""

    last_m3_min: float
    last_m3_max: float
    say_by: str


class DecisionReport(Report):
    """The order as a decision. ordered_m3: as it stands; best_m3: what costs least."""

    mean_m3: float
    sd_m3: float
    best_m3: float
    ordered_m3: float
    p_short: float
    expected_cost_cents: float
    loads_m3: list[float]
    hold: HoldReport | None


class DeliveryReport(Report):
    """The pour played through at its spacing."""

    spacing_min: float
    waits_min: list[float]
    joint_age_max_min: float
    discharge_max_min: float
    charge_cents: float


class MixLineReport(Report):
    """A line of the mix. value: '' where nobody said it yet."""

    what: str
    value: str
    why: str
    source: str


class MixReport(Report):
    """The mix."""

    lines: list[MixLineReport]


class CostRowReport(Report):
    """A row of the cost."""

    key: str
    name: str
    total_cents: int


class CostReport(Report):
    """What it costs. total_cents: as charged, with the margin."""

    cost_rows: list[CostRowReport] = Field(validation_alias="rows", serialization_alias="rows")
    margin_cents: int
    total_cents: int
