"""Every doubt of joints."""

from __future__ import annotations

from humble_trowel.core.findings.kind import FindingKind

KINDS = (
    FindingKind("joint-missing", "check", "no joint goes through an inside corner", "screed", ("joints",), False),
    FindingKind("joint-long", "check", "panels are longer than the limit", "screed", ("joints",), False),
    FindingKind("joint-shape", "check", "panels are not near square", "screed", ("joints",), False),
    FindingKind("joint-bent", "check", "a panel turns round a corner", "screed", ("joints",), False),
    FindingKind("joint-ends", "check", "a joint ends inside a panel", "screed", ("joints",), False),
    FindingKind("joint-sliver", "check", "a panel is too narrow", "screed", ("joints",), False),
    FindingKind("joint-tube", "stop", "a cut would reach the tube", "screed", ("joints",), False),
    FindingKind("joint-bar", "note", "a cut would reach bars that lie high", "screed", ("joints",), False),
)  # fmt: skip
