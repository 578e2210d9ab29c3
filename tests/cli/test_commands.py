"""Every command that the README names, run through the launcher as a person would; starting, stopping, plain lines."""

import json
import os
import re
import signal
import socket
import subprocess
import sys
import time
from pathlib import Path

import pytest
from tests.plans import job

ROOT = Path(__file__).resolve().parents[2]
LAUNCHER = [sys.executable, str(ROOT / "trowel")]
HELP_ONLY = {
    "check",
    "bench",
    "pictures",
    "prove",
}  # minutes long; `test` runs the first, and each must at least be known
SHOTS = "name,x_mm,y_mm,level_mm\n1,500,500,-157\n2,5500,500,-120\n3,5500,3500,-157\n4,500,3500,-140\n"
HOURS = "time,temp,humidity_percent,wind_ms\n" + "".join(f"2027-06-17T{hour:02d}:00,68,55,2\n" for hour in range(24))
TAPED = [("0", 1, 6000), ("1", 2, 4000), ("2", 3, 6000), ("3", 0, 4000), ("0", 2, 7211.1)]


def commands():
    table = re.findall(r"^\| (`\./trowel.*?) \|", (ROOT / "README.md").read_text(), re.MULTILINE)
    two = re.findall(r"^    (\./trowel \w+) ", (ROOT / "README.md").read_text(), re.MULTILINE)
    rows = [row for cell in table for row in re.findall(r"`(\./trowel [^`]*)`", cell)]
    return sorted({*rows, *two}, key=lambda row: ("import" not in row, row))


@pytest.fixture(scope="module")
def place(tmp_path_factory):
    folder = tmp_path_factory.mktemp("readme")
    (folder / "JOB.json").write_text(json.dumps(job(name="pad", order={"pour_at": "2027-06-17T06:30"})))
    (folder / "job.json").write_text(json.dumps(job(name="pad")))
    measures = [{"from": int(a), "to": b, "mm": mm} for a, b, mm in TAPED]
    (folder / "TAPED.json").write_text(json.dumps({"measures": measures}))
    (folder / "CUT.json").write_text('{"stock": [{"length_mm": 6000}], "pieces": [{"length_mm": 1900, "count": 4}]}')
    (folder / "SHOTS.csv").write_text(SHOTS)
    at = "2027-06-17T06:40"
    words = {"kind": "ticket", "values": {"load": "one", "at": at, "arrived_at": at, "m3": "2 m3"}}
    (folder / "DAY.jsonl").write_text(json.dumps(words))
    (folder / "HOURS.csv").write_text(HOURS)
    (folder / "DUG.csv").write_text("side,at_mm,width_mm,depth_mm\n")
    (folder / "FILE.json").write_text('{"width_mm": 100}')
    return folder


def free_port():
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return probe.getsockname()[1]


def started(folder, *words):
    env = {**os.environ, "XDG_DATA_HOME": str(folder / "home")}
    return subprocess.Popen([*LAUNCHER, *words], cwd=folder, env=env, text=True, stdout=subprocess.PIPE, stderr=subprocess.PIPE)  # fmt: skip


def answered(port, seconds=30):
    for _ in range(seconds * 10):
        with socket.socket() as probe:
            if probe.connect_ex(("127.0.0.1", port)) == 0:
                return True
        time.sleep(0.1)
    return False


def prepared(folder, *words):
    running = started(folder, *words)
    assert running.communicate() and running.returncode == 0


@pytest.mark.parametrize("row", commands())
def test_every_command_of_the_readme_runs(place, row):
    port = free_port()
    words = row.split(">")[0].replace("[", "").replace("]", "").split()[1:]
    known = {
        "N": str(port),
        "DIR": "data",
        "MM": "1500",
        "FILE": "copy.sqlite3",
        "JOB": "pad",
        "MINUTES": "0",
        "NAME": "volume",
        "IP": "127.0.0.2",
        "FILE.zip": "all.zip",
        "KIND": "rack",
    }
    words = [known.get(word, word) for word in words]
    if words[0] in HELP_ONLY:
        words = [words[0], "--help"]
    elif words[0] == "test":
        words = ["test", *[word for word in words if word == "--quick"], "tests/core/test_reading.py"]
    elif words[0] == "site":
        words += ["--port", str(port), "--site-port", str(free_port())]
    elif words[0] in ("demo", "serve"):
        words += [] if "--port" in words else ["--port", str(port)]
    elif words[0] in ("backup", "export", "restore", "doctor"):
        data = str(place / words[0])
        bring = started(place, "import", "job.json", "--data", data)
        assert bring.communicate() and bring.returncode == 0
        if words[0] == "restore":
            saved = started(place, "backup", "restore.sqlite3", "--data", data)
            assert saved.communicate() and saved.returncode == 0
            words[1] = "restore.sqlite3"
        words += ["--data", data]
    elif words[0] in ("export-all", "import-all"):
        data = str(place / words[0])
        prepared(place, "import", "job.json", "--data", data)
        words = ["export-all", "out.zip", "--data", data]
        if row.startswith("./trowel import-all"):
            (place / "all.zip").unlink(missing_ok=True)
            prepared(place, "export-all", "all.zip", "--data", data)
            words = ["import-all", "all.zip", "--data", str(place / "elsewhere")]
    elif words[0] in ("pack", "calendar", "archive", "as-built", "hand-over"):
        bring = started(place, "import", "JOB.json", "--data", str(place / words[0]))
        assert bring.communicate() and bring.returncode == 0
        words += ["--data", str(place / words[0])]
    elif words[0] == "search":
        words += ["--jobs", "1", "--seed", "1"]  # the same jobs at every run: fresh seeds are for a person who looks on
    elif words[0] == "rule":
        case = json.loads((ROOT / "tests/validation/cases/volume.json").read_text())["cases"][0]
        (place / "FILE.json").write_text(json.dumps(case["input"]))
    running = started(place, *words)
    if words[0] in ("demo", "serve", "site"):
        assert answered(port)
        running.send_signal(signal.SIGTERM)  # the launcher is the server, so it ends with it
    out, err = running.communicate(timeout=120)
    assert running.returncode in (0, -signal.SIGTERM), out + err
    assert "Traceback" not in out + err and "no command" not in err


def test_help_names_every_command_and_a_wrong_word_is_plain(place):
    told, _ = started(place, "help").communicate()
    for row in commands():
        assert f"./trowel {row.split()[1]}" in told
    bad = started(place, "dig")
    assert bad.communicate()[1].startswith("dig is no command.") and bad.returncode == 2


def test_ports_that_cannot_be_had_are_one_plain_line(place):
    with socket.socket() as taken:
        taken.bind(("127.0.0.1", 0))
        taken.listen()
        port = taken.getsockname()[1]
        for words, line in (
            (("serve", "--port", str(port)), f"Port {port} is taken. Give another: ./trowel serve --port {port + 1}\n"),
            (("serve", "--port", "70000"), "There is no port 70000. Give one from 1024 to 65535.\n"),
        ):
            running = started(place, *words)
            assert running.communicate()[1] == line and running.returncode == 2


def test_text_says_what_json_says(place):
    told = json.loads(started(place, "figure", "JOB.json", "--json").communicate()[0])
    text, _ = started(place, "figure", "JOB.json", "--line", "1500").communicate()
    assert told["findings"] and all(row["words"] in text for row in told["findings"])
    assert re.search(r"Rod +1500 mm +top of slab", text)
    graded, _ = started(place, "grade", "JOB.json", "SHOTS.csv").communicate()
    assert "from 57 mm low to 20 mm low" in graded


def test_pytest_alone_needs_no_path_set(tmp_path):
    env = {key: value for key, value in os.environ.items() if key != "PYTHONPATH"}
    code = "import humble_trowel; print(humble_trowel.__name__)"
    done = subprocess.run([sys.executable, "-c", code], cwd=tmp_path, env=env, capture_output=True, text=True)
    assert done.stdout.strip() == "humble_trowel"


def test_as_built_leaves_by_the_ending_of_its_file(place):
    data = str(place / "ends")
    started(place, "import", "JOB.json", "--data", data).communicate()
    for name, head in (("out.pdf", b"%PDF"), ("out.dxf", b"  0"), ("out.json", b"{")):
        running = started(place, "as-built", "pad", name, "--data", data)
        told, err = running.communicate(timeout=120)
        assert running.returncode == 0 and "bytes" in told, err
        assert (place / name).read_bytes().startswith(head)
    bad = started(place, "as-built", "pad", "out.doc", "--data", data)
    assert "ends in .pdf, .dxf or .json" in "".join(bad.communicate(timeout=60)) and bad.returncode != 0


def test_practice_is_printed_answered_and_refused_in_plain_words(place):
    every, _ = started(place, "practice").communicate()
    assert len(every.splitlines()) == 10 and "Square a racked frame" in every
    told = json.loads(started(place, "practice", "rack", "--seed", "7", "--json").communicate()[0])
    said = [word for key, value in told["own"].items() for word in ("--answer", f"{key}={value}")]
    marked = json.loads(started(place, "practice", "rack", "--seed", "7", *said, "--json").communicate()[0])
    assert (marked["lost"], marked["grade"], marked["verdict"]) == (0, "right", "Square")
    for words, line in (
        (("dig",), "kind: There is no exercise dig."), (("rack", "--level", "9"), "level: The level is 1, 2 or 3."),
        (("rack", "--units", "yards"), "Units are ft-in or mm, not yards."), (("rack", "--answer", "way"), "answer.way: “” is no answer to"),
    ):  # fmt: skip
        running = started(place, "practice", *words)
        assert running.communicate()[1].startswith(line) and running.returncode == 2
