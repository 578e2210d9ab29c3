"""Pour in the browser: a ticket in three presses without signal while the laptop watches, the last truck said, a wrong mix sent back, acts,
trouble, a day that is played."""

import re
import time

from playwright.sync_api import expect
from tests.e2e.conftest import fresh_page


def opened(page, tab="now"):
    link = page.get_by_role("link", name=re.compile("Tansy")).first
    link.wait_for()
    page.evaluate("localStorage.setItem('who', 'Odo')")
    page.goto(link.evaluate("(one) => one.href").replace("/lines", f"/pour?tab={tab}"))
    page.locator("[data-practice]").wait_for()


def turned(page, tab):
    page.goto(re.sub(r"tab=\w+", f"tab={tab}", page.url))
    page.locator("[data-practice]").wait_for()


def brought(page, minutes=0, yards="9", strength=""):
    """A truck is here and its ticket kept."""
    for _ in range(minutes):
        page.get_by_role("button", name="Later by 5").click()
    page.get_by_role("button", name=re.compile(r"^Truck \d is here")).click()
    if strength:
        page.get_by_label("Strength on the ticket").fill(strength)
    page.get_by_role("button", name=yards, exact=True).click()


def test_a_ticket_taken_without_signal_is_on_the_laptop_when_it_is_back(browser, server, page):
    opened(page)
    expect(page.locator("[data-act]")).to_have_attribute("data-act", "truck/1")
    for phone in fresh_page(browser, server, 390, 844):
        opened(phone, "tickets")
        phone.context.set_offline(True)
        phone.get_by_role("button", name="Truck 1 is here").click()
        phone.get_by_role("button", name="Stamped batched +1").click()
        phone.get_by_role("button", name="9", exact=True).click()
        expect(phone.locator("[data-waits]")).to_contain_text("kept on this device")
        expect(phone.get_by_role("button", name="Truck 2 is here")).to_be_visible()
        expect(page.locator("[data-act]")).to_have_attribute("data-act", "truck/1")
        phone.context.set_offline(False)
        expect(phone.locator("[data-load='1']")).to_contain_text("9 yd", timeout=40_000)
    page.reload()
    expect(page.locator("[data-act]")).to_have_attribute("data-act", re.compile("edges|gauge|strike"))
    turned(page, "tickets")
    expect(page.locator("[data-load='1']")).to_contain_text("9 yd")


def test_a_wrong_mix_says_who_decides_and_goes_back_and_the_next_takes_its_place(page):
    opened(page, "tickets")
    brought(page, strength="3000 psi")
    expect(page.locator("[data-doubt='ticket-mix']")).to_contain_text("3,000 psi, 4,000 psi was ordered")
    expect(page.locator("[data-doubt='ticket-mix']")).to_contain_text("Decides:")
    page.get_by_role("button", name="Send it back").first.click()
    expect(page.get_by_label("Why it goes back")).to_have_value(re.compile("4,000 psi was ordered"))
    page.locator("form").get_by_role("button", name="Send it back").click()
    expect(page.locator("[data-sent-back]")).to_contain_text("3,000 psi")
    expect(page.get_by_role("button", name="Truck 1 is here")).to_be_visible()
    page.get_by_label("Yards").or_(page.get_by_role("button", name="Truck 1 is here")).first.click()
    page.get_by_placeholder("As the ticket says, like 8 1/4").fill("30 yd")
    page.get_by_role("button", name="Other", exact=True).click()
    expect(page.get_by_role("alert").first).to_contain_text("more than any truck carries")
    expect(page.get_by_placeholder("As the ticket says, like 8 1/4")).to_have_value("30 yd")


def test_the_last_truck_is_weighed_said_and_read_back(page):
    opened(page, "left")
    verdict = page.locator("[data-verdict-is] p").first
    expect(verdict).to_contain_text("Say 6 yd by 7:07")
    page.get_by_role("button", name="Less").click()
    expect(page.locator("[data-weighed]")).to_contain_text("5")
    page.get_by_role("button", name="More", exact=True).click()
    page.get_by_label("Who read it back").fill("Corin")
    page.get_by_role("button", name="Said, 6 yd").click()
    expect(verdict).to_have_text("Said: 6 yd")
    expect(page.locator("[data-verdict-is]")).to_contain_text("Corin read it back")
    page.get_by_role("button", name="Undo", exact=True).first.click()
    expect(verdict).to_contain_text("Say 6 yd by 7:07")


def test_acts_are_done_put_off_and_refused_and_the_sheet_follows(page):
    opened(page)
    page.get_by_role("button", name="Here", exact=True).click()
    brought(page)
    expect(page.locator("[data-load='1']")).to_contain_text("9 yd")
    turned(page, "now")
    for _ in range(4):
        page.get_by_role("button", name="Later by 5").click()
    act = page.locator("[data-act]")
    expect(act).to_have_attribute("data-act", "edges/fill")
    page.get_by_role("button", name="Put off").click()
    expect(act).not_to_have_attribute("data-act", "edges/fill")
    page.locator("[data-number='1']").click()
    expect(page.locator("[data-strip='1']")).to_have_attribute("data-full", "true")
    set_bolts = (
        page.locator("button", has_text="Super store")
        .filter(has_text="Set")
        .or_(page.locator("[data-act^='set/']"))
        .first
    )
    expect(set_bolts).to_be_visible()
    box = page.locator("[data-tap-front]").bounding_box()
    page.mouse.click(box["x"] + box["width"] * 0.3, box["y"] + box["height"] * 0.75)
    expect(page.locator("[data-front]").first).to_be_attached()
    page.get_by_role("button", name="Cannot").click()
    expect(page.locator("[data-why] li").first).to_be_visible()
    page.locator("[data-why] li button").first.click()
    page.get_by_role("button", name="What was said").click()
    expect(page.get_by_text("cannot").first).to_be_visible()


def test_trouble_has_its_first_act_and_where_to_stop(page):
    opened(page, "trouble")
    page.get_by_role("button", name="A truck is late").click()
    expect(page.locator("[data-trouble] h2")).to_have_text("Ring the plant: where is it, how long")
    page.get_by_label("How late, minutes").fill("20")
    page.get_by_role("button", name="It happened now").click()
    expect(page.locator("[data-trouble]")).to_contain_text("since 6:30")
    expect(page.locator("[data-stop-row='1']")).to_contain_text("dowels")
    page.get_by_role("button", name="It is over").click()
    expect(page.locator("[data-verdict-is] p").first).to_have_text("What is wrong?")


def test_a_day_is_played_and_the_other_device_sees_it(browser, server, page):
    opened(page, "notes")
    for phone in fresh_page(browser, server, 360, 640):
        opened(phone)
        page.get_by_role("button", name="A day that goes well").click()
        expect(page.locator("[data-playing]")).to_be_visible()
        expect(phone.locator("[data-act]")).not_to_have_attribute("data-act", "truck/1", timeout=30_000)
    page.get_by_role("button", name="Stop", exact=True).click()
    expect(page.locator("[data-word='ticket']").first).to_contain_text("Truck 1 here")
    turned(page, "finish")
    expect(page.locator("[data-zone='Bottling']")).to_contain_text("float")


def test_the_plant_is_called_by_one_press_reads_back_wrongly_and_loses_the_order(page):
    opened(page, "left")
    verdict = page.locator("[data-verdict-is] p").first
    page.get_by_role("button", name="The plant here is a made-up one").click()
    page.get_by_role("radio", name="reads back a weaker mix").click()
    page.get_by_role("button", name="Call 6 yd").click()
    expect(page.locator("[data-plant-said]")).to_contain_text("of 3,000 psi")
    expect(page.locator("[data-read-back]")).to_contain_text("3,000 psi for 4,000 psi")
    page.get_by_role("button", name="Say it otherwise").click()
    page.get_by_role("radio", name="does as it should").click()
    page.get_by_role("button", name="Call 6 yd").click()
    expect(page.locator("[data-plant-said]")).to_contain_text("of 4,000 psi")
    expect(verdict).to_have_text("Said: 6 yd")
    expect(page.locator("[data-verdict-is]")).to_contain_text("order")
    page.get_by_role("radio", name="loses the order").click()
    page.get_by_role("button", name="Where is it?").click()
    expect(verdict).to_contain_text("Say 6 yd by")
    expect(page.get_by_text("The plant knows nothing of order")).to_be_visible()


def test_without_signal_a_phone_knows_what_to_call_and_the_laptops_clock_is_written_down(browser, server):
    for phone in fresh_page(browser, server, 390, 844):
        phone.clock.install(time=time.time() + 3600)
        opened(phone, "left")
        expect(phone.locator("[data-clock-off]")).to_contain_text("60 min ahead")
        expect(phone.get_by_role("button", name="For where there is no signal")).to_be_visible()
        phone.context.set_offline(True)
        phone.locator("[data-number='1']").click()
        row = phone.locator("[data-ahead='1']")
        expect(row).to_be_visible()
        expect(row.locator("[data-likely='true']")).to_contain_text("yd")
        phone.get_by_role("button", name="Call 6 yd").click()
        expect(phone.locator("[data-plant-said]")).to_contain_text("No signal to the plant")
        phone.context.set_offline(False)
        expect(phone.locator("[data-strip='1'][data-full='true']")).to_be_attached(timeout=40_000)


def test_joints_are_ticked_one_by_one_and_a_zone_is_given_to_somebody(page):
    opened(page, "finish")
    expect(page.locator("[data-cut]")).to_have_count(6)
    page.get_by_role("button", name="Sawn, 1", exact=True).click()
    expect(page.get_by_role("heading", name="5 of 6 joints to saw")).to_be_visible()
    done = page.locator("[data-cut-state='sawn']")
    expect(done).to_contain_text("Odo")
    done.get_by_role("button").click()
    expect(page.get_by_role("heading", name="6 of 6 joints to saw")).to_be_visible()
    who = page.get_by_label("Who floats Bottling")
    who.fill("Tamsin")
    who.press("Enter")
    page.reload()
    expect(page.get_by_label("Who floats Bottling")).to_have_value("Tamsin")
    turned(page, "notes")
    expect(page.locator("[data-word='given']")).to_contain_text("Tamsin does it")
    page.get_by_role("button", name="Take the day back").click()
    page.get_by_role("button", name=re.compile("^Strike out")).click()
    expect(page.locator("[data-word]")).to_have_count(0)


def test_an_act_is_said_aloud_where_somebody_turned_it_on(page):
    opened(page)
    page.get_by_role("button", name="Say it aloud").click()
    page.reload()
    expect(page.get_by_role("button", name="Say it aloud")).to_have_attribute("aria-pressed", "true")
