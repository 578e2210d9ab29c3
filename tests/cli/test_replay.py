"""A recorded day played on the command line, and days that cannot be."""

import json
from importlib import resources

import humble_trowel.cli.__main__  # noqa: F401 (brings every command in)
from humble_trowel.cli.shared import run


def test_replay_prints_each_word_and_refuses_a_day_that_cannot_be(tmp_path, capsys):
    demo = resources.files("humble_trowel.demo")
    job, day = tmp_path / "job.json", tmp_path / "day.jsonl"
    job.write_bytes((demo / "jobs" / "honey-house.json").read_bytes())
    day.write_bytes((demo / "days" / "honey-house-late.jsonl").read_bytes())
    assert run(["replay", str(job), str(day)]) == 0
    text = capsys.readouterr().out
    assert (
        "3,000 psi, 4,000 psi was ordered" in text
        and "last said 7 yd" in text
        and "Last truck refused to Corin" in text
    )
    assert run(["replay", str(job), str(day), "--json"]) == 0
    lines = [json.loads(line) for line in capsys.readouterr().out.splitlines() if line.strip()]
    assert lines[-1]["pour"]["remaining_m3"] == {"mean": 0.0, "sd": 0.0}
    for bad, words in (
        ("{", "line 1"), ('{"kind": "dance", "values": {}}', "dance is nothing of a day"), ("", "no line"), ('{"kind": "ticket"}', '"values"'),
        ('{"kind": "ticket", "values": {"load": "a", "at": "2027-06-17T06:40", "m3": "30 yd"}}', "more than any truck"),
    ):  # fmt: skip
        day.write_text(bad)
        assert run(["replay", str(job), str(day)]) == 2
        assert words in capsys.readouterr().err
