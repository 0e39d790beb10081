import type { DayDocument } from '@/core/day/dayDocument';
import type { DayView } from '@/core/day/dayView';
import type { BakeProgress, DayFormula } from '@/core/day/kitchenDay';
import type { LifeDocument } from '@/core/day/lifeDocument';
import type { StoredEntry } from '@/core/ingredients';
import type { StartersDocument } from '@/core/starter/starterDocument';
import type { Kit } from '@/core/kit';
import type { Problem } from '@/core/result';

/** A day to be laid out, with all it is made of. */
export interface DayQuestion {
  readonly id: number;
  readonly day: DayDocument;
  readonly life: LifeDocument;
  readonly zone: string;
  readonly kit: Kit;
  readonly stored: readonly StoredEntry[];
  readonly formulas: readonly DayFormula[];
  readonly bakes: Readonly<Record<string, BakeProgress>>;
  readonly starters: StartersDocument;
  readonly nowMs: number;
  /** How long a better plan is looked for, ms. */
  readonly forMs: number;
} // prettier-ignore

export type ToDayWorker = DayQuestion | { readonly id: number; readonly leave: true };

export type FromDayWorker =
  /** Better than before; more is looked for. */
  | { readonly id: number; readonly kind: 'better'; readonly view: DayView }
  | { readonly id: number; readonly kind: 'done'; readonly view: DayView | null }
  | { readonly id: number; readonly kind: 'refused'; readonly problem: Problem }
  | { readonly id: number; readonly kind: 'broke'; readonly why: string };
