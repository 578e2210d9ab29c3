"""Cure in the browser: a probe read and pulled, a cylinder entered, blankets tried, a round given and done, boards and a level shot, on laptop and phone."""

import re

from playwright.sync_api import expect
from tests.e2e.conftest import fresh_page


def opened(page, tab):
    link = page.get_by_role("link", name=re.compile("Tansy")).first
    link.wait_for()
    page.evaluate("localStorage.setItem('who', 'Odo')")
    page.goto(link.evaluate("(one) => one.href").replace("/lines", f"/cure?tab={tab}"))
    page.locator("[data-practice]").wait_for()


def test_a_probe_is_read_and_pulled_and_a_cylinder_moves_the_day(page):
    opened(page, "strength")
    expect(page.locator("[data-verdict-is] p").first).to_contain_text("Build from")
    expect(page.locator("[data-ribbon]")).to_have_count(4)
    page.get_by_role("button", name="Later by + 1 day").click()
    expect(page.locator("[data-cure-now]")).to_contain_text("Fri 18 Jun")
    page.get_by_role("button", name="Read the probe").click()
    expect(page.locator("[data-probe-said]")).to_contain_text("readings taken in")
    working = page.locator("[data-room-working]")
    expect(working).to_contain_text("probe 1")
    page.get_by_role("button", name="Later by + 1 day").click()
    expect(working).to_contain_text("says nothing any more")
    expect(page.locator("[data-unread]")).to_have_count(1)
    page.get_by_label("Number").fill("7-1")
    page.get_by_label("Broke at, psi").fill("99000")
    page.get_by_role("button", name="Enter it").click()
    expect(page.get_by_role("alert").first).to_contain_text("more than this mix can reach")
    expect(page.get_by_label("Broke at, psi")).to_have_value("99000")  # nothing typed is lost
    page.get_by_label("Broke at, psi").fill("2400")
    page.get_by_role("button", name="Enter it").click()
    expect(page.locator("[data-cylinder='7-1']")).to_contain_text("2,400 psi")
    expect(page.locator("[data-reached]")).to_contain_text("1 cylinder says")
    page.get_by_role("button", name="Take it back, 7-1").click()
    expect(page.locator("[data-cylinder]")).to_have_count(0)


def test_a_round_is_given_and_done_and_blankets_are_tried_before_they_are_laid(phone):
    opened(phone, "cover")
    phone.get_by_role("button", name="Water: laid").click()
    expect(phone.locator("[data-under='wet']")).to_have_count(4)
    first = phone.locator("[data-round]").first
    who = first.get_by_role("textbox")
    who.fill("Tilda")
    who.press("Enter")
    expect(first.get_by_role("textbox")).to_have_value("Tilda")
    phone.get_by_role("button", name=re.compile("^Wetted now")).click()
    expect(first).to_have_attribute("data-round-state", "done")
    expect(first).to_contain_text("Odo")
    phone.get_by_role("button", name="Try blankets").click()
    phone.locator("[data-zone-press='Extraction']").click()
    expect(phone.locator("[data-tried='Extraction']")).to_be_attached()
    expect(phone.locator("[data-under='blankets']")).to_have_count(0)
    phone.get_by_role("button", name="Blankets are laid").click()
    expect(phone.locator("[data-room='Extraction'][data-under='blankets']")).to_be_attached()


def test_boards_come_off_and_a_shot_stands_where_it_was_tapped(page):
    opened(page, "work")
    for _ in range(2):
        page.get_by_role("button", name="Later by + 1 day").click()
    sides = page.locator("[data-side-off]")
    count = sides.count()
    expect(page.locator("[data-side-state='open']").first).to_be_visible()
    page.get_by_role("button", name=re.compile("^Off, ")).first.click()
    expect(page.locator("[data-side-state='off']")).to_have_count(1)
    expect(page.locator("[data-board-on]")).to_have_count(count - 1)
    page.get_by_role("button", name="Over", exact=True).click()
    expect(page.get_by_role("alert")).to_contain_text("Tap on the plan first")
    box = page.locator("[data-tap-level]").bounding_box()
    for share, size in ((0.3, "0"), (0.5, "3/4"), (0.7, "0")):
        page.mouse.click(box["x"] + box["width"] * share, box["y"] + box["height"] * 0.75)
        expect(page.locator("[data-spot-tapped]")).to_be_attached()
        page.get_by_label("Over or under, like 1/4").fill(size)
        page.get_by_role("button", name="Over", exact=True).click()
        expect(page.locator("[data-spot-tapped]")).to_have_count(0)
    expect(page.locator("[data-shot]")).to_have_count(3)
    page.mouse.click(box["x"] + box["width"] * 0.4, box["y"] + box["height"] * 0.75)
    page.get_by_label("Over or under, like 1/4").fill("1/8")
    page.get_by_role("button", name="Under", exact=True).click()
    expect(page.locator("[data-shot]")).to_have_count(4)
    expect(page.locator("[data-shot]").last).to_contain_text("under")


def test_all_boards_off_go_back_to_the_rack_and_a_crack_and_foam_are_told(page):
    opened(page, "work")
    for _ in range(2):
        page.get_by_role("button", name="Later by + 1 day").click()
    sides = page.locator("[data-side-off]").count()
    expect(page.locator("[data-side-state='open']")).to_have_count(sides)
    for n in range(sides):
        page.get_by_role("button", name=re.compile("^Off, ")).first.click()
        expect(page.locator("[data-side-state='off']")).to_have_count(n + 1)
    page.get_by_role("button", name="All back to the rack").click()
    expect(page.locator("[data-rack='back']")).to_contain_text("of 2x")
    expect(page.get_by_text(re.compile("On the rack since"))).to_be_visible()
    page.get_by_role("button", name=re.compile("^Cracked, ")).first.click()
    expect(page.get_by_role("button", name=re.compile("^Take it back, [0-9]+$"))).to_have_count(1)
    foam = page.locator("[data-foam]")
    if foam.count():
        foam.first.get_by_role("button").click()
        expect(foam.first).to_contain_text("finished")


def test_a_temperature_by_hand_stays_over_a_reload_and_counts(phone):
    opened(phone, "strength")
    phone.get_by_role("button", name="Later by + 6 h").click()
    hand = phone.get_by_label(re.compile("^Temperature, by hand"))
    hand.fill("84")
    phone.reload()
    phone.locator("[data-practice]").wait_for()
    expect(hand).to_have_value("84")
    hand.locator("xpath=ancestor::form").get_by_role("button").click()
    expect(phone.locator("[data-room-working]").first).to_contain_text("by hand")
    expect(hand).to_have_value("")


def test_a_round_given_on_the_phone_stands_on_the_laptop(browser, server, page):
    opened(page, "cover")
    for phone in fresh_page(browser, server, 390, 844):
        opened(phone, "cover")
        phone.get_by_role("button", name="Water: laid").click()
        who = phone.locator("[data-round]").first.get_by_role("textbox")
        who.fill("Tilda")
        who.press("Enter")
        expect(page.locator("[data-round]").first.get_by_role("textbox")).to_have_value("Tilda")
        expect(page.locator("[data-under='wet']")).to_have_count(4)
