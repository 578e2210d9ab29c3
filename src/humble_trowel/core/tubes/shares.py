"""Cells shared out to loops: each loop gets floor of its own that hangs together and reaches the manifold.

Rooms are cut in as many parts as the longest loop asks, by cells in serpentine order. Ways from the manifold to all parts are
found at once, so that no two share a cell (least-cost flow, one way a part); a way belongs to its loop all along. What is cut
off by a way goes to a neighbour.
"""

from __future__ import annotations

import heapq
import math
from collections import deque
from collections.abc import Iterable, Mapping, Sequence
from itertools import pairwise

from humble_trowel.core.tubes.grid import PASSAGE, Cell, Grid

PART = 2  # a node of a part, beside the entry and the way out of its cells
HUG = 0.4  # what a way costs more for every cell that it lies farther from a wall


def near_wall(
    grid: Grid, cells: Iterable[Cell], at: tuple[float, float], ports: int, spread: int = 0
) -> tuple[list[Cell], int]:
    """(cells in a row along a wall where loops begin, nearest to the manifold, and `spread` more each way; the side of them that
    the wall is on)."""
    own = set(cells)
    best: tuple[float, list[Cell], int] | None = None
    for side in range(4):
        step = (1, 0) if side % 2 else (0, 1)
        rim = {cell for cell in own if (beside := grid.beside(cell, side)) not in own and beside not in grid.shut}
        for cell in rim:
            if (cell[0] - step[0], cell[1] - step[1]) in rim:
                continue
            row = [cell]
            while (row[-1][0] + step[0], row[-1][1] + step[1]) in rim:
                row.append((row[-1][0] + step[0], row[-1][1] + step[1]))
            for k in range(max(1, len(row) - ports + 1)):
                window = row[k : k + ports]
                far = math.fsum(_reach(grid, one, side, at) for one in window) / len(window)
                more = row[max(0, k - spread) : k + ports + spread]
                found = (far + 1e6 * (ports - len(window)), more, side)
                if best is None or found[0] < best[0]:
                    best = found
    return (best[1], best[2]) if best else ([], 0)


def _reach(grid: Grid, cell: Cell, side: int, at: tuple[float, float]) -> float:
    (x, y), (wide, high) = grid.middle(cell), grid.size(cell)
    dx, dy = ((1, 0), (0, 1), (-1, 0), (0, -1))[side]
    return math.dist((x + dx * wide / 2, y + dy * high / 2), at)


def longer_way(cells: Sequence[Cell]) -> int:
    """Which way a room is longer: 0 east, 1 north."""
    wide = max(cell[0] for cell in cells) - min(cell[0] for cell in cells)
    high = max(cell[1] for cell in cells) - min(cell[1] for cell in cells)
    return 0 if wide >= high else 1


def parts_of(grid: Grid, cells: Sequence[Cell], weights: Sequence[float], by: int) -> list[list[Cell]]:
    """Cells of a room in parts whose tube is as weights say, side by side along a way (0 east, 1 north)."""
    order = sorted(cells, key=lambda cell: (cell[by], cell[1 - by] if cell[by] % 2 else -cell[1 - by]))
    total, whole = math.fsum(grid.tube_mm(cell) for cell in order), math.fsum(weights)
    found: list[list[Cell]] = [[] for _ in weights]
    ends = [total * math.fsum(weights[: k + 1]) / whole for k in range(len(weights))]
    run, part = 0.0, 0
    for cell in order:
        if run + grid.tube_mm(cell) / 2 > ends[part] and part < len(weights) - 1:
            part += 1
        found[part].append(cell)
        run += grid.tube_mm(cell)
    return [part for part in found if part]


def ways_to(grid: Grid, ports: Mapping[Cell, float], owner: dict[Cell, int], parts: int) -> dict[int, list[Cell]]:
    """A way from a port to each part, no two through one cell; parts that none reaches are left out. Least cells in all, and
    along walls, so that little floor is cut off. ports: with what each costs."""
    deep = _from_walls(grid, owner)
    flow_in: dict[Cell, Cell | int] = {}  # the cell that leads into one; -1 from the manifold
    flow_out: dict[Cell, Cell | int] = {}  # where one leads to; its part, as -2 - part
    fed: set[int] = set()
    while len(fed) < parts:
        found = _augment(grid, ports, owner, deep, flow_in, flow_out, fed)
        if found is None:
            break
        fed.add(found)
    ways: dict[int, list[Cell]] = {}
    for cell, before in list(flow_in.items()):
        if before != -1:
            continue
        way, at = [cell], cell
        while isinstance(ahead := flow_out[at], tuple):
            way.append(ahead)
            at = ahead
        ways[-2 - int(ahead)] = way
    return ways


def _from_walls(grid: Grid, owner: dict[Cell, int]) -> dict[Cell, float]:
    """What it costs a way to take a cell: more the farther it lies from a wall."""
    rank = {cell: 0 for cell in owner if any(grid.beside(cell, side) not in owner for side in range(4))}
    left = deque(rank)
    while left:
        cell = left.popleft()
        for side in range(4):
            other = grid.beside(cell, side)
            if other in owner and other not in rank:
                rank[other] = rank[cell] + 1
                left.append(other)
    return {cell: 1.0 + HUG * min(5, rank.get(cell, 5)) for cell in owner}


def _augment(
    grid: Grid, ports: Mapping[Cell, float], owner: dict[Cell, int], deep: dict[Cell, float],
    flow_in: dict[Cell, Cell | int], flow_out: dict[Cell, Cell | int], fed: set[int],
) -> int | None:  # fmt: skip
    """One more way by the cheapest change of those there are. Each cell has an entry (0) and a way out (1)."""
    cost: dict[tuple[Cell, int], float] = {}
    came: dict[tuple[Cell, int], tuple[Cell, int] | None] = {}
    queue: list[tuple[float, tuple[Cell, int]]] = []

    def reach(node: tuple[Cell, int], price: float, by: tuple[Cell, int] | None) -> None:
        if price < cost.get(node, math.inf) - 1e-9:
            cost[node], came[node] = price, by
            heapq.heappush(queue, (price, node))

    for port in sorted(ports):
        if flow_in.get(port) != -1 and port in owner:
            reach((port, 0), ports[port], None)
    last = {-2 - ahead: cell for cell, ahead in flow_out.items() if isinstance(ahead, int)}
    while queue:
        here, node = heapq.heappop(queue)
        if here > cost[node] + 1e-9:
            continue
        cell, out = node
        if out == PART:
            reach((last[cell[1]], 1), here, node)  # give back the end of that part's way, which this one takes
            continue
        used = cell in flow_in
        if out == 0:
            if not used:
                reach((cell, 1), here + deep[cell], node)
            elif isinstance(before := flow_in[cell], tuple):
                reach((before, 1), here, node)  # give back the step into this cell
        else:
            for side in range(4):
                other = grid.beside(cell, side)
                if other in owner and flow_out.get(cell) != other:
                    reach((other, 0), here, node)
            if owner[cell] in fed and last[owner[cell]] != cell:
                reach(((0, owner[cell]), PART), here, node)
            if used:
                reach((cell, 0), here - deep[cell], node)  # give back the way through this cell
    end = _cheapest_end(cost, owner, flow_in, fed)
    if end is None:
        return None
    _rewire(came, (end, 1), owner[end], flow_in, flow_out)
    return owner[end]


def _cheapest_end(
    cost: Mapping[tuple[Cell, int], float], owner: Mapping[Cell, int], flow_in: Mapping[Cell, Cell | int], fed: set[int]
) -> Cell | None:
    """The cell of a part that has no way yet that is reached most cheaply."""
    ends = [
        (price, cell)
        for (cell, out), price in cost.items()
        if out == 1 and owner[cell] >= 0 and owner[cell] not in fed and cell not in flow_in
    ]
    return min(ends)[1] if ends else None


def _rewire(
    came: dict[tuple[Cell, int], tuple[Cell, int] | None], node: tuple[Cell, int], part: int,
    flow_in: dict[Cell, Cell | int], flow_out: dict[Cell, Cell | int],
) -> None:  # fmt: skip
    """Put a found way into the flow: steps forward are taken, steps back give back what was there."""
    steps: list[tuple[Cell, int]] = []
    at: tuple[Cell, int] | None = node
    while at is not None and at not in steps:
        steps.append(at)
        at = came[at]
    steps.reverse()
    for (cell, _), (other, into), (end, _) in zip(steps, steps[1:], steps[2:], strict=False):
        if into == PART:
            flow_out.pop(end, None)
            flow_out[cell] = -2 - other[1]
    steps = [step for step in steps if step[1] != PART]
    gone = [(cell, other) for (cell, out), (other, into) in pairwise(steps) if cell != other and out == 0 and into == 1]
    for cell, other in gone:
        if flow_in.get(cell) == other:
            del flow_in[cell]
        if flow_out.get(other) == cell:
            del flow_out[other]
    if not isinstance(flow_in.get(steps[0][0]), tuple):
        flow_in[steps[0][0]] = -1
    for (cell, out), (other, into) in pairwise(steps):
        if cell != other and out == 1 and into == 0:
            flow_out[cell], flow_in[other] = other, cell
    flow_out[node[0]] = -2 - part
    for cell in [one for one in flow_out if one not in flow_in]:
        del flow_out[cell]


def shared_out(
    grid: Grid, ports: Mapping[Cell, float], parts: Sequence[Sequence[Cell]]
) -> tuple[list[list[Cell]], list[list[Cell]], set[Cell]]:
    """(cells of each loop, its own port first in its way; the way to each; cells that no loop reaches)."""
    owner = {cell: PASSAGE for cell, room in grid.rooms.items() if room == PASSAGE}
    owner |= {cell: k for k, part in enumerate(parts) for cell in part}
    ways = ways_to(grid, ports, owner, len(parts))
    for k, way in ways.items():
        for cell in way:
            owner[cell] = k
    loops: list[set[Cell]] = [set() for _ in parts]
    for k, way in ways.items():
        loops[k] = _joined(grid, way[0], {cell for cell, own in owner.items() if own == k})
    left = {cell for cell in owner if grid.rooms[cell] != PASSAGE} - set().union(*loops)
    _to_neighbours(grid, loops, left)
    return [sorted(loop) for loop in loops], [ways.get(k, []) for k in range(len(parts))], left


def _to_neighbours(grid: Grid, loops: list[set[Cell]], left: set[Cell]) -> None:
    """Give cells that no way reaches to a loop beside them: one of their room first, the shortest of those. Changes both."""
    lengths = [math.fsum(grid.tube_mm(cell) for cell in loop) for loop in loops]
    heap: list[tuple[bool, float, int, Cell]] = []

    def offer(k: int, near: Cell) -> None:
        for side in range(4):
            if (cell := grid.beside(near, side)) in left:
                heapq.heappush(heap, (grid.rooms[cell] != grid.rooms[near], lengths[k], k, cell))

    for k, loop in enumerate(loops):
        for cell in loop:
            offer(k, cell)
    while heap:
        other, length, k, cell = heapq.heappop(heap)
        if cell not in left:
            continue
        if length < lengths[k]:
            heapq.heappush(heap, (other, lengths[k], k, cell))
            continue
        loops[k].add(cell)
        lengths[k] += grid.tube_mm(cell)
        left.remove(cell)
        offer(k, cell)


def _joined(grid: Grid, start: Cell, cells: set[Cell]) -> set[Cell]:
    found, left = {start}, [start]
    while left:
        cell = left.pop()
        for side in range(4):
            other = grid.beside(cell, side)
            if other in cells and other not in found:
                found.add(other)
                left.append(other)
    return found
