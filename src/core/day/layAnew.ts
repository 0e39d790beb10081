import type { DayPlan, DayProblem } from './dayProblem';
import { compareScores, NOTHING, type Score } from './score';
import { searchDay, type Found } from './searchDay';

/** What a plan that is under way is changed for: everything finds a place, promises hold, nobody works when he would rather not. */
const grave = ({ unplaced, late, unwanted }: Score): Score => ({ ...NOTHING, unplaced, late, unwanted });

/**
 * Lays the rest of a day anew where something went otherwise, with as few changes as possible: what can stay stays; what cannot finds the best place beside it;
 * others move only if a promise is broken otherwise.
 *
 * @param problem as {@link begunDay} makes it, with what the day was planned as in `earlier`
 */
export function* layAnew(problem: DayProblem, earlier: DayPlan, seed: number, rounds: number): Generator<Found, Found, void> {
  const search = searchDay(problem, seed, 0, earlier);
  let step = search.next();
  while (!step.done) step = search.next();
  const first = step.value;
  yield first;
  if (first.score.unplaced + first.score.late === 0) return first;
  let best = first;
  for (const better of searchDay(problem, seed, rounds, earlier)) {
    if (compareScores(grave(better.score), grave(best.score)) < 0) best = better;
    yield { ...best, rounds: better.rounds };
  }
  return best;
} // prettier-ignore
