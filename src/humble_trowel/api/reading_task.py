"""What the reading process does: files from outside to JSON. A header line and the file's bytes in, JSON lines out.

In: {"what", "bytes", ...} and so many bytes. Out: {"share"} while it reads, then {"answer"} or {"refused", "path"}.
"""

from __future__ import annotations

import json
import sys
import threading
import time
from collections.abc import Callable, Iterator
from contextlib import contextmanager, suppress
from typing import Any

from pydantic import TypeAdapter

from humble_trowel.core.errors import InputError, TrowelError
from humble_trowel.files.job_file import parse_job, plan_data
from humble_trowel.files.points_file import PointsFile

MOST_MEMORY_BYTES = 2_000_000_000
BYTES_PER_S = 200_000  # of a drawing, on a laptop
MOST_SHARE = 0.95
SAY_EVERY_S = 0.3
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


_TURN = threading.Lock()


def _say(**words: Any) -> None:
    with _TURN:
        sys.stdout.write(json.dumps(words) + "\n")
        sys.stdout.flush()


@contextmanager
def _about(bytes_in: int) -> Iterator[None]:
    """Tell about how far it is while a file is read: the library that reads drawings does not say, so by its size."""
    done, began = threading.Event(), time.monotonic()

    def tell() -> None:
        while not done.wait(SAY_EVERY_S):
            _say(share=min(MOST_SHARE, (time.monotonic() - began) * BYTES_PER_S / max(bytes_in, 1)))

    teller = threading.Thread(target=tell, daemon=True)
    teller.start()
    try:
        yield
    finally:
        done.set()
        teller.join()


def run() -> None:
    """Read one file after another, until nobody sends any more."""
    with suppress(ImportError, ValueError, OSError):  # a system without limits
        import resource

        resource.setrlimit(resource.RLIMIT_AS, (MOST_MEMORY_BYTES, MOST_MEMORY_BYTES))
    while header := sys.stdin.buffer.readline():
        said = json.loads(header)
        data = sys.stdin.buffer.read(said["bytes"])
        try:
            with _about(said["bytes"]):
                answer = READS[said["what"]](data, said)
            _say(answer=answer)
        except InputError as error:
            _say(refused=error.words, path=error.path)
        except TrowelError as error:
            _say(refused=str(error), path="")
        except (MemoryError, RecursionError):
            _say(refused="That file takes more memory than this program gives it.", path="")


if __name__ == "__main__":
    run()
