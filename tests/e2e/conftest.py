"""A demo server of its own and a headless browser, for every worker."""

import re
import shutil
import socket
import subprocess
import sys
import time
import urllib.request

import pytest
from playwright.sync_api import expect, sync_playwright

from humble_trowel.bench import CHROMIUM_ARGS
from humble_trowel.store.copies import backup, restore

expect.set_options(timeout=20_000)


class Server:
    """A demo server that can be killed and started again on the same data."""

    def __init__(self, folder):
        self.folder = folder
        with socket.socket() as probe:
            probe.bind(("127.0.0.1", 0))
            self.port = probe.getsockname()[1]
        self.url = f"http://127.0.0.1:{self.port}"
        self.process = None

    def start(self):
        command = [
            sys.executable,
            "-m",
            "humble_trowel.cli",
            "demo",
            "--port",
            str(self.port),
            "--data",
            str(self.folder),
        ]
        self.process = subprocess.Popen(command, stdout=subprocess.DEVNULL)
        for _ in range(400):
            try:
                urllib.request.urlopen(f"{self.url}/api/health", timeout=2).read()
                return
            except OSError:
                time.sleep(0.05)
        raise RuntimeError("the server did not start")

    def kill(self):
        self.process.kill()
        self.process.wait(10)


@pytest.fixture(scope="session")
def browser():
    with sync_playwright() as tool:
        browser = tool.chromium.launch(executable_path=shutil.which("chromium"), args=list(CHROMIUM_ARGS))
        yield browser
        browser.close()


@pytest.fixture(scope="session")
def demo(tmp_path_factory):
    """(a server for all tests of a worker, its data as they were)."""
    server = Server(tmp_path_factory.mktemp("demo"))
    server.start()
    pristine = tmp_path_factory.mktemp("pristine") / "trowel.sqlite3"
    backup(server.folder / "trowel.sqlite3", pristine)
    yield server, pristine
    server.kill()


@pytest.fixture
def server(demo, request):
    """The server with its data as they were before any test; standing, whatever a test before did to it."""
    server, pristine = demo
    restore(server.folder / "trowel.sqlite3", pristine, request.node.name.replace("/", "-"))
    if server.process.poll() is not None:
        server.start()
    return server


@pytest.fixture
def page(browser, server):
    yield from fresh_page(browser, server, 1280, 800)


@pytest.fixture
def phone(browser, server):
    yield from fresh_page(browser, server, 390, 844)


def choose(page, name: str, row: str) -> None:
    """Takes a row of a list of the kit, as a mouse does."""
    page.get_by_role("combobox", name=re.compile(f"^{name}: ")).click()
    page.get_by_role("option", name=row, exact=True).click()


def fresh_page(browser, server, width, height, touch=None):
    """A page that fails the test on any script error or request to elsewhere. touch: with fingers; phones are."""
    touch = width < 600 if touch is None else touch
    context = browser.new_context(viewport={"width": width, "height": height}, has_touch=touch)
    page = context.new_page()
    page.set_default_timeout(15_000)
    wrong = []
    page.on("pageerror", lambda error: wrong.append(str(error)))
    page.on(
        "request",
        lambda request: request.url.startswith((server.url, f"blob:{server.url}")) or wrong.append(request.url),
    )
    page.goto(server.url)
    yield page
    context.close()
    assert wrong == []
