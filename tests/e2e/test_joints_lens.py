"""Joints in the browser: a joint dragged until its finding clears, one called, a layout taken, the saw list on the phone."""

import re

from playwright.sync_api import expect
from tests.e2e.test_axe import AXE, BROKEN, SMALL


def opened(page, job="Tansy"):
    page.get_by_role("link", name=re.compile(job)).first.click()
    expect(page.locator("[data-side='0']")).to_be_attached()
    page.goto("/".join(page.url.split("/")[:5]) + "/screed?tab=joints")
    return page.locator("[data-verdict-is] p").first


def test_a_joint_is_dragged_until_nothing_may_crack(page):
    verdict = opened(page)
    expect(verdict).to_have_text("It may crack in one place.")
    expect(page.locator("[data-panel-fails='J2']")).to_have_count(2)
    wide = page.locator("[data-joint] > path:nth-child(2)").evaluate_all(
        "(all) => all.map((one) => { const b = one.getBoundingClientRect(); return [b.x, b.y, b.width, b.height] })"
    )
    x, y, _, high = min((one for one in wide if one[2] < 8 and one[3] > 150), key=lambda one: one[0])
    scale = high / 18  # it is 18 ft long
    page.mouse.move(x + 1, y + high / 4)
    page.mouse.down()
    page.mouse.move(x + 1 - 4 * scale, y + high / 4, steps=5)
    page.mouse.up()
    expect(verdict).to_have_text(re.compile("none should crack by itself"))
    expect(page.locator("[data-panel-fails]")).to_have_count(0)
    expect(page.locator("[data-held-joint]")).to_contain_text("18′")
    page.get_by_role("radio", name="Tooled").click()
    expect(page.get_by_role("button", name=re.compile("Tooled from"))).to_be_visible()


def test_a_joint_is_called_and_a_wrong_one_says_why(page):
    opened(page)
    call = page.get_by_label("A joint, call it")
    call.fill("0 e of A")
    call.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("edge of the slab")
    expect(call).to_have_value("0 e of A")
    expect(page.locator("[data-joint]")).to_have_count(6)
    before = page.locator("[data-joint]").count()
    call.fill("7' e of A")
    expect(page.get_by_text("Heard:")).to_be_visible()
    call.press("Enter")
    expect(page.locator("[data-joint]")).to_have_count(before + 1)
    page.get_by_role("button", name=re.compile("^1 Sawn")).click()
    page.locator("[data-held-joint]").get_by_role("button", name="Take it out").click()
    expect(page.locator("[data-joint]")).to_have_count(before)


def test_a_layout_is_taken_on_the_phone(phone):
    verdict = opened(phone)
    phone.locator("[data-proposal='36']").click()
    expect(verdict).to_have_text(re.compile("none should crack by itself"))
    expect(phone.locator("[data-proposal='36']")).to_have_attribute("aria-pressed", "true")
    expect(phone.get_by_text(re.compile("ft of joints"))).to_be_visible()
    phone.evaluate(AXE)
    assert phone.evaluate(BROKEN) == [] and phone.evaluate(SMALL) == []
