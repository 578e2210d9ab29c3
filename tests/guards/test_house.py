"""The house rules: sizes of rooms, names with units, docs that are true, locks without hosts, generated files."""

import ast
import json
import re
import subprocess
import sys
from dataclasses import fields, is_dataclass
from pathlib import Path

import humble_trowel.core as core
from humble_trowel.core import figures
from humble_trowel.core.findings import FINDING_KINDS
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.sources import SOURCES
from humble_trowel.files.report_names import report_names

ROOT = Path(core.__file__).resolve().parents[3]
PYTHON = sorted((ROOT / "src").rglob("*.py"))
LONG_MODULES = {"document.py": 360, "units.py": 340}
LONG_FUNCTIONS = {"_apply", "browser_figures", "run", "_section", "yard_job", "_faces"}
UNITS = ("_c", "_days", "_k", "_w", "_okta", "_h", "_l", "_psi", "_t", "_in", "_mm2", "_kg", "_ml", "_kg_m", "_share", "_ratio", "_kg_m3", "_mm2_m",
    "_mm", "_m", "_m2", "_m3", "_yd3", "_deg", "_rad", "_ms", "_min", "_mpa", "_percent", "_px", "_n", "_kpa", "_n_per_mm", "_cents", "_MM", "_IN", "_FT",
    "_M3", "_M2", "_PSI", "_YD3", "_RAD",
)  # fmt: skip


def test_modules_and_functions_keep_their_size():
    long = []
    for path in PYTHON:
        text = path.read_text()
        if text.count("\n") > LONG_MODULES.get(path.name, 300):
            long.append(path.name)
        for node in ast.walk(ast.parse(text)):
            if isinstance(node, ast.FunctionDef) and node.name not in LONG_FUNCTIONS:
                size = (node.end_lineno or 0) - node.lineno
                long += [f"{path.name}:{node.name} {size}"] if size > 48 else []
    for path in (ROOT / "frontend" / "src").rglob("*.svelte"):
        script_and_markup = re.sub(r"<style>.*?</style>", "", path.read_text(), flags=re.DOTALL)
        long += [path.name] if script_and_markup.count("\n") > 240 else []
    assert long == []


def test_every_public_function_of_the_core_says_what_it_does():
    bare = []
    for path in sorted((ROOT / "src/humble_trowel/core").rglob("*.py")):
        tree = ast.parse(path.read_text())
        if tree.body and not ast.get_docstring(tree):
            bare.append(path.name)
        bare += [
            f"{path.name}:{node.name}"
            for node in tree.body
            if isinstance(node, ast.FunctionDef) and not node.name.startswith("_") and not ast.get_docstring(node)
        ]
    assert bare == []


def test_public_numbers_of_the_core_carry_their_unit():
    bare = []
    for path in sorted((ROOT / "src/humble_trowel/core").rglob("*.py")):
        for node in ast.parse(path.read_text()).body:
            if isinstance(node, ast.ClassDef) and not node.name.startswith("_"):
                for item in node.body:
                    plain = isinstance(item, ast.AnnAssign) and ast.unparse(item.annotation) in (
                        "float",
                        "Length",
                        "Size",
                    )
                    name = item.target.id if plain and isinstance(item.target, ast.Name) else ""
                    if name and not name.endswith(UNITS) and name not in ALLOWED_BARE:
                        bare.append(f"{path.name}:{node.name}.{name}")
    assert bare == []


ALLOWED_BARE = {
    "mean",
    "sd",
    "p_short",
    "value",
    "at_0",
    "per_x",
    "per_y",
    "m3",
    "mm",
    "x_low",
    "x_high",
    "tonnes",
    "short_tons",
}
ALLOWED_BARE |= {"per_s", "run_per_rise", "index_f_days", "vertical_r", "walls_r", "corners_r", "r_of_stock", "rsi"}
ALLOWED_BARE |= {
    "jobs",
    "low",
    "high",
    "least_sd",
    "most_sd",
    "drawn",
    "ordered",
}  # lessons run in the unit of what they teach
ALLOWED_BARE |= {"last_m3_max", "p_short"}  # fixed names of the report
ALLOWED_BARE |= {"fall"}  # rise over run, a fixed name of the report
ALLOWED_BARE |= {"r_us"}  # h ft2 F/Btu, a fixed name of the report
ALLOWED_BARE |= {"backsight", "backsights", "foresights"}  # a run of levels works in any one unit


def test_words_md_names_every_quantity_and_finding():
    words = (ROOT / "docs" / "words.md").read_text()
    quantities = ["outline", "concrete", "trucks", "findings", "call_in"]
    for kind in (figures.Concrete,):
        assert is_dataclass(kind)
        quantities += [field.name for field in fields(kind) if field.name.endswith(("_m3", "_yd3", "_mm"))]
    quantities += [kind.code for kind in FINDING_KINDS] + list(SOURCES)
    assert [name for name in quantities if f"`{name}`" not in words] == []


def test_map_md_names_every_folder_and_readme_links_every_picture():
    house = (ROOT / "docs" / "map.md").read_text()
    folders = {path.parent.name for path in PYTHON if path.name != "__init__.py"} - {"src"}
    assert [name for name in sorted(folders) if f"{name}/" not in house] == []
    readme = (ROOT / "README.md").read_text()
    pictures = sorted((ROOT / "docs" / "screenshots").glob("*.png"))
    assert 0 < len(pictures) < 20
    assert [path.name for path in pictures if path.name not in readme] == []


def test_generated_files_are_fresh(tmp_path):
    schema = json.loads((ROOT / "docs" / "job-file.schema.json").read_text())
    assert schema == json.loads(json.dumps(Plan.model_json_schema()))
    fresh = tmp_path / "openapi.json"
    subprocess.run([sys.executable, "-m", "humble_trowel.cli", "openapi", str(fresh)], check=True)
    assert fresh.read_text() == (ROOT / "frontend" / "openapi.json").read_text()
    assert report_names() == (ROOT / "docs" / "report.md").read_text()


def test_no_lock_names_a_host_and_nothing_is_fetched_at_run_time():
    for name in ("requirements.lock", "requirements-dev.lock", "frontend/package-lock.json", "frontend/.npmrc"):
        text = (ROOT / name).read_text()
        assert not re.search(r'"resolved"|--index-url|https?://[^"\s]*(registry|proxy|mirror|pypi|npmjs)', text), name
    for path in (ROOT / "frontend" / "src").rglob("*"):
        if path.suffix in (".svelte", ".ts", ".css", ".html") and path.name != "schema.d.ts":
            assert not re.search(r"https?://(?!127\.0\.0\.1|www\.w3\.org)", path.read_text()), path


def test_no_line_of_the_front_end_is_over_140():
    long = [
        f"{path.name}:{at}"
        for path in (ROOT / "frontend" / "src").rglob("*")
        if path.suffix in (".svelte", ".ts", ".css") and path.name != "schema.d.ts"
        for at, line in enumerate(path.read_text().splitlines(), 1)
        if len(line) > 140
    ]
    assert long == []


def test_no_request_goes_past_the_client():
    for path in (ROOT / "frontend" / "src").rglob("*"):
        if path.suffix in (".svelte", ".ts") and path.parent.name not in ("api", "service-worker"):
            assert not re.search(r"\bfetch\(|XMLHttpRequest|client\.(GET|POST|PUT|DELETE|request)", path.read_text()), (
                path
            )
