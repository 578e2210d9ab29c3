"""Footings in the browser: laid round a slab and by themselves, a peg read on the phone."""

import re

from playwright.sync_api import expect
from tests.e2e.test_axe import AXE, BROKEN, SMALL


def lay(page, **sizes):
    for name, text in sizes.items():
        page.get_by_label(f"New footing {name}", exact=True).fill(text)
    page.get_by_role("button", name="Lay it").click()


def footings_of(page, job):
    page.get_by_role("link", name=re.compile(job)).first.click()
    expect(page.locator("[data-side='0']")).to_be_attached()
    page.goto("/".join(page.url.split("/")[:5]) + "/edges?tab=footings")
    expect(page.get_by_role("heading", name="What stands under it?")).to_be_visible()


def test_a_footing_round_the_slab_is_laid_stepped_and_its_peg_read_on_the_phone(page, phone, server):
    footings_of(page, "Tansy")
    expect(page.get_by_text("No footing.")).to_be_visible()
    lay(page, wide="16", thick="8", **{"top at": "24"})
    expect(page.get_by_role("alert")).to_contain_text("24 over or below")
    page.get_by_role("button", name="24 below").click()
    expect(page.locator("[data-verdict-is] p").first).to_contain_text(re.compile("Order 5.+ yd for the footings"))
    expect(page.locator("[data-peg]")).to_have_count(29)
    steps = page.get_by_label("steps", exact=True)
    steps.fill("at 12' up 8")
    steps.press("Enter")
    expect(page.get_by_text("end 8″ over where they began")).to_be_visible()
    steps.press("Escape")
    dug = page.get_by_label("dug wide")
    dug.fill("20")
    dug.press("Enter")
    expect(page.get_by_text("The yards follow the bucket: 20″.")).to_be_visible()

    phone.goto(f"{server.url}{page.url.split(server.url)[1]}")
    rod = phone.get_by_label("Bottom reads, Peg 1", exact=True)
    rod.fill("7' 1 1/4")
    rod.press("Enter")
    expect(phone.get_by_text("Bottom 1″ too deep.")).to_be_visible()
    expect(phone.get_by_label("Bottom reads, Peg 2", exact=True)).to_be_focused()
    rod = phone.get_by_label("Bottom reads, Peg 2", exact=True)
    rod.fill("99'")
    rod.press("Enter")
    expect(phone.get_by_role("alert")).to_contain_text("longer than the rod")
    expect(rod).to_have_value("99'")
    page.reload()
    expect(page.get_by_text("Bottom as read")).to_be_visible()
    for one in (page, phone):
        one.evaluate(AXE)
        assert one.evaluate(BROKEN) == []
    assert phone.evaluate(SMALL) == []


def test_a_footing_by_itself_is_a_job(page):
    page.get_by_role("button", name="Start a slab").click()
    page.keyboard.type("Wren wall")
    page.keyboard.press("Enter")
    expect(page.get_by_role("heading", name="Where does it start?")).to_be_visible()
    page.goto("/".join(page.url.split("/")[:5]) + "/edges")
    page.get_by_role("link", name="A footing by itself").click()
    page.get_by_label("walked along its middle").fill("24' e, 16' n, 24' w, 16' s")
    lay(page, wide="16", thick="8", **{"top at": "2' below"})
    expect(page.get_by_text("Order 3 yd for the footings.")).to_be_visible()
    expect(page.locator("[data-footing]")).to_be_visible()
    page.get_by_label("Day and hour of the footing pour").fill("2027-05-03T07:00")
    page.locator("h1").click()
    expect(page.get_by_text("Monday 3 May, 7:00.")).to_be_visible()
    page.get_by_label("its level").fill("6")
    page.get_by_label("rod on it reads").fill("4' 2")
    page.get_by_role("button", name="Set up").click()
    expect(page.get_by_role("alert")).to_contain_text("over or below")
    page.get_by_role("button", name="6 over").click()
    expect(page.get_by_role("table", name="Grade pegs")).to_contain_text("6′-8″")  # 2' below under a line at 4' 8
