"""Retakes docs/screenshots from the demo data: one picture a view, each to be opened and judged."""

import json
import shutil
import sys
import tempfile
import urllib.request
from pathlib import Path

from playwright.sync_api import Page, Playwright, sync_playwright

from humble_trowel.bench import CHROMIUM_ARGS
from humble_trowel.bench.served import served
from humble_trowel.bench.site import joined, site

TARGET = Path(__file__).resolve().parent.parent / "docs" / "screenshots"
LAPTOP, PHONE = (1280, 800), (390, 844)


def typing(page: Page) -> None:
    page.locator("#call-out").fill("from G 6' w, 5' n 10' w 5' s")
    page.get_by_label("Zone name").fill("Drying porch")
    page.wait_for_timeout(300)


def racked(page: Page) -> None:
    page.get_by_role("radio", name="C and D to the east").click()
    for _ in range(14):
        page.get_by_role("button", name="How far?: more").click()
    page.get_by_role("button", name="Say it").click()
    page.wait_for_timeout(500)


def holds(page: Page) -> None:
    page.locator("[data-hold]").first.wait_for()
    page.wait_for_timeout(1500)


def side(page: Page) -> None:
    page.locator("[data-form-side='0'] th button").click()


def cured(page: Page) -> None:
    """The morning after: a probe in a room, read."""
    page.locator("[data-practice]").wait_for()
    page.get_by_role("button", name="Later by + 1 day").click()
    page.get_by_role("button", name="Read the probe").click()
    page.locator("[data-probe-said]").wait_for()
    page.locator("[data-ribbon]").first.scroll_into_view_if_needed()


def taught(page: Page) -> None:
    """The same day to its end, what stayed in the drum, and one lesson taken."""
    poured(page, 10_000)
    page.get_by_label("Yards left, like 1/4").fill("3/8")
    page.get_by_role("button", name="Keep", exact=True).last.click()
    page.locator("[data-lesson='left'][data-lesson-state='open']").wait_for()
    page.get_by_role("button", name="Take, Base by rod").click()
    page.locator("[data-lesson='base'][data-lesson-state='taken']").wait_for()
    page.locator("[data-lesson='trench'] button").first.scroll_into_view_if_needed()
    page.locator("#bench").evaluate("(bench) => bench.scrollTo(0, 0)")
    page.wait_for_timeout(2500)


def poured(page: Page, until_min: float = 50) -> None:
    """The demo's good day as far as twenty past seven, or farther."""
    job = page.url.split("/")[4]
    base = "/".join(page.url.split("/")[:3])
    rows = json.load(urllib.request.urlopen(f"{base}/api/jobs/{job}/pour/days/honey-house-good"))["rows"]
    for at, row in enumerate(row for row in rows if row["minute"] < until_min):
        record = {"kind": row["kind"], "who": row["who"], "values": row["values"], "revision": 1, "supersedes": None}
        body = json.dumps(record | {"id": f"picture-{at:04d}", "at_device": row["values"]["at"]}).encode()
        ask = urllib.request.Request(
            f"{base}/api/jobs/{job}/records", body, {"content-type": "application/json", "origin": base}
        )
        urllib.request.urlopen(ask).read()
    page.reload()
    page.locator("[data-act], [data-lesson]").first.wait_for()
    page.wait_for_timeout(2500)


def noon(page: Page) -> None:
    """The peg at twenty past nine, when the apron lies in the shade of the loft."""
    page.locator("[data-starts]").wait_for()
    page.get_by_role("textbox", name="An hour, or start 6").fill("9:20")
    page.keyboard.press("Enter")
    page.wait_for_timeout(400)


def pressed(page: Page) -> None:
    page.get_by_role("button", name="10", exact=True).click()
    page.get_by_role("button", name="7/8, low").click()
    page.get_by_text("Kept 4").wait_for()
    page.wait_for_timeout(500)


VIEWS = [
    ("1-yard", "/", LAPTOP, None),
    ("3-edges", "/job/{tansy}/edges", LAPTOP, None),
    ("4-order", "/job/{tansy}/order?tab=sure", LAPTOP, None),
    ("34-practice", "/practice?kind=rack&level=1&seed=7&units=ft-in", LAPTOP, racked),
    ("6-ways", "/ways", LAPTOP, None),
    ("15-forms", "/job/{tansy}/lines?tab=forms", LAPTOP, side),
    ("18-ground", "/job/{tansy}/ground", LAPTOP, None),
    ("24-day", "/job/{tansy}/gate?tab=day", LAPTOP, noon),
    ("26-holds", "/job/{tansy}/gate?tab=holds", LAPTOP, holds),
    ("10-underslab", "/job/{tansy}/underslab", LAPTOP, None),
    ("16-steel", "/job/{tansy}/steel?tab=cages", LAPTOP, None),
    ("17-bolts", "/job/{tansy}/embeds?tab=bolts", LAPTOP, None),
    ("19-strips", "/job/{tansy}/screed?tab=strips", LAPTOP, None),
    ("21-phone-rod", "/job/{tansy}/ground", PHONE, pressed),  # it leaves a shot
    ("2-lines", "/job/{tansy}/lines", LAPTOP, typing),  # it leaves an open walk
    ("31-pour", "/job/{tansy}/pour?tab=now", LAPTOP, poured),  # it leaves half a day
    ("32-cure", "/job/{tansy}/cure?tab=strength", LAPTOP, cured),  # it leaves a probe
    ("33-lessons", "/job/{tansy}/cure?tab=lessons", LAPTOP, taught),  # it leaves the rest of the day, and other ways
]


def on_site(tool: Playwright) -> None:
    """The laptop's page with phones that have joined, each at its part."""
    folder = Path(tempfile.mkdtemp(prefix="trowel-pictures-"))
    browser = tool.chromium.launch(executable_path=shutil.which("chromium"), args=list(CHROMIUM_ARGS))
    with site(folder) as (base, port, _):
        rows = json.load(urllib.request.urlopen(f"{base}/api/jobs"))
        job = next(row["id"] for row in rows if row["name"].startswith("Tansy"))
        hands = [joined(base, port, name) for name in ("Tamsin", "Birk", "Juno")]
        for hand, (lens, part, spot, waits) in zip(
            hands,
            (
                ("ground", "wing", (1800, 8200), 0),
                ("embeds", "A-B", (6000, 900), 0),
                ("screed", "strip 4", (9600, 3400), 2),
            ),
            strict=True,
        ):
            hand.ask(
                hand.open(), "/api/site/here", {"job": job, "lens": lens, "part": part, "spot_mm": spot, "waits": waits}
            )
        page = browser.new_page(viewport={"width": LAPTOP[0], "height": LAPTOP[1]})
        page.goto(f"{base}/site?job={job}")
        page.get_by_role("button", name="New number").click()
        page.wait_for_timeout(1500)
        page.screenshot(path=TARGET / "30-on-site.png")
    browser.close()
    print("docs/screenshots/30-on-site.png")


def main(wanted: list[str]) -> None:
    TARGET.mkdir(parents=True, exist_ok=True)
    folder = Path(tempfile.mkdtemp(prefix="trowel-pictures-"))
    with served(folder) as (base, _, _), sync_playwright() as tool:
        rows = json.load(urllib.request.urlopen(f"{base}/api/jobs"))
        ids = {row["name"].split("'")[0].split()[0].lower(): row["id"] for row in rows}
        browser = tool.chromium.launch(executable_path=shutil.which("chromium"), args=list(CHROMIUM_ARGS))
        for name, path, (width, height), act in VIEWS:
            if wanted and name not in wanted:
                continue
            page = browser.new_page(viewport={"width": width, "height": height}, has_touch=width < 600)
            page.add_init_script("localStorage.setItem('who', 'Wren')")
            page.goto(base + path.format(**ids))
            page.wait_for_timeout(1800)
            page.evaluate("document.fonts.ready")
            if act:
                act(page)
            page.wait_for_timeout(400)
            page.screenshot(path=TARGET / f"{name}.png")
            page.close()
            print(f"docs/screenshots/{name}.png")
        browser.close()
        if not wanted or "30-on-site" in wanted:
            on_site(tool)
    shutil.rmtree(folder, ignore_errors=True)


if __name__ == "__main__":
    main(sys.argv[1:])
