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
    assert data["concrete"]["order_yd3"] == pytest.approx(23.5)
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


SQUARE = [
    {"from": a, "to": b, "mm": mm}
    for a, b, mm in ((0, 1, 6000), (1, 2, 4000), (2, 3, 6000), (3, 0, 4000), (0, 2, 7221.1), (1, 3, 7201.1))
]


def test_square_gives_the_moves_and_cut_the_bars(tmp_path):
    plan, taped = tmp_path / "job.json", tmp_path / "taped.json"
    plan.write_text(json.dumps(job()))
    taped.write_text(json.dumps({"hold": [0, 1], "measures": SQUARE}))
    data = json.loads(run("square", plan, taped, "--json").stdout)
    assert data["determined"] and data["suspect"] is None
    moves = {move["corner"]: move for move in data["moves"]}
    assert moves[2]["dx_mm"] == pytest.approx(-12, abs=0.5) and "west" in moves[2]["words"]
    assert "Rack" in run("square", plan, taped).stdout
    taped.write_text('{"measures": [{"from": 0, "to": 9, "mm": 5}]}')
    done = run("square", plan, taped)
    assert done.returncode == 2 and "measures[0].to: There is no corner 9" in done.stderr
    task = tmp_path / "cut.json"
    stock = [
        {"length_mm": 6000, "count": 1, "price_cents": 0},
        {"length_mm": 4000.5, "count": None, "price_cents": 500},
    ]
    task.write_text(json.dumps({"stock": stock, "pieces": [{"length_mm": 1998.5, "count": 5}], "kerf_mm": 2.5}))
    done = run("cut", task, "--json")
    plan = json.loads(done.stdout)
    assert plan["cost_cents"] == plan["bound_cents"] == 1000 and len(plan["bars"]) == 3
    task.write_text('{"stock": [{"length_mm": -5}], "pieces": [{"length_mm": 5}]}')
    assert "stock[0].length_mm" in run("cut", task).stderr


def test_figure_carries_lines_forms_and_the_cut_plan():
    data = json.loads(run("figure", JOBS / "honey-house.json", "--json").stdout)
    assert data["lines"]["corners"][1] == {"corner": 1, "x_mm": pytest.approx(10972.8), "y_mm": pytest.approx(0)}
    assert {"corner", "from_a", "from_b", "a_mm", "b_mm"} <= set(data["lines"]["swing"][0])
    side = data["forms"]["sides"][0]
    assert side["height_mm"] == pytest.approx(431.8) and side["stakes"] > 2 and side["boards"]
    cuts = data["forms"]["cut_plan"]
    assert cuts["waste_mm"] >= 0 and cuts["bought_mm"] >= cuts["bound_mm"]


SHOTS = "name,x_mm,y_mm,level_mm\n" + "\n".join(
    f"{i},{x},{y},{-110}" for i, (x, y) in enumerate([(500, 500), (5500, 500), (5500, 3500), (500, 3500)])
)


def test_grade_gives_cut_fill_and_trenches_as_dug_without_a_server(tmp_path):
    edge = {"mark": "E1", "kind": "thickened", "depth_mm": 400, "bottom_width_mm": 300}
    (tmp_path / "job.json").write_text(json.dumps(job(edge_types=[edge], edges=[{"sides": [0], "type": "E1"}])))
    (tmp_path / "shots.csv").write_text(SHOTS)
    (tmp_path / "dug.csv").write_text("side,at_mm,width_mm,depth_mm\n0,0,350,400\n")
    files = [tmp_path / "job.json", tmp_path / "shots.csv", "--layer", "base"]
    told = json.loads(run("grade", *files, "--dug", tmp_path / "dug.csv", "--json").stdout)
    found = told["ground"]["shots"]
    assert found["fill_m3"] == found["extra_concrete_m3"] == pytest.approx(6 * 3.7 * 0.01)
    assert (found["cut_m3"], found["mean_error_mm"]) == pytest.approx((0.0, -10.0))
    slab, trench = told["concrete"]["parts_as_dug"]
    assert slab["as_shot_m3"] == pytest.approx(2.4 + 6 * 3.7 * 0.01)
    assert trench["as_dug_m3"] - trench["planned_m3"] == pytest.approx(6 * 0.05 * 0.3)
    assert "10 mm low" in run("grade", *files).stdout


@pytest.mark.parametrize(
    ("shots", "words"),
    [
        ("1,100,100,-100\n2,2000,900,-100\n", "2 shots make no surface"),
        ("1,500,500,-100\n2,1000,500,-100\n3,3000,500,-100\n", "in one line"),
        ("name,level_mm,x,z\n1,2,3,4\n", "no y"),
        ("name,x_furlong,y_mm,level_mm\n1,2,3,4\n", "x_furlong has a unit"),
        ("\0\0", "no text file"),
    ],
)
def test_grade_refuses_bad_files_in_one_line(tmp_path, shots, words):
    (tmp_path / "job.json").write_text(json.dumps(job()))
    (tmp_path / "shots.csv").write_text(shots)
    refused = run("grade", tmp_path / "job.json", tmp_path / "shots.csv", "--json")
    assert refused.returncode == 2 and words in refused.stderr and refused.stderr.count("\n") == 1
