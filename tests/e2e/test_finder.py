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


def test_keys_alone_lay_a_beam_fall_a_zone_dig_and_say_the_order(page):
    page.get_by_role("link", name=TANSY, exact=True).focus()
    page.keyboard.press("Enter")
    kept = page.locator("[data-reading='order'] .d")
    page.locator("[data-side='0']").first.wait_for(state="attached")
    page.keyboard.press("3")
    expect(page.get_by_role("tab", name="Cut", exact=True)).to_be_visible()
    page.keyboard.press("}")
    expect(page.get_by_text("1 beam and 2 pads")).to_be_visible()
    page.keyboard.press(".")
    expect(page.get_by_text("A to B is pressed. Call the beams off it.")).to_be_visible()
    page.keyboard.press("c")
    page.keyboard.type("at 10' B1")
    expect(page.get_by_text("1 more beam?")).to_be_visible()
    page.keyboard.press("Enter")
    expect(kept).to_contain_text("1 B1 beam off A to B")
    page.keyboard.press("Escape")  # out of the box, on to the sheet
    page.keyboard.press("}")
    expect(page.get_by_text("from high to low")).to_be_visible()
    page.get_by_role("button", name="Bottling, S1").focus()
    page.keyboard.press("Enter")
    expect(page.locator("#call-here")).to_be_focused()
    page.keyboard.type("falls 1/8 s")
    page.keyboard.press("Enter")
    expect(kept).to_contain_text("Bottling: falls")
    page.keyboard.press("Escape")
    page.keyboard.press("2")
    page.wait_for_url("**/ground*")
    page.keyboard.press("/")
    page.keyboard.type("build-up")
    page.keyboard.press("Enter")
    page.get_by_role("button", name="+ sand blinding").focus()
    page.keyboard.press("Enter")
    expect(page.get_by_text("Dig Bottling 11″ below the floor?")).to_be_visible()
    page.keyboard.press("Escape")
    expect(page.get_by_text("Dig Bottling 10″ below the floor", exact=True)).to_be_visible()
    page.keyboard.press("8")
    expect(page.get_by_text("net of openings").first).to_be_visible()
    expect(page.locator("h1")).to_be_attached()


def test_under_a_thumb(phone):
    phone.get_by_role("link", name=TANSY, exact=True).click()
    phone.locator("[data-side='0']").first.wait_for(state="attached")
    phone.get_by_role("button", name="Find").click()
    phone.get_by_placeholder(re.compile("A tab, side")).fill("rod card")
    phone.locator("[data-found]").first.click()
    expect(phone.locator("#rod-reading")).to_be_visible()
    assert phone.evaluate("document.documentElement.scrollWidth") <= 390
