"""Where a spot stands, as it would be called."""

from __future__ import annotations

from humble_trowel.core.calls.call_outs import XY, call_of
from humble_trowel.core.plan.document import Plan, corner_name


def place_words(plan: Plan, spot: XY) -> str:
    """Where a spot stands, from corner A: '9 ft e, 9 ft n of A'."""
    a = (plan.outline or [(0.0, 0.0)])[0]
    said = call_of(spot[0] - a[0], spot[1] - a[1], plan.units).replace(" &", ",")
    return f"at {corner_name(0)}" if said == "0" else f"{said} of {corner_name(0)}"
