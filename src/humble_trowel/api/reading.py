"""Files from outside are read in processes of their own: they hold nobody up, are stopped when they take too long, and
when whoever sent them lets go."""

from __future__ import annotations

import asyncio
import json
import subprocess
import sys
import threading
import time
from collections.abc import Callable
from contextlib import suppress
from dataclasses import dataclass, field
from queue import Empty, Queue
from typing import Any

from fastapi import Request
from starlette.concurrency import run_in_threadpool

from humble_trowel.core.errors import InputError

AT_ONCE = 2
MOST_S = 30.0
LOOK_EVERY_S = 0.05
KEPT = 50


class LetGo(InputError):
    """Whoever sent the file does not want it read any more."""


@dataclass
class Reading:
    """A file that is being read. share: how much of it is done, from 0 to 1."""

    share: float = 0.0
    began: float = field(default_factory=time.monotonic)
    stopped: threading.Event = field(default_factory=threading.Event)


class Child:
    """One reading process."""

    def __init__(self, command: tuple[str, ...]) -> None:
        self.process = subprocess.Popen(command, stdin=subprocess.PIPE, stdout=subprocess.PIPE)
        self.lines: Queue[bytes] = Queue()
        threading.Thread(target=self._listen, daemon=True).start()

    def _listen(self) -> None:
        assert self.process.stdout is not None
        with suppress(ValueError, OSError):
            for line in self.process.stdout:
                self.lines.put(line)
        self.lines.put(b"")

    def send(self, header: dict[str, Any], data: bytes) -> None:
        """Give it a file."""
        assert self.process.stdin is not None
        with suppress(OSError):  # it ended; whoever reads from it sees that
            self.process.stdin.write(json.dumps(header).encode() + b"\n" + data)
            self.process.stdin.flush()

    def end(self) -> None:
        """Kill it and take leave of it."""
        self.process.kill()
        with self.process:  # closes its pipes and waits
            pass


class Reader:
    """Reads files in at most two processes, which stay for the next."""

    def __init__(self, command: tuple[str, ...] = (sys.executable, "-m", "humble_trowel.api.reading_task")) -> None:
        self._command = command
        self._free: list[Child] = []
        self._lock = threading.Lock()
        self._turn = threading.Semaphore(AT_ONCE)
        self._known: dict[str, Reading] = {}
        self.most_s = MOST_S

    def known(self, key: str) -> Reading | None:
        """The reading that goes by a name its sender made."""
        return self._known.get(key)

    def begin(self, key: str) -> Reading:
        """A reading under a name; '' for one that nobody asks after."""
        reading = Reading()
        if key:
            with self._lock:
                self._known[key] = reading
                for old in list(self._known)[:-KEPT]:
                    del self._known[old]
        return reading

    def read(self, reading: Reading, what: str, data: bytes, **said: Any) -> Any:
        """What a file holds, as JSON data. Raises InputError with what is wrong with it, LetGo when it was stopped."""
        while not self._turn.acquire(timeout=LOOK_EVERY_S):
            self._look(reading)
        try:
            child = self._child()
            try:
                child.send({"what": what, "bytes": len(data), **said}, data)
                answer = self._answer(child, reading)
            except BaseException:
                child.end()
                raise
            with self._lock:
                self._free.append(child)
        finally:
            self._turn.release()
        if "refused" in answer:
            raise InputError(answer["refused"], answer["path"])
        return answer["answer"]

    def _child(self) -> Child:
        with self._lock:
            while self._free:
                child = self._free.pop()
                if child.process.poll() is None:
                    return child
        return Child(self._command)

    def _look(self, reading: Reading) -> None:
        if reading.stopped.is_set():
            raise LetGo("The file was let go before it was read.")
        if time.monotonic() - reading.began > self.most_s:
            raise InputError(f"That file takes longer than {self.most_s:g} s to read. Save less of it, and bring that.")

    def _answer(self, child: Child, reading: Reading) -> dict[str, Any]:
        while True:
            self._look(reading)
            try:
                line = child.lines.get(timeout=LOOK_EVERY_S)
            except Empty:
                continue
            if not line:
                raise InputError("That file cannot be read: it takes more than this program gives it.")
            said: dict[str, Any] = json.loads(line)
            if "share" not in said:
                return said
            reading.share = said["share"]

    def close(self) -> None:
        """End the processes."""
        with self._lock:
            for child in self._free:
                child.end()
            self._free.clear()


async def patiently(request: Request, reading: Reading, work: Callable[[], Any]) -> Any:
    """Do something in a thread; where whoever asked goes away, the reading is stopped."""
    task = asyncio.ensure_future(run_in_threadpool(work))
    while not task.done():
        await asyncio.wait({task}, timeout=LOOK_EVERY_S * 4)
        if not task.done() and await request.is_disconnected():
            reading.stopped.set()
    return task.result()
