import type { SCORE_NAMES } from '@/core/bake';
import type { Formula } from '@/core/formula';

export interface Revision {
  readonly number: number;
  readonly savedAtMs: number;
  readonly formula: Formula;
  /** What came of it: how often it was baked to its end, and its mean scores; null: never. */
  readonly baked:
    (Readonly<Record<(typeof SCORE_NAMES)[number], number | null>> & { readonly bakes: number }) | null;
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
