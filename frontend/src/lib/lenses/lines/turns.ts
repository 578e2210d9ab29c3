/** The turns of the Lines bench: one question each, in the order of the work. */
import { w } from '../../words/words';

export const TURNS = ['walk', 'around', 'setout', 'square', 'straight', 'forms', 'boards'] as const;
export type Turn = (typeof TURNS)[number];
export const isTurn = (text: string | null): text is Turn => TURNS.some((turn) => turn === text);
export const questionOf = (turn: Turn): string => w.lines.turns[turn].ask;
