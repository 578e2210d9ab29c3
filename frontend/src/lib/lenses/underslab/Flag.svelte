<script lang="ts">
	/** A clash: a numbered flag on a staff, the same number on plan, cut and bench. */
	let { n, x = 0, y = 0 }: { n: number; x?: number; y?: number } = $props();
</script>

<g transform="translate({x} {y})" class="pointer-events-none">
	<path d="M0 0V-34" class="stroke-ink stroke-2" />
	<circle r="3.5" class="fill-ink" />
	<path d="M1-34H26L21-24L26-14H1Z" class="fill-flag stroke-ink stroke-[1.6px]" />
	<text x="11" y="-19" text-anchor="middle" class="fill-well text-note font-black">{n}</text>
</g>
