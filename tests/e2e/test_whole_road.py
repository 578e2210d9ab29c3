"""One plain pad from the first tape call to the hand-over, by hand, on a laptop and on a phone: nothing is asked twice, nothing stumbles."""

import json
import re

import pytest
from playwright.sync_api import expect
from tests.e2e.conftest import fresh_page


class Walk:
    """A person with the job open."""

    def __init__(self, page, server):
        self.page, self.url = page, server.url
        page.evaluate("localStorage.setItem('who', 'Wren')")

    def begin(self, name):
        self.page.goto(self.url)
        self.press("Start a slab")
        self.page.get_by_label("What is it called?").fill(name)
        self.page.get_by_role("radio", name="feet and inches").click()
        self.press("Show me the way, ten lines")
        self.press("Start it")
        self.page.locator("#call-out").wait_for()
        self.job = re.search(r"/job/([^/]+)/", self.page.url)[1]

    def turn(self, lens, tab):
        self.page.goto(f"{self.url}/job/{self.job}/{lens}?tab={tab}")
        self.page.locator("#bench h1, main h1").first.wait_for(state="attached")
        assert self.page.evaluate("document.documentElement.scrollWidth <= innerWidth"), (
            f"{lens} {tab} runs off the side"
        )

    def press(self, name, exact=True):
        self.page.get_by_role("button", name=name, exact=exact).first.click()

    def reads(self, name):
        return self.page.locator(f"[data-reading='{name}'] .v").first

    @property
    def verdict(self):
        return self.page.locator("[data-verdict-is] p").first

    def got(self, path):
        answer = self.page.request.get(f"{self.url}/api/jobs/{self.job}/{path}")
        assert answer.ok, f"{path}: {answer.text()[:200]}"
        return answer


def lay_out(walk):
    """Lines and Edges: the outline called, taped square, its edge thickened."""
    page = walk.page
    page.locator("#call-out").fill("24' e 20' n 24' w 20' s")
    walk.press("Keep the outline")
    expect(walk.reads("area")).to_contain_text("480 sq ft")
    walk.turn("lines", "square")
    sides = {"A to B": "24'", "B to C": "20'", "C to D": "24'", "D to A": "20'"}
    for name, text in {**sides, "A to C": "31' 2 7/8\"", "B to D": "31' 2 7/8\""}.items():
        page.get_by_label(f"You taped, {name}").fill(text)
    expect(page.locator("#bench")).to_contain_text("Square, inside")
    walk.press("Keep this round")
    expect(page.get_by_role("link", name=re.compile("^Lines"))).to_contain_text("square")
    walk.turn("edges", "cut")
    page.get_by_label("New edge type").fill("12 wide 16 deep 45")
    walk.press("+ New edge type")
    page.get_by_role("radio", name="E1", exact=True).click()
    walk.press("All sides E1")
    expect(walk.reads("order")).to_contain_text("yd")
    led = page.locator("[data-first-slab]")
    expect(led).to_have_attribute("data-first-slab", "stack")
    led.get_by_role("link", name="Go there").click()
    led.get_by_role("button", name="Next line").click()
    expect(led).to_have_attribute("data-first-slab", "laser")
    led.get_by_role("button", name="Leave it").click()
    expect(led).to_have_count(0)


def make_ready(walk):
    """Ground, Steel, Embeds, Screed: a base and a laser, bars, walls with their bolts, strips and joints."""
    page = walk.page
    walk.turn("ground", "stack")
    walk.press("Floor on stone")
    walk.press("Keep this build-up")
    walk.turn("ground", "laser")
    page.get_by_label("Name", exact=True).fill("Nail in the gatepost")
    page.get_by_label(re.compile("^Level, from floor")).fill("6 over")
    walk.press("Add this mark")
    page.get_by_label("The rod reads there").fill("4' 2 1/4\"")
    walk.press("It stands")
    walk.turn("ground", "rod")
    expect(page.get_by_role("row", name=re.compile("^form top, corner A"))).to_contain_text(
        "4′-8 1/4"
    )  # 6 in over, and 4 ft 2 1/4
    walk.turn("steel", "way")
    page.get_by_label("S1, call it like the drawing").fill("#4 at 18 each way, top, 1 1/2 clear")
    page.get_by_label("S1, call it like the drawing").press("Enter")
    expect(page.locator("#bench")).not_to_contain_text("No slab has its steel yet")
    walk.turn("embeds", "walls")
    walk.press("A wall along every side")
    expect(walk.verdict).to_have_text("Four walls.")
    walk.turn("screed", "strips")
    walk.press("Lay them so")
    expect(walk.verdict).to_contain_text("strips")
    walk.turn("screed", "joints")
    page.get_by_role("button", name=re.compile("^30 t")).click()
    expect(page.locator("[data-joint]").first).to_be_attached()


def fill(walk, line, **said):
    """A line of the call filled in where it is missed."""
    row = walk.page.locator(f"[data-line='{line}']")
    row.get_by_role("button", name="Fill in").click()
    for label, value in said.items():
        field = walk.page.get_by_label(label.replace("_", " "), exact=True)
        field.fill(value)
        field.press("Enter")
    return row


def call_the_plant(walk):
    """Order and Gate: what is unsaid is filled in where it is missed; the weather typed; called, read back line by line."""
    page = walk.page
    walk.turn("order", "call")
    expect(fill(walk, "when", First_truck_on_site="2027-06-17T07:00")).to_contain_text("17 June")
    expect(fill(walk, "where", Address="4 Mill Lane", How_to_get_in="Second gate")).to_contain_text("Second gate")
    expect(fill(walk, "mix", Strength="4000 psi", Stone="3/4", Slump="4")).to_contain_text("4,000 psi")
    expect(fill(walk, "loads", Minutes_between_trucks="45")).to_contain_text("45 minutes")
    fill(walk, "ring", Who_to_ring="Wren", Their_number="555 0141")
    for back in page.get_by_role("button", name=re.compile("^read back:")).all():
        back.click()
    page.get_by_label("Who wrote it down there").fill("Corin")
    walk.press("The plant has it")
    expect(walk.verdict).to_contain_text("Corin")
    walk.turn("gate", "day")
    for row, texts in (("Air, °F", "55 72 58"), ("Humidity, %", "75 50 70"), ("Wind, mph", "3 6 3")):
        for when, text in zip(("Morning", "Noon", "Night"), texts.split(), strict=True):
            page.get_by_label(f"{row}, {when}", exact=True).fill(text)
    page.get_by_label("Cloud, eighths").fill("4")
    walk.press("Keep them")
    expect(walk.verdict).to_contain_text("Thu", timeout=60_000)
    walk.turn("gate", "holds")
    hold = page.locator("[data-hold]").filter(has_text="The walk is not done")
    hold.get_by_role("button", name="Take it on").click()
    hold.get_by_label("Your name").fill("Wren")
    hold.get_by_label("Why").fill("Walked it with Oakley")
    hold.get_by_role("button", name="Keep it").click()
    expect(page.locator("[data-overruled]")).to_contain_text("Walked it with Oakley")


def pour_it(walk):
    """Pour: two trucks with their tickets, the last one said, strips struck."""
    page = walk.page
    walk.turn("pour", "tickets")
    walk.press("Truck 1 is here")
    walk.press("9")
    expect(page.locator("[data-load='1']")).to_contain_text("9 yd")
    walk.turn("pour", "left")
    page.get_by_label("Who read it back").fill("Corin")
    page.get_by_role("button", name=re.compile("^Said, ")).click()
    expect(page.locator("[data-verdict-is]").first).to_contain_text("Corin read it back")
    walk.turn("pour", "now")
    page.locator("[data-number='1']").click()
    expect(page.locator("[data-strip='1']")).to_have_attribute("data-full", "true")


def hand_it_over(walk):
    """Cure: what lies on it, how it stands, and every sheet of the box."""
    page = walk.page
    walk.turn("cure", "cover")
    walk.press("Water: laid")
    expect(page.locator("[data-under='wet']").first).to_be_attached()
    walk.turn("cure", "papers")
    expect(page.locator("[data-open]")).to_contain_text("not sawn")
    for paper in ("set-out", "forms", "check", "steel", "embeds", "call", "walk", "as-built", "hand-over"):
        assert walk.got(f"{paper}.pdf?paper=a4").body()[:5] == b"%PDF-"
    file = walk.got("file").body()
    again = page.request.post(
        f"{walk.url}/api/jobs/import", data=file, headers={"content-type": "application/json", "origin": walk.url}
    )
    assert (
        again.ok
        and again.json()["document"]["outline"] == json.loads(file)["outline"]
        and len(json.loads(file)["joints"]["lines"]) == 3
    )


@pytest.mark.parametrize(("width", "height"), [(1280, 800), (390, 844)])
def test_a_plain_pad_from_the_tape_to_the_hand_over(browser, server, width, height):
    for page in fresh_page(browser, server, width, height):
        walk = Walk(page, server)
        walk.begin("Plain pad")
        for part in (lay_out, make_ready, call_the_plant, pour_it, hand_it_over):
            part(walk)
        page.goto(server.url)
        expect(page.get_by_role("link", name=re.compile("^Plain pad")).first).to_be_visible()
