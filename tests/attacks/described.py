"""Requests made from the interface's own description, with every check that its tool has."""

import re
import subprocess
import sys
from pathlib import Path

from tests.attacks.served import Forked
from tests.attacks.told import Told

# What is well-formed may still not fit the job: 422 is described, and an answer in plain words.
SETTINGS = '[checks]\npositive_data_acceptance.expected-statuses = ["2xx", "404", "409", "415", "422"]\n'


def described_requests(folder, examples, seed=1):
    """examples: for each operation. Told counts every request that was made."""
    served = Forked(folder, background=True, addresses=("127.0.0.7",), site_port=8963).start()  # as it is served
    settings = Path(folder) / "schemathesis.toml"
    settings.write_text(SETTINGS)
    command = [str(Path(sys.executable).parent / "schemathesis"), "--config-file", str(settings), "run",
               f"http://127.0.0.1:{served.port}/api/openapi.json", "--checks", "all", "--max-examples", str(examples),
               "--seed", str(seed), "--workers", "1", "--exclude-path", "/api/site/second"]  # fmt: skip
    done = subprocess.run(command, capture_output=True, text=True, cwd=folder)
    served.close()
    told = re.sub(r"\x1b\[[0-9;]*m", "", done.stdout)
    made = re.search(r"([\d,]+) generated", told)
    found = re.findall(r"^ +❌ (.*)$", told, re.M) + re.findall(r"^ +🚫 (.*Error.*)$", told, re.M)
    failures = told[told.find("= FAILURES") :][:3000] if "= FAILURES" in told else ""
    if done.returncode and not found:
        found = [f"it ended with {done.returncode}: {(done.stderr or told)[-300:]}"]
    return Told(
        "described requests", int(made[1].replace(",", "")) if made else 0, [*found, *([failures] if failures else [])]
    )
