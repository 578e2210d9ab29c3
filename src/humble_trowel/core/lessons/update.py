"""What one more job does to a middle and its spread: Bayes, with the spread between jobs learnt too.

Jobs lie about a middle that nobody knows, each a little elsewhere; a job is seen within its own doubt. The middle that is kept is worth so many jobs, the
first guess one: half of a first spread is doubt about the middle, half is what jobs differ by. A job that was seen well counts as a whole one, one
seen badly as a part of one. The spread is that of the next job, so it is what an order holds.
"""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass, field

FIRST_JOBS = 1.0
FAR_SD = 3.0  # a job farther away counts as if it lay there


@dataclass(frozen=True)
class Middle:
    """mean, sd: of the next job, one standard deviation. jobs: so many stand behind it. along: what is doubtful about it goes along with another
    middle so much, a correlation."""

    mean: float
    sd: float
    jobs: float = FIRST_JOBS
    along: Mapping[str, float] = field(default_factory=dict)

    @property
    def between(self) -> float:
        """Variance of jobs about their middle."""
        return self.sd**2 / (1 + 1 / self.jobs)


@dataclass(frozen=True)
class Seen:
    """What a job says of it, and how far that may be out."""

    mean: float
    sd: float


@dataclass(frozen=True)
class Moved:
    """The new middle. odd: the job lay so far out that the middle moved no farther than its own spread."""

    new: Middle
    odd: bool


def far_off(old: Middle, seen: Seen) -> float:
    """How much of what a job is off counts: 1, less where it lies too far out."""
    far = FAR_SD * math.hypot(old.sd, seen.sd)
    off = abs(seen.mean - old.mean)
    return 1.0 if off <= far else far / off


def learnt(old: Middle, seen: Seen) -> Moved:
    """The middle after one more job."""
    weight = old.between / (old.between + seen.sd**2)
    counts = far_off(old, seen)
    jobs = old.jobs + weight
    step = weight * counts * (seen.mean - old.mean) / jobs
    odd = counts < 1 or abs(step) > old.sd
    step = max(-old.sd, min(old.sd, step))
    after = spread_after(old, seen)
    return Moved(Middle(old.mean + step, math.sqrt(after * (1 + 1 / jobs)), jobs, old.along), odd)


def spread_after(old: Middle, seen: Seen) -> float:
    """The variance of jobs about their middle after one more. What the job says of it has that variance as its expectation, whatever the job's own doubt."""
    between, own = old.between, seen.sd**2
    weight = between / (between + own)
    off = far_off(old, seen) * (seen.mean - old.mean)
    told = weight**2 * old.jobs / (old.jobs + weight) * off**2 + weight * own
    return ((old.jobs + 1) * between + weight * told) / (old.jobs + 1 + weight)


def told_apart(before: Seen, after: Seen) -> Seen | None:
    """What was seen between two beliefs, both normal: after is before and that. None where it says nothing."""
    if before.sd <= 0 or after.sd <= 0:
        return None
    more = 1 / after.sd**2 - 1 / before.sd**2
    if more <= 1e-3 / before.sd**2:
        return None
    return Seen((after.mean / after.sd**2 - before.mean / before.sd**2) / more, math.sqrt(1 / more))
