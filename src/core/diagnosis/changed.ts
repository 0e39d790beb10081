import { allLines, type Formula } from '../formula/formula';
import { allSteps } from './steps';

/** What a change makes of a formula, line by line and step by step. */
interface Changed {
  readonly lines: readonly { readonly ingredientId: string; readonly fromG: number; readonly toG: number }[];
  readonly steps: readonly {
    readonly kind: Formula['steps'][number]['kind'];
    readonly title: string;
    readonly fromS: number | null;
    readonly toS: number | null;
    readonly fromC: number | null;
    readonly toC: number | null;
  }[];
}

export function changedBetween(before: Formula, after: Formula): Changed {
  const lines = new Map(allLines(before).map((line) => [line.id, line]));
  const steps = new Map(allSteps(before).map((step) => [step.id, step]));
  return {
    lines: allLines(after).flatMap(({ id, ingredientId, massG }) => {
      const from = lines.get(id);
      return from && from.massG !== massG ? [{ ingredientId, fromG: from.massG, toG: massG }] : [];
    }),
    steps: allSteps(after).flatMap(({ id, kind, title, minS, tempC }) => {
      const from = steps.get(id);
      const same = from && from.minS === minS && from.tempC === tempC;
      return same
        ? []
        : [{ kind, title, fromS: from?.minS ?? null, toS: minS, fromC: from?.tempC ?? null, toC: tempC }];
    }),
  };
}
