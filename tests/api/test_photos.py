"""Pictures: kept small, upright and without their place; named by records; in copies, in what is taken out, and looked after."""

import base64
import io
from contextlib import closing

import pytest
from PIL import Image
from tests.api.test_api import opened, start

from humble_trowel.store import as_stored, copies
from humble_trowel.store.db import connect
from humble_trowel.store.doctor import examine

GPS, ORIENTATION = 0x8825, 0x0112


def taken(width=3000, height=1500, **how):
    """A picture as a phone takes it: lying on its side, left half red, with the place in it."""
    image = Image.new("RGB", (width, height), "blue")
    image.paste("red", (0, 0, width // 2, height))
    notes = Image.Exif()
    notes[ORIENTATION] = 6  # to be turned a quarter clockwise
    notes.get_ifd(GPS).update({1: "N", 2: (41.0, 30.0, 0.0), 3: "W", 4: (93.0, 15.0, 0.0)})
    out = io.BytesIO()
    image.save(out, how.get("kind", "JPEG"), exif=notes)
    return out.getvalue()


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


@pytest.fixture
def base(client):
    return f"/api/jobs/{opened(client, 'Tansy')['id']}"


def said(photo, key="record-photo-1", **values):
    return {
        "id": key,
        "kind": "photo",
        "revision": 1,
        "who": "Fern",
        "values": {"photo": photo, "of": "steel/slab/S1/spacing", "title": "Hall, spacing", **values},
    }


@pytest.mark.parametrize("kind", ["JPEG", "PNG", "WEBP"])
def test_a_picture_is_kept_small_upright_and_without_its_place(client, base, kind):
    kept = client.put(f"{base}/photos/photo-0001", content=taken(kind=kind)).json()
    assert (kept["width_px"], kept["height_px"]) == (1000, 2000)
    answer = client.get(f"{base}/photos/photo-0001")
    assert answer.headers["content-type"] == "image/jpeg" and len(answer.content) == kept["size_bytes"]
    image = Image.open(io.BytesIO(answer.content))
    assert image.size == (1000, 2000) and not image.getexif() and b"Exif" not in answer.content
    above, below = image.getpixel((500, 200)), image.getpixel((500, 1800))
    assert above[0] > 200 > below[0] and below[2] > 200 > above[2]  # the left is up once it is turned
    small = Image.open(io.BytesIO(client.get(f"{base}/photos/photo-0001?small=true").content))
    assert small.size == (160, 320)


def test_the_same_picture_counts_once_and_another_is_refused(client, base):
    picture = taken(40, 30)
    assert client.put(f"{base}/photos/photo-0001", content=picture).status_code == 200
    assert client.put(f"{base}/photos/photo-0001", content=picture).status_code == 200
    other = client.put(f"{base}/photos/photo-0001", content=taken(50, 30))
    assert other.status_code == 409 and "another one" in other.json()["detail"]
    assert client.put("/api/jobs/nobody/photos/photo-0001", content=picture).status_code == 404
    assert client.get(f"{base}/photos/photo-0002").status_code == 404
    assert client.put(f"{base}/photos/x", content=picture).status_code == 422


@pytest.mark.parametrize(
    "sent, words",
    [
        (b"", "no picture"),
        (b"%PDF-1.7 and so on", "damaged or cut off"),
        (b"GIF89a" + bytes(40), "no picture"),
        (taken(400, 300)[:900], "damaged"),
        (taken(400, 300, kind="PNG")[:300], "damaged"),
        (taken(10_001, 5_000, kind="PNG"), "50 million"),
    ],
)
def test_what_is_no_picture_is_refused_in_plain_words(client, base, sent, words):
    answer = client.put(f"{base}/photos/photo-0001", content=sent)
    assert answer.status_code == 422 and words in answer.json()["detail"]
    assert client.get(f"{base}/photos/photo-0001").status_code == 404


def test_forty_megabytes_are_refused(client, base):
    answer = client.put(f"{base}/photos/photo-0001", content=bytes(40_000_000))
    assert answer.status_code == 413 and answer.json()["detail"] == "That is over 16 MB. A picture has 16 MB at most."


def test_a_record_names_a_picture_that_came_and_all_of_it_is_in_a_copy(client, base, tmp_path):
    early = client.post(f"{base}/records", json=said("photo-0001"))
    assert early.status_code == 422 and "has not come" in early.json()["detail"]
    client.put(f"{base}/photos/photo-0001", content=taken(40, 30))
    half = client.post(f"{base}/records", json=said("photo-0001", latitude_deg=41.5))
    assert half.status_code == 422 and half.json()["path"] == "latitude_deg"
    row = client.post(f"{base}/records", json=said("photo-0001", latitude_deg=41.5, longitude_deg=-93.25)).json()
    assert row["verdict"] == "Photo: Hall, spacing, with its place." and row["shown"] == ["Hall, spacing"]
    odd = client.post(f"{base}/records", json=said("photo-0001", "record-photo-2", of="steel/../x"))
    assert odd.status_code == 422

    data = tmp_path / "trowel.sqlite3"
    held = copies.backup(data, tmp_path / "copy.sqlite3")
    assert held.photos == 1 and held.words.endswith(", 1 photo")
    with closing(connect(tmp_path / "copy.sqlite3")) as db:
        stored = as_stored.job_as_stored(db, base.rsplit("/", 1)[1])
        picture = client.get(f"{base}/photos/photo-0001").content
        assert base64.b64decode(stored["photos"][0]["picture"]) == picture
        assert list(examine(db)) == []
        db.execute("drop trigger photos_no_delete")
        db.execute("delete from photos")
        assert [fault.words for fault in examine(db)] == ["its picture photo-0001 is not stored"]
