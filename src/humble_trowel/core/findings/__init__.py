"""Doubts: what a finding is, every kind of them by stage, and how one is made."""

from __future__ import annotations

from collections.abc import Sequence

from humble_trowel.core.findings import cure, edges, embeds, gate, ground, lines, order, pour, screed, steel, underslab
from humble_trowel.core.findings.kind import Finding, FindingKind, Severity

__all__ = ["FINDING_KINDS", "KIND_OF", "Finding", "FindingKind", "Severity", "finding", "said_together"]

FINDING_KINDS = (
    *lines.KINDS,
    *ground.KINDS,
    *edges.KINDS,
    *underslab.KINDS,
    *steel.KINDS,
    *embeds.KINDS,
    *screed.KINDS,
    *order.KINDS,
    *gate.KINDS,
    *pour.KINDS,
    *cure.KINDS,
)
KIND_OF = {kind.code: kind for kind in FINDING_KINDS}
# A part that was clipped is shown where its list is.
TAB_OF_LIST = {
    "edges": "cut",
    "beams": "grid",
    "pads": "grid",
    "recesses": "top",
    "side_pads": "meets",
    "kerbs": "meets",
}


def said_together(names: Sequence[str]) -> str:
    """'a', 'a and b', 'a, b and c'."""
    return " and ".join(part for part in (", ".join(names[:-1]), names[-1]) if part)


def finding(code: str, where: str, words: str, remedy: str, source: str = "geometry") -> Finding:
    """A Finding as its kind in FINDING_KINDS says. Raises KeyError for an unlisted code."""
    kind = KIND_OF[code]
    tabs = kind.tabs
    if not tabs and kind.stage == "edges":
        tabs = tuple(tab for name, tab in TAB_OF_LIST.items() if where.startswith(name))
    return Finding(code, kind.severity, where, words, remedy, source, kind.stage, tabs, kind.changes_order)
