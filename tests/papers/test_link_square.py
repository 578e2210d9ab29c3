"""The square in the margin of a sheet, while the site is open."""

import io

from pypdf import PdfReader

from humble_trowel.papers.pages import linked, set_pdf

SHEET = '#set page(paper: "a4", margin: 14mm)\n#set text(font: "Trowel Sheet")\nThe first\n#pagebreak()\nThe second\n'


def test_every_page_carries_the_square_while_it_leads_somewhere_and_none_after():
    plain = set_pdf(SHEET, {})
    with linked("http://192.168.4.20:8743/job/87a54110562c"):
        squared = set_pdf(SHEET, {})
    with linked("http://192.168.4.20:8743/job/000000000000"):
        other = set_pdf(SHEET, {})
    assert set_pdf(SHEET, {}) == plain and len({plain, squared, other}) == 3
    pages = [PdfReader(io.BytesIO(one)).pages for one in (plain, squared)]
    assert [len(one) for one in pages] == [2, 2]
    for without, with_square in zip(*pages, strict=True):
        assert with_square.extract_text().strip() == without.extract_text().strip()
        assert len(with_square.get_contents().get_data()) > len(without.get_contents().get_data())
