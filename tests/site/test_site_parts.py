"""The parts of a site by themselves: certificates against OpenSSL, the number, names, the square, cells that leave."""

import ipaddress
import os
import ssl
import stat
from datetime import UTC, datetime, timedelta
from types import SimpleNamespace

import ifaddr
import pytest
import segno
from cryptography import x509
from cryptography.hazmat.primitives import serialization
from openpyxl import Workbook

from humble_trowel.core.errors import InputError
from humble_trowel.files.cells import safe, safe_row, texts_stay_texts
from humble_trowel.site.addresses import is_local, local_addresses
from humble_trowel.site.certificates import as_der, line_for
from humble_trowel.site.join_code import LIVES_S, MOST_WRONG, WAIT_S, JoinCode
from humble_trowel.site.names import person_name
from humble_trowel.site.square import square_svg

NOW = datetime.now(UTC)


def shaken(line, host):
    """Whether a client that trusts the authority alone talks to a server with the line's certificate under a name."""
    server, client = ssl.SSLContext(ssl.PROTOCOL_TLS_SERVER), ssl.create_default_context(cafile=str(line.authority))
    server.load_cert_chain(line.certificate, line.key)
    c_in, c_out, s_in, s_out = (ssl.MemoryBIO() for _ in range(4))
    one = client.wrap_bio(c_in, c_out, server_hostname=host)
    other = server.wrap_bio(s_in, s_out, server_side=True)
    for _ in range(6):
        for end in (one, other):
            try:
                end.do_handshake()
            except ssl.SSLWantReadError:
                pass
            except ssl.SSLCertVerificationError:
                return False
            s_in.write(c_out.read())
            c_in.write(s_out.read())
    return one.version() == "TLSv1.3"


def test_a_phone_that_trusts_the_firm_trusts_this_laptop_and_no_other_name(tmp_path):
    line = line_for(tmp_path, ["192.168.4.20", "10.0.0.9"], "Tansy & Sons", NOW)
    assert shaken(line, "192.168.4.20") and shaken(line, "10.0.0.9")
    assert not shaken(line, "192.168.4.21") and not shaken(line, "example.org")
    same = line_for(tmp_path, ["10.0.0.9", "192.168.4.20"], "Tansy & Sons", NOW)
    assert same.mark == line.mark and same.certificate.read_bytes() == line.certificate.read_bytes()
    before = line.certificate.read_bytes()
    moved = line_for(tmp_path, ["192.168.7.3"], "Tansy & Sons", NOW)
    assert moved.mark == line.mark and moved.certificate.read_bytes() != before and shaken(moved, "192.168.7.3")
    over = line_for(tmp_path, ["192.168.7.3"], "Tansy & Sons", NOW + timedelta(days=380))
    assert x509.load_pem_x509_certificate(over.certificate.read_bytes()).not_valid_after_utc > NOW + timedelta(days=700)
    assert len(line.mark) == 19 and x509.load_der_x509_certificate(as_der(line.authority))


def test_the_authority_can_sign_for_local_addresses_alone_and_its_keys_are_read_by_nobody_else(tmp_path):
    line = line_for(tmp_path, ["192.168.4.20", "203.0.113.9"], "Tansy", NOW)
    names = x509.load_pem_x509_certificate(line.certificate.read_bytes()).extensions.get_extension_for_class(
        x509.SubjectAlternativeName
    )
    assert names.value.get_values_for_type(x509.IPAddress) == [ipaddress.ip_address("192.168.4.20")]
    authority = x509.load_pem_x509_certificate(line.authority.read_bytes())
    allowed = authority.extensions.get_extension_for_class(x509.NameConstraints)
    assert allowed.critical and len(allowed.value.permitted_subtrees) == 7 and allowed.value.excluded_subtrees is None
    assert [is_local(one) for one in ("192.168.1.1", "172.20.0.1", "8.8.8.8", "100.100.0.1")] == [
        True,
        True,
        False,
        True,
    ]
    for path in tmp_path.iterdir():
        assert stat.S_IMODE(os.stat(path).st_mode) == 0o600
    key = serialization.load_pem_private_key((tmp_path / "authority.key").read_bytes(), None)
    assert key.curve.name == "secp256r1"


def test_keys_that_cannot_be_read_are_put_aside_and_made_anew(tmp_path):
    first = line_for(tmp_path, ["10.0.0.9"], "Tansy", NOW)
    (tmp_path / "authority.key").write_text("not a key")
    second = line_for(tmp_path, ["10.0.0.9"], "Tansy", NOW)
    assert second.mark != first.mark and shaken(second, "10.0.0.9")
    assert [path.name for path in tmp_path.glob("authority.key.*")]
    (tmp_path / "line.pem").write_text("gone")
    assert shaken(line_for(tmp_path, ["10.0.0.9"], "Tansy", NOW), "10.0.0.9")


def test_a_number_lives_ten_minutes_for_one_phone_and_dies_of_five_wrong_ones():
    code = JoinCode()
    assert not code.take("", "a", 0.0) and code.left_s(0.0) == 0  # an empty number is none, also while none is out
    out = code.renew(100.0)
    assert len(out) == 6 and code.left_s(100.0) == LIVES_S
    assert not code.take(out, "a", 100.0 + LIVES_S) and code.wait_s("a", 100.0 + LIVES_S) == WAIT_S
    out = code.renew(2000.0)
    assert code.take(f" {out[:3]}-{out[3:]} ", "b", 2001.0) and not code.take(out, "b", 2002.0)
    out = code.renew(3000.0)
    for at in range(MOST_WRONG):
        assert not code.take("000000" if out != "000000" else "111111", f"c{at}", 3000.0)
    assert code.ended_by_tries and not code.take(out, "d", 3000.0)
    assert {len(JoinCode().renew(0.0)) for _ in range(50)} == {6}


def test_names_are_kept_as_they_are_or_refused():
    assert [person_name(one) for one in (" Tamsin ", "O'Dwyer", "Nguyễn", "<i>Odo</i>", "عمر")] == [
        "Tamsin",
        "O'Dwyer",
        "Nguyễn",
        "<i>Odo</i>",
        "عمر",
    ]
    for bad in ("", "\t", "a" * 41, "Od\u202eo", "N\u200bell", "a\u2029b"):
        with pytest.raises(InputError):
            person_name(bad)


def test_the_square_holds_its_text_as_the_standard_says():
    svg = square_svg("http://192.168.4.20:8743/in")
    made = segno.make("http://192.168.4.20:8743/in", error="m", micro=False)
    side = len(made.matrix) + 8
    assert f'viewBox="0 0 {side} {side}"' in svg and "<script" not in svg
    assert square_svg("<b>", border=2) != square_svg("<b>") and "<b>" not in square_svg("<b>")


def adapters(**rows):
    return [SimpleNamespace(name=name, ips=[SimpleNamespace(ip=ip, is_IPv4=isinstance(ip, str)) for ip in ips]) for name, ips in rows.items()]  # fmt: skip


def test_the_address_in_the_square_is_the_one_that_phones_can_reach(tmp_path, monkeypatch):
    found = adapters(lo=["127.0.0.1"], bridge0=["172.17.0.1"], wifi0=["10.0.0.7", ("fe80::1", 0, 0)], wire0=["192.168.1.20"], odd0=["203.0.113.9"], none0=["169.254.3.3"])  # fmt: skip
    monkeypatch.setattr(ifaddr, "get_adapters", lambda: found)
    routes = tmp_path / "route"
    assert local_addresses(routes) == ["192.168.1.20", "10.0.0.7", "172.17.0.1", "203.0.113.9"]
    head = "Iface Destination Gateway Flags RefCnt Use Metric Mask MTU\n"
    routes.write_text(head + "wifi0 00000000 0100000A 0003 0 0 600 00000000 0\nbridge0 000011AC 00000000 0001 0 0 0 0000FFFF 0\n")  # fmt: skip
    assert local_addresses(routes)[0] == "10.0.0.7"
    routes.write_text(head + "\nshort\n")
    assert local_addresses(routes)[0] == "192.168.1.20"


def test_no_cell_that_leaves_is_a_formula_and_every_number_stays_one():
    assert [safe(one) for one in ("=1+1", "+SUM(A1)", "-cmd", "@x", " =1", "\t=1")] == [
        "'=1+1",
        "'+SUM(A1)",
        "'-cmd",
        "'@x",
        "' =1",
        "'\t=1",
    ]
    assert safe_row(["A1", "-12.5", -12.5, 3, "a=b", ""]) == ["A1", "-12.5", -12.5, 3, "a=b", ""]
    sheet = Workbook().worksheets[0]
    sheet.append(["=HYPERLINK(1)", 2.5])
    texts_stay_texts(sheet)
    assert (sheet["A1"].data_type, sheet["A1"].value, sheet["B1"].data_type) == ("s", "=HYPERLINK(1)", "n")
