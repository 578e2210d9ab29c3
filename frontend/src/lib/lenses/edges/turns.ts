/** The turns of the Edges bench: one question each. */
import { w } from '../../words/words';

export const TURNS = ['cut', 'grid', 'top', 'meets', 'frost', 'sum'] as const;
export type Turn = (typeof TURNS)[number];
export const isTurn = (text: string | null): text is Turn => TURNS.some((turn) => turn === text);
export const questionOf = (turn: Turn): string => w.edges.turns[turn].ask;
