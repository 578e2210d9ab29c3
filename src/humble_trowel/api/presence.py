"""Who is looking where, as each device last said; how long one has been out of reach."""

from __future__ import annotations

import time
from dataclasses import dataclass, replace
from threading import Lock

LAPTOP = "laptop"


@dataclass(frozen=True)
class Here:
    """Where somebody looks. spot_mm: the part that is picked, on the plan. waits: how many rows wait on the device.
    seen_s: on a clock that only goes forward."""

    device: str
    name: str
    job: str = ""
    lens: str = ""
    tab: str = ""
    part: str = ""
    spot_mm: tuple[float, float] | None = None
    waits: int = 0
    line: str = ""
    seen_s: float = 0.0


class Presence:
    """One row a device."""

    def __init__(self) -> None:
        self._rows: dict[str, Here] = {}
        self._lock = Lock()

    def say(self, here: Here) -> bool:
        """Note where somebody looks; True where that is news."""
        with self._lock:
            before = self._rows.get(here.device)
            self._rows[here.device] = replace(here, seen_s=time.monotonic())
        return before is None or replace(before, seen_s=0.0) != replace(here, seen_s=0.0)

    def gone(self, device: str) -> None:
        """A device does not listen any more; where it looked last stays."""
        with self._lock:
            if device in self._rows:
                self._rows[device] = replace(self._rows[device], seen_s=time.monotonic())

    def forget(self, device: str) -> None:
        """A device that left or was thrown out."""
        with self._lock:
            self._rows.pop(device, None)

    def every(self) -> list[Here]:
        """All of them, as they came."""
        with self._lock:
            return list(self._rows.values())
