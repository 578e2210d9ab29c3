"""Doubts about the pour as it is planned."""

from __future__ import annotations

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.pour_sim.told import DeliveryTold


def pour_doubts(plan: Plan, told: DeliveryTold | None) -> list[Finding]:
    """Loads that are too old, edges that are, floor that is finished late, a pour longer than the day."""
    if told is None:
        return []
    rows: list[Finding] = []
    old = [truck for truck in told.trucks if truck.old]
    if old:
        worst = max(old, key=lambda one: one.age_min)
        words = f"Truck {worst.n} is {worst.age_min:.0f} minutes old when its last is out; {told.load_limit_min:.0f} is the limit."
        rows.append(finding("load-old", "order.spacing_min", words, "Space them wider, send smaller loads, or place faster.", "discharge"))  # fmt: skip
    if told.joint.age_min > told.joint.limit_min:
        words = f"Load {told.joint.newer} meets load {told.joint.older} at {told.joint.age_min:.0f} minutes; about {told.joint.limit_min:.0f} is too old."
        rows.append(finding("joint-cold", "order.spacing_min", words, "Closer trucks, shorter strips, or a retarder: ask the plant.", "cold-joint"))  # fmt: skip
    if told.late_m2 > 0.5:
        words = "Floats do not keep up: some floor sets before it is finished."
        rows.append(
            finding("finish-late", "ways.pour", words, "One more finisher, or trucks farther apart.", "set-clock")
        )
    if told.crew_h > told.day_h:
        words = f"The pour takes {told.crew_h:.1f} hours, the crew's day is {told.day_h:g}."
        rows.append(
            finding("pour-long", "order.spacing_min", words, "Split it in two days, or bring more hands.", "ways")
        )
    return rows
