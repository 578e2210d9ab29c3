"""Every doubt of strips, pads and joints."""

from __future__ import annotations

from humble_trowel.core.findings.kind import FindingKind

KINDS = (
    FindingKind("strip-board", "check", "no board on the truck does a strip", "screed", ("strips",), False),
    FindingKind("strip-clear", "check", "a board does not pass between walls", "screed", ("strips",), False),
    FindingKind("strip-guide", "check", "a strip cannot be pulled in one", "screed", ("strips",), False),
    FindingKind("strip-cover", "check", "the strips are not the slab", "screed", ("strips",), False),
    FindingKind("strip-arm", "note", "hand work lies out of arm's reach", "screed", ("strips",), False),
    FindingKind("strip-new", "note", "a part of the slab came since the strips were laid", "screed", ("strips",), False),
    FindingKind("guides-pull", "note", "rails, stakes or pegs come out as the strip goes", "screed", ("pads",), False),
    FindingKind("pad-off", "check", "a pad is too high or too low", "screed", ("pads",), False),
    FindingKind("pad-stray", "note", "a pad was struck where none is now", "screed", ("pads",), False),
    FindingKind("pad-lost", "note", "a pad line lies outside the slab", "screed", ("strips",), False),
    FindingKind("strip-trap", "check", "a strip walls somebody in", "screed", ("order",), False),
    FindingKind("strip-late", "check", "neighbours meet too late", "screed", ("order",), False),
    FindingKind("strip-reach", "check", "concrete does not reach a strip", "screed", ("order",), False),
    FindingKind("form-back", "note", "a form that is left out for the truck goes back", "screed", ("order",), False),
    FindingKind("joint-missing", "check", "no joint goes through an inside corner", "screed", ("joints",), False),
    FindingKind("joint-long", "check", "panels are longer than the limit", "screed", ("joints",), False),
    FindingKind("joint-shape", "check", "panels are not near square", "screed", ("joints",), False),
    FindingKind("joint-bent", "check", "a panel turns round a corner", "screed", ("joints",), False),
    FindingKind("joint-ends", "check", "a joint ends inside a panel", "screed", ("joints",), False),
    FindingKind("joint-sliver", "check", "a panel is too narrow", "screed", ("joints",), False),
    FindingKind("joint-tube", "stop", "a cut would reach the tube", "screed", ("joints",), False),
    FindingKind("joint-bar", "note", "a cut would reach bars that lie high", "screed", ("joints",), False),
)  # fmt: skip
