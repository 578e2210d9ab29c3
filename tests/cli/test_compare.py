"""Two revisions measured in turn: each by its own program, the ratios printed, nothing left behind."""

import json
import shutil
import subprocess

from humble_trowel.bench import main


def test_a_folder_runs_the_program_that_stands_in_it(tmp_path):
    shutil.copytree(main.ROOT / "src" / "humble_trowel", tmp_path / "src" / "humble_trowel", ignore=shutil.ignore_patterns("web", "__pycache__"))  # fmt: skip
    words = tmp_path / "src" / "humble_trowel" / "cli" / "building.py"
    words.write_text(words.read_text().replace("Measure speed against the goals", "Measured over there"))
    told = main.run_there(tmp_path, "bench", "--help")
    assert told.returncode == 0 and "Measured over there" in told.stdout
    assert "--compare" in main.run_there(main.ROOT, "bench", "--help").stdout


def git(folder, *words):
    own = ["-c", "user.name=Wren", "-c", "user.email=wren@example.invalid", "-c", "commit.gpgsign=false"]
    return subprocess.run(["git", *own, *words], cwd=folder, capture_output=True, text=True, check=True).stdout


def test_ratios_of_rows_that_both_have_and_no_worktree_is_left(monkeypatch, capsys, tmp_path):
    web = tmp_path / "src" / "humble_trowel" / "web"
    web.mkdir(parents=True)
    (web / "index.html").write_text("built")
    git(tmp_path, "init", "-q")
    git(tmp_path, "commit", "-q", "--allow-empty", "-m", "one")
    seen = []

    def there(folder, *words):
        seen.append((folder, words, (folder / "src/humble_trowel/web/index.html").read_text()))
        rows = [{"name": "keep, demo", "p50_ms": 30.0 if folder == tmp_path else 60.0}]
        rows.append({"name": f"only {len(seen)}", "p50_ms": 1})
        return subprocess.CompletedProcess(words, 1, json.dumps({"rows": rows}), "")

    monkeypatch.setattr(main, "ROOT", tmp_path)
    monkeypatch.setattr(main, "run_there", there)
    assert main.run(False, "HEAD") == 0
    lines = capsys.readouterr().out.splitlines()
    assert lines[1].split() == ["keep,", "demo", "60.0", "30.0", "0.50"] and len(lines) == 2
    assert [row[1:] for row in seen] == [(("bench", "--json"), "built")] * 2 and seen[0][0] != seen[1][0]
    assert len(git(tmp_path, "worktree", "list").splitlines()) == 1


def test_a_row_that_is_missed_ends_the_bench_with_one(monkeypatch, capsys):
    from humble_trowel.bench.rows import Other, Row

    met = Row("met", 1, 2, 3, "p50")
    for rows, others, code in (([met], [], 0), ([met, Row("late", 1, 9, 3, "p95")], [], 1), ([met], [Other("big", 9, "MB", 3)], 1)):  # fmt: skip
        for name in (
            "answer_rows",
            "lines_rows",
            "ground_rows",
            "underslab_rows",
            "tube_figures",
            "steel_rows",
            "embed_rows",
            "screed_rows",
            "gate_rows",
            "order_rows",
            "day_rows",
            "day_figures",
            "steel_figures",
            "shape_rows",
        ):
            monkeypatch.setattr(main, name, lambda rows=rows, name=name: rows if name == "shape_rows" else [])
        monkeypatch.setattr(main, "site_rows", lambda: ([], []))
        monkeypatch.setattr(main, "pour_rows", lambda: ([], []))
        monkeypatch.setattr(main, "lesson_rows", lambda: ([], []))
        monkeypatch.setattr(main, "cutting_rows", lambda _: [])
        monkeypatch.setattr(main, "start_row", lambda _: met)
        monkeypatch.setattr(main, "browser_figures", lambda _, others=others: ([], others[0] if others else None))
        assert main.run(False) == code
        assert ("MISSED" in capsys.readouterr().out) == bool(code)
