"""Whether cages and mats fit: cover, room for the stone between bars, bends, what else runs through. Source: 'clear-gap', 'cover'."""

from __future__ import annotations

import math
from collections.abc import Sequence

import shapely
from shapely.geometry import LineString, Point

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.pipes import outside_mm
from humble_trowel.core.plan.bars import IN, bar_of
from humble_trowel.core.plan.steel_parts import Cage
from humble_trowel.core.steel.cages import Box, box_of
from humble_trowel.core.steel.frame import Frame
from humble_trowel.core.steel.laid import Laid
from humble_trowel.core.steel.least import shrinkage
from humble_trowel.core.steel.slabs import SlabLaid
from humble_trowel.core.underslab.services import Run, RunSleeve
from humble_trowel.core.units import say_depth

LEAST_GAP_MM = IN
STONE_SHARE = 4 / 3
USUAL_STONE_MM = 0.75 * IN


def least_gap_mm(frame: Frame, d_mm: float) -> float:
    """Clear between bars: a diameter, an inch, four thirds of the stone."""
    stone = frame.plan.mix.stone_mm or USUAL_STONE_MM
    return max(d_mm, LEAST_GAP_MM, STONE_SHARE * stone)


def cage_doubts(frame: Frame, cage: Cage) -> list[Finding]:
    """What of a cage does not go in. A cage that does not fit at all says only that."""
    box, where, units = box_of(frame, cage), f"steel/cage/{cage.of}/{cage.mark}", frame.plan.units
    if box is None:
        words = f"There is a cage for {cage.mark}, and no such {cage.of}."
        return [finding("cage-unused", where, words, "Take it out, or give a part that type.")]
    wide, high = box.stirrup
    if min(wide, high) <= 0:
        words = f"Cover leaves nothing for bars in {cage.mark}: it is {say_depth(box.wide_mm, units)} wide and {say_depth(box.deep_mm, units)} deep."
        return [finding("cage-no-room", where, words, "Make it larger, or ask the engineer for less cover.", "cover")]
    found = [row for row in (_close(frame, cage, box, at) for at in range(len(cage.bars))) if row is not None]
    if cage.stirrup:
        bar = bar_of(cage.stirrup)
        least = (4.0 if bar.d_mm <= 0.625 * IN + 0.2 else 6.0) * bar.d_mm + 2 * bar.d_mm
        if min(wide, high) < least:
            words = f"A {bar.name} stirrup of {say_depth(min(wide, high), units)} in {cage.mark} is smaller than its own bends, {say_depth(least, units)}."
            found.append(
                finding("stirrup-small", where, words, "Take a thinner stirrup, or make the part larger.", "bends")
            )
    return found


def _close(frame: Frame, cage: Cage, box: Box, at: int) -> Finding | None:
    row = cage.bars[at]
    d, gap = bar_of(row.bar).d_mm, box.gap(row)
    if gap is None:
        return None
    least = least_gap_mm(frame, d)
    if gap >= least - 0.05:
        return None
    units = frame.plan.units
    has = f"only {say_depth(gap, units)}" if gap > 0 else "nothing"
    words = f"{row.count} {row.bar} {row.level} in {cage.mark} leave {has} between them; {say_depth(least, units)} lets the stone through."
    return finding(
        "bars-close",
        f"steel/cage/{cage.of}/{cage.mark}",
        words,
        "Take fewer and thicker bars, or put some at another height.",
        "clear-gap",
    )


def slab_doubts(frame: Frame, found: SlabLaid) -> list[Finding]:
    """Steel farther apart than shrinkage asks, too high or low, or of a slab that nothing has."""
    where, units = f"steel/slab/{found.row.slab}", frame.plan.units
    if not found.zones:
        return []
    rows = []
    if found.bars is not None:
        one, other = found.bars
        thick, low = found.thick_mm, found.low_mm or 0.0
        over = thick - low - one.d_mm - other.d_mm
        if low < 0.5 * IN or over < 0.5 * IN:
            words = f"{one.name} and {other.name} in {found.row.slab} have {say_depth(max(0.0, over), units)} over them and {say_depth(max(0.0, low), units)} under them."
            rows.append(finding("mat-cover", where, words, "Take thinner bars, or another height.", "cover"))
        for bar, layer in zip(found.bars, found.layers, strict=True):
            asked = shrinkage(thick, bar)
            if layer.lines > 1 and layer.apart_mm > asked.use_mm + 0.5:
                words = f"{bar.name} in {found.row.slab} stand {say_depth(layer.apart_mm, units)} apart; against shrinkage {say_depth(asked.use_mm, units)} is asked of a floor that carries."
                rows.append(
                    finding(
                        "mat-wide",
                        where,
                        words,
                        "Set them closer, or cut joints closer; steel does not stop cracks.",
                        "shrinkage-steel",
                    )
                )
                break
    return rows


def bitten(frame: Frame, laid: Sequence[Laid], runs: Sequence[Run]) -> list[Finding]:
    """Sleeves that pass where long bars of a cage lie, or too near to them."""
    found = []
    for run in runs:
        for sleeve in run.sleeves:
            row = next((row for row in laid if _cage_bar(row) and _bites(run, sleeve, row)), None)
            if row is not None:
                words = f"{run.name}'s sleeve bites the {row.words}."
                remedy = "Move the pipe up or down, or the bars, or make the part deeper."
                found.append(finding("sleeve-bites-bar", f"underslab/{run.id}", words, remedy, "clear-gap"))
    return found


def _cage_bar(row: Laid) -> bool:
    return row.level_mm is not None and row.key.split("/")[0] in ("edge", "beam")


def _bites(run: Run, sleeve: RunSleeve, row: Laid) -> bool:
    """Whether a bar lies within the round of a sleeve."""
    reach = outside_mm(sleeve.size_mm) / 2 + row.bar.d_mm / 2
    through = LineString([sleeve.a, sleeve.b])
    long = max(sleeve.s1_mm - sleeve.s0_mm, 1e-9)
    for line in row.lines:
        met = through.intersection(LineString(line))
        if isinstance(met, Point):
            s = sleeve.s0_mm + math.dist(sleeve.a, (met.x, met.y)) / long * (sleeve.s1_mm - sleeve.s0_mm)
            middle = run.start_mm - run.fall * s + run.outside_mm / 2
            if abs(middle - (row.level_mm or 0.0)) < reach:
                return True
    return False


def at_one_height(frame: Frame, laid: Sequence[Laid]) -> list[Finding]:
    """Long bars of two cages that cross at one height: one of them has to hang lower."""
    rows = [row for row in laid if _cage_bar(row) and row.shape == "straight" and not row.key.startswith("pad/")]
    lines = {row.key: shapely.linestrings([[line[0], line[-1]] for line in row.lines]) for row in rows}
    found = []
    for i, one in enumerate(rows):
        for other in rows[:i]:
            apart = abs((one.level_mm or 0.0) - (other.level_mm or 0.0))
            need = (one.bar.d_mm + other.bar.d_mm) / 2
            if one.key.split("/")[1] == other.key.split("/")[1] or apart > need - 0.5:
                continue
            if bool(shapely.intersects(shapely.union_all(lines[one.key]), shapely.union_all(lines[other.key]))):
                mark = one.key.split("/")[1]
                words = f"The {one.words} and the {other.words} cross at one height."
                remedy = f"Hang those of {mark} {say_depth(need - apart, frame.plan.units)} lower."
                found.append(finding("bars-meet", f"steel/cage/{one.key.rsplit('/', 2)[0]}", words, remedy))
    return found
