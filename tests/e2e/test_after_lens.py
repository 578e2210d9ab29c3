"""Cure's last tabs in the browser: a lesson taken moves the next order and is undone, how it stands, a second pour, papers; on laptop and phone."""

import re

from playwright.sync_api import expect

PLAY = """async (job) => { const day = await (await fetch(`/api/jobs/${job}/pour/days/honey-house-good`)).json()
  for (const [n, row] of day.rows.entries()) await fetch(`/api/jobs/${job}/records`, { method: 'POST',
    headers: { 'content-type': 'application/json' }, body: JSON.stringify({ id: `played-${String(n).padStart(6, '0')}`, kind: row.kind,
    revision: 1, values: row.values, who: row.who, at_device: row.values.at, supersedes: null }) }) }"""


def opened(page, tab, played=True):
    link = page.get_by_role("link", name=re.compile("Tansy")).first
    link.wait_for()
    page.evaluate("localStorage.setItem('who', 'Wren')")
    to = link.evaluate("(one) => one.href").replace("/lines", f"/cure?tab={tab}")
    if played:
        page.evaluate(PLAY, re.search(r"/job/([^/]+)/", to)[1])
    page.goto(to)
    page.locator("#bench h1").wait_for()


def test_a_lesson_taken_moves_the_next_order_and_is_undone(page):
    opened(page, "lessons")
    base = page.locator("[data-lesson='base']")
    expect(base).to_have_attribute("data-lesson-state", "open", timeout=15000)
    expect(page.locator("[data-verdict-is] p").first).to_contain_text("worth taking")
    expect(page.locator("[data-went]").first).to_contain_text("placed")
    page.get_by_role("button", name="b, Base by rod").click()
    why = page.get_by_role("textbox", name=re.compile("b because"))
    why.fill("shot by a new hand")
    page.get_by_role("button", name="Take, Base by rod").click()
    expect(base).to_have_attribute("data-lesson-state", "taken", timeout=15000)
    expect(page.locator("[data-reading='kept']")).to_contain_text("1 taken")
    expect(base).to_contain_text("shot by a new hand")
    page.goto(page.url.split("/job")[0] + "/ways")  # the crew's ways have it, so the next quote does
    low = page.get_by_label(re.compile("Base lies low|Base set by hand")).first
    expect(low).not_to_have_value(re.compile(r"^1/4"))
    page.go_back()
    page.get_by_role("button", name="Undo, Base by rod").click()
    expect(base).to_have_attribute("data-lesson-state", "open", timeout=15000)
    page.get_by_role("button", name="No, Base by rod").click()
    expect(base).to_have_attribute("data-lesson-state", "left", timeout=15000)


def test_what_was_left_and_hours_are_written_down_and_teach(phone):
    opened(phone, "lessons")
    left = phone.locator("[data-lesson='left']")
    expect(left).to_have_attribute("data-lesson-state", "nothing", timeout=15000)
    phone.get_by_label("Yards left, like 1/4").fill("1/2")
    phone.get_by_role("button", name="Keep", exact=True).last.click()
    expect(left).to_have_attribute("data-lesson-state", "open", timeout=15000)
    phone.get_by_role("button", name="Hours by task").click()
    hours = phone.get_by_label("Hours, Steel placed and tied")
    hours.fill("lots")
    phone.get_by_role("button", name="Keep, Steel placed and tied").click()
    expect(phone.get_by_role("alert")).to_contain_text("Hours, like 6.5")
    hours.fill("9")
    phone.get_by_role("button", name="Keep, Steel placed and tied").click()
    expect(phone.locator("[data-hours='tie']")).to_contain_text("took 9.0 h", timeout=15000)
    expect(phone.locator("[data-lesson='tie']")).to_have_attribute("data-lesson-state", "open")


def test_a_joint_stands_elsewhere_and_a_kerb_becomes_a_job(page):
    opened(page, "built", played=False)
    joint = page.locator("[data-thing^='joint/']").first
    joint.wait_for(state="attached")
    joint.focus()
    page.keyboard.press("Enter")
    form = page.locator("[data-as-built='joint']")
    form.get_by_role("button", name="Keep it").click()
    expect(form.get_by_role("alert")).to_contain_text("Say how far it is off")
    form.get_by_label("Right of where it is drawn").fill("2")
    form.get_by_label("Why, in your words").fill("the saw wandered")
    page.reload()
    joint.wait_for(state="attached")
    joint.focus()
    page.keyboard.press("Enter")
    expect(form.get_by_label("Right of where it is drawn")).to_have_value("2")  # nothing typed is lost
    form.get_by_role("button", name="Keep it").click()
    expect(page.locator("[data-built^='joint/']")).to_contain_text("2″ right: the saw wandered")
    expect(page.locator("[data-stands^='joint/']")).to_have_count(1)
    page.get_by_role("button", name=re.compile("^Take it back, Joint")).click()
    expect(page.locator("[data-built]")).to_have_count(0)
    page.get_by_role("button", name="Make it a job, Chiller pad").click()
    expect(page.locator("[data-made]")).to_contain_text("Chiller pad, Tansy Hollow")
    page.locator("[data-made] a").click()
    expect(
        page.get_by_role("heading", name=re.compile("Chiller pad"))
        .or_(page.get_by_text("Chiller pad, Tansy Hollow"))
        .first
    ).to_be_visible()


def test_papers_list_what_is_open_and_come_down_as_files(page):
    opened(page, "papers")
    expect(page.locator("[data-open]")).to_contain_text("joints are not sawn", timeout=15000)
    with page.expect_download() as told:
        page.get_by_role("link", name="Hand-over, A4").click()
    assert told.value.suggested_filename.endswith("-hand-over.pdf")
    with page.expect_download(timeout=60000) as told:
        page.get_by_role("button", name="One archive").click()
        expect(page.locator("[data-making]")).to_be_visible()
    assert told.value.suggested_filename.endswith(".zip")
    page.get_by_label("Number").fill("27-14")
    page.get_by_role("button", name="It went out").click()
    expect(page.locator("[data-went-out]")).to_contain_text("27-14")
