"""Ground as a crew takes it: set the laser up, shoot a grid, find the high spot, catch the muddy foot, see the yards move."""

import re

import pytest
from playwright.sync_api import expect
from tests.e2e.conftest import choose, fresh_page


def open_ground(page, name="Ferrier"):
    page.get_by_role("link", name=re.compile(f"^{name}")).first.click()
    page.get_by_role("link", name="Ground").click()
    expect(page.get_by_role("heading", name="How deep, and is it flat?")).to_be_visible()


def tab(page, name):
    page.get_by_role("tab", name=name, exact=True).click()
    expect(page.get_by_role("tab", name=name, exact=True)).to_have_attribute("aria-selected", "true")


def set_up(page):
    tab(page, "Laser")
    page.get_by_role("button", name="Take it from the stand-in").first.click()
    expect(page.locator("#backsight")).to_have_value(re.compile(r"\d+(\.\d)? mm"))
    page.get_by_role("button", name="It stands").click()
    expect(page.locator(".saying")).to_contain_text("Set-up 1 is not checked.")


def shoot_the_mark_again(page):
    page.get_by_role("button", name="Take it from the stand-in").first.click()
    expect(page.locator("#again")).to_have_value(re.compile(r"\d+(\.\d)? mm"))
    page.get_by_role("button", name="Check it").click()


def test_set_up_shoot_a_grid_find_the_high_spot_and_catch_the_muddy_foot(page):
    open_ground(page)
    expect(page.get_by_text("No laser stands.").first).to_be_visible()
    set_up(page)
    shoot_the_mark_again(page)
    expect(page.locator(".saying")).to_contain_text("Nothing moved.")
    tab(page, "Shots")
    page.get_by_role("button", name=re.compile("^Walk the grid")).click()
    page.get_by_role("button", name=re.compile(r"^Keep \d+ shots$")).click()
    expect(page.locator(".saying .big")).to_contain_text(re.compile(r"Not flat\. \d+ mm high"))
    expect(page.locator(".rakes li").first).to_contain_text("North-west corner of Boat racks")
    expect(page.locator("[data-verdict='high']").first).to_be_attached()
    expect(page.locator(".band[data-sign='1']").first).to_be_attached()
    expect(page.locator("a[aria-current='step']")).to_contain_text(re.compile(r"\d out of \d+"))

    choose(page, "It misbehaves", "Mud on the foot")
    page.get_by_role("button", name="Largest gap: Go there").click()
    page.get_by_role("button", name="Shoot here").click()
    expect(page.locator(".verdict[data-verdict='high']")).to_contain_text("Rake off")
    tab(page, "Laser")
    shoot_the_mark_again(page)
    expect(page.locator(".saying")).to_contain_text("Mud on the foot")
    expect(page.locator("a[aria-current='step']")).to_contain_text("laser moved")
    expect(page.locator("[data-reading='rod']")).to_contain_text("shoot the mark again")


def test_the_yards_follow_the_ground_as_shot_and_the_trench_as_dug(page):
    open_ground(page)
    set_up(page)
    tab(page, "Shots")
    page.get_by_role("button", name=re.compile("^Walk the grid")).click()
    page.get_by_role("button", name=re.compile(r"^Keep \d+ shots$")).click()
    expect(page.get_by_text("Enough:")).to_be_visible()
    tab(page, "As dug")
    expect(page.locator("[data-reading='order'] .v")).to_contain_text("20.5")
    for i, at in ((1, "0"), (2, "14400")):
        page.get_by_label(f"At {i}", exact=True).fill(at)
        page.get_by_label(f"Wide at the bottom {i}", exact=True).fill("480")
        page.get_by_label(f"Deep below slab top {i}", exact=True).fill("470")
    page.get_by_role("button", name="Keep what was dug").click()
    expect(page.locator("[data-reading='order'] .v s")).to_contain_text("20.5")
    expect(page.locator("[data-reading='order']")).to_contain_text("as measured on site")
    expect(page.locator(".three")).to_contain_text("E1 edge below the slab")
    page.get_by_role("link", name="Order").click()
    expect(page.get_by_text("Base as shot")).to_be_visible()
    expect(page.get_by_text("Trenches as dug")).to_be_visible()
    expect(page.get_by_text("Base lies low", exact=True)).to_have_count(0)


def test_a_build_up_is_edited_in_place_and_bad_stacks_are_said_beside_it(page):
    open_ground(page, "Cole")
    tab(page, "Build-up")
    page.get_by_role("button", name="Heated floor").click()
    expect(page.get_by_text("Dig Pad 11″ below the floor?")).to_be_visible()
    page.locator("[data-reading='order']").get_by_role("button", name="Let go").click()
    expect(page.get_by_text("Dig Pad 5″ below the floor", exact=True)).to_be_visible()
    page.get_by_role("button", name="+ graded stone").click()
    page.get_by_label("graded stone thick").fill("5")
    expect(page.get_by_text("Dig Pad 10″ below the floor?")).to_be_visible()
    page.get_by_role("button", name="Keep this build-up").click()
    expect(page.locator("[data-kind='native']")).to_contain_text("10″ below")
    page.get_by_role("button", name="+ graded stone").click()
    page.get_by_label("graded stone thick").last.fill("nonsense")
    page.get_by_role("button", name="Keep this build-up").click()
    expect(page.get_by_role("alert")).to_contain_text("Cannot read nonsense")
    expect(page.get_by_label("graded stone thick").last).to_have_value("nonsense")
    page.get_by_label("graded stone thick").last.fill('1/2"')
    page.get_by_role("button", name="Keep this build-up").click()
    expect(page.get_by_text("It will not lie flat")).to_be_visible()
    tab(page, "Stone")
    expect(page.locator(".stone .big")).to_contain_text("short tons")


def test_a_fall_to_a_side_and_to_a_drain_with_a_level_underside(page):
    open_ground(page)
    tab(page, "Falls")
    page.get_by_role("radio", name="falls toward a side").click()
    page.get_by_label("Fall", exact=True).fill("1 in 3")
    page.get_by_role("button", name="Keep this fall").click()
    expect(page.get_by_role("alert")).to_contain_text("Steeper than 1 in 4")
    page.get_by_label("Fall", exact=True).fill("1 %")
    page.get_by_role("radio", name=re.compile("level: the thickness")).click()
    page.get_by_role("button", name="Keep this fall").click()
    expect(page.locator(".saying")).to_contain_text("Falls 1 % to the south")
    expect(page.locator(".saying")).to_contain_text("level underside")
    page.get_by_role("button", name="Wash-down").click()
    page.get_by_role("radio", name="falls to a drain").click()
    box = page.locator(".sheet > svg").bounding_box()
    page.mouse.click(box["x"] + 470, box["y"] + 370)
    page.get_by_label("Deep at the drain").fill("30")
    page.get_by_role("button", name="Keep this fall").click()
    expect(page.locator(".saying")).to_contain_text("Falls 30 mm to its drain")


def test_a_file_of_shots_that_cannot_be_this_job_is_refused_and_a_good_one_is_kept(page):
    open_ground(page)
    page.get_by_text("Shots from a file").click()
    rows = [(1000, 1000), (9000, 1000), (9000, 6500), (1000, 6500), (5000, 3000)]

    def send(text):
        page.locator("input[type=file]").set_input_files(
            {"name": "shots.csv", "mimeType": "text/csv", "buffer": text.encode()}
        )

    send("name,x_mm,y_mm,level_mm\n" + "\n".join(f"{i},{x / 1000},{y / 1000},-0.23" for i, (x, y) in enumerate(rows)))
    expect(page.get_by_role("alert")).to_contain_text("They look like metres or feet")
    send("name,x_m,y_m,level_m\n" + "\n".join(f"{i},{x / 1000},{y / 1000},-0.24" for i, (x, y) in enumerate(rows)))
    expect(page.locator(".saying")).to_contain_text("5 shot")
    page.get_by_text("Shots as they came").click()
    page.get_by_role("button", name="Strike out").click()
    expect(page.locator(".saying")).to_contain_text("No shots on this layer yet.")
    expect(page.get_by_text("struck out")).to_be_visible()


def test_tests_and_soft_spots_stand_on_the_plan(page):
    open_ground(page)
    tab(page, "Tests")
    expect(page.get_by_role("heading", name="Is it firm?")).to_be_visible()
    expect(page.locator("#test-value")).to_be_visible()
    box = page.locator(".sheet > svg").bounding_box()
    page.mouse.click(box["x"] + 200, box["y"] + 330)
    page.locator("#test-value").fill("40")
    page.get_by_role("button", name="Not passed").click()
    page.get_by_role("button", name="Keep this test").click()
    expect(page.locator(".saying")).to_contain_text("1 to settle.")
    page.get_by_label("Across").fill("900")
    choose(page, "What was done", "dug out, stone in")
    page.get_by_role("button", name="Mark the soft spot").click()
    expect(page.get_by_text("Soft over 900 mm: dug out, stone in.")).to_be_visible()


def test_the_rod_card_on_a_phone_two_presses_a_reading(phone):
    open_phone(phone)
    phone.get_by_role("combobox", name="Tabs of the ground").select_option("rod")
    expect(phone.locator(".should")).to_contain_text("4′-10")
    phone.get_by_role("button", name="11", exact=True).click()
    phone.get_by_role("button", name="5/8, low").click()
    expect(phone.locator(".verdict[data-verdict='low']")).to_contain_text("low")
    expect(phone.locator(".verdict")).to_contain_text("Fill, pack, shoot again")
    phone.get_by_role("button", name="10", exact=True).click()
    phone.get_by_role("button", name="1/4, inside").click()
    expect(phone.locator(".verdict")).to_contain_text("on grade")
    phone.get_by_role("button", name="a sixteenth more").click()
    expect(phone.locator("#rod-reading")).to_have_value("4' 10 5/16\"")
    for name in ("shots", "rod", "laser", "stack", "falls", "stone", "dug", "tests"):
        phone.get_by_role("combobox", name="Tabs of the ground").select_option(name)
        phone.wait_for_timeout(250)
        assert phone.evaluate("document.documentElement.scrollWidth <= innerWidth"), name


def open_phone(phone):
    phone.get_by_role("link", name=re.compile("^Tansy")).first.click()
    phone.get_by_role("link", name="Ground").click()
    phone.get_by_role("combobox", name="Tabs of the ground").wait_for()


def test_a_shot_is_two_presses_and_undo_takes_it_back(phone):
    open_phone(phone)
    knot = phone.locator("a[aria-current='step']")
    expect(phone.locator(".should")).to_contain_text("4′-10 1/4")  # the rod stands on the worst spot
    worst = phone.locator("[data-stick]").get_attribute("data-stick")
    phone.get_by_role("button", name="10", exact=True).click()
    phone.get_by_role("button", name="1/4, inside").click()
    expect(phone.locator(".verdict")).to_contain_text("on grade")
    expect(phone.locator(".verdict")).to_contain_text("Kept 4′-10")
    expect(knot).to_contain_text("2 out of 60")
    assert phone.locator("[data-stick]").get_attribute("data-stick") != worst  # the next spot is offered
    phone.get_by_role("button", name="a sixteenth less").click()
    expect(phone.locator(".verdict")).to_contain_text("1⁄16″ high")
    board = phone.get_by_role("contentinfo", name="Tally")
    board.get_by_role("button", name="Undo").click()
    board.get_by_role("button", name="Undo").click()
    expect(knot).to_contain_text("3 out of 60")
    board.get_by_role("button", name="Redo").click()
    expect(knot).to_contain_text("2 out of 60")


def test_a_reading_that_is_feet_off_is_asked_about_and_not_kept(phone):
    open_phone(phone)
    phone.get_by_role("button", name="feet 4").click()
    phone.get_by_role("button", name="6", exact=True).click()
    phone.get_by_role("button", name="10", exact=True).click()
    phone.get_by_role("button", name="1/2, low").click()
    expect(phone.locator(".verdict")).to_contain_text("Read again?")
    expect(phone.get_by_role("button", name="Keep it so")).to_be_visible()
    expect(phone.locator("a[aria-current='step']")).to_contain_text("3 out of 60")


@pytest.mark.parametrize(("width", "height"), [(390, 844), (360, 640), (844, 390), (820, 1180)])
def test_strip_verdict_reading_and_keys_stand_in_one_screen(browser, server, width, height):
    for page in fresh_page(browser, server, width, height, touch=True):
        page.get_by_role("link", name=re.compile("^Tansy")).first.click()
        page.get_by_role("link", name="Ground").click()
        page.get_by_role("button", name="10", exact=True).click()
        foot = page.get_by_role("contentinfo", name="Tally").bounding_box()["y"]
        for spot in (".sheet svg", ".verdict", ".should", "button:has-text('11')", "[aria-label^='7/8']"):
            box = page.locator(spot).first.bounding_box()
            assert box["y"] >= 0 and box["y"] + box["height"] <= foot + 1, spot


def test_arrow_keys_walk_the_rod_and_leave_the_sides_alone(page):
    open_ground(page, "Tansy")
    rod = page.locator("[data-stick]")
    expect(rod).to_be_attached()  # on the worst spot, once the ground is read
    box = page.locator(".sheet > svg").bounding_box()
    page.mouse.click(box["x"] + 160, box["y"] + 400)
    before = [float(v) for v in rod.get_attribute("data-stick").split(",")]
    page.keyboard.press("ArrowRight")
    page.keyboard.press("ArrowUp")
    after = [float(v) for v in rod.get_attribute("data-stick").split(",")]
    assert abs(after[0] - before[0] - 304.8) < 1.5 and abs(after[1] - before[1] - 304.8) < 1.5
    expect(page.locator(".side.on")).to_have_count(0)
    expect(page.get_by_role("heading", name=re.compile("^Base top, .* of Extraction"))).to_be_visible()
