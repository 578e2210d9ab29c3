"""Ground over HTTP: set up, shoot, be flagged, see the order change; files of shots; the laser stand-in on its socket."""

import json
import uuid

import pytest
from starlette.testclient import WebSocketDisconnect
from tests.api.test_api import HOST, keep, opened, start

SOCKET = HOST.replace("http", "ws")


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


@pytest.fixture
def job(client):
    """The boat bay: a build-up and a benchmark, nothing shot yet."""
    return opened(client, "Ferrier")


def note(client, job, kind, values, supersedes=None):
    body = {
        "id": str(uuid.uuid4()),
        "kind": kind,
        "revision": job["revision"],
        "values": values,
        "who": "Birk",
        "supersedes": supersedes,
    }
    return client.post(f"/api/jobs/{job['id']}/records", json=body)


def set_up(client, job, reading="1500 mm"):
    return note(client, job, "set-up", {"name": "Morning", "on": "slipway kerb", "backsight_mm": reading}).json()["id"]


def ground(client, job, layer="base"):
    return client.get(f"/api/jobs/{job['id']}/ground", params={"layer": layer}).json()


def grid(off):
    """Readings on a grid of the racks and the falling wash-down; the laser's line is at 1190."""
    rows = []
    for x in range(400, 14400, 1300):
        for y in range(500, 7000, 1200):
            level = -230 if x < 9600 else -255 - 0.0125 * (x - 9600)
            rows.append({"name": f"{x}-{y}", "at": [x, y], "reading_mm": 1190 - level - off(x, y)})
    return rows


def shoot(client, job, setup, off):
    return note(client, job, "shots", {"layer": "base", "setup": setup, "source": "stand-in", "shots": grid(off)})


def order(client, job):
    return client.get(f"/api/jobs/{job['id']}").json()["figure"]["concrete"]


def test_readings_count_from_the_set_up_and_the_order_follows_the_ground(client, job):
    guessed = order(client, job)
    setup = set_up(client, job)
    card = {(row["surface"], row["at"]): row for row in ground(client, job)["ground"]["rod"]}
    assert card["top of slab", "Boat racks"]["reading_text"] == "1190 mm"
    assert card["top of sand blinding", "Boat racks"]["reading_mm"] == pytest.approx(1190 + 150 + 80)
    assert shoot(client, job, setup, lambda x, y: -12.0).status_code == 201
    found = ground(client, job)
    assert found["shots"]["mean_mm"] != 0 and found["shots"]["enough"]["enough"]
    measured = order(client, job)
    names = [row["name"] for row in measured["allowances"]]
    assert "Base as shot" in names and "Base lies low" not in names
    assert measured["order_m3"] > guessed["order_m3"]
    state = client.get(f"/api/jobs/{job['id']}/doubts").json()
    assert state["graded"]["words"].endswith(f"out of {found['shots']['count']}")


def test_a_moved_laser_puts_every_shot_of_its_set_up_in_doubt_and_the_guess_comes_back(client, job):
    setup = set_up(client, job)
    shoot(client, job, setup, lambda x, y: -1.0)
    assert "Base as shot" in [row["name"] for row in order(client, job)["allowances"]]
    calm = note(client, job, "bench-shot", {"setup": setup, "on": "slipway kerb", "reading_mm": "1501 mm"}).json()
    assert "Nothing moved" in calm["verdict"]
    muddy = note(client, job, "bench-shot", {"setup": setup, "on": "slipway kerb", "reading_mm": "1475 mm"}).json()
    assert "Mud on the foot" in muddy["verdict"]
    found = ground(client, job)
    assert found["shots"]["in_doubt"] == found["shots"]["count"] > 0
    assert [row["code"] for row in found["findings"] if row["severity"] == "stop"] == ["bench-moved"]
    assert client.get(f"/api/jobs/{job['id']}/doubts").json()["graded"]["stuck"]
    assert "Base lies low" in [row["name"] for row in order(client, job)["allowances"]]
    note(client, job, "struck", {"why": "cleaned"}, supersedes=muddy["id"])
    assert ground(client, job)["shots"]["in_doubt"] == 0


def test_a_turning_point_carries_the_level_and_a_later_shot_at_one_place_counts(client, job):
    first = set_up(client, job)
    note(client, job, "turning-point", {"setup": first, "name": "stone", "foresight_mm": "900 mm"})
    second = note(client, job, "set-up", {"name": "Noon", "on": "stone", "backsight_mm": "400 mm"}).json()["id"]
    assert ground(client, job)["ground"]["stands"][-1]["instrument_mm"] == pytest.approx(-310 + 1500 - 900 + 400)
    for reading in ("1000 mm", "950 mm"):
        note(
            client,
            job,
            "shots",
            {"layer": "base", "setup": second, "shots": [{"at": [3000, 3000], "reading_mm": reading}]},
        )
    shots = ground(client, job)["shots"]
    assert shots["count"] == 1 and shots["shots"][0]["level_mm"] == pytest.approx(690 - 950)
    assert "1 shot makes no surface" in shots["problem"]


@pytest.mark.parametrize(
    ("kind", "values", "path", "words"),
    [
        ("set-up", {"name": "x", "on": "nowhere", "backsight_mm": 1500}, "on", "no mark here"),
        ("set-up", {"name": "x", "on": "slipway kerb", "backsight_mm": 9000}, "backsight_mm", "longer than the rod"),
        ("shots", {"setup": "not-a-set-up", "shots": [{"at": [0, 0], "reading_mm": 1500}]}, "setup", "no backsight"),
        ("shots", {"shots": [{"at": [0, 0], "reading_mm": 1500}]}, "", "without its set-up"),
        ("shots", {"shots": [{"at": [0, 0]}]}, "shots[0]", "one of them"),
        ("shots", {"layer": "straw", "shots": [{"at": [0, 0], "level_mm": -255}]}, "layer", "No zone here"),
        ("as-dug", {"side": 3, "stations": [{"at_mm": 0, "width_mm": 300, "depth_mm": 400}]}, "side", "no trench"),
        ("as-dug", {"side": 0, "stations": [{"at_mm": 99000, "width_mm": 300, "depth_mm": 400}]}, "stations[0].at_mm", "past its end"),
        ("ground-test", {"test": "probe", "at": [0, 0], "passed": True}, "", "how far"),
        ("struck", {}, "supersedes", "Which record"),
    ],
)  # fmt: skip
def test_records_that_cannot_be_are_refused_beside_their_field(client, job, kind, values, path, words):
    refused = note(client, job, kind, values)
    assert refused.status_code == 422 and words in refused.json()["detail"]
    assert refused.json()["path"].startswith(path)


def test_no_benchmark_is_said_in_plain_words(client):
    shelter = opened(client)
    refused = note(client, shelter, "set-up", {"name": "x", "on": "nail", "backsight_mm": "4 ft"})
    assert "no benchmark yet" in refused.json()["detail"]
    check = client.post(f"/api/jobs/{shelter['id']}/rod-check", json={"reading": "4 ft", "level_mm": 0})
    assert check.status_code == 422 and "No laser stands" in check.json()["detail"]


def test_a_reading_is_answered_with_what_to_do(client, job):
    set_up(client, job)

    def check(**body):
        return client.post(f"/api/jobs/{job['id']}/rod-check", json=body).json()

    assert check(at=[2000, 2000])["should_text"] == "1420 mm" and check(at=[2000, 2000])["said"] is None
    low = check(reading="1440", at=[2000, 2000])["said"]
    assert (low["words"], low["verdict"]) == ("up 20 mm", "low")
    assert check(reading="1420", level_mm=-230)["said"]["words"] == "on grade"
    assert "Read again" in check(reading="1800", level_mm=-230)["said"]["jump"]
    rod = client.post(f"/api/jobs/{job['id']}/rod-check", json={"reading": "9 m", "level_mm": 0})
    assert rod.status_code == 422 and rod.json()["path"] == "reading"


def test_a_file_of_shots_is_kept_whole_or_refused_with_its_row(client, job):
    def send(text, record):
        return client.post(f"/api/jobs/{job['id']}/shots-file", params={"record": record}, content=text.encode())

    good = "name,x_m,y_m,level_mm\n" + "\n".join(
        f"{i},{x},{y},-258" for i, (x, y) in enumerate([(1, 1), (8, 1), (8, 6), (1, 6), (4, 3)])
    )
    assert send(good, "file-0001").status_code == 201
    assert send(good, "file-0001").status_code == 201  # sent twice, counts once
    assert ground(client, job)["shots"]["count"] == 5
    for text, words in (
        ("", "empty"),
        ("name,x_mm,y_mm\n1,2,3\n", "no level"),
        ("name,x_mm,y_mm,level_mm\n1,2,3,x\n", "Row 2: level_mm is x"),
        ("name,x_mm,y_mm,level_mm\n1,1,1,-0.255\n2,8,1,-0.25\n3,8,6,-0.25\n", "100 mm"),
        ("name,x_mm,y_mm,level_mm\n1,-255,1000,4000\n2,-255,8000,5000\n3,-250,8000,7000\n", "another order or unit"),
        ("name,x_mm,y_mm,reading_mm\n1,1000,1000,1500\n", "no set-up"),
    ):
        refused = send(text, f"bad-file-{len(text)}")
        assert refused.status_code == 422 and words in refused.json()["detail"], text
    assert ground(client, job)["shots"]["count"] == 5


def test_build_up_benchmark_and_fall_are_edits_with_words_beside_the_field(client, job):
    layers = [{"kind": "slab"}, {"kind": "graded", "thickness_mm": "150"}]
    refused = keep(client, job, {"op": "set_build_up", "slab": "S1", "layers": layers})
    assert refused.status_code == 422 and "ends in air" in refused.json()["detail"]
    kept = keep(
        client, job, {"op": "set_build_up", "slab": "S1", "heated": True, "layers": [*layers, {"kind": "native"}]}
    ).json()
    assert ground(client, kept)["ground"]["stack"][-1]["top_mm"] == pytest.approx(-325)
    assert "no-barrier" in [row["code"] for row in ground(client, kept)["findings"]]
    asked = keep(client, kept, {"op": "set_benchmark", "name": "nail", "level": "200"})
    assert [row["label"] for row in asked.json()["choices"]] == ["200 below", "200 over"]
    steep = keep(client, kept, {"op": "set_fall", "zone": 0, "kind": "side", "side": 0, "rate": "1 in 3"})
    assert steep.json()["path"] == "zones[0].fall.rate"
    before = kept["figure"]["concrete"]["net_m3"]
    falls = keep(
        client, kept, {"op": "set_fall", "zone": 0, "kind": "side", "side": 0, "rate": "1 %", "underside": "level"}
    ).json()
    assert falls["figure"]["concrete"]["net_m3"] > before
    assert falls["figure"]["concrete"]["second_way_m3"] is None  # it follows after the numbers
    told = client.get(f"/api/jobs/{kept['id']}/doubts").json()
    assert told["revision"] == falls["revision"] and told["records"] == falls["records"]
    assert told["concrete"]["second_way_m3"] == pytest.approx(falls["figure"]["concrete"]["net_m3"], rel=1e-4)


def talk(client, job, *lines, stand=1):
    with client.websocket_connect(
        f"{SOCKET}/api/jobs/{job['id']}/laser?stand={stand}", headers={"origin": HOST}
    ) as socket:
        hello = socket.receive_json()
        assert hello["simulated"] is True
        told = []
        for line in lines:
            socket.send_text(line if isinstance(line, str) else json.dumps(line))
            told.append(socket.receive_json())
        return told


def test_the_stand_in_reads_misbehaves_and_says_so_on_its_wire(client, job):
    one, two, mud = talk(client, job, {"mark": "slipway kerb"}, {"at": [2000, 2000]}, {"fault": "mud"})
    assert one["kind"] == two["kind"] == "reading" and mud["fault"] == "mud"
    assert talk(client, job, {"mark": "slipway kerb"})[0] == one  # seeded: the same line again
    dirty = talk(client, job, {"fault": "mud"}, {"mark": "slipway kerb"})[1]
    assert one["reading_mm"] - dirty["reading_mm"] == pytest.approx(25.4, abs=0.2)
    tilted = talk(client, job, {"fault": "tilt"}, {"mark": "slipway kerb"})[1]
    assert 1.004 < tilted["reading_mm"] / one["reading_mm"] < 1.007
    bumped = [row["reading_mm"] for row in talk(client, job, {"fault": "bump"}, *[{"mark": "slipway kerb"}] * 9)[1:]]
    assert min(bumped[:5]) - max(bumped[5:]) > 4
    flat = talk(client, job, {"fault": "battery"}, *[{"at": [2000, 2000]}] * 5)
    assert [row["kind"] for row in flat[1:]] == ["reading"] * 3 + ["no-beam"] * 2 and flat[-1]["why"] == "battery"
    for rubbish in ("{", "[]", '{"at": ["x", 1]}', '{"mark": "nowhere"}', '{"fault": "fire"}', '{"at": [1e9, 0]}'):
        assert talk(client, job, rubbish)[0]["kind"] == "error"


def test_the_socket_is_for_this_program_only(client, job):
    with (
        pytest.raises(WebSocketDisconnect),
        client.websocket_connect(f"{SOCKET}/api/jobs/{job['id']}/laser", headers={"origin": "http://evil.example"}),
    ):
        pass
    with (
        pytest.raises(WebSocketDisconnect),
        client.websocket_connect(f"{SOCKET}/api/jobs/nothing/laser", headers={"origin": HOST}),
    ):
        pass


def test_the_gauge_stand_in_reads_leaks_and_says_what_it_did_not_understand(client):
    house = opened(client, "Tansy")
    line = client.post(f"/api/jobs/{house['id']}/underslab", json={}).json()["tested"]["lines"][0]
    with client.websocket_connect(f"{SOCKET}/api/jobs/{house['id']}/gauge?line={line['id']}&how=water") as wire:
        assert wire.receive_json()["unit"] == "mm"
        wire.send_json({"read": 0})
        assert (first := wire.receive_json())["value"] > line["head_mm"] and first["simulated"]
        wire.send_json({"fault": "leak"})
        assert wire.receive_json()["fault"] == "leak"
        wire.send_json({"read": 900})
        assert wire.receive_json()["value"] < first["value"] - 25
        for rubbish in ({"read": -1}, {"read": True}, {"fault": "fire"}, [], 7):
            wire.send_json(rubbish)
            assert wire.receive_json()["kind"] == "error"
    with (
        pytest.raises(WebSocketDisconnect),
        client.websocket_connect(f"{SOCKET}/api/jobs/{house['id']}/gauge?line=x") as wire,
    ):
        wire.receive_json()
