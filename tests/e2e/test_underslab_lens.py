"""What is buried, by hand: clashes mended by a press, a riser from two faces, a run walked, in the hand too."""

import re
from contextlib import suppress

from playwright.sync_api import TimeoutError, expect
from tests.e2e.test_axe import AXE, BROKEN, SMALL


def test_a_run_is_walked_a_riser_set_and_clashes_are_mended(page, phone, server):
    page.get_by_role("link", name=re.compile("Tansy")).first.click()
    expect(page.locator("[data-side='0']")).to_be_attached()
    page.goto("/".join(page.url.split("/")[:5]) + "/underslab")
    verdict = page.locator("[data-verdict-is] p").first
    expect(verdict).to_have_text("Two clashes.")
    expect(page.get_by_role("img", name="D2 along its length")).to_contain_text("B1, 3″ sleeve")
    foam = page.locator("[data-clash='pipe-in-foam']")
    foam.get_by_role("button", name="Lower it").click()
    expect(foam).to_have_count(0)
    for _ in range(6):  # what is lowered may come near another
        page.wait_for_timeout(600)
        if page.locator("[data-clash]").count() == 0:
            break
        with suppress(TimeoutError):  # it may be gone before it is pressed
            page.locator("[data-clash]").first.get_by_role("button", name="Lower it").click(timeout=2000)
    expect(verdict).to_have_text("Nothing is in the way.")

    call = page.locator("#buried-call")
    call.fill("D4 3 drain from A to B 4, from B to C 6'; 8' w, 1/4")
    page.locator("#buried-heard button").first.click()
    expect(page.get_by_text("D4, 3″ drain, 8′ long")).to_be_visible()
    expect(page.locator("[data-run='D4']")).to_be_attached()  # drawn before it is kept
    call.press("Enter")
    expect(page.get_by_text("D4: how deep it starts is guessed")).to_be_visible()
    starts = page.get_by_label("starts at, a guess")
    starts.fill("deep")
    starts.press("Enter")
    expect(page.get_by_role("alert")).to_be_visible()
    starts.fill("20 below")
    starts.press("Enter")
    expect(page.get_by_label("starts at", exact=True)).to_have_value("20″ below")
    page.get_by_label("falls", exact=True).fill("0")
    page.get_by_label("falls", exact=True).press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("A drain falls the way it runs")
    page.get_by_label("falls", exact=True).press("Escape")

    page.get_by_role("radio", name="a riser").click()
    call.fill("post column 6 from A to B 5', from J to A 6'")
    call.press("Enter")
    expect(page.locator("[data-riser='post']")).to_be_attached()
    place = page.get_by_label("place, from two faces")
    expect(place).to_have_value("from A to B 5′, from J to A 6′")
    place.fill("from A to B 60', from J to A 6'")
    place.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("outside of the slab")
    place.fill("from A to B 7', from J to A 6'")
    place.press("Enter")
    expect(page.get_by_role("row", name=re.compile("post"))).to_contain_text("7′")

    ring = page.locator("[data-riser='post'] circle").nth(1).bounding_box()
    spot = (ring["x"] + ring["width"] / 2, ring["y"] + ring["height"] / 2)
    page.mouse.move(*spot)
    page.mouse.down()
    page.mouse.move(spot[0] + 30, spot[1] - 20, steps=4)
    page.mouse.up()
    expect(page.get_by_text("post moved")).to_be_visible()
    expect(place).not_to_have_value("from A to B 7′, from J to A 6′")

    page.get_by_role("tab", name="Check").click()
    expect(verdict).to_have_text("Nine to tape.")
    page.get_by_role("button", name="It is on").click()
    expect(verdict).to_have_text("Eight to tape.")
    expect(page.get_by_text("floor drain, from face")).to_have_count(2)  # the next is offered by itself
    tape = page.get_by_label(re.compile("^You tape")).first
    tape.fill("40'")
    page.get_by_role("button", name="Keep what I taped").click()
    expect(page.get_by_role("alert")).to_contain_text("another place than floor drain's")
    tape.fill("9' 2")
    page.get_by_role("button", name="Keep what I taped").click()
    expect(verdict).to_have_text("One off.")
    page.get_by_label(re.compile("^You tape")).nth(1).focus()
    page.locator(".grid-cols-6 button").last.click()  # an inch more, under the thumb
    page.get_by_role("button", name="Keep what I taped").click()
    expect(verdict).to_have_text("Two off.")

    phone.goto(f"{server.url}{page.url.split(server.url)[1]}")
    expect(phone.locator("[data-verdict-is] p").first).to_be_visible()
    for one in (page, phone):
        one.evaluate(AXE)
        assert one.evaluate(BROKEN) == []
    assert phone.evaluate(SMALL) == []
