"""What a hand does beside the main path: numbers and trucks dragged, rides chosen, pads misread and read again or struck by string, boards owned,
columns and a day's end, what stands up of other stages."""

import re

from playwright.sync_api import expect
from tests.e2e.test_screed_lens import opened


def middle(page, what):
    box = page.locator(what).bounding_box()
    return box["x"] + box["width"] / 2, box["y"] + box["height"] / 2


def drag(page, start, end):
    page.mouse.move(*start)
    page.mouse.down()
    page.mouse.move(*end, steps=6)
    page.mouse.up()


def test_a_number_is_dragged_onto_another_and_a_truck_to_where_it_reaches_no_more(page):
    verdict = opened(page, "order")
    expect(page.locator("[data-order-row='6']")).to_contain_text("Bottling")
    drag(page, middle(page, "[data-number='7']"), middle(page, "[data-number='6']"))
    expect(page.locator("[data-order-row='6']")).to_contain_text("Apron")
    page.get_by_role("button", name="Undo").click()
    expect(page.locator("[data-order-row='6']")).to_contain_text("Bottling")
    x, y = middle(page, "[data-stand-at='1']")
    drag(page, (x, y), (x + 90, y - 60))
    expect(verdict).to_have_text(re.compile("not reached"))
    page.get_by_label(re.compile("Brings, Truck 1")).click()
    page.get_by_role("option", name="Hose").click()
    expect(page.locator("[data-stand='1']")).to_contain_text("reaches 90′")
    expect(verdict).to_have_text(re.compile("Nobody is walled in"))


def test_a_line_is_ridden_on_as_a_rail_and_says_when_it_is_out(page):
    opened(page)
    page.get_by_role("button", name="Lay a pad line a").click()
    page.get_by_label(re.compile("Boards ride on, Line a")).click()
    page.get_by_role("option", name="Rail").click()
    expect(page.locator("[data-pad-line='a']")).to_contain_text(re.compile(r"out by \d+:\d\d"))
    expect(page.locator("[data-strip-row='6']")).to_contain_text("rail a")


def test_a_pad_that_is_wrong_is_kept_as_wrong_read_again_and_a_typed_reading_is_not_lost(page):
    verdict = opened(page, "pads")
    expect(verdict).to_have_text("7 of 7 pads to strike.")
    for _ in range(4):
        page.get_by_role("button", name="A mark shorter").click()
    expect(page.locator("[data-pad-verdict='wrong']")).to_contain_text("knock it down")
    page.get_by_role("button", name="Mend it, read again").click()
    expect(page.locator("[data-finding='pad-off']")).to_contain_text("Pad z1")
    expect(page.get_by_text("One is not right.")).to_be_visible()
    page.get_by_role("button", name="Keep z1, go to z2").click()
    expect(page.locator("[data-finding='pad-off']")).to_have_count(0)
    typed = page.get_by_label("Another reading")
    typed.fill("forty")
    page.get_by_role("button", name="Keep it").click()
    expect(page.get_by_role("alert")).to_contain_text("forty")
    expect(typed).to_have_value("forty")
    typed.fill("4' 4 1/4")
    page.get_by_role("button", name="Keep it").click()
    expect(verdict).to_have_text("5 of 7 pads to strike.")
    ladder = page.locator("[data-rod-ladder]").bounding_box()
    before = page.locator("[data-rod-read]").inner_text()
    page.mouse.click(ladder["x"] + 60, ladder["y"] + 20)
    expect(page.locator("[data-rod-read]")).not_to_have_text(before)


def test_without_a_laser_pads_are_struck_by_string(page):
    page.get_by_role("link", name=re.compile("Ferrier")).first.click()
    expect(page.locator("[data-side='0']")).to_be_attached()
    page.goto("/".join(page.url.split("/")[:5]) + "/screed")
    verdict = page.locator("[data-verdict-is] p").first
    expect(verdict).to_have_text("No strips yet.")
    page.locator("[data-take-strips]").click()
    expect(verdict).to_have_text("Four strips, six pads.")
    page.get_by_role("tab", name="Pads").click()
    expect(page.get_by_text("No laser stands")).to_be_visible()
    page.get_by_role("button", name="a1 is struck by string").click()
    expect(verdict).to_have_text("5 of 6 pads to strike.")


def test_boards_that_the_crew_owns_decide_what_is_short(page):
    page.get_by_role("link", name="Ways", exact=True).click()
    boards = page.get_by_label("Boards on the truck")
    expect(boards).to_have_value("7', 14', 16'")
    boards.fill("7, 14, lots")
    boards.press("Enter")
    expect(page.get_by_text(re.compile("lots")).last).to_be_visible()
    boards.fill("7, 14, 18")
    boards.press("Enter")
    expect(boards).to_have_value("7', 14', 18'")
    page.get_by_role("link", name="Yard").click()
    expect(opened(page)).to_have_text("Seven strips, seven pads.")


def test_a_column_gets_a_joint_of_its_own_and_a_day_ends_at_a_bulkhead(page):
    opened(page, "joints")
    page.get_by_role("radio", name="On its point").click()
    expect(page.locator("[data-isolation='diamond']")).to_be_attached()
    page.get_by_role("radio", name="Round", exact=True).click()
    expect(page.locator("[data-isolation='round']")).to_be_attached()
    page.get_by_role("radio", name="None", exact=True).click()
    expect(page.locator("[data-isolation]")).to_have_count(0)
    page.get_by_role("button", name=re.compile("^5 Sawn")).click()
    page.get_by_role("radio", name="Day's end").click()
    expect(page.get_by_text("A bulkhead stands here")).to_be_visible()
    expect(page.get_by_role("button", name=re.compile("^5 Day's end.*after strip"))).to_be_visible()


def test_what_stands_up_of_other_stages_leads_there(page):
    page.get_by_role("link", name=re.compile("Tansy")).first.click()
    expect(page.locator("[data-side='0']")).to_be_attached()
    page.goto("/".join(page.url.split("/")[:5]) + "/embeds?tab=straps")
    expect(page.locator("[data-other='supply']")).to_contain_text("heater supply")
    expect(page.locator("[data-other='manifold'] span")).to_have_text("manifold")  # not its name twice
    page.locator("[data-other='conduit']").first.get_by_role("link").click()
    page.wait_for_url(re.compile("underslab"))
