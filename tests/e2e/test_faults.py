"""Stopped servers, clashes and bad files: said plainly, nothing lost."""

import json
import sqlite3
from contextlib import closing

import pytest
from playwright.sync_api import expect
from tests.plans import job


def open_shelter(page):
    page.get_by_role("link", name="Cole Street bus shelter", exact=True).click()
    expect(page.locator("#call-out")).to_be_visible()


def deaf(page):
    """A page that does not hear what others change, as behind a line that lost the stream."""
    page.route("**/api/site/stream*", lambda route: route.abort())
    page.reload()


def type_size(page, text):
    page.locator("[data-size='0']").click()
    page.get_by_label("A to B", exact=True).fill(text)
    page.get_by_role("button", name="B moves").click()


def test_a_killed_server_loses_nothing_and_what_was_typed_is_sent_when_it_is_back(page, server):
    open_shelter(page)
    type_size(page, "16'")
    expect(page.locator("[data-reading='area'] .v")).to_contain_text("112 sq ft")
    server.kill()
    type_size(page, "18'")
    expect(page.get_by_text("No answer from the program. One edit is kept on this device")).to_be_visible()
    expect(page.get_by_label("A to B", exact=True)).to_have_value("18'")
    page.locator("#call-out").fill("from B 2' n, 3' e")
    server.start()
    expect(page.locator("[data-reading='area'] .v")).to_contain_text("126 sq ft")
    expect(page.get_by_text("No answer from the program")).to_have_count(0)
    expect(page.locator("#call-out")).to_have_value("from B 2' n, 3' e")
    page.wait_for_timeout(1500)
    page.reload()
    expect(page.locator("[data-reading='area'] .v")).to_contain_text("126 sq ft")
    expect(page.locator("#call-out")).to_have_value("from B 2' n, 3' e")


def test_of_two_people_the_second_is_told_and_can_put_its_changes_on_top_in_their_order(page, server, browser):
    open_shelter(page)
    deaf(page)
    context = browser.new_context(viewport={"width": 1280, "height": 800})
    other = context.new_page()
    other.goto(page.url)
    type_size(other, "16'")
    expect(other.locator("[data-reading='area'] .v")).to_contain_text("112 sq ft")
    page.locator("[data-size='1']").click()
    page.get_by_label("B to C", exact=True).fill("8'")
    page.get_by_role("button", name="C moves").click()
    expect(page.get_by_text("changed this slab meanwhile")).to_be_visible()
    page.get_by_role("button", name="See theirs").click()
    expect(page.locator("[data-versus]")).to_have_count(1)
    expect(page.locator("[data-reading='area'] .v")).to_contain_text("112 sq ft")
    theirs = page.locator("[data-versus]").get_attribute("d")
    page.get_by_role("button", name="See mine").click()
    expect(page.locator("[data-versus]")).not_to_have_attribute("d", theirs)
    page.get_by_label("B to C", exact=True).fill("9'")
    page.get_by_role("button", name="C moves").click()
    expect(page.get_by_text("One edit waits behind this one")).to_be_visible()
    page.reload()
    expect(page.get_by_text("changed this slab meanwhile")).to_be_visible()
    page.get_by_role("button", name="Put mine on top").click()
    expect(page.locator("[data-reading='area'] .v")).to_contain_text("144 sq ft")
    expect(page.get_by_text("changed this slab meanwhile")).to_have_count(0)
    assert page.request.get(f"{server.url}/api/jobs/{page.url.split('/')[4]}").json()["revision"] == 4
    context.close()


def test_two_tabs_of_one_browser_go_along_with_each_other(page, server):
    open_shelter(page)
    other = page.context.new_page()
    other.goto(page.url)
    type_size(other, "16'")
    expect(page.locator("[data-reading='area'] .v")).to_contain_text("112 sq ft")


def test_bad_files_are_refused_beside_the_button_and_good_ones_open(page, tmp_path):
    bad, good = tmp_path / "bad.json", tmp_path / "good.json"
    bad.write_text(json.dumps(job(zones=[{"name": "z", "slab": "S9"}])))
    good.write_text(json.dumps(job(name="<b>From outside</b>")))
    page.get_by_label("Bring in a file").set_input_files(bad)
    expect(page.get_by_role("alert")).to_contain_text("zones[0].slab: The mark S9 is not known.")
    page.get_by_label("Bring in a file").set_input_files(good)
    expect(page.locator("p.name")).to_have_text("<b>From outside</b>")


def test_a_slab_that_cannot_be_worked_out_says_why_and_can_be_taken_out(page, server):
    expect(page.locator("li.row")).to_have_count(4)  # the whole page is here before its server goes
    with closing(sqlite3.connect(server.folder / "trowel.sqlite3")) as db:
        for (name,) in db.execute("select name from sqlite_master where type = 'trigger'").fetchall():
            db.execute(f"drop trigger {name}")
        cole = "json_extract(text, '$.name') like 'Cole%'"
        db.execute(f"update documents set text = json_set(text, '$.zones[0].slab', 'S9') where {cole}")
        (job,) = db.execute(f"select job_id from revisions join documents on digest = document where {cole}").fetchone()
        db.commit()
    server.kill()
    server.start()
    page.goto(server.url)
    row = page.locator("[data-fault='true']")
    expect(row).to_contain_text("Cannot be worked out")
    expect(page.locator("li.row")).to_have_count(4)
    page.goto(f"{server.url}/job/{job}/lines")
    expect(page.get_by_role("alert")).to_contain_text("The mark S9 is not known")
    expect(page.get_by_role("link", name="Take it out as a job file")).to_be_visible()
    page.goto(server.url)
    row.get_by_role("button", name="More").click()
    row.get_by_role("button", name="Delete").click()
    expect(page.locator("li.row")).to_have_count(3)


def test_a_stale_move_of_another_browser_moves_the_beam_it_meant(page, server, browser, tmp_path):
    beams = [{"type": "B1", "path": [[x, 0], [x, 4000]]} for x in (1500, 3000, 4500)]
    file = tmp_path / "beams.json"
    file.write_text(json.dumps(job(beam_types=[{"mark": "B1", "width_mm": 300, "depth_mm": 450}], beams=beams)))
    page.get_by_label("Bring in a file").set_input_files(file)
    expect(page.locator("p.name")).to_have_text("test pad")
    edges = page.url.replace("/lines", "/edges") + "?tab=grid"
    context = browser.new_context(viewport={"width": 1280, "height": 800})
    other = context.new_page()
    for one in (page, other):
        one.goto(edges)
        expect(one.locator("[data-tag='beam-1']")).to_be_visible()
    deaf(page)
    expect(page.locator("[data-tag='beam-1']")).to_be_visible()
    other.locator("[data-tag='beam-0']").click()
    other.get_by_role("button", name="Take out beam B1").click()
    expect(other.locator("[data-tag='beam-2']")).to_have_count(0)
    tag = page.locator("[data-tag='beam-1']").bounding_box()
    at = (tag["x"] + tag["width"] / 2, tag["y"] + tag["height"] / 2)
    page.mouse.move(*at)
    page.mouse.down()
    page.mouse.move(at[0] + 20, at[1], steps=4)
    with page.expect_response(lambda answer: answer.url.endswith("/edits") and answer.ok):
        page.mouse.up()  # it touches nothing that was changed, so nobody is asked
    expect(page.get_by_text("changed this slab meanwhile")).to_have_count(0)
    expect(page.locator("[data-tag='beam-2']")).to_have_count(0)
    document = page.request.get(f"{server.url}/api/jobs/{page.url.split('/')[4]}").json()["document"]
    moved, kept = (row["path"][0][0] for row in document["beams"])
    assert 3000 < moved < 4500 and kept == 4500
    context.close()


def note_a_test(page, note):
    """Roll test at a spot of the slab, with a note."""
    expect(page.get_by_role("button", name="Rolled")).to_be_visible()
    page.get_by_role("button", name="Rolled").click()
    box = page.locator(".sheet > svg").bounding_box()
    page.mouse.click(box["x"] + box["width"] * 0.45, box["y"] + box["height"] * 0.55)
    expect(page.get_by_text("as pressed on the plan")).to_be_visible()
    page.get_by_label("Note").fill(note)
    page.get_by_role("button", name="Keep this test").click()


@pytest.mark.parametrize("size", [(1280, 800), (390, 844)])
def test_records_said_without_an_answer_wait_over_a_closed_tab_and_each_comes_once(page, server, size):
    page.set_viewport_size({"width": size[0], "height": size[1]})
    page.get_by_role("link", name="Tansy").first.click()
    expect(page.locator("p.name")).to_be_visible()
    ground, job = page.url.replace("/lines", "/ground") + "?tab=tests", page.url.split("/")[4]
    page.goto(ground)
    # the program keeps it, and its answer is lost on the way back
    page.route(
        "**/records",
        lambda route: (route.fetch(), route.abort())[1] if route.request.method == "POST" else route.continue_(),
    )
    note_a_test(page, "lost answer")
    waits = page.get_by_text("record is kept on this device")
    expect(waits).to_be_visible()
    expect(page.get_by_label("Note")).to_have_value("")  # it is safe, so the next can be typed
    page.unroute("**/records")
    expect(waits).to_have_count(0)
    server.kill()
    note_a_test(page, "no signal")
    expect(waits).to_be_visible()
    page.get_by_label("Note").fill("not said yet")
    context = page.context
    page.close()
    server.start()
    page = context.new_page()
    page.goto(server.url)
    expect(page.locator("li.row")).to_have_count(4)
    expect(page.get_by_text("record is kept on this device")).to_have_count(0)
    page.wait_for_timeout(300)
    told = page.request.get(f"{server.url}/api/jobs/{job}/records").json()
    notes = sorted(row["values"]["note"] for row in told if row["values"].get("note") in ("lost answer", "no signal"))
    assert notes == ["lost answer", "no signal"]


def test_what_the_program_refuses_later_stays_in_sight_until_it_is_let_go(page, server):
    open_shelter(page)
    job = page.url.split("/")[4]
    server.kill()
    type_size(page, "16'")
    expect(page.get_by_text("One edit is kept on this device")).to_be_visible()
    page.get_by_role("button", name="Undo").hover()
    expect(page.get_by_text("Takes back what waits: Set side: 16'")).to_be_visible()
    page.route(
        "**/edits",
        lambda route: route.fulfill(
            status=422,
            content_type="application/problem+json",
            body=json.dumps(
                {
                    "code": "cannot-use",
                    "detail": "That side is gone.",
                    "status": 422,
                    "title": "",
                    "type": "",
                    "path": "",
                    "choices": [],
                    "head": None,
                }
            ),
        ),
    )
    server.start()
    refused = page.get_by_role("alert").filter(has_text="That side is gone.")
    expect(refused).to_contain_text("Not kept. Set side: 16'")
    page.goto(server.url)
    expect(refused).to_contain_text("Cole Street bus shelter")
    page.reload()
    refused.get_by_role("button", name="Copy").click()
    expect(refused.get_by_role("button", name="Copied")).to_be_visible()
    refused.get_by_role("button", name="Let it go").click()
    expect(refused).to_have_count(0)
    assert page.request.get(f"{server.url}/api/jobs/{job}").json()["revision"] == 1


def test_text_that_was_refused_or_not_said_yet_is_there_after_a_reload(page, server):
    page.get_by_role("link", name="Ferrier's Reach boat bay", exact=True).click()
    page.get_by_role("link", name="Order").click()
    page.get_by_role("tab", name="Call-in").click()
    mix, air = page.locator("[data-line='mix']"), page.get_by_label("Air, %")
    mix.get_by_role("button", name="Fill in").click()
    air.fill("40")
    air.press("Enter")
    expect(mix.get_by_role("alert")).to_be_visible()
    page.reload()
    mix.get_by_role("button", name="Fill in").click()
    expect(air).to_have_value("40")
    air.fill("6")
    air.press("Enter")
    expect(mix).to_contain_text("6")
    page.reload()
    mix.get_by_role("button", name="Change").click()
    expect(air).to_have_value("6")
