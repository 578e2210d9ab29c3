/** The turns of the Ground bench: one question each. */
import { w } from '../../words/words';

export const TURNS = ['shots', 'rod', 'laser', 'stack', 'falls', 'stone', 'dug', 'tests'] as const;
export type Turn = (typeof TURNS)[number];
export const isTurn = (text: string | null): text is Turn => TURNS.some((turn) => turn === text);
export const questionOf = (turn: Turn): string => w.ground.turns[turn].ask;
