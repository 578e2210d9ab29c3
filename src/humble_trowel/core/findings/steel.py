"""Every doubt of steel."""

from __future__ import annotations

from humble_trowel.core.findings.kind import FindingKind

KINDS = (
    FindingKind(
        "cage-unused", "note", "a cage stands in the plan and no part has its type", "steel", ("cages",), False
    ),
    FindingKind(
        "cage-no-room", "stop", "cover leaves no room for bars in an edge, beam or pad", "steel", ("cages",), False
    ),
    FindingKind("stirrup-small", "check", "a stirrup is smaller than its own bends", "steel", ("cages",), False),
    FindingKind("bars-close", "check", "bars of a cage stand too close for the stone", "steel", ("cages",), False),
    FindingKind("sleeve-bites-bar", "check", "a sleeve passes where bars of a cage lie", "steel", ("cages",), False),
    FindingKind("bars-meet", "note", "long bars of two cages cross at one height", "steel", ("cages",), False),
    FindingKind(
        "mat-cover", "check", "bars of a slab have too little concrete over or under them", "steel", ("mat",), False
    ),
    FindingKind("mat-wide", "note", "bars stand farther apart than shrinkage asks", "steel", ("mat", "way"), False),
    FindingKind("steel-too-many", "stop", "a spacing makes far too many bars", "steel", ("mat", "way"), False),
    FindingKind(
        "steel-cannot", "check", "steel of a part cannot be laid as it is said", "steel", ("mat", "cages"), False
    ),
    FindingKind(
        "steel-short", "check", "steel was looked at, is short, and nobody mended it", "steel", ("look",), False
    ),
    FindingKind("key-lost", "check", "a keyed joint runs along a side that is gone", "steel", ("dowels",), False),
    FindingKind("key-thin", "check", "a key is too large for its slab", "steel", ("dowels",), False),
    FindingKind("dowels-lost", "check", "dowels stand at a side that is gone", "steel", ("dowels",), False),
    FindingKind("dowels-in-air", "check", "dowels at a side where nothing stands", "steel", ("dowels",), False),
)
