"""The practice yard in the browser: racked, said, shown, kept by name; on a phone without a signal; one set for the morning."""

import re

from playwright.sync_api import expect


def opened(page, server, query):
    page.goto(server.url)
    page.evaluate("localStorage.setItem('who', 'Wren')")
    page.goto(f"{server.url}/practice?{query}")
    page.locator("[data-bench] [data-verdict-is]").wait_for()


def step(page, ask, n):
    for _ in range(n):
        page.locator(f"[data-ask='{ask}']").get_by_role("button", name=re.compile("more$")).click()


def own(page, server, path):
    return page.request.get(f"{server.url}/api/practice/{path}").json()["own"]


def test_a_frame_is_racked_square_and_kept_by_name(page, server):
    right = own(page, server, "rack/1/7")
    opened(page, server, "kind=rack&level=1&seed=7")
    verdict = page.locator("[data-bench] [data-verdict-is] p").first
    expect(verdict).to_have_text("Which way do the far boards go, and how far?")
    say = page.get_by_role("button", name="Say it")
    expect(say).to_be_disabled()
    page.get_by_role("button", name=re.compile("Keep it as Wren")).click()
    page.get_by_role("radio", name=re.compile(right["way"])).click()
    typed = page.get_by_label("How far?, typed")
    typed.fill("9 yards")
    typed.press("Enter")
    expect(page.get_by_role("alert")).to_have_text("That is not on this tape.")
    step(page, "far", int(right["far"]))
    say.click()
    expect(verdict).to_have_text("Square")
    expect(page.get_by_role("region", name="How one comes to it")).to_contain_text("is the long string")
    page.get_by_role("button", name="Next one").click()
    expect(verdict).to_have_text("Which way do the far boards go, and how far?")
    expect(page.locator("[data-kind='rack']")).to_contain_text("1 of 1")
    page.goto(f"{server.url}/ways")
    expect(page.locator("[data-practised='Wren']")).to_have_text("Practised: Rack 1 of 1")
    page.goto(f"{server.url}/practice?kind=rack&level=1&seed=8")
    page.get_by_role("button", name="Take out what is kept").click()
    expect(page.get_by_text("1 answer taken out.")).to_be_visible()


def test_a_phone_practises_without_a_signal_and_sends_what_waits(phone, server):
    opened(phone, server, "kind=rod&level=1&seed=3")
    phone.get_by_role("button", name=re.compile("Keep it as Wren")).click()
    ahead = "(JSON.parse(localStorage.getItem('practice/ahead') ?? '{}')['rod/1/ft-in']?.ready ?? []).length"
    for _ in range(100):
        if phone.evaluate(ahead) == 3:
            break
        phone.wait_for_timeout(100)
    assert phone.evaluate(ahead) == 3
    phone.wait_for_timeout(2500)  # answers are kept when the hand rests
    phone.context.set_offline(True)
    phone.get_by_role("button", name="Peg 1").last.click()
    phone.get_by_role("button", name="Say it").click()
    verdict = phone.locator("[data-bench] [data-verdict-is] p").first
    expect(verdict).to_have_text(re.compile("of them wrong"))
    expect(phone.get_by_text("1 answer waits for a signal")).to_be_visible()
    phone.get_by_role("button", name="Next one").click()
    expect(verdict).to_have_text("What does the rod read, and what do the pegs want?")
    expect(phone.get_by_text("No signal: only exercises that this device has.")).to_be_visible()
    phone.context.set_offline(False)
    phone.reload()
    expect(phone.get_by_text("waits for a signal")).to_have_count(0)
    phone.get_by_role("button", name="Take out what is kept").click()
    expect(phone.get_by_text("1 answer taken out.")).to_be_visible()


def test_faults_are_pressed_on_the_plan_and_one_is_set_for_the_morning(page, server):
    right = own(page, server, "faults/1/7")
    opened(page, server, "kind=faults&level=1&seed=7")
    for key, value in right.items():
        if value == "yes":
            page.locator(f"[data-hit='{key}']").click()
    page.get_by_role("button", name="Say it").click()
    expect(page.locator("[data-bench] [data-verdict-is] p").first).to_have_text("All six, and nothing else")
    page.get_by_role("button", name="Set this one for tomorrow morning").click()
    row = page.locator("[data-given]")
    expect(row).to_contain_text("by Wren")
    page.clock.set_fixed_time(page.evaluate("new Date(Date.now() + 864e5).toISOString()"))
    page.goto(server.url)
    line = page.locator("[data-morning='faults']")
    expect(line).to_contain_text("For this morning, set by Wren: find six faults.")
    line.get_by_role("link", name="Do it").click()
    page.locator("[data-given]").get_by_role("button", name="Take back").click()
    expect(page.locator("[data-given]")).to_have_count(0)


def test_the_last_truck_is_called_while_the_day_runs(page, server):
    opened(page, server, "kind=last&level=1&seed=7&units=mm")
    page.get_by_role("button", name="Run").click()
    expect(page.locator("[data-step='when']")).not_to_have_text("0 min")
    page.get_by_role("button", name="Hold").click()
    step(page, "load", 6)
    page.get_by_role("button", name="Say it").click()
    expect(page.locator("[data-bench]")).to_contain_text("It took")


def test_a_tape_is_slid_typed_and_pressed_and_the_last_ten_stand_along_it(page, server):
    right = int(own(page, server, "rack/1/7")["far"])
    opened(page, server, "kind=rack&level=1&seed=7&units=ft-in")
    shown = page.locator("[data-step='far']")
    slide = page.get_by_role("slider", name="How far?")
    for _ in range(3):
        slide.press("ArrowRight")
    assert slide.get_attribute("aria-valuetext") == "3/16″"
    typed = page.get_by_label("How far?, typed")
    typed.fill("1 1/4")
    typed.press("Enter")
    assert slide.get_attribute("aria-valuetext") == "1 1/4″"
    expect(typed).to_have_value("")
    page.locator("[data-ask='far']").get_by_role("button", name=re.compile("less$")).click()
    assert slide.get_attribute("aria-valuetext") == "1 3/16″"
    expect(shown).to_be_visible()
    page.get_by_role("radio", name=re.compile("C and D to the")).first.click()
    page.get_by_role("button", name="Say it").click()
    expect(slide).to_have_attribute("data-disabled", "")  # what was said stands
    marks = page.get_by_role("img", name="Your last ten").locator("path[class*='stroke-[2.6px]']")
    expect(marks).to_have_count(1)
    page.get_by_role("button", name="Look at it again").click()
    expect(page.get_by_role("button", name="Say it")).to_be_disabled()
    assert right != 19  # so that this answer was beside it
