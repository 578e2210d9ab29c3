"""Search for faults with fresh seeds: random legal jobs counted three ways, then the property tests drawn anew.

    python -m tests.search [MINUTES] [--jobs N] [--seed N]

What fails is kept as a plain case in tests/found/, which tests/properties/test_random_jobs.py reads at every run.
"""

import argparse
import json
import math
import os
import random
import subprocess
import sys
import time
import warnings
from concurrent.futures import ProcessPoolExecutor
from itertools import count, islice
from pathlib import Path

from humble_trowel.core.edges.section import section
from humble_trowel.core.errors import PlanError
from humble_trowel.core.footings.slices import sliced_near_m3
from humble_trowel.core.geometry.slices import count_by_slices
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.job import Job
from humble_trowel.core.joints.joints import proposal as joints_by_rule
from humble_trowel.core.plan.joint_ways import JointWays
from humble_trowel.core.plan.screed_ways import ScreedWays
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.screed.propose import proposed
from humble_trowel.core.stages import report
from humble_trowel.core.walls.rows import formed_m3, prisms_of
from tests.plain_columns import columns_m3, footing_solids, wall_solids
from tests.plain_grid import CUBE_MM, START_MM, grid_m3
from tests.random_jobs import random_job

FOUND = Path(__file__).resolve().parent / "found"
CLOSE = 1e-4


def fault_of(data, everything=True):
    """(whether the job is legal, what is wrong with how it is worked out or '')."""
    try:
        plan = read_plan(data)
    except PlanError:
        return False, ""
    except Exception as error:
        return True, f"reading ends in {type(error).__name__}: {error}"
    warnings.simplefilter("error")
    try:
        return True, three_ways(plan) or below_three_ways(plan) or (answers(plan) if everything else "")
    except Exception as error:
        return True, f"{type(error).__name__}: {error}"


def three_ways(plan):
    """'' where parts, slices and the plain grid agree to 1e-4."""
    parts, slices = build_solid(plan).net_m3, count_by_slices(plan).total_m3
    if parts < 0 or not math.isfinite(parts + slices):
        return f"parts {parts}, slices {slices}"
    speck = 1e-7 + CLOSE * parts
    third = 0.0
    for finer in (1, 2, 4):  # a finer grid before anything is said
        third = grid_m3(plan, min(CUBE_MM, 7.0 * max(parts, 0.05) ** (1 / 3)) / finer, START_MM / finer)
        if abs(parts - third) <= speck and abs(parts - slices) <= speck:
            return ""
    return f"parts {parts:.6f}, slices {slices:.6f}, grid {third:.6f} m3"


def below_three_ways(plan):
    """'' where footings and formed walls agree to 1e-4 as joined prisms, slices and plain columns."""
    job, by_id = Job(plan), {row.id: row for row in plan.footings}
    found = job.footings
    if found is not None:
        third = columns_m3([row for one in plan.footings for row in footing_solids(one)])
        if max(abs(found.net_m3 - found.second_way_m3), abs(found.net_m3 - third)) > 1e-7 + CLOSE * third:
            return f"footings: prisms {found.net_m3:.6f}, slices {found.second_way_m3:.6f}, columns {third:.6f} m3"
    stood = [one for one in job.standing_walls if one.wall.kind != "block"]
    if stood:
        joined = sum(formed_m3(stood).values())
        boards = sum(one.face_m2 * (one.wall.foam_between_mm or 0.0) / 1000 for one in stood)
        third = columns_m3([row for one in stood for row in wall_solids(one.wall, by_id[one.wall.footing])]) - boards
        slices = sliced_near_m3([row for one in stood for row in prisms_of(one)], joined + boards) - boards
        if max(abs(joined - slices), abs(joined - third)) > 1e-7 + CLOSE * third:
            return f"walls: prisms {joined:.6f}, slices {slices:.6f}, columns {third:.6f} m3"
    return ""


def answers(plan):
    """'' where every answer comes about and is JSON, and cuts in four directions can be drawn."""
    told = report(Job(plan, line_mm=1500.0))
    json.dumps(told, allow_nan=False)
    lost = [row["words"] for row in told["findings"] if row["code"] == "cannot-compute"]
    if lost:
        return lost[0]
    laid = proposed(plan, build_solid(plan), ScreedWays()).on(plan)
    taken = report(Job(laid))["screed"]
    if any(row["rule"] in ("COVER", "OVERLAP", "OUTSIDE", "PADS", "BOARD") for row in taken["violations"]):
        return f"strips by rule: {taken['violations']}"
    joints_by_rule(plan, build_solid(plan), JointWays(), 30.0)
    xs, ys = [x for x, _ in plan.outline], [y for _, y in plan.outline]
    middle, far = (sum(xs) / len(xs), sum(ys) / len(ys)), math.dist((min(xs), min(ys)), (max(xs), max(ys)))
    for way in (0.0, 0.7, math.pi / 2, 2.5):
        away = (math.cos(way) * far, math.sin(way) * far)
        section(
            plan,
            build_solid(plan),
            Ways(),
            (middle[0] - away[0], middle[1] - away[1]),
            (middle[0] + away[0], middle[1] + away[1]),
        )
    return ""


def one(seed):
    legal, fault = fault_of(random_job(seed))
    return seed, legal, fault


def keep(seed, fault):
    FOUND.mkdir(exist_ok=True)
    path = FOUND / f"job-{seed}.json"
    path.write_text(json.dumps({"fault": fault[:400], "job": random_job(seed)}, indent=1) + "\n")
    print(f"  job {seed}: {fault[:300]}", flush=True)


def main():
    reader = argparse.ArgumentParser(
        prog="./trowel search", description="Random legal jobs and tests with fresh seeds."
    )
    reader.add_argument("minutes", nargs="?", type=float, default=10.0)
    reader.add_argument("--jobs", type=int, default=None, help="stop after so many legal jobs")
    reader.add_argument("--seed", type=int, default=None, help="start at this seed instead of a fresh one")
    said = reader.parse_args()
    start = random.SystemRandom().randrange(10**9) if said.seed is None else said.seed
    end = time.monotonic() + 60 * said.minutes * (1.0 if said.jobs else 0.7)
    legal = found = 0
    with ProcessPoolExecutor(2) as crew:
        seeds = count(start)
        while True:
            for seed, good, fault in crew.map(one, islice(seeds, 16)):
                legal += good
                if fault:
                    found += 1
                    keep(seed, fault)
            if time.monotonic() >= end or (said.jobs and legal >= said.jobs):
                break
    print(f"{legal} legal jobs from seed {start}: {found} with a fault", flush=True)
    if said.minutes and not said.jobs:
        env = {**os.environ, "TROWEL_DRAW": "search"}
        while time.monotonic() < end + 60 * said.minutes * 0.3:
            done = subprocess.run([sys.executable, "-m", "pytest", "-n", "2", "-q", "tests/properties"], env=env, text=True, capture_output=True)  # fmt: skip
            if done.returncode:
                FOUND.mkdir(exist_ok=True)
                (FOUND / f"properties-{start}.txt").write_text(done.stdout[-20_000:])
                print(done.stdout[-3000:])
                found += 1
                break
            print("random tests drawn anew: fine", flush=True)
    return 1 if found else 0


if __name__ == "__main__":
    sys.exit(main())
