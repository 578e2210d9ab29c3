"""A raft in a stem wall by hand, its door and levels; a lap, a walk and a ramp; read on the phone."""

import re

from playwright.sync_api import expect
from tests.e2e.conftest import choose
from tests.e2e.test_axe import AXE, BROKEN, SMALL


def start(page, name):
    page.get_by_role("button", name="Start a slab").click()
    page.keyboard.type(name)
    page.keyboard.press("Enter")
    expect(page.get_by_role("heading", name="Where does it start?")).to_be_visible()


def say(page, label, text):
    field = page.get_by_label(label, exact=True)
    field.fill(text)
    field.press("Enter")


def verdict(page):
    return page.locator("[data-verdict-is] p").first


def test_a_raft_in_a_stem_wall_starts_with_its_parts_and_takes_a_door(page, phone, server):
    start(page, "Wren raft")
    page.get_by_role("button", name="Raft in a stem wall").click()
    page.get_by_label("Across").fill("30'")
    page.get_by_label("Up").fill("20'")
    page.get_by_role("button", name="Lay it out").click()
    expect(page.get_by_role("heading", name="What stands on the footing?")).to_be_visible()
    expect(verdict(page)).to_contain_text(re.compile("Order .+ yd for the walls"))
    expect(page.get_by_text("thick, a guess", exact=True)).to_be_visible()
    say(page, "thick, a guess", "8")
    expect(page.get_by_label("thick", exact=True)).to_have_value("8″")
    say(page, "set down for doors", "a door")
    expect(page.get_by_role("alert")).to_contain_text("Cannot read 'a door'")
    say(page, "set down for doors", "from 10' to 13' down 3/4")
    page.get_by_role("radio", name="10′ to 13′").click()
    expect(page.get_by_role("img", name=re.compile("Cut through Wall"))).to_contain_text("set down 3/4")
    page.get_by_role("radio", name=re.compile("^0″ to 10′")).click()
    say(page, "top at, a guess", "90 below")
    expect(page.get_by_role("alert")).to_contain_text("below the")
    page.get_by_label("top at, a guess", exact=True).press("Escape")
    choose(page, "kind", "block")
    expect(page.get_by_text(re.compile("courses come out even|courses stand"))).to_be_visible()
    choose(page, "cores filled", "all")
    expect(verdict(page)).to_contain_text("yd for the walls")

    phone.goto(f"{server.url}{page.url.split(server.url)[1]}")
    expect(verdict(phone)).to_contain_text("yd for the walls")
    for one in (page, phone):
        one.evaluate(AXE)
        assert one.evaluate(BROKEN) == []
    assert phone.evaluate(SMALL) == []


def test_a_lap_a_walk_and_a_ramp_lie_along_the_slab(page, phone, server):
    page.get_by_role("link", name=re.compile("Tansy")).first.click()
    expect(page.locator("[data-side='0']")).to_be_attached()
    page.goto("/".join(page.url.split("/")[:5]) + "/edges?tab=walks")
    expect(page.get_by_text("Nothing beside it.")).to_be_visible()
    new = lambda label, text: page.get_by_label(f"One more {label}", exact=True).fill(text)  # noqa: E731
    new("over by", "8")
    new("thick", "4")
    page.get_by_role("button", name="Lay it").click()
    expect(page.get_by_role("alert")).to_contain_text("Nothing lies under Lap 1")
    expect(page.get_by_label("One more over by", exact=True)).to_have_value("8")
    page.get_by_role("radio", name="Sidewalk").click()
    choose(page, "along", "G to H")
    new("wide", "4'")
    new("thick", "4")
    page.get_by_role("button", name="Lay it").click()
    expect(page.get_by_text(re.compile("Falls .+ away"))).to_be_visible()
    page.locator("[data-wall='6']").click(force=True)  # G to H, on the plan
    expect(page.get_by_text("G to H is pressed. Call a lap, a walk or a ramp.")).to_be_visible()
    call = page.locator("#call-here")
    call.fill("ramp 5 down 4 by 6 at 6'")
    page.locator("#call-heard button").first.click()
    expect(page.get_by_text("Ramp 1, 5′ wide")).to_be_visible()
    call.press("Enter")
    expect(page.get_by_text("1 in 12, down 4″.")).to_be_visible()
    say(page, "runs out", "3'")
    expect(page.get_by_text("people walk 1 in 12 at most")).to_be_visible()
    say(page, "thick at the foot", "1/2")
    expect(page.get_by_role("alert")).to_contain_text("A feather of 1/2″ breaks off")
    page.get_by_label("thick at the foot", exact=True).press("Escape")

    phone.goto(f"{server.url}{page.url.split(server.url)[1]}")
    expect(phone.get_by_text(re.compile("beside the slab"))).to_be_visible()
    for one in (page, phone):
        one.evaluate(AXE)
        assert one.evaluate(BROKEN) == []
    assert phone.evaluate(SMALL) == []
