"""Every doubt of the order and the file."""

from __future__ import annotations

from humble_trowel.core.findings.kind import FindingKind

KINDS = (
    FindingKind("ways-disagree", "stop", "the two ways of counting differ by more than 0.1 %", "order", ()),
    FindingKind(
        "last-load-short", "check", "the last truck carries less than the plant's short-load threshold", "order", ()
    ),
    FindingKind(
        "truck-unknown",
        "check",
        "the truck size is a house default that nobody has confirmed",
        "order",
        ("sure", "trucks", "cost"),
    ),
    FindingKind(
        "cannot-compute", "stop", "a fault of the program in one part of the answer; the rest stands", "order", ()
    ),
    FindingKind("record-unread", "check", "a record of the site cannot be read and counts for nothing", "order", ()),
    FindingKind("order-under-drawn", "check", "less is ordered than is drawn", "order", ("sure",)),
    FindingKind("order-short", "check", "five or more of twenty pours run short at this order", "order", ("sure",)),
    FindingKind("truck-under-least", "check", "a truck carries less than the plant's least load", "order", ("sure",)),
    FindingKind(
        "concrete-unpriced",
        "check",
        "concrete costs nothing, so short and long cannot be weighed",
        "order",
        ("sure", "cost"),
        False,
    ),
    FindingKind(
        "load-old", "check", "a load is older than the limit when its last is out", "order", ("trucks",), False
    ),
    FindingKind("joint-cold", "check", "an edge is too old when its neighbour comes", "order", ("trucks",), False),
    FindingKind("finish-late", "check", "floor sets before it is finished", "order", ("trucks",), False),
    FindingKind("pour-long", "check", "the pour is longer than the crew's day", "order", ("trucks",), False),
    FindingKind(
        "mix-clash",
        "check",
        "two rules pull apart on a line of the mix, and nobody settled it",
        "order",
        ("mix",),
        False,
    ),
    FindingKind("mix-line", "check", "a line of the mix breaks a rule", "order", ("mix",), False),
    FindingKind("mix-heat", "check", "the mix comes too warm or too cold", "order", ("mix",), False),
    FindingKind("order-scope", "check", "the plan or the order changed since the plant was called", "order", ("call",)),
)
