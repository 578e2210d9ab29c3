"""The firm's own certificate authority, made on first use, and the certificate of this machine's line.

A phone that is told to trust the authority trusts what it signs: so it may sign for local addresses alone (RFC 5280,
4.2.1.10), and its key stays in a file that nobody else on this machine reads.
"""

from __future__ import annotations

import ipaddress
import os
from collections.abc import Sequence
from datetime import datetime, timedelta
from pathlib import Path

from cryptography import x509
from cryptography.exceptions import InvalidSignature
from cryptography.hazmat.primitives import hashes, serialization
from cryptography.hazmat.primitives.asymmetric import ec
from cryptography.x509.oid import ExtendedKeyUsageOID, NameOID

from humble_trowel.site.addresses import LOCAL, is_local
from humble_trowel.site.line import Line

AUTHORITY_DAYS = 3650
LINE_DAYS = 397  # longer ones are refused by browsers


def line_for(folder: Path, addresses: Sequence[str], firm: str, now: datetime) -> Line:
    """The line's certificate for these addresses, signed by the firm's authority; both are made where they are missing,
    over within a month, or (the line) of other addresses. Raises OSError; an authority that cannot be read is put aside."""
    folder.mkdir(mode=0o700, parents=True, exist_ok=True)
    authority, authority_key = _authority(folder, firm, now)
    wanted = sorted(one for one in addresses if is_local(one))
    certificate, key = folder / "line.pem", folder / "line.key"
    if not _stands(certificate, key, authority, wanted, now):
        _make_line(certificate, key, authority, authority_key, wanted, now)
    return Line(certificate, key, folder / "authority.pem", mark_of(authority))


def mark_of(certificate: x509.Certificate) -> str:
    """The first 64 bits of its SHA-256, in fours: what the laptop and the phone both show."""
    text = certificate.fingerprint(hashes.SHA256()).hex().upper()[:16]
    return " ".join(text[at : at + 4] for at in range(0, 16, 4))


def as_der(path: Path) -> bytes:
    """A certificate as phones take it."""
    return x509.load_pem_x509_certificate(path.read_bytes()).public_bytes(serialization.Encoding.DER)


def _authority(folder: Path, firm: str, now: datetime) -> tuple[x509.Certificate, ec.EllipticCurvePrivateKey]:
    path, key_path = folder / "authority.pem", folder / "authority.key"
    try:
        certificate = x509.load_pem_x509_certificate(path.read_bytes())
        key = serialization.load_pem_private_key(key_path.read_bytes(), None)
        if (
            isinstance(key, ec.EllipticCurvePrivateKey)
            and certificate.public_key() == key.public_key()
            and certificate.not_valid_after_utc - now > timedelta(days=30)
        ):
            return certificate, key
    except (OSError, ValueError, TypeError):
        pass
    for old in (path, key_path):
        if old.exists():
            old.replace(old.with_name(f"{old.name}.{now:%Y%m%d%H%M%S}"))
    key = ec.generate_private_key(ec.SECP256R1())
    name = x509.Name([x509.NameAttribute(NameOID.COMMON_NAME, f"{firm[:40]}, this laptop's own")])
    local = [x509.IPAddress(ipaddress.ip_network(net)) for net in LOCAL]
    certificate = (
        _begun(name, name, key.public_key(), now, AUTHORITY_DAYS)
        .add_extension(x509.BasicConstraints(ca=True, path_length=0), critical=True)
        .add_extension(_usage(signs=True), critical=True)
        .add_extension(x509.NameConstraints([*local, x509.DNSName("local")], None), critical=True)
        .add_extension(x509.SubjectKeyIdentifier.from_public_key(key.public_key()), critical=False)
        .sign(key, hashes.SHA256())
    )
    _write(key_path, _private(key))
    _write(path, certificate.public_bytes(serialization.Encoding.PEM))
    return certificate, key


def _stands(certificate: Path, key: Path, authority: x509.Certificate, wanted: list[str], now: datetime) -> bool:
    try:
        found = x509.load_pem_x509_certificate(certificate.read_bytes())
        own = serialization.load_pem_private_key(key.read_bytes(), None)
        names = found.extensions.get_extension_for_class(x509.SubjectAlternativeName).value
        found.verify_directly_issued_by(authority)
    except (OSError, ValueError, TypeError, x509.ExtensionNotFound, InvalidSignature):
        return False
    same = sorted(str(one) for one in names.get_values_for_type(x509.IPAddress)) == wanted
    paired = isinstance(own, ec.EllipticCurvePrivateKey) and own.public_key() == found.public_key()
    return same and paired and found.not_valid_after_utc - now > timedelta(days=30)


def _make_line(certificate: Path, key_path: Path, authority: x509.Certificate, authority_key: ec.EllipticCurvePrivateKey, addresses: list[str], now: datetime) -> None:  # fmt: skip
    key = ec.generate_private_key(ec.SECP256R1())
    name = x509.Name([x509.NameAttribute(NameOID.COMMON_NAME, "Line of this laptop")])
    names = [x509.IPAddress(ipaddress.ip_address(one)) for one in addresses]
    made = (
        _begun(name, authority.subject, key.public_key(), now, LINE_DAYS)
        .add_extension(x509.BasicConstraints(ca=False, path_length=None), critical=True)
        .add_extension(_usage(signs=False), critical=True)
        .add_extension(x509.ExtendedKeyUsage([ExtendedKeyUsageOID.SERVER_AUTH]), critical=False)
        .add_extension(x509.SubjectAlternativeName(names), critical=False)
        .add_extension(x509.AuthorityKeyIdentifier.from_issuer_public_key(authority_key.public_key()), critical=False)
        .sign(authority_key, hashes.SHA256())
    )
    _write(key_path, _private(key))
    _write(certificate, made.public_bytes(serialization.Encoding.PEM))


def _begun(subject: x509.Name, issuer: x509.Name, public: ec.EllipticCurvePublicKey, now: datetime, days: int) -> x509.CertificateBuilder:  # fmt: skip
    return (
        x509.CertificateBuilder()
        .subject_name(subject)
        .issuer_name(issuer)
        .public_key(public)
        .serial_number(x509.random_serial_number())
        .not_valid_before(now - timedelta(days=2))  # a phone's clock may be a day behind
        .not_valid_after(now + timedelta(days=days - 2))
    )


def _usage(*, signs: bool) -> x509.KeyUsage:
    return x509.KeyUsage(
        digital_signature=not signs, content_commitment=False, key_encipherment=False, data_encipherment=False,
        key_agreement=False, key_cert_sign=signs, crl_sign=signs, encipher_only=False, decipher_only=False,
    )  # fmt: skip


def _private(key: ec.EllipticCurvePrivateKey) -> bytes:
    return key.private_bytes(
        serialization.Encoding.PEM, serialization.PrivateFormat.PKCS8, serialization.NoEncryption()
    )


def _write(path: Path, data: bytes) -> None:
    """A file that nobody else on this machine reads, whole or not at all."""
    part = path.with_name(f".{path.name}.{os.getpid()}.part")
    with os.fdopen(os.open(part, os.O_WRONLY | os.O_CREAT | os.O_TRUNC, 0o600), "wb") as file:
        file.write(data)
    part.replace(path)
