/** Steel: how each slab is held together, mats, cages, dowels, chairs, and the lists of it all. */
import { lens } from '../lens';

export const steelLens = lens(
	'steel',
	'5',
	['way', 'mat', 'cages', 'dowels', 'chairs', 'lists', 'look'] as const,
	'grid-cols-[minmax(420px,704fr)_minmax(540px,576fr)] max-phone:grid-rows-[344px_auto]',
	{
		lists: 'grid-cols-[minmax(360px,440fr)_minmax(640px,840fr)] max-phone:grid-rows-[344px_auto]',
		look: 'grid-cols-[minmax(420px,704fr)_minmax(540px,576fr)] max-phone:grid-rows-[270px_auto]'
	}
);
