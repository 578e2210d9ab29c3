"""The rule book and what is typed but not kept, in the browser."""

import re

from playwright.sync_api import expect


def opened(page, turn, job="Tansy"):
    page.locator(f"a.name:has-text('{job}')").click()
    expect(page.locator("[data-reading='order'] .v")).to_be_visible()
    page.goto(f"{page.url.rsplit('/', 1)[0]}/{turn}")


def test_from_a_working_to_its_rule_a_try_and_the_countys_word(page):
    opened(page, "order")
    page.locator("[data-part='a'] .num").click()
    page.get_by_role("link", name="In the rule book").click()
    expect(page.get_by_role("heading", name="A slab's volume")).to_be_visible()
    expect(page.get_by_text("5.926 yd³")).to_be_visible()
    page.get_by_label("Length", exact=True).fill("24")
    expect(page.get_by_text("24 what?")).to_be_visible()
    page.get_by_role("button", name="24'").click()
    page.get_by_label("Thickness", exact=True).fill("6")
    expect(page.get_by_text("8.889 yd³")).to_be_visible()
    page.get_by_placeholder(re.compile("Find a rule")).fill("undisturbed")
    expect(page.get_by_role("tab")).to_have_count(1)
    limit = page.locator("[data-limit='bury']")
    limit.get_by_label("Your county says").fill("30")
    limit.get_by_role("button", name="Keep it").click()
    expect(limit.get_by_text("Who said so? A name at the county")).to_be_visible()
    limit.get_by_label("Who said so").fill("Ann, permit desk")
    limit.get_by_role("button", name="Keep it").click()
    expect(limit.locator(".pen")).to_contain_text("Ann, permit desk")
    page.get_by_role("button", name="‹ Back").click()
    page.goto(page.url.replace("/order", "/edges?tab=cut"))
    expect(page.get_by_text("Your county says 30″: Ann, permit desk").first).to_be_visible()


def test_what_is_typed_stays_when_a_desk_is_left_and_over_a_reload(page):
    opened(page, "ground?tab=laser")
    page.locator("#mark-name").fill("nail in the post")
    page.locator("#mark-level").fill("4 in below")
    page.get_by_role("link", name="Edges").click()
    page.wait_for_url("**/edges*")
    page.get_by_label("New edge type").fill("14 wide 20 deep")
    page.reload()
    expect(page.get_by_label("New edge type")).to_have_value("14 wide 20 deep")
    page.goto(page.url.split("/edges")[0] + "/ground?tab=laser")
    expect(page.locator("#mark-name")).to_have_value("nail in the post")
    expect(page.locator("#mark-level")).to_have_value("4 in below")


def test_a_size_pressed_is_typed_over_and_kept_on_leaving(page):
    opened(page, "edges?tab=cut")
    page.locator("[data-size='slab-thickness-S2']").first.click()
    box = page.get_by_label("S2 thickness", exact=True)
    expect(box).to_be_focused()
    page.keyboard.type("7")
    expect(box).to_have_value("7")
    page.locator("h1").click()
    expect(page.locator("[data-size='slab-thickness-S2']").first).to_contain_text("7")


def test_a_barrier_can_be_kept_where_stone_was(page):
    opened(page, "ground?tab=stack", "Ferrier")
    page.get_by_role("button", name="+ graded stone").click()
    page.locator(".stack li").nth(-2).get_by_role("combobox").first.click()
    page.get_by_role("option", name="barrier", exact=True).click()
    keep = page.get_by_role("button", name="Keep this build-up")
    keep.click()
    expect(keep).to_have_count(0)
    page.reload()
    expect(page.locator(".stack li[data-kind='barrier']")).to_have_count(2)


def test_second_pours_stand_on_the_order_and_the_book_holds_on_a_phone(page, phone):
    opened(page, "order")
    pours = page.locator("[data-second-pours]")
    expect(pours).to_contain_text("Chiller pad")
    expect(pours).to_contain_text("Store kerb")
    expect(page.get_by_text("the slab dips")).to_be_visible()
    phone.goto(f"{phone.url}rules?source=shallow-frost")
    expect(phone.get_by_role("heading", name="Shallow edge in foam")).to_be_visible()
    assert phone.evaluate("document.documentElement.scrollWidth <= innerWidth")
    phone.get_by_label("Air-freezing index, F-days").fill("4500")
    expect(phone.get_by_text("outside the table")).to_be_visible()
