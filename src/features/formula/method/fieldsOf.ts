import type { MethodStep, Place, StepKind } from '@/core/method';

const STANDING: ReadonlySet<StepKind> = new Set([
  'bloom', 'soak', 'preDough', 'rest', 'bulk', 'proof', 'chill', 'freeze', 'thaw', 'cool', 'hold',
]); // prettier-ignore
const HEATING: ReadonlySet<StepKind> = new Set([
  'bake',
  'coast',
  'boil',
  'griddle',
  'fry',
  'reheat',
  'refresh',
]);
const WORK: ReadonlySet<StepKind> = new Set([
  'mix',
  'fold',
  'kneadAgain',
  'knockBack',
  'turn',
  'rotate',
  'free',
]);

/** Which fields a kind of step has use for; one that is set is always shown. */
export interface StepFieldsShown {
  readonly stands: boolean;
  readonly heat: boolean;
  readonly sides: boolean;
  readonly again: boolean;
  readonly cue: boolean;
}

export const fieldsOf = ({
  kind,
  stands,
  heat,
  sides,
  again,
  atATime,
  cue,
}: MethodStep): StepFieldsShown => ({
  stands: STANDING.has(kind) || stands !== undefined,
  heat: kind === 'bake' || kind === 'coast' || heat !== undefined,
  sides: HEATING.has(kind) || sides !== undefined || atATime !== undefined,
  again: WORK.has(kind) || again !== undefined,
  cue:
    STANDING.has(kind) || HEATING.has(kind) || kind === 'mix' || kind === 'kneadAgain' || cue !== undefined,
});

/** From this on it is no room that it stands in, °C. */
const WARM_FROM_C = 26;

/** Where a step stands where nobody says: by its kind and how warm it is. */
export const usualPlace = ({ kind, tempC }: Pick<MethodStep, 'kind' | 'tempC'>): Place => {
  if (kind === 'chill' || kind === 'freeze') return kind === 'chill' ? 'fridge' : 'freezer';
  return tempC !== null && tempC >= WARM_FROM_C ? 'warm' : 'room';
};
