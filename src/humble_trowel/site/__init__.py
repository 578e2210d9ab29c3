"""Who may come in over the local network, by which line: devices and their roles, the number that lets one in, addresses,
certificates, the square. Kept apart from the data of the jobs, so that no copy of those carries a key."""
