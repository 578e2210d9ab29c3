"""Every doubt of what is buried."""

from __future__ import annotations

from humble_trowel.core.findings.kind import FindingKind

KINDS = (
    FindingKind("pipe-in-slab", "check", "a pipe lies up in the slab", "underslab", ("services", "clashes")),
    FindingKind("pipe-in-foam", "check", "a pipe lies up in the foam", "underslab", ("services", "clashes"), False),
    FindingKind(
        "run-lengthwise", "check", "a run lies in a beam or an edge along it", "underslab", ("services", "clashes")
    ),
    FindingKind("runs-cross", "check", "two runs are in each other's way", "underslab", ("services", "clashes"), False),
    FindingKind("drain-flat", "check", "a drain falls too little", "underslab", ("services", "clashes"), False),
    FindingKind("drain-sharp", "check", "a drain turns back on itself", "underslab", ("services", "clashes"), False),
    FindingKind(
        "sleeve-small", "check", "a sleeve is too small for its pipe", "underslab", ("services", "clashes"), False
    ),
    FindingKind("riser-in-door", "check", "a riser comes up in a doorway", "underslab", ("services", "clashes"), False),
    FindingKind(
        "riser-outside", "check", "a riser stands outside of the slab", "underslab", ("services", "clashes"), False
    ),
    FindingKind("riser-off", "check", "a riser stands too far from its place", "underslab", ("check",), False),
    FindingKind("service-guessed", "note", "depth or fall of a run was guessed", "underslab", ("services",), False),
    FindingKind(
        "test-air", "check", "a drain's high end has no riser: air stays there", "underslab", ("tests",), False
    ),
    FindingKind("test-failed", "check", "a line did not hold its test", "underslab", ("tests",), False),
    FindingKind("test-short", "check", "a test began too low or ended too soon", "underslab", ("tests",), False),
    FindingKind("test-old", "check", "a line has changed since its test", "underslab", ("tests",), False),
    FindingKind("barrier-roll", "check", "a roll no wider than its lap", "underslab", ("barrier",), False),
    FindingKind("barrier-lap", "check", "sheets of barrier lap too little", "underslab", ("barrier",), False),
    FindingKind(
        "barrier-open", "note", "a sheet stays open and not all is said of it", "underslab", ("barrier",), False
    ),
    FindingKind(
        "treatment-open", "note", "a treatment that the site asks for is not done", "underslab", ("barrier",), False
    ),
    FindingKind("foam-thin", "check", "foam insulates less than the energy code asks", "underslab", ("foam",), False),
    FindingKind("foam-load", "check", "foam carries less than stands on it", "underslab", ("foam",), False),
    FindingKind("tube-saw", "check", "tube that a saw cut would reach", "underslab", ("tubing", "clashes"), False),
    FindingKind("tube-room", "check", "a heated room of which no floor is left", "underslab", ("tubing",), False),
    FindingKind("tube-manifold", "check", "heated rooms without a manifold", "underslab", ("tubing",), False),
    FindingKind("tube-far", "check", "loops begin far from the manifold", "underslab", ("tubing",), False),
    FindingKind("tube-long", "check", "a loop longer than its size carries", "underslab", ("tubing",), False),
    FindingKind("tube-missed", "check", "a heated room that no loop reaches", "underslab", ("tubing",), False),
    FindingKind("tube-bend", "check", "turns tighter than the tube bends", "underslab", ("tubing",), False),
)
