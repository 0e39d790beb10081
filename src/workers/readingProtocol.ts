import type { ReadText } from '@/core/formats/readText';
import type { StoredEntry } from '@/core/ingredients';
import type { MeasureSystem } from '@/core/quantity';
import type { Result } from '@/core/result';

export interface ReadingQuestion {
  readonly id: number;
  readonly text: string;
  readonly stored: readonly StoredEntry[];
  readonly system: MeasureSystem;
}

export interface ReadingAnswer {
  readonly id: number;
  readonly read: Result<ReadText>;
}
