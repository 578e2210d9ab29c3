/** What is picked on the sheet: a side, a corner, or a line inside; and the size being typed over. */
export class Pick {
	side = $state<number | null>(null);
	corner = $state<number | null>(null);
	row = $state<number | null>(null);
	typing = $state(false);
	square = $state(true);

	chooseSide(side: number) {
		this.side = side;
		this.corner = null;
		this.row = null;
	}
	chooseCorner(corner: number) {
		this.corner = corner;
		this.side = null;
		this.row = null;
	}
	chooseRow(row: number) {
		this.row = row;
		this.side = null;
		this.corner = null;
	}
	step(by: number, sides: number) {
		if (!sides) return;
		this.chooseSide((((this.side ?? (by > 0 ? -1 : 0)) + by) % sides + sides) % sides);
	}
	none() {
		this.side = this.corner = this.row = null;
		this.typing = false;
	}
}

export const cornerName = (index: number): string =>
	index < 26 ? String.fromCharCode(65 + index) : cornerName(Math.floor(index / 26) - 1) + cornerName(index % 26);
