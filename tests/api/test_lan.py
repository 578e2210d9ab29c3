"""Served for real to addresses of this machine: what listens where, the locked line, closing, ports that are taken."""

import json
import socket
import ssl
import subprocess
import sys
import time
import urllib.error
import urllib.request

import pytest

HOSTS = ("127.0.0.11", "127.0.0.12")


def free(host, count=1):
    for _ in range(50):
        with socket.socket() as one, socket.socket() as two:
            one.bind((host, 0))
            port = one.getsockname()[1]
            try:
                if count == 2:
                    two.bind((host, port + 1))
                return port
            except OSError:
                continue
    raise RuntimeError("no free ports")


def started(folder, *more):
    own, lan = free("127.0.0.1"), free(HOSTS[0], 2)
    words = ["site", "--demo", "--port", str(own), "--site-port", str(lan), "--data", str(folder)]
    for host in HOSTS:
        words += ["--address", host]
    process = subprocess.Popen([sys.executable, "-m", "humble_trowel.cli", *words, *more], stdout=subprocess.PIPE, stderr=subprocess.STDOUT, text=True)  # fmt: skip
    for _ in range(400):
        try:
            ask(f"http://127.0.0.1:{own}/api/health")
            return process, own, lan
        except OSError:
            time.sleep(0.05)
    process.kill()
    raise RuntimeError(process.communicate()[0])


def ask(url, body=None, context=None, headers=None):
    data = None if body is None else json.dumps(body).encode()
    asked = urllib.request.Request(url, data, {"content-type": "application/json", **(headers or {})})
    with urllib.request.urlopen(asked, timeout=10, context=context) as answer:
        return json.loads(answer.read() or b"null"), answer.headers


def stopped(process):
    process.terminate()
    return process.communicate(timeout=15)[0]


@pytest.fixture(scope="module")
def site(tmp_path_factory):
    folder = tmp_path_factory.mktemp("lan")
    process, own, lan = started(folder)
    yield folder, own, lan
    words = stopped(process)
    assert "Traceback" not in words and "The number for the first phone" in words
    assert all(f"{host}:{lan}" in words for host in HOSTS)


def listens(host, port):
    with socket.socket() as probe:
        probe.settimeout(2)
        return probe.connect_ex((host, port)) == 0


def test_each_door_answers_on_its_own_address_alone(site):
    _, own, lan = site
    assert [listens(host, lan) for host in (*HOSTS, "127.0.0.1", "127.0.0.13")] == [True, True, False, False]
    assert [listens(host, own) for host in ("127.0.0.1", *HOSTS)] == [True, False, False]
    me = [ask(f"{url}/api/site/me")[0] for url in (f"http://127.0.0.1:{own}", f"http://{HOSTS[1]}:{lan}")]
    assert [(row["line"], row["role"]) for row in me] == [("own", "owner"), ("plain", None)]
    assert me[1]["locked_url"] == f"https://{HOSTS[1]}:{lan + 1}"


def test_the_locked_line_is_trusted_with_the_firms_own_certificate_and_else_is_not(site):
    folder, _, lan = site
    crt = urllib.request.urlopen(f"http://{HOSTS[0]}:{lan}/api/site/authority.crt", timeout=10)
    assert crt.headers["content-type"] == "application/x-x509-ca-cert"
    trusting = ssl.create_default_context(cadata=ssl.DER_cert_to_PEM_cert(crt.read()))
    me, _ = ask(f"https://{HOSTS[1]}:{lan + 1}/api/site/me", context=trusting)
    assert me["line"] == "locked"
    with pytest.raises(urllib.error.URLError, match="CERTIFICATE_VERIFY_FAILED"):
        ask(f"https://{HOSTS[1]}:{lan + 1}/api/site/me", context=ssl.create_default_context())
    assert not any(path.stat().st_mode & 0o077 for path in (folder / "site").glob("*.key"))


def test_closed_nobody_is_answered_and_opened_again_who_was_in_is_in(site):
    _, own, lan = site
    laptop, phone = f"http://127.0.0.1:{own}", f"http://{HOSTS[0]}:{lan}"
    number = ask(f"{laptop}/api/site/number", {})[0]["number"]
    _, headers = ask(f"{phone}/api/site/join", {"name": "Juno", "number": number})
    jar = {"cookie": headers["set-cookie"].split(";")[0]}
    line = urllib.request.urlopen(urllib.request.Request(f"{phone}/api/site/stream", headers=jar), timeout=10)
    assert line.readline() == b"event: hello\n"
    began = time.monotonic()
    assert ask(f"{laptop}/api/site/close", {})[0]["open"] is False
    assert time.monotonic() - began < 3 and line.read().count(b"event:") < 5  # the stream ended, nobody waited for it
    assert not listens(HOSTS[0], lan) and not listens(HOSTS[0], lan + 1) and listens("127.0.0.1", own)
    state = ask(f"{laptop}/api/site/open", {})[0]
    assert state["open"] and [row["typed"] for row in state["addresses"]] == [f"{host}:{lan}" for host in HOSTS]
    assert ask(f"{phone}/api/site/me", headers=jar)[0]["name"] == "Juno"
    assert ask(f"{laptop}/api/site/open", {})[0]["open"]  # opened twice is open


def test_a_port_that_is_taken_is_said_and_the_laptop_goes_on_alone(tmp_path):
    with socket.socket() as taken:
        taken.bind((HOSTS[1], 0))
        taken.listen()
        port = taken.getsockname()[1]
        own = free("127.0.0.1")
        words = ["site", "--demo", "--port", str(own), "--site-port", str(port), "--address", HOSTS[0], "--address", HOSTS[1], "--data", str(tmp_path)]  # fmt: skip
        process = subprocess.Popen([sys.executable, "-m", "humble_trowel.cli", *words], stdout=subprocess.PIPE, stderr=subprocess.STDOUT, text=True)  # fmt: skip
        for _ in range(400):
            if listens("127.0.0.1", own):
                break
            time.sleep(0.05)
        assert not listens(HOSTS[0], port)
        assert f"{HOSTS[1]}:{port} cannot be served" in stopped(process)


@pytest.mark.parametrize(
    ("words", "line"),
    [
        (["--address", "here"], "here is no address of this machine. It looks like 192.168.1.20"),
        (["--site-port", "65535"], "Port 65535 and the one after it cannot be used"),
        (["--port", "8744"], "cannot be used beside 8744"),
        (["--site-port", "0"], "There is no port 0."),
    ],
)
def test_odd_uses_of_site_are_one_plain_line(tmp_path, words, line):
    done = subprocess.run([sys.executable, "-m", "humble_trowel.cli", "site", *words, "--data", str(tmp_path)], capture_output=True, text=True, timeout=60)  # fmt: skip
    assert done.returncode == 2 and line in done.stderr and done.stderr.count("\n") == 1
