"""Middles that one pour tells of together: base, trench and tickets. What loads lack and how low a base lies look alike in one pour, so what is doubtful about
one middle goes along with the other; kept so, many jobs tell them apart, and taken one by one they do not mislead each other.
"""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from humble_trowel.core.lessons.update import Middle, Moved, Seen, far_off, spread_after

Array = NDArray[np.float64]
JOINT = ("base", "trench", "yield")
LEAST = 1e-9


@dataclass(frozen=True)
class Told:
    """What a job says of them all, in the order of JOINT: as information and the pull of it, so that a thing it says nothing of is nought."""

    info: Array
    pull: Array


def told_by(
    before_mean: Array, before_var: Array, measured: Sequence[bool], after_mean: Array, after_var: Array
) -> Told:
    """What lies between two beliefs. measured: what was believed of it before was measured on this job, so it counts too."""
    new = np.linalg.pinv(after_var)
    old = np.diag([0.0 if done or var <= LEAST**2 else 1 / var for done, var in zip(measured, before_var, strict=True)])
    info = new - old
    values, ways = np.linalg.eigh((info + info.T) / 2)
    return Told((ways * np.clip(values, 0.0, None)) @ ways.T, new @ after_mean - old @ before_mean)


def learnt_together(olds: Mapping[str, Middle], told: Told, seen: Mapping[str, Seen]) -> dict[str, Moved]:
    """Every middle that the job says something of, after it. olds: all of JOINT; seen: what it says of each by itself."""
    mean = np.array([olds[key].mean for key in JOINT])
    between = np.diag([olds[key].between for key in JOINT])
    doubt = _doubt(olds)
    counts = min((far_off(olds[key], one) for key, one in seen.items()), default=1.0)
    pull = told.info @ mean + counts * (told.pull - told.info @ mean)
    # what is said of the job, carried to the middle that it lies about
    shrink = told.info @ np.linalg.pinv(told.info + np.linalg.inv(between))
    info, pull = told.info - shrink @ told.info, pull - shrink @ pull
    first = np.linalg.inv(doubt)
    after = np.linalg.inv(first + (info + info.T) / 2)
    middle = after @ (first @ mean + pull)
    found = {}
    for at, key in enumerate(JOINT):
        if key not in seen:
            continue
        old = olds[key]
        step = float(middle[at] - mean[at])
        odd = far_off(old, seen[key]) < 1 or abs(step) > old.sd
        step = max(-old.sd, min(old.sd, step))
        spread = spread_after(old, seen[key])
        jobs = max(old.jobs, old.between / float(after[at, at]))
        along = {
            other: float(np.clip(after[at, n] / math.sqrt(after[at, at] * after[n, n]), -0.99, 0.99))
            for n, other in enumerate(JOINT)
            if n != at
        }
        found[key] = Moved(Middle(old.mean + step, math.sqrt(spread * (1 + 1 / jobs)), jobs, along), odd)
    return found


def _doubt(olds: Mapping[str, Middle]) -> Array:
    """How doubtful the middles are, together: less along with each other where they were learnt apart and would contradict themselves."""
    size = np.sqrt([olds[key].between / olds[key].jobs for key in JOINT])
    along = np.eye(len(JOINT))
    for i, one in enumerate(JOINT):
        for j, other in enumerate(JOINT[:i]):
            newer, older = sorted((olds[one], olds[other]), key=lambda row: -row.jobs)
            names = (other, one) if newer is olds[one] else (one, other)
            along[i, j] = along[j, i] = newer.along.get(names[0], older.along.get(names[1], 0.0))
    for _ in range(40):
        if float(np.linalg.eigvalsh(along)[0]) > 1e-3:
            break
        along = np.eye(len(JOINT)) + 0.9 * (along - np.eye(len(JOINT)))
    return np.asarray(along * np.outer(size, size))
