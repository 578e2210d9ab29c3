<script lang="ts">
	/** A picture: the one that waits on this device, else the program's. */
	import { api } from '../api/api';
	import { outbox } from '../outbox/outbox.svelte';
	import { photos as words } from '../words/photos';
	import type { PhotoSeen } from './photos';
	interface Props {
		job: string;
		one: PhotoSeen;
		alt: string;
		small?: boolean;
		class?: string;
	}
	let { job, one, alt, small = false, class: more = '' }: Props = $props();
	/** '' while it is looked for */
	let here = $state('');
	let lost = $state(false);
	$effect(() => {
		let made = '';
		let gone = false;
		lost = false;
		if (!one.waits) here = api.photoAddress(job, one.photo, small);
		else
			void outbox.picture(one.photo).then((blob) => {
				if (gone) return;
				made = blob ? URL.createObjectURL(blob) : '';
				here = made || api.photoAddress(job, one.photo, small);
			});
		return () => {
			gone = true;
			if (made) URL.revokeObjectURL(made);
		};
	});
</script>

{#if lost}<p class={['label border-2 border-flag p-4', more]}>{words.lost}</p>
{:else if here}<img src={here} {alt} class={more} onerror={() => (lost = true)} />{/if}
