"""Backup, restore and doctor as a person uses them; what is wrong with the data is said at the start."""

import resource
import shutil
import sqlite3
import subprocess
import sys
from contextlib import closing

import pytest
from tests.api.test_api import demo_database
from tests.cli.test_cli import run
from tests.store.test_copies import break_page


@pytest.fixture
def data(tmp_path):
    folder = tmp_path / "data"
    folder.mkdir()
    shutil.copy(demo_database(), folder / "trowel.sqlite3")
    return folder


def plain(done):
    assert "Traceback" not in done.stdout + done.stderr
    return done.stdout + done.stderr


def test_saved_put_back_and_looked_at(data, tmp_path):
    copy = tmp_path / "my #1 copy?.sqlite3"
    saved = plain(run("backup", copy, "--data", data))
    assert saved.startswith("Saved in") and "4 jobs, 4 revisions" in saved
    assert "All of it can be read: 4 jobs" in plain(run("doctor", "--data", data))
    break_page(data / "trowel.sqlite3")
    done = run("doctor", "--data", data)
    assert done.returncode == 1 and "./trowel restore" in plain(done)
    back = run("restore", copy, "--data", data)
    assert back.returncode == 0 and "4 jobs" in plain(back) and "before-restore-" in back.stdout
    assert run("doctor", "--data", data).returncode == 0


def test_damage_is_said_at_the_start_with_the_newest_good_copy(data):
    run("import", "src/humble_trowel/demo/jobs/boat-bay.json", "--data", data)  # which saves the copy of the day
    break_page(data / "trowel.sqlite3")
    done = run("serve", "--data", data, "--port", "8799")
    copy = next((data / "copies").glob("day-*.sqlite3"))
    assert done.returncode == 1 and f"./trowel restore {copy} --data {data}" in plain(done)
    assert "damaged" in plain(run("import", "src/humble_trowel/demo/jobs/boat-bay.json", "--data", data))
    assert run("restore", copy, "--data", data).returncode == 0
    assert len(plain(run("export", "nothing", "--data", data)).split(";")) == 4


@pytest.mark.parametrize(
    ("words", "said"),
    [
        (("backup", "{tmp}/no/such/copy"), "There is no folder"),
        (("backup", "{tmp}"), "is a folder"),
        (("restore", "{tmp}/none"), "There is no file"),
        (("restore", "README.md"), "no good copy: that is no database. Nothing was changed."),
        (("export", "zzz"), "no such job"),
        (("doctor", "--data", "{tmp}/empty"), "There are no data"),
        (("serve", "--port", "70000"), "There is no port 70000"),
        (("backup", "x", "--data", "{tmp}/empty#?%20"), "There are no data"),
        (("export", "x", "--data", "README.md"), "Cannot make the data folder"),
    ],
)
def test_odd_uses_are_one_plain_line(data, tmp_path, words, said):
    words = [word.replace("{tmp}", str(tmp_path)) for word in words]
    done = run(*words, *(() if "--data" in words else ("--data", data)))
    assert done.returncode in (1, 2) and said in plain(done) and done.stderr.count("\n") == 1


def test_a_disk_that_takes_no_more_leaves_no_half_copy(data, tmp_path):
    def limited():
        resource.setrlimit(resource.RLIMIT_FSIZE, (60_000, 60_000))

    command = [sys.executable, "-m", "humble_trowel.cli", "backup", str(tmp_path / "copy"), "--data", str(data)]
    done = subprocess.run(command, capture_output=True, text=True, preexec_fn=limited)
    assert done.returncode == 2 and "Nothing was saved" in plain(done)
    assert not list(tmp_path.glob("*copy*")) and not list(tmp_path.glob(".copy*"))
    assert run("backup", tmp_path / "copy", "--data", data).returncode == 0


def test_as_stored_takes_out_what_no_rule_reads(data):
    with closing(sqlite3.connect(data / "trowel.sqlite3")) as db:
        db.execute("drop trigger documents_no_update")
        db.execute("update documents set text = '{' where text like '%Cole%'")
        (key,) = db.execute(
            "select job_id from revisions join documents on digest = document where text = '{'"
        ).fetchone()
        db.commit()
    assert f"{key} cannot be read" in plain(run("export", "Cole Street bus shelter", "--data", data))
    told = run("export", key, "--as-stored", "--data", data).stdout
    assert '"document": "{"' in told and run("export", key, "--data", data).stdout == "{"
    assert f"job {key}, revision 1: its document is no JSON" in plain(run("doctor", "--data", data))
