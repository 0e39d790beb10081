import type { MethodStep } from '../method/step';
import { allLines, type Formula, type Line } from './formula';
import { allSteps } from './ways';

/** One difference between two states of a formula, in the order in which a reader would come to it. */
export type Difference =
  | { readonly kind: 'name'; readonly from: string; readonly to: string }
  | { readonly kind: 'mass'; readonly ingredientId: string; readonly fromG: number; readonly toG: number }
  | {
      readonly kind: 'swapped';
      readonly fromId: string;
      readonly toId: string;
      readonly fromG: number;
      readonly toG: number;
    }
  | { readonly kind: 'added'; readonly ingredientId: string; readonly massG: number }
  | { readonly kind: 'removed'; readonly ingredientId: string; readonly massG: number }
  | { readonly kind: 'method'; readonly changed: number; readonly added: number; readonly removed: number }
  | { readonly kind: 'other' };

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

function compareLines(from: readonly Line[], to: readonly Line[]): Difference[] {
  const before = new Map(from.map((line) => [line.id, line]));
  const after = new Set(to.map((line) => line.id));
  const changed = to.flatMap((line): Difference[] => {
    const old = before.get(line.id);
    if (!old) return [{ kind: 'added', ingredientId: line.ingredientId, massG: line.massG }];
    if (old.ingredientId !== line.ingredientId) {
      return [
        {
          kind: 'swapped',
          fromId: old.ingredientId,
          toId: line.ingredientId,
          fromG: old.massG,
          toG: line.massG,
        },
      ];
    }
    return old.massG === line.massG
      ? []
      : [{ kind: 'mass', ingredientId: line.ingredientId, fromG: old.massG, toG: line.massG }];
  });
  const removed = from
    .filter((line) => !after.has(line.id))
    .map((line): Difference => ({ kind: 'removed', ingredientId: line.ingredientId, massG: line.massG }));
  return [...changed, ...removed];
}

function compareSteps(from: readonly MethodStep[], to: readonly MethodStep[]): Difference[] {
  if (same(from, to)) return [];
  const before = new Map(from.map((step) => [step.id, step]));
  const after = new Set(to.map((step) => step.id));
  return [
    {
      kind: 'method',
      changed: to.filter((step) => before.has(step.id) && !same(before.get(step.id), step)).length,
      added: to.filter((step) => !before.has(step.id)).length,
      removed: from.filter((step) => !after.has(step.id)).length,
    },
  ];
}

/** What changed from one formula to another. Lines are the same line when their ids agree, wherever they stand. */
export function compareFormulas(from: Formula, to: Formula): Difference[] {
  const differences: Difference[] = [
    ...(from.name === to.name ? [] : [{ kind: 'name' as const, from: from.name, to: to.name }]),
    ...compareLines(allLines(from), allLines(to)),
    ...compareSteps(allSteps(from), allSteps(to)),
  ];
  return differences.length === 0 && !same(from, to) ? [{ kind: 'other' }] : differences;
}
