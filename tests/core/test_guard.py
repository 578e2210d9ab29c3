"""The guard at the edge of the core, and the overlays that must come out as areas."""

import pytest
from shapely.geometry import GeometryCollection, LineString, MultiPolygon, Point, Polygon, box

from humble_trowel.core.errors import ComputeError, InputError
from humble_trowel.core.geometry.overlay import areas_only, common, less, sound
from humble_trowel.core.guard import answers, or_finding


@answers("The forms")
def forms(by):
    """A part of the core that can fail in three ways."""
    if by is None:
        raise InputError("Say how many.", "by")
    return 12 / by


def test_a_part_that_fails_is_named_and_an_error_in_words_goes_through():
    assert forms(4) == 3 and forms.__name__ == "forms"
    with pytest.raises(ComputeError) as failed:
        forms(0)
    assert failed.value.part == "The forms" and "ZeroDivisionError" in str(failed.value.__cause__.__class__.__name__)
    with pytest.raises(InputError, match="Say how many"):
        forms(None)


def test_what_failed_becomes_one_finding_with_a_remedy_and_the_rest_stands():
    doubts = []
    assert or_finding(lambda: forms(3), -1, doubts) == 4 and doubts == []
    assert or_finding(lambda: forms(0), -1, doubts) == -1
    (row,) = doubts
    assert row.code == "cannot-compute" and row.where == "The forms" and "Everything else stands" in row.remedy
    with pytest.raises(InputError):
        or_finding(lambda: forms(None), -1, doubts)


def test_an_overlay_is_an_area_even_where_borders_only_touch():
    one, beside = box(0, 0, 10, 10), box(10, 0, 20, 10)
    assert common(one, beside).is_empty and less(one, beside).equals(one) and less(one, Polygon()) is one
    two = common(one, MultiPolygon([box(-1, 0, 1, 10), box(9, 0, 11, 10)]))
    assert two.geom_type == "MultiPolygon" and two.area == pytest.approx(20)
    mixed = GeometryCollection([one, LineString([(0, 0), (30, 30)]), Point(3, 3)])
    assert areas_only(mixed).equals(one) and areas_only(LineString([(0, 0), (1, 1)])).is_empty
    assert common(mixed, box(5, 5, 30, 30)).area == pytest.approx(25)


def test_a_region_that_crosses_itself_is_mended_before_it_is_laid_over():
    bow = Polygon([(0, 0), (10, 10), (10, 0), (0, 10)])
    assert not bow.is_valid and sound(bow).is_valid and sound(bow).area == pytest.approx(50)
    assert common(bow, box(0, 0, 5, 10)).area == pytest.approx(25)
    assert less(bow, box(0, 0, 5, 10)).area == pytest.approx(25)
