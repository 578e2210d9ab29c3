"""The lines of a mix: what is asked of the plant, why, by which rule, and who decides."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.mix import Settled
from humble_trowel.core.units import MPA_PER_PSI, say_depth

Who = Literal["ENGINEER", "CODE", "YOU", "PLANT", "ASK BOTH"]
How = Literal["set", "said", "worked", "unsaid"]
INDOOR_PSI = 2500.0


@dataclass(frozen=True)
class MixLine:
    """what: its key; say: what is asked of the plant, '' where nothing is. how: set by a rule or the engineer, said by the crew, worked
    out, or unsaid. field: where it is said; wrong: why it cannot stay so, '' where it can."""

    what: str
    name: str
    say: str
    value: str
    why: str
    source: str
    who: Who
    how: How
    field: str = ""
    wrong: str = ""


@dataclass(frozen=True)
class Way:
    """One way out of a clash. answer: what is kept."""

    answer: str
    words: str


@dataclass(frozen=True)
class MixClash:
    """Two rules that pull apart. key: of the line that it is about. settled: what was decided, None while it is open."""

    key: str
    title: str
    words: str
    ways: list[Way]
    settled: Settled | None


def psi_text(plan: Plan, psi: float) -> str:
    """A strength in the job's units: 4,000 psi, 28 MPa."""
    return f"{round(psi / 10) * 10:,} psi" if plan.units == "ft-in" else f"{psi * MPA_PER_PSI:.0f} MPa"


def degrees_text(plan: Plan, temp_c: float) -> str:
    """A temperature in the job's units."""
    return f"{temp_c:.0f} °C" if plan.units == "mm" else f"{temp_c * 1.8 + 32:.0f}°"


def size_text(plan: Plan, mm: float) -> str:
    """A small size in the job's units."""
    return say_depth(mm, plan.units)


def share_text(share: float) -> str:
    """Water to cement: 0.45."""
    return f"{share:.2f}"
