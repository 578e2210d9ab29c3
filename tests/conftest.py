"""Random tests draw anew at every run at home, and the same way at every run of the build."""

import os

from hypothesis import settings

settings.register_profile("build", derandomize=True)
if os.environ.get("CI"):
    settings.load_profile("build")
