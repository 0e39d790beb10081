import type { Moisture } from '../../method/heating';
import { newStep, STEP_LIMITS, type MethodStep, type StepKind } from '../../method/step';
import { fieldsFromWords } from '../../process/fromWords';
import { coveredAtRoom } from './fields';
import type { Span } from './spans';

/** What a sentence leaves open. */
type StepDoubt =
  /** What is done is not understood. */
  | 'kind'
  /** A time or a temperature has no place: a second way to do it, or a slip. */
  | 'time'
  | 'heat'
  /** "up to two days": a limit, not a time. */
  | 'upTo';

export interface StepAsk {
  readonly stepId: string;
  readonly about: StepDoubt;
  readonly written: string;
  /** What it may mean, the likeliest first: what of the step would change. */
  readonly readings: readonly Partial<Pick<MethodStep, 'kind' | 'minS' | 'maxS' | 'tempC' | 'stands'>>[];
}

/** A step while its sentences are read. */
export interface Draft {
  kind: StepKind;
  texts: string[];
  time: Span | null;
  tempC: number | null;
  coreC: number | null;
  /** Of milk or water that was warmed. */
  liquidC: number | null;
  moist: Moisture | null;
  sides: number | null;
  again: { times: number; everyS: number | null } | null;
  atATime: number | null;
  /** Where it stands, where the words of another way to do it would say otherwise. */
  stands: NonNullable<MethodStep['stands']> | null;
  paragraph: number;
  doubts: { about: StepDoubt; written: string; readings: StepAsk['readings'] }[];
}

export const HEATING: ReadonlySet<StepKind> = new Set(['boil', 'griddle', 'fry', 'bake']);
/** Work that goes on under another heat or for another while without being named again. */
export const GOES_ON: ReadonlySet<StepKind> = new Set([
  'mix', 'kneadAgain', 'boil', 'griddle', 'fry', 'bake', 'proof', 'bulk', 'rest', 'chill', 'coast', 'cool',
]); // prettier-ignore

/** The drafts of a method as its steps, and what they leave open. */
export function stepsOf(
  drafts: readonly Draft[],
  newId: () => string,
): { readonly steps: MethodStep[]; readonly asks: StepAsk[]; readonly over: string[] } {
  const over: string[] = [];
  const asks: StepAsk[] = [];
  const bare = drafts.map((draft): MethodStep => {
    const id = newId();
    const words = draft.texts
      .map((text) => text.replace(/^(?:and|then|,|;)\s+/i, '').replace(/[\s,;:]+$/, ''))
      .filter(Boolean);
    let note = '';
    for (const each of words) {
      const joined = note === '' ? capital(each) : `${note}${/[.!?]$/.test(note) ? '' : ';'} ${each}`;
      if (joined.length <= STEP_LIMITS.cueLength) note = joined;
      else if (note === '') [note] = [cut(each, over)];
      else over.push(each);
    }
    asks.push(...draft.doubts.map((doubt) => ({ stepId: id, ...doubt })));
    const { kind, time, tempC, coreC, moist, sides, again, atATime } = draft;
    const stands = draft.stands ?? coveredAtRoom(kind, note, tempC);
    return {
      ...newStep(kind, id),
      note,
      minS: time?.minS ?? null,
      maxS: time?.maxS ?? null,
      tempC,
      ...(coreC !== null && { cue: { kind: 'core' as const, tempC: coreC } }),
      ...(moist && { heat: { moist } }),
      ...(sides !== null && { sides }),
      ...(again && again.times > 1 && { again }),
      ...(atATime !== null && { atATime }),
      ...(stands && { stands }),
    };
  });
  const ironPan = drafts.some(
    ({ kind, texts }) =>
      kind === 'shape' && /\b(?:iron (?:pan|pot|skillet)|cast-iron)\b/i.test(texts.join(' ')),
  );
  if (ironPan)
    for (const step of bare) if (step.kind === 'bake') step.heat = { on: 'castIron', ...step.heat };
  // what its sentences say beyond that is read here, once, into fields that are shown and can be corrected
  const steps = bare.map((step) => fieldsFromWords(step, bare, true));
  return { steps, asks, over };
}

const capital = (text: string): string => (text[0] ?? '').toUpperCase() + text.slice(1);
/** A sentence too long for a step's note: what does not fit goes where there is room. */
function cut(text: string, over: string[]): string {
  const at = Math.max(text.lastIndexOf(' ', STEP_LIMITS.cueLength), STEP_LIMITS.cueLength / 2);
  over.push(text.slice(at).trim());
  return text.slice(0, at).trim();
}
