"""Strips in the browser: the short one mended by a press, a line dragged, one called, the slab filled by the bob, pads on the phone."""

import re

from playwright.sync_api import expect
from tests.e2e.test_axe import AXE, BROKEN, SMALL


def opened(page, tab="strips"):
    page.get_by_role("link", name=re.compile("Tansy")).first.click()
    expect(page.locator("[data-side='0']")).to_be_attached()
    page.goto("/".join(page.url.split("/")[:5]) + f"/screed?tab={tab}")
    return page.locator("[data-verdict-is] p").first


def test_the_short_strip_is_mended_by_one_press_and_the_line_is_dragged(page):
    verdict = opened(page)
    expect(verdict).to_have_text("Strip 6: the 16′ board is 9″ short. It wants 16′-9″.")
    expect(page.locator("[data-strip-row='6']")).to_contain_text("9″ short")
    page.get_by_role("button", name="Lay a pad line a").click()
    expect(verdict).to_have_text("Eight strips, ten pads.")
    expect(page.locator("[data-strip]")).to_have_count(8)
    line = page.locator("[data-pad-run='a'] > path").nth(1)
    box = line.bounding_box()
    scale = box["height"] / 18  # it is 18 ft long
    page.mouse.move(box["x"] + 1, box["y"] + box["height"] / 3)
    page.mouse.down()
    page.mouse.move(box["x"] + 1 + 6 * scale, box["y"] + box["height"] / 3, steps=5)
    page.mouse.up()
    expect(page.locator("[data-pad-line='a']")).to_contain_text("34′ e of A to 34′ e, 18′ n of A")
    page.get_by_role("button", name="Take it out, Line a").click()
    expect(verdict).to_have_text(re.compile("9″ short"))


def test_a_strip_takes_a_board_a_way_and_a_place_by_call_and_by_press(page):
    opened(page)
    call = page.get_by_label("A pad line, a strip or a truck, call it")
    call.fill("strip 99 first")
    call.press("Enter")
    expect(page.get_by_role("alert")).to_have_text("There is no strip 99.")
    expect(call).to_have_value("strip 99 first")
    call.fill("pad 9' n of A in Bottling")
    expect(page.get_by_text("Heard:")).to_be_visible()
    call.press("Enter")
    expect(page.locator("[data-strip]")).to_have_count(8)
    page.locator("[data-strip-row='1']").click()
    held = page.locator("[data-held-strip='1']")
    expect(held).to_contain_text("10′ wide, wants 10′-9″")
    held.get_by_label(re.compile("Board")).click()
    page.get_by_role("option", name="14", exact=True).click()
    expect(page.locator("[data-strip-row='1'] svg")).to_contain_text("14")
    held.get_by_role("button", name="Later").click()
    expect(page.locator("[data-held-strip='2']")).to_contain_text("Super store")


def test_the_slab_fills_as_the_bob_is_slid_and_plays(page):
    verdict = opened(page, "order")
    expect(verdict).to_have_text("Nobody is walled in. Done by 8:18.")
    expect(page.locator("[data-done='true']")).to_have_count(0)
    bob = page.get_by_role("slider", name="Time of the pour")
    bob.focus()
    for _ in range(5):
        bob.press("Shift+ArrowRight")
    bob.press("ArrowLeft")
    expect(page.locator("[data-pour-now]")).to_have_text("7:19, strip 4")
    expect(page.locator("[data-done='true']")).to_have_count(3)
    expect(page.locator("[data-front]")).to_be_visible()
    bob.press("Home")
    page.get_by_role("button", name="Play").click()
    expect(page.locator("[data-done='true']").first).to_be_attached()
    page.get_by_role("button", name="Stop").click()
    expect(page.get_by_text("goes back before strip 7")).to_be_visible()
    page.get_by_role("button", name="Later, Strip 6").click()
    expect(page.locator("[data-order-row='7']")).to_contain_text("Bottling")
    page.get_by_role("button", name="Take it out, Truck 1").click()
    expect(page.locator("[data-stand]")).to_have_count(3)
    expect(verdict).to_have_text(re.compile("not reached"))


def test_pads_are_struck_on_the_phone_without_a_signal_too(phone):
    verdict = opened(phone, "pads")
    expect(verdict).to_have_text("7 of 7 pads to strike.")
    expect(phone.locator("[data-rod-read]")).to_contain_text("4′-4 1/4")
    phone.get_by_role("button", name="A mark longer").click()
    expect(phone.locator("[data-pad-verdict='wrong']")).to_contain_text("low, add")
    for _ in range(2):
        phone.get_by_role("button", name="A mark shorter").click()
    expect(phone.locator("[data-pad-verdict='right']")).to_have_text("a hair high")
    phone.evaluate(AXE)
    assert phone.evaluate(BROKEN) == [] and phone.evaluate(SMALL) == []
    phone.get_by_role("button", name="Keep z1, go to z2").click()
    expect(verdict).to_have_text("6 of 7 pads to strike.")
    phone.context.set_offline(True)
    phone.get_by_role("button", name="Keep z2, go to y1").click()
    expect(verdict).to_have_text("5 of 7 pads to strike.")
    phone.context.set_offline(False)
    phone.get_by_role("button", name="List of pads").click()
    expect(phone.get_by_role("button", name=re.compile("z1.*struck"))).to_be_visible()
    phone.reload()
    expect(verdict).to_have_text("5 of 7 pads to strike.")
