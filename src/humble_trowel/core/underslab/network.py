"""Drains as one network: which run leads into which, how high water stands when it reaches a place.

Water fills from the lowest end and rises evenly. It reaches a place over the way there whose highest bottom is lowest.
Levels are mm over the finished top of the main slab.
"""

from __future__ import annotations

import heapq
import math
from collections.abc import Sequence
from dataclasses import dataclass, field
from itertools import pairwise

from humble_trowel.core.geometry.pipes import BEDDED
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.underslab_parts import Riser, Service

JOINED_MM = 60.0
Node = tuple[int, float]  # run, along it


@dataclass
class Network:
    """Runs that are joined. nodes: level of the pipe's bottom at each. ways: to neighbours."""

    runs: list[int]
    levels: dict[Node, float] = field(default_factory=dict)
    spots: dict[Node, XY] = field(default_factory=dict)
    ways: dict[Node, set[Node]] = field(default_factory=dict)

    @property
    def lowest(self) -> Node:
        """Where it is filled from: its lowest bottom."""
        return min(self.levels, key=lambda node: (self.levels[node], node))

    def reached_mm(self) -> dict[Node, float]:
        """How high water stands when it reaches each place, filled from the lowest."""
        start = self.lowest
        found: dict[Node, float] = {}
        left = [(self.levels[start], start)]
        while left:
            high, node = heapq.heappop(left)
            if node in found:
                continue
            found[node] = high
            for other in self.ways[node]:
                if other not in found:
                    heapq.heappush(left, (max(high, self.levels[other]), other))
        return found

    def blind_ends(self, open_spots: Sequence[XY]) -> list[Node]:
        """High places with no riser, where air stays: no neighbour higher, and none as high that goes on to one."""
        return [
            node
            for node, level in sorted(self.levels.items())
            if all(self.levels[other] < level - 0.5 for other in self.ways[node])
            and min((math.dist(self.spots[node], spot) for spot in open_spots), default=math.inf) > JOINED_MM
        ]


def drain_networks(services: Sequence[Service], risers: Sequence[Riser]) -> list[Network]:
    """Drains that hang together, each with nodes at bends, joints and risers."""
    drains = [at for at, row in enumerate(services) if row.kind in BEDDED]
    marks: dict[int, set[float]] = {at: _bends(services[at]) for at in drains}
    joints: list[tuple[Node, Node]] = []
    for at in drains:
        for s, spot in ((0.0, services[at].path[0]), (max(marks[at]), services[at].path[-1])):
            for other in drains:
                if other != at and (along := along_run(services[other], spot)) is not None:
                    marks[other].add(along)
                    joints.append(((at, s), (other, along)))
        for riser in risers:
            if (along := along_run(services[at], riser.at)) is not None:
                marks[at].add(along)
    group = {at: at for at in drains}

    def root(at: int) -> int:
        while group[at] != at:
            at = group[at]
        return at

    for (one, _), (other, _) in joints:
        group[root(one)] = root(other)
    found: dict[int, Network] = {}
    for at in drains:
        net = found.setdefault(root(at), Network([]))
        net.runs.append(at)
        row, nodes = services[at], [(at, s) for s in sorted(marks[at])]
        for node in nodes:
            net.levels[node] = row.start_mm - row.fall * node[1]
            net.spots[node] = spot_on(row, node[1])
            net.ways.setdefault(node, set())
        for a, b in pairwise(nodes):
            net.ways[a].add(b)
            net.ways[b].add(a)
    for a, b in joints:
        net = found[root(a[0])]
        net.ways[a].add(b)
        net.ways[b].add(a)
    return list(found.values())


def along_run(service: Service, spot: XY) -> float | None:
    """How far along a run a spot lies that is on it, mm; None where it is not."""
    best, begun = (JOINED_MM, 0.0), 0.0
    for a, b in pairwise(service.path):
        long = math.dist(a, b)
        t = max(0.0, min(1.0, ((spot[0] - a[0]) * (b[0] - a[0]) + (spot[1] - a[1]) * (b[1] - a[1])) / (long or 1) ** 2))
        near = (a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]))
        best = min(best, (math.dist(near, spot), begun + t * long))
        begun += long
    return best[1] if best[0] < JOINED_MM else None


def spot_on(service: Service, along: float) -> XY:
    """The plan point so far along a run."""
    for a, b in pairwise(service.path):
        long = math.dist(a, b)
        if along <= long + 1e-9:
            t = along / long if long else 0.0
            return a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])
        along -= long
    return service.path[-1]


def _bends(service: Service) -> set[float]:
    total, found = 0.0, {0.0}
    for a, b in pairwise(service.path):
        total += math.dist(a, b)
        found.add(total)
    return found
