"""Order in the browser: the board dragged and overruled with a reason, a spread typed, the pour played and spaced, clashes settled, the
quote, the call read on the phone and gone stale."""

import re

from playwright.sync_api import expect
from tests.e2e.test_axe import AXE, BROKEN, SMALL
from tests.e2e.test_screed_by_hand import middle


def opened(page, tab, job="Tansy"):
    page.get_by_role("link", name=re.compile(job)).first.click()
    expect(page.locator("[data-side='0']")).to_be_attached()
    page.goto("/".join(page.url.split("/")[:5]) + f"/order?tab={tab}")
    return page.locator("[data-verdict-is] p").first


def test_the_board_is_dragged_to_an_order_that_is_kept_with_its_reason(page):
    verdict = opened(page, "sure")
    expect(verdict).to_contain_text("Order 23")
    expect(page.locator("[data-pours]")).to_have_attribute("data-pours", re.compile("[1-9]"))
    x, y = middle(page, "[data-strike-board]")
    page.mouse.move(x, y)
    page.mouse.down()
    page.mouse.move(x, y - 66, steps=6)
    page.mouse.up()
    expect(verdict).to_contain_text("Order 24")
    expect(verdict).to_contain_text("?")
    expect(page.locator("[data-pours]")).to_have_attribute("data-pours", "0")
    page.get_by_role("slider", name="The board: order").press("ArrowDown")
    page.get_by_label("Why, in a few words").fill("a barrow path takes more")
    page.reload()  # what was typed is still there; the board goes back to what stands
    expect(verdict).to_contain_text("Order 23")
    page.locator("[data-weighed='25']").click()
    expect(page.get_by_label("Why, in a few words")).to_have_value("a barrow path takes more")
    page.get_by_role("button", name=re.compile("^Order 25 yd")).click()
    expect(page.get_by_text("a barrow path takes more")).to_be_visible()
    expect(page.locator("[data-reading='order']").or_(page.get_by_text("Order said: 25 yd")).first).to_be_visible()
    page.get_by_role("button", name="As worked out again").click()
    expect(verdict).to_contain_text("Order 23")


def test_a_spread_is_said_otherwise_and_what_takes_the_rest_is_named(page):
    opened(page, "sure", "Larkfield wax")
    row = page.locator("[data-doubt='base']").first
    before = row.inner_text()
    row.get_by_role("button", name=re.compile("Spread of base")).click()
    field = row.get_by_label(re.compile("two pours in three"), exact=False).last
    field.fill("1 ft of it")
    field.press("Enter")
    expect(row.get_by_role("alert")).to_be_visible()
    field.fill("1/8 in")
    field.press("Enter")
    expect(row).to_contain_text("either way")
    assert row.inner_text() != before
    page.get_by_role("button", name=re.compile("What takes the rest")).click()
    page.get_by_label("A pad, blocks, a kerb").fill("Step block")
    page.get_by_label(re.compile("^Takes")).fill("lots")
    page.get_by_role("button", name="Add", exact=True).click()
    expect(page.get_by_text(re.compile("Cannot read lots as a volume"))).to_be_visible()
    page.get_by_label(re.compile("^Takes")).fill("1/4")
    page.get_by_role("button", name="Add", exact=True).click()
    expect(page.locator("[data-spare='Step block']")).to_be_visible()
    page.get_by_role("button", name="Take out, Step block").click()
    expect(page.locator("[data-spare]")).to_have_count(0)


def test_the_pour_is_played_and_another_spacing_tried_and_kept(page):
    verdict = opened(page, "trucks")
    expect(verdict).to_have_text("Every 40 minutes.")
    bar = page.locator("[data-played]").first
    bar.get_by_role("button", name="1 yd").click()
    expect(page.locator("[data-part-of-pour='1']")).to_have_attribute("data-share", "0.00")
    for _ in range(3):
        bar.get_by_role("button", name="1 yd").click()
    expect(page.locator("[data-part-of-pour='1']")).to_have_attribute("data-share", re.compile(r"0\.[1-9]"))
    bar.get_by_role("button", name="Play").click()
    expect(page.locator("[data-part-of-pour='2']")).to_have_attribute("data-share", "1.00")
    page.get_by_role("slider", name="Minutes between trucks").press("ArrowRight")
    expect(verdict).to_have_text("Every 41 minutes?")
    page.get_by_role("button", name=re.compile("Try the least")).click()
    expect(verdict).to_have_text(re.compile(r"Every \d+ minutes\?"))
    page.get_by_role("button", name="Let go").click()
    expect(verdict).to_have_text("Every 40 minutes.")
    days = page.locator("[data-days-old]")
    seed = page.get_by_text("seed 1", exact=True)
    expect(seed).to_be_visible()
    page.get_by_role("button", name="Twenty others").click()
    expect(page.get_by_text("seed 21")).to_be_visible()
    expect(days).to_have_count(1)
    page.get_by_label("Road, minutes").fill("90")
    page.get_by_label("Road, minutes").press("Enter")
    expect(page.locator("[data-finding='load-old']")).to_contain_text("90 is the limit")
    expect(verdict).to_have_attribute("class", re.compile("text-flag"))
    page.get_by_label("Places to stand").fill("0")
    page.get_by_label("Places to stand").press("Enter")
    expect(page.get_by_role("alert")).to_be_visible()


def test_clashes_of_the_mix_are_settled_and_a_line_is_said(page):
    verdict = opened(page, "mix")
    expect(verdict).to_have_text("2 things to settle")
    page.get_by_role("button", name="Apron alone, another day").click()
    expect(verdict).to_have_text("One thing to settle")
    page.get_by_role("button", name="Maker says none").click()
    expect(verdict).to_have_text("Nothing pulls apart")
    page.locator("[data-clash='air']").get_by_role("button", name="Open it again").click()
    expect(verdict).to_have_text("One thing to settle")
    page.get_by_role("button", name="Apron", exact=True).click()
    expect(page.locator("[data-outside='true']")).to_have_count(0)
    page.get_by_role("button", name="Say it: Stone").click()
    stone = page.locator("[data-mix-line='stone']").get_by_label("Stone", exact=True)
    stone.fill("2 in")
    stone.press("Enter")
    expect(page.locator("[data-mix-line='stone']")).to_contain_text("At most")
    expect(verdict).to_have_text("2 things to settle")
    page.get_by_label("Water, °F").fill("150")
    page.get_by_label("Water, °F").press("Enter")
    expect(page.get_by_role("img", name=re.compile("mixed 8"))).to_be_visible()


def test_the_cost_adds_up_takes_a_line_and_gives_its_papers(page):
    verdict = opened(page, "cost")
    expect(verdict).to_contain_text("in all.")
    table = page.locator("[data-cost]")
    before = int(table.get_attribute("data-cost"))
    page.get_by_label("What for").fill("County permit")
    page.get_by_label(re.compile("^Dollars")).fill("250")
    page.get_by_role("button", name="Add", exact=True).click()
    expect(page.locator("[data-cost-row^='extra']")).to_contain_text("County permit")
    assert int(table.get_attribute("data-cost")) > before + 25000
    page.get_by_label("Margin, % of the price").fill("95")
    page.get_by_label("Margin, % of the price").press("Enter")
    expect(page.get_by_role("alert")).to_be_visible()
    page.get_by_label("Margin, % of the price").fill("10")
    page.get_by_label("Margin, % of the price").press("Enter")
    expect(page.get_by_text("Margin, 10 % of the price")).to_be_visible()
    expect(page.locator("[data-alternate='thicker']")).to_contain_text("more")
    for name, end in (("^Quote, ", ".pdf"), ("All rows as XLSX", ".xlsx")):
        with page.expect_download() as got:
            page.get_by_role("link", name=re.compile(name)).first.click()
        assert got.value.suggested_filename.endswith(end)


def test_the_call_is_read_line_by_line_on_the_phone_and_goes_stale_when_an_edge_grows(phone):
    verdict = opened(phone, "call")
    expect(verdict).to_have_text("Nobody called yet.")
    phone.get_by_role("button", name="Line by line").click()
    for at in range(8):
        expect(phone.get_by_text(f"{at + 1} of 8")).to_be_visible()
        phone.get_by_role("button", name="read back").click()
    expect(phone.get_by_text("Every line was read back")).to_be_visible()
    phone.get_by_label("Who wrote it down there").fill("Ann")
    phone.get_by_label("Order number").fill("77")
    phone.get_by_role("button", name="The plant has it").click()
    expect(verdict).to_have_text(re.compile(r"Called \d+:\d\d to Ann, order 77"))
    phone.evaluate(AXE)
    assert phone.evaluate(BROKEN) == [] and phone.evaluate(SMALL) == []
    job = phone.url.split("/")[4]
    origin = "/".join(phone.url.split("/")[:3])
    state = phone.request.get(f"{origin}/api/jobs/{job}").json()
    edit = {"op": "set_edge_type", "mark": "E1", "depth": "30 in"}
    body = {"revision": state["revision"], "edits": [edit], "edit_id": "grown-edge"}
    assert phone.request.post(f"{origin}/api/jobs/{job}/edits", data=body).ok
    phone.reload()
    expect(verdict).to_have_text("Call again.")
    expect(phone.locator("[data-changes]")).to_contain_text("E1 edge below the slab")
