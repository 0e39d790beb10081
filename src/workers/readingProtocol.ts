import type { ReadText } from '@/core/formats/readText';
import type { StoredEntry } from '@/core/ingredients';
import type { MeasureSystem, OwnMeasure } from '@/core/quantity';
import type { LineRole } from '@/core/recipe';
import type { Result } from '@/core/result';

export interface ReadingQuestion {
  readonly id: number;
  readonly text: string;
  readonly stored: readonly StoredEntry[];
  readonly system: MeasureSystem;
  /** The kitchen's own cups and scoops. */
  readonly own?: readonly OwnMeasure[];
  /** What lines are by the baker's own word, by their number. */
  readonly declared?: readonly (readonly [number, LineRole])[];
}

export type ReadingAnswer =
  /** The thread is there: it says so once, and is asked nothing before. */
  | { readonly kind: 'hears' }
  | { readonly kind: 'read'; readonly id: number; readonly read: Result<ReadText> };
