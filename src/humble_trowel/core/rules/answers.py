"""Every rule that answers a case, by name: `answer(name, given)` takes the `input` of a reference case and gives back an
object with the names of its `expect`. `./trowel rule` and the validation tests come through here; a later stage adds
its room beside these and a line below."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from humble_trowel.core.cutting.cut import Clock
from humble_trowel.core.errors import InputError, TrowelError
from humble_trowel.core.rules.anchors import anchors
from humble_trowel.core.rules.case import Answer, Given
from humble_trowel.core.rules.cold_hot import cold_hot
from humble_trowel.core.rules.cutting import cutting
from humble_trowel.core.rules.forms import forms
from humble_trowel.core.rules.grades import grades
from humble_trowel.core.rules.insulation import insulation
from humble_trowel.core.rules.joints import joints
from humble_trowel.core.rules.order import order
from humble_trowel.core.rules.pour import pour
from humble_trowel.core.rules.schedule import schedule
from humble_trowel.core.rules.screed import screed
from humble_trowel.core.rules.squaring import squaring
from humble_trowel.core.rules.steel import steel
from humble_trowel.core.rules.volume import volume
from humble_trowel.core.rules.weather import evaporation, hydration, slab_heat, sun

ANSWERS: dict[str, Callable[[Given], Answer]] = {
    "volume": volume, "squaring": squaring, "forms": forms, "grades": grades, "insulation": insulation, "steel": steel,
    "cutting": cutting, "anchors": anchors, "joints": joints, "screed": screed, "order": order,
    "pour": pour, "cold-hot": cold_hot, "evaporation": evaporation, "sun": sun, "hydration": hydration, "slab-heat": slab_heat, "schedule": schedule,
}  # fmt: skip


def answer(name: str, given: Any, clock: Clock | None = None) -> Answer:
    """What a rule says of a case's input. clock: for the one that may search for long. Raises InputError naming the rule or the key that is wrong."""
    rule = ANSWERS.get(name.replace("_", "-"))
    if rule is None:
        raise InputError(f"There is no rule {name}. Known: {', '.join(ANSWERS)}.")
    if not isinstance(given, dict):
        raise InputError("The file holds the input of a case: one JSON object.")
    try:
        return cutting(given, clock) if rule is cutting else rule(given)
    except TrowelError:
        raise
    except KeyError as error:
        raise InputError(f"{error.args[0]} is missing.", str(error.args[0])) from None
    except (TypeError, ValueError, AttributeError, IndexError) as error:
        raise InputError(f"The input does not fit the rule {name}: {str(error).splitlines()[0]}.") from None
