"""Addresses of this machine on the local network."""

from __future__ import annotations

import ipaddress
from pathlib import Path

import ifaddr

LOCAL = ("10.0.0.0/8", "172.16.0.0/12", "192.168.0.0/16", "169.254.0.0/16", "127.0.0.0/8", "100.64.0.0/10")
LIKELY = ("192.168.0.0/16", "10.0.0.0/8", "172.16.0.0/12")


def local_addresses(routes: Path = Path("/proc/net/route")) -> list[str]:
    """IPv4 addresses of this machine that phones nearby can reach, the likeliest first: of the adapter that leads out (where
    the system tells), then those that hotspots and small networks give. Asks the system; sends nothing."""
    leads = _leads_out(routes)
    found = {
        str(one.ip): adapter.name not in leads
        for adapter in ifaddr.get_adapters()
        for one in adapter.ips
        if one.is_IPv4 and not _never(ipaddress.ip_address(str(one.ip)))
    }
    return sorted(found, key=lambda text: (found[text], _unlikely(text), ipaddress.ip_address(text)))


def _never(address: ipaddress.IPv4Address | ipaddress.IPv6Address) -> bool:
    return address.is_loopback or address.is_link_local


def _unlikely(text: str) -> int:
    """Small networks and hotspots first; 172.16 to 172.31 are mostly between programs of one machine."""
    address = ipaddress.ip_address(text)
    return next((at for at, net in enumerate(LIKELY) if address in ipaddress.ip_network(net)), len(LIKELY))


def _leads_out(routes: Path) -> set[str]:
    """Names of adapters with a way out of the local network (proc_net_route(5): destination and mask of all zeros)."""
    try:
        rows = [line.split() for line in routes.read_text().splitlines()[1:]]
    except OSError:
        return set()
    return {row[0] for row in rows if len(row) > 7 and row[1] == row[7] == "00000000"}


def is_local(address: str) -> bool:
    """Whether the authority may sign for an address."""
    return any(ipaddress.ip_address(address) in ipaddress.ip_network(net) for net in LOCAL)
