<defs>
	<pattern id="conc" width="34" height="30" patternUnits="userSpaceOnUse">
		<g fill="var(--line)"><circle cx="4" cy="5" r=".9" /><circle cx="15" cy="12" r=".8" /><circle cx="27" cy="4" r=".7" /><circle cx="9" cy="22" r=".8" /><circle cx="30" cy="19" r=".9" /><circle cx="20" cy="26" r=".7" /></g>
		<path d="M20 17.5l3.6-1.2-1 3.4zM2.5 14l3 .6-2 2.2zM12 2.6l2.4 1.3-2.6 1z" fill="none" stroke="var(--line)" stroke-width=".8" />
	</pattern>
	<pattern id="deep" width="15" height="13" patternUnits="userSpaceOnUse">
		<rect width="15" height="13" fill="var(--water)" />
		<g fill="var(--ink2)"><circle cx="3" cy="3" r="1" /><circle cx="10.5" cy="6" r="1" /><circle cx="5" cy="10" r="1" /></g>
	</pattern>
	<pattern id="soil" width="44" height="26" patternUnits="userSpaceOnUse">
		<g stroke="var(--soil)" stroke-width="1.2"><path d="M2 12L12 2M6 14L16 4M10 16L20 6" /><path d="M26 8l9 9M30 5l9 9M34 2l9 9" /></g>
	</pattern>
	<pattern id="grain" width="9" height="60" patternUnits="userSpaceOnUse" patternTransform="rotate(38)">
		<rect width="9" height="60" fill="var(--board)" /><path d="M2 0V60M6 0V60" stroke="var(--grain)" stroke-width="1.3" />
	</pattern>
</defs>
