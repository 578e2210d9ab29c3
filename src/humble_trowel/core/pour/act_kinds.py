"""What an act is by its kind: how it is said done, what waiting costs, why it cannot be done and what follows from that."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass


@dataclass(frozen=True)
class Reason:
    """Why an act cannot be done, and what follows."""

    key: str
    words: str
    follows: str


@dataclass(frozen=True)
class ActKind:
    """done: the press that says so. waits: it can wait a little. cost: what waiting costs. says: a record that says it done by itself, '' for none.
    caution: what can hurt there."""

    done: str
    waits: bool
    cost: str
    reasons: tuple[Reason, ...]
    says: str = ""
    caution: str = ""


def _why(*rows: tuple[str, str, str]) -> tuple[Reason, ...]:
    return tuple(Reason(*row) for row in rows)


ACT_KINDS: Mapping[str, ActKind] = {
    "truck": ActKind("Here", False, "Its free minutes and its age run.", _why(
        ("late", "not here yet", "Ring the plant; the edge that waits is vibrated, or the pour stops at a joint."),
        ("stuck", "cannot get in", "Barrow or pump from where it stands; its clock runs."),
    ), "ticket", "One spotter, agreed signals; nobody behind a truck that backs."),
    "edges": ActKind("Full", False, "Forms take their load with nobody watching.", _why(
        ("blowout", "a form gives way", "Stop the chute there, brace it from outside, fill elsewhere meanwhile."),
        ("water", "water in the trench", "Pump it out first; concrete never goes into standing water."),
    ), "front", "Wet concrete burns: gloves, boots, eyes."),
    "mesh": ActKind("Up", False, "Mesh that lies on the ground holds nothing.", _why(
        ("deep", "too deep in already", "Lift what can be lifted at the front; write down where it stays, the engineer may ask."),
    )),
    "strike": ActKind("Struck", False, "It stiffens under the board.", _why(
        ("short", "no concrete", "Say how late the truck is; keep the edge wet and vibrate into it."),
        ("board", "the board does not reach", "Strike in two widths over a wet pad."),
    ), "front"),
    "set": ActKind("Set, all", False, "After initial set they are drilled.", _why(
        ("missing", "one is missing", "Mark the place; drilled and glued later as its maker says, where the engineer lets it."),
        ("stiff", "already too stiff", "Leave it: a bolt pushed late holds nothing. Drill, where the engineer lets it."),
        ("way", "steel or a pipe in the way", "Move it along within its end and spacing rules; Embeds says how far."),
    )),
    "string": ActKind("Straight", True, "A form that bows by then stays bowed.", _why(
        ("bows", "it bows", "Stop filling there, brace from outside, rake the head down; a kicker pulled back straight."),
    )),
    "gauge": ActKind("Read", True, "A leak under fresh concrete can still be dug out.", _why(
        ("falls", "it falls", "Find the wet spot now, while it can be dug; shut that loop off if it cannot."),
    ), "gauge"),
    "say": ActKind("Said it", False, "The crew stands.", _why(
        ("busy", "nobody answers", "Ring again and the next plant; the yards stay as they are here."),
        ("refused", "the plant has none", "Stop at a joint: Trouble says where; the rest is ordered for tomorrow."),
    ), "load_called"),
    "stop": ActKind("Stopped", True, "What is already down cannot be counted.", _why(
        ("on", "it goes on", "Say where the front stands now; the forecast follows it."),
    )),
    "float": ActKind("Floated", False, "It closes too late, or tears.", _why(
        ("soft", "too soft yet", "Asked again; a footprint says it better than the clock."),
        ("hard", "already too hard", "Wet the pans lightly, add a hand; write down where, it will show."),
    )),
    "second": ActKind("Done", True, "Marks of the first pass stay.", _why(
        ("soft", "too soft yet", "Asked again; a footprint says it better than the clock."),
        ("hard", "already too hard", "Trowel by hand at the edges; write down where."),
    )),
    "cover": ActKind("Covered", False, "It dries faster than water rises: it cracks.", _why(
        ("wind", "the wind takes it", "Fog instead, and start there first."),
    )),
    "saw": ActKind("Sawn", False, "It cracks where it likes.", _why(
        ("ravels", "it still ravels", "Try again in a quarter of an hour, where the concrete is oldest."),
        ("cracked", "a crack was faster", "Stop short of it, take a photo; no cut beside a crack."),
    ), "", "Silica dust: wet, or with extraction."),
    "wash": ActKind("Washed out", True, "It ends up where nobody wants it.", _why(
        ("full", "the bag is full", "A second one; never into a ditch or a drain."),
    ), "", "Wash water burns, and kills fish."),
}  # fmt: skip
