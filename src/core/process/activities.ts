import type { MethodStep, StepKind } from '../method/step';

/** One of several: the second load of three. */
interface Nth {
  readonly at: number;
  readonly of: number;
}

/**
 * One thing to do in a batch: a step, of one way where the dough has parted, for one load, one side, one time of those the step is repeated.
 */
export interface Activity {
  /** A step that is done once keeps its own. */
  readonly id: string;
  readonly stepId: string;
  readonly wayId: string | null;
  readonly load: Nth | null;
  readonly side: Nth | null;
  readonly time: Nth | null;
  /** Which of several mixes, of a dough that no bowl takes at once. */
  readonly mix?: Nth;
  /** Pieces it is done to; null before the dough is divided. */
  readonly pieces: number | null;
}

/** Steps of one way, or of all the dough, with the pieces they are done to. */
export interface Stretch {
  readonly wayId: string | null;
  readonly steps: readonly MethodStep[];
  readonly pieces: number | null;
  /** How many pieces go in together where a step does not say. */
  readonly fits: (step: MethodStep) => number;
}

/** What heats pieces: a load waits until there is room. Steps of one appliance that follow one another are one visit to it. */
const APPLIANCE: Partial<Record<StepKind, 'oven' | 'kettle' | 'fryer' | 'plate'>> = {
  bake: 'oven',
  coast: 'oven',
  boil: 'kettle',
  fry: 'fryer',
  griddle: 'plate',
};

/** A batch of more things than this has one call for all its loads: nobody counts down a thousand rolls one by one. */
const MOST_LOADS = 60;

/**
 * The same things with an id each that no other has and that is as short as an id may be, whatever those were: the first of an id keeps it where it fits.
 * The same whenever the batch is laid out anew.
 * @param taken ids that others have already
 */
export function withOwnIds<T extends { readonly id: string }>(
  things: readonly T[],
  taken: ReadonlySet<string>,
): T[] {
  const used = new Set(taken);
  return things.map((thing) => {
    let id = thing.id;
    for (let more = 2; id.length > MOST_LETTERS || used.has(id); more += 1) {
      const tail = `_${more}`;
      id = thing.id.slice(0, MOST_LETTERS - tail.length) + tail;
    }
    used.add(id);
    return id === thing.id ? thing : { ...thing, id };
  });
}
const MOST_LETTERS = 40;

const nth = (at: number, of: number): Nth | null => (of > 1 ? { at, of } : null);

const idOf = (stepId: string, marks: readonly (Nth | null)[]): string =>
  [stepId, ...marks.flatMap((mark) => (mark ? [mark.at] : []))].join('-');

/** Every side and time of one step for one load. */
function passes(step: MethodStep, stretch: Stretch, load: Nth | null, pieces: number | null): Activity[] {
  const times = step.again?.times ?? 1;
  const sides = step.sides ?? 1;
  const all: Activity[] = [];
  for (let time = 1; time <= times; time += 1)
    for (let side = 1; side <= sides; side += 1) {
      const marks = { load, time: nth(time, times), side: nth(side, sides) };
      all.push({
        id: idOf(step.id, [marks.load, marks.time, marks.side]),
        stepId: step.id,
        wayId: stretch.wayId,
        ...marks,
        pieces,
      });
    }
  return all;
}

const MIXING: ReadonlySet<StepKind> = new Set(['mix', 'kneadAgain']);
const BETWEEN: ReadonlySet<StepKind> = new Set(['rest', 'free']);

/** The steps that each of several mixes goes through: from the first mixing to the last before the dough is left to rise; from and to, not with. */
export function mixingOf(steps: readonly MethodStep[]): { readonly from: number; readonly to: number } {
  const from = steps.findIndex(({ kind }) => kind === 'mix');
  if (from === -1) return { from: 0, to: 0 };
  let to = from;
  for (let at = from; at < steps.length; at += 1) {
    const { kind } = steps[at]!;
    if (MIXING.has(kind)) to = at + 1;
    else if (!BETWEEN.has(kind)) break;
  }
  return { from, to };
}

/** Loads as even as they can be: thirteen rolls of which twelve fit are seven and six. */
const shareOf = (pieces: number, loads: number, load: number): number =>
  Math.floor((pieces * load) / loads) - Math.floor((pieces * (load - 1)) / loads);

/**
 * Lays a stretch out: each step once, or as often as it is repeated; what is heated load by load, each load through all that its appliance does
 * to it before the next goes in. Ten rings two at a time, two sides: ten calls. Ids are unique in a stretch; in a batch {@link withOwnIds} makes them so.
 */
export function activitiesOf(stretch: Stretch): Activity[] {
  const { steps, pieces, fits } = stretch;
  const all: Activity[] = [];
  for (let at = 0; at < steps.length;) {
    const step = steps[at]!;
    const appliance = APPLIANCE[step.kind];
    let end = at + 1;
    if (appliance) while (end < steps.length && APPLIANCE[steps[end]!.kind] === appliance) end += 1;
    const visit = steps.slice(at, end);
    at = end;
    if (!appliance || pieces === null) {
      for (const each of visit) all.push(...passes(each, stretch, null, pieces));
      continue;
    }
    const ownWord = visit[0]!.atATime;
    const together = Math.max(1, Math.min(pieces, ownWord ?? fits(visit[0]!)));
    const loads = Math.ceil(pieces / together);
    if (loads > MOST_LOADS) {
      for (const each of visit) all.push(...passes(each, stretch, null, pieces));
      continue;
    }
    for (let load = 1; load <= loads; load += 1) {
      const mine = ownWord
        ? Math.min(together, pieces - together * (load - 1))
        : shareOf(pieces, loads, load);
      for (const each of visit) all.push(...passes(each, stretch, nth(load, loads), mine));
    }
  }
  return all;
}
