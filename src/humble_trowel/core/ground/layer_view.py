"""Shots on a layer as a screen shows them: verdict, worst first, contours, what is still to shoot."""

from __future__ import annotations

from dataclasses import dataclass, replace

from humble_trowel.core.ground.flat import Band, Enough, Rake, bands, contours, enough, rakes
from humble_trowel.core.ground.layer_shots import LayerShots, RodShot
from humble_trowel.core.order.leaves import area_leaf, area_times_depth, thin_leaf, volume_unit
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import format_volume, say_depth
from humble_trowel.core.working import Working, work

SHOWN = 400


@dataclass(frozen=True)
class LayerView:
    """shots: as drawn (the worst 400 where there are more). summary: the sentence under the plan. allowed: tolerance
    in words. extra: concrete if nothing is done; trimmed: if the highs are raked off and the lows left."""

    layer: str
    count: int
    shots: list[RodShot]
    bands: list[Band]
    rakes: list[Rake]
    enough: Enough
    allowed: str
    verdict: str
    summary: str
    problem: str
    flat: bool
    mean_mm: float
    high_mm: float
    low_mm: float
    cut_m3: float
    fill_m3: float
    extra: Working | None
    trimmed_text: str
    in_doubt: int


def layer_view(taken: LayerShots, plan: Plan, ways: JobWays) -> LayerView:
    """The view of shots on one layer."""
    drawn = contours(taken, ways)
    places = rakes(taken, drawn, plan) if taken.surface else []
    settled = enough(taken, plan, ways)
    out = [shot for shot in taken.shots if shot.verdict != "inside"]
    allowed = f"Allowed: {say_depth(ways.ground.high_mm, plan.units)} high to {say_depth(ways.ground.low_mm, plan.units)} low."
    shown = taken.shots if len(taken.shots) <= SHOWN else sorted(taken.shots, key=lambda s: -abs(s.off_mm))[:SHOWN]
    shown = [replace(shot, off_text=_off_text(shot.off_mm, plan)) for shot in shown]
    doubt = sum(shot.doubt for shot in taken.shots)
    flat = bool(taken.shots) and not out and settled.enough and not doubt
    whole = taken.whole
    unit, _ = volume_unit(plan)
    return LayerView(
        layer=taken.layer, count=len(taken.shots), shots=shown, bands=bands(drawn, plan.units), rakes=places,
        enough=settled, allowed=allowed, verdict=_verdict(taken, plan, out, doubt, settled),
        summary=_summary(taken, plan, out), problem=taken.problem, flat=flat, mean_mm=whole.mean_mm,
        high_mm=whole.high_mm, low_mm=whole.low_mm, cut_m3=whole.cut_m3, fill_m3=whole.fill_m3,
        extra=_extra(taken, plan) if taken.surface else None,
        trimmed_text=f"{format_volume(whole.fill_m3, plan.units)} {unit}", in_doubt=doubt,
    )  # fmt: skip


def _off_text(off_mm: float, plan: Plan) -> str:
    size = say_depth(abs(off_mm), plan.units)
    return "on" if size in ("0″", "0 mm") else size


def _verdict(taken: LayerShots, plan: Plan, out: list[RodShot], doubt: int, settled: Enough) -> str:
    if not taken.shots:
        return "Not shot yet."
    if doubt:
        return f"{doubt} of {len(taken.shots)} shots in doubt: their set-up moved."
    if out:
        worst = max(out, key=lambda shot: abs(shot.off_mm))
        return f"Not flat. {say_depth(abs(worst.off_mm), plan.units)} {worst.verdict} at {worst.name}."
    return "Flat, as far as it was shot." if not settled.enough else "Flat."


def _summary(taken: LayerShots, plan: Plan, out: list[RodShot]) -> str:
    n = len(taken.shots)
    if not n:
        return "No shots on this layer yet."
    high = sum(shot.verdict == "high" for shot in out)
    said = f"{n} shot: {n - len(out)} inside, {len(out) - high} low, {high} high."
    if taken.surface is None:
        return f"{said} {taken.problem}"
    unit, _ = volume_unit(plan)
    mean, extra = taken.whole.mean_mm, taken.whole.fill_m3 - taken.whole.cut_m3
    size = say_depth(abs(mean), plan.units)
    way = "on grade" if size in ("0″", "0 mm") else f"{size} {'high' if mean > 0 else 'low'}"
    return f"{said} On average {way}, which is {format_volume(abs(extra), plan.units)} {unit} {'more' if extra >= 0 else 'less'} concrete."


def _extra(taken: LayerShots, plan: Plan) -> Working:
    unit, _ = volume_unit(plan)
    low = "Mean error, low is more concrete"
    inputs = {
        "area": area_leaf("Ground where this layer is", taken.whole.area_m2, plan, "lines"),
        "low": thin_leaf(low, -taken.whole.mean_mm, plan, "ground/shots", "shot"),
    }
    return work("Concrete if nothing is done", unit, area_times_depth(plan, "area", "low"), inputs, source="shot")
