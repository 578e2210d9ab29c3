"""The command line: every command of ./trowel, once the program is set up."""
