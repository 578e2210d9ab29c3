"""Every doubt of lines and squaring."""

from __future__ import annotations

from humble_trowel.core.findings.kind import FindingKind

KINDS = (
    FindingKind("walk-open", "check", "a typed walk does not close yet", "lines", ("walk",)),
    FindingKind(
        "ground-not-set",
        "note",
        "the ground outside a formed side is not set, so its whole edge counts as formed",
        "lines",
        ("forms",),
        False,
    ),
    FindingKind("ground-high", "check", "the ground outside comes up to the slab's top", "lines", ("forms",), False),
    FindingKind(
        "no-board-fits",
        "stop",
        "no board, stack or panel of the kit is tall enough for a side",
        "lines",
        ("forms",),
        False,
    ),
    FindingKind("form-tall", "stop", "a form holds over 2 ft of fresh concrete", "lines", ("forms",), False),
    FindingKind("kicker-full", "check", "a kicker carries nearly all that one holds", "lines", ("forms",), False),
    FindingKind(
        "form-left-out", "check", "a form is left out for the truck and must be put back", "lines", ("forms",), False
    ),
    FindingKind("no-cut-plan", "check", "the stock cannot make the runs", "lines", ("boards",), False),
    FindingKind("nothing-drawn", "note", "no outline yet", "lines", ("walk",)),
)
