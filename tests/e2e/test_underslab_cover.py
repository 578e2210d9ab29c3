"""What covers the ground and tests of lines, by hand: a leak found and a line passed with the stand-in, sheets and boards laid."""

import re

from playwright.sync_api import expect
from tests.e2e.test_axe import AXE, BROKEN, SMALL


def opened(page, tab):
    page.get_by_role("link", name=re.compile("Tansy")).first.click()
    expect(page.locator("[data-side='0']")).to_be_attached()
    page.goto("/".join(page.url.split("/")[:5]) + f"/underslab?tab={tab}")
    return page.locator("[data-verdict-is] p").first


def test_a_stand_pipe_test_fails_by_a_leak_and_passes_when_it_is_mended(page):
    verdict = opened(page, "tests")
    expect(verdict).to_have_text("Three lines to test.")
    expect(page.locator("[data-cap]")).to_have_count(3)
    expect(page.locator("[data-fill]")).to_be_attached()
    page.get_by_role("button", name="It stands. Start the clock").click()
    expect(page.get_by_role("alert")).to_contain_text("not read at the start")
    page.get_by_role("button", name="Stand-in gauge").click()
    page.get_by_role("button", name="Switch it on").click()
    page.get_by_role("button", name="Read it now").click()
    expect(page.get_by_label("water over the floor, at the start")).to_have_value(re.compile("mm$"))
    page.get_by_role("button", name="It stands. Start the clock").click()
    expect(page.get_by_role("timer")).to_contain_text("of 15 min")
    page.reload()  # the clock goes on
    expect(page.get_by_role("timer")).to_contain_text("of 15 min")

    page.get_by_role("button", name="Stand-in gauge").click()
    page.get_by_role("button", name="Switch it on").click()
    page.get_by_label(re.compile("it misbehaves")).click()
    page.get_by_role("option", name="is unplugged").click()
    page.get_by_role("button", name="Read it now").click()
    expect(page.get_by_text("it is unplugged")).to_be_visible()
    page.get_by_label(re.compile("it misbehaves")).click()
    page.get_by_role("option", name="leaks slowly").click()
    page.get_by_role("button", name="Read it 15 min later").click()
    page.get_by_role("button", name="Keep the end").click()
    expect(page.locator("[data-told='failed']")).to_contain_text("It leaks.")
    expect(verdict).to_have_text("One line leaks.")

    page.get_by_role("button", name="Write down one that is over").click()
    page.get_by_label("water over the floor, at the start").fill("5' 2")
    page.get_by_label("water over the floor, at the end").fill("5' 2")
    page.get_by_label("started").fill("2026-06-14 09:40")
    page.get_by_label("ended").fill("2026-06-14 09:20")
    page.get_by_role("button", name="Keep the test").click()
    expect(page.get_by_role("alert")).to_contain_text("ends before it starts")
    expect(page.get_by_label("ended")).to_have_value("2026-06-14 09:20")  # nothing typed is lost
    page.get_by_label("ended").fill("2026-06-14 10:00")
    page.get_by_role("button", name="Keep the test").click()
    expect(page.locator("[data-told='passed']")).to_contain_text("Held 20 min, fell nothing.")
    expect(verdict).to_have_text("Two lines to test.")
    page.get_by_role("radio", name="Tubing").click()
    expect(page.get_by_text("Hold 100 psi for 30 min.")).to_be_visible()
    expect(page.locator("[data-tube]")).to_have_count(2)


def test_sheets_are_laid_by_the_school_that_is_pressed(page, phone, server):
    verdict = opened(page, "barrier")
    expect(verdict).to_have_text("Two rolls, 66 ft of tape, 8 boots.")
    expect(page.locator("[data-sheet]")).to_have_count(3)
    wide = page.get_by_label("Roll, wide")
    wide.fill("2 in")
    wide.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("No roll is that narrow")
    wide.fill("20")
    wide.press("Enter")
    expect(page.locator("[data-sheet]")).to_have_count(2)
    page.get_by_role("group", name=re.compile("Under S1")).get_by_role("radio", name="Under sand").click()
    expect(page.get_by_text("2″ of sand laid over it")).to_be_visible()
    page.get_by_label("sheet left open for the truck").fill("1")
    page.get_by_label("sheet left open for the truck").press("Enter")
    expect(page.get_by_text("nobody said until which load")).to_be_visible()
    page.get_by_role("button", name="+ Radon pipe").click()
    done = page.get_by_label("done on")
    done.fill("2026-06-14")
    done.press("Enter")
    expect(page.get_by_text("Radon pipe is asked and not done.")).to_have_count(0)

    page.get_by_role("tab", name="Foam").click()
    expect(verdict).to_have_text("Six boards to buy.")
    expect(page.locator("[data-board]").first).to_be_attached()
    load = page.get_by_label("load on the floor")
    load.fill("2000 psf")
    load.press("Enter")
    expect(page.get_by_text(re.compile("The foam carries"))).to_be_visible()
    phone.goto(f"{server.url}{page.url.split(server.url)[1]}")
    expect(phone.locator("[data-verdict-is] p").first).to_be_visible()
    for one in (page, phone):
        one.evaluate(AXE)
        assert one.evaluate(BROKEN) == []
    assert phone.evaluate(SMALL) == []


def test_tube_is_laid_a_room_is_walked_and_a_saw_cut_clash_is_mended(page, phone, server):
    verdict = opened(page, "tubing")
    expect(verdict).to_have_text("244′ in two.")
    expect(page.locator("[data-tube]")).to_have_count(2)
    page.get_by_role("radio", name="Spiral").click()
    expect(verdict).not_to_have_text("244′ in two.")
    page.get_by_role("button", name="Extraction").click()
    expect(page.locator("[data-tube]")).to_have_count(3)
    page.locator("[data-loop='3']").click()
    expect(page.get_by_text("Lay loop 3 in")).to_be_visible()
    page.get_by_role("button", name="Extraction").click()
    expect(page.locator("[data-tube]")).to_have_count(2)
    walk = page.get_by_label("Walk a room")
    walk.fill("Kitchen room from A to B 4, from J to A 2'; 9' e, 8' n, 9' w")
    walk.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("4 what")
    page.get_by_role("alert").get_by_role("button").first.click()
    expect(page.get_by_text("Kitchen is warmed")).to_be_visible()
    expect(page.locator("[data-tube]")).to_have_count(2)
    expect(walk).to_have_value("")
    spacing = page.get_by_label("apart in the field")
    spacing.fill("1/2")
    spacing.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("twice their size")
    spacing.press("Escape")
    high = page.get_by_label("over the underside")
    high.fill("2 1/2")
    high.press("Enter")
    page.get_by_role("tab", name="Clashes").click()
    saw = page.locator("[data-clash='tube-saw']")
    expect(saw.first).to_contain_text("A saw cuts 1″ into")
    saw.first.get_by_role("button", name="Tie it lower").click()
    expect(saw).to_have_count(0)
    phone.goto(f"{server.url}{page.url.split(server.url)[1].replace('clashes', 'tubing')}")
    expect(phone.locator("[data-loop]").first).to_be_visible()
    for one in (page, phone):
        one.evaluate(AXE)
        assert one.evaluate(BROKEN) == []
    assert phone.evaluate(SMALL) == []
