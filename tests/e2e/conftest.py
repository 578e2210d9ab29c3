"""A demo server of its own and a headless browser, for every worker."""

import shutil
import socket
import subprocess
import sys
import time
import urllib.request

import pytest
from playwright.sync_api import expect, sync_playwright

from humble_trowel.bench import CHROMIUM_ARGS

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


@pytest.fixture
def server(tmp_path):
    server = Server(tmp_path)
    server.start()
    yield server
    server.kill()


@pytest.fixture
def page(browser, server):
    yield from fresh_page(browser, server, 1280, 800)


@pytest.fixture
def phone(browser, server):
    yield from fresh_page(browser, server, 390, 844)


def fresh_page(browser, server, width, height):
    """A page that fails the test on any script error or request to elsewhere."""
    context = browser.new_context(viewport={"width": width, "height": height}, has_touch=width < 600)
    page = context.new_page()
    page.set_default_timeout(15_000)
    wrong = []
    page.on("pageerror", lambda error: wrong.append(str(error)))
    page.on("request", lambda request: request.url.startswith(server.url) or wrong.append(request.url))
    page.goto(server.url)
    yield page
    context.close()
    assert wrong == []
