import type { ReadText } from '@/core/formats/readText';
import type { KeptIngredient } from '@/core/ingredients';
import type { MeasureSystem } from '@/core/quantity';
import type { Result } from '@/core/result';

export interface ReadingQuestion {
  readonly id: number;
  readonly text: string;
  readonly kept: readonly KeptIngredient[];
  readonly system: MeasureSystem;
}

export interface ReadingAnswer {
  readonly id: number;
  readonly read: Result<ReadText>;
}
