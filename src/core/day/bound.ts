import type { DayProblem } from './dayProblem';
import { leastAlone } from './placeBatch';
import { addScores, NOTHING, type Score } from './score';

/**
 * No plan of a day is better than this: each batch as if it were alone. A lexicographic order keeps when both sides are added to, so the sum of the least is
 * the least of the sum; what ovens cost when they are hot for nothing, and what is changed, is left out (0).
 */
export const boundOf = (problem: DayProblem): Score =>
  problem.batches
    .map((batch): Score => {
      const least = leastAlone(problem, batch);
      return least ? { ...NOTHING, ...least } : { ...NOTHING, unplaced: 1 };
    })
    .reduce(addScores, NOTHING);
