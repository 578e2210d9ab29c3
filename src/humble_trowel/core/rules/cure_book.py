"""Rules of the weeks after the pour in the book."""

from __future__ import annotations

from humble_trowel.core.rules.book_row import Rule

CURE_RULES = (
    Rule("cure/frost", "No frost while it is young", "500 psi before the first ice; in cold weather kept at 55 °F for three days.", "", "cure-frost"),
    Rule("cure/wet", "Kept from drying", "Water, sheets, blankets or compound until it is strong enough to do without.", "", "cure-wet"),
    Rule("cure/flat", "How flat it is", "A shot between two others under a straightedge of ten feet: how far off the line it lies.", "", "cure-flat",
         (("class", "nine in ten", "all"), ("flat", "1/4 in", "3/8 in"), ("moderately flat", "3/8 in", "5/8 in"), ("conventional", "1/2 in", "3/4 in"))),
)  # fmt: skip
