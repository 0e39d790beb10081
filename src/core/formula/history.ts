import type { Formula } from './formula';

/** Undo and redo of one sheet. Keystrokes in the same cell (`key`) fold into one step back. */
export interface History {
  readonly past: readonly Formula[];
  readonly present: Formula;
  readonly future: readonly Formula[];
  readonly key: string | null;
}

const DEPTH = 200;

export const startHistory = (present: Formula): History => ({ past: [], present, future: [], key: null });

export function record(history: History, next: Formula, key: string | null): History {
  if (next === history.present) return history;
  const fold = key !== null && key === history.key && history.past.length > 0;
  const past = fold ? history.past : [...history.past, history.present].slice(-DEPTH);
  return { past, present: next, future: [], key };
}

/** The reader has left the cell: the next key stroke there is a step of its own. */
export const settle = (history: History): History =>
  history.key === null ? history : { ...history, key: null };

/**
 * Takes back what has been typed into the cell `key` since it was entered, as if it had never been: "45" on the way to a
 * refused "4500" must not stay behind. Without typing there, nothing happens.
 */
export function takeBack(history: History, key: string): History {
  const present = history.past.at(-1);
  if (history.key !== key || !present) return history;
  return { past: history.past.slice(0, -1), present, future: [], key: null };
}

export function undo(history: History): History {
  const present = history.past.at(-1);
  if (!present) return history;
  return {
    past: history.past.slice(0, -1),
    present,
    future: [history.present, ...history.future],
    key: null,
  };
}

export function redo(history: History): History {
  const [present, ...future] = history.future;
  if (!present) return history;
  return { past: [...history.past, history.present], present, future, key: null };
}
