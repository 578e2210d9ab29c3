"""The Steel lens in the browser: an engineer's line typed, a way changed, a mark followed from list to plan to cut, dowels called."""

import re

from playwright.sync_api import expect
from tests.e2e.conftest import choose
from tests.e2e.test_axe import AXE, BROKEN, SMALL


def opened(page, tab, job="Tansy"):
    page.get_by_role("link", name=re.compile(job)).first.click()
    expect(page.locator("[data-side='0']")).to_be_attached()
    page.goto("/".join(page.url.split("/")[:5]) + f"/steel?tab={tab}")
    return page.locator("[data-verdict-is] p").first


def test_an_engineers_line_is_heard_laid_and_kept_and_a_wrong_word_is_named(page):
    verdict = opened(page, "cages")
    expect(verdict).to_have_text("One thing does not fit.")
    expect(page.locator("[data-cage]")).to_have_count(3)
    box = page.get_by_label("E1, call it like the drawing")
    box.fill("3 #5 botom")
    expect(page.get_by_text("“botom” was not understood")).to_be_visible()
    box.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("botom")
    expect(box).to_have_value("3 #5 botom")  # nothing typed is lost
    box.fill("2 #4 bottom, 2 #4 top")
    expect(page.get_by_text("Heard:")).to_be_visible()
    expect(page.locator("[data-mark='a']")).to_contain_text("#4 bottom in E1")  # tried, not kept
    page.reload()
    expect(page.get_by_label("E1, call it like the drawing")).to_have_value("2 #4 bottom, 2 #4 top")
    page.get_by_label("E1, call it like the drawing").press("Enter")
    expect(page.locator("[data-cage='E1']")).to_contain_text("2 #4 bottom, 2 #4 top")
    page.get_by_role("radio", name="Pad P2: no steel said").click()
    page.get_by_label("P2, call it like the drawing").fill("#5 at 8 each way")
    page.get_by_label("P2, call it like the drawing").press("Enter")
    expect(page.locator("[data-cage='P2']")).to_be_visible()


def test_a_way_is_changed_and_the_lists_follow_from_list_to_plan_to_cut(page):
    verdict = opened(page, "way")
    expect(verdict).to_have_text("Four slabs, all said.")
    expect(page.locator("[data-mesh='S1']")).to_be_attached()
    page.get_by_role("button", name=re.compile("S1, Bottling")).click()
    choose(page, "S1 is held together by", "Bars")
    expect(page.locator("[data-mesh='S1']")).to_have_count(0)
    expect(page.get_by_text("It costs the most hours of tying.")).to_be_visible()
    page.get_by_role("tab", name="Lists").click()
    expect(verdict).to_have_text(re.compile(r"\d+ bars to buy, [\d,]+ lb\."))
    corner = page.locator("[data-bend='c']")
    corner.click()
    expect(corner).to_have_attribute("aria-pressed", "true")
    expect(page.get_by_text("Where c goes")).to_be_visible()
    expect(page.get_by_role("heading", name=re.compile(r"Cut \d+ bars of #5"))).to_be_visible()
    expect(page.locator("li span.text-chalk", has_text="c").first).to_be_attached()
    page.locator("body").press(".")
    expect(page.get_by_text("Where d goes")).to_be_visible()


def test_dowels_are_called_on_the_phone_and_never_hang_in_air(phone):
    page = phone
    opened(page, "dowels", "Ferrier")
    expect(page.locator("[data-dowels]")).to_contain_text("into Club floor")
    page.get_by_label("Dowels along", exact=True).select_option(label="A to B")
    box = page.get_by_label("Dowels along A to B")
    box.fill("12 mm at 400")
    box.press("Enter")
    expect(page.get_by_text("hang in the air")).to_be_visible()
    page.locator("[data-dowels='dowels A to B']").get_by_role("button", name="Take it out").click()
    expect(page.get_by_text("hang in the air")).to_have_count(0)
    page.evaluate(AXE)
    assert page.evaluate(BROKEN) == [] and page.evaluate(SMALL) == []


def test_a_key_is_called_where_dowels_are_and_bars_in_the_yard_are_cut_first(page):
    opened(page, "dowels")
    call = page.get_by_role("textbox", name=re.compile("^Dowels along"))
    call.fill("key 1 1/2 by 2")
    call.press("Enter")
    expect(page.locator("[data-key]")).to_contain_text("deep, 2″ wide")
    page.locator("[data-key]").get_by_role("button", name="Take it out").click()
    expect(page.locator("[data-key]")).to_have_count(0)
    page.get_by_role("tab", name="Lists").click()
    hand = page.get_by_label("Bars that lie in the yard: cut first, not bought")
    hand.fill("2 #5 at 20'")
    hand.press("Enter")
    expect(page.get_by_role("button", name="None of them there")).to_be_visible()
    page.get_by_role("radio", name=re.compile("^#5:")).click()
    expect(page.get_by_text("yours").first).to_be_visible()
    page.get_by_role("button", name="None of them there").click()
    expect(page.get_by_text("yours")).to_have_count(0)


def test_a_look_is_short_mended_and_kept_with_one_hand(phone):
    verdict = opened(phone, "look")
    expect(verdict).to_have_text("0 of 31 looked at.")
    phone.locator("[data-place='edge/E1']").click(force=True)
    phone.get_by_role("radio", name="cover").click()
    tape = phone.get_by_label("You tape")
    tape.fill("2")
    phone.get_by_role("button", name="Keep it, go on").click()
    expect(phone.locator("[data-look-state='short']")).to_contain_text("short.")
    expect(verdict).to_have_text("One thing to mend.")
    phone.get_by_role("button", name="Mended").click()
    expect(verdict).to_have_text("1 of 31 looked at.")
    phone.get_by_role("radio", name="clean").click()
    phone.get_by_role("button", name="Not yet").click()
    expect(verdict).to_have_text("One thing to mend.")
    phone.get_by_role("button", name="It is", exact=True).click()
    expect(verdict).to_have_text("2 of 31 looked at.")
    phone.evaluate(AXE)
    assert phone.evaluate(BROKEN) == [] and phone.evaluate(SMALL) == []


def test_the_crews_way_of_holding_steel_counts_in_every_job(page, server):
    verdict = opened(page, "chairs")
    expect(verdict).to_have_text("72 chairs.")
    back = page.url
    page.goto(f"{server.url}/ways")
    page.get_by_role("button", name="Pulled up").click()
    expect(page.get_by_role("button", name="Pulled up")).to_have_attribute("aria-pressed", "true")
    apart = page.get_by_label("Bars are sold in", exact=True)
    apart.fill("20 ft, forty")
    apart.press("Enter")
    expect(page.get_by_role("alert")).to_be_visible()
    expect(apart).to_have_value("20 ft, forty")  # nothing typed is lost
    apart.fill("20 ft, 40 ft")
    apart.press("Enter")
    page.goto(back)
    expect(page.locator("[data-verdict-is] p").first).to_have_text("Pulled up during the pour.")
    expect(page.locator("[data-chairs]")).to_have_count(0)
