"""One background process for what takes long: the newest thing asked for goes first, what is stale is dropped."""

from __future__ import annotations

import json
import subprocess
import sys
import threading
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any, Literal

from humble_trowel.api.background_task import SLOW

LETS_GO_S = 3.0
KEPT = 40


@dataclass
class Work:
    """An answer that was asked for. stamp: the very objects that it is worked out of. share: how much of it is done, from 0 to 1."""

    number: int
    job_id: str
    name: str
    stamp: tuple[object, ...]
    given: Callable[[], dict[str, Any]]
    state: Literal["waiting", "running", "done", "failed", "dropped"] = "waiting"
    share: float = 0.0
    answer: Any = None


def _nothing() -> dict[str, Any]:
    return {}


def _same(one: tuple[object, ...], other: tuple[object, ...]) -> bool:
    return all(mine is its for mine, its in zip(one, other, strict=True))


class Background:
    """Asks a process of its own for slow answers. It starts with the first thing asked for and ends with the program."""

    def __init__(self, command: tuple[str, ...] = (sys.executable, "-m", "humble_trowel.api.background_task")) -> None:
        self._command = command
        self._change = threading.Condition()
        self._works: dict[tuple[str, str], Work] = {}  # the newest of each job and name
        self._running: Work | None = None
        self._process: subprocess.Popen[str] | None = None
        self._thread: threading.Thread | None = None
        self._count = 0
        self._closed = False

    def ask(self, job_id: str, name: str, stamp: tuple[object, ...], given: Callable[[], dict[str, Any]]) -> Work:
        """The work for an answer of a job, new where it is not asked for yet; an older one of that job is let go.

        given: makes the plan and the crew's ways as JSON data, called when it is its turn.
        """
        with self._change:
            work = self._works.get((job_id, name))
            if work is not None and _same(work.stamp, stamp) and work.state != "dropped":
                return work
            if work is not None:
                self._let_go(work)
            self._count += 1
            work = Work(self._count, job_id, name, stamp, given)
            self._works.pop((job_id, name), None)
            self._works[job_id, name] = work
            done = [key for key, one in self._works.items() if one.state in ("done", "failed", "dropped")]
            for key in done[: max(0, len(self._works) - KEPT)]:
                del self._works[key]
            if self._thread is None:
                self._thread = threading.Thread(target=self._serve, name="background", daemon=True)
                self._thread.start()
            self._change.notify_all()
            return work

    def drop(self, job_id: str, name: str) -> None:
        """Nobody waits for it any more."""
        with self._change:
            work = self._works.get((job_id, name))
            if work is not None:
                self._let_go(work)

    def wait(self, work: Work, seconds: float) -> bool:
        """Whether it came to an end within so many seconds, well or not."""
        with self._change:
            return self._change.wait_for(lambda: work.state not in ("waiting", "running"), seconds)

    def close(self) -> None:
        """Let everything go and end the process."""
        with self._change:
            self._closed = True
            for work in self._works.values():
                self._let_go(work)
            self._end()
            self._change.notify_all()
        if self._thread is not None:
            self._thread.join(LETS_GO_S)
        self._reap()

    def _reap(self) -> None:
        """Take leave of a process that ended."""
        process, self._process = self._process, None
        if process is not None:
            process.kill()
            with process:  # closes its pipes and waits
                pass

    def _let_go(self, work: Work) -> None:
        if work.state == "waiting":
            work.state, work.given = "dropped", _nothing
        elif work.state == "running":
            self._say({"drop": work.number})
            timer = threading.Timer(LETS_GO_S, self._force, (work,))
            timer.daemon = True
            timer.start()

    def _force(self, work: Work) -> None:
        with self._change:
            if self._running is work:
                self._end()

    def _end(self) -> None:
        if self._process is not None:
            self._process.kill()

    def _say(self, words: dict[str, Any]) -> None:
        if self._process is not None and self._process.stdin is not None:
            try:
                self._process.stdin.write(json.dumps(words) + "\n")
                self._process.stdin.flush()
            except OSError:
                pass  # it ended; whoever reads from it sees that

    def _next(self) -> Work | None:
        with self._change:
            waiting = [work for work in self._works.values() if work.state == "waiting"]
            while not waiting and not self._closed:
                self._change.wait()
                waiting = [work for work in self._works.values() if work.state == "waiting"]
            if self._closed:
                return None
            self._running = max(waiting, key=lambda work: work.number)
            self._running.state = "running"
            return self._running

    def _serve(self) -> None:
        while (work := self._next()) is not None:
            try:
                state, answer = self._worked_out(work)
            except Exception:  # the job works it out by itself and says what is wrong with it
                state, answer = "failed", None
            with self._change:
                self._running = None
                work.answer, work.state = answer, state  # type: ignore[assignment]
                work.given = _nothing  # it holds a whole job
                self._change.notify_all()

    def _worked_out(self, work: Work) -> tuple[str, Any]:
        given = work.given()
        with self._change:
            if self._process is None or self._process.poll() is not None:
                self._reap()
                self._process = subprocess.Popen(
                    self._command, stdin=subprocess.PIPE, stdout=subprocess.PIPE, text=True, bufsize=1
                )
            self._say({"id": work.number, "name": work.name, **given})
        assert self._process.stdout is not None
        for line in self._process.stdout:
            said = json.loads(line)
            if said["id"] != work.number:
                continue
            if "share" in said:
                work.share = said["share"]
            elif "answer" in said:
                return "done", SLOW[work.name].unpack(said["answer"])
            else:
                return ("dropped" if said.get("dropped") else "failed"), None
        self._reap()
        return ("dropped" if work is not self._works.get((work.job_id, work.name)) else "failed"), None
