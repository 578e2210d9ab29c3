"""Phones of a site in tests: the application as it is served to the local network, without a network."""

import re
from contextlib import contextmanager

from starlette.testclient import TestClient

from humble_trowel.api.lan import Opened
from humble_trowel.api.listener import Listener, Through

HOST, PLAIN, LOCKED = "127.0.0.2", 8743, 8744
PAGES = frozenset({f"http://{HOST}:{PLAIN}", f"https://{HOST}:{LOCKED}"})


def site_of(client):
    return client.app.state.service.site


def opened_site(client):
    """The laptop opened to the network, as far as its answers know; returns the number that is out."""
    site_of(client).lan.opened = Opened((HOST,), PLAIN, LOCKED, None)
    return number(client)


def number(client):
    return client.post("/api/site/number").json()["number"]


def phone(client, kind="plain", address="192.0.2.7", **headers):
    """A browser on the network, which has not joined. address: its own."""
    base = f"http://{HOST}:{PLAIN}" if kind == "plain" else f"https://{HOST}:{LOCKED}"
    app = Through(client.app, Listener(kind, (HOST,), PAGES))
    return TestClient(app, base_url=base, client=(address, 50_000), headers=headers)


def joined(client, name="Tamsin", kind="plain", address="192.0.2.7"):
    """A phone that is in, with its device's id."""
    own = phone(client, kind, address)
    answer = own.post("/api/site/join", json={"name": name, "number": opened_site(client)})
    assert answer.status_code == 200, answer.text
    own.device = own.get("/api/site/me").json()["device"]
    return own


@contextmanager
def told(site, device="laptop", last=""):
    """What a stream of a device hears, as a list that grows: (id, kind, data)."""
    import asyncio
    import threading

    heard, ready = [], threading.Event()
    loop = asyncio.new_event_loop()

    async def listen():
        async for event in site.hub.stream(device, last):
            if event is not None:
                heard.append((event.id, event.kind, event.data))
            ready.set()

    thread = threading.Thread(target=loop.run_until_complete, args=(listen(),))
    thread.start()
    ready.wait(5)
    try:
        yield heard
    finally:
        site.hub.end(device)
        thread.join(5)
        loop.close()


def cookie(answer):
    return answer.headers["set-cookie"]


def token(answer):
    return re.match(r"trowel=([^;]+)", cookie(answer))[1]
