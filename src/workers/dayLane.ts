import type { BatchWay } from '@/core/day/batchWay';
import { batchWays, formulaKey, type WaysOf } from '@/core/day/kitchenDay';
import { layOutDay } from '@/core/day/laidOut';
import { sparingBook } from '@/core/ingredients';
import type { Result } from '@/core/result';
import type { DayQuestion, FromDayWorker, ToDayWorker } from './dayProtocol';

/** Rounds of looking at most, however quick the machine. */
const ROUNDS = 4000;
/** So many batches' ways are remembered: a day holds thirty, and each may have been asked for with other levers. */
const MOST_WAYS = 200;

/**
 * The day's worker without its thread, so that a test can drive it: one question at a time, the newest takes the place of the older, and between two rounds it
 * hears what has been said meanwhile.
 *
 * @param pause lets messages in
 * @param clock milliseconds that only go forwards
 */
export function startDayLane(
  tell: (message: FromDayWorker) => void,
  pause: () => Promise<void>,
  clock: () => number,
): (message: ToDayWorker) => void {
  let current = 0;
  const remembered = new Map<string, Result<readonly BatchWay[]>>();
  let around = '';

  const waysFor = ({ kit, stored }: DayQuestion): WaysOf => {
    const { book } = sparingBook(stored);
    // another kit or larder makes other ways
    const now = JSON.stringify([kit, stored]);
    if (now !== around) remembered.clear();
    around = now;
    return (batch, formula) => {
      const key = JSON.stringify([
        formulaKey(batch),
        batch.batch,
        [...batch.levers].sort(),
        batch.takenOut?.wayId,
      ]);
      const known = remembered.get(key);
      if (known) return known;
      const made = batchWays(formula, batch, { kit, book });
      if (remembered.size >= MOST_WAYS) remembered.clear();
      remembered.set(key, made);
      return made;
    };
  };

  const work = async (question: DayQuestion) => {
    const { id, day, life, zone, kit, stored, starters, nowMs, forMs } = question;
    try {
      const formulas = new Map(question.formulas.map((each) => [formulaKey(each), each.formula]));
      const all = { day, life, zone, kit, starters, nowMs, formulas, bakes: new Map(Object.entries(question.bakes)), book: sparingBook(stored).book, lots: stored.flatMap(({ entry }) => (entry.kind === 'lot' ? [entry] : [])) };
      // hear first: a drag asks many times before the first answer is begun
      await pause();
      if (current !== id) return;
      const untilMs = clock() + forMs;
      const steps = layOutDay(all, waysFor(question), { seed: 1, rounds: ROUNDS, enough: () => clock() > untilMs });
      for (;;) {
        const step = steps.next();
        if (step.done) {
          if (step.value.ok) tell({ id, kind: 'done', view: step.value.value });
          else tell({ id, kind: 'refused', problem: step.value.problem });
          return;
        }
        if (step.value) tell({ id, kind: 'better', view: step.value });
        await pause();
        if (current !== id) return;
      }
    } catch (error) {
      tell({ id, kind: 'broke', why: String(error) });
    }
  }; // prettier-ignore

  return (message) => {
    current = message.id;
    if (!('leave' in message)) void work(message);
  };
}
