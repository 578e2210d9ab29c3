"""What a working shows is what the code computed: the shown text is read and worked out again."""

import re
from importlib import resources

import pytest
from tests.answers import figure
from tests.plans import edited, l_shape, new

from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.working import Working
from humble_trowel.files.job_file import parse_job

NAMES = ["honey-house", "boat-bay", "bus-shelter"]
FEET = r"(?:(?P<ft>\d+)′)?-?(?:(?P<in>\d+(?:\.\d+)?)?(?: ?(?P<n>\d+)/(?P<d>\d+))?″)?"


def demo(name):
    return parse_job((resources.files("humble_trowel.demo") / "jobs" / f"{name}.json").read_bytes())


def workings(item):
    if isinstance(item, Working):
        yield item
        for _, each in item.inputs:
            yield from workings(each)
    elif isinstance(item, list | tuple):
        for each in item:
            yield from workings(each)
    elif isinstance(item, dict):
        yield from workings(list(item.values()))
    elif hasattr(item, "__dict__"):
        yield from workings(list(vars(item).values()))


def shown_value(text, unit):
    """The number in a shown input, in the unit of its value."""
    match = re.fullmatch(FEET, text)
    if (match and "′" in text) or "″" in text:
        inches = float(match["in"] or 0) + (int(match["n"]) / int(match["d"]) if match["n"] else 0)
        total = float(match["ft"] or 0) * 12 + inches
        return total / 12 if unit == "ft" else total
    mixed = re.match(r"(?:(\d+) )?(\d+)/(\d+) ", text)
    if mixed:
        return float(mixed[1] or 0) + int(mixed[2]) / int(mixed[3])
    return float(re.match(r"-?[\d.]+", text)[0])


def again(working):
    """Evaluate the shown text itself, every input replaced by the number it shows."""
    values = {item.text: shown_value(item.text, item.unit) for _, item in working.inputs}
    texts = "|".join(re.escape(text) for text in sorted(values, key=len, reverse=True))
    text = re.sub(rf"(?<![\d.])(?:{texts})(?![\d.′″/])", lambda match: repr(values[match[0]]), working.shown)
    text = text.replace("×", "*").replace("÷", "/").replace("−", "-").replace("²", "**2")
    text = text.replace("√", "sqrt").replace("up to whole", "ceil")
    return eval(
        text, {"__builtins__": {}, "min": min, "max": max, "sqrt": lambda v: v**0.5, "ceil": lambda v: -(-v // 1)}
    )


@pytest.mark.parametrize("name", NAMES)
def test_every_shown_working_comes_to_its_value(name):
    result = figure(demo(name), Ways())
    seen = [item for item in workings(result) if item.formula]
    assert len(seen) > 10
    for item in seen:
        assert again(item) == pytest.approx(item.value, rel=4e-3, abs=0.012), (
            item.name,
            item.shown,
            item.text,
        )


def test_the_edge_of_an_l_has_its_closed_form():
    result = figure(l_shape(), Ways())
    edge = result.concrete.parts[1].working
    assert [item.name for _, item in edge.inputs] == [
        "E1 length along the middle",
        "E1 section below the slab",
    ]
    assert edge.value == pytest.approx(result.concrete.parts[1].m3 / 0.764554857984, rel=1e-6)


def test_every_leaf_says_where_it_comes_from():
    for item in workings(figure(l_shape(), Ways())):
        assert item.words and item.standing
        assert item.formula or item.text


def test_a_job_without_an_outline_has_no_figures_but_says_so():
    result = figure(edited(new(), {"op": "set_walk", "text": "36' e 18"}), Ways())
    assert result.concrete is None and result.outline is None
    assert [doubt.code for doubt in result.findings] == ["walk-open", "nothing-drawn"]
