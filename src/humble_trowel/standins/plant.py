"""A simulated plant: seeded, able to come late, read back the wrong mix, lose an order, break down or not answer.

Wire format: docs/formats/plant.md.
"""

from __future__ import annotations

import random
from datetime import datetime, timedelta

from humble_trowel.core.ports import PlantFault, PlantOrder, PlantReply

NAMES = ("Merle", "Tove", "Anso", "Pim", "Lioba")
LATE_MIN = (18, 35)
WEAKER_MPA = 6.894757  # a thousand psi


class StandInPlant:
    """A Dispatch that does as it is told to."""

    def __init__(self, seed: int, fault: PlantFault | None = None) -> None:
        self.seed, self.fault = seed, fault

    def call(self, order: PlantOrder) -> PlantReply:
        """Take an order, and read it back."""
        draw = random.Random(f"{self.seed} {order.job} {order.said_at} {order.m3:.3f}")
        who = draw.choice(NAMES)
        if self.fault == "silent":
            return PlantReply("silent", why="Nobody answers there.")
        if self.fault == "down":
            return PlantReply("refused", who=who, why="The mixer is down.")
        weaker = WEAKER_MPA if self.fault == "wrong-mix" else 0.0
        number = f"{draw.randrange(100, 1000)}-{draw.randrange(10, 100)}"
        return PlantReply("held", number, who, order.m3, round(order.strength_mpa - weaker, 3), order.due_at)

    def ask(self, number: str, order: PlantOrder, now: str) -> PlantReply:
        """Where an order is."""
        draw = random.Random(f"{self.seed} {number}")
        who = draw.choice(NAMES)
        if self.fault == "silent":
            return PlantReply("silent", why="Nobody answers there.")
        if self.fault == "loses":
            return PlantReply("unknown", number, who, why="No such order.")
        if self.fault == "down":
            return PlantReply("refused", number, who, why="The mixer is down.")
        due = datetime.fromisoformat(order.due_at)
        if self.fault == "late":
            due += timedelta(minutes=draw.randint(*LATE_MIN))
        return PlantReply("held", number, who, order.m3, order.strength_mpa, due.isoformat(timespec="minutes"))
