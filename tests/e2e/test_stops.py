"""A stop of any stage stands on the yard and on the order, stops the call, and leads to where it is mended."""

import json
import re

from playwright.sync_api import expect
from tests.plans import job

DEEP = {"mark": "E1", "kind": "thickened", "depth_mm": 900, "bottom_width_mm": 300}
AIR = {"slab": "S1", "layers": [{"kind": "slab"}, {"kind": "graded", "thickness_mm": 100}, {"kind": "native"}]}


def test_stops_of_ground_and_forms_reach_order_and_yard(page, server, tmp_path):
    file = tmp_path / "wash-bay.json"
    ground = {"found_mm": -600, "strip_mm": 0}
    edges = [{"sides": [0, 1, 2, 3], "type": "E1"}]
    file.write_text(json.dumps(job(name="Wash bay", build_ups=[AIR], ground=ground, edge_types=[DEEP], edges=edges)))
    page.get_by_label("Bring in a file").set_input_files(file)
    expect(page.locator("nav a[data-state='flagged']")).to_have_count(3)
    page.locator("nav a", has_text="Order").click()
    expect(page.get_by_role("heading", name="Do not call yet.")).to_be_visible()
    expect(page.locator("[data-stop='stack-in-air']")).to_contain_text("stands on air")
    expect(page.locator("[data-stop='form-tall']")).to_contain_text("3 more like it")
    page.get_by_role("tab", name="Call-in").click()
    expect(page.get_by_role("button", name="Copy")).to_be_disabled()
    page.goto(server.url)
    row = page.locator("li.row", has_text="Wash bay")
    expect(row).to_contain_text("much of it stands on air")
    row.get_by_role("link", name="Wash bay", exact=True).click()
    page.locator("nav a", has_text="Order").click()
    page.locator("[data-stop='stack-in-air'] a").click()
    expect(page).to_have_url(re.compile(r"/job/\w+/ground\?tab=stack$"))


def test_on_a_phone_the_stops_stand_above_the_call(phone, tmp_path):
    file = tmp_path / "wash-bay.json"
    file.write_text(json.dumps(job(name="Wash bay", edge_types=[DEEP], edges=[{"sides": [0], "type": "E1"}])))
    phone.get_by_label("Bring in a file").set_input_files(file)
    phone.wait_for_url(re.compile(r"/job/"))
    phone.goto("/".join(phone.url.split("/")[:5]) + "/order?tab=call")
    stop = phone.locator("[data-stop='form-tall']")
    stop.scroll_into_view_if_needed()
    expect(stop).to_contain_text("engineer")
    assert stop.bounding_box()["y"] < phone.locator("[data-line='when']").bounding_box()["y"]
    assert phone.evaluate("document.documentElement.scrollWidth <= innerWidth")
