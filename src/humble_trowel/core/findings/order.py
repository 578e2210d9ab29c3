"""Every doubt of the order and the file."""

from __future__ import annotations

from humble_trowel.core.findings.kind import FindingKind

KINDS = (
    FindingKind("ways-disagree", "stop", "the two ways of counting differ by more than 0.1 %", "order", ()),
    FindingKind(
        "last-load-short", "check", "the last truck carries less than the plant's short-load threshold", "order", ()
    ),
    FindingKind("truck-unknown", "check", "the truck size is a house default that nobody has confirmed", "order", ()),
    FindingKind(
        "cannot-compute", "stop", "a fault of the program in one part of the answer; the rest stands", "order", ()
    ),
    FindingKind("record-unread", "check", "a record of the site cannot be read and counts for nothing", "order", ()),
    FindingKind(
        "not-counted-yet",
        "check",
        "the file says something whose stage is not built yet, so nothing of it counts",
        "order",
        (),
    ),
)
