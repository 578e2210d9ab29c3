"""The Edges lens as a person uses it: cuts with sizes typed on them, beams and pads, recesses, old floors, frost."""

from playwright.sync_api import expect
from tests.e2e.conftest import choose


def reading(page, name):
    return page.locator(f"[data-reading='{name}'] .v")


def edges(page, job="Tansy Hollow honey house", tab=None):
    page.get_by_role("link", name=job, exact=True).click()
    page.get_by_role("link", name="Edges").click()
    expect(page.locator(".cut svg")).to_be_visible()
    if tab:
        page.get_by_role("tab", name=tab, exact=True).click()


def enter(box, text):
    box.fill(text)
    box.press("Enter")


def test_a_size_typed_on_the_cut_changes_the_edge_and_a_bad_one_says_why(page):
    edges(page)
    expect(page.get_by_text("Cut across A to B, Extraction, through E1, looking west.")).to_be_visible()
    expect(page.locator(".cut .short")).to_contain_text("short of frost")
    page.locator("[data-size='edge-depth-E1']").click()
    box = page.get_by_label("E1 depth", exact=True)
    enter(box, "20 blue")
    expect(page.get_by_role("alert")).to_contain_text("20 blue")
    expect(box).to_have_value("20 blue")
    enter(box, "20")
    expect(page.locator("[data-reading='order'] .d")).to_have_text("E1 2″ deeper")
    expect(page.locator("[data-size='edge-depth-E1']")).to_contain_text("20″")
    page.get_by_role("button", name="Undo").click()
    expect(page.locator("[data-size='edge-depth-E1']")).to_contain_text("18″")


def test_the_cutting_line_is_dragged_and_moved_by_keys(page):
    edges(page)
    end = page.locator("[data-cut-end='end']").bounding_box()
    page.mouse.move(end["x"] + end["width"] / 2, end["y"] + end["height"] / 2)
    page.mouse.down()
    page.mouse.move(end["x"] + 330, end["y"] - 40, steps=6)
    page.mouse.up()
    expect(page.get_by_text("through E1 and B1")).to_be_visible()
    page.locator("[data-cut-end='start']").focus()
    for _ in range(12):
        page.keyboard.press("Shift+ArrowDown")
    page.locator("[data-cut-end='end']").focus()
    for _ in range(12):
        page.keyboard.press("Shift+ArrowDown")
    expect(page.get_by_role("alert")).to_contain_text("does not cross the slab")
    page.locator("[data-side='4']").click(force=True)
    expect(page.get_by_text("Cut across E to F, Apron")).to_be_visible()
    choose(page, "Cut along", "the step")
    expect(page.locator("[data-size='step-drop-Apron']")).to_have_attribute("aria-label", "Apron drop, 1 1/2″")


def test_beams_off_a_pressed_wall_pads_at_their_crossings_and_a_pad_cut(page):
    edges(page, tab="Beams and pads")
    kept, call = page.locator("[data-reading='order'] .d"), page.locator("#call-here")
    page.locator("[data-wall='9']").click(force=True)
    expect(page.get_by_text("J to A is pressed. Call the beams off it.")).to_be_visible()
    expect(call).to_be_focused()
    enter(call, "9 in blue B1")
    expect(page.get_by_role("alert")).to_contain_text("Where does B1 run?")
    call.fill("every 11' 6")
    page.get_by_role("button", name="every 11' 6 B1", exact=True).click()  # three kinds: asked of which
    expect(page.get_by_text("2 more beams?")).to_be_visible()
    expect(page.get_by_text("counted once")).to_be_visible()
    call.press("Enter")
    expect(kept).to_contain_text("2 B1 beams off J to A")
    page.locator("[data-bay='11′-6″']").nth(1).click(force=True)
    enter(page.get_by_label("Bay of 11′-6″, press to change it").last, "12'")
    expect(kept).to_have_text("Bay set to 12′")
    enter(page.locator("#kind-call"), "24 sq 20 deep")
    expect(kept).to_contain_text("P3 24″ sq, 20″ deep")
    enter(page.locator("[data-call='grid'] #call-here"), "P3 at crossings")
    expect(kept).to_contain_text("P3")
    page.locator("[data-kind-size='P3-depth']").click()
    enter(page.get_by_role("textbox", name="P3 depth"), "22")
    expect(page.locator("[data-kind-size='P3-depth']")).to_contain_text("22″")
    page.locator("[data-tag='pad-0']").click()
    page.get_by_role("button", name="Take out pad P1").click()
    expect(kept).to_have_text("A pad taken out")
    page.locator("[data-tag='pad-0']").click()
    page.get_by_role("button", name="Cut it", exact=True).click()
    expect(page.locator("[data-size='pad-diameter-P2']")).to_contain_text("24″")


def test_a_mark_is_carried_from_the_rack_on_to_the_sheet_and_let_go(page):
    edges(page, tab="Beams and pads")
    mark = page.get_by_role("button", name="P1, one, square")
    mark.hover()
    page.mouse.down()
    page.mouse.move(300, 500, steps=4)
    page.mouse.up()
    expect(page.get_by_text("1 more pad?")).to_be_visible()
    page.locator("[data-call='grid']").get_by_role("button", name="Let go").click()
    expect(page.get_by_text("1 beam and 2 pads")).to_be_visible()


def test_a_pad_is_dragged_by_its_tag(page):
    edges(page)
    tag = page.locator("[data-tag='pad-0']").bounding_box()
    x, y = tag["x"] + tag["width"] / 2, tag["y"] + tag["height"] / 2
    page.mouse.move(x, y)
    page.mouse.down()
    page.mouse.move(x - 30, y + 24, steps=5)
    page.mouse.up()
    expect(page.locator("[data-reading='order'] .d")).to_have_text("Pad P1 moved")
    page.get_by_role("button", name="Undo").click()
    expect(page.locator("[data-reading='order'] .d")).to_have_text("Undid: Pad P1 moved")


def test_a_zone_a_pit_and_a_door_are_called_where_they_are_pressed(page):
    edges(page, tab="Zones and recesses")
    kept, call = page.locator("[data-reading='order'] .d"), page.locator("#call-here")
    expect(page.get_by_text("from high to low")).to_be_visible()
    page.get_by_role("button", name="Bottling, S1").click()
    enter(call, "drop 1/2, falls 1/8 s")
    expect(kept).to_contain_text("Bottling: drop 1/2″; Bottling: falls 1/8″ per ft to the south")
    enter(page.get_by_label("Bottling, top from the floor"), "0")
    expect(kept).to_contain_text("Bottling: drop 0")
    enter(call, "pit 3' by 3' by 5 called Sump")
    expect(page.get_by_text("Recess Sump, 5″ deep, goes through the slab.")).to_be_visible()
    page.locator("[data-pit='Sump']").get_by_role("radio", name="slab dips under it").click()
    expect(page.get_by_text("goes through the slab")).to_have_count(0)
    page.locator("[data-wall='0']").click(force=True)
    call.fill("door 3' 4 down 3/4")
    page.get_by_role("button", name="door 3' 4 down 3/4 in 5 1/2").click()
    expect(page.get_by_text("Heard: Set-down", exact=False).last).to_be_visible()
    call.press("Enter")
    expect(page.locator("[data-pit^='Set-down']")).to_be_visible()
    page.get_by_role("button", name="Sump 36″ long").click()
    page.get_by_role("button", name="Cut it", exact=True).click()
    expect(page.locator("[data-size='recess-depth-Sump']")).to_contain_text("5″")


def test_an_old_floor_is_measured_and_the_zone_follows_it(page):
    edges(page, "Ferrier's Reach boat bay", "Beside")
    expect(page.get_by_text("the new floor is off by up to 9 mm")).to_be_visible()
    choose(page, "on side", "D to A")
    page.get_by_label("along the side").fill("99 m")
    enter(page.get_by_label("level", exact=True), "3 below")
    expect(page.get_by_role("alert")).to_contain_text("is past its end")
    page.get_by_role("button", name="Let the zone follow it").click()
    expect(page.get_by_text("the new floor is off by up to 1 mm")).to_be_visible()


def test_ways_to_meet_frost_stand_side_by_side_and_one_is_taken(page):
    edges(page, tab="Frost")
    for name in ("As drawn", "Deep edge", "Shallow edge in foam", "Frost wall and slab"):
        expect(page.get_by_role("heading", name=name)).to_be_visible()
    enter(page.locator("#freezing-index"), "4600")
    expect(page.get_by_text("design to ASCE 32")).to_be_visible()
    page.get_by_role("button", name="Undo").click()
    page.locator("article", has=page.get_by_role("heading", name="Shallow edge in foam")).get_by_role(
        "button", name="Take this"
    ).click()
    expect(page.locator("[data-reading='order'] s")).to_be_visible()
    page.get_by_role("tab", name="Cut", exact=True).click()
    expect(page.get_by_label("foam on its face")).to_have_value("2″")


def test_a_row_of_the_ledger_lights_up_and_says_what_it_brings(page):
    edges(page, tab="Ledger")
    page.locator("[data-part='h'] .name").click()
    expect(page.get_by_text("gone without it")).to_be_visible()
    expect(page.get_by_text("through P1, looking")).to_be_visible()
    expect(page.get_by_text("Store kerb")).to_be_visible()


def test_the_lens_on_a_phone(phone):
    edges(phone)
    for turn in ("cut", "grid", "top", "meets", "footings", "frost", "sum"):
        phone.get_by_label("Tabs of the edges").first.select_option(value=turn)
        phone.wait_for_timeout(300)
        assert phone.evaluate("document.documentElement.scrollWidth <= innerWidth"), turn
    phone.get_by_label("Tabs of the edges").first.select_option(value="cut")
    phone.locator("[data-size='edge-bottom_width-E1']").click()
    enter(phone.get_by_label("E1 bottom width", exact=True), "14")
    expect(phone.locator("[data-size='edge-bottom_width-E1']")).to_contain_text("14″")
