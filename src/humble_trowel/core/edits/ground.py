"""Edits of the ground stage: build-ups, benchmarks, what was there before, and how zones fall."""

from __future__ import annotations

import math
import re
from typing import Annotated, Any, Literal

from pydantic import Field, StrictBool, ValidationError

from humble_trowel.core.calls.places import place_words
from humble_trowel.core.edits.base import (
    BenchmarkId,
    EditBase,
    Edited,
    SideId,
    Spot,
    Title,
    Typed,
    TypeMark,
    ZoneId,
    ring_needed,
    side_at,
    with_row,
)
from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.geometry.bearing import point_of, rate_words
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ground_parts import LAYER_WORDS, Benchmark, BuildUp, GroundNotes, Layer, Space
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.levels import read_level, read_level_of
from humble_trowel.core.plan.shape_parts import DrainFall, Zone
from humble_trowel.core.units import parse_length, parse_strength, parse_volume, say_depth


class SetBuildUp(EditBase):
    """The whole stack of a slab type. layers: top to bottom, as Layer in the job file; thickness_mm and strength_kpa as
    typed (a bare number is inches, or mm)."""

    op: Literal["set_build_up"]
    slab: TypeMark
    heated: StrictBool = False
    space: Space | None = None
    layers: Annotated[list[dict[str, Any]], Field(min_length=1, max_length=20)]

    def apply(self, plan: Plan) -> Edited:
        if self.slab not in {row.mark for row in plan.slab_types}:
            raise EditError(f"There is no slab type {self.slab}.", "slab")
        rows = [_layer(plan, at, said) for at, said in enumerate(self.layers)]
        try:
            build = BuildUp(slab=self.slab, heated=self.heated, space=self.space, layers=rows)
        except ValueError as error:
            raise EditError(_first_words(error), "layers") from None
        others = [row for row in plan.build_ups if row.slab != self.slab]
        order = [row.mark for row in plan.slab_types]
        rows_of = sorted([*others, build], key=lambda row: order.index(row.slab) if row.slab in order else 99)
        return plan.model_copy(update={"build_ups": rows_of}), f"Build-up of {self.slab}: {_stack_words(build)}"


def _layer(plan: Plan, at: int, said: dict[str, Any]) -> Layer:
    data = dict(said)
    if data.get("thickness_mm") is not None:
        data["thickness_mm"] = parse_length(data["thickness_mm"], plan.units, bare="in")
    if isinstance(data.get("strength_kpa"), str):
        data["strength_kpa"] = _strength(data["strength_kpa"], plan) if data["strength_kpa"].strip() else None
    try:
        return Layer.model_validate(data, context={"units": plan.units})
    except ValueError as error:
        raise EditError(_first_words(error), f"layers[{at}]") from None


def _first_words(error: ValueError) -> str:
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


class RemoveBuildUp(EditBase):
    """Back to slab on native soil."""

    op: Literal["remove_build_up"]
    slab: TypeMark

    def apply(self, plan: Plan) -> Edited:
        left = [row for row in plan.build_ups if row.slab != self.slab]
        return plan.model_copy(update={"build_ups": left}), f"Build-up of {self.slab} taken out"


class SetBenchmark(EditBase):
    """A mark that stays. benchmark: null for a new one. level: '8 1/2 in below', 'floor', or mm."""

    op: Literal["set_benchmark"]
    benchmark: BenchmarkId | None = None
    name: Title
    level: Typed
    what: Literal["floor", "nail", "kerb", "cover", "other"] = "nail"
    at: Spot | None = None

    def apply(self, plan: Plan) -> Edited:
        rows = list(plan.ground.benchmarks)
        if not self.name.strip():
            raise EditError("Give the mark a name, like nail in the gatepost.", "name")
        mm, of = read_level_of(self.level, plan)
        row = Benchmark.model_validate(
            {
                "id": self.benchmark or "", "name": self.name.strip(), "level_mm": mm, "of": of,
                "what": self.what, "at": self.at,
            }
        )  # fmt: skip
        if self.benchmark is None:
            rows.append(row)
        else:
            rows[place_of(plan, "benchmarks", self.benchmark, "benchmark")] = row
        if sum(1 for one in rows if one.name.lower() == row.name.lower()) > 1:
            raise EditError(f"A benchmark is called {row.name} already.", "name")
        return _grounded(plan, benchmarks=rows), f"Benchmark {row.name} set"


class RemoveBenchmark(EditBase):
    """Take a benchmark off the list."""

    op: Literal["remove_benchmark"]
    benchmark: BenchmarkId

    def apply(self, plan: Plan) -> Edited:
        rows = list(plan.ground.benchmarks)
        gone = rows.pop(place_of(plan, "benchmarks", self.benchmark, "benchmark"))
        return _grounded(plan, benchmarks=rows), f"Benchmark {gone.name} taken off"


GROUND_NAMES = {
    "found_mm": "Ground before", "outside_is": "Ground outside", "strip_mm": "Strip", "bucket_mm": "Bucket",
    "on_hand_m3": "Stone on hand", "peg_spacing_mm": "Pegs",
}  # fmt: skip


class SetGround(EditBase):
    """Ground found, strip, bucket, stone on hand, peg spacing, as typed; null forgets one."""

    op: Literal["set_ground"]
    changes: dict[
        Literal["found_mm", "outside_is", "strip_mm", "bucket_mm", "on_hand_m3", "peg_spacing_mm"], Typed | None
    ]

    def apply(self, plan: Plan) -> Edited:
        update: dict[str, Any] = {}
        for key, said in self.changes.items():
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
        return _grounded(plan, **update), f"{' and '.join(GROUND_NAMES[key] for key in self.changes)} set"


def _grounded(plan: Plan, **update: Any) -> Plan:
    ground = GroundNotes.model_validate({**plan.ground.model_dump(), **update})
    return plan.model_copy(update={"ground": ground})


def read_rate(text: Typed, plan: Plan) -> float:
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


class SetFall(EditBase):
    """How a zone's top runs: none, toward a side or a bearing with rate ('1/8 in per ft', '1 %', '1 in 80'), or to a
    drain with at and depth; and its underside."""

    op: Literal["set_fall"]
    zone: ZoneId
    kind: Literal["none", "side", "bearing", "drain"]
    side: SideId | None = None
    toward_deg: Annotated[float, Field(ge=-360, le=360)] | None = None
    rate: Typed | None = None
    at: Spot | None = None
    depth: Typed | None = None
    underside: Literal["parallel", "level"] | None = None

    def apply(self, plan: Plan) -> Edited:
        place = place_of(plan, "zones", self.zone, "zone")
        zone = plan.zones[place]
        fall: dict[str, Any] | None = None
        if self.kind in ("side", "bearing"):
            toward = self.toward_deg if self.kind == "bearing" else _out_of(plan, self.side)
            fall = {"kind": "plane", "toward_deg": toward or 0.0, "rate": read_rate(self.rate or "", plan)}
        if self.kind == "drain":
            if self.at is None:
                raise EditError("Where is the drain? Press its place on the plan.", "at")
            depth_mm = parse_length(self.depth or "", plan.units, bare="in")
            fall = {"kind": "drain", "at": self.at, "depth_mm": depth_mm}
        under = self.underside or zone.underside
        new = Zone.model_validate({**zone.model_dump(), "fall": fall, "underside": under})
        return with_row(plan, "zones", place, new), f"{zone.name}: {self._words(plan, new)}, underside {under}"

    @staticmethod
    def _words(plan: Plan, zone: Zone) -> str:
        if zone.fall is None:
            return "level"
        if isinstance(zone.fall, DrainFall):
            return f"{say_depth(zone.fall.depth_mm, plan.units)} down at its drain, {place_words(plan, zone.fall.at)}"
        return f"falls {rate_words(zone.fall.rate, plan.units)} to the {point_of(zone.fall.toward_deg)}"


def _out_of(plan: Plan, side: str | None) -> float:
    """Bearing square out of a side of the outline, degrees clockwise from +y."""
    ring = ring_needed(plan)
    if side is None:
        raise EditError("Toward which side?", "side")
    (ax, ay), (bx, by) = side_of(ring, side_at(plan, side))
    return round(math.degrees(math.atan2(by - ay, -(bx - ax))) % 360, 6)


GROUND_EDITS = (SetBuildUp, RemoveBuildUp, SetBenchmark, RemoveBenchmark, SetGround, SetFall)
