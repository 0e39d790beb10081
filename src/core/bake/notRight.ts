import type { BatchSheet } from '../batch/batchSheet';
import { usualHeatC } from '../method/usualTimes';
import type { MethodStep, StepKind } from '../method/step';
import type { BakeState } from './bakeState';
import { doneC } from './readingAnswer';
import { TRIAL_FARTHEST_C, TRIAL_PER_C } from './trialAnswer';

/** What is found wrong with what bakes, before it is done or as it should be. */
export type NotRight = 'topDark' | 'baseWet' | 'ovenCold';

/** What to do about it. */
interface Remedy {
  readonly moreS: number;
  readonly leastS: number;
  readonly mostS: number;
  /** What the oven is set to from now on; null: as it is. */
  readonly tempC: number | null;
  /** The core at which it is done here, °C. */
  readonly targetC: number;
}

/** With a dark top the oven is set so much lower; that takes a little longer for what is missing. */
const COOLER_C = 20;
const COOLER_TAKES = 1.1;
/** Out of the tin, on a hot rack or stone, the top covered: usual figures, s (craft). */
const BASE_S = { least: 300, usual: 420, most: 600 } as const;
const BASE_C = 200;
/** For each second without heat, the door shut: the heat model says 0.05 to 0.7 of tin loaves and rolls in their first half, for what is hot around them goes on heating (`notRight.test.ts`). */
const COLD_TAKES = { least: 0.05, usual: 0.5, most: 1 } as const;
const LEAST_S = 60;

/** An oven, in which each of these can be. */
const IN_OVEN: ReadonlySet<StepKind> = new Set(['bake']);
export const canBeNotRight = ({ kind }: Pick<MethodStep, 'kind'>): boolean => IN_OVEN.has(kind);

/** What goes on in the heat it came into: turned, and baked on at another heat. */
const GOES_ON: ReadonlySet<StepKind> = new Set(['bake', 'turn', 'rotate', 'preheat']);

/** Since when what is in the oven in a step has been there, through the steps before it that baked it as well; null: no clock ran. */
export function inHeatSinceMs({ steps, activities }: Pick<BatchSheet, 'steps' | 'activities'>, state: BakeState, stepId: string): number | null {
  const of = (id: string) => activities?.find((each) => each.id === id);
  const here = of(stepId);
  const isMine = (id: string) => (of(id)?.wayId ?? null) === (here?.wayId ?? null) && (!of(id)?.load || !here?.load || of(id)?.load?.at === here.load.at);
  let sinceMs: number | null = null;
  for (let at = steps.findIndex(({ id }) => id === stepId); at >= 0 && GOES_ON.has(steps[at]!.kind); at -= 1) {
    const { id, kind } = steps[at]!;
    if (kind === 'bake' && isMine(id)) sinceMs = state.steps.get(id)?.timer?.startedAtMs ?? sinceMs;
  }
  return sinceMs;
} // prettier-ignore

const toMinutes = (s: number): number => Math.max(LEAST_S, Math.round(s / 60) * 60);

/**
 * What to do about what is not right in the oven: so many more minutes, at which heat, and the core at which it is done at this height.
 *
 * @param what the top is dark and the middle not done; all is done and the base wet or pale; the oven had gone cold
 * @param known what was measured: the core (`topDark`; null: nobody read it, and then there is no answer), how long it was cold (`ovenCold`)
 * @param tookS how long it has been in, s
 * @returns null where what was measured does not say, or says that nothing is missing
 */
export function remedyOf(what: NotRight, step: Pick<MethodStep, 'kind' | 'cue' | 'tempC'>, known: { readonly coreC: number | null; readonly coldS: number | null }, tookS: number, altitudeM: number): Remedy | null {
  const targetC = doneC(step, altitudeM);
  const setC = step.tempC ?? usualHeatC(step.kind);
  switch (what) {
    case 'topDark': {
      const shortC = known.coreC === null ? 0 : targetC - known.coreC;
      if (shortC <= 0 || tookS <= 0) return null;
      // further than the model was asked: by then it is read again
      const more = (perC: number) => toMinutes(tookS * perC * Math.min(shortC, TRIAL_FARTHEST_C) * COOLER_TAKES);
      return { moreS: more(TRIAL_PER_C.usual), leastS: more(TRIAL_PER_C.least), mostS: more(TRIAL_PER_C.most), tempC: setC - COOLER_C, targetC };
    }
    case 'baseWet':
      return { moreS: BASE_S.usual, leastS: BASE_S.least, mostS: BASE_S.most, tempC: Math.min(setC, BASE_C), targetC };
    case 'ovenCold': {
      const { coldS } = known;
      if (coldS === null || coldS <= 0) return null;
      return { moreS: toMinutes(coldS * COLD_TAKES.usual), leastS: toMinutes(coldS * COLD_TAKES.least), mostS: toMinutes(coldS * COLD_TAKES.most), tempC: null, targetC };
    }
  }
} // prettier-ignore
