"""What each role may do: the owner everything; the crew plan and records, not prices, ways or what is deleted; a looker
reads one job. Written down by address, so that an address nobody thought of is the owner's."""

from __future__ import annotations

import re

from humble_trowel.site.devices import Device

_JOB = r"/api/jobs/[^/]+"
READING = frozenset({"GET", "HEAD"})
OPEN = re.compile(r"/api/(health|site/(hello|me|join|ask|look|authority\.crt))")
# What is sent only to be answered: nothing is kept.
ASKS = re.compile(
    rf"{_JOB}/(figure|walk|day|section|embeds|gate|joints|order|pour|screed|steel|underslab|cure|cure/read-probe|square|straight/[^/]+|rod-check)"
    r"|/api/rules/[^/]+/[^/]+/try|/api/site/(here|leave)"
)
STOPS = re.compile(rf"{_JOB}/(cut-plan|steel/cuts)|/api/readings/[^/]+")  # long work that is not wanted any more
CREW_SENDS = re.compile(
    rf"/api/practice/(tries|forget|given|given/[^/]+/take-back)|/api/jobs(/import)?|{_JOB}/(edits|undo|redo|go-back|records|photos/[^/]+|forecast|ten-numbers|weather-file|shots-file|read-points|pour/(call|ask-plant)|second-job)"
)
OWNERS_READS = re.compile(
    rf"/api/ways/as-stored|{_JOB}/(as-stored|cost\.xlsx|quote\.pdf|invoice\.pdf|archive\.zip)|/api/site/.*"
)
SITE_READS = re.compile(r"/api/site/(stream|who)")
OWNERS_EDITS = frozenset({"add_quote_line", "take_out_quote_line"})


def may(device: Device, method: str, path: str) -> bool:
    """Whether a device may ask for an address. What belongs to the laptop itself (who comes in, copies) no other device may,
    whoever holds it."""
    if method in READING and SITE_READS.fullmatch(path):
        return True
    if device.role == "owner":
        return not path.startswith("/api/site/") or ASKS.fullmatch(path) is not None
    if device.role == "looker":
        of_job = re.match(r"/api/jobs/([^/]+)", path)
        if of_job is not None and of_job[1] != device.job_id:
            return False
    if method in READING:
        return OWNERS_READS.fullmatch(path) is None
    if method == "DELETE":
        return STOPS.fullmatch(path) is not None
    if ASKS.fullmatch(path) is not None:
        return True
    return device.role == "crew" and CREW_SENDS.fullmatch(path) is not None
