"""The Embeds lens in the browser: studs moved and bolts follow, a bolt dragged and called, set one by one on the phone."""

import re

from playwright.sync_api import expect
from tests.e2e.test_axe import AXE, BROKEN, SMALL


def opened(page, tab, job="Tansy"):
    page.get_by_role("link", name=re.compile(job)).first.click()
    expect(page.locator("[data-side='0']")).to_be_attached()
    page.goto("/".join(page.url.split("/")[:5]) + f"/embeds?tab={tab}")
    return page.locator("[data-verdict-is] p").first


def spots(page, wall="A"):
    bolts = page.locator(f"[data-bolt^='{wall}'] rect")
    expect(bolts.first).to_be_attached()
    return [bolts.nth(i).get_attribute("x") for i in range(bolts.count())]


def test_walls_are_taken_called_and_a_stud_layout_moves_the_bolts(page):
    verdict = opened(page, "walls")
    expect(verdict).to_have_text("Eight walls.")
    page.get_by_role("button", name="A wall along every side").click()
    expect(verdict).to_have_text("Ten walls.")
    page.get_by_role("button", name=re.compile("^Orchard wall")).click()
    before = spots(page, "J")
    call = page.get_by_label("Wall along J to A, call it")
    call.fill("stoods at 24")
    call.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("stoods")
    expect(call).to_have_value("stoods at 24")  # nothing typed is lost
    call.fill("studs at 24 from 8, door 3' at 12'")
    expect(page.get_by_text("Heard:")).to_be_visible()
    call.press("Enter")
    expect(page.get_by_role("heading", name=re.compile("Orchard wall: .*studs 24.*1 opening"))).to_be_visible()
    assert spots(page, "J") != before
    page.get_by_role("button", name="Take it out").click()
    expect(verdict).to_have_text("Nine walls.")


def test_a_bolt_is_dragged_until_its_rule_holds_called_and_kept_with_a_reason(page):
    verdict = opened(page, "bolts")
    expect(verdict).to_have_text("One thing to look at.")
    expect(page.get_by_text(re.compile("bolt 6 at 22′-7"))).to_be_visible()
    reason = page.get_by_label("Keep it there, because")
    reason.fill("the framer knows")
    page.reload()
    expect(reason).to_have_value("the framer knows")  # typed, not kept, not lost
    held = page.locator("[data-held-bolt='6']")
    held.scroll_into_view_if_needed()
    box = held.bounding_box()
    middle = (box["x"] + box["width"] / 2, box["y"] + box["height"] / 2)
    page.mouse.move(*middle)
    page.mouse.down()
    page.mouse.move(middle[0] - 16, middle[1], steps=4)
    page.mouse.up()
    expect(verdict).to_have_text(re.compile("32 bolts"))
    call = page.get_by_label("Bolt 6, call it from A")
    call.fill("from C 2'")
    call.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("no end of")
    call.fill("from B 13' 4 1/2\"")
    call.press("Enter")
    expect(verdict).to_have_text("One thing to look at.")
    page.get_by_label("Keep it there, because").fill("notched on site")
    page.get_by_role("button", name="Keep it", exact=True).click()
    expect(verdict).to_have_text(re.compile("32 bolts"))
    expect(page.get_by_text("It stays: notched on site")).to_be_visible()
    page.get_by_role("button", name="Back to the rules").click()
    expect(page.get_by_text("by hand")).to_have_count(0)


def test_straps_and_a_template_are_called_on_the_plan(page):
    verdict = opened(page, "straps")
    expect(page.locator("[data-strap-row='hold-down']")).to_have_count(1)
    call = page.get_by_label("On A to B, call it")
    call.fill("leave-out at 20', 16 wide")
    call.press("Enter")
    expect(page.locator("[data-strap-row='leave-out']")).to_contain_text("20′")
    page.locator("[data-embed-area]").click(position={"x": 160, "y": 160})
    group = page.get_by_label("The group, call it")
    group.fill("4 1/2 bolts at 6, 4 deep, 2 up")
    group.press("Enter")
    expect(page.locator("[data-group='Column 2']")).to_be_visible()
    page.locator("[data-group='Column 2']").get_by_role("button", name="Take it out").click()
    expect(page.locator("[data-group='Column 2']")).to_have_count(0)
    expect(verdict).to_be_visible()


def test_bolts_are_set_one_by_one_with_a_wet_glove_and_no_signal(phone):
    verdict = opened(phone, "setting")
    expect(verdict).to_have_text(re.compile(r"of \d+ to set"))
    all_of_it = int(re.search(r"of (\d+)", verdict.inner_text())[1])
    station = phone.locator("[data-station]")
    first = station.inner_text()
    phone.get_by_role("button", name=re.compile("1 is set, go to")).click()
    expect(verdict).to_have_text(f"{all_of_it - 1} of {all_of_it} to set.")
    expect(station).not_to_have_text(first)
    phone.route("**/api/**", lambda route: route.abort())
    phone.get_by_role("button", name=re.compile("is set, go to")).click()
    expect(verdict).to_have_text(f"{all_of_it - 2} of {all_of_it} to set.")  # kept here, and counted
    phone.get_by_role("button", name="Cannot set it").click()
    phone.get_by_role("button", name="A bar is in the way").click()
    expect(phone.get_by_text("1 could not be set.")).to_be_visible()
    phone.unroute("**/api/**")
    phone.reload()
    expect(phone.get_by_text(re.compile("is not set: A bar is in the way"))).to_be_visible()
    phone.get_by_role("button", name="List").click()
    phone.get_by_role("button", name=re.compile("^3 is set")).first.click()
    expect(verdict).to_have_text(re.compile("^4[0-9] of"))
    phone.evaluate(AXE)
    assert phone.evaluate(BROKEN) == [] and phone.evaluate(SMALL) == []


def test_a_wall_inside_is_walked_and_said_anew(page):
    verdict = opened(page, "walls")
    expect(verdict).to_have_text("Eight walls.")
    page.get_by_label("Side: A to B").click()
    page.get_by_role("option", name="A wall inside").click()
    call = page.get_by_label("A wall inside, call it")
    call.fill("from 12' e; 8' n")
    call.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("was not understood")
    call.fill("from 20' e of A; 12' n; studs at 16, door 3' at 4'")
    expect(page.get_by_text("Heard:")).to_be_visible()
    expect(call).to_be_visible()  # what is tried on the plan does not take the place of what is typed
    call.press("Enter")
    expect(verdict).to_have_text("Nine walls.")
    page.get_by_role("button", name=re.compile("^Inner wall 1")).click()
    again = page.get_by_label("Inner wall 1, call it")
    again.fill("studs at 24")
    expect(page.get_by_text("Heard:")).to_be_visible()
    again.press("Enter")
    expect(page.get_by_role("button", name=re.compile("^Inner wall 1.*studs 24"))).to_be_visible()
