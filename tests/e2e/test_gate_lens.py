"""Gate in the browser: shadows under the slider, a start that fails and why, what buys time, a file with a clock change, a print on the phone."""

import re

from playwright.sync_api import expect


def opened(page, job="Tansy"):
    page.get_by_role("link", name=re.compile(job)).first.click()
    expect(page.locator("[data-side='0']")).to_be_attached()
    page.goto("/".join(page.url.split("/")[:5]) + "/gate?tab=day")
    return page.locator("[data-verdict-is] p").first


def float_of(page, ribbon=0):
    label = page.locator("[data-ribbon]").nth(ribbon).get_attribute("aria-label")
    return re.search(r"float ([\d:]+) to ([\d:]+)", label).groups()


def test_the_slider_moves_shadows_and_starts_say_why_not(page):
    verdict = opened(page)
    expect(verdict).to_have_text("Thu 6:30")
    shade = page.locator("[data-shade]")
    before = shade.get_attribute("d")
    peg = page.get_by_role("slider", name="Hour of the day")
    for _ in range(17):
        peg.press("ArrowRight")
    expect(page.locator("[data-moment]")).to_contain_text("9:20")
    assert shade.get_attribute("d") != before
    expect(page.locator("[data-moment]")).to_contain_text("Apron lies wholly in shade")
    box = page.get_by_role("textbox", name="An hour, or start 6")
    box.fill("half past")
    box.press("Enter")
    expect(page.get_by_text("That is no hour")).to_be_visible()
    box.fill("22:00")
    box.press("Enter")
    expect(page.locator("[data-moment]")).to_contain_text("The sun is down")
    page.locator("[data-start='7:30']").press("Enter")
    expect(page.locator("[data-why-not]")).to_contain_text("Bottling dries too fast from")
    page.locator("[data-start='7:00']").click()
    page.get_by_role("button", name="First truck at 7:00").click()
    expect(verdict).to_have_text("Thu 7:00")
    page.get_by_role("button", name="Undo", exact=True).first.click()
    expect(verdict).to_have_text("Thu 6:30")


def test_a_help_is_taken_and_a_blanket_and_the_why_of_a_ribbon_unfolds(page):
    opened(page)
    film = page.locator("[data-buys='film']")
    expect(film).to_contain_text("till")
    film.get_by_role("button").click()
    expect(film.get_by_role("button")).to_have_attribute("aria-pressed", "true")
    expect(page.locator("[data-drying]")).to_contain_text("0.09")
    page.get_by_role("button", name="Blankets").click()
    expect(page.get_by_label("laid, hours from batching")).to_have_value("10")
    page.locator("[data-ribbon]").nth(5).press("Enter")
    page.get_by_role("button", name=re.compile("Apron, load 3 Why")).click()
    expect(page.locator("[data-why='Apron']")).to_contain_text("Build on it")
    expect(page.get_by_text("four days in five within")).to_be_visible()


def test_ten_numbers_a_file_with_a_clock_change_and_what_is_wrong_with_one(page):
    verdict = opened(page, "Larkfield")
    expect(verdict).to_have_text("Which day?")
    page.get_by_label("First truck on site").fill("2027-05-03T06:30")
    page.get_by_label("First truck on site").press("Enter")
    expect(verdict).to_have_text("What is the weather?")
    page.get_by_role("button", name="Keep them").click()
    expect(page.get_by_text("All ten, please")).to_be_visible()
    for label, values in (("Air, °F", "55 70 60"), ("Humidity, %", "80 130 70"), ("Wind, mph", "3 6 4")):
        for part, value in zip(("Morning", "Noon", "Night"), values.split(), strict=True):
            page.get_by_label(f"{label}, {part}").fill(value)
    page.get_by_label("Cloud, eighths").fill("3")
    page.get_by_role("button", name="Keep them").click()
    expect(page.get_by_text("Humidity goes from 1 to 100")).to_be_visible()
    page.reload()  # what was typed is still there
    expect(page.get_by_label("Air, °F, Noon")).to_have_value("70")
    page.get_by_label("Humidity, %, Noon").fill("50")
    page.get_by_role("button", name="Keep them").click()
    expect(page.locator("[data-ribbon]").first).to_be_visible()
    expect(page.get_by_text("Where it lies")).to_be_visible()
    page.get_by_label("Time zone, like America/New_York").fill("America/New_York")
    page.get_by_label("Time zone, like America/New_York").press("Enter")
    # the clocks of Europe have changed by then; a file that stands on hours with their offset follows
    rows = "\n".join(f"2027-05-03T{hour:02d}:00-04:00,{50 + hour},60,5" for hour in range(24))
    for body, words in (
        (f"time,temp,humidity_percent,wind_mph\n{rows}", "does not say its unit"),
        ("time\n1", "no air"),
    ):
        page.locator("input[type=file]").set_input_files(
            {"name": "hut.csv", "mimeType": "text/csv", "buffer": body.encode()}
        )
        expect(page.get_by_text(re.compile(words)).first).to_be_visible()
    page.locator("input[type=file]").set_input_files(
        {"name": "hut.csv", "mimeType": "text/csv", "buffer": f"time,temp,humidity_percent,wind_mph\n{rows}".encode()}
    )
    page.locator("[data-asks='air']").get_by_role("button", name="°F").click()
    page.locator("[data-asks='height']").get_by_role("button", name="2 m", exact=True).click()
    expect(page.locator("[data-source='hut.csv']")).to_be_visible()
    expect(page.locator("[data-hour='9:00']")).to_contain_text("59 °F")


def test_what_shades_is_walked_and_raised_and_the_forecast_brings_frost(page):
    opened(page)
    page.get_by_role("button", name=re.compile("What stands about")).click()
    page.get_by_label("Walk round it").fill("from B 20' e, 9' e")
    page.get_by_label("High", exact=True).last.fill("30'")
    page.get_by_role("button", name="Stand it there").click()
    expect(page.get_by_role("alert").first).to_be_visible()
    page.get_by_label("Walk round it").fill("from A 8' s, 30' e 10' s 30' w 10' n")
    page.get_by_label("Name", exact=True).fill("Straw barn")
    expect(page.get_by_text("Straw barn, 30")).to_be_visible()
    page.get_by_role("button", name="Stand it there").click()
    expect(page.locator("[data-around='Straw barn']")).to_be_visible()
    expect(page.locator("[data-blocking='Straw barn']")).to_be_attached()
    page.locator("[data-around='Straw barn']").get_by_role("button", name="Take out").click()
    expect(page.locator("[data-around='Straw barn']")).to_have_count(0)
    page.get_by_role("button", name=re.compile("^Weather")).click()
    page.get_by_label(re.compile("^It brings")).click()
    page.get_by_role("option", name="frost").click()
    page.get_by_role("button", name="Ask it again").click()
    expect(page.get_by_text(re.compile("hours are forecast|Every hour is forecast"))).to_be_visible()


def test_on_the_phone_a_print_moves_the_clock_and_is_taken_back(phone):
    opened(phone)
    before = float_of(phone)
    ask = phone.get_by_role("button", name="I can leave a quarter-inch print")
    expect(phone.get_by_text("it is not that day")).to_be_visible()
    peg = phone.get_by_role("slider", name="Hour of the day").last
    for _ in range(16):
        peg.press("ArrowRight")
    ask.click()
    expect(phone.locator("[data-pace]")).to_contain_text("by 1 print")
    expect(phone.locator("[data-prints='1']")).to_be_attached()
    after = float_of(phone)
    assert after != before
    expect(phone.get_by_text("Next print: Extraction").first).to_be_visible()
    phone.get_by_role("button", name="Keep it for this mix").click()
    expect(phone.get_by_text("Kept for this mix.")).to_be_visible()
    phone.get_by_role("button", name="Undo 9:10").click()
    expect(phone.locator("[data-pace]")).to_contain_text("No print yet")
    assert float_of(phone) == before
    phone.get_by_role("button", name="Too soft yet").click()
    expect(phone.locator("[data-pace]")).to_contain_text("by 1 print")
    assert phone.evaluate("document.documentElement.scrollWidth <= innerWidth")
