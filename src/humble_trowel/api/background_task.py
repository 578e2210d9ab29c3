"""What the background process works out: a job as JSON in, an answer as JSON out, a line each. It imports the core alone.

In: {"id", "name", "plan", "crew", "records"} asks for an answer (records where it needs them: id, kind, values as text), {"drop": id} lets it go.
Out: {"id", "share"} while it works, then {"id", "answer"}, {"id", "dropped": true} or {"id", "failed": words}.
"""

from __future__ import annotations

import json
import os
import sys
import threading
import time
from collections.abc import Callable
from dataclasses import dataclass
from queue import SimpleQueue
from typing import Any

import numpy as np
from pydantic import TypeAdapter

from humble_trowel.core.day.day import DayFound
from humble_trowel.core.forms.cut_boards import CutPlanOfJob
from humble_trowel.core.geometry.slices import Slices
from humble_trowel.core.job import Job
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.progress import Dropped, watched
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.record_kinds import read_records
from humble_trowel.core.steel.schedule import SizeCut

SAY_EVERY_S = 0.05


@dataclass(frozen=True)
class SlowAnswer:
    """An answer of a Job that is worked out in the background. pack, unpack: to and from JSON."""

    pack: Callable[[Any], Any]
    unpack: Callable[[Any], Any]


def _slices(data: Any) -> Slices:
    return Slices(np.array(data["x_mm"]), data["width_mm"], np.array(data["m3"]))


_BOARDS: TypeAdapter[CutPlanOfJob | None] = TypeAdapter(CutPlanOfJob | None)
_STEEL: TypeAdapter[list[SizeCut]] = TypeAdapter(list[SizeCut])
_DAY: TypeAdapter[DayFound | None] = TypeAdapter(DayFound | None)
SLOW: dict[str, SlowAnswer] = {
    "day_run": SlowAnswer(lambda one: _DAY.dump_python(one, mode="json"), _DAY.validate_python),
    "day": SlowAnswer(lambda one: _DAY.dump_python(one, mode="json"), _DAY.validate_python),
    "second_way": SlowAnswer(
        lambda one: {"x_mm": one.x_mm.tolist(), "width_mm": one.width_mm, "m3": one.m3.tolist()}, _slices
    ),
    "steel_cuts": SlowAnswer(lambda one: _STEEL.dump_python(one, mode="json"), _STEEL.validate_python),
    "boards": SlowAnswer(lambda one: _BOARDS.dump_python(one, mode="json"), _BOARDS.validate_python),
}


class Child:
    """The process: reads what is asked, tells how far it is, and looks between two steps whether it is still wanted."""

    def __init__(self) -> None:
        self.asked: SimpleQueue[dict[str, Any] | None] = SimpleQueue()
        self.dropped: set[int] = set()

    def listen(self) -> None:
        """Read what is asked until nobody asks any more."""
        for line in sys.stdin:
            said = json.loads(line)
            if "drop" in said:
                self.dropped.add(said["drop"])
            else:
                self.asked.put(said)
        self.asked.put(None)
        os._exit(0)  # whoever asked is gone

    def run(self) -> None:
        """Work out one thing after another."""
        threading.Thread(target=self.listen, daemon=True).start()
        while (said := self.asked.get()) is not None:
            try:
                with watched(self._hook(said["id"])):
                    self._say(id=said["id"], answer=self._answer(said))
            except Dropped:
                self._say(id=said["id"], dropped=True)
            except Exception as error:
                self._say(id=said["id"], failed=f"{type(error).__name__}: {error}")
            self.dropped.discard(said["id"])

    def _answer(self, said: dict[str, Any]) -> Any:
        records = read_records((name, kind, text) for name, kind, text in said.get("records", ()))
        job = Job(read_plan(said["plan"]), Ways.model_validate(said["crew"]), records)
        found = getattr(job, said["name"])
        if job.stumbles(said["name"]):
            raise ValueError("It stumbled.")  # the program says how, working it out once more by itself
        return SLOW[said["name"]].pack(found)

    def _hook(self, number: int) -> Callable[[float], None]:
        told = time.monotonic()

        def hook(share: float) -> None:
            nonlocal told
            if number in self.dropped:
                raise Dropped
            if time.monotonic() - told > SAY_EVERY_S:
                told = time.monotonic()
                self._say(id=number, share=share)

        return hook

    @staticmethod
    def _say(**words: Any) -> None:
        sys.stdout.write(json.dumps(words) + "\n")
        sys.stdout.flush()


if __name__ == "__main__":
    if hasattr(os, "nice"):
        os.nice(5)  # what a person waits for goes first
    Child().run()
