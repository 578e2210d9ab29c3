"""What the reading process does: files from outside to JSON. A header line and the file's bytes in, JSON lines out.

In: {"what", "bytes", ...} and so many bytes. Out: {"share"} while it reads, then {"answer"} or {"refused", "path"}.
"""

from __future__ import annotations

import json
import sys
from collections.abc import Callable
from contextlib import suppress
from typing import Any

from pydantic import TypeAdapter

from humble_trowel.core.errors import InputError, TrowelError
from humble_trowel.core.progress import watched
from humble_trowel.files.job_file import parse_job, plan_data
from humble_trowel.files.points_file import PointsFile

MOST_MEMORY_BYTES = 2_000_000_000
_POINTS: TypeAdapter[PointsFile] = TypeAdapter(PointsFile)


def _job(data: bytes, _: dict[str, Any]) -> Any:
    return plan_data(parse_job(data))


def _points(data: bytes, said: dict[str, Any]) -> Any:
    from humble_trowel.files.dxf_read import read_dxf
    from humble_trowel.files.points_csv import read_points_csv

    read = read_points_csv if said["name"].lower().endswith((".csv", ".txt")) else read_dxf
    return _POINTS.dump_python(read(data, said["job_units"], said["units"]), mode="json")


def _shots(data: bytes, said: dict[str, Any]) -> Any:
    from humble_trowel.files.shots_csv import read_shots_csv

    return read_shots_csv(data, said["layer"], said["setup"]).model_dump(mode="json", by_alias=True)


READS: dict[str, Callable[[bytes, dict[str, Any]], Any]] = {"job": _job, "points": _points, "shots": _shots}


def _say(**words: Any) -> None:
    sys.stdout.write(json.dumps(words) + "\n")
    sys.stdout.flush()


def run() -> None:
    """Read one file after another, until nobody sends any more."""
    with suppress(ImportError, ValueError, OSError):  # a system without limits
        import resource

        resource.setrlimit(resource.RLIMIT_AS, (MOST_MEMORY_BYTES, MOST_MEMORY_BYTES))
    while header := sys.stdin.buffer.readline():
        said = json.loads(header)
        data = sys.stdin.buffer.read(said["bytes"])
        try:
            with watched(lambda share: _say(share=share)):
                _say(answer=READS[said["what"]](data, said))
        except InputError as error:
            _say(refused=error.words, path=error.path)
        except TrowelError as error:
            _say(refused=str(error), path="")
        except (MemoryError, RecursionError):
            _say(refused="That file takes more memory than this program gives it.", path="")


if __name__ == "__main__":
    run()
