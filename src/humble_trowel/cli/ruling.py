"""Rules of the trade by themselves."""

from __future__ import annotations
