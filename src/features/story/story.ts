import type { Formula } from '@/core/formula';

export interface Revision {
  readonly number: number;
  readonly savedAtMs: number;
  readonly formula: Formula;
}
export interface Branch {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
}
export interface Story {
  readonly branch: Branch | null;
  /** Newest first. */
  readonly revisions: readonly Revision[];
  readonly branches: readonly Branch[];
  /** Older branches than those. */
  readonly moreBranches: number;
}
