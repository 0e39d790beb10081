import { normalDraws } from '../numeric/draws';
import { curvedFit, linearFit, type Row } from '../numeric/leastSquares';
import { sdOf, weightOf, type RisePoint } from './learnRise';
import { NORMAL, PARAMETERS, volumesOf, type OfDay, type RiseQuestion } from './riseSimulation';

/** What was marked of a dough today, and the history it went through until now: the dough itself, or its jar. */
export interface MarkedRise {
  readonly question: RiseQuestion;
  readonly points: readonly RisePoint[];
}

const ROUNDS = 8;
/** So often each draw is led to its marks; the slopes are those of the middle. */
const CORRECTIONS = 2;
/** Further than this from the books no figure of a day is taken, in its own standard deviations. */
const FARTHEST = 4;
const STEP = 0.1;
/** The error of more marks than these is drawn anew from the first. */
const ERRORS = normalDraws(NORMAL.length, 12, 7_301_944);
const PRIOR = PARAMETERS.map(() => ({ at: 0, sd: 1 }));

/**
 * What marks leave open of the very day they were made on: not only of leaven and dough, also of where it stands, how long it took to wake, how hard it was
 * pressed. The middle is what fits the marks best with all the books say of each figure; every fixed draw is led to marks that are off by an error of their
 * own, from where the draw begins (randomised maximum likelihood: Oliver, He & Reynolds 1996; exact where all is linear). So what is seen in this hour narrows
 * the next ones, and no further than the eye on a mark allows.
 *
 * @param marked all that was marked today of one dough; their `learnt` is what was known before
 * @returns null without a mark that can be used (positive, later than what it is counted from)
 */
export function riseOfDay(marked: readonly MarkedRise[]): OfDay | null {
  const used = marked
    .map(({ question, points }) => ({
      question,
      points: points.filter(({ atS, sinceS, grown }) => grown > 0 && sinceS >= 0 && atS > sinceS),
    }))
    .filter(({ points }) => points.length > 0);
  if (used.length === 0) return null;
  const seen = used.flatMap(({ points }) => points.map(({ grown }) => grown));
  const sd = used.flatMap(({ points }) =>
    points.map(({ grown }) => sdOf(grown) / Math.sqrt(weightOf(points.length))),
  );
  const predicted = (z: readonly number[]): number[] =>
    used.flatMap(({ question, points }) => {
      const times = [...new Set(points.flatMap(({ atS, sinceS }) => [sinceS, atS]))].sort((a, b) => a - b);
      const volumes = volumesOf(question, times, z);
      const volume = (tS: number) => volumes[times.indexOf(tS)] ?? 1;
      return points.map(({ atS, sinceS }) => volume(atS) / volume(sinceS));
    });

  const fit = curvedFit({
    misses: (z) => predicted(z).map((each, mark) => (each - seen[mark]!) / sd[mark]!),
    prior: PRIOR,
    steps: PRIOR.map(() => STEP),
    bounds: PRIOR.map(() => ({ min: -FARTHEST, max: FARTHEST, move: FARTHEST })),
    rounds: ROUNDS,
    near: PRIOR.map(() => 0.01),
  });
  if (!fit) return null;
  const middle = fit.x;
  const here = predicted(middle);
  // how each mark moves with each figure, about the middle
  const slopes = PRIOR.map((_, figure) => {
    const moved = predicted(middle.map((each, other) => (other === figure ? each + STEP : each)));
    return moved.map((each, mark) => (each - here[mark]!) / STEP);
  });
  const led = (z: readonly number[], errors: readonly number[]): readonly number[] => {
    const prior = z.map((at) => ({ at, sd: 1 }));
    let x = z;
    for (let round = 0; round < CORRECTIONS; round += 1) {
      const now = predicted(x);
      const rows = now.map((each, mark): Row => {
        const by = slopes.map((slope) => slope[mark]!);
        const along = by.reduce((sum, slope, figure) => sum + slope * x[figure]!, 0);
        const error = (errors[mark % errors.length] ?? 0) * sd[mark]!;
        return { left: seen[mark]! + error - each + along, by, sd: sd[mark]! };
      });
      x = linearFit(rows, prior).x.map((each) => Math.min(FARTHEST, Math.max(-FARTHEST, each)));
    }
    return x;
  };
  return { middle, draws: NORMAL.map((z, index) => led(z, ERRORS[index] ?? [])) };
}
