import type { BatchSheet } from '../batch/batchSheet';
import type { BakeEvent } from './bakeEvent';
import { bakeState, type BakeState } from './bakeState';

/** A bake and everything that has happened to it: plain data, as the server hands it to a screen. */
export interface BakeRecord {
  readonly id: string;
  readonly formulaId: string;
  readonly revision: number;
  readonly startedAtMs: number;
  readonly sheet: BatchSheet;
  readonly events: readonly BakeEvent[];
  /** Events of this bake that this program cannot read; they stay in the log. */
  readonly unreadable?: number;
}

export const stateOf = (bake: BakeRecord): BakeState => bakeState(bake.startedAtMs, bake.events);
