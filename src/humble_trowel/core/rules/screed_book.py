"""Rules of strips in the book, with their calculators. Lengths come in mm."""

from __future__ import annotations

from collections.abc import Mapping

from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.rules.book_row import Rule, long_ask, number_ask
from humble_trowel.core.screed.doubts import hired_mm
from humble_trowel.core.screed.struck import verdict
from humble_trowel.core.units import Units, say_length
from humble_trowel.core.working import Working, leaf


def _board(values: Mapping[str, float], units: Units, ways: Ways) -> list[Working]:
    own = ways.screed
    needed = values["wide"] + own.on_form_mm + own.on_wet_mm
    return [
        leaf("From form to wet pad", needed, "mm", say_length(needed, units), "strip-board"),
        leaf("From wet pad to wet pad", needed - own.on_form_mm + own.on_wet_mm, "mm", say_length(needed - own.on_form_mm + own.on_wet_mm, units), "strip-board"),
        leaf("The next that is sold", hired_mm(needed, units), "mm", say_length(hired_mm(needed, units), units), "strip-board"),
    ]  # fmt: skip


def _pad(values: Mapping[str, float], units: Units, ways: Ways) -> list[Working]:
    off = values["should"] - values["read"]
    return [leaf("The pad is", off, "mm", verdict(off, ways.screed.pad_high_mm)[0], "strip-pads")]


def _age(values: Mapping[str, float], units: Units, ways: Ways) -> list[Working]:
    minutes = 60.0 * values["area"] * 0.0929 / ways.screed.rate_m2_h
    return [leaf("Such a strip takes", minutes, "min", f"{minutes:.0f} min", "strip-late")]


SCREED_RULES = (
    Rule("screed/board", "How long a board", "Its strip, three inches on a form, six on a wet pad, a foot on a fresh edge.", "wide + what lies on either side", "strip-board",
         (("on", "a board lies"), ("form or rail", "3 in"), ("wet pad", "6 in"), ("fresh edge", "12 in")), asks=(long_ask("wide", "Strip", "12'", "3600"),), work_out=_board),
    Rule("screed/pads", "Pads", "At both ends, and a foot closer than the longest board; a hair high, never low.", "0 to 1/8 in high", "strip-pads",
         asks=(long_ask("should", "Rod should read", "4' 4 1/4", "1327"), long_ask("read", "Rod reads", "4' 4 3/16", "1325")), work_out=_pad),
    Rule("screed/trapped", "Nobody walled in", "Whoever pulls the board ends on ground, a plank, or outside.", "", "strip-trap"),
    Rule("screed/neighbours", "Neighbours meet in time", "A fresh edge knits for an hour or two, less in heat.", "area ÷ rate ≤ limit", "strip-late", asks=(number_ask("area", "Square feet", "160"),), work_out=_age),
    Rule("screed/reach", "What a chute reaches", "Sixteen to eighteen feet from where the truck stands.", "", "strip-reach"),
    Rule("screed/arm", "Out of arm's reach", "Six feet from the edge; beyond that kneeling boards or a plank.", "", "strip-arm"),
    Rule("screed/pull", "What comes out", "Rails, stakes and pegs come out before it sets, their holes filled from fresh concrete.", "", "strip-pull"),
)  # fmt: skip
