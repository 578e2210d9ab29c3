"""Every doubt of what sticks up."""

from __future__ import annotations

from humble_trowel.core.findings.kind import FindingKind

KINDS = (
    FindingKind("wall-lost", "check", "a wall stands at a side that is gone", "embeds", ("walls",), False),
    FindingKind("plate-past", "check", "a plate stands too far past its bearing", "embeds", ("walls",), False),
    FindingKind("bolt-none", "check", "a piece of plate takes no bolts by the rules", "embeds", ("bolts", "walls"), False),
    FindingKind("bolt-rule", "check", "bolts break a rule", "embeds", ("bolts",), False),
    FindingKind("bolt-kept", "note", "a bolt stays against a rule, with a reason", "embeds", ("bolts",), False),
    FindingKind("bolt-bar", "note", "a bar lies along under bolts", "embeds", ("bolts",), False),
    FindingKind("bolt-tube", "stop", "a bolt would go into a tube", "embeds", ("bolts",), False),
    FindingKind("bolt-deep", "check", "bolts are longer than the concrete is deep", "embeds", ("bolts",), False),
    FindingKind("bolt-outside", "check", "bolts stand beside the concrete", "embeds", ("bolts",), False),
    FindingKind("strap-lost", "check", "a strap stands at a side that is gone", "embeds", ("straps",), False),
    FindingKind("bracket-thin", "check", "brackets of posts stand on the slab alone", "embeds", ("straps",), False),
    FindingKind("embed-not-set", "check", "something that sticks up could not be set", "embeds", ("setting",), False),
    FindingKind("embed-stray", "check", "a bolt was set where none stands now", "embeds", ("setting",), False),
)  # fmt: skip
