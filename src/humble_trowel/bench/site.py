"""Speed of a site: a change on the second device, twelve that listen, a queue that drains, copies, ten thousand jobs."""

from __future__ import annotations

import json
import os
import shutil
import socket
import sqlite3
import subprocess
import sys
import tempfile
import threading
import time
import urllib.request
from collections.abc import Iterator
from contextlib import closing, contextmanager, suppress
from dataclasses import dataclass, field
from http.client import HTTPConnection
from pathlib import Path
from typing import Any

from humble_trowel.api.service import Service
from humble_trowel.bench.rows import Other, Row, row_of, timed
from humble_trowel.demo.load import load_demo
from humble_trowel.settings import Settings
from humble_trowel.store import jobs
from humble_trowel.store.copies import backup
from humble_trowel.store.db import atomic, connect
from humble_trowel.store.migrate import migrate

HOST = "127.0.0.2"
AT = "2027-01-01T08:00:00+00:00"
DEVICES, QUEUE, WRITERS, JOBS = 12, 500, 20, 10_000


@dataclass
class Phone:
    """A device that joined. heard: (moment, revision) of every change it was told of; records: the moments alone."""

    host: str
    port: int
    cookie: str
    heard: list[tuple[float, int]] = field(default_factory=list)
    records: list[float] = field(default_factory=list)
    ready: threading.Event = field(default_factory=threading.Event)

    def open(self) -> HTTPConnection:
        """A connection that stays."""
        line = HTTPConnection(self.host, self.port, timeout=30)
        line.connect()
        line.sock.setsockopt(socket.IPPROTO_TCP, socket.TCP_NODELAY, 1)
        return line

    def ask(self, line: HTTPConnection, path: str, body: dict[str, Any] | None = None) -> Any:
        """One request on a connection that stays."""
        headers = {"cookie": self.cookie, "content-type": "application/json"}
        line.request(
            "POST" if body is not None else "GET", path, json.dumps(body) if body is not None else None, headers
        )
        answer = line.getresponse()
        data = answer.read()
        return json.loads(data) if data else None

    def listen(self) -> None:
        """Hear the stream until the program ends."""
        line = HTTPConnection(self.host, self.port, timeout=60)
        line.request("GET", "/api/site/stream", headers={"cookie": self.cookie})
        answer, kind = line.getresponse(), ""
        with suppress(OSError, ValueError, AttributeError):
            while row := answer.readline():
                if row.startswith(b"event:"):
                    kind = row.decode()[6:].strip()
                    self.ready.set()
                elif row.startswith(b"data:") and kind == "job":
                    told = json.loads(row[5:])
                    self.heard.append((time.perf_counter(), told["revision"]))
                    self.records.append(time.perf_counter())


def _free() -> int:
    with socket.socket() as probe:
        probe.bind((HOST, 0))
        return int(probe.getsockname()[1])


@contextmanager
def site(folder: Path) -> Iterator[tuple[str, int, subprocess.Popen[bytes]]]:
    """The demo served to the network: (the laptop's own address, port of the phones, process)."""
    own, lan = _free(), _free()
    command = [sys.executable, "-m", "humble_trowel.cli", "site", "--demo", "--port", str(own), "--site-port", str(lan), "--address", HOST, "--data", str(folder)]  # fmt: skip
    process = subprocess.Popen(command, stdout=subprocess.DEVNULL)
    try:
        for _ in range(600):
            try:
                urllib.request.urlopen(f"http://127.0.0.1:{own}/api/health", timeout=2).read()  # the last to come up
                break
            except OSError:
                time.sleep(0.05)
        yield f"http://127.0.0.1:{own}", lan, process
    finally:
        process.terminate()
        process.wait(10)


def joined(base: str, port: int, name: str) -> Phone:
    """One more phone on a site, with its stream."""
    asked = urllib.request.Request(f"{base}/api/site/number", b"", method="POST")
    number = json.load(urllib.request.urlopen(asked))["number"]
    body = json.dumps({"name": name, "number": number}).encode()
    answer = urllib.request.urlopen(
        urllib.request.Request(f"http://{HOST}:{port}/api/site/join", body, {"content-type": "application/json"})
    )
    made = Phone(HOST, port, answer.headers["set-cookie"].split(";")[0])
    threading.Thread(target=made.listen, daemon=True).start()
    made.ready.wait(10)
    return made


def cpu_s(pid: int) -> float:
    """Seconds of one core that a process has used; 0 where the system does not tell."""
    path = Path(f"/proc/{pid}/stat")
    if not path.exists():
        return 0.0
    rows = path.read_text().rpartition(")")[2].split()
    return (int(rows[11]) + int(rows[12])) / os.sysconf("SC_CLK_TCK")


def _seen(phones: list[Phone], job: dict[str, Any]) -> tuple[Row, int]:
    """From a change said on one device until another was told: 20 of them."""
    line, spans, revision = phones[0].open(), [], int(job["revision"])
    for at in range(20):
        began = time.perf_counter()
        edit = {"op": "set_fields", "values": {"name": f"Bus shelter {at}"}}
        body = {"revision": revision, "edits": [edit], "author": "Wren", "edit_id": f"bench-edit-{at:04}"}
        revision = phones[0].ask(line, f"/api/jobs/{job['id']}/edits", body)["revision"]
        while (
            not (found := [moment for moment, told in phones[1].heard if told == revision])
            and time.perf_counter() - began < 5
        ):
            time.sleep(0.001)
        spans.append(((found[0] if found else time.perf_counter()) - began) * 1000)
    return row_of("a change seen on the second of twelve devices", spans, 300, "p50"), revision


def _ticket(phones: list[Phone], job: dict[str, Any]) -> Row:
    """From a ticket kept on one device until another has the new call: 12 of them."""
    line, other, spans = phones[0].open(), phones[1].open(), []
    pour = f"/api/jobs/{job['id']}/pour"
    phones[1].ask(other, pour, {"at": None})
    for at in range(12):
        began, told = time.perf_counter(), len(phones[1].records)
        when = f"2027-06-17T06:{30 + at}:00-04:00"
        values = {"load": f"bench-{at}", "at": when, "arrived_at": when, "m3": 6.9}
        body = {"id": f"bench-ticket-{at:04}", "kind": "ticket", "revision": 1, "values": values, "who": "Tamsin"}
        phones[0].ask(line, f"/api/jobs/{job['id']}/records", body)
        while len(phones[1].records) == told and time.perf_counter() - began < 5:
            time.sleep(0.001)
        phones[1].ask(other, pour, {"at": None})
        spans.append((time.perf_counter() - began) * 1000)
    return row_of("a ticket seen as a new call on the second device", spans, 300, "p50")


def _share(phones: list[Phone], job: dict[str, Any], revision: int, pid: int) -> Other:
    """Share of a core that twelve streams cost while each says where it is and something changes every two seconds."""
    lines = [phone.open() for phone in phones]
    began, before = time.perf_counter(), cpu_s(pid)
    for turn in range(4):
        for at, (phone, line) in enumerate(zip(phones, lines, strict=True)):
            phone.ask(line, "/api/site/here", {"job": job["id"], "lens": "gate", "part": f"{turn}-{at}"})
        body = {"revision": revision, "edits": [{"op": "set_fields", "values": {"name": f"Stop {turn}"}}], "author": "", "edit_id": f"bench-turn-{turn:04}"}  # fmt: skip
        revision = phones[0].ask(lines[0], f"/api/jobs/{job['id']}/edits", body)["revision"]
        time.sleep(max(0.0, began + 2 * (turn + 1) - time.perf_counter()))
    share = (cpu_s(pid) - before) / (time.perf_counter() - began) * 100
    return Other("twelve devices that listen, share of one core", round(share, 1), "%", 15)


def _queue(phone: Phone, job: dict[str, Any]) -> Other:
    """A phone that comes back with 500 records."""
    line, began = phone.open(), time.perf_counter()
    for at in range(QUEUE):
        values = {"kind": "roll", "passed": True, "at": [1000 + at, 1000], "note": f"n {at}"}
        body = {"id": f"bench-queue-{at:05}", "kind": "ground-test", "revision": 1, "values": values, "who": "Tamsin"}
        phone.ask(line, f"/api/jobs/{job['id']}/records", body)
    return Other(f"queue of {QUEUE} records drained", round(time.perf_counter() - began, 1), "s", 5)


def device_figures() -> tuple[list[Row], list[Other]]:
    """What several devices at once come to."""
    folder = Path(tempfile.mkdtemp(prefix="trowel-bench-site-"))
    try:
        with site(folder) as (base, port, process):
            phones = [joined(base, port, f"Hand {at}") for at in range(DEVICES)]
            rows = json.load(urllib.request.urlopen(f"{base}/api/jobs"))
            job = next(row for row in rows if row["name"].startswith("Cole"))
            seen, revision = _seen(phones, job)
            house = next(row for row in rows if row["name"].startswith("Tansy"))
            return [seen, _ticket(phones, house)], [_share(phones, job, revision, process.pid), _queue(phones[2], job)]
    finally:
        shutil.rmtree(folder, ignore_errors=True)


def _fill(database: Path) -> None:
    with closing(connect(database)) as db:
        migrate(db)
        load_demo(db, AT)


def copy_figure() -> Other:
    """A copy of 200 MB while 20 writers write."""
    with tempfile.TemporaryDirectory(prefix="trowel-bench-copy-") as folder:
        database, stop = Path(folder) / "trowel.sqlite3", threading.Event()
        _fill(database)
        with closing(connect(database)) as db, atomic(db):
            job = jobs.every(db)[0].id
            row = "insert into photos (job_id, id, sent, picture, small, width_px, height_px, at) values (?, ?, '', ?, x'', 1, 1, ?)"
            for at in range(200):
                db.execute(row, (job, f"photo-{at:06}", os.urandom(1_000_000), AT))

        def write(name: str) -> None:
            with closing(connect(database, busy_ms=20_000)) as own:
                for at in range(10_000):
                    if stop.is_set():
                        return
                    with atomic(own):
                        own.execute("insert into ways (n, author, at, document) select coalesce(max(n), 0) + 1, ?, ?, '{}' from ways", (f"{name}-{at}", AT))  # fmt: skip
                    time.sleep(0.05)

        writers = [threading.Thread(target=write, args=(f"w{at}",)) for at in range(WRITERS)]
        for one in writers:
            one.start()
        began = time.perf_counter()
        try:
            backup(database, Path(folder) / "copy.sqlite3")
        finally:
            took = time.perf_counter() - began
            stop.set()
            for one in writers:
                one.join()
    return Other("copy of 200 MB while 20 write", round(took, 2), "s", 3)


def many_jobs() -> tuple[list[Row], list[Other]]:
    """A start with 10,000 jobs, and the yard's list against SQLite reading the same lines."""
    with tempfile.TemporaryDirectory(prefix="trowel-bench-jobs-") as folder:
        settings = Settings(Path(folder))
        _fill(settings.database)
        service = Service(settings)
        with service.open() as db:
            own = jobs.every(db)[-1]
            line = service.yard.made(db, own)
            document = jobs.head(db, own.id).document
            with atomic(db):
                for _ in range(JOBS - 4):
                    jobs.create(db, document, "Wren", AT, "Started")
            service.yard.made = lambda db, job: line.model_copy(update={"id": job.id})  # type: ignore[method-assign]
            service.yard.work_s = 600
            service.yard.lines(db)
            yard = timed("yard, 10,000 jobs, warm", lambda: service.yard.lines(db), 5, 600)

        def raw() -> list[Any]:
            with closing(sqlite3.connect(settings.database)) as own:
                return own.execute(
                    "select jobs.id, head, archived_at, made_from, line from jobs join yard_lines on job_id = id"
                ).fetchall()

        read = timed("the same lines read by SQLite alone", raw, 5, 600)
        spans = []
        for _ in range(3):
            with _started(settings.data) as seconds:
                spans.append(seconds * 1000)
        start = row_of("start with 10,000 jobs to the first page", spans[1:], 3000, "p50")
        return [yard, start], [Other("yard list against SQLite alone", round(yard.p50_ms / read.p50_ms, 2), "times", 2)]


@contextmanager
def _started(folder: Path) -> Iterator[float]:
    from humble_trowel.bench.served import served

    with served(folder) as (_, _, seconds):
        yield seconds


def site_rows() -> tuple[list[Row], list[Other]]:
    """All of it."""
    rows, others = device_figures()
    more, also = many_jobs()
    return [*rows, *more], [*others, copy_figure(), *also]
