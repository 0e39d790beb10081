import { runKitchenOf } from '@/core/kit';
import { quickSlice, sliceQuestion } from '@/core/run';
import type { SliceFigures } from '@/core/slice';
import { listFormulas } from '@/db/queries/formulas';
import { listEntries } from '@/db/queries/ingredients';
import type { Context } from './context';
import { loadKit } from './kit';
import { markedBakes, NO_MARKS, taughtKitchen } from './learnt';

/** A formula's slice by its id; null where there is none to draw. */
export type Marks = Readonly<Record<string, SliceFigures | null>>;

/** Keeps the newest answers; the oldest go first. */
class Kept<T> {
  readonly #byKey = new Map<string, T>();
  constructor(private readonly most: number) {}
  get(key: string): T | undefined {
    return this.#byKey.get(key);
  }
  keep(key: string, answer: T): T {
    if (this.#byKey.size >= this.most) this.#byKey.delete(this.#byKey.keys().next().value ?? '');
    this.#byKey.set(key, answer);
    return answer;
  }
}

/** By all that can have changed it: a formula's revision, the kit, the larder, what was marked. Found without reckoning anything. */
const byVersions = new Kept<SliceFigures | null>(3000);
/** By what it follows from: copies, and formulas that a change elsewhere did not touch, are not simulated again. */
const byQuestion = new Kept<SliceFigures | null>(500);

/** New ones per request: some seconds of one core at the worst. */
const MOST_NEW = 80;

/**
 * The slices of a kitchen's formulas, as its shelf shows them. Between two of them others get their turn, and two who ask at once share
 * what either finds.
 * @param goneAway nobody waits for the answer any more: what is left is not reckoned
 */
export async function formulaMarks(context: Context, goneAway?: AbortSignal): Promise<Marks> {
  const { pool, kitchen, book: loadBook } = context;
  const [{ rows: formulas }, { version, kit }, entries, book] = await Promise.all([
    listFormulas(pool, kitchen.id),
    loadKit(context),
    listEntries(pool, kitchen.id),
    loadBook(),
  ]);
  const marked = await markedBakes(context, null);
  const around = `${kitchen.epoch} ${kitchen.id} ${version} ${entries.map((entry) => `${entry.id}.${entry.version}`).join(' ')}`;
  const marks: Record<string, SliceFigures | null> = {};
  let reckoned = 0;
  for (const { id, revision, formula } of formulas) {
    const own = marked.get(id) ?? NO_MARKS;
    const versions = `${around} ${id} ${revision} ${own.signature}`;
    let mark = byVersions.get(versions);
    if (mark === undefined) {
      await new Promise((resolve) => setImmediate(resolve));
      if (goneAway?.aborted) break;
      const question = sliceQuestion(formula, book, taughtKitchen(runKitchenOf(kit, formula), own, book));
      const asked = JSON.stringify(question);
      mark = question ? byQuestion.get(asked) : null;
      if (question && mark === undefined) {
        if (reckoned >= MOST_NEW) continue;
        reckoned += 1;
        mark = byQuestion.keep(asked, quickSlice(question));
      }
      mark = byVersions.keep(versions, mark ?? null);
    }
    marks[id] = mark;
  }
  return marks;
}
