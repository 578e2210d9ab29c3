"""Answers that are none, how somebody does over the last ten, and what an exercise says of its own answer."""

import pytest

from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.practice.exercise import mark
from humble_trowel.core.practice.progress import Tried, done_of
from humble_trowel.core.practice.yard import build


def test_what_is_no_exercise_and_no_answer_is_said_plainly():
    for wrong, path in ((("dig", 1, 1), "kind"), (("rack", 4, 1), "level"), (("rack", 1, -1), "seed")):
        with pytest.raises(InputError) as told:
            build(*wrong, "ft-in", Ways())
        assert told.value.path == path
    one = build("rack", 1, 7, "ft-in", Ways())
    for answer, path in (({"way": "west"}, "answer.far"), ({"way": "up", "far": "3"}, "answer.way")):
        with pytest.raises(InputError) as told:
            mark(one, answer)
        assert told.value.path == path


def test_a_wrong_push_opens_the_strings_and_a_short_one_leaves_some():
    one = build("rack", 1, 7, "ft-in", Ways())
    right = int(one.own["far"])
    other = "east" if one.own["way"] == "west" else "west"
    short = mark(one, {**one.own, "far": str(right // 2)})
    assert short.off_n == right // 2 - right and 0 < short.lost < right and "apart" in short.words[0]
    wrong = mark(one, {**one.own, "way": other})
    assert wrong.lost > right and "The other way." in wrong.words[0] and wrong.off_n == -2 * right
    assert mark(one, one.own).verdict == "Square"


def test_an_order_of_less_or_more_costs_more_and_a_late_call_leaves_the_crew_standing():
    one = build("order", 3, 11, "ft-in", Ways())
    keys = [option.key for option in one.asks[0].options]
    lost = [mark(one, {"order": key}).lost for key in keys]
    best = keys.index(one.own["order"])
    assert lost[best] == 0 and lost[0] > lost[best] < lost[-1]
    last = build("last", 2, 11, "ft-in", Ways())
    late = mark(last, {**last.own, "when": last.asks[0].options[-1].key})
    assert late.lost >= 0 and (late.lost == 0 or "minutes after the others are empty" in late.words[0])
    minutes = [moment.minute_min for moment in last.moments]
    assert minutes == sorted(minutes) and minutes[0] == 0


def test_a_protection_for_nothing_and_a_rule_that_breaks_both_count():
    one = build("day", 1, 3, "ft-in", Ways())
    help_less = {**one.own, "help": "none"}
    assert mark(one, help_less).lost == 0
    bought = mark(one, {**one.own, "help": "blanket"})
    assert bought.lost == 1 and "for nothing" in bought.words[0]


def test_the_last_ten_are_counted_by_name_and_kind():
    def tried(n, grade, off=None, who="Ana", kind="rack"):
        return Tried(who, kind, n % 3 + 1, 0 if grade == "right" else 3, grade, off, f"2027-05-{n + 1:02d}")

    rows = [tried(n, "off", -4) for n in range(5)] + [tried(n, "right", 0) for n in range(5, 12)]
    rows += [tried(12, "near", -2), tried(13, "off", who="Ben", kind="rod")]
    ana, ben = done_of(rows)
    assert (ana.right, ana.near, ana.tried, ana.all_n, ana.level, ana.out_n) == (7, 1, 10, 13, 3, 0)
    assert (ben.who, ben.kind, ben.right, ben.out_n, ben.level) == ("Ben", "rod", 0, None, 0)
