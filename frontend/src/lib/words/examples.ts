/** What stands in an empty field as an example, in the job's own units. */
export const EXAMPLES = {
	'ft-in': {
		along: "8'",
		level: '3/8 below',
		kerbWide: '6',
		kerbHigh: '8',
		pad: '4',
		pile: '12',
		down: '6',
		slab: '6″',
		cut: '12 wide 18 deep 45',
		pegs: '8′',
		margin: '12″',
		beside: "from B, 20' e 30' n 20' w 30' s",
		lotFrom: "-4', -6'",
		lotTo: "40', -6'",
		footing: {
			from: "from A 24' e",
			walk: "24' e, 16' n, 24' w, 16' s",
			inset: '0',
			wide: '16',
			thick: '8',
			top: '24 below',
			mark: '6 above',
			rod: "4' 2"
		}
	},
	mm: {
		along: '2400',
		level: '10 below',
		kerbWide: '150',
		kerbHigh: '200',
		pad: '100',
		pile: '300',
		down: '150',
		slab: '150',
		cut: '300 wide 450 deep 45',
		pegs: '2438',
		margin: '305',
		beside: 'from B, 6 m e 9 m n 6 m w 9 m s',
		lotFrom: '-1200, -1800',
		lotTo: '12000, -1800',
		footing: {
			from: 'from A 6 m e',
			walk: '7.2 m e, 5 m n, 7.2 m w, 5 m s',
			inset: '100',
			wide: '400',
			thick: '200',
			top: '600 below',
			mark: '150 above',
			rod: '1250'
		}
	}
} as const;
