"""Photos: taken at a look, with no signal, kept when it is back; noted on, struck out; what is no picture is refused."""

import io
import re

import pytest
from PIL import Image
from playwright.sync_api import expect
from tests.api.test_photos import taken
from tests.e2e.test_axe import AXE, BROKEN, SMALL
from tests.e2e.test_steel_lens import opened


def picture(width=3200, height=2400):
    return {"name": "site.jpg", "mimeType": "image/jpeg", "buffer": taken(width, height)}


@pytest.mark.parametrize("size", ["page", "phone"])
def test_a_photo_is_taken_noted_and_struck(size, request, server, tmp_path):
    page = request.getfixturevalue(size)
    opened(page, "look")
    field = page.get_by_label(re.compile("^Photo, "))
    field.set_input_files({"name": "notes.txt", "mimeType": "text/plain", "buffer": b"no picture"})
    expect(page.get_by_role("alert")).to_contain_text("no picture")
    with (tmp_path / "huge.jpg").open("wb") as huge:
        huge.truncate(41_000_000)
    field.set_input_files(tmp_path / "huge.jpg")
    expect(page.get_by_role("alert")).to_have_text("That is 41 MB. A photo has under 40 MB.")
    with page.expect_response(re.compile("/photos/")) as sent:
        field.set_input_files(picture())
    kept = Image.open(io.BytesIO(page.request.get(sent.value.url).body()))
    assert kept.size == (1500, 2000) and not kept.getexif()  # upright, small, without its place
    one = page.get_by_role("button", name=re.compile("^Photo 1 of"))
    expect(one).to_be_visible()
    expect(page.get_by_role("alert")).to_have_count(0)
    one.click()
    page.get_by_label("What to see on it").fill("lap wired twice")
    page.keyboard.press("Escape")
    one.click()
    expect(page.get_by_label("What to see on it")).to_have_value("lap wired twice")  # typed, not kept, not lost
    page.evaluate(AXE)
    assert page.evaluate(BROKEN) == [] and (size == "page" or page.evaluate(SMALL) == [])
    page.get_by_role("button", name="Keep the note").click()
    expect(page.get_by_role("dialog")).to_have_count(0)
    page.reload()
    one.click()
    expect(page.get_by_role("img", name="lap wired twice")).to_be_visible()
    page.get_by_role("button", name="Strike it out").click()
    expect(one).to_have_count(0)


def test_without_a_signal_it_waits_here_over_a_reload_and_its_place_goes_along_on_purpose(page, server):
    opened(page, "look")
    page.get_by_role("button", name="with its place").click()
    page.route("**/api/**", lambda route: route.abort())
    page.get_by_label(re.compile("^Photo, ")).set_input_files(picture(400, 300))
    one = page.get_by_role("button", name=re.compile("^Photo 1 of.*waits here"))
    expect(one).to_be_visible()
    page.unroute("**/api/**")
    with page.expect_response(re.compile("/records$")) as sent:
        page.reload()
    place = sent.value.request.post_data_json["values"]
    assert (round(place["latitude_deg"], 3), round(place["longitude_deg"], 3)) == (41.5, -93.25)
    page.get_by_role("button", name=re.compile("^Photo 1 of")).click()
    expect(page.get_by_text("Taken at 41.50000, -93.25000.")).to_be_visible()
