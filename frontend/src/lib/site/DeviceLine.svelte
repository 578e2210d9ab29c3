<script lang="ts">
	/** One device: who, what it may do, what it has open, what waits on it, its line. */
	import { api } from '../api/api';
	import type { DeviceRow } from '../api/schema';
	import { clockText, dayText } from '../ui/days';
	import Act from '../ui/Act.svelte';
	import Choose from '../ui/Choose.svelte';
	import { siteWords as words } from '../words/site';
	import { w } from '../words/words';
	import type { SiteData } from './site.svelte';
	import { nameOf } from './who.svelte';
	let { row, data }: { row: DeviceRow; data: SiteData } = $props();
	const here = $derived(row.here);
	const name = $derived(nameOf(row, ''));
	const lens = $derived((w.lenses as Record<string, string>)[here?.lens ?? ''] ?? '');
	const has = $derived(here?.job ? [lens, here.part].filter(Boolean).join(', ') : here ? words.nowhere : '');
	const ROLES = ['crew', 'owner'].map((value) => ({ value, label: words.roles[value] ?? '' }));
	const set = (role: string) => void data.act(row.id, () => api.setRole(row.id, role as DeviceRow['role']));
</script>

<li
	class={[
		'grid min-h-56 grid-cols-[minmax(130px,1.2fr)_120px_minmax(120px,1fr)_58px_minmax(90px,.8fr)_112px] items-center gap-x-12',
		'gap-y-4 border-t border-hair py-4 max-mid:grid-cols-2'
	]}
	data-device={row.name}
>
	<span class="flex items-center gap-10 text-key font-strong">
		<svg width="22" height="16" class="flex-none" aria-hidden="true"
			><ellipse
				cx="11"
				cy="8"
				rx="9"
				ry="6"
				class={here?.reach ? 'fill-chalk stroke-chalk' : 'fill-none stroke-ink stroke-2 [stroke-dasharray:4_3]'}
			/>{#if here?.reach}<path d="M7 2q4 6 0 12M12 2q4 6 0 12" class="fill-none stroke-bench stroke-2" />{/if}</svg
		><span class={['min-w-0 wrap-anywhere', row.thrown_at && 'line-through']} dir="auto">{name}</span>
	</span>
	{#if row.thrown_at}
		<span class="col-span-5 text-body text-ink2 max-mid:col-span-1">{words.thrown(clockText(row.thrown_at))}</span>
	{:else}
		{#if row.role === 'looker'}<span class="text-body font-mid">{words.roles['looker']}</span>
		{:else}<Choose name={words.mayOf(name)} rows={ROLES} value={row.role} pick={set} class="text-center font-strong" />{/if}
		<span class="text-body">{has}</span>
		<span class={['text-body', here?.waits && 'text-key font-heavy text-flag']} data-waits={here?.waits ?? 0}
			>{here?.waits || words.none}</span
		>
		<span class="text-body font-mid">{row.until ? words.till(dayText(row.until.slice(0, 10))) : words.lines[row.line]}</span>
		<Act onclick={() => void data.act(row.id, () => api.throwOut(row.id))} aria-label="{words.throwOut} {name}"
			>{words.throwOut}</Act
		>
	{/if}
</li>
