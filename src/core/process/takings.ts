import type { StageKind } from '../formula/formulaLimits';
import type { MethodStep, StepKind } from '../method/step';

interface Part {
  readonly id: string;
  readonly kind: StageKind;
  readonly lines: readonly { readonly id: string }[];
}

/** What goes in at a step: of a line so much of it; `assumed`: nobody said so, it is where such a part usually goes in. */
export interface Taken {
  readonly lineId: string;
  readonly share: number;
  readonly assumed: boolean;
}

/** Where a part goes in where nobody says: the first step of the first of these kinds that the method has. */
const USUALLY: Readonly<Record<StageKind, readonly StepKind[]>> = {
  starter: ['mix'],
  preDough: ['preDough', 'mix'],
  soaker: ['soak', 'mix'],
  scald: ['mix'],
  gel: ['mix'],
  bloom: ['bloom', 'mix'],
  main: ['mix'],
  late: ['kneadAgain', 'fold', 'mix'],
  wash: ['top', 'score', 'bake', 'griddle'],
  topping: ['top', 'bake', 'griddle'],
  filling: ['fill', 'shape', 'divide'],
  sauce: ['cool', 'hold'],
  glaze: ['cool', 'bake', 'fry'],
  dip: ['cool', 'hold'],
  kettle: ['boil'],
  oil: ['fry'],
  steam: ['bake'],
  dusting: ['divide', 'shape'],
  grease: ['grease', 'shape', 'preheat', 'bake'],
};
/** Of several steps of that kind the last is meant: the second mixing is when the late ones go in, and the last bake when the top is on. */
const LAST: ReadonlySet<StageKind> = new Set(['late', 'glaze', 'sauce', 'dip']);

function usualStep(kind: StageKind, steps: readonly MethodStep[]): MethodStep | undefined {
  for (const wanted of USUALLY[kind]) {
    const found = LAST.has(kind)
      ? steps.findLast((step) => step.kind === wanted)
      : steps.find((step) => step.kind === wanted);
    if (found) return found;
  }
  return undefined;
}

/**
 * What goes in when: by each step's own word, and what no step takes where it usually goes in. Every line is in exactly one place, or in shares that make
 * a whole: what is left of a line that a step takes half of goes in at the next step that takes any of its part, else where it usually does.
 *
 * @param steps in the order they are done
 * @returns by step; under null what has to be ready before the first step, where the method has no place for it
 */
export function takingsOf(
  steps: readonly MethodStep[],
  stages: readonly Part[],
): ReadonlyMap<string | null, readonly Taken[]> {
  const taken = new Map<string | null, Taken[]>();
  const put = (stepId: string | null, each: Taken) => {
    const there = taken.get(stepId) ?? [];
    const same = there.find(({ lineId }) => lineId === each.lineId);
    taken.set(
      stepId,
      same
        ? there.map((one) => (one === same ? { ...one, share: one.share + each.share } : one))
        : [...there, each],
    );
  };
  const left = new Map<string, number>(
    stages.flatMap((stage) => stage.lines.map(({ id }): [string, number] => [id, 1])),
  );
  const take = (stepId: string, lineId: string, wanted: number) => {
    const there = left.get(lineId);
    if (there === undefined || there <= 1e-9) return;
    // more than there is left cannot go in
    const share = Math.min(wanted, there);
    left.set(lineId, there - share);
    put(stepId, { lineId, share, assumed: false });
  };
  for (const step of steps) {
    for (const each of step.takes ?? []) {
      if ('lineId' in each) take(step.id, each.lineId, each.share);
      else
        for (const { id } of stages.find(({ id }) => id === each.stageId)?.lines ?? [])
          take(step.id, id, each.share);
    }
  }
  for (const stage of stages) {
    const usual = usualStep(stage.kind, steps)?.id ?? null;
    for (const { id } of stage.lines) {
      const share = left.get(id) ?? 0;
      if (share > 1e-9) put(usual, { lineId: id, share, assumed: true });
    }
  }
  return taken;
}
