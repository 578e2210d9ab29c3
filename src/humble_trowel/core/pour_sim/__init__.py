"""A pour played through: plant, road, places to stand, crew, board and float."""
