"""The same path on a phone: nothing scrolls sideways, one column, the board at the foot."""

from playwright.sync_api import expect


def test_lay_out_an_l_on_a_phone(phone):
    phone.get_by_role("button", name="Start a slab").click()
    phone.get_by_label("What is it called?").fill("Pocket slab")
    phone.get_by_role("button", name="Start it").click()
    phone.locator("#call-out").fill("11 m e, 5.5 m n, 7.3 m w, 3 m n, 3.7 m w, 8.5 m s")
    phone.get_by_role("button", name="Keep the outline").click()
    expect(phone.locator("[data-reading='area'] .v")).to_contain_text("771 sq ft")
    phone.get_by_role("link", name="Edges").click()
    phone.get_by_label("New edge type").fill("300 mm wide 450 mm deep 90")
    phone.get_by_role("button", name="+ New edge type").click()
    phone.get_by_role("radio", name="E1", exact=True).click()
    phone.get_by_role("button", name="All sides E1").click()
    for beside in (
        "Underslab",
        "Steel",
        "Embeds",
        "Screed",
        "Order",
        "Gate",
        "Order",
    ):  # the neighbours of where one is are on the string
        phone.get_by_role("link", name=beside).click()
    expect(phone.locator("[data-reading='order'] .v")).to_contain_text("16")
    for lens in ("lines", "edges", "underslab", "steel", "embeds", "screed", "order", "gate", "pour", "cure"):
        phone.goto(f"{phone.url.rsplit('/', 1)[0]}/{lens}")
        phone.wait_for_timeout(200)
        assert phone.evaluate("document.documentElement.scrollWidth <= innerWidth")
        small = phone.evaluate(
            """() => [...document.querySelectorAll('button, a, input')].filter((e) => {
                 const b = e.getBoundingClientRect(), t = getComputedStyle(e);
                 return b.width && b.height < 24 && t.visibility !== 'hidden' && !e.closest('.sr-only') && b.width > 2 })
                 .map((e) => e.textContent || e.id)"""
        )
        assert small == []
