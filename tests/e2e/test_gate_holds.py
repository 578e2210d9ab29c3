"""Gate beside its day, in the browser: a look that fails on the phone and is lifted on the laptop, a hold taken on, trades dragged and called,
the week, papers with their files, changes with what they do."""

import io
import re

from icalendar import Calendar
from playwright.sync_api import expect
from pypdf import PdfReader
from tests.api.test_gate_api import pdf
from tests.e2e.conftest import fresh_page


def opened(page, tab="holds", job="Tansy"):
    link = page.get_by_role("link", name=re.compile(job)).first
    link.wait_for()
    page.goto(link.evaluate("(one) => one.href").replace("/lines", f"/gate?tab={tab}"))
    expect(page.locator("[data-verdict-is] p").first).not_to_have_text("…")
    return page.locator("[data-verdict-is] p").first


def named(page, name):
    page.evaluate("(name) => localStorage.setItem('who', name)", name)


def at_question(page, end):
    """Walk to the first question whose id ends so."""
    for _ in range(40):
        row = page.locator("[data-row]")
        if row.get_attribute("data-row").endswith(end):
            return row
        page.get_by_role("button", name="Every place").click()
        page.locator("#walk-ask li button").filter(has_text=re.compile("^[0-9]+ ")).nth(1).click()
    raise AssertionError(end)


def test_a_look_that_fails_on_the_phone_changes_the_verdict_on_the_laptop_until_it_is_lifted(browser, server, page):
    verdict = opened(page, job="Cole Street")
    expect(verdict).to_have_text("Yes. Thu 17 Jun 7:00.")
    expect(page.locator("[data-walk]")).to_contain_text("9 of 9 places tied, nothing left")
    for phone in fresh_page(browser, server, 390, 844):
        on_phone = opened(phone, job="Cole Street")
        expect(on_phone).to_have_text("Yes. Thu 17 Jun 7:00.")
        expect(phone.locator("[data-row]")).to_contain_text("Boards straight")
        phone.get_by_placeholder("A note").fill("stake by A is loose")
        phone.get_by_role("button", name="Mend", exact=True).click()
        expect(on_phone).to_have_text("No. One thing.")
        expect(phone.locator("[data-row-state='mend']")).to_contain_text("stake by A is loose")
    page.reload()
    expect(verdict).to_have_text("No. One thing.")
    hold = page.locator("[data-hold^='walk/side']")
    expect(hold).to_contain_text("stake by A is loose")
    expect(page.locator("[data-place='A to B']")).to_have_attribute("data-state", "mend")
    hold.get_by_role("button", name="To the place").click()
    page.get_by_role("button", name="Pass", exact=True).click()
    expect(verdict).to_have_text("Yes. Thu 17 Jun 7:00.")
    page.get_by_role("button", name="Undo", exact=True).first.click()
    expect(verdict).to_have_text("No. One thing.")


def test_a_soft_hold_is_taken_on_by_name_and_a_hard_one_has_no_such_button(page):
    opened(page)
    soft = page.locator("[data-hold='paper/compaction']")
    soft.get_by_role("button", name="Take it on").click()
    soft.get_by_role("button", name="Keep it").click()
    expect(soft.get_by_role("alert")).to_be_visible()
    soft.get_by_label("Your name").fill("Juno")
    soft.get_by_label("Why").fill("Rolled twice, I watched")
    soft.get_by_role("button", name="Keep it").click()
    expect(page.locator("[data-overruled='paper/compaction']")).to_contain_text("Juno: “Rolled twice, I watched”")
    hard = page.locator("[data-hold='visit/visit']")
    assert hard.get_attribute("data-hard") == "true" and hard.get_by_role("button", name="Take it on").count() == 0
    page.get_by_role("button", name="Undo: Compaction report not here").click()
    expect(soft).to_be_visible()
    page.get_by_role("button", name="She passed it").click()
    expect(hard).to_have_count(0)


def test_a_trench_is_measured_judged_while_it_is_typed_and_passed_beyond_its_limit_with_a_reason(page):
    opened(page)
    page.locator("[data-place='A to B']").click()
    page.get_by_role("button", name="Every place").click()
    page.get_by_role("button", name=re.compile("How deep is the trench")).click()
    read = page.get_by_label("You read")
    read.fill("17 1/4")
    expect(page.locator("[data-short='true']")).to_contain_text("short")
    expect(page.get_by_role("button", name="Pass", exact=True)).to_be_disabled()
    read.fill("18")
    expect(page.locator("[data-short='false']")).to_have_text("It holds.")
    read.fill("17")
    page.get_by_label("Why does it pass?").fill("Rock, seen by the engineer")
    page.get_by_role("button", name="Pass", exact=True).click()
    expect(page.get_by_role("alert")).to_contain_text("wants a name")
    assert read.input_value() == "17"
    page.get_by_role("button", name="Mend", exact=True).click()
    expect(page.locator("[data-row-state='mend'] [data-said]")).to_contain_text("17″")


def test_a_signature_is_drawn_and_kept_as_strokes(page):
    opened(page, job="Cole Street")
    box = page.locator("[data-sign-box]").first
    box.scroll_into_view_if_needed()
    at = box.bounding_box()
    page.mouse.move(at["x"] + 20, at["y"] + 60)
    page.mouse.down()
    for step in range(8):
        page.mouse.move(at["x"] + 20 + step * 20, at["y"] + 40 + (step % 2) * 30)
    page.mouse.up()
    page.get_by_label("Your name").last.fill("Oakley")
    page.get_by_role("button", name="Keep the signature").click()
    expect(page.locator("[data-signed='Oakley'] path")).to_have_attribute("d", re.compile("L.*L"))


def test_rain_is_moved_and_the_plastic_waits_a_booking_is_dragged_and_dropped(page):
    verdict = opened(page, "trades", "Ferrier")
    expect(verdict).to_have_text("Friday's rain.")
    plastic = page.locator("[data-task='barrier']")
    expect(plastic).to_have_attribute("data-start", "2027-06-21")
    page.get_by_role("button", name=re.compile("^Dry on Fri 18 Jun")).click()
    expect(plastic).not_to_have_attribute("data-start", "2027-06-21")
    page.get_by_role("button", name="Drop it").click()
    expect(plastic).to_have_attribute("data-start", "2027-06-21")
    call = page.get_by_label("Say it")
    call.fill("rain 18 0mm")
    expect(page.get_by_text("Heard:")).to_be_visible()
    call.press("Enter")
    expect(plastic).not_to_have_attribute("data-start", "2027-06-21")
    call.fill("stones 4")
    call.press("Enter")
    expect(page.get_by_role("alert").first).to_contain_text("No task is called stones")
    call.fill("")
    steel = page.locator("[data-task='steel']")
    before = steel.get_attribute("data-start")
    steel.press("ArrowRight")
    expect(page.get_by_text("A trial: nothing is kept yet.")).to_be_visible()
    page.get_by_role("button", name="Keep it").click()
    expect(steel).to_have_attribute("data-state", re.compile("stake|flag"))
    steel.press("Enter")
    page.get_by_role("button", name="Not booked any more").click()
    expect(steel).to_have_attribute("data-state", "loop")
    expect(steel).to_have_attribute("data-start", before)


def test_the_calendar_is_fetched_twice_and_its_events_are_the_same(page):
    opened(page, "trades")
    seen = []
    for _ in range(2):
        with page.expect_download() as got:
            page.get_by_role("link", name="Calendar file").click()
        seen.append({str(one["uid"]) for one in Calendar.from_ical(got.value.path().read_bytes()).walk("VEVENT")})
    assert seen[0] == seen[1] and len(seen[0]) > 4


def test_birk_is_in_two_places_until_he_is_taken_off_one(page):
    verdict = opened(page, "week")
    expect(verdict).to_have_text("Birk is in two places.")
    expect(page.locator("[data-person='Birk'][data-twice='true']")).to_have_count(2)
    page.locator("[data-person='Birk'][data-twice='true']").first.click()
    page.get_by_role("button", name="Take off that day").click()
    expect(verdict).not_to_have_text("Birk is in two places.")
    expect(page.locator("[data-clash='twice']")).to_have_count(0)
    page.get_by_role("button", name="Send there").click()
    expect(verdict).to_have_text("Birk is in two places.")
    page.get_by_role("button", name=re.compile("A week on")).click()
    expect(page.locator("[data-week='2027-06-21']")).to_be_visible()


def test_a_paper_is_brought_in_as_a_pdf_and_bound_into_the_box(page, tmp_path):
    verdict = opened(page, "papers")
    expect(verdict).to_have_text("One paper is missing.")
    wrong = tmp_path / "letter.pdf"
    wrong.write_bytes(b"%PDF-1.7 cut off")
    field = page.locator("input[type=file]")
    field.set_input_files(wrong)
    expect(page.get_by_text(re.compile("damaged or cut off")).first).to_be_visible()


def test_the_box_is_bound_and_downloaded(page):
    opened(page, "papers")
    page.locator("[data-paper='compaction']").click()
    page.locator("input[type=file]").set_input_files(
        {"name": "soil.pdf", "mimeType": "application/pdf", "buffer": pdf(3)}
    )
    expect(page.locator("[data-paper='compaction']")).to_have_attribute("data-state", "here")
    with page.expect_download() as got:
        page.get_by_role("button", name="PDF, US Letter").click()
    box = PdfReader(io.BytesIO(got.value.path().read_bytes()))
    assert any("soil.pdf" in one.title for one in box.outline) and len(box.pages) > 10


def test_a_change_is_called_weighed_kept_and_agreed(page):
    verdict = opened(page, "changes")
    expect(verdict).to_have_text("Nothing was changed.")
    page.get_by_label("What is changed, in a few words").fill("Pad for the lift")
    sheet = page.locator("section.sheet svg").first.bounding_box()
    page.mouse.click(sheet["x"] + 200, sheet["y"] + 430)
    page.get_by_label(re.compile("^Say it as a call")).fill("P1")
    expect(page.get_by_text(re.compile(r"^\+0\.\d+ yd$"))).to_be_visible()
    page.get_by_role("button", name="Keep the change").click()
    expect(page.locator("[data-change-row='1']")).to_contain_text("not agreed yet")
    expect(page.locator("[data-change='1']")).to_be_attached()
    page.get_by_label("Agreed by").fill("Ansel Crane")
    page.get_by_role("button", name="It is agreed").click()
    expect(verdict).to_have_text("One change, agreed.")
    expect(page.locator("[data-change-row='1']")).to_contain_text("agreed by Ansel Crane")


def test_the_yard_is_sorted_by_pour_and_says_what_comes_next(page):
    rows = page.locator("[data-job]")
    expect(rows.first).to_have_attribute("data-job", "Tansy Hollow honey house")
    expect(rows.nth(1)).to_contain_text("Nothing: it may be poured.")
    expect(rows.last).to_have_attribute("data-job", "Larkfield wax store")
    expect(page.locator("[data-yard-cell^='Week of']")).to_contain_text("yd")
    expect(page.locator("[data-yard-days]")).to_be_visible()


def picked(page, place, question):
    page.locator(f"[data-place='{place}']").click()
    if page.get_by_role("button", name="Every place").get_attribute("aria-expanded") != "true":
        page.get_by_role("button", name="Every place").click()
    page.get_by_role("button", name=re.compile(f"^{question}")).first.click()


def test_looks_of_steel_are_answered_on_the_walk_and_stand_in_steel(page):
    opened(page)
    picked(page, "H to I", "How much concrete will cover it")
    page.get_by_label("You read").fill('1"')
    page.get_by_role("button", name="Pass", exact=True).click()
    expect(page.locator("[data-place='H to I']")).to_have_attribute("data-state", "mend")
    picked(page, "H to I", "How many are there")
    page.get_by_label("You count").fill("40")
    page.get_by_role("button", name="Pass", exact=True).click()
    expect(page.locator("[data-walk]")).to_contain_text("2 to mend, 88 to look at")
    page.goto(page.url.split("/gate")[0] + "/steel?tab=look")
    expect(page.locator("[data-verdict-is] p").first).to_contain_text("One thing to mend")


def test_the_walk_goes_on_by_keys_and_a_person_by_words_and_arrows(page):
    opened(page)
    expect(page.locator("[data-row]")).to_contain_text("1 of 20")
    page.keyboard.press(".")
    expect(page.locator("[data-row]")).to_contain_text("2 of 20")
    page.keyboard.press(",")
    expect(page.locator("[data-row]")).to_contain_text("1 of 20")
    page.get_by_role("tab", name="Week").click()
    say = page.get_by_label("Say who goes where")
    say.fill("nobody anywhere")
    say.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("Birk thu ferrier")
    say.fill("birk thu ferrier")
    say.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("Nothing of Ferrier's Reach boat bay is booked for Thu 17 Jun")
    page.get_by_role("button", name="Fennel, Thu 17 Jun").press("ArrowDown")
    expect(page.get_by_role("button", name="Put it back")).to_be_visible()
