"""Every middle that a job can teach, and where it stands in the crew's ways. Rates and paces are learnt by their logarithm."""

from __future__ import annotations

import math
from dataclasses import dataclass

from humble_trowel.core.lessons.update import FIRST_JOBS, Middle
from humble_trowel.core.plan.lesson_ways import Learnt
from humble_trowel.core.plan.ways import Ways

RATE_SD = 0.3  # of a rate that nobody measured yet


@dataclass(frozen=True)
class LessonKind:
    """at: section and key of its middle in the ways; sd_at: of its spread, None where `learnt` holds it. log: learnt by its logarithm. low, high: what
    the ways take; most_sd: the widest spread that they take. group: volume (of concrete), own, or rate."""

    key: str
    name: str
    group: str
    at: tuple[str, str]
    sd_at: tuple[str, str] | None
    log: bool
    low: float
    high: float
    least_sd: float
    most_sd: float


def _volume(
    key: str, name: str, at: tuple[str, str], sd_at: tuple[str, str], high: float, least_sd: float, most_sd: float
) -> LessonKind:
    return LessonKind(key, name, "volume", at, sd_at, False, 0.0, high, least_sd, most_sd)


def _rate(key: str, name: str, at: tuple[str, str]) -> LessonKind:
    return LessonKind(key, name, "rate", at, None, True, 1e-3, 9000.0, 0.02, 2.0)


LESSON_KINDS: tuple[LessonKind, ...] = (
    _volume("trench", "Trench as dug", ("allowances", "trench_wide_mm"), ("doubt", "trench_wide_sd_mm"), 900.0, 0.1, 900.0),
    _volume("base", "Base by rod", ("allowances", "base_low_mm"), ("doubt", "base_sd_mm"), 900.0, 0.1, 900.0),
    _volume("bow", "Forms bow", ("doubt", "bow_out_mm"), ("doubt", "bow_sd_mm"), 900.0, 0.1, 900.0),
    _volume("yield", "Yield of the plant", ("doubt", "yield_low_share"), ("doubt", "yield_sd_share"), 0.1, 0.001, 0.1),
    _volume("left", "Drum and chute", ("allowances", "left_behind_m3"), ("doubt", "left_sd_m3"), 100.0, 0.002, 100.0),
    LessonKind("pace", "A yard, minutes", "own", ("pour", "crew_m3_h"), ("pour", "pace_sd_share"), True, 0.1, 900.0, 0.01, 0.5),
    LessonKind("road", "The road, minutes", "own", ("pour", "travel_min"), ("pour", "travel_sd_min"), False, 0.0, 600.0, 0.5, 600.0),
    LessonKind("set", "Set clock", "own", ("day", "set_ratio"), ("day", "set_sd_share"), True, 0.3, 3.0, 0.01, 0.6),
    _rate("dig", "Digging", ("prices", "dig_m3_h")),
    _rate("place-stone", "Stone placed", ("prices", "stone_m3_h")),
    _rate("form", "Forming", ("forms", "form_m_per_hour")),
    _rate("cover", "Barrier and foam", ("prices", "cover_m2_h")),
    _rate("tie", "Steel tied", ("prices", "steel_kg_h")),
    _rate("set-bolts", "Bolts set", ("prices", "bolts_h")),
)  # fmt: skip
KIND_OF_LESSON = {kind.key: kind for kind in LESSON_KINDS}
TASK_OF = {"set-bolts": "set"}  # the task of a rate, where it is called otherwise


def middle_of(kind: LessonKind, ways: Ways) -> Middle:
    """Its middle as the ways have it; of its logarithm where it is learnt so."""
    value = float(getattr(getattr(ways, kind.at[0]), kind.at[1]))
    known = ways.learnt.get(kind.key)
    if kind.sd_at is not None:
        sd = float(getattr(getattr(ways, kind.sd_at[0]), kind.sd_at[1]))
    else:
        sd = known.sd if known is not None and known.sd is not None else RATE_SD
    mean = math.log(max(value, kind.low)) if kind.log else value
    return Middle(mean, max(sd, kind.least_sd), known.jobs if known else FIRST_JOBS, known.along if known else {})


def kept_by(kind: LessonKind, middle: Middle, figures: int = 6) -> Middle:
    """A middle as far as the ways can hold it, of so many figures."""
    value = math.exp(middle.mean) if kind.log else middle.mean
    value = float(f"{min(kind.high, max(kind.low, value)):.{figures}g}")
    sd = float(f"{min(kind.most_sd, max(kind.least_sd, middle.sd)):.{figures}g}")
    return Middle(math.log(value) if kind.log else value, sd, float(f"{middle.jobs:.{figures}g}"), middle.along)


def with_middle(kind: LessonKind, ways: Ways, middle: Middle, figures: int = 6) -> Ways:
    """The ways with another middle of it; all else as it is."""
    kept = kept_by(kind, middle, figures)
    value = float(f"{math.exp(kept.mean) if kind.log else kept.mean:.{figures}g}")
    changes: dict[str, dict[str, float]] = {kind.at[0]: {kind.at[1]: value}}
    if kind.sd_at is not None:
        changes.setdefault(kind.sd_at[0], {})[kind.sd_at[1]] = kept.sd
    sections = {name: getattr(ways, name).model_copy(update=own) for name, own in changes.items()}
    known = Learnt(jobs=kept.jobs, sd=kept.sd if kind.sd_at is None else None, along=dict(kept.along))
    return ways.model_copy(update={**sections, "learnt": {**ways.learnt, kind.key: known}})


def same_middle(one: Middle, other: Middle) -> bool:
    """Whether two middles are the same, as they are kept."""
    return all(abs(a - b) <= 1e-4 * max(1.0, abs(a)) for a, b in ((one.mean, other.mean), (one.sd, other.sd)))
