import type { TakenAdvice } from '../advice/adviceSchema';
import type { Explanation } from '../advice/ids';
import type { Band } from '../consistency/parameters';
import type { MethodStep } from '../method/step';
import type { CrumbFigures, Photo } from '../photo/photoSchema';
import type { Tasting } from '../tasting/tastingSchema';
import type { COURSES, LOOK_COLOURS, MENDS, READING_OF } from './bakeLimits';
import type { Outcome } from './outcome';

interface Weighing {
  readonly massG: number;
  readonly atMs: number;
  /** Earlier values of the same line, oldest first: a correction keeps both. */
  readonly before: readonly { readonly massG: number; readonly atMs: number }[];
}

export interface Timer {
  readonly startedAtMs: number;
  readonly durationS: number;
  readonly stoppedAtMs: number | null;
}

interface StepProgress {
  readonly doneAtMs: number | null;
  /** Not done, and not to be done any more: `doneAtMs` is null then. */
  readonly skippedAtMs: number | null;
  readonly timer: Timer | null;
}

interface Addition {
  readonly ingredientId: string;
  readonly massG: number;
  readonly note: string;
  readonly atMs: number;
  /** On the board: of which the dough takes up a share. */
  readonly bench?: true;
}

/** What a thermometer said. */
export interface Reading {
  readonly of: (typeof READING_OF)[number];
  readonly tempC: number;
  readonly stepId: string | null;
  readonly atMs: number;
}

/** What a load, or its trial, was like. */
export interface Look {
  readonly stepId: string;
  /** Pieces that went first to see; null: the load itself. */
  readonly trialOf: number | null;
  readonly coreC: number | null;
  readonly colour: (typeof LOOK_COLOURS)[number] | null;
  /** How long it had been in, s. */
  readonly tookS: number;
  readonly atMs: number;
}

/** What was done about a wrong amount. */
export interface Mended {
  readonly lineId: string;
  readonly by: (typeof MENDS)[number];
  readonly atMs: number;
}

/** To whom a bake was given, and with what words. */
export interface Handover {
  readonly to: string;
  readonly from: string | null;
  readonly words: string;
  readonly atMs: number;
}

/** How far the dough had risen at a moment, %. */
export interface RiseMark {
  readonly stepId: string;
  readonly of: 'jar' | 'dough';
  readonly grownPercent: number;
  readonly atMs: number;
}

/** How the dough felt in a step. */
export interface Feeling {
  readonly stepId: string;
  readonly band: Band;
  readonly atMs: number;
}

/** What one taster said, with what they said before they put it right. */
export interface TakenTasting extends Tasting {
  readonly atMs: number;
  readonly by: string | null;
  readonly before: readonly (Tasting & { readonly atMs: number })[];
}

/** A picture of a bake, and what was read from it. */
export interface TakenPhoto extends Photo {
  readonly atMs: number;
  /** Null: nothing has been read from it, or nothing could be. */
  readonly crumb: CrumbFigures | null;
  /** Not shown any more; it can be fetched again. */
  readonly away: boolean;
}

/** From when on it goes otherwise, and as it was before. */
interface Course {
  readonly by: (typeof COURSES)[number];
  readonly atMs: number;
  readonly puts: readonly {
    readonly atStepId: string;
    readonly where: 'before' | 'after';
    readonly step: MethodStep;
  }[];
  readonly drops: readonly string[];
  /** Steps of another time since, and lines of another amount. */
  readonly sets: readonly string[];
  readonly aims: readonly string[];
  readonly lostPieces: number | null;
  readonly tin: { readonly name: string; readonly rimPercent: number } | null;
  readonly before: Pick<BakeState, 'anew' | 'targets' | 'steps'>;
}

export interface BakeState {
  readonly startedAtMs: number;
  readonly weighed: ReadonlyMap<string, Weighing>;
  /** What is in of a line whose rest comes, in the order it went in, g. */
  readonly parts: ReadonlyMap<string, readonly number[]>;
  /** Lines that stay out because somebody said so. */
  readonly leftOut: ReadonlySet<string>;
  /** How much of a line is meant to be in, where that is no longer what the sheet says, g. */
  readonly targets: ReadonlyMap<string, number>;
  /** Lines that are in, but not as much as is meant by now. */
  readonly dueAgain: ReadonlySet<string>;
  readonly mends: readonly Mended[];
  readonly readings: readonly Reading[];
  /** When all was cleaned down for it; null: nobody said so. */
  readonly cleanedAtMs: number | null;
  readonly looks: readonly Look[];
  /** Trials whose pieces are in, by the step of their load: how many. */
  readonly trials: ReadonlyMap<string, number>;
  /** Steps whose time, or heat, is another by now. */
  readonly anew: ReadonlyMap<
    string,
    { readonly durationS: number; readonly tempC: number | null; readonly atMs: number }
  >;
  /** How it came to go otherwise than planned, oldest first. */
  readonly courses: readonly Course[];
  /** Since when all stands still, and which clocks do; null: it goes on. */
  readonly pause: { readonly atMs: number; readonly stepIds: readonly string[] } | null;
  readonly pauses: readonly { readonly fromMs: number; readonly toMs: number }[];
  /** Who did anything of it, in the order in which they came to it. */
  readonly hands: readonly string[];
  /** Whose it is by now, by who did something last or got it; null: nobody said. */
  readonly withWhom: string | null;
  /** Handed over, and whoever got it has done nothing yet; null: it is not, or has been taken up. */
  readonly handover: Handover | null;
  readonly lit: readonly { readonly ovenId: string | null; readonly setC: number; readonly atMs: number }[];
  readonly additions: readonly Addition[];
  /** Bags that were other than the sheet says, by ingredient; null: none that is told apart. */
  readonly lots: ReadonlyMap<string, string | null>;
  readonly steps: ReadonlyMap<string, StepProgress>;
  readonly rises: readonly RiseMark[];
  /** One for each step it was felt in, the newest. */
  readonly feelings: readonly Feeling[];
  readonly notes: readonly { readonly text: string; readonly atMs: number }[];
  /** How many of what was put by are left, by its way, where it was counted since. */
  readonly stockLeft: ReadonlyMap<string, number>;
  /** What is left of a part, g, by its part, where it was counted since. */
  readonly leftoverG: ReadonlyMap<string, number>;
  readonly outcome: Outcome | null;
  readonly earlierOutcomes: readonly { readonly outcome: Outcome; readonly atMs: number }[];
  /** By their id, in the order in which they were first said. */
  readonly tastings: ReadonlyMap<string, TakenTasting>;
  readonly photos: ReadonlyMap<string, TakenPhoto>;
  /** What was advised after it, and taken, the newest; what its cause was, as told; whether models learn from it. */
  readonly advice: (TakenAdvice & { readonly atMs: number }) | null;
  readonly cause: Explanation | null;
  readonly teaches: boolean;
  readonly endedAtMs: number | null;
  readonly abandoned: { readonly reason: string } | null;
  /** Endings that were taken back, oldest first. */
  readonly endings: readonly {
    readonly endedAtMs: number;
    readonly reopenedAtMs: number;
    readonly abandoned: { readonly reason: string } | null;
  }[];
  readonly lastSeq: number;
}

export const startedBake = (startedAtMs: number): BakeState => ({
  startedAtMs,
  weighed: new Map(),
  parts: new Map(),
  leftOut: new Set(),
  targets: new Map(),
  dueAgain: new Set(),
  mends: [],
  readings: [],
  cleanedAtMs: null,
  looks: [],
  trials: new Map(),
  anew: new Map(),
  courses: [],
  pause: null,
  pauses: [],
  hands: [],
  withWhom: null,
  handover: null,
  lit: [],
  additions: [],
  lots: new Map(),
  steps: new Map(),
  rises: [],
  feelings: [],
  notes: [],
  stockLeft: new Map(),
  leftoverG: new Map(),
  outcome: null,
  earlierOutcomes: [],
  tastings: new Map(),
  photos: new Map(),
  advice: null,
  cause: null,
  teaches: true,
  endedAtMs: null,
  abandoned: null,
  endings: [],
  lastSeq: 0,
});

const noProgress: StepProgress = { doneAtMs: null, skippedAtMs: null, timer: null };

export const withStep = (
  state: BakeState,
  stepId: string,
  change: (step: StepProgress) => StepProgress,
): BakeState => ({
  ...state,
  steps: new Map(state.steps).set(stepId, change(state.steps.get(stepId) ?? noProgress)),
});
