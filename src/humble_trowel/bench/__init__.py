"""Speed against the goals. Times are wall times on this machine; nothing here fails a test."""

CHROMIUM_ARGS = (
    "--headless", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
    "--disable-component-update", "--disable-sync",
)  # fmt: skip
