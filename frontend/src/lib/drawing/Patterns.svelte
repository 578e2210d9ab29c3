<defs>
	<pattern id="conc" width="34" height="30" patternUnits="userSpaceOnUse">
		<g fill="var(--color-line)"
			><circle cx="4" cy="5" r=".9" /><circle cx="15" cy="12" r=".8" /><circle cx="27" cy="4" r=".7" /><circle
				cx="9"
				cy="22"
				r=".8"
			/><circle cx="30" cy="19" r=".9" /><circle cx="20" cy="26" r=".7" /></g
		>
		<path
			d="M20 17.5l3.6-1.2-1 3.4zM2.5 14l3 .6-2 2.2zM12 2.6l2.4 1.3-2.6 1z"
			fill="none"
			stroke="var(--color-line)"
			stroke-width=".8"
		/>
	</pattern>
	<pattern id="deep" width="15" height="13" patternUnits="userSpaceOnUse">
		<rect width="15" height="13" fill="var(--color-water)" />
		<g fill="var(--color-ink2)"><circle cx="3" cy="3" r="1" /><circle cx="10.5" cy="6" r="1" /><circle cx="5" cy="10" r="1" /></g>
	</pattern>
	<pattern id="soil" width="44" height="26" patternUnits="userSpaceOnUse">
		<g stroke="var(--color-soil)" stroke-width="1.2"
			><path d="M2 12L12 2M6 14L16 4M10 16L20 6" /><path d="M26 8l9 9M30 5l9 9M34 2l9 9" /></g
		>
	</pattern>
	<pattern id="pebbles" width="26" height="22" patternUnits="userSpaceOnUse">
		<g fill="none" stroke="var(--color-ink2)" stroke-width="1.1"
			><path d="M2 6l4-4 5 1 2 5-4 4-5-1z" /><path d="M15 4l5-2 4 4-3 4-5-1z" /><path d="M5 16l4-2 5 2-1 4-6 1z" /><path
				d="M17 14l5-1 3 4-4 4-4-2z"
			/></g
		>
	</pattern>
	<pattern id="zig" width="14" height="24" patternUnits="userSpaceOnUse">
		<path d="M0 24L7 0L14 24" fill="none" stroke="var(--color-line)" stroke-width="1.1" />
	</pattern>
	<pattern id="sand" width="8" height="7" patternUnits="userSpaceOnUse">
		<g fill="var(--color-ink2)"><circle cx="2" cy="2" r=".7" /><circle cx="6" cy="5" r=".7" /></g>
	</pattern>
	<pattern id="filled" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(-40)">
		<path d="M0 2H9M0 6H5" stroke="var(--color-soil)" stroke-width="1.1" />
	</pattern>
	<pattern id="grain" width="9" height="60" patternUnits="userSpaceOnUse" patternTransform="rotate(38)">
		<rect width="9" height="60" fill="var(--color-board)" /><path
			d="M2 0V60M6 0V60"
			stroke="var(--color-grain)"
			stroke-width="1.3"
		/>
	</pattern>
</defs>
