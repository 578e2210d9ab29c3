"""The command line: figures without a server, files out and in."""

import json
import os
import subprocess
import sys
from pathlib import Path

import pytest
from tests.plans import job

JOBS = Path(__file__).resolve().parents[2] / "src/humble_trowel/demo/jobs"


def run(*arguments, zone="UTC"):
    command = [sys.executable, "-m", "humble_trowel.cli", *map(str, arguments)]
    return subprocess.run(command, capture_output=True, text=True, env={**os.environ, "TZ": zone})


def test_figure_prints_the_fixed_names_and_a_table():
    data = json.loads(run("figure", JOBS / "honey-house.json", "--json").stdout)
    assert data["concrete"]["order_yd3"] == pytest.approx(22.5)
    assert sum(part["m3"] for part in data["concrete"]["parts"]) == pytest.approx(data["concrete"]["net_m3"])
    assert "ORDER" in run("figure", JOBS / "boat-bay.json", zone="Pacific/Chatham").stdout


@pytest.mark.parametrize(
    ("content", "line"),
    [
        (
            json.dumps(job(zones=[{"name": "z", "slab": "S9"}])),
            "zones[0].slab: The mark S9 is not known. Known here: S1.",
        ),
        (json.dumps(job(depth=1)), "depth: Unknown key depth."),
        ("[1]", "A job file is one JSON object, not a list."),
    ],
)
def test_a_bad_file_is_one_plain_line_and_exit_2(tmp_path, content, line):
    path = tmp_path / "bad.json"
    path.write_text(content)
    done = run("figure", path)
    assert (done.returncode, done.stdout) == (2, "")
    assert done.stderr == f"{path}: {line}\n"
    assert run("figure", tmp_path / "missing.json").returncode == 2


def test_export_after_import_gives_the_same_job_again(tmp_path):
    data = tmp_path / "data"
    first = run("import", JOBS / "boat-bay.json", "--data", data)
    out = run("export", first.stdout.strip(), "--data", data)
    (tmp_path / "again.json").write_text(out.stdout)
    second = run("import", tmp_path / "again.json", "--data", data)
    assert run("export", second.stdout.strip(), "--data", data).stdout == out.stdout
    assert run("export", "Ferrier's Reach boat bay", "--data", data).returncode == 2
    assert run("backup", tmp_path / "copy.sqlite3", "--data", data).returncode == 0
    assert run("backup", tmp_path / "copy.sqlite3", "--data", data).returncode == 2
