"""The practice yard: which exercises there are, in the order of the work, and one of them built by its seed."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.practice.bolts import bolts
from humble_trowel.core.practice.exercise import Exercise, Level, Wish
from humble_trowel.core.practice.faults import faults
from humble_trowel.core.practice.forms import boards
from humble_trowel.core.practice.joints import joints
from humble_trowel.core.practice.last_truck import last_truck
from humble_trowel.core.practice.ordering import order
from humble_trowel.core.practice.pour_day import pour_day
from humble_trowel.core.practice.rack import rack
from humble_trowel.core.practice.rod import rod
from humble_trowel.core.practice.walked import walked
from humble_trowel.core.units import Units

MOST_SEED = 1_000_000_000
LEVELS: tuple[Level, ...] = (1, 2, 3)


@dataclass(frozen=True)
class Kind:
    """key: of its address. name: one word for its knot. title: what is done."""

    key: str
    name: str
    title: str
    make: Callable[[Wish], Exercise]


KINDS = (
    Kind("walk", "Walk", "Find the call that does not close", walked),
    Kind("rack", "Rack", "Square a racked frame", rack),
    Kind("rod", "Rod", "Read the rod, set pegs", rod),
    Kind("boards", "Boards", "Choose the boards", boards),
    Kind("bolts", "Bolts", "Place the bolts", bolts),
    Kind("joints", "Joints", "Lay the joints", joints),
    Kind("order", "Order", "Order what nobody knows", order),
    Kind("day", "Day", "Choose the day", pour_day),
    Kind("faults", "Faults", "Find six faults", faults),
    Kind("last", "Last truck", "Call the last truck", last_truck),
)
KIND_OF = {kind.key: kind for kind in KINDS}


def build(kind: str, level: int, seed: int, units: Units, ways: Ways) -> Exercise:
    """The exercise of a seed. Raises InputError for a kind, a level or a seed that is none."""
    own = KIND_OF.get(kind)
    if own is None:
        raise InputError(f"There is no exercise {kind}. Known: {', '.join(KIND_OF)}.", "kind")
    if level not in LEVELS:
        raise InputError("The level is 1, 2 or 3.", "level")
    if not 0 <= seed <= MOST_SEED:
        raise InputError(f"A seed is a whole number from 0 to {MOST_SEED:,}.", "seed")
    found = next(one for one in LEVELS if one == level)
    return own.make(Wish(kind, found, seed, units, ways))
