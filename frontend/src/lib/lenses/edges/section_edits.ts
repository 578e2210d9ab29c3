/** What typing a size on a section changes in the plan. */
import type { SectionSize, JobState } from '../../api/schema';
import { rowId } from '../../state/ids';
import type { Edit } from '../../state/job.svelte';

type Plan = JobState['document'];

/** The edit for a size typed over, or null for one that is only read off. */
export function editOf(size: SectionSize, typed: string, plan: Plan | null): Edit | null {
	const text = typed.trim();
	if (!size.typed || !text) return null;
	const degrees = Number.parseFloat(text.replace('°', '').replace(',', '.'));
	if (size.kind === 'slab') return { op: 'set_slab_type', mark: size.mark, thickness: text };
	if (size.kind === 'step') return { op: 'set_zone', zone: rowId(plan, 'zones', size.row), changes: { drop_mm: text } };
	if (size.kind === 'recess') return { op: 'set_recess', recess: rowId(plan, 'recesses', size.row), changes: { depth_mm: text } };
	if (size.kind === 'edge') {
		if (size.key === 'degrees') return { op: 'set_edge_type', mark: size.mark, degrees, text: '' };
		return size.key === 'depth'
			? { op: 'set_edge_type', mark: size.mark, depth: text, text: '' }
			: { op: 'set_edge_type', mark: size.mark, bottom_width: text, text: '' };
	}
	if (size.kind === 'beam') {
		if (size.key === 'degrees') return { op: 'set_beam_type', mark: size.mark, degrees, text: '' };
		return size.key === 'depth'
			? { op: 'set_beam_type', mark: size.mark, depth: text, text: '' }
			: { op: 'set_beam_type', mark: size.mark, width: text, text: '' };
	}
	if (size.kind === 'pad') return { op: 'set_pad_type', mark: size.mark, [size.key]: text, text: '' } as Edit;
	return null;
}

/** The next free mark with a letter: E1, E2, ... */
export function nextMark(letter: string, marks: string[]): string {
	let n = 1;
	while (marks.includes(`${letter}${n}`)) n += 1;
	return `${letter}${n}`;
}
