"""From the tape to the call-in card, as a person does it."""

import re

from playwright.sync_api import expect

L_WALK = "36' e 18' n 24' w 10' n 12' w 28' s"


def reading(page, name):
    return page.locator(f"[data-reading='{name}'] .v")


def start(page, name, units="feet and inches"):
    page.get_by_role("button", name="Start a slab").click()
    page.get_by_label("What is it called?").fill(name)
    page.get_by_role("radio", name=units).click()
    page.get_by_role("button", name="Start it").click()
    expect(page.get_by_role("heading", name="Where does it start?")).to_be_visible()


def call(page, text):
    page.locator("#call-out").fill(text)


def test_lay_out_an_l_drag_it_thicken_it_read_the_yards_reload_and_undo(page):
    start(page, "Wren's trial")
    expect(reading(page, "order")).to_have_text("not set")
    call(page, "36' e 18' n 24 w")
    page.get_by_role("button", name="24'").click()
    expect(page.locator("#call-out")).to_have_value("36' e 18' n 24' w")
    call(page, "36' e 18' n 25' w 10' n 12' w 28' s")
    expect(page.get_by_text("Misses A by 1′, to the west.")).to_be_visible()
    page.get_by_role("button", name="Make C to D 24′ w").click()
    expect(page.get_by_text("Back on A. It closes.")).to_be_visible()
    page.locator("#call-out").press("Enter")
    expect(reading(page, "area")).to_contain_text("768 sq ft")

    handle = page.locator("[data-corner='4']").bounding_box()
    x, y = handle["x"] + handle["width"] / 2, handle["y"] + handle["height"] / 2
    page.mouse.move(x, y)
    page.mouse.down()
    page.mouse.move(x + 40, y, steps=5)
    expect(page.locator("[data-reading='order'] .trial")).to_be_visible()
    page.mouse.up()
    expect(page.locator("[data-reading='area'] s")).to_have_text("was 768, now ")
    expect(page.locator("[data-reading='area'] .d")).to_contain_text("Corner E moved")
    page.get_by_role("button", name="Undo").click()
    expect(reading(page, "area")).to_contain_text("768 sq ft")

    page.get_by_role("link", name="Edges").click()
    page.get_by_label("New edge type").fill("12 wide 18 deep 45")
    page.get_by_role("button", name="+ New edge type").click()
    page.locator("[data-side='0']").click(force=True, position={"x": 60, "y": 1})
    page.get_by_role("radio", name="E1", exact=True).click()
    page.get_by_role("button", name="All sides E1").click()
    expect(reading(page, "order")).to_contain_text("19")
    page.locator("[data-size='edge-depth-E1']").click()
    page.get_by_label("E1 depth", exact=True).fill("20")
    page.get_by_label("E1 depth", exact=True).press("Enter")
    expect(page.locator("[data-reading='order'] .d")).to_have_text("E1 2″ deeper")

    page.get_by_role("link", name="Order").click()
    expect(page.locator("[data-part='b']")).to_contain_text("E1 edge below the slab")
    expect(page.get_by_text(re.compile("They agree"))).to_be_visible()
    expect(page.locator("[data-on-plan='b']")).to_be_visible()
    page.locator("[data-part='a'] .num").click()
    expect(page.get_by_label("Working")).to_contain_text("768.0 sq ft × 4″ ÷ 324")
    ordered = reading(page, "order").inner_text()

    page.reload()
    expect(reading(page, "order")).to_have_text(ordered, use_inner_text=True)
    page.keyboard.press("z")
    expect(page.locator("[data-reading='order'] .d")).to_have_text("Undid: E1 2″ deeper")
    page.keyboard.press("Shift+Z")
    expect(reading(page, "order")).to_contain_text(ordered.split()[0])


def test_a_second_walk_an_opening_and_a_size_typed_on_the_drawing(page):
    start(page, "Apron")
    call(page, L_WALK)
    page.get_by_role("button", name="Keep the outline").click()
    page.get_by_role("radio", name="Zone", exact=True).click()
    call(page, "from B 3' n, 8' e 12' n 8' w")
    expect(page.get_by_text("Lands on B to C, 15′ from B.")).to_be_visible()
    page.get_by_label("Zone name").fill("Apron")
    page.get_by_label("Drop").fill("1 1/2")
    page.get_by_role("button", name="Keep the zone").click()
    expect(reading(page, "area")).to_contain_text("864 sq ft")
    page.get_by_role("radio", name="Opening", exact=True).click()
    call(page, "from A 4' e & 5' n, 2' e 2' n 2' w 2' s")
    page.get_by_role("button", name="Keep the opening").click()
    expect(reading(page, "area")).to_contain_text("860 sq ft")
    page.locator("[data-size='0']").click()
    page.get_by_label("A to B", exact=True).fill("40")
    page.get_by_role("button", name="B moves").click()
    expect(page.get_by_text("40 what?")).to_be_visible()
    page.get_by_role("button", name="40'").click()
    expect(reading(page, "area")).to_contain_text("932 sq ft")
    page.get_by_role("link", name="Edges").click()
    page.get_by_role("tab", name="Zones and recesses").click()
    drop = page.get_by_label("Apron, top from the floor")
    expect(drop).to_have_value("−1 1/2″")
    drop.fill("2 blue")
    drop.press("Enter")
    expect(page.get_by_text("Cannot read 2 blue")).to_be_visible()
    expect(drop).to_have_value("2 blue")


def test_the_card_says_what_is_unsaid_and_is_filled_in_place(page):
    bay = page.get_by_role("link", name="Ferrier's Reach boat bay", exact=True)
    job = f"/api/jobs/{bay.get_attribute('href').split('/')[2]}"
    unsaid = {"op": "set_fields", "values": {"order.pour_at": None}}
    base = page.url.rstrip("/")
    body = {"revision": 1, "edits": [unsaid], "author": "Wren", "edit_id": "test-edit-unsaid"}
    assert page.request.post(base + job + "/edits", data=body).ok
    bay.click()
    page.get_by_role("link", name="Order").click()
    page.get_by_role("tab", name="Call-in").click()
    when = page.locator("[data-line='when']")
    expect(when).to_contain_text("Not said yet: day and first truck's time.")
    when.get_by_role("button", name="Fill in").click()
    field = page.get_by_label("First truck on site")
    field.fill("2027-05-04T07:15")
    field.press("Enter")
    expect(when).to_contain_text("Tuesday 4 May, first truck on site at 7:15.")
    mix = page.locator("[data-line='mix']")
    mix.get_by_role("button", name="Fill in").click()
    air = page.get_by_label("Air, %")
    air.fill("40")
    air.press("Enter")
    expect(mix.get_by_role("alert")).to_be_visible()
    air.fill("6")
    air.press("Enter")
    expect(mix).to_contain_text("6 % air")
    expect(page.locator("[data-line='yards']")).to_contain_text("21 cubic metres in all.")


def test_keyboard_alone_lays_out_and_moves_a_corner(page):
    expect(page.get_by_role("button", name="Start a slab")).to_be_visible()
    page.keyboard.press("n")
    expect(page.get_by_label("What is it called?")).to_be_focused()
    page.keyboard.type("Keys only")
    page.keyboard.press("Enter")
    expect(page.locator("#call-out")).to_be_focused()  # a new job begins there
    page.keyboard.type("20' e 10' n 20' w 10' s")
    expect(page.get_by_text("Back on A. It closes.")).to_be_visible()
    page.keyboard.press("Enter")
    expect(reading(page, "area")).to_contain_text("200 sq ft")
    page.get_by_role("application").focus()
    page.keyboard.press("ArrowRight")
    expect(page.get_by_role("application")).to_have_attribute("aria-label", "A to B, 20′ e")
    page.keyboard.press("Space")
    page.keyboard.press("Alt+ArrowLeft")
    expect(reading(page, "area")).to_contain_text("210 sq ft")
    page.keyboard.press("}")
    expect(page.get_by_role("tab", name="Around")).to_have_attribute("aria-selected", "true")
    page.keyboard.press("{")
    page.keyboard.press("c")
    expect(page.locator("#call-out")).to_be_focused()
    page.get_by_role("application").focus()
    page.keyboard.press("8")
    expect(page.get_by_role("heading", name="How much do I order?")).to_be_visible()
    page.keyboard.press("Shift+?")
    expect(page.get_by_role("dialog")).to_contain_text("single letters", ignore_case=True)


def test_the_yard_copies_renames_puts_aside_and_undoes_a_delete(page):
    row = page.locator("[data-job='Cole Street bus shelter']")
    row.get_by_role("button", name="More").click()
    row.get_by_role("button", name="Copy").click()
    copy = page.locator("[data-job='Cole Street bus shelter, copy']")
    copy.get_by_role("button", name="More").click()
    copy.get_by_role("button", name="Rename").click()
    page.get_by_label("Rename").fill("Second shelter")
    page.get_by_label("Rename").press("Enter")
    second = page.locator("[data-job='Second shelter']")
    second.get_by_role("button", name="More").click()
    second.get_by_role("button", name="Put aside").click()
    expect(page.get_by_role("heading", name="Put aside")).to_be_visible()
    second.get_by_role("button", name="More").click()
    second.get_by_role("button", name="Delete").click()
    expect(second).to_have_count(0)
    page.get_by_role("button", name="Undo").click()
    expect(second).to_have_count(1)
    page.get_by_label("Who is working").click()
    page.get_by_role("option", name="Juno").click()
    page.reload()
    expect(page.get_by_label("Who is working")).to_contain_text("Juno")


def test_ways_change_every_slab(page):
    page.get_by_role("link", name="Ways", exact=True).click()
    field = page.get_by_label("Base lies low by")
    field.fill("12' 14\"")
    field.press("Enter")
    expect(page.get_by_text("a foot holds 12")).to_be_visible()
    field.fill("25 mm")
    field.press("Enter")
    expect(field).to_have_value("25 mm")
    page.get_by_role("link", name="Yard").click()
    expect(page.locator("[data-job^='Ferrier'] .yards b")).to_contain_text("23")
    page.get_by_role("link", name="Ways", exact=True).click()
    page.get_by_placeholder("2x14").fill("2x14")
    page.reload()
    expect(page.get_by_placeholder("2x14")).to_have_value("2x14")


def test_a_new_slab_asks_its_name_and_says_that_its_thickness_is_a_guess(page):
    page.get_by_role("button", name="Start a slab").click()
    page.get_by_role("button", name="Start it").click()
    expect(page.get_by_role("alert")).to_contain_text("Say a name")
    start(page, "Porch")
    expect(page.get_by_text("Open a DXF or CSV file")).to_be_visible()
    page.get_by_role("link", name="Edges").click()
    expect(page.get_by_text("No outline yet, so no edge.")).to_be_visible()
    page.get_by_role("link", name="go there").click()
    call(page, "10' e 8' n 10' w 8' s")
    page.locator("#call-out").press("Enter")
    expect(reading(page, "area")).to_contain_text("80 sq ft")
    guess = page.locator("[data-guess='S1']")
    guess.get_by_role("textbox").fill("5")
    guess.get_by_role("textbox").press("Enter")
    expect(guess).to_have_count(0)
    expect(page.locator("[data-reading='order'] .d")).to_contain_text("S1 5″ thick")


def test_the_sheet_comes_nearer_under_the_wheel_and_a_press_shows_it_whole(page):
    page.get_by_role("link", name="Tansy").first.click()
    sheet = page.get_by_role("application")
    box = sheet.bounding_box()
    page.mouse.move(box["x"] + 200, box["y"] + 300)
    page.mouse.wheel(0, -600)
    expect(sheet).not_to_have_attribute("data-zoom", "1.00")
    corner = page.locator("[data-corner='0']").bounding_box()
    page.mouse.down()
    page.mouse.move(box["x"] + 320, box["y"] + 300, steps=4)
    page.mouse.up()
    assert page.locator("[data-corner='0']").bounding_box()["x"] > corner["x"] + 60
    page.get_by_role("button", name="Whole sheet").click()
    expect(sheet).to_have_attribute("data-zoom", "1.00")
    sheet.press("+")
    expect(sheet).to_have_attribute("data-zoom", "1.40")
    sheet.press("0")
    expect(sheet).to_have_attribute("data-zoom", "1.00")
