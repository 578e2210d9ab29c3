"""What a tailgate in the rain asks of every sheet: type, built fractions, scale with its bar, revision and hour, a sheet a purpose."""

import re
from datetime import date
from importlib import resources
from pathlib import Path

import pytest

from humble_trowel.core.job import Job
from humble_trowel.files.job_file import parse_job
from humble_trowel.papers.frame import MM_PER_PT, revision_words, stamped
from humble_trowel.papers.job_pack import sheets_of

DEMO = resources.files("humble_trowel.demo") / "jobs"
LENGTH = re.compile(r"^-?[\d′″ ⁄⁰¹²³⁴⁵⁶⁷⁸⁹₀₁₂₃₄₅₆₇₈₉\u2009-]+(mm)?$")
STAMP = "Revision 7, 17 June 2027 14:20"


@pytest.fixture(scope="module", params=["honey-house", "boat-bay", "bus-shelter"])
def sheets(request):
    """(title, typst source, its drawings) of every sheet that a demo job has."""
    held = []

    def keep(main, **_):
        folder = Path(main).parent
        held.append((Path(main).read_text("utf-8"), {one.name: one.read_text("utf-8") for one in folder.glob("*.svg")}))
        return b"%PDF-"

    patch = pytest.MonkeyPatch()
    patch.setattr("typst.compile", keep)
    job, found = Job(parse_job((DEMO / f"{request.param}.json").read_bytes())), []
    with stamped(STAMP):
        for title, make in sheets_of(job, "letter", date(2027, 6, 1)):
            make()
            found.append((title, *held.pop()))
    patch.undo()
    return found


def test_nothing_is_under_eleven_points_and_no_size_under_thirteen(sheets):
    for title, source, drawings in sheets:
        sizes = [float(pt) for pt in re.findall(r"(?:text\(|size: |set text\()(\d+(?:\.\d+)?)pt", source)]
        assert sizes and min(sizes) >= 11, title
        for name, drawing in drawings.items():
            for size, words in re.findall(r'font-size="([\d.]+)"[^>]*>([^<]*)<', drawing):
                least = 13 if LENGTH.match(words.strip()) and re.search(r"[′″]|mm", words) else 11
                assert float(size) >= least * MM_PER_PT - 0.01, (title, name, words)


def test_fractions_are_built_whichever_way_a_size_is_turned(sheets):
    for title, source, drawings in sheets:
        texts = [words for drawing in drawings.values() for words in re.findall(r"<text[^>]*>([^<]*)<", drawing)]
        assert not [words for words in texts if re.search(r"\d/\d", words)], title
        assert 'features: ("frac",)' in source


def test_every_sheet_carries_its_revision_its_purpose_and_a_scale_with_a_bar(sheets):
    titles = [title for title, _, _ in sheets]
    assert titles[:3] == ["Setting out", "Forms", "Check"] and "The call" in titles
    for title, source, drawings in sheets:
        assert STAMP in source, title
        assert "plan.svg" not in drawings or re.search(r"Scale #text.+print at 100 %", source), title
        assert "plan.svg" not in drawings or ">10′<" in drawings["plan.svg"] or ">3 m<" in drawings["plan.svg"], title


def test_a_revision_is_said_with_its_hour():
    assert re.fullmatch(r"Revision 12, 1[78] June 2027 \d\d:20", revision_words(12, "2027-06-17T14:20:05+00:00"))


def test_each_new_sheet_holds_what_its_purpose_asks(sheets):
    by_title = {title: source for title, source, _ in sheets}
    assert "Side by side" in by_title["Forms"] and "Stakes" in by_title["Forms"]
    assert all(words in by_title["Check"] for words in ("Tops of the forms", "Should be", "Taped by", "A to B"))
    call = by_title["The call"]
    assert "Read back by" in call and "#tick" in call and "How much?" in call
    assert all("Forms over about" not in source for title, source in by_title.items() if title != "Forms")


def test_a_drawing_fills_what_its_page_gives_it_and_is_never_larger():
    from humble_trowel.papers.frame import FOOT_MM, HEAD_MM, MARGIN_MM, room_for
    from humble_trowel.papers.pages import PAPER_MM

    for inches in (True, False):
        for wide in range(4000, 40_000, 1700):
            for high in (3000, 9000, 26_000):
                room = room_for(wide, high, "letter", inches)
                page = PAPER_MM["letter"][::-1] if room.flipped else PAPER_MM["letter"]
                give = (page[0] - 2 * MARGIN_MM, page[1] - MARGIN_MM - FOOT_MM - HEAD_MM)
                takes = (wide / room.scale.one_to / give[0], high / room.scale.one_to / give[1])
                assert max(takes) <= 1 and max(takes) > 0.66, (wide, high, room)
