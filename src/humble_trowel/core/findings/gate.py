"""Every doubt of the gate: may we pour?"""

from __future__ import annotations

from humble_trowel.core.findings.kind import FindingKind

DAY = ("day",)
KINDS = (
    FindingKind("weather-short", "check", "the weather ends before the concrete has set", "gate", DAY, False),
    FindingKind("weather-usual", "note", "no forecast reaches the pour", "gate", DAY, False),
    FindingKind("drying-fast", "check", "fresh concrete dries faster than the limit of its mix", "gate", DAY, False),
    FindingKind("slab-freezes", "check", "ice comes before concrete is strong", "gate", DAY, False),
    FindingKind(
        "slab-may-freeze", "check", "ice comes before concrete is strong if it sets slowly", "gate", DAY, False
    ),
    FindingKind("saw-late", "check", "the slab cracks before a conventional saw may cut", "gate", DAY, False),
    FindingKind("no-place", "note", "latitude and longitude are not said, so no sun is counted", "gate", DAY, False),
    FindingKind("zone-guessed", "note", "the time zone is a guess", "gate", DAY, False),
    FindingKind("zone-unknown", "check", "the time zone does not exist", "gate", DAY, False),
)
