"""The site of a running program: who may come in over the local network, what they are told, and the lines they use."""

from __future__ import annotations

import sqlite3
import time
from contextlib import closing
from pathlib import Path
from threading import Lock
from typing import TYPE_CHECKING

from cachetools import LRUCache

from humble_trowel.api.hub import Hub
from humble_trowel.api.presence import LAPTOP, Here, Presence
from humble_trowel.core.errors import InputError
from humble_trowel.settings import Settings
from humble_trowel.site.devices import Device, Devices, Role, hash_of
from humble_trowel.site.join_code import JoinCode
from humble_trowel.site.names import person_name
from humble_trowel.site.practice import PracticeBook
from humble_trowel.store import jobs, records
from humble_trowel.store.copies import BadCopy
from humble_trowel.store.db import connect
from humble_trowel.store.second_place import NoPlace, copy_there

if TYPE_CHECKING:
    from humble_trowel.api.lan import Lan

KEPT_TOKENS = 500
SEEN_S = 20.0
SECOND, TROUBLE = "second", "second_trouble"


class Site:
    """One for each running program."""

    def __init__(self, settings: Settings) -> None:
        self.settings = settings
        self.devices = Devices(settings.data)
        self.practice = PracticeBook(settings.data)
        self.code = JoinCode()
        self.hub = Hub()
        self.hub.on_gone = self._gone
        self.presence = Presence()
        self.lan: Lan | None = None  # where it is served to the local network; the application sets it
        self.watched = False  # all jobs are known as they stand
        self._looks = Lock()
        self._known: LRUCache[str, Device] = LRUCache(KEPT_TOKENS)
        self._forgot = 0  # how often all of them were let go
        self._knows = Lock()
        self._line: dict[str, str] = {}

    def known(self, token: str) -> Device | None:
        """The device of a token, None where it may not come in (any more)."""
        key, now = hash_of(token), _now()
        with self._knows:
            found, asked = self._known.get(key), self._forgot
        if found is None:
            found = self.devices.known(token, now)
            with self._knows:
                if found is not None and asked == self._forgot:  # else somebody was thrown out while this was read
                    self._known[key] = found
        if found is not None and found.until is not None and found.until < now:
            return None
        return found

    def _forget(self) -> None:
        """Who may do what is read anew from now on."""
        with self._knows:
            self._known.clear()
            self._forgot += 1

    def came_by(self, device: Device, kind: str) -> None:
        """Note by which line a device comes."""
        self._line[device.id] = kind

    def line_of(self, device_id: str) -> str:
        """By which line a device came last: plain, locked, or '' where it did not come since the start."""
        return self._line.get(device_id, "")

    def join(self, name: str, number: str, address: str) -> tuple[Device, str] | None:
        """Let a device in by the number that was read out: (device, its token); None where the number is wrong. Raises
        InputError for a name that cannot be."""
        person = person_name(name)
        if not self.code.take(number, address, time.monotonic()):
            self.hub.publish("site", {})
            return None
        made, token = self.devices.join(person, "crew", _now())
        self.devices.note(person, "joined", _now())
        self.hub.publish("site", {})
        return made, token

    def follow(self, token: str) -> tuple[Device, str] | None:
        """Let somebody in who came by a link to look."""
        found = self.devices.follow(token, _now())
        if found is not None:
            self.devices.note(found[0].name, "came to look", _now())
            self.hub.publish("site", {})
        return found

    def set_role(self, device_id: str, role: Role) -> Device:
        """Let a device do more or less. Raises InputError for one that is not there, and an owner over an open line."""
        found = self._device(device_id)
        if role == "owner" and self.line_of(device_id) != "locked":
            raise InputError(
                "Only a phone on a locked line can be an owner's: over the plain one anybody near could listen.", "role"
            )
        if (role == "looker") != (found.role == "looker"):
            raise InputError("Who only looks comes by a link of their own, and with its last day.", "role")
        self.devices.set_role(device_id, role)
        self._forget()
        self.devices.note(found.name, f"may do what the {role} may", _now())
        self.hub.publish("site", {})
        self.hub.publish("me", {}, to=device_id)
        return self._device(device_id)

    def throw_out(self, device_id: str) -> None:
        """Its token counts for nothing, and its stream ends. Raises InputError for one that is not there."""
        found = self._device(device_id)
        self.devices.throw_out(device_id, _now())
        self._forget()
        self.devices.note(found.name, "was thrown out", _now())
        self.hub.publish("out", {}, to=device_id)
        self.hub.end(device_id)
        self.presence.forget(device_id)
        self.hub.publish("site", {})

    def leave(self, device: Device) -> None:
        """A device leaves by itself."""
        self.devices.throw_out(device.id, _now())
        self._forget()
        self.devices.note(device.name, "left", _now())
        self.presence.forget(device.id)
        self.hub.publish("site", {})

    def _device(self, device_id: str) -> Device:
        found = self.devices.find(device_id)
        if found is None or found.thrown_at is not None:
            raise InputError("That phone is not in any more.", "device")
        return found

    def changed(self, job_id: str, by: str, tab: str) -> None:
        """Tell everybody what became of a job; of all of them where none is named."""
        try:
            with closing(connect(self.settings.database, readonly=True)) as db:
                if job_id and job_id != "import":
                    line = jobs.find(db, job_id, deleted=True)
                    self.hub.job_changed(job_id, line.head, records.stamp(db, job_id), by, tab)
                else:
                    self.hub.publish("yard", {"by": by, "tab": tab})
        except (sqlite3.Error, jobs.NoSuchJob):
            self.hub.publish("yard", {"by": by, "tab": tab})

    def look_for_changes(self, db: sqlite3.Connection) -> None:
        """Tell what another program changed in the same data: every job that is not as it was last told."""
        stamps = records.stamps(db)
        with self._looks:
            first, self.watched = not self.watched, True
            for line in jobs.every(db):
                state = (line.head, stamps.get(line.id, "0/0"))
                if first:
                    self.hub.known[line.id] = state
                else:
                    self.hub.job_changed(line.id, *state, "", "")

    def here(self, here: Here) -> None:
        """Somebody looks somewhere."""
        if self.presence.say(here):
            self.hub.publish("here", {"device": here.device})

    def reachable(self, device_id: str) -> bool:
        """Whether a device listens, or spoke a moment ago."""
        seen = next((one.seen_s for one in self.presence.every() if one.device == device_id), None)
        return self.hub.listening(device_id) or (
            seen is not None and time.monotonic() - seen < SEEN_S and device_id == LAPTOP
        )

    def _gone(self, device: str) -> None:
        if not self.hub.listening(device):
            self.presence.gone(device)
            self.hub.publish("here", {"device": device})

    @property
    def second_place(self) -> Path | None:
        """The folder of the second place for copies, where there is one."""
        told = self.devices.setting(SECOND)
        return Path(told) if told else None

    @property
    def second_trouble(self) -> str:
        """Why the last copy did not get there, '' where it did."""
        return self.devices.setting(TROUBLE)

    def set_second(self, folder: str) -> None:
        """Name the second place; '' for none."""
        self.devices.set(SECOND, folder)
        self.devices.set(TROUBLE, "")

    def copy_second(self, *, again: bool = False) -> None:
        """Copy the data there, once a day unless it is asked for again; what goes wrong is kept to be told."""
        folder, trouble = self.second_place, ""
        if folder is None:
            return
        try:
            copy_there(self.settings.database, folder, _now()[:10], again=again)
        except (NoPlace, BadCopy, OSError, sqlite3.Error) as error:
            trouble = str(error)
        if trouble != self.second_trouble:
            self.devices.set(TROUBLE, trouble)

    @property
    def folder(self) -> Path:
        """Where keys and the list of devices are."""
        return self.devices.path.parent


def _now() -> str:
    from datetime import UTC, datetime

    return datetime.now(UTC).isoformat(timespec="seconds")
