"""Every view, tab, light and size read by a screen reader's rules: none broken. On a phone everything is large enough as well."""

from pathlib import Path

import pytest
from tests.e2e.conftest import fresh_page

AXE = (Path(__file__).parents[2] / "frontend/node_modules/axe-core/axe.min.js").read_text("utf-8")
TABS = {
    "lines": ("walk", "around", "setout", "square", "straight", "forms", "boards"),
    "ground": ("shots", "rod", "laser", "stack", "falls", "stone", "dug", "tests"),
    "edges": ("cut", "grid", "top", "meets", "walks", "footings", "walls", "frost", "sum"),
    "underslab": ("services", "check", "tests", "barrier", "foam", "tubing", "clashes"),
    "steel": ("way", "mat", "cages", "dowels", "chairs", "lists", "look"),
    "embeds": ("walls", "bolts", "straps", "setting"),
    "screed": ("strips", "pads", "order", "joints"),
    "order": ("ledger", "sure", "mix", "trucks", "cost", "call"),
    "gate": ("holds", "day", "trades", "week", "papers", "changes"),
    "pour": ("now", "tickets", "left", "finish", "trouble", "notes"),
    "cure": ("cover", "strength", "work", "built", "lessons", "papers"),
}
BROKEN = """(only) => axe.run(document, { resultTypes: ['violations'], ...(only ? { runOnly: [only] } : {}) }).then((found) =>
  found.violations.flatMap((rule) => rule.nodes.map((node) => `${rule.id}: ${node.html.slice(0, 140)} ${node.failureSummary}`)))"""
SMALL = """() => {
  const seen = (e) => { const b = e.getBoundingClientRect(), s = getComputedStyle(e);
    return b.width > 2 && b.height > 2 && s.visibility !== 'hidden' && !e.closest('.sr-only, [inert], [hidden]') };
  const low = [...document.querySelectorAll('button, a[href], input, select, textarea, summary, [role=button], [role=radio]')]
    .filter((e) => seen(e) && !e.closest('label')?.matches('.act') && !e.disabled)
    .filter((e) => { const b = (['checkbox', 'radio', 'text'].includes(e.type) && e.closest('label') || e).getBoundingClientRect();
      const more = (side) => Math.max(0, -parseFloat(getComputedStyle(e, '::after')[side]) || 0);
      return b.height + more('top') + more('bottom') < 43.5 })
    .map((e) => `low ${Math.round(e.getBoundingClientRect().height)}: ${(e.ariaLabel || e.textContent || e.id).trim().slice(0, 40)}`);
  const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  const small = new Set();
  for (let node; (node = texts.nextNode()); ) {
    const e = node.parentElement;
    if (!node.textContent.trim() || !seen(e) || e.closest('option, script, style, [aria-hidden=true]')) continue;
    const svg = e.ownerSVGElement, size = parseFloat(getComputedStyle(e).fontSize) * (svg?.getScreenCTM()?.a ?? 1);
    if (size < (e.closest('tspan[font-size], sup, sub') ? 10 : 14.9)) small.add(`text ${size}: ${node.textContent.trim().slice(0, 40)}`);
  }
  return [...low, ...small] }"""


def views(page):
    """Every address: the yard, ways, rules, and each tab of the largest demo job."""
    page.get_by_role("link", name="Tansy").first.wait_for()
    job = page.get_by_role("link", name="Tansy").first.get_attribute("href").split("/")[2]
    yield from ("/", "/ways", "/rules")
    yield from (f"/practice?kind={kind}&level=3&seed=7" for kind in ("rack", "rod", "walk", "bolts", "faults", "last"))
    yield from (f"/job/{job}/{lens}?tab={tab}" for lens, tabs in TABS.items() for tab in tabs)


@pytest.mark.parametrize(("width", "height"), [(1280, 800), (390, 844)])
def test_no_rule_is_broken_in_any_view_tab_light_and_size(browser, server, width, height):
    for page in fresh_page(browser, server, width, height):
        page.add_init_script(AXE)
        broken = {}
        for view in views(page):
            page.goto(server.url + view)
            page.locator("h1").first.wait_for(state="attached")
            page.wait_for_load_state("networkidle")
            assert page.locator("h1").count() == 1, view
            broken[view] = page.evaluate(BROKEN)
            page.evaluate("document.documentElement.dataset.light = 'dim'")
            broken[f"{view} dim"] = page.evaluate(BROKEN, "color-contrast")
            if width < 600:
                broken[f"{view} size"] = page.evaluate(SMALL)
        assert {view: rows for view, rows in broken.items() if rows} == {}
