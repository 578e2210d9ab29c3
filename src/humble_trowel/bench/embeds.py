"""Speed of what sticks up and of joints: a long wall, layouts of the demo job and of sixty corners."""

from __future__ import annotations

from humble_trowel.bench.rows import Row, demo_plan, timed
from humble_trowel.core.embeds import bolts
from humble_trowel.core.embeds.bolts import BoltRules, bolts_of
from humble_trowel.core.embeds.plates import Run, stock_joints, studs_at
from humble_trowel.core.job import Job
from humble_trowel.core.joints.check import JointRules
from humble_trowel.core.joints.joints import proposal
from humble_trowel.core.joints.lay import lay_joints

WALL_MM, STUD_MM, STOCK_MM = 40_000.0, 406.4, 4876.8
RULES = BoltRules(1828.8, 88.9, 304.8, 57.15, 3.175)


def _wall() -> object:
    """Bolts of a 40 m wall, nothing kept from before; one stud is out of step, so that no two pieces are alike."""
    bolts._even.cache_clear()
    studs = studs_at(WALL_MM, 0.0, STUD_MM, (), [k * 4321.0 for k in range(1, 9)])
    return bolts_of(Run(WALL_MM, tuple(stock_joints([(0.0, WALL_MM)], STOCK_MM, studs, 610.0)), (), studs), RULES)


def comb() -> list[tuple[float, float]]:
    """An outline of sixty corners."""
    ring = [(0.0, 0.0), (29_000.0, 0.0)]
    for k in range(29):
        y = 9000.0 if k % 2 == 0 else 12_000.0
        ring += [(29_000.0 - k * 1000.0, y), (28_000.0 - k * 1000.0, y)]
    return ring


def embed_rows() -> list[Row]:
    """Bolts and joints, each from nothing."""
    demo, floor = Job(demo_plan("honey-house")), comb()
    _ = demo.solid, demo.steel
    assert demo.solid is not None
    solid = demo.solid
    return [
        timed("bolts of a 40 m wall", _wall, 12, 20, "p95"),
        timed("everything that sticks up of the demo job", demo._embeds, 12, 100, "p95"),
        timed(
            "joints of the demo job laid by rule",
            lambda: proposal(demo.plan, solid, demo.ways.joints, 30.0),
            12,
            200,
            "p95",
        ),
        timed("joints of the demo job checked", demo._joints, 12, 60, "p95"),
        timed("joints of 60 corners laid by rule", lambda: lay_joints(floor, [], 150.0, JointRules()), 3, 2000),
    ]
