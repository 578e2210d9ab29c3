"""Finding one's way: the finder over the bench, keys along the tabs, a slab by its address."""

import re

from playwright.sync_api import expect

TANSY = "Tansy Hollow honey house"


def test_what_is_called_lights_up_and_enter_goes_there(page):
    page.get_by_role("link", name=TANSY, exact=True).click()
    page.locator("[data-side='0']").first.wait_for(state="attached")
    page.keyboard.press("/")
    box = page.get_by_placeholder(re.compile("A tab, side"))
    expect(box).to_be_focused()
    box.fill("b1 beam")
    expect(page.locator("[data-found]").first).to_contain_text("B1 beam below the slab")
    assert page.locator("[data-lit]").count() > 1
    page.keyboard.press("Enter")
    expect(page.get_by_role("tab", name="Ledger")).to_have_attribute("aria-selected", "true")
    expect(page.get_by_text("gone without it")).to_be_visible()
    page.keyboard.press("/")
    box.fill("c to d")
    page.keyboard.press("Enter")
    expect(page.get_by_text(re.compile("Cut across C to D"))).to_be_visible()
    page.keyboard.press("/")
    box.fill("b9")
    expect(page.get_by_text("Nothing called b9. B1 is near.")).to_be_visible()
    box.fill("bus")
    page.keyboard.press("Enter")
    expect(page.locator("header .name")).to_contain_text("Cole Street bus shelter")


def test_escape_gives_the_bench_and_the_focus_back(page):
    page.get_by_role("link", name=TANSY, exact=True).click()
    tab = page.get_by_role("tab", name="Walk")
    tab.focus()
    page.keyboard.press("ArrowRight")
    expect(page.get_by_role("tab", name="Around")).to_be_focused()
    expect(page.get_by_role("tab", name="Around")).to_have_attribute("aria-selected", "true")
    page.keyboard.press("/")
    page.keyboard.type("rule book")
    page.keyboard.press("Escape")
    expect(page.get_by_role("tab", name="Around")).to_be_focused()
    expect(page.get_by_role("tabpanel")).to_be_visible()


def test_a_slab_by_its_address_opens_where_work_is_left_and_the_yard_finds_too(page):
    page.get_by_role("link", name=TANSY, exact=True).wait_for()
    page.keyboard.press("/")
    page.keyboard.type("tansy")
    expect(page.locator("[data-found='job']").first).to_contain_text(TANSY)
    page.keyboard.press("Enter")
    page.wait_for_url(re.compile("/job/.*/(lines|ground|edges|order)$"))
    expect(page.locator("a[aria-current='step']")).not_to_have_attribute("data-state", "tight")


def test_under_a_thumb(phone):
    phone.get_by_role("link", name=TANSY, exact=True).click()
    phone.locator("[data-side='0']").first.wait_for(state="attached")
    phone.get_by_role("button", name="Find").click()
    phone.get_by_placeholder(re.compile("A tab, side")).fill("rod card")
    phone.locator("[data-found]").first.click()
    expect(phone.locator("#rod-reading")).to_be_visible()
    assert phone.evaluate("document.documentElement.scrollWidth") <= 390
