"""Every error the product raises on purpose, as one tree.

    TrowelError                    root: words a contractor can read, and where in the input
    ├── InputError                 something typed or sent cannot be used
    │   ├── LengthError            a length or volume that cannot be read
    │   │   └── BareNumber         a number without a unit where the unit matters; carries the choices
    │   ├── CallError              a tape call-out that cannot be read
    │   └── PlanError              a plan document that is impossible; `path` names the key
    ├── EditError                  an edit that does not fit the plan it is applied to
    └── ComputeError               a fault of the program in one answer; names the part (see guard.py)

Doubtful but possible plans are no errors: they are `Finding`s (see findings/).
"""

from __future__ import annotations


class TrowelError(Exception):
    """Root. `words` is one plain sentence or two; `path` names the key or field ('zones[1].drop_mm')."""

    def __init__(self, words: str, path: str = "") -> None:
        super().__init__(words)
        self.words = " ".join(words.split())  # one line, whatever was quoted
        self.path = path

    def at(self, path: str) -> TrowelError:
        """The same error with `path` put in front of its own path."""
        own = self.path
        joined = path if not own else (f"{path}{own}" if own.startswith("[") else f"{path}.{own}")
        self.path = joined
        return self

    def __str__(self) -> str:
        return f"{self.path}: {self.words}" if self.path else self.words


class InputError(TrowelError):
    """Something typed or sent cannot be used as it stands."""


class LengthError(InputError):
    """A length or volume that cannot be read."""


class BareNumber(LengthError):
    """A number without a unit where guessing would be dangerous; `choices` are the readings to offer."""

    def __init__(self, words: str, choices: tuple[str, ...], path: str = "") -> None:
        super().__init__(words, path)
        self.choices = choices


class CallError(InputError):
    """A tape call-out that cannot be read; `choices` may hold corrected texts to offer."""

    def __init__(self, words: str, choices: tuple[str, ...] = (), path: str = "") -> None:
        super().__init__(words, path)
        self.choices = choices


class PlanError(InputError):
    """A plan document that is impossible."""


class EditError(TrowelError):
    """An edit that does not fit the plan it is applied to."""


class ComputeError(TrowelError):
    """A fault of the program in one answer. part: which. why: for whoever mends it."""

    def __init__(self, part: str, why: str, words: str = "") -> None:
        super().__init__(words or f"{part} cannot be worked out for this job: the program stumbled ({why[:160]}).")
        self.part = part
