"""The launcher: plain lines, a set-up that repairs itself, nothing but the standard library."""

import ast
import importlib.machinery
import importlib.util
import sys
from pathlib import Path

import pytest

ROOT = Path(__file__).resolve().parents[2]


@pytest.fixture
def launcher(tmp_path):
    loader = importlib.machinery.SourceFileLoader("launcher", str(ROOT / "trowel"))
    module = importlib.util.module_from_spec(importlib.util.spec_from_loader("launcher", loader))
    sys.dont_write_bytecode, kept = True, sys.dont_write_bytecode
    loader.exec_module(module)
    sys.dont_write_bytecode = kept
    module.STATE = tmp_path / "state"
    return module


def test_it_needs_the_standard_library_alone():
    names = {
        alias.name.split(".")[0]
        for node in ast.walk(ast.parse((ROOT / "trowel").read_text()))
        if isinstance(node, ast.Import | ast.ImportFrom)
        for alias in (node.names if isinstance(node, ast.Import) else [ast.alias(node.module or "")])
    }
    assert names <= sys.stdlib_module_names


def test_a_digest_changes_with_any_file_and_stamps_are_kept(launcher, tmp_path, monkeypatch):
    monkeypatch.setattr(launcher, "ROOT", tmp_path)
    (tmp_path / "a").mkdir()
    (tmp_path / "a" / "one.txt").write_text("1")
    first = launcher.digest([tmp_path / "a"])
    (tmp_path / "a" / "one.txt").write_text("2")
    assert launcher.digest([tmp_path / "a"]) != first
    assert launcher.stamp("x") == ""
    launcher.mark("x", first)
    assert launcher.stamp("x") == first


def test_a_half_made_set_up_is_made_again(launcher, tmp_path, monkeypatch, capsys):
    venv = tmp_path / "venv"
    (venv / "bin").mkdir(parents=True)
    monkeypatch.setattr(launcher, "VENV", venv)
    monkeypatch.setattr(launcher, "BIN", venv / "bin")
    monkeypatch.setattr(launcher, "PYTHON", venv / "bin" / "python")
    launcher.mark("python", "old")
    launcher.make_venv()
    assert (venv / "bin" / "python").exists()
    assert launcher.stamp("python") == ""
    assert "about 5 s" in capsys.readouterr().err


def test_no_network_is_named_as_the_likely_cause(launcher, capsys):
    script = "print('Max retries exceeded: Temporary failure in name resolution'); raise SystemExit(1)"
    with pytest.raises(SystemExit):
        launcher.run([sys.executable, "-c", script], "Installing packages")
    assert "There seems to be no network" in capsys.readouterr().err


def test_an_old_python_is_one_plain_line(launcher, monkeypatch, capsys):
    monkeypatch.setattr(launcher.sys, "version_info", (3, 9, 0))
    with pytest.raises(SystemExit):
        launcher.main()
    assert capsys.readouterr().err.startswith("Humble Trowel needs Python 3.11 or newer")
