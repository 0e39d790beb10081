import { readFileSync } from 'node:fs';
import { fileBook, newestKit, readKitchenFile } from '@/core/formats/kitchenFile';
import type { Formula } from '@/core/formula';
import { libraryBook } from '@/core/ingredients';
import type { DayBatchDocument, DayDocument } from '@/core/day/dayDocument';
import type { DayView } from '@/core/day/dayView';
import { batchWays, formulaKey, type KitchenDay, type WaysOf } from '@/core/day/kitchenDay';
import { usualRequest } from '@/core/day/usualRequest';
import { layOutDay } from '@/core/day/laidOut';
import { NO_STARTERS } from '@/core/starter/starterDocument';
import { ORDINARY_LIFE } from '@/core/day/lifeDocument';

const read = readKitchenFile(JSON.parse(readFileSync('src/demo/larkspurLock.json', 'utf8')), libraryBook);
if (!read.ok) throw new Error(read.problem.code);
const book = fileBook(read.value, libraryBook);
if (!book.ok) throw new Error(book.problem.code);
const KITCHEN = read.value;
const demo = { kit: newestKit(KITCHEN), book: book.value, lots: [] };

/** A formula of the demo kitchen. */
export const demoFormula = (key: string): Formula => {
  const formula = KITCHEN.formulas.find((each) => each.key === key)?.revisions.at(-1)?.formula;
  if (!formula) throw new Error(`There is no ${key}`);
  return formula;
};
export const DEMO = demo;
/** What it bakes, by the keys of its formulas: neither a sauce nor what is fried or boiled. */
export const DEMO_BREADS: readonly string[] = KITCHEN.formulas.flatMap(({ key }) =>
  /sauce|knots|soda/.test(key) ? [] : [key],
);

const ZONE = 'Europe/Lisbon';
/** A Saturday in winter, by the clock of the demo kitchen. */
export const clockMs = (clock: string, day = '2026-11-28'): number => Date.parse(`${day}T${clock}:00Z`);
export const clockOf = (ms: number): string => new Date(ms).toISOString().slice(11, 16);

/** A batch of a demo formula, ready at a time. */
export const dayBatch = (id: string, key: string, ready: string | null, more: Partial<DayBatchDocument> = {}): DayBatchDocument => ({
  id, formulaId: key, revision: 1, name: key, batch: usualRequest(demoFormula(key)), levers: [], ovenIds: [], variantId: '', at: {}, pins: {}, progress: {}, bakeId: null,
  ready: ready === null ? null : { fromMs: clockMs(ready), toMs: clockMs(ready) },
  ...more,
}); // prettier-ignore

const ways = new Map<string, ReturnType<typeof batchWays>>();
const waysOf: WaysOf = (batch, formula) => {
  const key = JSON.stringify([formulaKey(batch), batch.batch, batch.levers, batch.takenOut?.wayId]);
  const known = ways.get(key) ?? batchWays(formula, batch, demo);
  ways.set(key, known);
  return known;
};

/** Lays a day of the demo kitchen out. */
export function laidOut(day: DayDocument, now: string | number, { life = ORDINARY_LIFE, rounds = 8, bakes = new Map(), starters = NO_STARTERS }: Partial<Pick<KitchenDay, 'life' | 'bakes' | 'starters'>> & { rounds?: number } = {}): DayView {
  const formulas = new Map(day.batches.flatMap((batch): [string, Formula][] => (KITCHEN.formulas.some(({ key }) => key === batch.formulaId) ? [[formulaKey(batch), demoFormula(batch.formulaId)]] : [])));
  const nowMs = typeof now === 'number' ? now : clockMs(now);
  const steps = layOutDay({ ...demo, day, life, zone: ZONE, nowMs, formulas, bakes, starters }, waysOf, { seed: 1, rounds });
  let step = steps.next();
  while (!step.done) step = steps.next();
  if (!step.value.ok) throw new Error(`${step.value.problem.code} ${step.value.problem.path}`);
  if (!step.value.value) throw new Error('There is nothing to plan');
  return step.value.value;
} // prettier-ignore
