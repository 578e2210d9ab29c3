"""The program served by a forked process that can be killed and begun again in a moment, on data of its own."""

import ctypes
import gc
import http.client
import json
import os
import shutil
import signal
import socket
import time
from pathlib import Path

import uvicorn
from starlette.testclient import TestClient

from humble_trowel.api.app import make_app
from humble_trowel.settings import Settings
from tests.api.test_api import demo_database


def _die_with(parent):
    """Have the system end this process with the one that forked it."""
    ctypes.CDLL(None).prctl(1, signal.SIGKILL)
    if os.getppid() != parent:
        os._exit(0)


class Forked:
    """One address, one folder, one process at a time."""

    def __init__(self, folder, socket_of=None, **settings):
        self.folder, self.more = Path(folder), settings
        self.folder.mkdir(parents=True, exist_ok=True)
        if not (self.folder / "trowel.sqlite3").exists():
            shutil.copy(demo_database(), self.folder / "trowel.sqlite3")
        (self.folder / "web").mkdir(exist_ok=True)
        (self.folder / "web" / "index.html").write_text("<p>here</p>")
        self.socket = socket.create_server(("127.0.0.1", 0), backlog=512)
        # asyncio sets this on sockets it makes itself; without it an answer of two parts waits 40 ms for the other side
        self.socket.setsockopt(socket.IPPROTO_TCP, socket.TCP_NODELAY, 1)
        self.port = self.socket.getsockname()[1]
        self.child, self.app = 0, None

    def start(self, before=lambda: None):
        """Fork; `before` runs in the new process first."""
        settings = Settings(self.folder, port=self.port, **self.more)
        if self.app is None or self.app.state.service.settings != settings:
            self.app = make_app(settings, self.folder / "web")
            uvicorn.Config(self.app, loop="asyncio").load()  # so that what is forked has all of it at hand
            TestClient(self.app, base_url=f"http://127.0.0.1:{self.port}").get("/api/health")
        gc.collect()
        parent = os.getpid()
        self.child = os.fork()
        if self.child == 0:
            try:
                _die_with(parent)
                config = uvicorn.Config(self.app, log_level="critical", access_log=False, loop="asyncio")
                config.load()
                before()
                uvicorn.Server(config).run(sockets=[self.socket])
            finally:
                os._exit(0)
        for _ in range(300):
            try:
                if self.ask("GET", "/api/health", within=3)[0] == 200:
                    return self
            except OSError:
                time.sleep(0.01)
        self.kill()
        raise RuntimeError("it did not start")

    def kill(self, how=signal.SIGKILL):
        if self.child:
            os.kill(self.child, how)
            os.waitpid(self.child, 0)
            self.child = 0

    def close(self):
        self.kill()
        self.socket.close()

    def ask(self, method, path, body=None, kind="application/json", within=30):
        """(status, answer as data). Raises OSError where none comes."""
        line = http.client.HTTPConnection("127.0.0.1", self.port, timeout=within)
        try:
            data = body if isinstance(body, bytes | None) else json.dumps(body).encode()
            line.request(method, path, data, {"content-type": kind, "connection": "close"})
            answer = line.getresponse()
            raw = answer.read()
            return answer.status, json.loads(raw) if raw[:1] in (b"{", b"[") else raw
        except http.client.HTTPException as error:
            raise OSError(str(error)) from error
        finally:
            line.close()

    def jobs(self):
        return [row["id"] for row in self.ask("GET", "/api/jobs")[1]]


def rename(revision, name, key):
    return {
        "revision": revision,
        "edits": [{"op": "set_fields", "values": {"name": name}}],
        "edit_id": key,
        "author": "Wren",
    }


def roll_test(note, key):
    values = {"test": "roll", "at": [1000, 1000], "passed": True, "note": note}
    return {"id": key, "kind": "ground-test", "revision": 1, "values": values, "who": "Fern"}
