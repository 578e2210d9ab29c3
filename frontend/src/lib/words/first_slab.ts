/** A first slab in ten short lines, each with where it is done. */
export const firstSlabWords = {
	offer: 'Show me the way, ten lines',
	name: 'First slab',
	at: (n: number, all: number) => `${n} of ${all}`,
	go: 'Go there',
	here: 'Here',
	next: 'Next line',
	leave: 'Leave it',
	done: 'That is a slab. The rest is under / and ?.',
	lines: {
		outline: "Call the sides from a corner: 24' e 20' n 24' w 20' s. Then keep it.",
		square: 'Tape sides and both diagonals, type what the tape says, keep the round.',
		edge: 'Say how deep the edge goes: 12 wide 16 deep 45. Then all sides.',
		stack: 'Say what lies under it: press one of the usual stacks, keep it.',
		laser: 'Name a mark that nobody will move, and what the rod reads on it.',
		steel: 'Say what holds it together: #4 at 18 each way, top.',
		strips: 'Lay strips by rule; then joints, under Joints.',
		sure: 'See how sure the order is: twenty pours, struck off by the board.',
		call: 'Fill in what the plant asks, ring, tick line by line.',
		walk: 'Walk round it with a phone: each place, each question.'
	}
} as const;
