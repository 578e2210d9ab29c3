"""Every doubt of the day of the pour."""

from __future__ import annotations

from humble_trowel.core.findings.kind import FindingKind

TICKETS, LEFT, NOW = ("tickets",), ("left",), ("now",)
KINDS = (
    FindingKind("ticket-old", "check", "a load is older than it may be", "pour", TICKETS, False),
    FindingKind("ticket-slump", "check", "a load is wetter or stiffer than it may be", "pour", TICKETS, False),
    FindingKind("ticket-warm", "check", "a load is warmer or colder than it may be", "pour", TICKETS, False),
    FindingKind("ticket-mix", "check", "a load is not the mix that was ordered", "pour", TICKETS, False),
    FindingKind("ticket-air", "check", "a load's air is not what was ordered", "pour", TICKETS, False),
    FindingKind("ticket-water", "check", "more water was added to a load than it may take", "pour", TICKETS, False),
    FindingKind("ticket-twice", "check", "two loads look like one ticket", "pour", TICKETS, False),
    FindingKind("ticket-early", "note", "a load came well before the first truck should stand there", "pour", TICKETS, False),
    FindingKind("truck-charge", "note", "a truck stands longer than is free", "pour", TICKETS, False),
    FindingKind("front-back", "check", "the front was said to lie behind where it was before", "pour", LEFT, False),
    FindingKind("front-two", "check", "two people tapped different fronts at one time", "pour", LEFT, False),
    FindingKind("say-last", "check", "the last truck should have been said", "pour", LEFT, False),
    FindingKind("call-read-back", "check", "the plant read the last truck back otherwise than it was said", "pour", LEFT, False),
    FindingKind("call-lost", "check", "the plant knows nothing of the last truck", "pour", LEFT, False),
    FindingKind("plant-down", "check", "the plant is down, and the last truck does not come", "pour", LEFT, False),
    FindingKind("plant-late", "check", "the last truck comes later than the plant said", "pour", LEFT, False),
    FindingKind("saw-late", "check", "joints should have been sawn by now", "pour", ("finish",), False),
    FindingKind("gauge-falls", "check", "what is under pressure in the slab loses it", "pour", NOW, False),
    FindingKind("edge-old", "check", "an edge grows too old before its neighbour comes", "pour", NOW, False),
)  # fmt: skip
