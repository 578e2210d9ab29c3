"""Rules of the trade by themselves: cases in, answers out; and the book of all rules."""
