"""Rules of what sticks up in the book, with their calculators. Lengths come in mm."""

from __future__ import annotations

from collections.abc import Mapping

from humble_trowel.core.embeds.bolts import BoltRules, bolts_of
from humble_trowel.core.embeds.plates import Run
from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.rules.book_row import Rule, long_ask, thin_ask
from humble_trowel.core.units import Units, say_depth, say_length
from humble_trowel.core.working import Working, leaf

GRID_MM = 3.175


def _bolts(values: Mapping[str, float], units: Units, ways: Ways) -> list[Working]:
    own = ways.embeds
    rules = BoltRules(
        values["apart"], own.end_min_mm, own.end_max_mm, own.clear_mm, GRID_MM, end_like_mm=own.end_like_mm
    )
    (row,) = bolts_of(Run(values["long"]), rules) or [None]
    if row is None:
        raise InputError("That stub cannot take two bolts. Strap it, or join it to the next piece.", "long")
    at = ", ".join(say_length(mm, units) for mm in row)
    return [leaf("Bolts", float(len(row)), "", f"{len(row)}: at {at}", "bolt-spacing")]


def _stick(values: Mapping[str, float], units: Units, ways: Ways) -> list[Working]:
    own = ways.embeds
    total = values["plate"] + own.washer_mm + own.nut_mm + own.past_mm
    return [leaf("Sticks up", total, "mm", f"{say_depth(total, units)}: plate, washer, nut and thread past it", "ways")]


EMBED_RULES = (
    Rule("embeds/bolts", "Bolts of a piece of plate", "The fewest that keep the widest gap and both ends; then the most even.", "max(2, 1 + ceil((long − 2 × end) ÷ apart))", "bolt-spacing",
         asks=(long_ask("long", "Piece of plate", "16'", "4800"), long_ask("apart", "No farther apart than", "6'", "1800")), work_out=_bolts),
    Rule("embeds/ends", "Ends of a piece", "One bolt within a foot of each end, no nearer than seven diameters.", "7 d ≤ from the end ≤ 12 in", "bolt-ends"),
    Rule("embeds/two", "Two a piece", "However short, a piece of plate has two bolts; what is too short is strapped or joined.", "2 at least", "bolt-two"),
    Rule("embeds/clear", "Clear of studs", "A washer needs room: half of a stud and half of a washer.", "stud ÷ 2 + washer ÷ 2", "bolt-clear"),
    Rule("embeds/deep", "How deep a bolt goes", "Seven inches for half-inch bolts, with concrete under it; then what stands over the plate.", "plate + washer + nut + thread", "bolt-embed",
         asks=(thin_ask("plate", "Plate, thick", '1 1/2"', "38"),), work_out=_stick),
    Rule("embeds/past", "A plate past its bearing", "Over foam that faces the edge the plate stands out; a third of it may.", "past ≤ plate ÷ 3", "plate-bearing"),
    Rule("embeds/straps", "Straps at corners", "Two at each outside corner, where walls are pulled up and apart.", "2 a corner", "corner-straps"),
)  # fmt: skip
