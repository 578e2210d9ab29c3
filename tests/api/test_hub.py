"""What is told to all: in order, once, over a gap, to a device that is slow, and who is where meanwhile."""

import asyncio
import threading

import pytest

from humble_trowel.api import hub as hubs
from humble_trowel.api.hub import Hub
from humble_trowel.api.presence import Here, Presence


def listening(hub, device, act, last="", most=50):
    """What a stream hears while `act` runs beside it; it ends when the hub ends it."""

    async def run():
        heard = []

        async def listen():
            async for event in hub.stream(device, last):
                heard.append(None if event is None else (event.kind, event.data.get("n", event.data.get("all"))))
                if len(heard) >= most:
                    return

        task = asyncio.create_task(listen())
        await asyncio.sleep(0.02)
        thread = threading.Thread(target=act)
        thread.start()
        await asyncio.wait_for(task, 5)
        thread.join()
        return heard

    return asyncio.run(run())


def said(hub, numbers, to=None):
    for n in numbers:
        hub.publish("x", {"n": n}, to)


def test_all_hear_in_order_one_alone_hears_what_is_for_it_and_the_end():
    hub = Hub()

    def act():
        said(hub, [1, 2])
        said(hub, [3], to="other")
        said(hub, [4], to="own")
        hub.end("own")

    assert listening(hub, "own", act) == [("hello", False), ("x", 1), ("x", 2), ("x", 4)]
    assert hub.count == 0 and not hub.listening("own")


def test_a_gap_is_filled_from_what_was_heard_last_and_looked_at_anew_where_it_is_too_long():
    hub = Hub()
    said(hub, range(5))
    last = f"{hub.boot}-3"
    assert [one.data["n"] for one in hub.missed(last, "own")] == [3, 4]
    assert listening(hub, "own", hub.end, last) == [None, ("x", 3), ("x", 4)]
    assert hub.missed(f"{hub.boot}-5", "own") == [] and hub.missed("", "own") is None
    for bad in (f"{hub.boot}-", f"{hub.boot}-x", "cafe-3", "-"):
        assert listening(hub, "own", hub.end, bad) == [("hello", True)]
    said(hub, range(hubs.KEPT_EVENTS))
    assert hub.missed(last, "own") is None


def test_a_device_that_takes_nothing_is_told_to_look_at_everything(monkeypatch):
    monkeypatch.setattr(hubs, "WAITING_MOST", 3)

    async def run():
        hub, heard = Hub(), []
        stream = hub.stream("slow", "")
        heard.append((await anext(stream)).kind)
        said(hub, range(10))  # while it takes nothing
        await asyncio.sleep(0.02)
        for _ in range(3):
            heard.append((await anext(stream)).data)
        await stream.aclose()
        return heard, hub.count

    heard, left = asyncio.run(run())
    assert heard[0] == "hello" and {"all": True} in heard and left == 0


def test_a_quiet_line_gives_a_sign_so_that_a_broken_one_is_noticed(monkeypatch):
    monkeypatch.setattr(hubs, "ALIVE_S", 0.01)
    hub = Hub()
    assert None in listening(hub, "own", lambda: None, most=3)


def test_one_state_of_a_job_is_told_once_whoever_notices_it():
    hub, told = Hub(), []
    hub.publish = lambda kind, data, to=None: told.append(data["revision"])
    for revision, records in ((2, "1/1"), (2, "1/1"), (2, "2/2"), (3, "2/2"), (3, "2/2")):
        hub.job_changed("j", revision, records, "", "")
    assert told == [2, 2, 3]


def test_closing_to_the_network_ends_every_stream_but_the_laptops_own():
    async def run():
        hub = Hub()
        streams = {name: hub.stream(name, "") for name in ("laptop", "a", "b")}
        for one in streams.values():
            await anext(one)
        hub.end_phones()
        await asyncio.sleep(0.02)
        for name in ("a", "b"):
            with pytest.raises(StopAsyncIteration):
                await anext(streams[name])
        still = [name for name in streams if hub.listening(name)]
        await streams["laptop"].aclose()
        return still

    assert asyncio.run(run()) == ["laptop"]


def test_where_somebody_is_is_news_only_when_it_changed():
    presence = Presence()
    here = Here("d", "Tamsin", job="j", lens="ground", waits=2)
    assert presence.say(here) and not presence.say(here)
    assert presence.say(Here("d", "Tamsin", job="j", lens="gate", waits=2))
    presence.gone("d")
    presence.gone("nobody")
    assert [(one.lens, one.waits) for one in presence.every()] == [("gate", 2)]
    presence.forget("d")
    presence.forget("d")
    assert presence.every() == []
