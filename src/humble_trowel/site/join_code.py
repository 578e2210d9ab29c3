"""The number that the owner reads out: it lets one device in, lives ten minutes, and dies of too many wrong tries."""

from __future__ import annotations

import hmac
import secrets
from dataclasses import dataclass, field
from threading import Lock

DIGITS = 6
LIVES_S = 600
WAIT_S = 30
MOST_WRONG = 5
MOST_WAITING = 1_000


@dataclass
class JoinCode:
    """One number at a time. All times are seconds of a clock that only goes forward. wrong: tries that were, since the
    number was made. Five wrong ones of a million end it, so a number is guessed once in 200,000 tries to guess."""

    number: str = ""
    ends_s: float = 0.0
    wrong: int = 0
    ended_by_tries: bool = False
    _waits: dict[str, float] = field(default_factory=dict)
    _lock: Lock = field(default_factory=Lock)

    def renew(self, now_s: float) -> str:
        """A new number; the one before counts for nothing."""
        with self._lock:
            self.number = f"{secrets.randbelow(10**DIGITS):0{DIGITS}d}"
            self.ends_s, self.wrong, self.ended_by_tries = now_s + LIVES_S, 0, False
            return self.number

    def close(self) -> None:
        """Nobody can come in any more."""
        with self._lock:
            self.number = ""

    def left_s(self, now_s: float) -> float:
        """How long the number lives; 0 where there is none."""
        return max(0.0, self.ends_s - now_s) if self.number else 0.0

    def wait_s(self, address: str, now_s: float) -> float:
        """How long an address has to wait after a wrong number."""
        return max(0.0, self._waits.get(address, 0.0) - now_s)

    def take(self, typed: str, address: str, now_s: float) -> bool:
        """Whether it is the number; it is used up then. A wrong one is counted, and its address has to wait."""
        digits = "".join(sign for sign in typed if sign.isascii() and sign.isdigit())
        with self._lock:
            alive = bool(self.number) and now_s < self.ends_s
            right = hmac.compare_digest(digits.encode(), (self.number if alive else secrets.token_hex()).encode())
            if alive and right:
                self.number = ""
                self._waits.pop(address, None)
                return True
            if len(self._waits) >= MOST_WAITING:
                self._waits = {key: until for key, until in self._waits.items() if until > now_s}
                if (
                    len(self._waits) >= MOST_WAITING
                ):  # more than a network has: forget them, the number dies of five anyway
                    self._waits.clear()
            self._waits[address] = now_s + WAIT_S
            self.wrong += 1
            if self.number and self.wrong >= MOST_WRONG:
                self.number, self.ended_by_tries = "", True
            return False
