"""Heat of concrete: how fast it hydrates and when it sets."""
