"""Every doubt of the weeks after the pour."""

from __future__ import annotations

from humble_trowel.core.findings.kind import FindingKind

STRENGTH, COVER, WORK = ("strength",), ("cover",), ("work",)
KINDS = (
    FindingKind("cure-freezes", "check", "a zone freezes before it is strong enough", "cure", STRENGTH, False),
    FindingKind("cure-cold", "check", "a cold night comes while it is young", "cure", COVER, False),
    FindingKind("cylinder-weak", "check", "cylinders are weaker than the mix should be", "cure", STRENGTH, False),
    FindingKind("probe-jumps", "note", "a probe jumped faster than concrete can", "cure", STRENGTH, False),
    FindingKind("probe-silent", "note", "a probe says nothing for hours", "cure", STRENGTH, False),
    FindingKind("round-missed", "check", "a round with water was missed", "cure", COVER, False),
    FindingKind("strip-early", "check", "boards came off before it was strong enough", "cure", WORK, False),
    FindingKind("lesson-odd", "note", "a job lies far from what the crew's ways expect", "cure", ("lessons",), False),
    FindingKind("floor-not-flat", "check", "the finished floor meets no class of flatness", "cure", WORK, False),
)  # fmt: skip
