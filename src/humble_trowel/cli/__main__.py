"""Starts the command line: a command registers itself when its module is brought in, in the order of `help`."""

import sys
from importlib import import_module

from humble_trowel.cli.shared import run

for room in ("serving", "keeping", "figuring", "ruling", "practising", "moving", "building"):
    import_module(f"humble_trowel.cli.{room}")


def main() -> None:
    """Run the command named on the command line."""
    sys.exit(run(sys.argv[1:]))


if __name__ == "__main__":
    main()
