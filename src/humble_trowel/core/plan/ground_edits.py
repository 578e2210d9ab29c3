"""Edits of the ground stage: build-ups, benchmarks, what was there before, and how zones fall."""

from __future__ import annotations

import math
import re
from typing import Any

from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ground_parts import LAYER_WORDS, Benchmark, BuildUp, GroundNotes, Layer, Space
from humble_trowel.core.plan.levels_said import read_level, read_level_of
from humble_trowel.core.plan.outline_edits import Edited, ring_needed
from humble_trowel.core.plan.shape_parts import Zone
from humble_trowel.core.units import parse_length, parse_strength, parse_volume

Said = str | float


def set_build_up(
    plan: Plan, slab: str, heated: bool, layers: list[dict[str, Any]], space: Space | None = None
) -> Edited:
    """The whole stack of a slab type, top to bottom; thicknesses as typed (a bare number is inches, or mm)."""
    if slab not in {row.mark for row in plan.slab_types}:
        raise EditError(f"There is no slab type {slab}.", "slab")
    rows = []
    for at, said in enumerate(layers):
        data = dict(said)
        if data.get("thickness_mm") is not None:
            data["thickness_mm"] = parse_length(data["thickness_mm"], plan.units, bare="in")
        if isinstance(data.get("strength_kpa"), str):
            data["strength_kpa"] = _strength(data["strength_kpa"], plan) if data["strength_kpa"].strip() else None
        try:
            rows.append(Layer.model_validate(data, context={"units": plan.units}))
        except ValueError as error:
            raise EditError(_first_words(error), f"layers[{at}]") from None
    try:
        build = BuildUp(slab=slab, heated=heated, space=space, layers=rows)
    except ValueError as error:
        raise EditError(_first_words(error), "layers") from None
    others = [row for row in plan.build_ups if row.slab != slab]
    order = [row.mark for row in plan.slab_types]
    rows_of = sorted([*others, build], key=lambda row: order.index(row.slab) if row.slab in order else 99)
    return plan.model_copy(update={"build_ups": rows_of}), f"Build-up of {slab}: {_stack_words(build)}"


def _first_words(error: ValueError) -> str:
    from pydantic import ValidationError

    if not isinstance(error, ValidationError):
        return str(error)
    words = error.errors()[0]["msg"].removeprefix("Value error, ")
    return (
        re.sub(r"^(layers|thickness_mm): ", "", words)[:1].upper() + re.sub(r"^(layers|thickness_mm): ", "", words)[1:]
    )


def _strength(text: str, plan: Plan) -> float:
    """Foam: '25 psi', '170 kPa'; a bare number is psi in a ft-in job, kPa in a mm job."""
    clean = text.strip().lower()
    if clean.endswith("kpa"):
        clean, unit = clean.removesuffix("kpa").strip(), "kpa"
    else:
        unit = "kpa" if plan.units == "mm" and not clean.endswith("psi") else "psi"
    if unit == "kpa":
        try:
            return float(clean)
        except ValueError:
            raise EditError(f"Cannot read {text} as a strength. Say it like 25 psi or 170 kPa.", "strength") from None
    return parse_strength(clean, "ft-in") * 1000


def _stack_words(build: BuildUp) -> str:
    return ", ".join(LAYER_WORDS[layer.kind] for layer in build.layers if layer.kind != "native")


def remove_build_up(plan: Plan, slab: str) -> Edited:
    """Back to slab on native soil."""
    left = [row for row in plan.build_ups if row.slab != slab]
    return plan.model_copy(update={"build_ups": left}), f"Build-up of {slab} taken out"


def set_benchmark(
    plan: Plan, index: int | None, name: str, level: Said, what: str, at: tuple[float, float] | None
) -> Edited:
    """A mark that stays: a new one, or changed. level: as read_level reads it."""
    rows = list(plan.ground.benchmarks)
    if not name.strip():
        raise EditError("Give the mark a name, like nail in the gatepost.", "name")
    mm, of = read_level_of(level, plan)
    row = Benchmark.model_validate({"name": name.strip(), "level_mm": mm, "of": of, "what": what, "at": at})
    if index is None:
        rows.append(row)
    elif index < len(rows):
        rows[index] = row
    else:
        raise EditError(f"There are {len(rows)} benchmarks.", "index")
    if sum(1 for one in rows if one.name.lower() == row.name.lower()) > 1:
        raise EditError(f"A benchmark is called {row.name} already.", "name")
    return _grounded(plan, benchmarks=rows), f"Benchmark {row.name} set"


def remove_benchmark(plan: Plan, index: int) -> Edited:
    """Take a benchmark off the list."""
    rows = list(plan.ground.benchmarks)
    if index >= len(rows):
        raise EditError(f"There are {len(rows)} benchmarks.", "index")
    gone = rows.pop(index)
    return _grounded(plan, benchmarks=rows), f"Benchmark {gone.name} taken off"


def set_ground(plan: Plan, changes: dict[str, Any]) -> Edited:
    """Ground found, strip, bucket, stone on hand, peg spacing; null forgets one."""
    update: dict[str, Any] = {}
    for key, said in changes.items():
        if said is None or (isinstance(said, str) and not said.strip()):
            update[key] = 0.0 if key == "on_hand_m3" else None
        elif key == "found_mm":
            update[key] = read_level(said, plan, key)
        elif key == "outside_is":
            if said not in ("undisturbed", "fill"):
                raise EditError("Say undisturbed or fill.", key)
            update[key] = said
        elif key == "on_hand_m3":
            update[key] = parse_volume(said, plan.units)
        else:
            update[key] = parse_length(said, plan.units, bare="in")
    names = {
        "found_mm": "Ground before",
        "outside_is": "Ground outside",
        "strip_mm": "Strip",
        "bucket_mm": "Bucket",
        "on_hand_m3": "Stone on hand",
        "peg_spacing_mm": "Pegs",
    }
    return _grounded(plan, **update), f"{' and '.join(names[key] for key in changes)} set"


def _grounded(plan: Plan, **update: Any) -> Plan:
    ground = GroundNotes.model_validate({**plan.ground.model_dump(), **update})
    return plan.model_copy(update={"ground": ground})


def read_rate(text: Said, plan: Plan) -> float:
    """A fall: '1/8 in per ft', '1 %', '1 in 80', '1:80', '10 mm per m'; a bare number is inches per foot or percent."""
    if isinstance(text, int | float):
        return float(text)
    clean = text.strip().lower().replace("′", "'").replace("″", '"')
    ratio = re.fullmatch(r"1\s*(?:in|:)\s*(\d+(?:\.\d+)?)", clean)
    if ratio and float(ratio[1]) > 0:
        return 1 / float(ratio[1])
    percent = re.fullmatch(r"(\d+(?:\.\d+)?)\s*(?:%|percent)", clean)
    if percent:
        return float(percent[1]) / 100
    per = re.fullmatch(r"(.+?)\s*(?:per|/|a|in a)\s*(ft|foot|m|metre)", clean)
    if per:
        return parse_length(per[1], plan.units, bare="in") / (304.8 if per[2].startswith("f") else 1000.0)
    if plan.units == "mm" and re.fullmatch(r"\d+(?:\.\d+)?", clean):
        return float(clean) / 100
    if plan.units == "ft-in":
        return parse_length(clean, plan.units, bare="in") / 304.8
    raise CallError(
        f"Cannot read {text.strip() or 'nothing'} as a fall. Say it like 1/8 in per ft, 1 % or 1 in 80.", path="rate"
    )


def set_fall(plan: Plan, index: int, kind: str, said: dict[str, Any]) -> Edited:
    """How a zone's top runs: none, toward a side, toward a bearing, or to a drain; and its underside.

    said: side or toward_deg with rate; at with depth; underside."""
    if index >= len(plan.zones):
        raise EditError(f"There is no zone {index + 1}.", "index")
    zone = plan.zones[index]
    fall: dict[str, Any] | None = None
    if kind in ("side", "bearing"):
        toward = said.get("toward_deg") if kind == "bearing" else _out_of(plan, said.get("side"))
        fall = {"kind": "plane", "toward_deg": toward or 0.0, "rate": read_rate(said.get("rate") or "", plan)}
    if kind == "drain":
        if said.get("at") is None:
            raise EditError("Where is the drain? Press its place on the plan.", "at")
        depth = parse_length(said.get("depth") or "", plan.units, bare="in")
        fall = {"kind": "drain", "at": said["at"], "depth_mm": depth}
    under = said.get("underside") or zone.underside
    new = Zone.model_validate({**zone.model_dump(), "fall": fall, "underside": under})
    words = {"none": "level", "side": "falls", "bearing": "falls", "drain": "falls to its drain"}[kind]
    zones = [new if at == index else row for at, row in enumerate(plan.zones)]
    return plan.model_copy(update={"zones": zones}), f"{zone.name}: {words}, underside {under}"


def _out_of(plan: Plan, side: int | None) -> float:
    """Bearing square out of a side of the outline, degrees clockwise from +y."""
    ring = ring_needed(plan)
    if side is None or side >= len(ring):
        raise EditError("Toward which side?", "side")
    (ax, ay), (bx, by) = ring[side], ring[(side + 1) % len(ring)]
    return round(math.degrees(math.atan2(by - ay, -(bx - ax))) % 360, 6)
