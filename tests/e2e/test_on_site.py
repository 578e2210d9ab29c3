"""A laptop and phones on one site, in Chromium: joining, seeing each other, no signal, thrown out, the locked line."""

import json
import re
import shutil
import socket
import subprocess
import sys
import time
import urllib.request

import pytest
from playwright.sync_api import expect
from tests.e2e.test_axe import AXE, BROKEN, SMALL

from humble_trowel.bench import CHROMIUM_ARGS

PHONE = {"viewport": {"width": 390, "height": 844}, "has_touch": True}
LAPTOP = {"viewport": {"width": 1280, "height": 800}}


class Site:
    """The program served to the network, which is 127.0.0.9 here."""

    host = "127.0.0.9"

    def __init__(self, folder):
        self.folder, self.process = folder, None
        self.port, self.plain = self.free("127.0.0.1", 1), self.free(self.host, 2)
        self.own, self.lan = f"http://127.0.0.1:{self.port}", f"http://{self.host}:{self.plain}"
        self.locked = f"https://{self.host}:{self.plain + 1}"

    @staticmethod
    def free(host, count):
        for _ in range(50):
            with socket.socket() as probe, socket.socket() as after:
                probe.bind((host, 0))
                port = probe.getsockname()[1]
                try:
                    if count == 2:
                        after.bind((host, port + 1))
                    return port
                except OSError:
                    continue
        raise RuntimeError("no two ports beside each other")

    def start(self):
        command = [sys.executable, "-m", "humble_trowel.cli", "site", "--demo", "--port", str(self.port), "--site-port", str(self.plain),
                   "--address", self.host, "--data", str(self.folder)]  # fmt: skip
        self.process = subprocess.Popen(command, stdout=subprocess.DEVNULL)
        for _ in range(400):
            try:
                urllib.request.urlopen(f"{self.own}/api/health", timeout=2).read()  # the last to come up
                return self
            except OSError:
                time.sleep(0.05)
        raise RuntimeError("the site did not start")

    def kill(self):
        self.process.kill()
        self.process.wait(10)

    def ask(self, path, body=None):
        data = None if body is None else json.dumps(body).encode()
        asked = urllib.request.Request(f"{self.own}{path}", data, {"content-type": "application/json"})
        return json.load(urllib.request.urlopen(asked, timeout=10))

    def number(self):
        return self.ask("/api/site/number", {})["number"]

    def job(self, name):
        return next(row["id"] for row in self.ask("/api/jobs") if row["name"].startswith(name))

    def records(self, job, kind):
        return [row for row in self.ask(f"/api/jobs/{job}/records") if row["kind"] == kind]


@pytest.fixture(scope="module")
def site(tmp_path_factory):
    made = Site(tmp_path_factory.mktemp("site")).start()
    yield made
    made.kill()


@pytest.fixture
def trusting(browser):
    """A browser that takes the firm's own certificates, as a phone does that was told to."""
    args = [*CHROMIUM_ARGS, "--ignore-certificate-errors"]
    own = browser.browser_type.launch(executable_path=shutil.which("chromium"), args=args)
    yield own
    own.close()


@pytest.fixture
def open_page(browser):
    contexts = []

    def make(kind, of=browser):
        contexts.append(of.new_context(**kind))
        page = contexts[-1].new_page()
        page.set_default_timeout(15_000)
        page.wrong = []
        page.on("pageerror", lambda error: page.wrong.append(str(error)))
        return page

    yield make
    for context in contexts:
        for page in context.pages:
            assert getattr(page, "wrong", []) == []
        context.close()


def join(page, site, name="Tamsin", at="", base=None):
    digits = site.number()
    page.goto(f"{base or site.lan}{at or '/'}")
    page.get_by_role("button", name=re.compile(f"^{name}")).click()
    for digit in digits:
        page.get_by_role("button", name=digit, exact=True).click()
    page.get_by_role("button", name=f"Join as {name}, crew").click()
    page.wait_for_url(f"{base or site.lan}{at or '/'}")


def test_a_phone_joins_by_the_number_sees_what_the_laptop_changes_and_is_thrown_out(site, open_page):
    laptop, phone, job = open_page(LAPTOP), open_page(PHONE), site.job("Cole")
    laptop.goto(f"{site.own}/job/{job}/lines")
    expect(laptop.locator("#call-out")).to_be_visible()
    site.number()
    phone.goto(f"{site.lan}/job/{job}/lines")
    expect(phone.get_by_text("Cole Street bus shelter")).to_be_visible()  # the shape the laptop shows
    phone.get_by_role("button", name="Tamsin").click()
    for digit in "000000":
        phone.get_by_role("button", name=digit, exact=True).click()
    phone.get_by_role("button", name="Join as Tamsin, crew").click()
    expect(phone.get_by_role("alert")).to_contain_text("Not that one. Wait 30 s")
    time.sleep(0.1)
    other = open_page(PHONE)  # the address has to wait; the laptop restarts the count with a new start of its own
    site.kill()
    site.start()
    join(other, site, at=f"/job/{job}/lines")
    expect(other.locator("p.name")).to_contain_text("Cole Street")
    laptop.reload()
    expect(laptop.locator("[data-flag='Tamsin']")).to_be_visible()
    began = time.monotonic()
    laptop.locator("[data-size='0']").click()
    laptop.get_by_label("A to B", exact=True).fill("16'")
    laptop.get_by_role("button", name="B moves").click()
    expect(laptop.locator("[data-reading='area'] .v")).to_contain_text("112 sq ft")
    expect(other.locator("[data-reading='area']")).to_contain_text("112")
    assert time.monotonic() - began < 5
    laptop.goto(f"{site.own}/site")
    expect(laptop.locator("[data-device='Tamsin']")).to_contain_text("Lines")
    laptop.get_by_role("button", name="Throw out Tamsin").click()
    expect(other.get_by_text("This phone is not in any more")).to_be_visible()
    expect(laptop.locator("[data-device='Tamsin']")).to_contain_text("thrown out")
    other.get_by_role("link", name="Join again").click()
    expect(other.get_by_text("The gate is closed.").or_(other.get_by_text("Who are you?"))).to_be_visible()


def test_half_an_hour_without_signal_and_with_reloads_every_record_arrives_once(site, open_page, trusting):
    """Over the locked line, where the program starts on the phone without a network."""
    phone, job = open_page(PHONE, trusting), site.job("Tansy")
    at = f"/job/{job}/ground?tab=tests"
    join(phone, site, "Juno", base=site.locked)
    phone.goto(f"{site.locked}{at}")
    expect(phone.get_by_role("button", name="Rolled")).to_be_visible()
    for _ in range(100):
        if phone.evaluate("navigator.serviceWorker.controller !== null"):
            break
        phone.wait_for_timeout(100)
    phone.wait_for_timeout(9000)  # what it will want is asked for ahead, and kept when the hand rests
    before = len(site.records(job, "ground-test"))
    phone.context.set_offline(True)
    for at_n in range(3):
        phone.get_by_role("button", name="Rolled").click()
        box = phone.locator(".sheet > svg").bounding_box()
        phone.mouse.click(box["x"] + box["width"] * 0.45, box["y"] + box["height"] * 0.55)
        phone.get_by_label("Note").fill(f"without signal {at_n}")
        phone.get_by_role("button", name="Keep this test").click()
        expect(phone.get_by_text(re.compile("kept on this device"))).to_be_visible()
        phone.clock.install()
        phone.clock.fast_forward("10:00")
        phone.reload()  # a flat battery, and started again
        expect(phone.get_by_text("Out of reach. Shown as it was at")).to_be_visible()
        expect(phone.locator("[data-outbox]")).to_have_attribute("data-outbox", str(at_n + 1))
        expect(phone.get_by_role("button", name="Rolled")).to_be_visible()
    assert len(site.records(job, "ground-test")) == before
    phone.goto(f"{site.locked}/job/{job}/gate")  # never opened on this phone
    expect(phone.locator("[data-hold]").first).to_be_visible()
    expect(phone.get_by_text("Out of reach. Shown as it was at")).to_be_visible()
    phone.goto(f"{site.locked}/")
    expect(phone.get_by_role("link", name="Tansy Hollow honey house", exact=True)).to_be_visible()
    phone.goto(f"{site.locked}{at}")
    phone.context.set_offline(False)
    expect(phone.locator("[data-outbox]")).to_have_count(0)
    said = [f"without signal {n}" for n in range(3)]
    for _ in range(100):
        notes = [row["values"]["note"] for row in site.records(job, "ground-test")]
        if set(said) <= set(notes):
            break
        phone.wait_for_timeout(100)
    assert sorted(note for note in notes if note.startswith("without signal")) == said
    phone.wait_for_timeout(1500)
    assert len(site.records(job, "ground-test")) == before + 3  # once


def test_the_laptops_page_opens_closes_copies_and_puts_back(site, open_page, tmp_path):
    laptop = open_page(LAPTOP)
    laptop.goto(f"{site.own}/site")
    laptop.get_by_role("button", name="New number").click()
    expect(laptop.locator("[data-number]")).to_have_text(re.compile(r"^\d{3} \d{3}$"))
    laptop.get_by_role("button", name="Close the gate").click()
    expect(laptop.get_by_text("No number is out")).to_be_visible()
    laptop.get_by_label("name").fill("Wick")
    laptop.get_by_label("last day").fill(time.strftime("%Y-%m-%d"))
    laptop.get_by_role("button", name="Make a link").click()
    url = laptop.get_by_text("/in#look=").inner_text()
    looker = open_page(PHONE)
    looker.goto(url)
    looker.wait_for_url(re.compile("/job/.*/lines"))
    laptop.goto(f"{site.own}/site?tab=safe")
    laptop.get_by_role("button", name="Copy now").click()
    expect(laptop.get_by_text("Copied just now.")).to_be_visible()
    field = laptop.get_by_label("Second place: a folder on a stick or another disk")
    field.fill("stick")
    field.press("Enter")
    expect(laptop.get_by_role("alert")).to_contain_text("whole path")
    field.fill(str(tmp_path))
    field.press("Enter")
    expect(laptop.locator("[data-second]")).to_contain_text("Last copied there")
    laptop.get_by_role("button", name=re.compile("^Put back")).first.click()
    laptop.get_by_role("button", name="Yes, put it back").click()
    expect(laptop.get_by_role("status").filter(has_text="Put back:")).to_contain_text("4 jobs")
    laptop.goto(f"{site.own}/site?tab=laptop")
    expect(laptop.locator("[data-mark]")).to_have_text(re.compile("^([0-9A-F]{4} ?){4}$"))
    laptop.get_by_role("button", name="Close to the local network").click()
    expect(laptop.get_by_text("Closed.")).to_be_visible()
    with pytest.raises(OSError):
        urllib.request.urlopen(f"{site.lan}/api/health", timeout=2)
    laptop.get_by_role("button", name="Open to the local network").click()
    expect(laptop.get_by_text(f"{site.host}:{site.plain}").first).to_be_visible()
    assert urllib.request.urlopen(f"{site.lan}/api/health", timeout=5).status == 200


@pytest.mark.parametrize("size", [PHONE, {"viewport": {"width": 360, "height": 640}, "has_touch": True}, LAPTOP])
def test_pages_of_the_site_are_readable_and_in_reach(site, open_page, size):
    page = open_page(size)
    site.number()
    for address in (
        f"{site.lan}/in",
        f"{site.lan}/in?lock",
        f"{site.own}/site",
        f"{site.own}/site?tab=laptop",
        f"{site.own}/site?tab=safe",
    ):
        page.goto(address)
        expect(page.locator("h1")).to_be_visible()
        page.wait_for_timeout(300)
        page.evaluate(AXE)
        found = page.evaluate(BROKEN)
        assert found == [], (address, found)
        if size is not LAPTOP:
            assert page.evaluate(SMALL) == [], address
        assert page.evaluate("document.documentElement.scrollWidth <= innerWidth + 1"), address
