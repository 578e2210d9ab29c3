"""What an attack came to."""

from dataclasses import dataclass, field


@dataclass
class Told:
    """name: of the attack. count: how often it was tried. found: every time that it got through, in words."""

    name: str
    count: int
    found: list = field(default_factory=list)
    seconds: float = 0.0

    @property
    def line(self):
        verdict = "held" if not self.found else f"{len(self.found)} GOT THROUGH"
        return f"{self.name:<58} {self.count:>7,}   {self.seconds:>6.1f} s   {verdict}"
