"""The simulated plant alone: one seed is one story, and every fault does what it says."""

from datetime import datetime

import pytest

from humble_trowel.core.ports import PlantOrder
from humble_trowel.standins.plant import LATE_MIN, WEAKER_MPA, StandInPlant

ORDER = PlantOrder("job", 4.6, 27.6, "2027-06-17T07:41-04:00", "2027-06-17T07:00-04:00")


def test_one_seed_is_one_story_and_it_reads_back_what_it_was_told():
    one, again, other = (StandInPlant(seed).call(ORDER) for seed in (7, 7, 8))
    assert one == again and one.number != other.number
    assert (one.kind, one.m3, one.strength_mpa, one.due_at) == ("held", 4.6, 27.6, ORDER.due_at) and one.who
    assert StandInPlant(7).ask(one.number, ORDER, ORDER.said_at).due_at == ORDER.due_at


@pytest.mark.parametrize(("fault", "first", "then"), [("loses", "held", "unknown"), ("down", "refused", "refused"), ("silent", "silent", "silent"), ("late", "held", "held")])  # fmt: skip
def test_faults(fault, first, then):
    plant = StandInPlant(7, fault)
    assert plant.call(ORDER).kind == first
    asked = plant.ask("1-1", ORDER, ORDER.said_at)
    assert asked.kind == then and bool(asked.why) == (then != "held")
    if fault == "late":
        more = (datetime.fromisoformat(asked.due_at) - datetime.fromisoformat(ORDER.due_at)).total_seconds() / 60
        assert LATE_MIN[0] <= more <= LATE_MIN[1]


def test_the_wrong_mix_is_read_back():
    assert StandInPlant(7, "wrong-mix").call(ORDER).strength_mpa == pytest.approx(27.6 - WEAKER_MPA, abs=1e-3)
