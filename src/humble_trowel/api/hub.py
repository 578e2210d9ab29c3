"""What just changed, told to every device that listens: one stream a device, resumed after a gap; and who is where."""

from __future__ import annotations

import asyncio
import secrets
from collections import deque
from collections.abc import AsyncIterator, Callable
from dataclasses import dataclass, field
from threading import Lock
from typing import Any

from humble_trowel.api.presence import LAPTOP

KEPT_EVENTS = 2_000
WAITING_MOST = 500  # a device that takes nothing is told to look at everything again
ALIVE_S = 15.0


@dataclass(frozen=True)
class Event:
    """One thing to tell. id: 'boot-number', so that a device that was away says which it had last. to: one device alone."""

    id: str
    kind: str
    data: dict[str, Any]
    to: str | None = None


@dataclass(eq=False)
class Stream:
    """A device that listens."""

    device: str
    loop: asyncio.AbstractEventLoop
    queue: asyncio.Queue[Event | None] = field(default_factory=lambda: asyncio.Queue(WAITING_MOST))
    behind: bool = False

    def put(self, event: Event | None) -> None:
        """From any thread."""
        self.loop.call_soon_threadsafe(self._put, event)

    def _put(self, event: Event | None) -> None:
        try:
            self.queue.put_nowait(event)
        except asyncio.QueueFull:
            self.behind = True


class Hub:
    """One for each running program. known: (newest revision, stamp of records) of each job as it was last told."""

    def __init__(self) -> None:
        self.boot = secrets.token_hex(4)
        self._n = 0
        self._told: deque[Event] = deque(maxlen=KEPT_EVENTS)
        self._streams: set[Stream] = set()
        self._lock = Lock()
        self.known: dict[str, tuple[int, str]] = {}
        self.on_gone: Callable[[str], None] = lambda device: None

    def publish(self, kind: str, data: dict[str, Any], to: str | None = None) -> None:
        """Tell everybody (or one device), from any thread."""
        with self._lock:
            self._n += 1
            event = Event(f"{self.boot}-{self._n}", kind, data, to)
            self._told.append(event)
            streams = [one for one in self._streams if to is None or one.device == to]
        for one in streams:
            one.put(event)

    def job_changed(self, job_id: str, revision: int, records: str, by: str, tab: str) -> None:
        """Tell that a job is another, once for each state that it has."""
        with self._lock:
            if self.known.get(job_id) == (revision, records):
                return
            self.known[job_id] = (revision, records)
        self.publish("job", {"job": job_id, "revision": revision, "records": records, "by": by, "tab": tab})

    def listening(self, device: str) -> bool:
        """Whether a device has a stream open."""
        with self._lock:
            return any(one.device == device for one in self._streams)

    @property
    def count(self) -> int:
        """How many streams are open."""
        return len(self._streams)

    def end(self, device: str | None = None) -> None:
        """Close the streams of a device; of all where none is named."""
        with self._lock:
            streams = [one for one in self._streams if device is None or one.device == device]
        for one in streams:
            one.put(None)

    def end_phones(self) -> None:
        """Close the streams of all but the laptop itself."""
        with self._lock:
            devices = {one.device for one in self._streams} - {LAPTOP}
        for device in devices:
            self.end(device)

    def missed(self, last: str, device: str) -> list[Event] | None:
        """What was told since an event; None where nobody knows any more (the program started anew, or too much came)."""
        boot, _, n = last.partition("-")
        if boot != self.boot or not n.isdigit():
            return None
        with self._lock:
            rows = list(self._told)
            first = int(rows[0].id.partition("-")[2]) if rows else self._n + 1
        if int(n) + 1 < first:
            return None
        return [one for one in rows if int(one.id.partition("-")[2]) > int(n) and one.to in (None, device)]

    async def stream(self, device: str, last: str) -> AsyncIterator[Event | None]:
        """Events for a device, from where it was; None now and then, so that a line that broke is noticed."""
        own = Stream(device, asyncio.get_running_loop())
        with self._lock:
            self._streams.add(own)
        try:
            missed = self.missed(last, device) if last else []
            yield Event(f"{self.boot}-{self._n}", "hello", {"all": missed is None}) if not missed else None
            for old in missed or []:
                yield old
            while True:
                if own.behind:
                    own.behind = False
                    yield Event(f"{self.boot}-{self._n}", "hello", {"all": True})
                event: Event | None
                try:
                    event = await asyncio.wait_for(own.queue.get(), ALIVE_S)
                except TimeoutError:
                    yield None
                    continue
                if event is None:
                    return
                yield event
        finally:
            with self._lock:
                self._streams.discard(own)
            self.on_gone(device)
