"""The last load as it stands now: as it was called, as the plant read it back, and what the plant said of it since."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from humble_trowel.core.plan.document import Plan
from humble_trowel.core.pour.clock import PourClock
from humble_trowel.core.pour.records import LoadCalled, PlantSaid
from humble_trowel.core.pour.sizes import amount, strength

PLANT_WORDS = {"coming": "on its way", "late": "late", "lost": "knows nothing of it", "down": "down"}
EVEN_M3, EVEN_MPA = 0.02, 0.5
State = Literal["held", "refused", "lost", "down"]


@dataclass(frozen=True)
class Called:
    """The newest call. m3: what is sure to come by it, None where nothing is. due_min: when the plant has it stand here, None where only the road
    says so; was_due_min: as it was said first. wrong: how it was read back otherwise than it was said, '' where it was not. record: of the call."""

    record: str
    said: LoadCalled
    state: State
    m3: float | None
    due_min: float | None
    was_due_min: float | None
    wrong: str

    @property
    def late_min(self) -> float:
        """How much later than it was said."""
        return 0.0 if self.due_min is None or self.was_due_min is None else self.due_min - self.was_due_min


def called_of(
    plan: Plan, clock: PourClock, calls: Sequence[tuple[str, LoadCalled]], plant: Sequence[tuple[str, PlantSaid]]
) -> Called | None:
    """None where nothing was called. calls, plant: with the ids of their records, in any order; the newest word of each counts."""
    if not calls:
        return None
    record, said = max(calls, key=lambda row: (clock.minute(row[1].at), row[0]))
    own = [row for row in plant if said.number and row[1].number == said.number and clock.minute(row[1].at) >= clock.minute(said.at)]  # fmt: skip
    last = max(own, key=lambda row: (clock.minute(row[1].at), row[0]))[1] if own else None
    state: State = "refused" if said.answer == "refused" else "held"
    if last is not None and last.says in ("lost", "down"):
        state = "lost" if last.says == "lost" else "down"
    was = clock.minute(said.due_at) if said.due_at else None
    due = clock.minute(last.due_at) if last is not None and last.due_at else was
    held = state == "held"
    return Called(record, said, state, said.m3 if held else None, due if held else None, was, _wrong(plan, said) if held else "")  # fmt: skip


def _wrong(plan: Plan, said: LoadCalled) -> str:
    units, mix = plan.units, plan.mix.strength_mpa
    rows = []
    if said.back_m3 is not None and not math.isclose(said.back_m3, said.m3, abs_tol=EVEN_M3):
        rows.append(f"{amount(said.back_m3, units)} for {amount(said.m3, units)}")
    if said.back_mpa is not None and mix is not None and said.back_mpa < mix - EVEN_MPA:
        rows.append(f"{strength(said.back_mpa, units)} for {strength(mix, units)}")
    return ", ".join(rows)
