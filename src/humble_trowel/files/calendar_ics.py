"""Days of a job or of a person as iCalendar (RFC 5545). Ids are stable, so that a second import moves an event and does not double it."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import date, datetime, timedelta, tzinfo

from icalendar import Calendar, Event


@dataclass(frozen=True)
class CalendarRow:
    """Something on a day, or from an hour on. key: of its job and task, never changes. booked: it stays; else it may move. hours_h: how long."""

    key: str
    title: str
    first: date
    last: date
    booked: bool
    words: str = ""
    place: str = ""
    at: datetime | None = None
    hours_h: float = 4.0


def calendar_ics(name: str, rows: Iterable[CalendarRow], stamp: datetime, sequence: int) -> bytes:
    """The file. stamp: when it is made, UTC; sequence: grows with each revision."""
    made = Calendar()
    made.add("prodid", "-//Humble Trowel//Days//EN")
    made.add("version", "2.0")
    made.add("method", "PUBLISH")
    made.add("x-wr-calname", name)
    for row in rows:
        event = Event()
        event.add("uid", f"{row.key}@humble-trowel")
        event.add("dtstamp", stamp)
        event.add("sequence", sequence)
        event.add("summary", row.title)
        if row.at is not None:
            event.add("dtstart", row.at)
            event.add("dtend", row.at + timedelta(hours=row.hours_h))
        else:
            event.add("dtstart", row.first)
            event.add("dtend", row.last + timedelta(days=1))
        event.add("status", "CONFIRMED" if row.booked else "TENTATIVE")
        if row.words:
            event.add("description", row.words)
        if row.place:
            event.add("location", row.place)
        made.add_component(event)
    return bytes(made.to_ical())


def at_zone(text: str, zone: tzinfo) -> datetime:
    """A local time with its zone."""
    when = datetime.fromisoformat(text)
    return when if when.tzinfo is not None else when.replace(tzinfo=zone)
