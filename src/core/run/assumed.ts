import type { Formula } from '../formula/formula';
import type { MethodStep } from '../method/step';
import { usualHeatC } from '../method/usualTimes';
import { HEATS, stepS } from './stepTimes';

/** What the models took of a step because it does not say it. */
interface Assumed {
  readonly stepId: string;
  /** A usual time, s; null: it says its own. */
  readonly takenS: number | null;
  /** A usual heat, °C; null: it says its own, or has none to say. */
  readonly takenC: number | null;
  /** It stands in the room because nobody says where. */
  readonly inRoom: boolean;
}

const STANDS: ReadonlySet<MethodStep['kind']> = new Set(['rest', 'bulk', 'proof', 'preDough', 'soak']);
const TIMED: ReadonlySet<MethodStep['kind']> = new Set([
  ...STANDS,
  ...HEATS,
  'chill',
  'freeze',
  'thaw',
  'cool',
  'preheat',
]);
const SETS: ReadonlySet<MethodStep['kind']> = new Set(['bake', 'fry', 'griddle']);

/**
 * Where a method leaves open what the models must know: which steps, and what was taken. Hands' own short steps are not told: a minute more of
 * shaping moves nothing.
 */
export function assumedIn({ steps }: Pick<Formula, 'steps'>): Assumed[] {
  return steps.flatMap((step): Assumed[] => {
    const one = {
      stepId: step.id,
      takenS: step.minS === null && TIMED.has(step.kind) ? stepS(step) : null,
      takenC: step.tempC === null && SETS.has(step.kind) ? usualHeatC(step.kind) : null,
      inRoom: STANDS.has(step.kind) && step.tempC === null && !step.stands,
    };
    return one.takenS !== null || one.takenC !== null || one.inRoom ? [one] : [];
  });
}
