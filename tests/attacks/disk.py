"""Disks that are full or take no more, folders that cannot be written, data that are moved away or damaged."""

import os
import resource
import shutil
from pathlib import Path

from tests.attacks.served import Forked, rename, roll_test
from tests.attacks.told import Told
from tests.store.test_copies import break_page

NOBODY = 65534


def _keep(served, job, revision, key, text="n"):
    return served.ask("POST", f"/api/jobs/{job}/edits", {**rename(revision, "x", key), "edits": [
        {"op": "set_fields", "values": {"site.notes": text}}]})  # fmt: skip


def _fill(served, most):
    """Write until it is refused; (acknowledged, the refusal)."""
    job, kept = served.jobs()[0], 0
    for at in range(most):
        revision = served.ask("GET", f"/api/jobs/{job}")[1]["revision"]
        status, answer = _keep(served, job, revision, f"fill-{at:06}", f"{at} " + "n" * 3900)
        if status != 200:
            return job, kept, (status, answer)
        kept += 1
    return job, kept, (200, {})


def bad_disks(folder):
    """Each is said in plain words; what was kept before is there, and saving goes on when the disk is well again."""
    folder, found, tried = Path(folder), [], 0
    cases = (
        ("a full disk", {"max_pages": 150}, lambda: None, (507,)),
        (
            "a limit on the size of files",
            {},
            lambda: resource.setrlimit(resource.RLIMIT_FSIZE, (900_000, 900_000)),
            (507,),
        ),
    )
    for name, settings, before, wanted in cases:
        served = Forked(folder / name.replace(" ", "-"), **settings).start(before)
        job, kept, (status, answer) = _fill(served, 900)
        tried += kept + 1
        if status not in wanted or "Traceback" in str(answer) or not answer["detail"].endswith("."):
            found.append(f"{name}: {status} {str(answer)[:120]}")
        if served.ask("POST", f"/api/jobs/{job}/records", roll_test("x", "record-full"))[0] not in (201, 507):
            found.append(f"{name}: a record stumbled")
        served.kill()
        served.more = {}
        served.start()
        revision = served.ask("GET", f"/api/jobs/{job}")[1]["revision"]
        if revision != kept + 1 or _keep(served, job, revision, "after-all")[0] != 200:
            found.append(f"{name}: {kept} kept, revision {revision}")
        served.close()
    return Told("a full disk, a limit on files", tried, [*found, *_read_only(folder / "read-only")])


def _read_only(folder):
    served = Forked(folder).start()
    job = served.jobs()[0]
    served.kill()
    for parent in (folder.parent, folder.parent.parent):
        parent.chmod(0o755)
    for path in (folder, *folder.iterdir()):
        path.chmod(0o555 if path.is_dir() else 0o444)
    served.start(lambda: os.setuid(NOBODY) if os.getuid() == 0 else None)
    for path, body in (
        (f"/api/jobs/{job}/edits", rename(1, "x", "edit-read-only")),
        (f"/api/jobs/{job}/records", roll_test("x", "record-ro")),
    ):
        status, answer = served.ask("POST", path, body)
        if status not in (503, 507) or not answer["detail"].endswith("."):
            yield f"a read-only folder: {status} {str(answer)[:120]}"
    served.close()
    folder.chmod(0o755)


def moved_and_damaged(folder):
    """Data that go away under a running program stop it in words and are not begun anew; a damaged page is named."""
    folder, found = Path(folder), []
    served = Forked(folder / "moved").start()
    job, data = served.jobs()[0], served.folder
    away = data.with_name("away")
    away.mkdir()
    for path in data.glob("trowel.sqlite3*"):
        shutil.move(path, away / path.name)
    for path, body in (("/api/jobs", None), (f"/api/jobs/{job}/edits", rename(1, "x", "edit-moved"))):
        status, answer = served.ask("POST" if body else "GET", path, body)
        if status != 503 or "not where they were" not in answer["detail"]:
            found.append(f"moved away: {status} {str(answer)[:120]}")
    if list(data.glob("*.sqlite3*")):
        found.append("moved away: a new empty file")
    for path in away.glob("trowel.sqlite3*"):
        shutil.move(path, data / path.name)
    if served.ask("POST", f"/api/jobs/{job}/edits", rename(1, "x", "edit-moved"))[0] != 200:
        found.append("put back: it does not go on")
    served.close()
    served = Forked(folder / "damaged").start()
    served.kill()
    break_page(served.folder / "trowel.sqlite3")
    served.start()
    for path in ("/api/jobs", f"/api/jobs/{job}", "/api/ways", "/api/health"):
        status, answer = served.ask("GET", path)
        if not (status in (200, 404, 422) or (status == 500 and "./trowel doctor" in answer["detail"])):
            found.append(f"damaged: {path} {status} {str(answer)[:120]}")
    served.close()
    return Told("data moved away, data damaged", 7, found)
