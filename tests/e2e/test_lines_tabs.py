"""The tabs of the lines as a crew takes them: square a racked frame, form a sloping site, take files in and out."""

import io
import re

import ezdxf
from playwright.sync_api import expect
from tests.files.test_points_files import box, drawing

RACKED = {
    "A to B": "24'",
    "B to C": "16'",
    "C to D": "24'",
    "D to A": "16'",
    "A to C": "28' 10 13/16\"",
    "B to D": "28' 9 1/2\"",
}
MENDED = {**RACKED, "A to C": "28' 10 1/8\"", "B to D": "28' 10 1/8\""}


def start_rectangle(page):
    page.get_by_role("button", name="Start a slab").click()
    page.get_by_label("What is it called?").fill("Juno's frame")
    page.get_by_role("radio", name="feet and inches").click()
    page.get_by_role("button", name="Start it").click()
    page.locator("#call-out").fill("24' e 16' n 24' w 16' s")
    page.get_by_text("Back on A. It closes.").wait_for()
    page.locator("#call-out").press("Enter")
    tabs(page).wait_for()


def tabs(page):
    """The row of tabs; one choice under a thumb."""
    phone = page.viewport_size["width"] < 600
    return page.get_by_role("combobox" if phone else "tablist", name="Tabs of the lines")


def tab(page, name):
    if page.viewport_size["width"] < 600:
        tabs(page).select_option(label=name)
    else:
        page.get_by_role("tab", name=name, exact=True).click()


def tape(page, readings):
    for name, text in readings.items():
        page.get_by_label(f"You taped, {name}").fill(text)


def open_demo(page, name="Tansy"):
    page.get_by_role("link", name=re.compile(f"^{name}")).first.click()
    page.get_by_role("tab", name="Square", exact=True).wait_for()


def test_square_a_racked_frame_from_tape_to_inside_tolerance(page):
    start_rectangle(page)
    tab(page, "Square")
    expect(page.get_by_role("heading", name="Which corner moves, and how far?")).to_be_visible()
    sides = dict(list(RACKED.items())[:4])
    tape(page, sides)
    expect(page.get_by_text("Not settled. Tape")).to_be_visible()
    tape(page, {**sides, "A to C": "28"})
    page.get_by_role("button", name="28'", exact=True).click()
    tape(page, RACKED)
    expect(page.locator(".big")).to_contain_text(re.compile("Out.*at C"))
    expect(page.locator(".act-line")).to_have_count(1)
    expect(page.locator(".act-line")).to_contain_text(re.compile(r"Rack the C to D board.* west\."))
    page.get_by_role("button", name="Keep this round").click()
    expect(page.get_by_text("Round kept.")).to_be_visible()
    expect(page.locator("nav").get_by_text(re.compile("^out"))).to_be_visible()
    tape(page, MENDED)
    expect(page.locator(".big.good")).to_contain_text("Square, inside")
    page.get_by_role("button", name="Keep this round").click()
    expect(page.locator("nav ol").get_by_text("square")).to_be_visible()
    page.reload()
    expect(page.locator(".big.good")).to_contain_text("Square, inside")
    page.get_by_role("button", name="Show it").nth(1).click()
    expect(page.locator(".big")).to_contain_text("Out")
    page.get_by_role("button", name="Correct it").first.click()
    expect(page.get_by_text("This round corrects an earlier one.")).to_be_visible()
    page.get_by_role("button", name="Keep this round").click()
    expect(page.locator("li.old")).to_have_count(1)
    page.get_by_role("button", name="Show it").nth(2).click()
    expect(page.locator(".big")).to_contain_text("Out")
    page.get_by_role("button", name="Plan it as it was laid").click()
    expect(page.locator(".big.good")).to_contain_text("Square, inside")
    page.get_by_role("button", name="Undo").click()
    expect(page.locator(".big")).to_contain_text("Out")


def test_a_wild_value_is_struck_out_and_impossible_ones_are_told(page):
    open_demo(page)
    tab(page, "Square")
    expect(page.locator(".big")).to_contain_text("Out")
    field = page.get_by_label("You taped, A to G")
    field.fill("41' 3\"")
    expect(page.get_by_text("It was left out. Tape it again.")).to_be_visible()
    expect(page.locator("tr.suspect th")).to_have_text("A to G")
    field.fill("90'")
    expect(page.get_by_text(re.compile("cannot be|turn the shape|left out|wrong")).first).to_be_visible()
    field.fill("tape broke")
    expect(page.get_by_text("Cannot read tape broke as a length.")).to_be_visible()
    expect(field).to_have_value("tape broke")


def test_forms_of_a_sloping_site(page):
    start_rectangle(page)
    tab(page, "Forms")
    expect(page.get_by_text("The ground outside all sides is not set")).to_be_visible()
    row = page.locator("[data-form-side='0']")
    row.get_by_role("button", name="A to B").click()
    for corner, depth in (("A", "6"), ("B", "16")):
        page.get_by_label(f"Ground at {corner}, below top").fill(depth + '"')
        page.get_by_label(f"Ground at {corner}, below top").press("Enter")
        page.wait_for_timeout(300)
    expect(row).to_contain_text("16″")
    assert page.locator(".side svg rect.board").count() >= 2  # the lower course runs only where the ground is low
    expect(row.locator("td").nth(3)).not_to_have_text("none")
    page.get_by_role("button", name="Earth packed behind").click()
    expect(row).to_contain_text("earth")
    page.get_by_role("button", name="Left out for the truck").click()
    expect(page.locator("[data-finding='form-left-out']")).to_be_visible()
    page.get_by_role("button", name="It stands again").click()
    expect(page.locator("[data-finding='form-left-out']")).to_have_count(0)
    row.locator(".num").first.click()
    expect(page.locator(".working-slip")).to_contain_text("Ground outside")
    tab(page, "Boards")
    expect(page.get_by_text(re.compile(r"Buy \d+ boards|All from boards on hand"))).to_be_visible()
    assert page.locator(".piece").count() >= 5
    page.locator("[data-lane]").first.click(force=True)  # pressed on the plan, lit in the list
    expect(page.locator(".piece[aria-pressed='true']")).to_have_count(1)
    other = page.get_by_role("radio", name="Least money")
    other.click()
    expect(other).to_be_checked()
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_role("radio", name="One size a side")).to_be_checked()


def test_files_of_points_come_in_and_the_drawing_goes_out(page):
    start_rectangle(page)
    tab(page, "Around")
    wrong = drawing(lambda space: space.add_lwpolyline(box(0, 0, 12000, 9000), close=True), units=1)
    chooser = page.locator("input[type=file]")
    chooser.set_input_files({"name": "notes.dxf", "mimeType": "image/vnd.dxf", "buffer": b"\x00\x01\x02" * 99})
    expect(page.get_by_text("That is no DXF file")).to_be_visible()
    chooser.set_input_files({"name": "lot.dxf", "mimeType": "image/vnd.dxf", "buffer": wrong})
    expect(page.get_by_text("In which units is this?")).to_be_visible()
    expect(page.get_by_role("button", name="Take the outline")).to_be_disabled()
    page.get_by_role("radio", name="millimetres").click()
    page.get_by_role("button", name="Take the outline").click()
    expect(page.locator("[data-reading='area'] .v")).to_contain_text("1,163 sq ft")
    page.get_by_role("button", name="Undo").click()
    expect(page.locator("[data-reading='area'] .v")).to_contain_text("384 sq ft")
    tab(page, "Set out")
    with page.expect_download() as got:
        page.get_by_role("link", name="DXF").click()
    document = ezdxf.read(io.StringIO(got.value.path().read_text("utf-8")))
    assert not document.audit().errors and len(document.modelspace().query("LWPOLYLINE[layer=='OUTLINE']")) == 1
    with page.expect_download() as got:
        page.get_by_role("link", name="PDF, US Letter").click()
    assert got.value.path().read_bytes()[:5] == b"%PDF-"


def test_set_out_in_other_ways_and_something_beside_the_work(page):
    start_rectangle(page)
    tab(page, "Set out")
    expect(page.get_by_role("row", name=re.compile("^C from A"))).to_contain_text("28′-10")
    page.get_by_role("radio", name="3-4-5").click()
    expect(page.get_by_text("15′ back, 20′ on, 25′ across.").first).to_be_visible()
    page.get_by_role("radio", name="Stakes").click()
    expect(page.get_by_role("row", name=re.compile("^A D to A"))).to_be_visible()
    tab(page, "Around")
    page.get_by_label("Walk round it, from a corner of the slab").fill("from B, 10' e 16' n 10' w 16' s")
    page.get_by_role("button", name="Draw it").click()
    expect(page.locator("[data-existing='Old slab']")).to_be_visible()
    tab(page, "Forms")
    expect(page.locator("[data-form-side='1']")).to_contain_text("Against Old slab.")
    tab(page, "Straight")
    page.locator(".stakes input").nth(1).fill('1 1/4"')
    expect(page.locator(".act-line").first).to_contain_text("out")
    page.get_by_role("button", name="Keep the readings").click()
    expect(page.get_by_text("Readings kept.")).to_be_visible()


def test_squaring_on_a_phone(phone):
    start_rectangle(phone)
    tab(phone, "Square")
    tape(phone, RACKED)
    expect(phone.locator(".act-line")).to_contain_text("Rack the C to D board")
    assert phone.evaluate("document.documentElement.scrollWidth") <= 390
    for name in ("Set out", "Forms", "Boards", "Straight", "Around"):
        tab(phone, name)
        phone.wait_for_timeout(400)
        assert phone.evaluate("document.documentElement.scrollWidth") <= 390, name
