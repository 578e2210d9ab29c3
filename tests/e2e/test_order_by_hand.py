"""What a hand does beside the main path of Order: a stake dragged, the last load said, what stops the call, ways of the order, degrees typed."""

import re

from playwright.sync_api import expect
from tests.e2e.test_order_lens import opened
from tests.e2e.test_screed_by_hand import drag, middle


def test_a_stake_is_dragged_and_that_truck_is_late_until_it_is_let_go(page):
    verdict = opened(page, "trucks")
    expect(verdict).to_have_text("Every 40 minutes.")
    x, y = middle(page, "[data-stake='2']")
    drag(page, (x, y), (x + 70, y))
    expect(page.get_by_text(re.compile(r"Truck 2, \d+ min late"))).to_be_visible()
    expect(verdict).to_have_text("Every 40 minutes?")
    page.get_by_role("slider", name=re.compile("Truck 3 stands here")).press("ArrowRight")
    expect(page.get_by_text("Truck 3, 5 min late")).to_be_visible()
    page.get_by_role("button", name="Let go").click()
    expect(verdict).to_have_text("Every 40 minutes.")
    expect(page.get_by_text(re.compile("min late"))).to_have_count(0)


def test_the_last_load_is_said_after_the_call_and_a_word_is_no_load(page):
    verdict = opened(page, "call")
    page.get_by_role("button", name="read back: How much?").click()
    page.get_by_role("button", name="The plant has it").click()
    expect(verdict).to_have_text(re.compile(r"Called \d+:\d\d"))
    last = page.get_by_label(re.compile("^The last load"))
    last.fill("a bit")
    page.get_by_role("button", name="They have the last load").click()
    expect(page.get_by_role("alert")).to_contain_text("like 5 1/2")
    expect(last).to_have_value("a bit")
    page.reload()
    expect(last).to_have_value("a bit")
    last.fill("4 1/2")
    page.get_by_role("button", name="They have the last load").click()
    expect(last).to_have_value("")
    expect(verdict).to_have_text(re.compile(r"Called \d+:\d\d"))
    page.keyboard.press("/")
    page.keyboard.type("called the plant")
    expect(page.get_by_role("option").or_(page.locator("[data-found]")).first).to_be_visible()


def test_the_crew_orders_by_least_cost_from_ways_and_a_wrong_figure_is_said_there(page):
    page.get_by_role("link", name="Ways", exact=True).click()
    field = page.get_by_label("A waiting truck, $ an hour")
    field.fill("a lot")
    field.press("Enter")
    expect(page.get_by_role("alert").first).to_be_visible()
    field.fill("240")
    field.press("Enter")
    expect(field).to_have_value("240")
    bumps = page.get_by_label("Bumps of the base")
    bumps.fill("1/4 in")
    bumps.press("Enter")
    expect(bumps).to_have_value(re.compile("1/4″"))
    page.get_by_role("button", name="Least cost").click()
    expect(page.get_by_role("button", name="Least cost")).to_have_attribute("aria-pressed", "true")
    page.get_by_role("link", name="Yard").click()
    expect(page.locator("[data-job^='Tansy'] .yards b")).to_contain_text("24")


def test_degrees_are_typed_as_the_job_measures_and_a_word_is_refused_beside_the_field(page):
    opened(page, "mix")
    air = page.get_by_label("Air when it is placed, °F")
    expect(air).to_have_value("57")
    air.fill("warm")
    air.press("Enter")
    expect(page.get_by_role("alert")).to_be_visible()
    air.fill("20 C")
    air.press("Enter")
    expect(air).to_have_value("68")
    page.get_by_label("Air at noon, °F").fill("95")
    page.get_by_label("Air at noon, °F").press("Enter")
    expect(page.locator("[data-mix-line='setting']")).to_contain_text("retarded")
