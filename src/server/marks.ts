import { runKitchenOf } from '@/core/kit';
import { quickSlice } from '@/core/run';
import type { SliceFigures } from '@/core/slice';
import { listFormulas } from '@/db/queries/formulas';
import { listEntries } from '@/db/queries/ingredients';
import type { Context } from './context';
import { loadKit } from './kit';
import { markedBakes, NO_MARKS, taughtKitchen } from './learnt';

/** A formula's slice by its id; null where there is none to draw. */
export type Marks = Readonly<Record<string, SliceFigures | null>>;

/** Reckoned once for a revision, kit and larder; the oldest go first. */
const kept = new Map<string, SliceFigures | null>();
const MOST_KEPT = 3000;
/** New ones per request: some seconds of one core at the worst. */
const MOST_NEW = 80;

/** The slices of a kitchen's formulas, as its shelf shows them. Between two of them others get their turn. */
export async function formulaMarks(context: Context): Promise<Marks> {
  const { pool, kitchen, book: loadBook } = context;
  const [formulas, { version, kit }, entries, book] = await Promise.all([
    listFormulas(pool, kitchen.id),
    loadKit(context),
    listEntries(pool, kitchen.id),
    loadBook(),
  ]);
  const marked = await markedBakes(context, null);
  const around = `${kitchen.id} ${version} ${entries.map((entry) => `${entry.id}.${entry.version}`).join(' ')}`;
  const marks: Record<string, SliceFigures | null> = {};
  let reckoned = 0;
  for (const { id, revision, formula } of formulas) {
    const own = marked.get(id) ?? NO_MARKS;
    const key = `${around} ${id} ${revision} ${own.signature}`;
    let mark = kept.get(key);
    if (mark === undefined) {
      if (reckoned >= MOST_NEW) continue;
      reckoned += 1;
      await new Promise((resolve) => setImmediate(resolve));
      mark = quickSlice(formula, book, taughtKitchen(runKitchenOf(kit, formula), own, book));
      if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value ?? '');
      kept.set(key, mark);
    }
    marks[id] = mark;
  }
  return marks;
}
