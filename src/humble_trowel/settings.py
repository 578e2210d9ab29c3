"""What a running program is told from outside: where the data live, which origins may talk to it."""

from __future__ import annotations

import gc
from collections.abc import Callable
from dataclasses import dataclass, field
from pathlib import Path
from urllib.parse import urlsplit

import platformdirs

DATABASE = "trowel.sqlite3"
MAX_BODY_BYTES = 2_000_000
MAX_DRAWING_BYTES = 24_000_000  # for files of points, which hold whole drawings
MAX_PHOTO_BYTES = 16_000_000
MAX_EVERYTHING_BYTES = 2_000_000_000


@dataclass(frozen=True)
class Settings:
    """data: folder of the database. port: where it is served. origins: extra allowed ones, none today.

    background: have a process of its own for what takes long. copies: save one a day while it runs. max_pages, busy_ms: for acting out a full disk and a locked database. site_port: where phones come in (the locked line is the port after it). addresses: on which it is served to the local
    network; all of this machine where none is named. opens: from the start. tell: says a line to whoever started it.
    """

    data: Path
    port: int = 8710
    origins: tuple[str, ...] = field(default=())
    max_pages: int | None = None
    busy_ms: int = 4000
    background: bool = False
    copies: bool = False
    site_port: int = 8743
    addresses: tuple[str, ...] = ()
    opens: bool = False
    tell: Callable[[str], None] = print

    @property
    def database(self) -> Path:
        return self.data / DATABASE

    @property
    def host_names(self) -> list[str]:
        """Names and addresses under which it is served; a page of another name is refused."""
        return ["127.0.0.1", "localhost", "[::1]", *(str(urlsplit(row).hostname) for row in self.origins)]

    @property
    def allowed_origins(self) -> frozenset[str]:
        return frozenset(f"http://{name}:{self.port}" for name in self.host_names[:3]) | frozenset(self.origins)


def calm_memory() -> None:
    """Keep the collector from walking the loaded packages again and again: they stay for good.

    A figure makes some ten thousand short-lived objects without cycles; walking everything once per figure cost up
    to 10 ms at the 95th percentile.
    """
    gc.collect()
    gc.freeze()
    gc.set_threshold(50_000, 20, 50)


def default_data(demo: bool) -> Path:
    """The platform's folder for this program's data; the demo has its own beside it."""
    return Path(platformdirs.user_data_dir("humble-trowel", appauthor=False)) / ("demo" if demo else "own")
