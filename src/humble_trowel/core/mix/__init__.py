"""What goes in the drum, and why."""
