"""Photos: what was photographed, of what, where; the pictures themselves are kept by the store."""
