"""Closed loops out of loose lines: end to end, as drawn by others, with gaps of a hair allowed."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Sequence

from ezdxf import edgeminer
from ezdxf.edgeminer import Deposit, Edge
from ezdxf.math import Vec3

from humble_trowel.files.loop import XY, Loop, tidy


def close_lines(chains: Sequence[tuple[str, list[XY]]], gap: float) -> tuple[list[Loop], int]:
    """(loops of one layer's open chains that meet end to end within `gap`, number of chains left over)."""
    loops: list[Loop] = []
    loose = 0
    by_layer: dict[str, list[list[XY]]] = defaultdict(list)
    for layer, points in chains:
        by_layer[layer].append(points)
    for layer, rows in by_layer.items():
        found, left = _close(rows, gap)
        loops += [Loop(layer, ring) for points in found if (ring := tidy(points, gap))]
        loose += left
    return loops, loose


def _close(rows: list[list[XY]], gap: float) -> tuple[list[list[XY]], int]:
    edges = [edgeminer.make_edge(Vec3(points[0]), Vec3(points[-1]), payload=index) for index, points in enumerate(rows)]
    closed: list[Sequence[Edge]] = [[edge] for edge in edges if edgeminer.is_loop_fast([edge], gap_tol=gap)]
    for find in (_simple, _at_junctions):
        used = {edge for chain in closed for edge in chain}
        left = [edge for edge in edges if edge not in used]
        closed += find(Deposit(left, gap_tol=gap)) if left else []
    found = sorted((_from_first(chain) for chain in closed), key=lambda chain: int(chain[0].payload))
    paths = [path for chain in found if len(path := _path(chain, rows)) > 2]
    return paths, len(rows) - sum(len(chain) for chain in closed)


def _simple(meeting: Deposit) -> list[Sequence[Edge]]:
    chains = edgeminer.find_all_simple_chains(meeting)
    return [chain for chain in chains if edgeminer.is_loop_fast(chain, gap_tol=meeting.gap_tol)]


def _at_junctions(meeting: Deposit) -> list[Sequence[Edge]]:
    """Loops among lines that meet others on the way, each line in one loop at most."""
    loops: list[Sequence[Edge]] = []
    used: set[Edge] = set()
    for edge in meeting.edges:
        loop = edgeminer.find_loop_by_edge(meeting, edge) if edge not in used else ()
        if loop and used.isdisjoint(loop):
            loops.append(loop)
            used.update(loop)
    return loops


def _from_first(chain: Sequence[Edge]) -> list[Edge]:
    """The same loop, from the line that was drawn first and along it."""
    at = min(range(len(chain)), key=lambda i: int(chain[i].payload))
    turned = [*chain[at:], *chain[:at]]
    return [turned[0].reversed(), *(edge.reversed() for edge in turned[:0:-1])] if turned[0].is_reverse else turned


def _path(chain: Sequence[Edge], rows: list[list[XY]]) -> list[XY]:
    return [
        spot for edge in chain for spot in (rows[edge.payload][::-1] if edge.is_reverse else rows[edge.payload])[:-1]
    ]
